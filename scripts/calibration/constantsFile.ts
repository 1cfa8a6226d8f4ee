import type { Kinetics } from "#core/braise";
import type { Cut } from "#core/trade";

export function rounded(value: number): number {
	return Number(value.toPrecision(4));
}

/**
 * The fitted constants as the core reads them.
 *
 * @param spread   of the model itself, σ of the logarithm of the minutes
 * @param ofGroups of the fit for each group of cuts, the same
 * @param seen     cuts that have rows of practice
 */
export function constantsFile(
	{ atReference_perMin, reference_C, activation_kJ, marks, factors, heats }: Kinetics,
	spread: number,
	ofGroups: Readonly<Record<string, number>>,
	seen: readonly Cut[],
): string {
	const object = (values: Readonly<Record<string, number>>, indent: string) =>
		Object.entries(values)
			.map(([name, value]) => `${indent}${name}: ${rounded(value)},`)
			.join("\n");
	return `/** Written by \`npm run calibrate\`; see docs/calibration.md. Do not edit by hand. */
export const CALIBRATED = {
	/** Softening at the reference, per minute, for a cut whose factor is 1. */
	atReference_perMin: ${rounded(atReference_perMin)},
	reference_C: ${reference_C},
	/** kJ/mol */
	activation_kJ: ${rounded(activation_kJ)},
	/** Softening at each mark; fork-tender is 1. */
	marks: {
${object(marks, "\t\t")}
	},
	/** Spreads of the logarithm of the minutes: what no constant explains, and the fit's own for each group. */
	spreads: {
		model: ${rounded(spread)},
		groups: {
${object(ofGroups, "\t\t\t")}
		},
	},
	/** How fast each group of cuts softens, against pork shoulder. */
	factors: {
${object(factors, "\t\t")}
	},
	/** How much faster than its temperatures tell it softens in a kind of heat. */
	heats: {
${object(heats, "\t\t")}
	},
	/** Cuts that have practice of their own; others go by their group. */
	seen: [
${seen.map((cut) => `\t\t"${cut}",`).join("\n")}
	],
} as const;
`;
}
