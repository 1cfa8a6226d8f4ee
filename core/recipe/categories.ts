import type { Role } from "../trade/index.ts";

/** Where an ingredient comes from, for the diets it rules out. */
export const ORIGINS = ["plant", "meat", "pork", "fish", "milk", "egg", "honey", "alcohol"] as const;
export type Origin = (typeof ORIGINS)[number];

/** Who it is ordered from. */
export const SUPPLIERS = {
	butcher: "Butcher",
	fishmonger: "Fishmonger",
	greengrocer: "Greengrocer",
	dairy: "Dairy",
	cellar: "Cellar",
	dryStore: "Dry store",
} as const;
export type Supplier = keyof typeof SUPPLIERS;

interface Category {
	/** As a person reads it. */
	readonly words: string;
	/** The role a line of it usually has. */
	readonly role: Role;
	readonly origin: Origin;
	readonly supplier: Supplier;
}

/** What an ingredient is, and what usually follows from that. */
export const CATEGORIES = {
	meat: { words: "meat", role: "main", origin: "meat", supplier: "butcher" },
	poultry: { words: "poultry and game birds", role: "main", origin: "meat", supplier: "butcher" },
	fish: { words: "fish", role: "main", origin: "fish", supplier: "fishmonger" },
	shellfish: { words: "shellfish and squid", role: "main", origin: "fish", supplier: "fishmonger" },
	vegetable: { words: "vegetable", role: "vegetable", origin: "plant", supplier: "greengrocer" },
	fruit: { words: "fruit", role: "vegetable", origin: "plant", supplier: "greengrocer" },
	herb: { words: "fresh herb", role: "finishing", origin: "plant", supplier: "greengrocer" },
	spice: { words: "spice or dried herb", role: "potent", origin: "plant", supplier: "dryStore" },
	pulse: { words: "pulse", role: "side", origin: "plant", supplier: "dryStore" },
	grain: { words: "grain, flour or pasta", role: "side", origin: "plant", supplier: "dryStore" },
	thickener: { words: "thickener", role: "thickener", origin: "plant", supplier: "dryStore" },
	salt: { words: "salt or cure", role: "salt", origin: "plant", supplier: "dryStore" },
	sugar: { words: "sugar or syrup", role: "vegetable", origin: "plant", supplier: "dryStore" },
	condiment: { words: "condiment", role: "vegetable", origin: "plant", supplier: "dryStore" },
	acid: { words: "vinegar or juice", role: "finishing", origin: "plant", supplier: "dryStore" },
	nut: { words: "nut or seed", role: "finishing", origin: "plant", supplier: "dryStore" },
	fat: { words: "oil or fat", role: "searFat", origin: "plant", supplier: "dryStore" },
	dairy: { words: "dairy", role: "finishing", origin: "milk", supplier: "dairy" },
	egg: { words: "egg", role: "finishing", origin: "egg", supplier: "dairy" },
	wine: { words: "wine, cider or beer", role: "liquid", origin: "alcohol", supplier: "cellar" },
	stock: { words: "stock", role: "liquid", origin: "meat", supplier: "butcher" },
	water: { words: "water", role: "liquid", origin: "plant", supplier: "dryStore" },
} as const satisfies Record<string, Category>;

export type CategoryKey = keyof typeof CATEGORIES;
export const CATEGORY_KEYS = Object.keys(CATEGORIES) as CategoryKey[];
