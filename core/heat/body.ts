import { MEAT_KG_PER_L, type Piece } from "../pans/index.ts";
import { BONE_KG_PER_M3, MEAT_KG_PER_M3 } from "./constants.ts";

/** The sides of a piece as heat meets them, mm: a block by three, a bar lying or standing, a ball. */
export type PieceSides =
	| { readonly kind: "block"; readonly sides_mm: readonly [number, number, number] }
	| { readonly kind: "bar"; readonly diameter_mm: number; readonly length_mm: number }
	| { readonly kind: "ball"; readonly diameter_mm: number };

/** What a piece looks like where only its thickness is known. */
export const PIECE_FORMS = ["slab", "cylinder", "ball"] as const;
export type PieceForm = (typeof PIECE_FORMS)[number];

/** A body that heats as a piece does. */
export interface HeatBody {
	/** Through the piece the shortest way, mm. */
	readonly thickness_mm: number;
	/** Exponent n of the radius: 0 a wide slab, 1 a long bar, 2 a ball; whatever is between is a real number. */
	readonly exponent: number;
}

/**
 * What one pair of sides that is no wider than the piece is thick adds to the exponent: with this
 * blocks meet the product of three slab series to 5 % (0.73 leaves cubes 7 % too quick).
 */
const A_PAIR_OF_SIDES = 0.69;
/** How quickly that fades as the sides move apart. */
const FADES = 2.5;
/** A round as high as it is wide; between a cube and a ball. */
const ROUND_AS_HIGH = 1 + A_PAIR_OF_SIDES;

/** The sides of a piece as it lies in the pan. */
export function sidesOf(piece: Piece): PieceSides {
	if (piece.shape === "ball") return { kind: "ball", diameter_mm: piece.diameter_mm };
	if (piece.shape === "cylinder") {
		return { kind: "bar", diameter_mm: piece.diameter_mm, length_mm: piece.length_mm };
	}
	return { kind: "block", sides_mm: [piece.length_mm, piece.width_mm, piece.height_mm] };
}

/** Through the piece the shortest way, whatever that side is called, mm. */
export function thicknessOf(sides: PieceSides): number {
	if (sides.kind === "block") return Math.min(...sides.sides_mm);
	return sides.kind === "bar" ? Math.min(sides.diameter_mm, sides.length_mm) : sides.diameter_mm;
}

/**
 * The body of a piece: heat comes in through its shortest way, and the nearer its other sides
 * are the more they help. The exponent of the radius follows from the equivalent heat-transfer
 * dimensionality E (Cleland & Earle 1982; Hossain et al. 1992), n = E − 1, so that it moves
 * evenly from a slab to a bar to a ball as the sides do.
 *
 * @see model, section E
 */
export function bodyOf(sides: PieceSides): HeatBody {
	const thickness_mm = thicknessOf(sides);
	if (sides.kind === "ball") return { thickness_mm, exponent: 2 };
	if (sides.kind === "block") {
		const [, second, third] = [...sides.sides_mm].sort((a, b) => a - b) as [number, number, number];
		return { thickness_mm, exponent: byPair(second / thickness_mm) + byPair(third / thickness_mm) };
	}
	const ratio = sides.length_mm / sides.diameter_mm;
	// A bar that is shorter than it is wide is a disc: a slab with a round edge.
	const exponent = ratio >= 1 ? 1 + byPair(ratio) : ROUND_AS_HIGH * (1 / ratio) ** -FADES;
	return { thickness_mm, exponent };
}

function byPair(times: number): number {
	return A_PAIR_OF_SIDES * times ** -FADES;
}

/** The same piece so many times as thick, its other sides held. */
export function thicker(sides: PieceSides, times: number): PieceSides {
	return withThickness(sides, thicknessOf(sides) * times);
}

/** The same piece so thick, its other sides held. */
export function withThickness(sides: PieceSides, thickness_mm: number): PieceSides {
	if (sides.kind === "ball") return { ...sides, diameter_mm: thickness_mm };
	if (sides.kind === "bar") {
		return sides.length_mm < sides.diameter_mm
			? { ...sides, length_mm: thickness_mm }
			: { ...sides, diameter_mm: thickness_mm };
	}
	const [, second, third] = [...sides.sides_mm].sort((a, b) => a - b) as [number, number, number];
	return { kind: "block", sides_mm: [thickness_mm, second, third] };
}

/** At least so many times as wide as it is thick is a piece of which only the thickness is known. */
const LEAST_WIDTH = 1.5;

/**
 * Sides of a piece of which only the form, the thickness and the weight are known: one square
 * piece of all the meat or as much of it as is one joint, at least 1.5 times as wide as it is thick; a bar
 * as long as it comes to.
 *
 * @param joint_kg what one joint of it usually weighs; without end where nobody says
 */
export function sidesByThickness(
	form: PieceForm,
	thickness_mm: number,
	meat_kg: number,
	joint_kg = Number.POSITIVE_INFINITY,
): PieceSides {
	const volume_mm3 = (Math.min(meat_kg, joint_kg) / MEAT_KG_PER_L) * 1e6;
	const least_mm = thickness_mm * LEAST_WIDTH;
	if (form === "ball") return { kind: "ball", diameter_mm: thickness_mm };
	if (form === "cylinder") {
		const length_mm = Math.max(least_mm, volume_mm3 / ((Math.PI / 4) * thickness_mm ** 2));
		return { kind: "bar", diameter_mm: thickness_mm, length_mm };
	}
	const wide_mm = Math.max(least_mm, Math.sqrt(volume_mm3 / thickness_mm));
	return { kind: "block", sides_mm: [wide_mm, wide_mm, thickness_mm] };
}

/** The form that is nearest to a piece's sides, for words and drawings only. */
export function formOf(sides: PieceSides): PieceForm {
	const { exponent } = bodyOf(sides);
	return exponent < SLAB_BELOW ? "slab" : exponent < BAR_BELOW ? "cylinder" : "ball";
}

/** A square bar has 0.69 and a cube 1.38: half way from one to the next. */
const SLAB_BELOW = 0.4;
const BAR_BELOW = 1.3;

/** Bone as a share of the volume, from its share of the weight. */
export function boneVolume(boneShare: number): number {
	const bone = boneShare / BONE_KG_PER_M3;
	return bone / (bone + (1 - boneShare) / MEAT_KG_PER_M3);
}
