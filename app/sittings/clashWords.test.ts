import { describe, expect, it } from "vitest";
import type { PreparedBatch } from "#core/plan";
import { readingIn } from "../ui/words/reading.ts";
import { clashWords, outsideHoursWords } from "./clashWords.ts";

const NOW = Date.UTC(2026, 10, 28, 9, 0);
const READING = readingIn("metric", "UTC", NOW);
const AT = Date.UTC(2026, 10, 28, 18, 40);

describe("what a sitting wants and the kitchen has not at that time", () => {
	it("says from when to when, how many of what, and for which dishes", () => {
		const clash = { wanted: 5, there: 3, from: AT, to: AT + 25 * 60_000, by: ["Goat", "Mutton"] };
		expect(clashWords({ ...clash, kind: "burners", name: null }, READING)).toBe(
			"18:40 to 19:05: 5 burners wanted, 3 there. Goat and Mutton.",
		);
		expect(clashWords({ ...clash, kind: "pot", name: "Rondeau 400" }, READING)).toContain(
			"5 × Rondeau 400 wanted, 3 there",
		);
	});

	it("says a stock that would have to start at night", () => {
		const batch = (hour: number) =>
			({ name: "light stock", tasks: [{ start: Date.UTC(2026, 10, 28, hour) }] }) as unknown as PreparedBatch;
		const house = { timeZone: "UTC", hours: { opens_min: 360, closes_min: 1320 } };
		expect(outsideHoursWords([batch(2)], house, READING)).toEqual([
			"light stock would have to start at 02:00, outside the kitchen's hours.",
		]);
		expect(outsideHoursWords([batch(9)], house, READING)).toEqual([]);
	});
});
