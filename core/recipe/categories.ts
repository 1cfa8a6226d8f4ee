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
	/** Share of its weight that it gives up as liquid in a braise. */
	readonly givesWater: number;
	/** Whether it lies in the pan and takes room there; pastes, powders and sugars go into the liquid. */
	readonly takesRoom: boolean;
	/** Salt it brings where nothing nearer is known, g in 100 g. */
	readonly salt_pct: number;
}

/** Roots and onions give up about a third of their weight, soft fruit most of it. General practice. */
const ROOTS_GIVE = 0.35;
const SOFT_FRUIT_GIVES = 0.75;

/** What an ingredient is, and what usually follows from that. */
export const CATEGORIES = {
	meat: {
		words: "meat",
		role: "main",
		origin: "meat",
		supplier: "butcher",
		givesWater: 0,
		takesRoom: true,
		salt_pct: 0.15,
	},
	poultry: {
		words: "poultry and game birds",
		role: "main",
		origin: "meat",
		supplier: "butcher",
		givesWater: 0,
		takesRoom: true,
		salt_pct: 0.2,
	},
	fish: {
		words: "fish",
		role: "main",
		origin: "fish",
		supplier: "fishmonger",
		givesWater: 0,
		takesRoom: true,
		salt_pct: 0.3,
	},
	shellfish: {
		words: "shellfish and squid",
		role: "main",
		origin: "fish",
		supplier: "fishmonger",
		givesWater: 0,
		takesRoom: true,
		salt_pct: 0.7,
	},
	vegetable: {
		words: "vegetable",
		role: "vegetable",
		origin: "plant",
		supplier: "greengrocer",
		givesWater: ROOTS_GIVE,
		takesRoom: true,
		salt_pct: 0.1,
	},
	fruit: {
		words: "fruit",
		role: "vegetable",
		origin: "plant",
		supplier: "greengrocer",
		givesWater: SOFT_FRUIT_GIVES,
		takesRoom: true,
		salt_pct: 0,
	},
	herb: {
		words: "fresh herb",
		role: "finishing",
		origin: "plant",
		supplier: "greengrocer",
		givesWater: 0,
		takesRoom: false,
		salt_pct: 0,
	},
	spice: {
		words: "spice or dried herb",
		role: "potent",
		origin: "plant",
		supplier: "dryStore",
		givesWater: 0,
		takesRoom: false,
		salt_pct: 0.1,
	},
	pulse: {
		words: "pulse",
		role: "side",
		origin: "plant",
		supplier: "dryStore",
		givesWater: 0,
		takesRoom: true,
		salt_pct: 0,
	},
	grain: {
		words: "grain, flour or pasta",
		role: "side",
		origin: "plant",
		supplier: "dryStore",
		givesWater: 0,
		takesRoom: true,
		salt_pct: 0,
	},
	thickener: {
		words: "thickener",
		role: "thickener",
		origin: "plant",
		supplier: "dryStore",
		givesWater: 0,
		takesRoom: false,
		salt_pct: 0,
	},
	salt: {
		words: "salt or cure",
		role: "salt",
		origin: "plant",
		supplier: "dryStore",
		givesWater: 0,
		takesRoom: false,
		salt_pct: 100,
	},
	sugar: {
		words: "sugar or syrup",
		role: "vegetable",
		origin: "plant",
		supplier: "dryStore",
		givesWater: 0,
		takesRoom: false,
		salt_pct: 0,
	},
	condiment: {
		words: "condiment",
		role: "vegetable",
		origin: "plant",
		supplier: "dryStore",
		givesWater: 0,
		takesRoom: false,
		salt_pct: 4,
	},
	acid: {
		words: "vinegar or juice",
		role: "finishing",
		origin: "plant",
		supplier: "dryStore",
		givesWater: 0,
		takesRoom: false,
		salt_pct: 0,
	},
	nut: {
		words: "nut or seed",
		role: "finishing",
		origin: "plant",
		supplier: "dryStore",
		givesWater: 0,
		takesRoom: true,
		salt_pct: 0,
	},
	fat: {
		words: "oil or fat",
		role: "searFat",
		origin: "plant",
		supplier: "dryStore",
		givesWater: 0,
		takesRoom: false,
		salt_pct: 0,
	},
	dairy: {
		words: "dairy",
		role: "finishing",
		origin: "milk",
		supplier: "dairy",
		givesWater: 0,
		takesRoom: false,
		salt_pct: 0.1,
	},
	egg: {
		words: "egg",
		role: "finishing",
		origin: "egg",
		supplier: "dairy",
		givesWater: 0,
		takesRoom: false,
		salt_pct: 0.3,
	},
	wine: {
		words: "wine, cider or beer",
		role: "liquid",
		origin: "alcohol",
		supplier: "cellar",
		givesWater: 0,
		takesRoom: false,
		salt_pct: 0,
	},
	stock: {
		words: "stock",
		role: "liquid",
		origin: "meat",
		supplier: "butcher",
		givesWater: 0,
		takesRoom: false,
		salt_pct: 0.2,
	},
	water: {
		words: "water",
		role: "liquid",
		origin: "plant",
		supplier: "dryStore",
		givesWater: 0,
		takesRoom: false,
		salt_pct: 0,
	},
} as const satisfies Record<string, Category>;

export type CategoryKey = keyof typeof CATEGORIES;
export const CATEGORY_KEYS = Object.keys(CATEGORIES) as CategoryKey[];
