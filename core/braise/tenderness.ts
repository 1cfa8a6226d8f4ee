import { CALIBRATED } from "./calibrated.ts";
import { GAS_J_PER_MOLK } from "./heatConstants.ts";

/** What a probe finds, in the order in which it comes. */
export const MARKS = ["sliceable", "forkTender", "shredding", "fallingApart"] as const;
export type Mark = (typeof MARKS)[number];

const KELVIN = 273.15;

/**
 * How fast collagen turns to gelatin, per minute, for a cut whose factor is 1: first order,
 * after Arrhenius.
 */
export function softeningRate(celsius: number, kinetics = CALIBRATED): number {
	const { atReference_perMin, reference_C, activation_kJ } = kinetics;
	const inverse = 1 / (celsius + KELVIN) - 1 / (reference_C + KELVIN);
	return atReference_perMin * Math.exp(((-activation_kJ * 1000) / GAS_J_PER_MOLK) * inverse);
}
