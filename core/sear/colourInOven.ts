import type { Oven } from "../ovens/index.ts";
import { GASTRONORM, type PanType, type Piece, piecesPerPan, rungsHigh, shelfShare } from "../pans/index.ts";
import {
	add,
	divide,
	figure,
	multiply,
	reckoned,
	subtract,
	type Working,
	wholeUp,
	working,
} from "../workings/index.ts";
import { SEAR_GAP_MM } from "./searPlan.ts";

/** Colouring on dry trays: 20 to 30 minutes at 230 °C fan; the middle. @see model, section D */
export const COLOUR_MIN = 25;
export const COLOUR_C = 230;
/** Minutes until the oven is as hot again after it was emptied and filled. */
export const COLOUR_RECOVERY_MIN = 5;
/** One cook's minutes for one tray: laid, turned once, lifted out. General practice. */
export const TRAY_HANDS_MIN = 4;

export interface OvenColouring {
	readonly oven: Oven;
	readonly tray: PanType;
	readonly perTray: number;
	readonly trays: number;
	/** Trays in the oven at once, and how often it is filled. */
	readonly atOnce: number;
	readonly rounds: number;
	/** Wall minutes from the first tray in to the last one out. */
	readonly minutes: number;
	/** One cook's minutes. */
	readonly hands_min: number;
	/** Tray slots times the minutes they are taken. */
	readonly slot_min: number;
	/** How trays, minutes and hands came to what they are. */
	readonly sums: { readonly trays: Working; readonly minutes: Working; readonly hands: Working };
}

/**
 * Colouring all pieces on trays in the oven that takes most of them at once.
 *
 * @returns null when no oven is hot enough or no piece lies on a tray
 * @see model, section D
 */
export function colourInOven(
	piece: Piece,
	pieces: number,
	trays: readonly PanType[],
	ovens: readonly Oven[],
): OvenColouring | null {
	const ways = ovens
		.filter(({ max_C }) => max_C >= COLOUR_C)
		.flatMap((oven) => trays.map((tray) => colouringIn(oven, tray, piece, pieces)))
		.filter((way) => way !== null);
	const [quickest] = ways.sort((a, b) => a.minutes - b.minutes || a.hands_min - b.hands_min);
	return quickest ?? null;
}

function colouringIn(oven: Oven, tray: PanType, piece: Piece, pieces: number): OvenColouring | null {
	const perTray = piecesPerPan(tray.shape, piece, SEAR_GAP_MM);
	const atOnce = Math.min(tray.stock, slotsFor(oven, tray));
	if (perTray === 0 || atOnce === 0) return null;
	const trays = working(
		"trays",
		wholeUp(divide(figure(pieces, "count", "pieces"), figure(perTray, "count", "aTray"))),
		"count",
	);
	const rounds = wholeUp(divide(trays.result, figure(atOnce, "count", "atOnce")));
	const between = subtract(rounds, figure(1, "number"));
	const minutes = working(
		"trayMinutes",
		add(
			multiply(rounds, figure(COLOUR_MIN, "min", "aFilling")),
			multiply(between, figure(COLOUR_RECOVERY_MIN, "min", "betweenFillings")),
		),
		"min",
	);
	const hands = working(
		"trayHands",
		multiply(trays.result, figure(TRAY_HANDS_MIN, "min", "aTrayByHand")),
		"min",
	);
	return {
		oven,
		tray,
		perTray,
		trays: trays.result.value,
		atOnce,
		rounds: reckoned(rounds),
		minutes: minutes.result.value,
		hands_min: hands.result.value,
		slot_min: trays.result.value * COLOUR_MIN,
		sums: { trays, minutes, hands },
	};
}

function slotsFor(oven: Oven, { shape }: PanType): number {
	const perLevel = Math.floor(GASTRONORM[oven.shelf].shareOfOne / shelfShare(shape) + 1e-9);
	return perLevel * Math.floor(oven.rungs / rungsHigh(shape, oven.pitch_mm));
}
