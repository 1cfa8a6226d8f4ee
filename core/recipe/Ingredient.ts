import type { Cut } from "../trade/index.ts";
import type { Allergen } from "./allergens.ts";
import { CATEGORIES, type CategoryKey, type Origin, type Supplier } from "./categories.ts";

/** What the computation needs to know of an ingredient, bought or made in the house. */
export interface Ingredient {
	readonly id: string;
	readonly name: string;
	readonly category: CategoryKey;
	/** The cut it is, where the table of cuts has it. */
	readonly cut: Cut | null;
	/** Everything it comes from; a plant alone for most. */
	readonly origins: readonly Origin[];
	readonly supplier: Supplier;
	/** g/ml, for what is measured by volume. */
	readonly density_g_per_ml: number | null;
	/** g of one, for what is counted. */
	readonly each_g: number | null;
	/** Share of its weight that it gives up as liquid in a braise; null where its name and category say it. */
	readonly givesWater: number | null;
	/** Whether it lies in the pan and takes room there; null where its name and category say it. */
	readonly takesRoom: boolean | null;
	/** Salt in 100 g of it, g; null where its name and category say it. */
	readonly salt_pct: number | null;
	/** Gelatin of a stock made in the house, g a litre; null where its name and category say it. */
	readonly gelatin_g_per_l: number | null;
	/** Share lost in cleaning it, where a line does not say its own. */
	readonly trimLoss: number;
	/** Whether its allergens are described: only then is it free of those it does not name. */
	readonly described: boolean;
	readonly allergens: readonly Allergen[];
	/** What it may carry traces of. */
	readonly mayContain: readonly Allergen[];
	/** Usual pack, g. */
	readonly pack_g: number | null;
	/** Price of a kilo as purchased, minor units of the house's currency; null until it is known. */
	readonly pricePerKg_minor: number | null;
	/** Of what is made in the house: which of its own ingredients bring what. */
	readonly made: Made | null;
}

/** What is inside a thing made in the house. */
export interface Made {
	/** Names of the ingredients that bring an allergen. */
	readonly from: Readonly<Partial<Record<Allergen, readonly string[]>>>;
	/** Names of the ingredients whose allergens are not described. */
	readonly notDescribed: readonly string[];
	/** Names of the ingredients whose price is not known. */
	readonly withoutPrice: readonly string[];
}

type Given = Pick<Ingredient, "id" | "name"> & Partial<Ingredient>;

/** An ingredient with what follows from its category where nothing else is said. */
export function ingredient({ category = "vegetable", ...given }: Given): Ingredient {
	const usual = CATEGORIES[category];
	return {
		origins: [usual.origin],
		supplier: usual.supplier,
		cut: null,
		density_g_per_ml: null,
		each_g: null,
		givesWater: null,
		takesRoom: null,
		salt_pct: null,
		gelatin_g_per_l: null,
		trimLoss: 0,
		described: true,
		allergens: [],
		mayContain: [],
		pack_g: null,
		pricePerKg_minor: null,
		made: null,
		...given,
		category,
	};
}
