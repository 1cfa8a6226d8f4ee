import { writeFileSync } from "node:fs";
import type { Kinetics } from "#core/braise";
import { fitConstants, type History, historyOf, predicted } from "./calibration/fit.ts";
import { PRACTICE } from "./calibration/practice.ts";

/** `npm run calibrate`: fits the constants of tenderness to the table of practice, writes them and a report. */

const histories = PRACTICE.map(historyOf);
const { kinetics, values } = fitConstants(histories);
const without = histories.map((left) => {
	const others = histories.filter((history) => history !== left);
	return predicted(left, fitConstants(others, values, 10).kinetics);
});

writeFileSync("core/braise/calibrated.ts", constantsFile(kinetics));
writeFileSync("docs/calibration.md", report(histories, kinetics, without));
const met = histories.filter((history) => isIn(history, predicted(history, kinetics))).length;
console.log(`${met} of ${histories.length} ranges are met; constants and docs/calibration.md are written.`);

function isIn({ practice }: History, minutes: number): boolean {
	return minutes >= practice.low_min && minutes <= practice.high_min;
}

function rounded(value: number): number {
	return Number(value.toPrecision(4));
}

function constantsFile({ atReference_perMin, reference_C, activation_kJ, marks, factors }: Kinetics): string {
	const object = (of: Readonly<Record<string, number>>) =>
		Object.entries(of)
			.map(([name, value]) => `\t\t${name}: ${rounded(value)},`)
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
${object(marks)}
	},
	/** How fast each group of cuts softens, against pork shoulder. */
	factors: {
${object(factors)}
	},
} as const;
`;
}

function report(all: readonly History[], fitted: Kinetics, leftOut: readonly number[]): string {
	const rows = all.map((history, index) => {
		const { name, low_min, high_min, because } = history.practice;
		const minutes = predicted(history, fitted);
		const alone = leftOut[index] ?? Number.NaN;
		const mark = (value: number) => `${Math.round(value)}${isIn(history, value) ? "" : " ✗"}`;
		return `| ${name} | ${low_min}–${high_min} | ${mark(minutes)} | ${mark(alone)} | ${because} |`;
	});
	const count = (of: (history: History, index: number) => number) =>
		all.filter((history, index) => isIn(history, of(history, index))).length;
	return `# Calibration of tenderness

Written by \`npm run calibrate\`. The heat in pan and meat is physics with constants from handbooks
(\`core/braise/heatConstants.ts\`); how fast collagen softens is fitted to general culinary practice, written down in
\`scripts/calibration/practice.ts\` with a reason for every range. Free are the rate at ${fitted.reference_C} °C, the activation
energy, three of the four marks (fork-tender is 1 by definition) and one factor for each group of cuts; nothing is fitted
to a single row. The solver is least squares (Levenberg–Marquardt) on the logarithm of the minutes, each row weighed by its width.

- Rate at ${fitted.reference_C} °C: ${rounded(fitted.atReference_perMin)} a minute for pork shoulder
- Activation energy: ${rounded(fitted.activation_kJ)} kJ/mol (110 to 160 is usual for collagen)
- Marks: ${Object.entries(fitted.marks)
		.map(([mark, value]) => `${mark} ${rounded(value)}`)
		.join(", ")}
- Factors: ${Object.entries(fitted.factors)
		.map(([group, value]) => `${group} ${rounded(value)}`)
		.join(", ")}

${count((history) => predicted(history, fitted))} of ${all.length} ranges are met. With each row left out of the fit in
turn and then predicted, ${count((_, index) => leftOut[index] ?? Number.NaN)} of ${all.length} are met.

| practice | accepted, min | fitted | left out | because |
| -------- | ------------- | ------ | -------- | ------- |
${rows.join("\n")}
`;
}
