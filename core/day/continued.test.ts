import { describe, expect, it } from "vitest";
import { continued, type Known } from "./continued.ts";
import type { DayTask } from "./Day.ts";

const task = (id: string, ...kinds: string[]): DayTask => ({
	id,
	for: id.split("/")[0] ?? "",
	forName: "Goat",
	sitting: "hall",
	place: "braise",
	part: "oven",
	figures: {},
	start: 0,
	end: 1,
	due: null,
	fixed: false,
	inOven: kinds.map((typeId) => ({ typeId, count: 1 })),
	uses: [],
	after: [],
});
const pairs = (before: readonly DayTask[], now: readonly Known[]) =>
	Object.fromEntries([...continued(before, now)].map(([id, { id: was }]) => [id, was]));

describe("the tasks of a day before by the ids they have now", () => {
	it("are those of the same id first, whatever their pans", () => {
		expect(pairs([task("a/south", "full")], [task("a/south", "half")])).toEqual({ "a/south": "a/south" });
	});

	it("go on in another oven, each in the same kind of pan where there is one", () => {
		const before = [task("a/south.full", "full"), task("a/south.half", "half")];
		const now = [task("a/north.full", "full"), task("a/east.half", "half")];
		expect(pairs(before, now)).toEqual({ "a/north.full": "a/south.full", "a/east.half": "a/south.half" });
		expect(pairs(before, [...now].reverse())).toEqual(pairs(before, now));
	});

	it("go on in other pans where no other is left", () => {
		expect(pairs([task("a/south.full", "full")], [task("a/south.half", "half")])).toEqual({
			"a/south.half": "a/south.full",
		});
	});

	it("are not taken for those of another dish, and what is more is new", () => {
		const before = [task("a/south", "full")];
		const now = [task("a/north", "full"), task("a/east", "half"), task("b/north", "full")];
		expect(pairs(before, now)).toEqual({ "a/north": "a/south" });
	});
});
