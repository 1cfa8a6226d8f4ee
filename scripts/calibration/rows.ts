import { groupBy } from "es-toolkit";
import { cumulativeStdNormalProbability } from "simple-statistics";
import { CUT_GROUPS, type CutGroup, RANGE_END } from "#core/braise";
import { type Fitted, fitConstants, type History, predicted, spreadOfFit, spreadOfInputs } from "./fit.ts";

/** One row of practice, fitted with all others and predicted without itself or its block. */
export interface Row {
	readonly history: History;
	readonly fitted_min: number;
	readonly leftOut_min: number;
	/** σ of the logarithm: of the inputs, and of the fit without what was left out. */
	readonly inputs: number;
	readonly fit: number;
}

/** Rows of one kind, each predicted without any of them. */
export interface Block {
	/** What they have in common: "heat hob", "cuts duck". */
	readonly of: string;
	readonly rows: readonly Row[];
}

/** @param without what the fit does not see */
export function rowOf(
	history: History,
	whole: Fitted,
	histories: readonly History[],
	without: readonly History[],
): Row {
	return rowFrom(history, whole, leaving(whole, histories, without));
}

function leaving(whole: Fitted, histories: readonly History[], without: readonly History[]): Fitted {
	const seen = histories.filter((other) => !without.includes(other));
	return fitConstants(seen, whole.values, 10);
}

function rowFrom(history: History, whole: Fitted, left: Fitted): Row {
	return {
		history,
		fitted_min: predicted(history, whole.kinetics),
		leftOut_min: predicted(history, left.kinetics),
		inputs: spreadOfInputs(history, whole.kinetics),
		fit: spreadOfFit(history, left),
	};
}

export function groupOf({ practice }: History): CutGroup {
	return CUT_GROUPS[practice.given.cut];
}

/** Fewer rows than these tell nothing of a block. */
const LEAST_BLOCK = 2;

/**
 * Whole kinds of heat and whole groups of cuts, left out in turn. A group's rate is nobody's without a row of
 * its own: it keeps its first, as in a kitchen that has logged one batch.
 */
export function blocksOf(whole: Fitted, histories: readonly History[]): Block[] {
	const heats = Object.entries(groupBy(histories, ({ practice }) => practice.given.heat.kind));
	const cuts = Object.entries(groupBy(histories, groupOf)).map(([of, all]) => [of, all.slice(1)] as const);
	return [
		...heats.map(([of, all]) => [`heat ${of}`, all] as const),
		...cuts.map(([of, all]) => [`cuts ${of}`, all] as const),
	]
		.filter(([, all]) => all.length >= LEAST_BLOCK)
		.map(([of, all]): Block => {
			const left = leaving(whole, histories, all);
			return { of, rows: all.map((history) => rowFrom(history, whole, left)) };
		});
}

/** Share of practice that the 80 % ranges have to hold when a row is left out of the fit. */
const WANTED = 0.8;

/** What no constant explains: as much as makes the ranges hold what they say. */
export function modelSpread(rows: readonly Row[]): number {
	let low = 0;
	let high = 1;
	for (let halving = 0; halving < 40; halving += 1) {
		const middle = (low + high) / 2;
		if (coverage(rows, middle) < WANTED) low = middle;
		else high = middle;
	}
	return high;
}

/** The model's own error set on one half of the rows, and what the ranges hold of the other, both ways. */
export function acrossHalves(rows: readonly Row[]): number {
	const [even, odd] = [0, 1].map((half) => rows.filter((_, index) => index % 2 === half)) as [Row[], Row[]];
	return mean([coverage(odd, modelSpread(even)), coverage(even, modelSpread(odd))]);
}

/** Share of practice, each row taken as a spread of which 80 % lies inside, that the ranges hold. */
export function coverage(rows: readonly Row[], model: number): number {
	return mean(rows.map((row) => coveredBy(row, model)));
}

export function coveredBy({ history: { practice }, leftOut_min, inputs, fit }: Row, model: number): number {
	const reach = Math.hypot(inputs, fit, model) * RANGE_END;
	const middle = Math.log(practice.low_min * practice.high_min) / 2;
	const spread = Math.log(practice.high_min / practice.low_min) / 2 / RANGE_END;
	const below = (value: number) => cumulativeStdNormalProbability((value - middle) / spread);
	return below(Math.log(leftOut_min) + reach) - below(Math.log(leftOut_min) - reach);
}

export function met(rows: readonly Row[], minutesOf: (row: Row) => number): number {
	return rows.filter((row) => isIn(row.history, minutesOf(row))).length;
}

export function isIn({ practice }: History, minutes: number): boolean {
	return minutes >= practice.low_min && minutes <= practice.high_min;
}

export function mean(values: readonly number[]): number {
	return values.reduce((sum, value) => sum + value, 0) / values.length;
}
