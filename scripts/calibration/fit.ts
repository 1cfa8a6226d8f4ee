import { Matrix, solve } from "ml-matrix";
import {
	CUT_GROUPS,
	type CutGroup,
	type Kinetics,
	MARKS,
	type Mark,
	simulate,
	softeningRate,
} from "#core/braise";
import type { Practice } from "./practice.ts";

/** Reference of the kinetics, °C; only the other two constants are free. */
const REFERENCE_C = 95;
/** The group against which all others are measured. */
export const YARDSTICK: CutGroup = "pork";
const GROUPS = [...new Set(Object.values(CUT_GROUPS))].filter((group) => group !== YARDSTICK);
const FREE_MARKS = MARKS.filter((mark) => mark !== "forkTender");

/** Minutes between two looks, and how long is looked. */
const LOOK_MIN = 1;
const LONGEST_MIN = 2000;

/** Temperature of the middle through time: it does not hang on the kinetics, so it is made once. */
export interface History {
	readonly practice: Practice;
	/** Temperature of the middle at every look, °C. */
	readonly core_C: readonly number[];
}

export function historyOf(practice: Practice): History {
	const { points } = simulate(practice.given, {
		minutes: Math.min(LONGEST_MIN, practice.high_min * 2.5),
		every_min: LOOK_MIN,
	});
	return { practice, core_C: points.slice(1).map(({ core_C }) => core_C) };
}

/** Minutes to the mark under some constants; past the end of what was looked at it goes on at the last pace. */
export function predicted({ practice, core_C }: History, kinetics: Kinetics): number {
	const factor = kinetics.factors[CUT_GROUPS[practice.given.cut]];
	const wanted = kinetics.marks[practice.mark];
	let softened = 0;
	let more = 0;
	for (const [look, celsius] of core_C.entries()) {
		more = factor * LOOK_MIN * softeningRate(celsius, kinetics);
		if (softened + more >= wanted) return (look + (wanted - softened) / more) * LOOK_MIN;
		softened += more;
	}
	return (core_C.length + (wanted - softened) / more) * LOOK_MIN;
}

const START = {
	atReference_perMin: 0.012,
	activation_kJ: 116,
	marks: { sliceable: 0.65, shredding: 1.5, fallingApart: 2.3 },
};

/** The few free constants as the solver moves them: logarithms, so that none becomes nothing. */
function startValues(): readonly number[] {
	return [
		Math.log(START.atReference_perMin),
		Math.log(START.activation_kJ),
		...FREE_MARKS.map((mark) => Math.log(START.marks[mark as keyof typeof START.marks])),
		...GROUPS.map(() => 0),
	];
}

function kineticsFrom(values: readonly number[]): Kinetics {
	const [rate = 0, activation = 0, ...rest] = values;
	const marks = Object.fromEntries(FREE_MARKS.map((mark, index) => [mark, Math.exp(rest[index] ?? 0)]));
	const factors = Object.fromEntries(
		GROUPS.map((group, index) => [group, Math.exp(rest[FREE_MARKS.length + index] ?? 0)]),
	);
	return {
		atReference_perMin: Math.exp(rate),
		reference_C: REFERENCE_C,
		activation_kJ: Math.exp(activation),
		marks: { forkTender: 1, ...marks } as Record<Mark, number>,
		factors: { [YARDSTICK]: 1, ...factors } as Record<CutGroup, number>,
	};
}

/** How far a constant is moved to see what that does, in its logarithm. */
const NUDGE = 1e-3;
/** A step that helps makes the next one bolder, one that does not makes it more careful. */
const BOLDER = 0.3;
const CAREFUL = 4;

interface Fitted {
	readonly kinetics: Kinetics;
	readonly values: readonly number[];
}

/**
 * The constants that meet the middle of all ranges best, each weighed by how narrow its range
 * is: least squares of the logarithms, by Levenberg and Marquardt.
 */
export function fitConstants(histories: readonly History[], start = startValues(), rounds = 60): Fitted {
	const misses = (values: readonly number[]) => {
		const kinetics = kineticsFrom(values);
		return histories.map((history) => missOf(history, predicted(history, kinetics)));
	};
	let values = start;
	let here = misses(values);
	let damping = 1;
	for (let round = 0; round < rounds; round += 1) {
		const step = stepFrom(values, here, misses, damping);
		const tried = values.map((value, index) => value - (step[index] as number));
		const there = misses(tried);
		const helps = squares(there) < squares(here);
		if (helps && squares(here) - squares(there) < 1e-6) break;
		damping *= helps ? BOLDER : CAREFUL;
		if (!helps) continue;
		values = tried;
		here = there;
	}
	return { kinetics: kineticsFrom(values), values };
}

/** How far off the middle of its range a prediction is: one at either end. */
function missOf({ practice: { low_min, high_min } }: History, minutes: number): number {
	const half = Math.log(high_min / low_min) / 2;
	return (Math.log(minutes) - Math.log(low_min * high_min) / 2) / half;
}

function squares(misses: readonly number[]): number {
	return misses.reduce((sum, miss) => sum + miss * miss, 0);
}

function stepFrom(
	values: readonly number[],
	here: readonly number[],
	misses: (values: readonly number[]) => number[],
	damping: number,
): number[] {
	const slopes = values.map((_, parameter) => {
		const moved = values.map((value, index) => (index === parameter ? value + NUDGE : value));
		return misses(moved).map((miss, index) => (miss - (here[index] as number)) / NUDGE);
	});
	const across = new Matrix(slopes);
	const normal = across.mmul(across.transpose()).add(Matrix.eye(values.length, values.length).mul(damping));
	return solve(normal, across.mmul(Matrix.columnVector([...here]))).to1DArray();
}
