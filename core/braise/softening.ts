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

/** Softening of each layer of the meat goes on by its temperature. */
export function soften({ soft, meat }: PanState, factor: number, seconds: number): void {
	const by = (factor * seconds) / 60;
	for (let layer = meat.meatFrom; layer < soft.length; layer += 1) {
		soft[layer] = (soft[layer] as number) + by * rateAt(meat.C[layer] as number);
	}
}

/**
 * What a probe feels: resistances add along its path, so the softening is that of their mean,
 * `S = −ln(mean of e^−Sᵢ)`. The middle, which is last to soften, is felt without being all.
 *
 * @see model, section E
 */
export function softened({ soft, meat }: PanState): number {
	return alongProbe(soft, meat.meatFrom);
}

/** The same of any list of layers, from one of them on. */
export function alongProbe(soft: ArrayLike<number>, from = 0): number {
	let resistance = 0;
	for (let layer = from; layer < soft.length; layer += 1) resistance += Math.exp(-(soft[layer] as number));
	return -Math.log(resistance / (soft.length - from));
}
