import Papa from "papaparse";
import { describe, expect, it } from "vitest";
import { type DayFile, dayCsv } from "./index.ts";

const task = (id: string, uses: DayFile["tasks"][number]["uses"]): DayFile["tasks"][number] => ({
	id,
	for: "goat",
	sitting: "supper",
	operation: "braise",
	place: "braise",
	name: "Braise: Goat, “low”",
	start: "2026-12-05T14:35:00Z",
	end: "2026-12-05T18:30:00Z",
	due: null,
	fixed: false,
	uses,
	after: [],
});
const use = { amount: 2, from: "2026-12-05T14:35:00Z", to: "2026-12-05T18:30:00Z" };
const FILE: DayFile = {
	from: "2026-12-05",
	to: "2026-12-05",
	timeZone: "Atlantic/Faroe",
	equipment: [{ id: "south", kind: "oven", name: "South oven", capacity: 4, unit: "rung", windows: [] }],
	tasks: [
		task("one", [
			{ ...use, equipment: "south", set_C: 160 },
			{ ...use, equipment: "cook" },
		]),
		task("two", []),
	],
	late_min: 0,
	waiting_rung_min: 0,
	bound_waiting_rung_min: 0,
	food: [],
	unmet: [],
};

describe("the day as a table", () => {
	it("has a row for each thing in hand, by its name, and one for empty hands", () => {
		const { data } = Papa.parse<Record<string, string>>(dayCsv(FILE).replace("\uFEFF", ""), { header: true });
		expect(data.map(({ id, has, amount, set_C }) => [id, has, amount, set_C])).toEqual([
			["one", "South oven", "2", "160"],
			["one", "cook", "2", ""],
			["two", "", "", ""],
		]);
		expect(data[0]?.task).toBe("Braise: Goat, “low”");
	});
});
