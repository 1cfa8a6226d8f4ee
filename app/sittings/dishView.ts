import { pansWords, placesOf } from "../ui/places.ts";
import type { PlannedDishRow } from "../ui/planned.server.ts";
import { percentTyped, type Reading } from "../ui/reading.ts";
import { warningWords } from "../ui/warningWords.ts";

/** A dish on its sitting in brief: its figures, or why there are none. Only days other than that of service are named. @param standards numbers in use, by recipe */
export function dishView(
	{ dish, plan, refused }: PlannedDishRow,
	serviceAt: number,
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
		uptake: percentTyped(dish.uptake),
		spare: percentTyped(dish.spare),
	};
	if (!plan) return { ...base, refused: refused ?? "", figures: null, warnings: [] };
	const [first] = placesOf(dish.recipe, plan, reading)
		.filter(({ key }) => key !== "buy")
		.sort((a, b) => a.at - b.at);
	return {
		...base,
		refused: null,
		warnings: plan.warnings.map((warning) => warningWords(warning, reading).says),
		figures: [
			{ figure: String(plan.chain.portions), label: "portions" },
			{ figure: reading.mass(plan.chain.order_kg ?? plan.chain.asPurchased_kg), label: "to buy" },
			{ figure: pansWords(plan), label: "pans" },
			{
				figure: first ? reading.clockAfter(first.at, serviceAt) : "",
				label: `${first?.label.toLowerCase() ?? ""} from`,
			},
			{ figure: reading.clockAfter(plan.clock.in, serviceAt), label: "in the oven" },
		],
	};
}

export type DishView = ReturnType<typeof dishView>;
