import { wallClock } from "#core/time";
import type { ShownFigure } from "./readScreen.ts";
import type { TrueTask, Truth } from "./Truth.ts";

/**
 * What of some shown figures is not as the day has it: another value, a text that does not say its
 * value, an oven or a temperature that is not the task's, or a task that the day does not have.
 */
export function differencesIn(figures: readonly ShownFigure[], truth: Truth): string[] {
	return figures.flatMap((figure) => differences(figure, truth));
}

function differences(figure: ShownFigure, truth: Truth): string[] {
	const { what, of, text } = figure;
	const why = isOfTask(what) ? ofTask(figure, what, truth) : ofDish(figure, truth);
	return why.map((words) => `${what} of ${of}: ${words}; the text is “${text}”`);
}

type OfTask = "start" | "end" | "words";

function isOfTask(what: string): what is OfTask {
	return what === "start" || what === "end" || what === "words";
}

function ofTask({ of, value, text }: ShownFigure, what: OfTask, truth: Truth): string[] {
	const task = truth.tasks.get(of);
	// What is tasted follows a task, and is none of the day.
	if (!task) return of.includes("/taste/") ? [] : ["the day has no such task"];
	if (what === "words") return wordsOf(text, task, truth);
	if (Number(value) !== task[what]) return [`it says ${value}, the day has ${task[what]}`];
	const clock = wallClock(task[what], truth.timeZone).time;
	return text.includes(clock) ? [] : [`the day has ${clock}`];
}

function ofDish(figure: ShownFigure, truth: Truth): string[] {
	const { what, of, value, text, unit } = figure;
	const dish = truth.dishes.get(of);
	if (!dish) return ["the day has no such dish"];
	const has = dish[what];
	if (has === undefined) return ["nobody knows what that is"];
	if (what === "set") return setOf(figure, String(has));
	const off = Math.abs(Number(value) - Number(has));
	if (off > 1e-6 * Math.max(1, Math.abs(Number(has)))) return [`it says ${value}, the day has ${has}`];
	return saysValue(text, Number(has), unit) ? [] : [`the day has ${has}`];
}

/** Ovens and temperatures that a text names and its task does not have. */
function wordsOf(text: string, task: TrueTask, truth: Truth): string[] {
	const ovens = truth.ovens.filter((name) => text.includes(name) && !task.ovens.includes(name));
	// A holding or a core temperature is no oven's: only what stands with an oven is held against it.
	const named = truth.ovens.some((name) => text.includes(name));
	const degrees = [...text.matchAll(/(\d+) °C/g)].map(([, C]) => Number(C));
	const others = named ? degrees.filter((C) => !task.set_C.includes(C) && C !== task.first_C) : [];
	return [
		...ovens.map((name) => `it names the ${name}`),
		...others.map((C) => `it names ${C} °C, the day has ${task.set_C.join(", ")}`),
	];
}

function setOf({ value, text }: ShownFigure, has: string): string[] {
	const sorted = value
		.split(" ")
		.map(Number)
		.sort((a, b) => a - b)
		.join(" ");
	if (sorted !== has) return [`it says ${value}, the day has ${has}`];
	return value.split(" ").every((C) => text.includes(`${C} °C`)) ? [] : [`the day has ${has}`];
}

/** Figures are written with as many digits as a scale or a jug shows: so far they may be off. */
const ROUNDED = 0.02;

/** Whether a text says a value, in the unit it is written in. */
export function saysValue(text: string, value: number, unit: string): boolean {
	const [, number, written = ""] = /(\d[\d,]*(?:\.\d+)?)\s*(kg|g|ml|l)?/.exec(text) ?? [];
	if (number === undefined) return false;
	const said = Number(number.replaceAll(",", "")) / (written === "g" || written === "ml" ? 1000 : 1);
	if (unit === "count") return said === value;
	const step = number.includes(".") ? 10 ** -(number.split(".")[1]?.length ?? 0) : 1;
	const digit = written === "g" || written === "ml" ? step / 1000 : step;
	return Math.abs(said - value) <= Math.max(ROUNDED * value, digit);
}
