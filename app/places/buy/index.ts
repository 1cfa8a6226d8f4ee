import type { WorkedDish } from "#core/day";
import { ordered_kg, startAt } from "#core/dish";
import { wantedWorking } from "#core/yields";
import type { Fact } from "../../ui/parts/Facts.tsx";
import type { Shown } from "../../ui/parts/shown.ts";
import { counted, type Reading } from "../../ui/words/reading.ts";
import { NO_LINES, type Place } from "../Place.ts";
import { boughtOf } from "../shownAt.ts";
import { present } from "../sums.ts";
import { mainName, portionWords } from "../words.ts";
import { makingView } from "./making.view.ts";
import { spareWords } from "./spareWords.ts";

export const buy: Place = {
	key: "buy",
	figure: ({ plan, reading }) => bought(plan, reading),
	task: (_, { plan, reading }) =>
		`${plan.setBy === "meat" ? "Check in" : "Order"} ${bought(plan, reading)} of ${mainName(plan)}`,
	headline: ({ plan, reading }) => ({
		title: title(plan, reading),
		says: `Order by ${reading.clock(startAt(plan, "buy"))}. ${plan.chain.portions} portions, ${portionWords(plan, reading)}.`,
		facts: [
			...boughtFacts(plan, reading),
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
	// What is bought stands in its own table, as purchased.
	takes: NO_LINES,
	drawing: (given) => makingView(given) ?? undefined,
	sums: ({ plan: { order, sums } }) => [
		wantedWorking(order),
		...present(
			sums.made,
			sums.taken,
			sums.pieces,
			sums.trimmed,
			sums.cooked,
			sums.asPurchased,
			sums.packs,
			sums.order,
		),
	],
};

/** One story: what is needed, what is ordered for it, and what of that is over. */
function boughtFacts(plan: WorkedDish, { mass }: Reading): Fact[] {
	const { chain, setBy, order } = plan;
	const { asPurchased_kg: needed_kg, order_kg = needed_kg } = chain;
	const needed: Shown = { what: "needed", of: order.id, value: needed_kg };
	if (setBy === "meat") return [{ figure: mass(needed_kg), label: "on hand" }];
	return [
		{ figure: mass(needed_kg), label: "needed", shown: needed },
		{ figure: mass(order_kg), label: "ordered", shown: boughtOf(plan) },
		{ figure: spareWords(chain, { mass }), label: "spare" },
	];
}

function bought({ chain }: WorkedDish, reading: Reading): string {
	return reading.mass(ordered_kg(chain));
}

function title({ chain, setBy, recipe }: WorkedDish, reading: Reading): string {
	if (setBy === "meat") {
		return `${reading.mass(chain.asPurchased_kg)} on hand makes ${chain.portions} portions`;
	}
	if (chain.packs === undefined || recipe.pack_kg === undefined) return reading.mass(chain.asPurchased_kg);
	return `${reading.mass(chain.order_kg ?? 0)}, ${counted(chain.packs, recipe.rack ? "rack" : "pack")} of ${reading.mass(recipe.pack_kg)}`;
}
