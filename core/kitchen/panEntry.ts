import { type Static, Type } from "@sinclair/typebox";
import { Name, oneOf, Refusal, refuse } from "../check/index.ts";
import { checkMeasured, GASTRONORM_DEPTHS_MM, GASTRONORM_SIZES } from "../pans/index.ts";
import { wholeTo } from "./wholeTo.ts";

const size = (allowed: string, most: number) => Type.Integer({ minimum: 20, maximum: most, allowed });

const water = Type.Number({ exclusiveMinimum: 0, maximum: 500, allowed: "litres above 0 and up to 500" });

/** What a pan or a cooker is for, as it is counted. */
export const PAN_USES = {
	braise: "braising in the oven",
	sear: "searing",
	pot: "sauces, stocks and stews on the hob",
	tray: "colouring in the oven",
	slowCooker: "slow cooker",
	pressure: "pressure pot",
	bath: "water bath",
} as const;
export type PanUse = keyof typeof PAN_USES;
export const PAN_USE_KEYS = Object.keys(PAN_USES) as PanUse[];

/** What a pan is made of inside. */
export const PAN_MATERIALS = {
	steel: "stainless steel",
	enamel: "enamel",
	lined: "lined or coated",
	aluminium: "bare aluminium",
	iron: "bare iron",
} as const;
export type PanMaterial = keyof typeof PAN_MATERIALS;
export const PAN_MATERIAL_KEYS = Object.keys(PAN_MATERIALS) as PanMaterial[];

/** Whether acid takes it up. General practice. */
export function reactsWithAcid(material: PanMaterial): boolean {
	return material === "aluminium" || material === "iron";
}

/** A kind of pan as it is typed. Sizes that its shape does not have are left empty. */
export const PanEntry = Type.Object({
	name: Name,
	kind: oneOf(["gn", "round", "box"] as const),
	gn: Type.Optional(oneOf(GASTRONORM_SIZES)),
	length_mm: Type.Optional(size("a length from 20 to 2000 mm", 2000)),
	width_mm: Type.Optional(size("a width from 20 to 2000 mm", 2000)),
	diameter_mm: Type.Optional(size("a diameter from 20 to 2000 mm", 2000)),
	depth_mm: size("a depth from 20 to 600 mm", 600),
	stock: wholeTo(0, 1000, ""),
	use: oneOf(PAN_USE_KEYS),
	/** Stainless steel where nobody says. */
	material: Type.Optional(oneOf(PAN_MATERIAL_KEYS)),
	/** Heat of its own, where it does not stand on the hob. */
	heat_kW: Type.Optional(
		Type.Number({ minimum: 0.5, maximum: 60, allowed: "a power from 0.5 to 60 kW, or nothing" }),
	),
	lowMark_mm: Type.Optional(size("a mark from 20 to 600 mm", 600)),
	low_l: Type.Optional(water),
	highMark_mm: Type.Optional(size("a mark from 20 to 600 mm", 600)),
	high_l: Type.Optional(water),
});

export type PanEntry = Static<typeof PanEntry>;

/** A kind of pan with the sizes that its shape has; the others are null. */
export type PanFields = PanSizes & Marks;

interface PanSizes extends Pick<PanEntry, "name" | "kind" | "depth_mm" | "stock" | "use"> {
	readonly gn: NonNullable<PanEntry["gn"]> | null;
	readonly length_mm: number | null;
	readonly width_mm: number | null;
	readonly diameter_mm: number | null;
	readonly heat_w: number | null;
	readonly material: PanMaterial;
}

/** Water it was measured with, up to two marks. */
interface Marks {
	readonly lowMark_mm: number | null;
	readonly lowMark_ml: number | null;
	readonly highMark_mm: number | null;
	readonly highMark_ml: number | null;
}

/**
 * The fields a pan of this shape has; the others are cleared.
 *
 * @throws {Refusal} naming the one that is missing, or the mark that cannot be right
 */
export function panFields(typed: PanEntry): PanFields {
	const fields = { ...sizedFields(typed), ...NO_MARKS };
	const marks = MARKS.filter((field) => typed[field] !== undefined);
	if (typed.kind === "gn" || marks.length === 0) return fields;
	const missing = MARKS.find((field) => typed[field] === undefined);
	if (missing) throw refuse(missing, "is missing; both marks need their height and their litres, or neither");
	return { ...fields, ...markFields(typed, fields) };
}

const MARKS = ["lowMark_mm", "low_l", "highMark_mm", "high_l"] as const;
const NO_MARKS: Marks = { lowMark_mm: null, lowMark_ml: null, highMark_mm: null, highMark_ml: null };

/** Marks of a shape's check by the names they have in the form. */
const MARK_NAMES: Readonly<Record<string, string>> = {
	"low.litres": "low_l",
	"high.litres": "high_l",
	"high.height_mm": "highMark_mm",
};

function markFields(typed: PanEntry, sizes: PanSizes): Marks {
	const { lowMark_mm = 0, low_l = 0, highMark_mm = 0, high_l = 0, depth_mm } = typed;
	const round = typed.kind === "round";
	try {
		checkMeasured({
			outline: round ? "round" : "box",
			length_mm: (round ? sizes.diameter_mm : sizes.length_mm) ?? 0,
			width_mm: (round ? sizes.diameter_mm : sizes.width_mm) ?? 0,
			depth_mm,
			low: { height_mm: lowMark_mm, litres: low_l },
			high: { height_mm: highMark_mm, litres: high_l },
		});
	} catch (error) {
		const problem = error instanceof Refusal ? error.problems[0] : undefined;
		throw problem ? refuse(MARK_NAMES[problem.field] ?? problem.field, problem.message) : error;
	}
	return {
		lowMark_mm,
		lowMark_ml: Math.round(low_l * 1000),
		highMark_mm,
		highMark_ml: Math.round(high_l * 1000),
	};
}

function sizedFields(typed: PanEntry): PanSizes {
	const { name, kind, depth_mm, stock, use, heat_kW, material = "steel" } = typed;
	const base = {
		name,
		kind,
		depth_mm,
		stock,
		use,
		material,
		gn: null,
		length_mm: null,
		width_mm: null,
		diameter_mm: null,
		heat_w: heat_kW === undefined ? null : Math.round(heat_kW * 1000),
	};
	if (kind === "gn") {
		if (!typed.gn) throw refuse("gn", "is missing; a gastronorm size is needed");
		if (!GASTRONORM_DEPTHS_MM.some((usual) => usual === depth_mm)) {
			throw refuse(
				"depth_mm",
				`${depth_mm} was given; a gastronorm is ${GASTRONORM_DEPTHS_MM.join(", ")} mm deep`,
			);
		}
		return { ...base, gn: typed.gn };
	}
	if (kind === "round") {
		if (!typed.diameter_mm)
			throw refuse("diameter_mm", "is missing; a diameter from 20 to 2000 mm is needed");
		return { ...base, diameter_mm: typed.diameter_mm };
	}
	if (!typed.length_mm) throw refuse("length_mm", "is missing; a length from 20 to 2000 mm is needed");
	if (!typed.width_mm) throw refuse("width_mm", "is missing; a width from 20 to 2000 mm is needed");
	return { ...base, length_mm: typed.length_mm, width_mm: typed.width_mm };
}
