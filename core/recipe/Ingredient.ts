import type { Allergen } from "./allergens.ts";

/** What the computation needs to know of an ingredient. */
export interface Ingredient {
	readonly id: string;
	readonly name: string;
	/** g/ml, for what is measured by volume. */
	readonly density_g_per_ml: number | null;
	/** g of one, for what is counted. */
	readonly each_g: number | null;
	readonly allergens: readonly Allergen[];
}
