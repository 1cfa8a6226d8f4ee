import { DIETS, type DietCount, dietsAnswered } from "#core/recipe";
import type { WorkedRow } from "../ui/server/worked.server.ts";

/** Guests of one diet as the sitting shows them. */
export interface DietView {
	/** "6 no gluten" */
	readonly words: string;
	readonly short: number;
	readonly shortWords: string;
	readonly suits: string;
	/** Dishes that do not suit, with what is in the way. */
	readonly not: readonly string[];
}

/** The diets of a sitting checked against its planned dishes. */
export function dietViews(counts: readonly DietCount[], rows: readonly WorkedRow[]): DietView[] {
	const dishes = rows.flatMap(({ dish, plan }) =>
		plan
			? [
					{
						name: dish.recipe.name,
						portions: plan.chain.portions,
						ingredients: plan.lines.map(({ ingredient }) => ingredient),
					},
				]
			: [],
	);
	return dietsAnswered(counts, dishes).map(({ diet, covers, suits, not, short }) => ({
		words: `${covers} ${DIETS[diet].words}`,
		short,
		shortWords:
			suits.length === 0
				? "no dish suits"
				: `${short} without a portion; ${suits.map(({ dish, portions }) => `${dish} makes ${portions}`).join(", ")}`,
		suits: suits.map(({ dish }) => dish).join(", "),
		not: not.map(({ dish, because }) => `${dish}: not with ${because.join(", ")}`),
	}));
}
