import { CARRIED_J_PER_KGK } from "../carry/index.ts";
import {
	Block,
	bodyOf,
	type Consistency,
	conductivityOf,
	eliminate,
	type FaceMeets,
	type FacesMeet,
	FOOD_J_PER_KGK,
	FOOD_KG_PER_M3,
	type HeatCase,
	heatedConductivityOf,
	MEAT_J_PER_KGK,
	MEAT_KG_PER_M3,
	type PieceHeat,
	type PieceSides,
	pieceHeat,
	type Scratch,
	scratchFor,
	substitute,
} from "../heat/index.ts";

/** Food on its way: the temperatures of its points, and how they change. */
export interface Food {
	/** °C, at points that stay the same points all the way. */
	readonly C: Float64Array;
	/** So many seconds on, with what its faces meet. */
	step(seconds: number, meets: FacesMeet): void;
	/** Of a box that loses so many W/K with so many kilos in it: what its faces meet. */
	film(loses_W_per_K: number, mass_kg: number): number;
	/** From here on heat goes through it as it does while it is heated, or while it is cooled. */
	conducts(heated: boolean): void;
	stir(): void;
}

/** A layer or a block of food in its vessel. */
export function blockFood(
	sides: { readonly depth_mm: number; readonly length_mm?: number; readonly width_mm?: number },
	consistency: Consistency,
	start_C: number,
	boils_C: number,
	which: HeatCase = "likely",
): Food {
	const heat_J_per_M3K = FOOD_KG_PER_M3 * FOOD_J_PER_KGK;
	const block = new Block({
		...sides,
		...{ start_C, boils_C, heat_J_per_M3K },
		conductivity: conductivityOf(consistency, which),
	});
	return {
		C: block.C,
		step: (seconds, meets) => void block.step(seconds, meets),
		// Both its faces lose it.
		film: (loses_W_per_K, mass_kg) =>
			(loses_W_per_K * heat_J_per_M3K * (sides.depth_mm / 1000)) / (mass_kg * CARRIED_J_PER_KGK) / 2,
		conducts: (heated) =>
			block.conducts((heated ? heatedConductivityOf : conductivityOf)(consistency, which)),
		stir: () => block.stir(),
	};
}

/** One piece, from its middle out. */
export function pieceFood(sides: PieceSides, boneShare: number, start_C: number): Food {
	const body = bodyOf(sides);
	const piece = pieceHeat({ body, weight_kg: 1, boneShare, start_C }, BARE_W_PER_M2K);
	// Surface of a kilo, m².
	const surface_m2 = ((body.exponent + 1) / (body.thickness_mm / 2000)) * (1 / MEAT_KG_PER_M3);
	const scratch = scratchFor(piece);
	return {
		C: piece.C,
		step: (seconds, { top }) => stepPiece(piece, surface_m2, seconds, top, scratch),
		film: (loses_W_per_K, mass_kg) =>
			(loses_W_per_K * MEAT_J_PER_KGK) / (mass_kg * CARRIED_J_PER_KGK) / surface_m2,
		// Meat is solid all the way.
		conducts: () => {},
		stir: () => {},
	};
}

/** Any film: what a stage meets takes its place. */
const BARE_W_PER_M2K = 1e9;

function stepPiece(
	piece: PieceHeat,
	surface_m2: number,
	seconds: number,
	{ film_W_per_M2K, C }: FaceMeets,
	scratch: Scratch,
): void {
	const last = piece.C.length - 1;
	const bare = bareLinks.get(piece) ?? (piece.link_WK[last] as number);
	bareLinks.set(piece, bare);
	const link_WK = 1 / (1 / bare + 1 / (film_W_per_M2K * surface_m2));
	if (piece.link_WK[last] !== link_WK) {
		piece.link_WK[last] = link_WK;
		scratch.seconds = 0;
	}
	eliminate(piece, seconds, scratch);
	substitute(piece, C, scratch);
}

/** From the outermost layer to the surface, W/K. */
const bareLinks = new WeakMap<PieceHeat, number>();
