import { isFigure, type Operation, reckoned, type Sum, type Working, type WorkingUnit } from "#core/workings";
import type { Reading } from "../ui/words/reading.ts";
import { figureWords, LABELS, NOTES, termName } from "./workingNames.ts";

/** One figure and the sum behind it, with the numbers in it. */
export interface SumWords {
	readonly label: string;
	readonly working: string;
	readonly result: string;
}

/** Digits beyond the usual three that a sum may need until its figures come to its result. */
const MORE_DIGITS = [0, 1, 2, 3, 4, 5, 6] as const;

/**
 * A working in words. Its figures are told with as many digits as it takes for them to come to
 * the result that is shown: what a reader works out again is what stands there.
 */
export function sumWords(working: Working, reading: Reading): SumWords {
	const result = figureWords(working.result, reading, 0);
	const digits = MORE_DIGITS.find((more) => holds(working, reading, more, result.value)) ?? 6;
	const note = NOTES[working.key]?.(working, reading) ?? "";
	const sum = isFigure(working.sum) ? "" : words(working.sum, reading, digits);
	return {
		label: LABELS[working.key]?.(working) ?? working.key,
		working: [sum, note].filter(Boolean).join(sum && note ? "; " : ""),
		result: result.words,
	};
}

/** Whether the figures as they are shown come to the result as it is shown. */
function holds(working: Working, reading: Reading, more: number, shown: number): boolean {
	const value = reckoned(asShown(working.sum, reading, more));
	return figureWords({ ...working.result, value }, reading, 0).value === shown;
}

/** The sum with every figure rounded as it is shown. */
function asShown(sum: Sum, reading: Reading, more: number): Sum {
	if (isFigure(sum)) return { ...sum, value: figureWords(sum, reading, more).value };
	return { ...sum, of: sum.of.map((term) => asShown(term, reading, more)) };
}

/** Nought to be added or taken off is not worth a word. */
function isNought(sum: Sum): boolean {
	return isFigure(sum) && sum.value === 0;
}

/** How tightly an operation holds together, for the brackets it needs. */
const BINDS: Readonly<Record<string, number>> = { add: 1, subtract: 1, multiply: 2, divide: 2 };
/** A sum that is rounded needs brackets wherever more is done with it. */
const LOOSELY = 0.5;

function words(sum: Sum, reading: Reading, more: number, within = 0): string {
	if (isFigure(sum)) {
		const figure = figureWords(sum, reading, more).words;
		const name = termName(sum.what);
		return name ? `${figure} ${name}` : figure;
	}
	const [only, ...others] = sum.of;
	if (only && others.length === 0 && sum.op in BINDS) return words(only, reading, more, within);
	const text = operationWords(sum, reading, more);
	return (BINDS[sum.op] ?? LOOSELY) < within ? `(${text})` : text;
}

function operationWords(sum: Operation, reading: Reading, more: number): string {
	const binds = BINDS[sum.op] ?? 0;
	const parts = (within: number) =>
		sum.of
			.filter((term, index) => index === 0 || within > 1 || !isNought(term))
			.map((term, index) => words(term, reading, more, within + (index > 0 ? 0.5 : 0)));
	const list = () => sum.of.map((term) => words(term, reading, more));
	switch (sum.op) {
		case "add":
			return parts(binds).join(" + ");
		case "subtract":
			return parts(binds).join(" − ");
		case "multiply":
			return parts(binds).join(" × ");
		case "divide":
			return parts(binds).join(" ÷ ");
		case "wholeUp":
			return `${list().join("")}, up to a whole one`;
		case "wholeDown":
			return `${list().join("")}, down to a whole one`;
		case "fiveDown":
			return `${list().join("")}, back to the five minutes`;
		case "fiveNearest":
			return `${list().join("")}, to the nearest five minutes`;
		case "fiveUp":
			return `${list().join("")}, on to the five minutes`;
		case "between":
			return `from ${list().join(" to ")}`;
		case "most":
			return choice(sum, list(), "the greater of");
		case "least":
			return choice(sum, list(), "the lesser of");
	}
}

/** One of several; a floor of nothing needs no words. */
function choice(sum: Operation, list: readonly string[], which: string): string {
	const [first = "", ...rest] = list;
	if (rest.length === 0) return first;
	const floor = sum.of.findIndex((term) => isFigure(term) && term.value === 0 && term.what === undefined);
	if (floor >= 0 && list.length === 2) return `${list[1 - floor]}, not below nothing`;
	const clocks = sum.of.some((term) => unitIs(term, "instant"));
	const name = clocks ? (sum.op === "least" ? "the earliest of" : "the latest of") : which;
	return `${name} ${list.join(" and ")}`;
}

function unitIs(sum: Sum, unit: WorkingUnit): boolean {
	return isFigure(sum) ? sum.unit === unit : sum.of.some((term) => unitIs(term, unit));
}
