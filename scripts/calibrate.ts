import { writeFileSync } from "node:fs";
import { cumulativeStdNormalProbability } from "simple-statistics";
import { CUT_GROUPS, type CutGroup, type Kinetics, RANGE_END } from "#core/braise";
import {
	type Fitted,
	FREE,
	fitConstants,
	type History,
	historyOf,
	predicted,
	spreadOfFit,
	spreadOfInputs,
} from "./calibration/fit.ts";
import { PRACTICE } from "./calibration/practice.ts";

/** `npm run calibrate`: fits the constants of tenderness to the table of practice, writes them and a report. */

/** Share of practice that the 80 % ranges have to hold when a row is left out of the fit. */
const WANTED = 0.8;

interface Row {
	readonly history: History;
	readonly fitted_min: number;
	readonly leftOut_min: number;
	/** σ of the logarithm: of the inputs, and of the fit without this row. */
	readonly inputs: number;
	readonly fit: number;
}

const histories = PRACTICE.map(historyOf);
const whole = fitConstants(histories);
const rows = histories.map((history): Row => {
	const others = histories.filter((other) => other !== history);
	const without = fitConstants(others, whole.values, 10);
	return {
		history,
		fitted_min: predicted(history, whole.kinetics),
		leftOut_min: predicted(history, without.kinetics),
		inputs: spreadOfInputs(history, whole.kinetics),
		fit: spreadOfFit(history, without),
	};
});
const model = modelSpread(rows);
const groups = groupSpreads(histories, whole);

writeFileSync("core/braise/calibrated.ts", constantsFile(whole.kinetics, model, groups));
writeFileSync("docs/calibration.md", report(rows, whole, model));
console.log(
	`${met(rows, ({ fitted_min }) => fitted_min)} of ${rows.length} middles are met, ${met(rows, ({ leftOut_min }) => leftOut_min)} when left out; ` +
		`the 80 % ranges hold ${percent(coverage(rows, model))} of practice when left out. Constants and docs/calibration.md are written.`,
);

/** What no constant explains: as much as makes the ranges hold what they say. */
function modelSpread(all: readonly Row[]): number {
	let low = 0;
	let high = 1;
	for (let halving = 0; halving < 40; halving += 1) {
		const middle = (low + high) / 2;
		if (coverage(all, middle) < WANTED) low = middle;
		else high = middle;
	}
	return high;
}

/** Share of practice, each row taken as a spread of which 80 % lies inside, that the ranges hold. */
function coverage(all: readonly Row[], model: number): number {
	return mean(all.map((row) => coveredBy(row, model)));
}

function coveredBy({ history: { practice }, leftOut_min, inputs, fit }: Row, model: number): number {
	const reach = Math.hypot(inputs, fit, model) * RANGE_END;
	const middle = Math.log(practice.low_min * practice.high_min) / 2;
	const spread = Math.log(practice.high_min / practice.low_min) / 2 / RANGE_END;
	const below = (value: number) => cumulativeStdNormalProbability((value - middle) / spread);
	return below(Math.log(leftOut_min) + reach) - below(Math.log(leftOut_min) - reach);
}

function groupSpreads(all: readonly History[], fitted: Fitted): Record<string, number> {
	const names = Object.keys(fitted.kinetics.factors) as CutGroup[];
	return Object.fromEntries(
		names.map((group) => {
			const own = all.filter(({ practice }) => CUT_GROUPS[practice.given.cut] === group);
			return [group, mean(own.map((history) => spreadOfFit(history, fitted)))];
		}),
	);
}

function mean(values: readonly number[]): number {
	return values.reduce((sum, value) => sum + value, 0) / values.length;
}

function met(all: readonly Row[], minutesOf: (row: Row) => number): number {
	return all.filter((row) => isIn(row.history, minutesOf(row))).length;
}

function isIn({ practice }: History, minutes: number): boolean {
	return minutes >= practice.low_min && minutes <= practice.high_min;
}

function rounded(value: number): number {
	return Number(value.toPrecision(4));
}

function percent(share: number): string {
	return `${Math.round(share * 100)} %`;
}

function constantsFile(
	{ atReference_perMin, reference_C, activation_kJ, marks, factors }: Kinetics,
	spread: number,
	ofGroups: Readonly<Record<string, number>>,
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
} as const;
`;
}

function report(all: readonly Row[], fitted: Fitted, spread: number): string {
	const { kinetics, values, covariance } = fitted;
	const lines = all.map((row) => {
		const { name, low_min, high_min, because } = row.history.practice;
		const mark = (value: number) => `${Math.round(value)}${isIn(row.history, value) ? "" : " ✗"}`;
		return `| ${name} | ${low_min}–${high_min} | ${mark(row.fitted_min)} | ${mark(row.leftOut_min)} | ${percent(coveredBy(row, spread))} | ${because} |`;
	});
	const constants = FREE.map((name, index) => {
		const value = Math.exp(values[index] ?? 0);
		const error = Math.sqrt(covariance.get(index, index));
		return `| ${name} | ${rounded(value)} | ± ${percent(error)} |`;
	});
	return `# Calibration of tenderness

Written by \`npm run calibrate\`. The heat in pan and meat is physics with constants from handbooks
(\`core/heat/constants.ts\`); how fast collagen softens is fitted to general culinary practice, written down in
\`scripts/calibration/practice.ts\` with the three sides of each piece, its bone, and a reason for every range. Free are the
rate at ${kinetics.reference_C} °C, the activation energy, three of the four marks (fork-tender is 1 by definition) and one factor for each
group of cuts; nothing is fitted to a single row. The solver is least squares (Levenberg–Marquardt) on the logarithm of the
minutes, each row weighed by its width.

- **Middles:** ${met(all, ({ fitted_min }) => fitted_min)} of ${all.length} are met; with each row left out of the fit in turn and then predicted, ${met(all, ({ leftOut_min }) => leftOut_min)} of ${all.length}.
- **Coverage:** the 80 % ranges hold ${percent(coverage(all, spread))} of practice with each row left out, every row taken as a spread of
  which eight parts in ten lie inside what is accepted. Without the model's own error they would hold ${percent(coverage(all, 0))}.
- **The model's own error:** σ = ${rounded(spread)} of the logarithm of the minutes, beside what is not known of the piece, the oven, the
  animal, the pan and the lid, and beside the fit's own.
- **Activation energy:** ${rounded(kinetics.activation_kJ)} kJ/mol; the literature has 100 to 160 for collagen.

| constant | fitted | standard error |
| -------- | ------ | -------------- |
${constants.join("\n")}

Marks are softening against fork-tender; groups are how fast a cut softens against pork shoulder.

| practice | accepted, min | fitted | left out | held | because |
| -------- | ------------- | ------ | -------- | ---- | ------- |
${lines.join("\n")}
`;
}
