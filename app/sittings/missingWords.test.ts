import { describe, expect, it } from "vitest";
import { type Day, type DayTask, EMPTY_DAY, type WorkedBatch } from "#core/day";
import { readingIn } from "../ui/words/reading.ts";
import { missingWords, outsideHoursWords } from "./missingWords.ts";

const NOW = Date.UTC(2026, 10, 28, 9, 0);
const READING = readingIn("metric", "UTC", NOW);
const AT = Date.UTC(2026, 10, 28, 18, 40);

const task = (id: string, sitting: string): DayTask => ({
	id,
	for: id,
	forName: id === "goat/sauce" ? "Goat" : "Mutton",
	sitting,
	place: "sauce",
	part: "work",
	figures: {},
	start: AT,
	end: AT + 25 * 60_000,
	due: null,
	fixed: false,
	inOven: [],
	uses: [],
	after: [],
});
const DAY: Day = {
	...EMPTY_DAY,
	tasks: [task("goat/sauce", "supper"), task("mutton/sauce", "lunch")],
	unmet: ["goat/sauce", "mutton/sauce"].map((id) => ({
		task: id,
		because: "nobody" as const,
		short: 1,
		from: AT,
		to: AT + 25 * 60_000,
	})),
};

describe("what a sitting goes without in its day", () => {
	it("names what is missing, from when to when, and which of its own tasks go without", () => {
		expect(missingWords("supper", DAY, READING)).toEqual([
			"2 cooks too few, 18:40 to 19:05, for Sauce: Goat.",
		]);
		expect(missingWords("breakfast", DAY, READING)).toEqual([]);
	});

	it("says a stock that would have to start at night", () => {
		const batch = (hour: number) =>
			({ name: "light stock", tasks: [{ start: Date.UTC(2026, 10, 28, hour) }] }) as unknown as WorkedBatch;
		const house = { timeZone: "UTC", hours: { opens_min: 360, closes_min: 1320 } };
		expect(outsideHoursWords([batch(2)], house, READING)).toEqual([
			"light stock would have to start at 02:00, outside the kitchen's hours.",
		]);
		expect(outsideHoursWords([batch(9)], house, READING)).toEqual([]);
	});
});
