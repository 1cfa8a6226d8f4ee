import type { PieceSides } from "../heat/index.ts";
import { crossedAt } from "../quantity/index.ts";
import { pieceFood } from "./Food.ts";

/** A piece by itself in what cools it. */
export interface PieceCools {
	readonly sides: PieceSides;
	readonly boneShare: number;
	readonly start_C: number;
	/** Round it, W/m²K and °C. */
	readonly film_W_per_M2K: number;
	readonly C: number;
}

/** Nobody waits longer for a piece, minutes. */
const LONGEST_MIN = 24 * 60;
const FIRST_STEP_S = 10;
const STEP_SHARE = 0.01;

/**
 * Minutes until a piece is so cold at its warmest.
 *
 * @returns null for what it is not within a day
 */
export function pieceMinutesTo(piece: PieceCools, to_C: readonly number[]): (number | null)[] {
	const { sides, boneShare, start_C, film_W_per_M2K, C } = piece;
	const food = pieceFood(sides, boneShare, start_C);
	const face = { film_W_per_M2K, C };
	const found = to_C.map((limit): number | null => (start_C <= limit ? 0 : null));
	let before_C = start_C;
	for (let seconds = 0; seconds < LONGEST_MIN * 60 && found.includes(null); ) {
		const step = Math.max(FIRST_STEP_S, seconds * STEP_SHARE);
		food.step(step, { foot: face, top: face });
		const warmest_C = food.C.reduce((most, one) => Math.max(most, one));
		for (const [index, limit] of to_C.entries()) {
			if (found[index] !== null || warmest_C > limit) continue;
			const now = { minute: (seconds + step) / 60, C: warmest_C };
			found[index] = crossedAt({ minute: seconds / 60, C: before_C }, now, limit);
		}
		before_C = warmest_C;
		seconds += step;
	}
	return found;
}
