import { ordered_kg, startAt } from "#core/dish";
import type { Kitchen } from "#core/kitchen";
import { heatOf } from "#core/recipe";
import { type HeatWay, PLACE_WORDS, type PlaceKey } from "#core/trade";
import { tasksOf } from "../places/index.ts";
import { boughtOf, startShown } from "../places/shownAt.ts";
import { pansWords } from "../places/words.ts";
import type { WorkedRow } from "../ui/server/worked.server.ts";
import { percent, percentTyped, type Reading } from "../ui/words/reading.ts";
import { uptakeTyped } from "../ui/words/uptakeTyped.ts";
import { warningsNow } from "../ui/words/warningsNow.ts";
import { warningWords } from "../ui/words/warningWords.ts";

/** A dish on its sitting in brief: its figures, or why there are none. Only days other than that of service are named. @param standards numbers in use, by recipe */
export function dishView(
	{ dish, plan, refused }: WorkedRow,
	serviceAt: number,
	kitchen: Kitchen,
	reading: Reading,
	standards: ReadonlyMap<string, number>,
) {
	const current = standards.get(dish.recipeId);
	const base = {
		id: dish.id,
		recipeId: dish.recipeId,
		/** The standard that has come since, where it is another. */
		newer: current !== undefined && current > dish.number ? current : null,
		name: dish.recipe.name,
		number: dish.number,
		uptake: uptakeTyped(dish),
		uptakeAfter:
			dish.share === null ? "%" : dish.share.by === "rest" ? `now ${percent(dish.uptake)}` : undefined,
		spare: percentTyped(dish.spare),
		/** Whether its portions follow the covers. */
		byCovers: dish.basis === "covers",
	};
	if (!plan) return { ...base, portions: null, refused: refused ?? "", figures: null, warnings: [] };
	const first = tasksOf({ plan, kitchen, reading }).find(({ key }) => key !== "buy");
	return {
		...base,
		portions: plan.chain.portions,
		refused: null,
		warnings: warningsNow(plan, kitchen, reading).map((warning) => warningWords(warning, reading).says),
		figures: [
			{
				figure: String(plan.chain.portions),
				label: "portions",
				shown: { what: "portions" as const, of: dish.id, value: plan.chain.portions },
			},
			{
				figure: reading.mass(ordered_kg(plan.chain)),
				label: plan.order.basis.from === "onHand" ? "on hand" : "to buy",
				shown: boughtOf(plan),
			},
			{ figure: pansWords(plan), label: "pans" },
			{
				figure: first ? reading.clockAfter(first.at, serviceAt) : "",
				label: `${first ? wordFor(first.key) : ""} from`,
			},
			{
				figure: reading.clockAfter(startAt(plan, "braise"), serviceAt),
				label: IN[heatOf(plan.recipe)],
				shown: startShown(plan, "braise"),
			},
		],
	};
}

/** Where it is from then on. */
const IN: Readonly<Record<HeatWay, string>> = {
	oven: "in the oven",
	hob: "on the hob",
	slowCooker: "in the slow cooker",
	pressure: "under pressure",
	bath: "in the bath",
};

export type DishView = ReturnType<typeof dishView>;

function wordFor(key: PlaceKey): string {
	return PLACE_WORDS[key].toLowerCase();
}
