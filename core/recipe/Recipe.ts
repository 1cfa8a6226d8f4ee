import { type Static, Type } from "@sinclair/typebox";
import {
	Celsius,
	Count,
	Grams,
	Kilograms,
	Loss,
	MillimetresOrNone,
	Minutes,
	Name,
	oneOf,
} from "../check/index.ts";
import { LineBelowTop, LineByShare, LineOverTop, Piece } from "../pans/index.ts";
import { UNITS, type UnitName } from "../quantity/index.ts";
import { CUTS, GROUPS, HEAT_WAYS, LID_KEYS, PLACES, ROLES } from "../trade/index.ts";
import { Losses, PortionByPiece, PortionByWeight } from "../yields/index.ts";
import { CutSize } from "./cutSize.ts";
import { SCHOOL_QUESTIONS, Schools } from "./schools.ts";

const Text = Type.String({ minLength: 1, maxLength: 600, allowed: "text of 1 to 600 characters" });
/** The format version of recipe and preparation documents that is written today. */
export const DOC_VERSION = 1;

export const Summary = Type.String({ maxLength: 400, allowed: "text of up to 400 characters" });
export const Slug = Type.String({
	pattern: "^[a-z0-9-]{1,60}$",
	allowed: "1 to 60 of a to z, 0 to 9 and -",
});
export const Tags = Type.Array(
	Type.String({ minLength: 1, maxLength: 30, allowed: "words of 1 to 30 characters" }),
	{ maxItems: 20, allowed: "up to 20 tags" },
);

/** What may stand in place of a line on a day, in the amount that the card would have of it. */
export const Substitute = Type.Object(
	{
		ingredient: Slug,
		amount: Type.Number({ exclusiveMinimum: 0, maximum: 1_000_000, allowed: "an amount above 0" }),
		unit: oneOf(Object.keys(UNITS) as UnitName[]),
	},
	{ additionalProperties: false },
);
export type Substitute = Static<typeof Substitute>;

export const RecipeLine = Type.Object(
	{
		/** Slug of the ingredient, bought or made in the house. */
		ingredient: Slug,
		amount: Type.Number({ exclusiveMinimum: 0, maximum: 1_000_000, allowed: "an amount above 0" }),
		unit: oneOf(Object.keys(UNITS) as UnitName[]),
		role: oneOf(ROLES),
		group: oneOf(GROUPS),
		preparation: Type.Optional(Type.String({ maxLength: 200 })),
		/** How it is cut, where that decides when it is tender. */
		cut: Type.Optional(CutSize),
		/** Damping of a potent line. */
		exponent: Type.Optional(Type.Number({ minimum: 0.5, maximum: 1, allowed: "an exponent from 0.5 to 1" })),
		/** Share left of a liquid that is boiled down before it goes in. */
		reducedTo: Type.Optional(
			Type.Number({ exclusiveMinimum: 0, maximum: 1, allowed: "a share above 0 and up to 1" }),
		),
		/** Cooked apart, so it takes no room in the pan. */
		apart: Type.Optional(Type.Boolean()),
		/** Share lost in cleaning it, where it is another than the ingredient's own. */
		trimLoss: Type.Optional(Loss),
		/** Joins late: minutes before the end of the braise. */
		late_min: Type.Optional(Minutes),
		/** Goes on the meat while it is marinated or rubbed. */
		marinade: Type.Optional(Type.Boolean()),
		/** The question between schools whose answer put the line here. */
		school: Type.Optional(oneOf(SCHOOL_QUESTIONS)),
		/** What may stand in its place, the nearest first. */
		substitutes: Type.Optional(
			Type.Array(Substitute, { minItems: 1, maxItems: 5, allowed: "1 to 5 substitutes" }),
		),
	},
	{ additionalProperties: false },
);
export type RecipeLine = Static<typeof RecipeLine>;

/** What a step of something made in the house needs to be hot. */
export const STEP_HEATS = ["burner", "oven"] as const;
/** When a step stands apart from those before it. */
export const STEP_WHENS = ["dayBefore", "last"] as const;

