import type { PanState } from "./PanState.ts";
import { softeningRate } from "./tenderness.ts";

/** Rates are looked up between tenths of a degree; the error is below one in ten thousand. */
const TABLE_STEP_C = 0.1;
const HOTTEST_C = 400;
const RATES = Float64Array.from({ length: HOTTEST_C / TABLE_STEP_C + 1 }, (_, index) =>
	softeningRate(index * TABLE_STEP_C),
);

function rateAt(celsius: number): number {
	const at = Math.min(Math.max(celsius, 0), HOTTEST_C - 1) / TABLE_STEP_C;
	const below = Math.floor(at);
	const low = RATES[below] as number;
	return low + (at - below) * ((RATES[below + 1] as number) - low);
}

/** Below this a power of e is told by its series, to better than one part in ten million. */
const SMALL = 0.03;

/**
 * Each layer of the meat softens by its temperature: what it resists falls to `e^−S`. What is
 * held is that resistance, so that a step needs no power of e and the probe but one logarithm.
 */
export function soften({ resists, meat }: PanState, factor: number, seconds: number): void {
	const by = (factor * seconds) / 60;
	for (let layer = meat.meatFrom; layer < resists.length; layer += 1) {
		const more = by * rateAt(meat.C[layer] as number);
		const left = more < SMALL ? 1 - more * (1 - (more / 2) * (1 - more / 3)) : Math.exp(-more);
		resists[layer] = (resists[layer] as number) * left;
	}
}

/**
 * What a probe feels: resistances add along its path, so the softening is that of their mean,
 * `S = −ln(mean of e^−Sᵢ)`. The middle, which is last to soften, is felt without being all.
 *
 * @see model, section E
 */
export function softened({ resists, meat }: PanState): number {
	let sum = 0;
	for (let layer = meat.meatFrom; layer < resists.length; layer += 1) sum += resists[layer] as number;
	return Math.log((resists.length - meat.meatFrom) / sum);
}

/** The same of the softening of layers from the middle out. */
export function alongProbe(soft: readonly number[]): number {
	return Math.log(soft.length / soft.reduce((sum, layer) => sum + Math.exp(-layer), 0));
}
