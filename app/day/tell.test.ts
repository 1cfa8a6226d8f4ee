import { describe, expect, it } from "vitest";
import type { DayChange } from "#core/day";
import { readTold, readTrialChanges, trialAddress, withChange } from "./tell.ts";

const ZONE = "Atlantic/Faroe";
const DATE = "2026-12-05";
const told = (fields: Record<string, string>) => readTold(new URLSearchParams(fields), DATE, ZONE);
const at = (hour: number, minute = 0) => Date.UTC(2026, 11, 5, hour, minute);

describe("what is typed of a change", () => {
	it.each([
		[
			{ tell: "away", equipment: "north", from: "11:00", to: "16:30" },
			{ kind: "away", equipment: "north", from: at(11), to: at(16, 30) },
		],
		[
			{ tell: "arrives", for: "goat", at: "9.45" },
			{ kind: "arrives", for: "goat", at: at(9, 45) },
		],
		[
			{ tell: "covers", sitting: "hall", covers: "170" },
			{ kind: "covers", sitting: "hall", covers: 170 },
		],
		[
			{ tell: "ahead", for: "goat", ahead: "before" },
			{ kind: "ahead", for: "goat", ahead: true },
		],
		[
			{ tell: "ahead", for: "goat", ahead: "day" },
			{ kind: "ahead", for: "goat", ahead: false },
		],
		[
			{ tell: "borrowed", equipment: "full", count: "4" },
			{ kind: "borrowed", equipment: "full", count: 4 },
		],
		[
			{ tell: "happened", task: "goat/braise", start: "14:20", end: "" },
			{ kind: "happened", task: "goat/braise", start: at(14, 20), end: null },
		],
	])("%j is read in the clock of the house", (fields, change) => {
		expect(told(fields)).toEqual({ change });
	});

	it.each([
		[{ tell: "away", equipment: "north", from: "half eleven", to: "16:00" }, "from"],
		[{ tell: "away", equipment: "north", from: "16:00", to: "11:00" }, "to"],
		[{ tell: "covers", sitting: "hall", covers: "none" }, "covers"],
		[{ tell: "covers", sitting: "hall", covers: "0" }, "covers"],
		[{ tell: "borrowed", equipment: "full", count: "1000000" }, "count"],
		[{ tell: "arrives", for: "goat" }, "at"],
	])("%j is refused at its field, and kept", (fields, field) => {
		const read = told(fields as Record<string, string>);
		expect(read).toMatchObject({ kind: fields.tell, wrong: { [field]: expect.any(String) } });
	});

	it("is nothing where nothing is told", () => {
		expect(told({})).toBeNull();
		expect(told({ tell: "toString" })).toBeNull();
	});
});

describe("what is on trial", () => {
	const down: DayChange = { kind: "away", equipment: "north", from: at(11), to: at(16) };
	const more: DayChange = { kind: "covers", sitting: "hall", covers: 170 };

	it("stands in the address and is read from it again", () => {
		const search = new URL(trialAddress(DATE, [down, more]), "http://house").searchParams;
		expect(readTrialChanges(search.getAll("change"))).toEqual({ changes: [down, more], unclear: [] });
		expect(trialAddress(DATE, [])).toBe(`/day/${DATE}`);
	});

	it("says what can not be read, and reads the rest", () => {
		const { changes, unclear } = readTrialChanges([
			"nonsense",
			JSON.stringify(more),
			'{"kind":"away"}',
			"[]",
		]);
		expect(changes).toEqual([more]);
		expect(unclear).toHaveLength(3);
	});

	it("costs no more for very many, or very long ones", () => {
		const many = Array.from({ length: 20_000 }, () => JSON.stringify(more));
		expect(readTrialChanges(many).changes).toHaveLength(20);
		expect(readTrialChanges([`"${"{".repeat(500_000)}`]).unclear).toEqual([
			expect.stringContaining("too long"),
		]);
	});

	it("holds one word of each thing: the last", () => {
		const later = { ...down, to: at(20) };
		expect(withChange([down, more], later)).toEqual([more, later]);
		expect(withChange([down], { ...down, equipment: "south" })).toHaveLength(2);
	});
});
