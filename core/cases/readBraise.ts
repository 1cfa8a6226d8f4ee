import type { Static } from "@sinclair/typebox";
import { BraiseAsked, type BraiseGiven } from "../braise/index.ts";
import { checked, refuse } from "../check/index.ts";
import { type Addition, type Heat, type PieceSides, sidesByThickness } from "../heat/index.ts";
import { USUAL_JOINT_KG } from "../trade/index.ts";
import { readPan } from "./readPan.ts";

type Asked = Static<typeof BraiseAsked>;

/**
 * One pan to be braised, from outside.
 *
 * @throws {Refusal} naming the field and what is allowed
 */
export function readBraise(given: unknown): BraiseGiven {
	const { heat, pan, piece, shape, thickness_mm, additions, ...asked } = checked(BraiseAsked, given);
	return {
		...asked,
		sides: sidesOf({ piece, shape, thickness_mm, meat_kg: asked.meat_kg, cut: asked.cut }),
		pan: readPan(pan),
		heat: readHeat(heat),
		...(additions ? { additions: additions.map(additionOf) } : {}),
	};
}

/** Water of what joins late, as a share of its weight, where nothing is said: vegetables and stock. */
const USUAL_WATER = 0.9;

function additionOf({ at_min, kg, C, water = USUAL_WATER, gives = water }: AdditionAsked): Addition {
	return { at_min, kg, temp_C: C, water, gives };
}

type AdditionAsked = NonNullable<Asked["additions"]>[number];

interface PieceAsked {
	readonly piece: Asked["piece"] | undefined;
	readonly shape: Asked["shape"] | undefined;
	readonly thickness_mm: number | undefined;
	readonly meat_kg: number;
	readonly cut: Asked["cut"];
}

function sidesOf({ piece, shape, thickness_mm, meat_kg, cut }: PieceAsked): PieceSides {
	if (piece) return sidesOfPiece(piece);
	if (thickness_mm === undefined) {
		throw refuse("piece", "is missing; the sides of a piece, or shape and thickness_mm, are needed");
	}
	if (shape === undefined) throw refuse("shape", "is missing; one of slab, cylinder, ball is needed");
	return sidesByThickness(shape, thickness_mm, meat_kg, USUAL_JOINT_KG[cut]);
}

/** @throws {Refusal} where a side is missing */
export function sidesOfPiece({
	length_mm,
	width_mm,
	height_mm,
	diameter_mm,
}: NonNullable<Asked["piece"]>): PieceSides {
	if (diameter_mm !== undefined) {
		return length_mm === undefined ? { kind: "ball", diameter_mm } : { kind: "bar", diameter_mm, length_mm };
	}
	if (length_mm === undefined || width_mm === undefined || height_mm === undefined) {
		throw refuse(
			"piece",
			"needs length_mm, width_mm and height_mm, or diameter_mm with length_mm, or diameter_mm alone",
		);
	}
	return { kind: "block", sides_mm: [length_mm, width_mm, height_mm] };
}

/** @throws {Refusal} where its temperature is missing */
export function readHeat({ kind, set_C, simmer = true }: Asked["heat"]): Heat {
	if (kind === "hob") return { kind, simmer };
	if (set_C === undefined)
		throw refuse("heat.set_C", "is missing; a temperature from 30 to 300 °C is needed");
	return { kind, set_C };
}