export const RecipeStep = Type.Object(
	{
		place: oneOf(PLACES),
		text: Text,
		station: Type.String({ minLength: 1, maxLength: 60 }),
		/** One cook's minutes at the card's size. */
		handsOn_min: Minutes,
		/** Minutes nobody stands there; they do not grow with the batch. */
		waiting_min: Minutes,
		/** Whether hands-on minutes grow with the weight or stay as they are. */
		grows: oneOf(["withWeight", "fixed"] as const),
		temperature_C: Type.Optional(Celsius),
		tools: Type.Optional(Text),
		caution: Type.Optional(Text),
		check: Type.Optional(Text),
		school: Type.Optional(oneOf(SCHOOL_QUESTIONS)),
		/** What it stands on; a worktop where it is absent. Told of what is made in the house. */
		heat: Type.Optional(oneOf(STEP_HEATS)),
		/** The day before, as soaking is, or at the very last; in one go with what is before it where it is absent. */
		when: Type.Optional(oneOf(STEP_WHENS)),
	},
	{ additionalProperties: false },
);
export type RecipeStep = Static<typeof RecipeStep>;

/** Another main in the same pans: its line has the role “second”. It joins so that both are tender at the lift. */
export const SecondMain = Type.Object(
	{
		cut: oneOf(CUTS),
		losses: Losses,
		/** One trimmed piece. */
		piece: Piece,
	},
	{ additionalProperties: false },
);
export type SecondMain = Static<typeof SecondMain>;

/** Slices laid over everything, steamed under the cover: their lines have the role “topping”. */
export const Topping = Type.Object(
	{
		thickness_mm: Type.Number({
			minimum: 2,
			maximum: 60,
			allowed: "a topping from 2 to 60 mm thick",
		}),
	},
	{ additionalProperties: false },
);

/** What a dish is served in; on plates where nobody says. */
export const SERVED_IN = ["plates", "platters", "buffet", "boxes", "pulled"] as const;
export type ServedIn = (typeof SERVED_IN)[number];

/** How it leaves the kitchen. */
export const Serving = Type.Object(
	{
		/** Guests that one platter is for. */
		platterFor: Type.Optional(
			Type.Integer({ minimum: 2, maximum: 40, allowed: "a platter for 2 to 40 guests" }),
		),
		/** How a plate is built, from the bottom up. */
		order: Type.Optional(
			Type.Array(Type.String({ minLength: 1, maxLength: 60, allowed: "words of 1 to 60 characters" }), {
				minItems: 1,
				maxItems: 12,
				allowed: "1 to 12 things, in their order",
			}),
		),
		/** People side by side on the line. */
		people: Type.Optional(Type.Integer({ minimum: 1, maximum: 40, allowed: "1 to 40 people" })),
		/** Pulled into another dish: what is lost again, and what a portion of that dish takes. */
		pulled: Type.Optional(Type.Object({ loss: Loss, portion_g: Grams }, { additionalProperties: false })),
	},
	{ additionalProperties: false },
);
export type Serving = Static<typeof Serving>;

const Note = Type.String({ minLength: 1, maxLength: 400, allowed: "text of 1 to 400 characters" });

/** The card that a variant goes back to, and the number of it whose changes it has seen. */
export const VariantOf = Type.Object(
	{
		recipe: Slug,
		number: Type.Integer({ minimum: 1, maximum: 100_000, allowed: "the number of a version" }),
	},
	{ additionalProperties: false },
);
export type VariantOf = Static<typeof VariantOf>;

/**
 * One version of a standard recipe. Amounts are those of the card's own `portions`;
 * the main line is its trimmed weight. Searing fat is for one load, thickener for one
 * litre of finished sauce.
 */
