import { writeFileSync } from "node:fs";
import { uniq } from "es-toolkit";
import type { CutGroup } from "#core/braise";
import { constantsFile } from "./calibration/constantsFile.ts";
import { type Fitted, fitConstants, type History, historyOf, spreadOfFit } from "./calibration/fit.ts";
import { PRACTICE } from "./calibration/practice.ts";
import { percent, report } from "./calibration/report.ts";
import {
	acrossHalves,
	blocksOf,
	coverage,
	groupOf,
	mean,
	met,
	modelSpread,
	rowOf,
} from "./calibration/rows.ts";

/** `npm run calibrate`: fits the constants of tenderness to the table of practice, writes them and a report. */

const histories = PRACTICE.map(historyOf);
const whole = fitConstants(histories);
const rows = histories.map((history) => rowOf(history, whole, histories, [history]));
const model = modelSpread(rows);
const halves = acrossHalves(rows);
const blocks = blocksOf(whole, histories);
const seen = uniq(PRACTICE.map(({ given }) => given.cut));

writeFileSync(
	"core/braise/calibrated.ts",
	constantsFile(whole.kinetics, model, groupSpreads(histories, whole), seen),
);
writeFileSync("docs/calibration.md", report({ rows, whole, model, halves, blocks }));
console.log(
	`${met(rows, ({ fitted_min }) => fitted_min)} of ${rows.length} middles are met, ${met(rows, ({ leftOut_min }) => leftOut_min)} when left out; ` +
		`the 80 % ranges hold ${percent(coverage(rows, model))} of practice when left out, ${percent(halves)} across halves. Constants and docs/calibration.md are written.`,
);

/** What the fit leaves open of each group of cuts, σ of the logarithm of the minutes. */
function groupSpreads(all: readonly History[], fitted: Fitted): Record<string, number> {
	const names = Object.keys(fitted.kinetics.factors) as CutGroup[];
	return Object.fromEntries(
		names.map((group) => {
			const own = all.filter((history) => groupOf(history) === group);
			return [group, mean(own.map((history) => spreadOfFit(history, fitted)))];
		}),
	);
}
