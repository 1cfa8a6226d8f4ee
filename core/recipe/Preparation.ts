import { type Static, Type } from "@sinclair/typebox";
import { Minutes, Name, oneOf } from "../check/index.ts";
import { UNITS, type UnitName } from "../quantity/index.ts";
import { CATEGORY_KEYS } from "./categories.ts";
import { DOC_VERSION, RecipeLine, RecipeStep, Summary, Tags } from "./Recipe.ts";

/** Units that what is made can be measured in. */
export const MAKES_UNITS = (Object.keys(UNITS) as UnitName[]).filter(
	(name) => UNITS[name].dimension === "mass" || UNITS[name].dimension === "volume",
);

/**
 * Something made in the house and used as an ingredient: a stock, a spice rub, a purée.
 * Its amounts are for what it makes; all lines scale straight with that.
 */
export const Preparation = Type.Object(
	{
		format: Type.Literal("wide-table/preparation"),
		formatVersion: Type.Literal(DOC_VERSION),
		name: Name,
		summary: Summary,
		tags: Type.Optional(Tags),
		category: oneOf(CATEGORY_KEYS),
		makes: Type.Object({
			amount: Type.Number({ exclusiveMinimum: 0, maximum: 1_000_000, allowed: "an amount above 0" }),
			unit: oneOf(MAKES_UNITS),
		}),
		density_g_per_ml: Type.Optional(
			Type.Number({ minimum: 0.1, maximum: 3, allowed: "a density from 0.1 to 3 g/ml" }),
		),
		/** Gelatin of a stock: it stays liquid cold under 6, trembles at 12, stands at 25. */
		gelatin_g_per_l: Type.Optional(
			Type.Number({ minimum: 0, maximum: 120, allowed: "grams of gelatin a litre, from 0 to 120" }),
		),
		/** How long it holds, covered and hot, when it is done. */
		holds_min: Type.Optional(Minutes),
		/** Days that it keeps cold, the day it is made counted. */
		keeps_days: Type.Optional(
			Type.Integer({ minimum: 1, maximum: 730, allowed: "whole days from 1 to 730" }),
		),
		lines: Type.Array(RecipeLine, { minItems: 1, maxItems: 200 }),
		steps: Type.Array(RecipeStep, { maxItems: 100 }),
	},
	{ additionalProperties: false },
);
export type Preparation = Static<typeof Preparation>;
