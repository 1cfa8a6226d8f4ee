import { describe, expect, it } from "vitest";
import { sumsTyped } from "./sumsTyped.ts";

function form(
	fields: Readonly<Record<string, string>>,
	dishes: readonly string[] = ["goat", "mutton"],
): FormData {
	const data = new FormData();
	for (const dish of dishes) data.append("dish", dish);
	for (const [name, value] of Object.entries(fields)) data.set(name, value);
	return data;
}

const USUAL = {
	covers: "140",
	"uptake.goat": "62",
	"spare.goat": "5",
	"uptake.mutton": "38",
	"spare.mutton": "0",
};

describe("a sitting while it is typed", () => {
	it("adds up its shares, and each dish its portions", () => {
		expect(sumsTyped(form(USUAL))).toEqual({ taken: 100, portions: { goat: 92, mutton: 54 } });
	});

	it("reads a decimal comma", () => {
		expect(sumsTyped(form({ ...USUAL, "uptake.goat": "62,5" })).portions.goat).toBe(92);
	});

	it.each(["", "many", "-3", "0", "1e9"])("says no portions where the covers are “%s”", (covers) => {
		expect(sumsTyped(form({ ...USUAL, covers }))).toEqual({ taken: 100, portions: {} });
	});

	it("counts guests, leaves the rest to the last dish, and adds up half portions and second helpings", () => {
		const shared = form({ ...USUAL, "uptake.goat": "84 guests", "uptake.mutton": "rest" });
		expect(sumsTyped(shared)).toEqual({ taken: 100, portions: { goat: 89, mutton: 56 } });
		const children = form({ ...USUAL, half: "40", seconds: "10" });
		expect(sumsTyped(children).portions.goat).toBe(Math.ceil(140 * 0.62 * (120 / 140) * 1.1 * 1.05));
	});

	it("leaves out a dish whose share can not be read, or is more than all", () => {
		const { taken, portions } = sumsTyped(form({ ...USUAL, "uptake.goat": "half", "uptake.mutton": "130" }));
		expect(taken).toBe(130);
		expect(portions).toEqual({});
	});
});