export const Recipe = Type.Object(
	{
		format: Type.Literal("wide-table/recipe"),
		formatVersion: Type.Literal(DOC_VERSION),
		name: Name,
		summary: Summary,
		tags: Type.Optional(Tags),
		variantOf: Type.Optional(VariantOf),
		/** Months in which it is at its best, 1 to 12; all year where it is absent. */
		season: Type.Optional(
			Type.Array(Type.Integer({ minimum: 1, maximum: 12, allowed: "months from 1 to 12" }), {
				minItems: 1,
				maxItems: 12,
				uniqueItems: true,
				allowed: "1 to 12 months",
			}),
		),
		/** Where it comes from, or what it goes back to. */
		origin: Type.Optional(Note),
		/** Wine, beer and what else is drunk with it. */
		drinks: Type.Optional(Note),
		cut: oneOf(CUTS),
		portions: Count,
		portion: Type.Union([PortionByWeight, PortionByPiece]),
		losses: Losses,
		pack_kg: Type.Optional(Kilograms),
		/** Bought as racks, each a pack, and cut along the bone: its bones, and those of one piece. */
		rack: Type.Optional(
			Type.Object(
				{
					bones: Type.Integer({ minimum: 2, maximum: 20, allowed: "a rack of 2 to 20 bones" }),
					perPiece: Type.Integer({ minimum: 1, maximum: 10, allowed: "1 to 10 bones a piece" }),
				},
				{ additionalProperties: false },
			),
		),
		/** Days before the sitting on which it is ordered. */
		orderLead_days: Type.Integer({ minimum: 0, maximum: 28 }),
		/** One trimmed piece. */
		piece: Piece,
		gap_mm: MillimetresOrNone,
		/** How pieces lie on one another: small soft ones two deep, cubes poured as they fall. One layer where it is absent. */
		layers: Type.Optional(
			Type.Union([Type.Literal(1), Type.Literal(2), Type.Literal("poured")], {
				allowed: "1 layer, 2, or poured as they fall",
			}),
		),
		second: Type.Optional(SecondMain),
		topping: Type.Optional(Topping),
		lines: Type.Array(RecipeLine, { minItems: 1, maxItems: 200 }),
		marinate: Type.Optional(Type.Object({ minutes: Minutes, longest_min: Minutes, container: Text })),
		sear: Type.Optional(
			Type.Object({
				sides: Type.Integer({ minimum: 1, maximum: 6 }),
				minutesPerSide: Minutes,
				recovery_min: Minutes,
				gap_mm: MillimetresOrNone,
				/** In the pot that it is braised in: one vessel from the first piece to the lift. */
				inPot: Type.Optional(Type.Boolean()),
			}),
		),
		braise: Type.Object({
			line: Type.Union([LineByShare, LineBelowTop, LineOverTop]),
			lid: oneOf(LID_KEYS),
			/** In the oven where it is absent. */
			heat: Type.Optional(oneOf(HEAT_WAYS)),
			/** What its oven, cooker or bath may be set to, and what the card is tested at; a hob holds a simmer. */
			oven_C: Type.Object({ low: Celsius, set: Celsius, high: Celsius }),
			/** Hotter at first, for so many minutes; then as set. */
			hotStart: Type.Optional(
				Type.Object(
					{
						set_C: Celsius,
						minutes: Type.Integer({
							minimum: 5,
							maximum: 120,
							allowed: "whole minutes from 5 to 120",
						}),
					},
					{ additionalProperties: false },
				),
			),
			/** The cover is off for so many minutes at the end. */
			uncovered_min: Type.Optional(
				Type.Integer({ minimum: 1, maximum: 240, allowed: "whole minutes from 1 to 240" }),
			),
		}),
		rest_min: Minutes,
		/** How the card finishes its sauce: by how much it is reduced, a share of what is taken. */
		finish: Type.Optional(
			Type.Object(
				{
					reduceBy: Type.Number({ minimum: 0, maximum: 0.9, allowed: "a share from 0 to 0.9 (90 %)" }),
				},
				{ additionalProperties: false },
			),
		),
		/** On plates where it is absent. */
		servedIn: Type.Optional(oneOf(SERVED_IN)),
		serving: Type.Optional(Serving),
		sauce_ml: Type.Number({ minimum: 0, maximum: 1000, allowed: "ml a portion from 0 to 1,000" }),
		/** What was chosen where practitioners disagree. */
		schools: Type.Optional(Schools),
		steps: Type.Array(RecipeStep, { minItems: 1, maxItems: 100 }),
	},
	{ additionalProperties: false },
);
export type Recipe = Static<typeof Recipe>;
