import { describe, expect, it } from "vitest";
import { changeWords, type DayNames } from "./changeWords.ts";

const NAMES: DayNames = {
	day: { tasks: [], equipment: [] },
	sittings: [{ id: "hall", name: "Festival supper" }],
	timeZone: "UTC",
	temperature: (C) => `${C} °C`,
};

describe("a change of a day in words", () => {
	it("calls what is of the day by its name", () => {
		expect(changeWords({ kind: "covers", sitting: "hall", covers: 1700 }, NAMES)).toBe(
			"Festival supper for 1,700 covers",
		);
	});

	it("says of what is not of the day that it is not, and never shows its key", () => {
		const said = [
			changeWords({ kind: "covers", sitting: "7k9aZLa1G_", covers: 170 }, NAMES),
			changeWords({ kind: "heat", for: "7k9aZLa1G_", set_C: 140 }, NAMES),
			changeWords({ kind: "happened", task: "7k9aZLa1G_", start: 0, end: null }, NAMES),
		];
		expect(said).toEqual([
			"a sitting that is not of this day for 170 covers",
			"a dish that is not of this day braised at 140 °C",
			"“something that is no longer of this day” begun at 00:00",
		]);
	});
});
