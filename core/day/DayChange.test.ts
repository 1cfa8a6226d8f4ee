import { describe, expect, it } from "vitest";
import { KITCHEN } from "../dish/dish.testing.ts";
import { HOUR_MS } from "../time/index.ts";
import { readChange, withBorrowed } from "./index.ts";

const AT = Date.UTC(2026, 10, 28, 9);

describe("a change of the day as it is sent", () => {
	it.each([
		{ kind: "away", equipment: "north", from: AT, to: AT + HOUR_MS },
		{ kind: "borrowed", equipment: "full", count: 4 },
		{ kind: "arrives", for: "goat", at: AT },
		{ kind: "covers", sitting: "hall", covers: 170 },
		{ kind: "ahead", for: "goat", ahead: true },
		{ kind: "pinned", task: "goat/braise/full", start: AT, oven: "north", set_C: 150, rung: 2 },
		{ kind: "happened", task: "goat/trim", start: AT, end: null },
	])("%j is read as it is", (change) => {
		expect(readChange(change)).toEqual(change);
	});

	it.each([
		[null, "kind"],
		[[], "kind"],
		[{ kind: "toString" }, "kind"],
		[{ kind: "away", equipment: "north", from: AT, to: AT }, "to"],
		[{ kind: "away", equipment: "north", from: AT, to: AT + 400 * 24 * HOUR_MS }, "to"],
		[{ kind: "away", equipment: "", from: AT, to: AT + 1 }, "equipment"],
		[{ kind: "borrowed", equipment: "full", count: 1e9 }, "count"],
		[{ kind: "covers", sitting: "hall", covers: 0 }, "covers"],
		[{ kind: "ahead", for: "goat", ahead: "yes" }, "ahead"],
		[{ kind: "pinned", task: "a", start: Number.NaN }, "start"],
		[{ kind: "pinned", task: "a", start: AT, set_C: 4000 }, "set_C"],
		[{ kind: "pinned", task: "a", start: AT, rung: -1 }, "rung"],
		[{ kind: "happened", task: "a", start: AT, end: AT - 1 }, "end"],
		[{ kind: "happened", task: "a", start: AT, end: AT + 80 * HOUR_MS }, "end"],
		[{ kind: "arrives", for: "goat", at: AT, more: 1 }, "more"],
	])("%j is refused at its field", (change, field) => {
		expect(() => readChange(change)).toThrow(`${field}: `);
	});

	it("what is lent is there for the day, and nothing else is", () => {
		const [pan] = KITCHEN.equipment.pans;
		const lent = withBorrowed(KITCHEN, [{ kind: "borrowed", equipment: pan?.id ?? "", count: 4 }]);
		expect(lent.equipment.pans[0]?.stock).toBe((pan?.stock ?? 0) + 4);
		expect(lent.equipment.pans.slice(1)).toEqual(KITCHEN.equipment.pans.slice(1));
		expect(withBorrowed(KITCHEN, [])).toBe(KITCHEN);
	});
});
