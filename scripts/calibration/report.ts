import { rounded } from "./constantsFile.ts";
import { type Fitted, FREE, HEAT_SPREAD } from "./fit.ts";
import { type Bias, biasBy, residualOf, sizeOf } from "./residuals.ts";
import { type Block, coverage, coveredBy, isIn, met, type Row } from "./rows.ts";

export interface Calibration {
	readonly rows: readonly Row[];
	readonly whole: Fitted;
	/** The model's own error, σ of the logarithm of the minutes. */
	readonly model: number;
	/** Share that the ranges hold of one half when that is set on the other. */
	readonly halves: number;
	readonly blocks: readonly Block[];
}

export function percent(share: number): string {
	return `${Math.round(share * 100)} %`;
}

/** docs/calibration.md */
export function report({ rows, whole, model, halves, blocks }: Calibration): string {
	const { kinetics } = whole;
	return `# Calibration of tenderness

Written by \`npm run calibrate\`. The heat in pan and meat is physics with constants from handbooks
(\`core/heat/constants.ts\`); how fast collagen softens is fitted to general culinary practice, written down in
\`scripts/calibration/practice.ts\` with the three sides of each piece, its bone, and a reason for every range. Free are the
rate at ${kinetics.reference_C} °C, the activation energy (drawn to the literature's 100 to 160 kJ/mol), three of the four marks (fork-tender is 1 by
definition), one factor for each group of cuts, and an offset for each kind of heat that is drawn towards none (σ ${HEAT_SPREAD} of the
logarithm); nothing is fitted to a single row. The solver is least squares (Levenberg–Marquardt) on the logarithm of the
minutes, each row weighed by its width.

- **Middles:** ${met(rows, ({ fitted_min }) => fitted_min)} of ${rows.length} are met; with each row left out of the fit in turn and then predicted, ${met(rows, ({ leftOut_min }) => leftOut_min)} of ${rows.length}.
- **Coverage:** the 80 % ranges hold ${percent(coverage(rows, model))} of practice with each row left out, every row taken as a spread of
  which eight parts in ten lie inside what is accepted. With the model's own error set on one half of the rows, they hold
  ${percent(halves)} of the other. Without it they would hold ${percent(coverage(rows, 0))}.
- **The model's own error:** σ = ${rounded(model)} of the logarithm of the minutes, beside what is not known of the piece, the oven, the
  animal, the pan and the lid, and beside the fit's own.
- **Activation energy:** ${rounded(kinetics.activation_kJ)} kJ/mol; the literature has 100 to 160 for collagen.

${constantsTable(whole)}

Marks are softening against fork-tender; groups are how fast a cut softens against pork shoulder; heats are how much faster
than its temperatures tell it softens there.

## What is left, each row predicted without itself

Above 0 the minutes are predicted too long. **▲** where the mean is more than twice its standard error off.

${biasTable("heat", byRow(rows, "heat"))}

${biasTable("size", byRow(rows, "size"))}

${biasTable("cover", byRow(rows, "cover"))}

${biasTable("cuts", byRow(rows, "cuts"))}

## Whole blocks left out

Every row of a kind of heat, or of a group of cuts but its first, is predicted by a fit that saw none of them.

| block | rows | middles met | bias | held |
| ----- | ---- | ----------- | ---- | ---- |
${blocks.map((block) => blockLine(block, model)).join("\n")}

## Every row

| practice | accepted, min | fitted | left out | held | because |
| -------- | ------------- | ------ | -------- | ---- | ------- |
${rows.map((row) => rowLine(row, model)).join("\n")}
`;
}

function constantsTable({ values, covariance }: Fitted): string {
	const lines = FREE.map((name, index) => {
		const error = Math.sqrt(covariance.get(index, index));
		return `| ${name} | ${rounded(Math.exp(values[index] ?? 0))} | ± ${percent(error)} |`;
	});
	return `| constant | fitted | standard error |\n| -------- | ------ | -------------- |\n${lines.join("\n")}`;
}

function byRow(rows: readonly Row[], what: "heat" | "size" | "cover" | "cuts"): Bias[] {
	const residuals = rows.map(({ history, leftOut_min }) => residualOf(history, leftOut_min));
	return biasBy(residuals, (history) => {
		const { heat, lid, cut } = history.practice.given;
		if (what === "heat") return heat.kind;
		if (what === "cover") return lid;
		return what === "cuts" ? cut : sizeOf(history);
	});
}

/** So many standard errors off is no chance. */
const TOLD_T = 2;

function biasTable(what: string, biases: readonly Bias[]): string {
	const lines = biases.map(({ of, rows, bias, t }) => {
		const told = t !== null && Math.abs(t) > TOLD_T ? " ▲" : "";
		return `| ${of} | ${rows} | ${signed(bias)} | ${t === null ? "–" : t.toFixed(1)}${told} |`;
	});
	return `| ${what} | rows | bias | t |\n| --- | --- | --- | --- |\n${lines.join("\n")}`;
}

function signed(share: number): string {
	const all = Math.round(share * 100);
	return `${all > 0 ? "+" : all < 0 ? "−" : ""}${Math.abs(all)} %`;
}

function blockLine({ of, rows }: Block, model: number): string {
	const [bias] = biasBy(
		rows.map(({ history, leftOut_min }) => residualOf(history, leftOut_min)),
		() => of,
	);
	const inside = met(rows, ({ leftOut_min }) => leftOut_min);
	return `| ${of} | ${rows.length} | ${inside} | ${signed(bias?.bias ?? 0)} | ${percent(coverage(rows, model))} |`;
}

function rowLine(row: Row, model: number): string {
	const { name, low_min, high_min, because } = row.history.practice;
	const mark = (value: number) => `${Math.round(value)}${isIn(row.history, value) ? "" : " ✗"}`;
	return `| ${name} | ${low_min}–${high_min} | ${mark(row.fitted_min)} | ${mark(row.leftOut_min)} | ${percent(coveredBy(row, model))} | ${because} |`;
}
