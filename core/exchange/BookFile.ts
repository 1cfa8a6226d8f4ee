import { type Static, Type } from "@sinclair/typebox";
import { Grams, Loss, Name, oneOf } from "../check/index.ts";
import {
	ALLERGEN_NAMES,
	CATEGORY_KEYS,
	ORIGINS,
	Preparation,
	Recipe,
	Slug,
	SUPPLIERS,
	type Supplier,
} from "../recipe/index.ts";
import { CUTS } from "../trade/index.ts";

const Instant = Type.Integer({
	minimum: 0,
	maximum: 4_102_444_800_000,
	allowed: "milliseconds since 1970, before the year 2100",
});
const Who = Type.String({ minLength: 1, maxLength: 60, allowed: "a name of 1 to 60 characters" });
const Reason = Type.String({ maxLength: 300, allowed: "a reason of up to 300 characters" });
const Minor = Type.Integer({ minimum: 0, maximum: 1e12, allowed: "whole minor units of money from 0" });
const WholeGrams = Type.Integer({ minimum: 1, maximum: 1e9, allowed: "whole grams from 1" });

/** What a pack costs from an instant on. */
export const PriceEntry = Type.Object(
	{ pack_g: WholeGrams, price_minor: Minor, from: Instant },
	{ additionalProperties: false },
);

/** An ingredient that is bought, with its prices so far, the oldest first. */
export const IngredientEntry = Type.Object(
	{
		id: Slug,
		name: Name,
		category: oneOf(CATEGORY_KEYS),
		cut: Type.Optional(oneOf(CUTS)),
		origins: Type.Array(oneOf(ORIGINS), { maxItems: ORIGINS.length, uniqueItems: true }),
		supplier: Type.Optional(oneOf(Object.keys(SUPPLIERS) as Supplier[])),
		density_g_per_ml: Type.Optional(
			Type.Number({ minimum: 0.05, maximum: 5, allowed: "a density from 0.05 to 5 g/ml" }),
		),
		each_g: Type.Optional(Grams),
		trimLoss: Loss,
		/** What it does in a pan, where that is another than its name and category say. */
		givesWater: Type.Optional(Loss),
		takesRoom: Type.Optional(Type.Boolean()),
		salt_pct: Type.Optional(
			Type.Number({ minimum: 0, maximum: 100, allowed: "grams of salt in 100 g, from 0 to 100" }),
		),
		/** False while nobody has described its allergens: then it is free of none. */
		described: Type.Optional(Type.Boolean()),
		allergens: Type.Array(oneOf(ALLERGEN_NAMES), { uniqueItems: true }),
		mayContain: Type.Array(oneOf(ALLERGEN_NAMES), { uniqueItems: true }),
		pack_g: Type.Optional(WholeGrams),
		mergedInto: Type.Optional(Slug),
		prices: Type.Array(PriceEntry, { maxItems: 10_000 }),
	},
	{ additionalProperties: false },
);
export type IngredientEntry = Static<typeof IngredientEntry>;

export const LifeEntry = Type.Object(
	{
		state: oneOf(["tested", "standard", "retired"] as const),
		at: Instant,
		who: Who,
		reason: Reason,
	},
	{ additionalProperties: false },
);
export type LifeEntry = Static<typeof LifeEntry>;

/** One numbered version with its life so far, the oldest first. */
export const VersionEntry = Type.Object(
	{
		number: Type.Integer({ minimum: 1, maximum: 100_000, allowed: "a whole number from 1" }),
		doc: Type.Unsafe<Recipe | Preparation>({
			type: "object",
			required: ["format"],
			discriminator: { propertyName: "format" },
			oneOf: [Recipe, Preparation],
		}),
		createdAt: Instant,
		createdBy: Who,
		reason: Reason,
		life: Type.Array(LifeEntry, { minItems: 1, maxItems: 1000, allowed: "at least one state" }),
	},
	{ additionalProperties: false },
);
export type VersionEntry = Static<typeof VersionEntry>;

export const RecipeEntry = Type.Object(
	{
		id: Slug,
		menuPrice_minor: Type.Optional(Minor),
		/** By number, the lowest first. */
		versions: Type.Array(VersionEntry, { minItems: 1, maxItems: 10_000, allowed: "at least one version" }),
	},
	{ additionalProperties: false },
);
export type RecipeEntry = Static<typeof RecipeEntry>;

/** A book, or a part of one: ingredients with prices, recipes with all their versions. */
export const BookFile = Type.Object(
	{
		format: Type.Literal("wide-table/book"),
		formatVersion: Type.Literal(1),
		/** ISO 4217 code of all its money. */
		currency: Type.String({ pattern: "^[A-Z]{3}$", allowed: "a currency of three letters, such as EUR" }),
		ingredients: Type.Array(IngredientEntry),
		recipes: Type.Array(RecipeEntry),
	},
	{
		$id: "https://wide-table.invalid/book-1.schema.json",
		title: "Wide Table book",
		additionalProperties: false,
	},
);
export type BookFile = Static<typeof BookFile>;

/** An empty book. */
export function emptyBook(currency: string): BookFile {
	return { format: "wide-table/book", formatVersion: 1, currency, ingredients: [], recipes: [] };
}
