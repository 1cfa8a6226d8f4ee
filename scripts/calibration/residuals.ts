import { groupBy } from "es-toolkit";
import type { History } from "./fit.ts";

/** How far a prediction is off the middle of its range, as a logarithm: above 0 it is too long. */
export interface Residual {
	readonly history: History;
	readonly off: number;
}

/** How some rows are off together. */
export interface Bias {
	readonly of: string;
	readonly rows: number;
	/** In the mean, as a share of the minutes; above 0 they are predicted too long. */
	readonly bias: number;
	/** The mean against its standard error; null with one row. */
	readonly t: number | null;
}

/** Off the middle of what is accepted. */
export function residualOf(history: History, minutes: number): Residual {
	const { low_min, high_min } = history.practice;
	return { history, off: Math.log(minutes) - Math.log(low_min * high_min) / 2 };
}

/** The rows by something of theirs, each group with its bias, the largest group first. */
export function biasBy(residuals: readonly Residual[], by: (history: History) => string): Bias[] {
	return Object.entries(groupBy(residuals, ({ history }) => by(history)))
		.map(([of, all]): Bias => {
			const mean = all.reduce((sum, { off }) => sum + off, 0) / all.length;
			const squares = all.reduce((sum, { off }) => sum + (off - mean) ** 2, 0);
			const error = Math.sqrt(squares / Math.max(1, all.length - 1) / all.length);
			return { of, rows: all.length, bias: Math.expm1(mean), t: all.length > 1 ? mean / error : null };
		})
		.sort((a, b) => b.rows - a.rows || a.of.localeCompare(b.of));
}

/** Thin, usual and thick, by the least side, mm. */
export function sizeOf({ practice: { given } }: History): string {
	const { sides } = given;
	const thick_mm = "sides_mm" in sides ? Math.min(...sides.sides_mm) : sides.diameter_mm;
	if (thick_mm < 40) return "under 40 mm";
	return thick_mm < 60 ? "40 to 59 mm" : "60 mm and more";
}
