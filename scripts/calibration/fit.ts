import { inverse, Matrix, solve } from "ml-matrix";
import {
	type BraiseGiven,
	CUT_GROUPS,
	CUT_SPREAD,
	type CutGroup,
	type Kinetics,
	LEAK_SPREAD,
	MARKS,
	type Mark,
	RANGE_END,
	simulate,
	THICKNESS_SPREAD,
} from "#core/braise";
import {
	COUPLING_SPREAD,
	GAS_J_PER_MOLK,
	HEAT_KINDS,
	HEAT_SPREAD_C,
	type HeatKind,
	KELVIN,
	thicker,
} from "#core/heat";
import type { Practice } from "./practice.ts";

/** Reference of the kinetics, °C; only the other two constants are free. */
const REFERENCE_C = 95;
/** The group against which all others are measured. */
export const YARDSTICK: CutGroup = "pork";
const GROUPS = [...new Set(Object.values(CUT_GROUPS))].filter((group) => group !== YARDSTICK);
const FREE_MARKS = MARKS.filter((mark) => mark !== "forkTender");

/**
 * How far a kind of heat may be off for reasons that no physics here tells, σ of the logarithm of the minutes:
 * an offset of each kind is drawn towards none by it, and one with few rows hardly moves.
 */
export const HEAT_SPREAD = 0.3;

/** So many looks at least until the high end of a range. */
const LOOKS = 120;

/** Temperatures of the meat through time: they do not hang on the kinetics, so they are made once. */
export interface Course {
	readonly every_min: number;
	readonly layers: number;
	/** What stands in the exponent beside the activation energy, look by look and layer by layer, 1/(kJ/mol). */
	readonly inverse: Float64Array;
}

export interface History extends Course {
	readonly practice: Practice;
}

export function historyOf(practice: Practice): History {
	return { practice, ...courseOf(practice.given, practice.high_min) };
}

function courseOf(given: BraiseGiven, high_min: number): Course {
	const every_min = Math.max(1, Math.round(high_min / LOOKS));
	const { points } = simulate(given, { minutes: high_min * 2.5, every_min, layers: true });
	const meat = points.slice(1).map(({ layers_C = [] }) => layers_C.slice(layers_C.length - MEAT_LAYERS));
	const inverse = Float64Array.from(meat.flat(), (celsius) => {
		const apart = 1 / (celsius + KELVIN) - 1 / (REFERENCE_C + KELVIN);
		return (-1000 * apart) / GAS_J_PER_MOLK;
	});
	return { every_min, layers: MEAT_LAYERS, inverse };
}

const MEAT_LAYERS = 16;

/** Minutes to the mark under some constants; past the end of what was looked at it goes on at the last pace. */
export function predicted(
	{ practice, every_min, layers, inverse }: History,
	kinetics: Kinetics,
	toughness = 1,
): number {
	const { cut, heat } = practice.given;
	const pace = kinetics.factors[CUT_GROUPS[cut]] * kinetics.heats[heat.kind];
	const factor = (pace / toughness) * kinetics.atReference_perMin;
	const wanted = kinetics.marks[practice.mark];
	const soft = new Float64Array(layers);
	const looks = inverse.length / layers;
	let before = 0;
	let gained = 0;
	for (let look = 0; look < looks; look += 1) {
		let resistance = 0;
		for (let layer = 0; layer < layers; layer += 1) {
			const rate = Math.exp(kinetics.activation_kJ * (inverse[look * layers + layer] as number));
			const now = (soft[layer] as number) + factor * every_min * rate;
			soft[layer] = now;
			resistance += Math.exp(-now);
		}
		const now = -Math.log(resistance / layers);
		gained = now - before;
		if (now >= wanted) return (look + (wanted - before) / gained) * every_min;
		before = now;
	}
	return (looks + (wanted - before) / gained) * every_min;
}

/** The activation energy that the literature has for collagen, 100 to 160 kJ/mol: its middle, and σ of the logarithm. */
const LITERATURE_KJ = 126;
const LITERATURE_SPREAD = 0.12;

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
		...HEAT_KINDS.map(() => 0),
	];
}

/** What each free constant is called, in the solver's order. */
export const FREE = ["rate", "activation energy", ...FREE_MARKS, ...GROUPS, ...HEAT_KINDS];
const FIRST_HEAT = FREE.length - HEAT_KINDS.length;

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
		heats: Object.fromEntries(
			HEAT_KINDS.map((kind, index) => [kind, Math.exp(values[FIRST_HEAT + index] ?? 0)]),
		) as Record<HeatKind, number>,
	};
}

/** How far a constant is moved to see what that does, in its logarithm. */
const NUDGE = 1e-3;
/** A step that helps makes the next one bolder, one that does not makes it more careful. */
const BOLDER = 0.3;
const CAREFUL = 4;

