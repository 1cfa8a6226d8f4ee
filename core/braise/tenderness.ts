import { GAS_J_PER_MOLK, type HeatKind, KELVIN } from "../heat/index.ts";
import { CALIBRATED } from "./calibrated.ts";
import type { CutGroup } from "./cutFactors.ts";

/** What a probe finds, in the order in which it comes. */
export const MARKS = ["sliceable", "forkTender", "shredding", "fallingApart"] as const;
export type Mark = (typeof MARKS)[number];

/** The constants of tenderness: one set for all methods. */
export interface Kinetics {
	/** Softening at the reference, per minute, for a cut whose factor is 1. */
	readonly atReference_perMin: number;
	readonly reference_C: number;
	/** kJ/mol */
	readonly activation_kJ: number;
	/** Softening at each mark; fork-tender is 1. */
	readonly marks: Readonly<Record<Mark, number>>;
	/** How fast each group of cuts softens. */
	readonly factors: Readonly<Record<CutGroup, number>>;
	/** How much faster than its temperatures tell it softens in a kind of heat; near 1. */
	readonly heats: Readonly<Record<HeatKind, number>>;
}

/**
 * How fast collagen turns to gelatin, per minute, for a cut whose factor is 1: first order,
 * after Arrhenius.
 */
export function softeningRate(
	celsius: number,
	{
		atReference_perMin,
		reference_C,
		activation_kJ,
	}: Pick<Kinetics, "atReference_perMin" | "reference_C" | "activation_kJ"> = CALIBRATED,
): number {
	const inverse = 1 / (celsius + KELVIN) - 1 / (reference_C + KELVIN);
	return atReference_perMin * Math.exp(((-activation_kJ * 1000) / GAS_J_PER_MOLK) * inverse);
}
