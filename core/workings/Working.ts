import { wholeDown as toWholeDown, wholeUp as toWholeUp } from "../quantity/index.ts";
import { MINUTE_MS } from "../time/index.ts";

/** What a figure is measured in; masses kg, volumes l, lengths mm, instants ms since 1970 UTC. */
export type WorkingUnit =
	| "kg"
	| "l"
	| "mm"
	| "min"
	| "count"
	| "share"
	| "percent"
	| "number"
	| "instant"
	| "°C"
	| "g/l"
	| "kg/l";

/** A number in a sum, with what it is. */
export interface Figure {
	readonly value: number;
	readonly unit: WorkingUnit;
	/** What it is, by name; the interface words it. Nothing where it speaks for itself. */
	readonly what?: string;
}

export type Operator =
	| "add"
	| "subtract"
	| "multiply"
	| "divide"
	/** To the next whole one, and to the whole one below. */
	| "wholeUp"
	| "wholeDown"
	/** An instant to the five minutes: the ones before it, the nearest, the ones after it. */
	| "fiveDown"
	| "fiveNearest"
	| "fiveUp"
	/** Minutes from one instant to another. */
	| "between"
	| "most"
	| "least";

export interface Operation {
	readonly op: Operator;
	readonly of: readonly Sum[];
}

/** A sum as it is reckoned: figures and what is done with them. */
export type Sum = Figure | Operation;

/** One figure of a plan and the sum behind it. */
export interface Working {
	/** What it is, by name. */
	readonly key: string;
	readonly sum: Sum;
	readonly result: Figure;
	/** Names and figures that the words of this working need beside its sum. */
	readonly about?: Readonly<Record<string, string | number>>;
}

export function isFigure(sum: Sum): sum is Figure {
	return "value" in sum;
}

const FIVE_MIN_MS = 5 * MINUTE_MS;

/**
 * What a sum comes to. Minutes taken from an instant are minutes of its clock.
 *
 * @returns in the unit of its first figure
 */
export function reckoned(sum: Sum): number {
	if (isFigure(sum)) return sum.value;
	const values = termsOf(sum);
	const [first = 0, ...rest] = values;
	switch (sum.op) {
		case "add":
			return rest.reduce((all, term) => all + term, first);
		case "subtract":
			return rest.reduce((all, term) => all - term, first);
		case "multiply":
			return rest.reduce((all, term) => all * term, first);
		case "divide":
			return rest.reduce((all, term) => all / term, first);
		case "wholeUp":
			return toWholeUp(first);
		case "wholeDown":
			return toWholeDown(first);
		case "fiveDown":
			return Math.floor(first / FIVE_MIN_MS) * FIVE_MIN_MS;
		case "fiveNearest":
			return Math.round(first / FIVE_MIN_MS) * FIVE_MIN_MS;
		case "fiveUp":
			return Math.ceil(first / FIVE_MIN_MS) * FIVE_MIN_MS;
		case "between":
			return ((rest[0] ?? first) - first) / MINUTE_MS;
		case "most":
			return Math.max(...values);
		case "least":
			return Math.min(...values);
	}
}

/** Values of the terms; minutes beside an instant as milliseconds. */
function termsOf({ of: list }: Operation): number[] {
	const values = list.map(reckoned);
	if (!list.some((term) => unitOf(term) === "instant")) return values;
	return values.map((value, index) => value * (unitOf(list[index] as Sum) === "min" ? MINUTE_MS : 1));
}

/** The unit that a sum is in: its first figure's. */
export function unitOf(sum: Sum): WorkingUnit {
	if (isFigure(sum)) return sum.unit;
	if (sum.op === "between") return "min";
	const [first] = sum.of;
	return first ? unitOf(first) : "number";
}

/** A figure of a sum. */
export function figure(value: number, unit: WorkingUnit, what?: string): Figure {
	return what === undefined ? { value, unit } : { value, unit, what };
}

const operation =
	(op: Operator) =>
	(...list: readonly Sum[]): Operation => ({ op, of: list });

export const add = operation("add");
export const subtract = operation("subtract");
export const multiply = operation("multiply");
export const divide = operation("divide");
export const wholeUp = operation("wholeUp");
export const wholeDown = operation("wholeDown");
export const fiveDown = operation("fiveDown");
export const fiveNearest = operation("fiveNearest");
export const fiveUp = operation("fiveUp");
export const between = operation("between");
export const most = operation("most");
export const least = operation("least");

/** What is left of a whole after a share is lost: `(1 − 8 % trim)`. */
export function lessShare(share: number, what: string): Operation {
	return subtract(figure(1, "number"), figure(share, "share", what));
}

/**
 * A working whose result is what its sum comes to, and may stand by its name in further sums.
 *
 * @param unit of the result, where it is another than its first figure's
 */
export function working(
	key: string,
	sum: Sum,
	unit: WorkingUnit = unitOf(sum),
	about?: Working["about"],
): Working {
	return { key, sum, result: figure(reckoned(sum), unit, key), ...(about ? { about } : {}) };
}
