import { type Static, Type } from "@sinclair/typebox";
import { Name, oneOf, refuse } from "#core/check";
import { GASTRONORM_DEPTHS_MM, GASTRONORM_SIZES } from "#core/pans";
import type { OvenRow, PanTypeRow } from "#db";

const size = (allowed: string, most: number) => Type.Integer({ minimum: 20, maximum: most, allowed });
const wholeTo = (least: number, most: number, unit: string) =>
	Type.Integer({
		minimum: least,
		maximum: most,
		allowed: `a whole number from ${least} to ${most} ${unit}`.trim(),
	});

/** A kind of pan as it is typed. Sizes that its shape does not have are left empty. */
export const PanForm = Type.Object({
	name: Name,
	kind: oneOf(["gn", "round", "box"] as const),
	gn: Type.Optional(oneOf(GASTRONORM_SIZES)),
	length_mm: Type.Optional(size("a length from 20 to 2000 mm", 2000)),
	width_mm: Type.Optional(size("a width from 20 to 2000 mm", 2000)),
	diameter_mm: Type.Optional(size("a diameter from 20 to 2000 mm", 2000)),
	depth_mm: size("a depth from 20 to 600 mm", 600),
	stock: wholeTo(0, 1000, ""),
	use: oneOf(["braise", "sear"] as const),
	version: Type.Integer({ minimum: 0 }),
});

type PanFields = Pick<
	PanTypeRow,
	"name" | "kind" | "gn" | "length_mm" | "width_mm" | "diameter_mm" | "depth_mm" | "stock" | "use"
>;

/** The fields a pan of this shape has; the others are cleared. @throws {Refusal} naming the one that is missing */
export function panFields(typed: Static<typeof PanForm>): PanFields {
	const { name, kind, depth_mm, stock, use } = typed;
	const base = {
		name,
		kind,
		depth_mm,
		stock,
		use,
		gn: null,
		length_mm: null,
		width_mm: null,
		diameter_mm: null,
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

export const OvenForm = Type.Object({
	name: Name,
	kind: oneOf(["stillOven", "fanOven"] as const),
	rungs: wholeTo(1, 60, "rungs"),
	pitch_mm: wholeTo(30, 400, "mm"),
	shelf: oneOf(GASTRONORM_SIZES),
	min_C: wholeTo(20, 350, "°C"),
	max_C: wholeTo(20, 350, "°C"),
	version: Type.Integer({ minimum: 0 }),
});

type OvenFields = Pick<OvenRow, "name" | "kind" | "rungs" | "pitch_mm" | "shelf" | "min_C" | "max_C">;

/** @throws {Refusal} when the oven would be hottest below its coolest */
export function ovenFields({ version: _, ...typed }: Static<typeof OvenForm>): OvenFields {
	if (typed.max_C < typed.min_C) {
		throw refuse("max_C", `${typed.max_C} was given; the coolest (${typed.min_C} °C) or more is allowed`);
	}
	return typed;
}
