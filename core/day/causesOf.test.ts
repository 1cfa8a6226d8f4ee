import { describe, expect, it } from "vitest";
import { MINUTE_MS } from "../time/index.ts";
import type { DayTask, Unmet } from "./index.ts";
import { causesOf } from "./index.ts";

const tasks = ["a", "b", "c", "d"].map((id) => ({ id }) as DayTask);
const span = (from: number, to: number) => ({ from: from * MINUTE_MS, to: to * MINUTE_MS });
const nobody = (task: string, short: number, from: number, to: number): Unmet => ({
	task,
	because: "nobody",
	short,
	...span(from, to),
});
const pans = (task: string, equipment: string, short: number, from: number, to: number): Unmet => ({
	task,
	because: "tooFew",
	equipment,
	short,
	...span(from, to),
});
const told = (unmet: readonly Unmet[]) =>
	causesOf({ unmet, tasks }).map(({ unmet: one, tasks: freed }) => [
		"short" in one ? [one.short, one.from / MINUTE_MS, one.to / MINUTE_MS] : one.because,
		freed,
	]);

describe("causes", () => {
	it("are one for people missing one task after the other, and add up at one time", () => {
		expect(told([nobody("b", 1, 20, 60), nobody("a", 2, 0, 30), nobody("c", 1, 80, 90)])).toEqual([
			[
				[3, 0, 90],
				["a", "b", "c"],
			],
		]);
	});

	it("are two where the same is missing long after", () => {
		expect(told([nobody("a", 1, 0, 30), nobody("b", 1, 90, 120)])).toHaveLength(2);
	});

	it("of pans name the most that is short, each kind for itself", () => {
		expect(
			told([pans("a", "full", 2, 0, 60), pans("b", "full", 5, 30, 90), pans("c", "half", 1, 30, 90)]),
		).toEqual([
			[
				[5, 0, 90],
				["a", "b"],
			],
			[[1, 30, 90], ["c"]],
		]);
	});

	it("without a time of their own stand for themselves, in the order of the clock", () => {
		const late: Unmet = { task: "a", because: "late", minutes: 20 };
		expect(told([nobody("d", 1, 0, 5), late])).toEqual([
			["late", ["a"]],
			[[1, 0, 5], ["d"]],
		]);
	});
});
