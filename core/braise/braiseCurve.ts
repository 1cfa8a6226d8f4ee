import type { HeatKind } from "../heat/index.ts";
import type { Range } from "../quantity/index.ts";
import type { BraisePoint } from "./BraiseGiven.ts";
import { type Braised, promisedMarks } from "./braise.ts";
import { MARKS, type Mark } from "./tenderness.ts";

/** The course of one pan as it is drawn: plain numbers, even in time. */
export interface BraiseCurve {
	/** Minutes from one point to the next; the first point is the oven door. */
	readonly every_min: number;
	readonly end_min: number;
	readonly liquid_C: readonly number[];
	readonly core_C: readonly number[];
	readonly oven_C: readonly number[];
	readonly liquid_l: readonly number[];
	/** Softening so far; fork-tender is 1. */
	readonly softened: readonly number[];
	/** Every layer of the meat from the middle out at each point, °C; when layers were asked for. */
	readonly layers_C?: readonly (readonly number[])[];
	/** The marks that are reached before it is dry. */
	readonly bands: readonly { readonly mark: Mark; readonly range: Range }[];
	readonly dryAt_min: number | null;
	/** What stands round the pan. */
	readonly heat: HeatKind;
}

/** About so many points are drawn. */
const POINTS = 180;
/** Shown of a pan that is never tender, minutes. */
const NEVER_END_MIN = 720;

/** Until the slow end of falling apart, with a little air. */
export function endOfCurve({ marks }: Braised): number {
	const last = marks.fallingApart ?? marks.shredding ?? marks.forkTender ?? marks.sliceable;
	return last ? Math.ceil((last.high * 1.05) / 10) * 10 : NEVER_END_MIN;
}

/**
 * The drawn course of a braise.
 *
 * @param end_min the last minute that is wanted
 */
export function braiseCurve(braised: Braised, end_min = endOfCurve(braised)): BraiseCurve {
	const { points } = braised.likely;
	const promised = promisedMarks(braised);
	const every_min = Math.max(1, Math.ceil(end_min / POINTS));
	const kept = points.filter(({ minute }) => minute <= end_min && Math.round(minute) % every_min === 0);
	const valuesOf = (value: (point: BraisePoint) => number) => kept.map(value);
	return {
		every_min,
		end_min,
		liquid_C: valuesOf(({ liquid_C }) => liquid_C),
		core_C: valuesOf(({ core_C }) => core_C),
		oven_C: valuesOf(({ oven_C }) => oven_C),
		liquid_l: valuesOf(({ liquid_l }) => liquid_l),
		softened: valuesOf(({ softened }) => softened),
		...(points[0]?.layers_C ? { layers_C: kept.map(({ layers_C = [] }) => layers_C) } : {}),
		bands: MARKS.flatMap((mark) => {
			const range = promised[mark];
			return range ? [{ mark, range }] : [];
		}),
		dryAt_min: braised.dryAt_min,
		heat: braised.heat,
	};
}

/** The drawn point nearest to a minute. */
export function pointAt({ every_min, core_C }: BraiseCurve, minute: number): number {
	return Math.min(core_C.length - 1, Math.max(0, Math.round(minute / every_min)));
}
