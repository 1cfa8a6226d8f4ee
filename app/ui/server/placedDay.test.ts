import { describe, expect, it } from "vitest";
import { dayJson } from "#core/day";
import { wallClock } from "#core/time";
import { readSittings } from "#db";
import { brokenIn } from "../../../core/day/brokenIn.testing.ts";
import { openDemoHouse } from "./demoTables.testing.ts";
import { placedDay } from "./placedDay.server.ts";

const NOW = Date.UTC(2026, 10, 28, 9);

describe("the demo days", () => {
	it("break no law, one alone and all together", async () => {
		const store = await openDemoHouse(NOW);
		const sittings = await readSittings(store.db, NOW, NOW + 15 * 86_400_000);
		const dates = sittings.map(({ serviceAt }) => wallClock(serviceAt, "Atlantic/Faroe").date).sort();
		const [first, last] = [dates[0] ?? "", dates.at(-1) ?? ""];
		for (const [from, to] of [
			[first, first],
			[first, last],
		] as const) {
			const { day, given, refused } = await placedDay(store.db, from, to);
			const file = dayJson(day, from, to, given.kitchen.policy.timeZone);
			expect(brokenIn(file)).toEqual([]);
			expect(refused).toEqual([]);
			expect(file.tasks.length).toBeGreaterThan(10);
			expect(file.late_min).toBe(0);
		}
		await store.close();
	});
});
