import { describe, expect, it } from "vitest";
import { MINUTE_MS } from "../time/index.ts";
import { type InOven, type Liftable, verdictOf } from "./verdictOf.ts";

const at = (minute: number) => minute * MINUTE_MS;
const oven = { id: "north", rungs: 4, windows: [[at(0), at(600)]] as const };
const way = (set_C: number, minutes: number, shelves = 2) => ({
	minutes,
	low_C: set_C,
	high_C: set_C,
	ovens: ["north"] as [string],
	shelves,
});
const pans: Liftable = {
	id: "goat",
	ways: [way(140, 200), way(160, 150)],
	filledAt: at(100),
	wantedAt: at(320),
};
const beside = (more: Partial<InOven> = {}): InOven => ({
	id: "duck",
	oven: "north",
	from: at(50),
	to: at(400),
	rungs: 2,
	set_C: 160,
	...more,
});
const tried = (start: number, standing: readonly InOven[] = [], given = pans) =>
	verdictOf(given, { oven, start: at(start) }, standing);

describe("lifted pans at a place", () => {
	it("alone take the temperature that waits least", () => {
		const { use, waits_min, breaks } = tried(120);
		expect(breaks).toEqual([]);
		expect(use).toMatchObject({ set_C: 140, to: at(320) });
		expect(waits_min).toBe(0);
	});

	it("beside others take theirs", () => {
		const { use, waits_min, breaks } = tried(120, [beside()]);
		expect(breaks).toEqual([]);
		expect(use).toMatchObject({ set_C: 160, to: at(270) });
		expect(waits_min).toBe(50);
	});

	it("say what stands there at a heat that suits none of theirs", () => {
		const { breaks } = tried(120, [beside({ set_C: 200 })]);
		expect(breaks).toEqual([{ because: "otherHeat", id: "duck", set_C: 200 }]);
	});

	it("say how many rungs are missing, and from when", () => {
		const { breaks } = tried(120, [beside(), beside({ id: "kale", rungs: 1, from: at(200) })]);
		expect(breaks).toEqual([{ because: "tooFew", short: 1, at: at(200) }]);
	});

	it("say that they are late, or not filled yet, or that the oven is down", () => {
		expect(tried(200).breaks).toEqual([{ because: "late", minutes: 30 }]);
		expect(tried(90).breaks).toEqual([{ because: "notFilled", minutes: 10 }]);
		expect(tried(500).breaks).toContainEqual({ because: "down" });
	});

	it("do not meet themselves, and suit no oven that has no way for them", () => {
		expect(tried(120, [beside({ id: "goat", rungs: 4 })]).breaks).toEqual([]);
		expect(tried(120, [], { ...pans, ways: [] })).toEqual({
			use: null,
			waits_min: 0,
			breaks: [{ because: "noWay" }],
		});
	});
});
