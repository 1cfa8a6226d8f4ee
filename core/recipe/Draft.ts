import { type Static, Type } from "@sinclair/typebox";
import { oneOf } from "../check/index.ts";
import { GROUPS, PLACES, ROLES } from "../trade/index.ts";
import { STEP_HEATS, STEP_WHENS } from "./Recipe.ts";
import { SCHOOL_QUESTIONS, Schools } from "./schools.ts";

const Typed = Type.String({ maxLength: 1000, allowed: "text of up to 1,000 characters" });
const Key = Type.String({ minLength: 1, maxLength: 40, allowed: "a key of 1 to 40 characters" });

/** A line as a cook types it, and what was chosen beside the text. */
export const DraftLine = Type.Object(
	{
		key: Key,
		text: Typed,
		group: oneOf(GROUPS),
		/** Empty where the proposed role stands. */
		role: oneOf(["", ...ROLES] as const),
		exponent: Typed,
		school: Type.Optional(oneOf(SCHOOL_QUESTIONS)),
	},
	{ additionalProperties: false },
);
export type DraftLine = Static<typeof DraftLine>;

export const DraftStep = Type.Object(
	{
		key: Key,
		place: oneOf(PLACES),
		text: Typed,
		station: Typed,
		handsOn: Typed,
		waiting: Typed,
		grows: oneOf(["withWeight", "fixed"] as const),
		temperature: Typed,
		tools: Typed,
		caution: Typed,
		check: Typed,
		/** Empty where it stands on no heat, and where it follows the step before it. */
		heat: Type.Optional(oneOf(["", ...STEP_HEATS] as const)),
		when: Type.Optional(oneOf(["", ...STEP_WHENS] as const)),
		school: Type.Optional(oneOf(SCHOOL_QUESTIONS)),
	},
	{ additionalProperties: false },
);
export type DraftStep = Static<typeof DraftStep>;

/**
 * A recipe in the making: everything as it was typed, whether it holds yet or not.
 * @see readDraft for what it says, draftOf for a version as a draft again
 */
export const Draft = Type.Object(
	{
		kind: oneOf(["dish", "preparation"] as const),
		fields: Type.Record(Type.String({ maxLength: 40 }), Typed),
		lines: Type.Array(DraftLine, { maxItems: 200, allowed: "up to 200 lines" }),
		steps: Type.Array(DraftStep, { maxItems: 100, allowed: "up to 100 steps" }),
		schools: Schools,
	},
	{ additionalProperties: false },
);
export type Draft = Static<typeof Draft>;

/** Fields of a dish with what an empty draft starts from: usual figures, to be corrected. */
export const DISH_FIELDS = {
	name: "",
	summary: "",
	tags: "",
	/** Whose pints bare ones are: us or uk; empty means us. */
	measures: "",
	cut: "porkShoulder",
	portions: "10",
	portionBy: "weight",
	portion: "165 g",
	piecesPerPortion: "1",
	bought: "",
	trimLoss: "10",
	boneShare: "",
	cookingLoss: "36",
	pack: "",
	orderLead: "3",
	shape: "block",
	length: "85",
	width: "60",
	height: "50",
	diameter: "60",
	pieceWeight: "260 g",
	gap: "10",
	layers: "1",
	marinated: "",
	marinateFor: "",
	marinateMost: "",
	container: "",
	seared: "yes",
	sides: "4",
	minutesPerSide: "1.5",
	recovery: "2",
	searGap: "15",
	/** Seared in the pot that it is braised in: yes. */
	searIn: "",
	/** Bones of a rack that a pack is, and of one piece; empty where it comes in no racks. */
	rackBones: "",
	pieceBones: "1",
	lineBy: "below",
	lineAt: "15",
	lid: "foil",
	/** Where it is made tender: a key of the heats. */
	heat: "oven",
	ovenLow: "140",
	ovenSet: "150",
	ovenHigh: "165",
	/** A hot start: °C and minutes; empty where there is none. */
	hotAt: "",
	hotFor: "",
	/** Minutes at the end without the cover; empty where it stays on. */
	uncovered: "",
	rest: "20",
	sauce: "70 ml",
	servedIn: "plates",
	/** Per cent; empty where the usual reduction stands. */
	reducedBy: "",
	/** A second main in the same pans: yes, and what it is. */
	second: "",
	secondCut: "porkShoulder",
	secondTrim: "5",
	secondBone: "",
	secondLoss: "25",
	secondShape: "block",
	secondLength: "60",
	secondWidth: "40",
	secondHeight: "40",
	secondDiameter: "40",
	secondWeight: "90 g",
	/** How thick a topping lies, mm; empty where there is none. */
	topping: "",
	platterFor: "",
	/** What goes on the plate, from the bottom up, by commas. */
	platedAs: "",
	linePeople: "",
	pulledLoss: "5",
	pulledPortion: "120 g",
	/** Months, as "Sep–Nov" or "9, 10, 11"; empty means all year. */
	season: "",
	origin: "",
	drinks: "",
	/** The card it is a variant of and the number it has seen: "pork-collar 2"; empty where it is none. */
	variantOf: "",
} as const;
export type DishField = keyof typeof DISH_FIELDS;

/** The fields that say the shape, the sides and the weight of a piece. */
export type PieceFields = Readonly<
	Record<"shape" | "weight" | "length" | "width" | "height" | "diameter", DishField>
>;

export const PIECE_FIELDS: PieceFields = {
	shape: "shape",
	weight: "pieceWeight",
	length: "length",
	width: "width",
	height: "height",
	diameter: "diameter",
};

/** The same of a second main. */
export const SECOND_PIECE_FIELDS: PieceFields = {
	shape: "secondShape",
	weight: "secondWeight",
	length: "secondLength",
	width: "secondWidth",
	height: "secondHeight",
	diameter: "secondDiameter",
};

export const PREPARATION_FIELDS = {
	name: "",
	summary: "",
	tags: "",
	measures: "",
	category: "stock",
	makes: "5 l",
	density: "",
	gelatin: "",
	/** How long it holds hot when it is done; empty where nobody says. */
	holds: "",
	/** Days that it keeps cold; empty where nobody says. */
	keeps: "",
} as const;
export type PreparationField = keyof typeof PREPARATION_FIELDS;

/** A draft with nothing in it but one empty line. */
export function emptyDraft(kind: Draft["kind"]): Draft {
	return {
		kind,
		fields: { ...(kind === "dish" ? DISH_FIELDS : PREPARATION_FIELDS) },
		lines: [emptyLine("l1")],
		steps: kind === "dish" ? [emptyStep("s1")] : [],
		schools: {},
	};
}

export function emptyLine(key: string, group: DraftLine["group"] = "base"): DraftLine {
	return { key, text: "", group, role: "", exponent: "" };
}

export function emptyStep(key: string, place: DraftStep["place"] = "trim"): DraftStep {
	return {
		key,
		place,
		text: "",
		station: "",
		handsOn: "0",
		waiting: "0",
		grows: "withWeight",
		temperature: "",
		tools: "",
		caution: "",
		check: "",
		heat: "",
		when: "",
	};
}