export interface Fitted {
	readonly kinetics: Kinetics;
	readonly values: readonly number[];
	/** Covariance of the logarithms of the free constants. */
	readonly covariance: Matrix;
}

/**
 * The constants that meet the middle of all ranges best, each weighed by how narrow its range
 * is: least squares of the logarithms, by Levenberg and Marquardt. Offsets of the heats are drawn towards none.
 */
export function fitConstants(histories: readonly History[], start = startValues(), rounds = 60): Fitted {
	const misses = (values: readonly number[]) => {
		const kinetics = kineticsFrom(values);
		return [
			...histories.map((history) => missOf(history, predicted(history, kinetics))),
			((values[1] ?? 0) - Math.log(LITERATURE_KJ)) / LITERATURE_SPREAD,
			...values.slice(FIRST_HEAT).map((offset) => offset / HEAT_SPREAD),
		];
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
	return { kinetics: kineticsFrom(values), values, covariance: covarianceOf(values, here, misses) };
}

/** How far off the middle of its range a prediction is: one at either end. */
function missOf({ practice: { low_min, high_min } }: History, minutes: number): number {
	const half = Math.log(high_min / low_min) / 2;
	return (Math.log(minutes) - Math.log(low_min * high_min) / 2) / half;
}

function squares(misses: readonly number[]): number {
	return misses.reduce((sum, miss) => sum + miss * miss, 0);
}

type Misses = (values: readonly number[]) => number[];

function slopesOf(values: readonly number[], here: readonly number[], misses: Misses): Matrix {
	const slopes = values.map((_, parameter) => {
		const moved = values.map((value, index) => (index === parameter ? value + NUDGE : value));
		return misses(moved).map((miss, index) => (miss - (here[index] as number)) / NUDGE);
	});
	return new Matrix(slopes);
}

function stepFrom(
	values: readonly number[],
	here: readonly number[],
	misses: Misses,
	damping: number,
): number[] {
	const across = slopesOf(values, here, misses);
	const normal = across.mmul(across.transpose()).add(Matrix.eye(values.length, values.length).mul(damping));
	return solve(normal, across.mmul(Matrix.columnVector([...here]))).to1DArray();
}

function covarianceOf(values: readonly number[], here: readonly number[], misses: Misses): Matrix {
	const across = slopesOf(values, here, misses);
	const free = Math.max(1, here.length - values.length);
	return inverse(across.mmul(across.transpose())).mul(squares(here) / free);
}

/** Spread of a prediction that comes from the fit itself, σ of the logarithm of the minutes. */
export function spreadOfFit(history: History, { values, covariance }: Fitted): number {
	const minutes = (at: readonly number[]) => Math.log(predicted(history, kineticsFrom(at)));
	const here = minutes(values);
	const slopes = values.map(
		(_, parameter) =>
			(minutes(values.map((value, index) => (index === parameter ? value + NUDGE : value))) - here) / NUDGE,
	);
	const row = Matrix.rowVector(slopes);
	return Math.sqrt(row.mmul(covariance).mmul(row.transpose()).get(0, 0));
}

/** Spread of a row that comes from what is not known of piece, oven, animal, pan and lid, σ of the logarithm. */
export function spreadOfInputs(history: History, kinetics: Kinetics): number {
	const { practice } = history;
	const { given, high_min } = practice;
	const { heat, sides } = given;
	const middle = predicted(history, kinetics);
	const effect = (sooner: Partial<BraiseGiven>, later: Partial<BraiseGiven>) => {
		const at = (changed: Partial<BraiseGiven>) =>
			predicted({ practice, ...courseOf({ ...given, ...changed }, high_min) }, kinetics);
		return Math.log(at(later) / at(sooner)) / 2;
	};
	const by_C = HEAT_SPREAD_C[heat.kind];
	const set = (more: number): Partial<BraiseGiven> =>
		heat.kind === "hob"
			? { heat: { ...heat, off_K: more } }
			: { heat: { ...heat, set_C: heat.set_C + more } };
	const animal =
		Math.log(
			predicted(history, kinetics, 1 / (1 - CUT_SPREAD)) / predicted(history, kinetics, 1 / (1 + CUT_SPREAD)),
		) / 2;
	const effects = [
		animal,
		effect({ sides: thicker(sides, 1 - THICKNESS_SPREAD) }, { sides: thicker(sides, 1 + THICKNESS_SPREAD) }),
		effect(set(by_C), set(-by_C)),
		...(heat.kind === "stillOven" || heat.kind === "fanOven"
			? [
					effect({ coupling: 1 + COUPLING_SPREAD }, { coupling: 1 / (1 + COUPLING_SPREAD) }),
					effect({ leak: 1 / LEAK_SPREAD }, { leak: LEAK_SPREAD }),
				]
			: []),
	];
	return Number.isFinite(middle) ? Math.hypot(...effects) / RANGE_END : Number.NaN;
}
