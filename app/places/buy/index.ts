import type { Plan } from "#core/plan";
import { startAt } from "#core/plan";
import { counted, type Reading } from "../../ui/words/reading.ts";
import type { Place } from "../Place.ts";
import { mainName, portionWords } from "../words.ts";
import { makingView } from "./making.view.ts";

export const buy: Place = {
	key: "buy",
	figure: ({ plan, reading }) => bought(plan, reading),
	task: (_, { plan, reading }) =>
		`${plan.setBy === "meat" ? "Check in" : "Order"} ${bought(plan, reading)} of ${mainName(plan)}`,
	headline: ({ plan, reading }) => ({
		title: title(plan, reading),
		says: `Order by ${reading.clock(startAt(plan, "buy"))}. ${plan.chain.portions} portions, ${portionWords(plan, reading)}.`,
		facts: [
			{ figure: reading.mass(plan.chain.asPurchased_kg), label: "needed as purchased" },
			{ figure: reading.mass(plan.chain.trimmed_kg), label: "after trimming" },
			{ figure: reading.mass(plan.chain.cooked_kg), label: "cooked" },
			...(plan.second
				? [
						{
							figure: reading.mass(plan.second.asPurchased_kg),
							label: `of ${plan.second.ingredient.name}, as purchased`,
						},
					]
				: []),
		],
	}),
	takes: () => true,
	drawing: (given) => makingView(given) ?? undefined,
};

function bought({ chain }: Plan, reading: Reading): string {
	return reading.mass(chain.order_kg ?? chain.asPurchased_kg);
}

function title({ chain, setBy, recipe }: Plan, reading: Reading): string {
	if (setBy === "meat") {
		return `${reading.mass(chain.asPurchased_kg)} on hand makes ${chain.portions} portions`;
	}
	if (chain.packs === undefined || recipe.pack_kg === undefined) return reading.mass(chain.asPurchased_kg);
	return `${reading.mass(chain.order_kg ?? 0)}, ${counted(chain.packs, recipe.rack ? "rack" : "pack")} of ${reading.mass(recipe.pack_kg)}`;
}
