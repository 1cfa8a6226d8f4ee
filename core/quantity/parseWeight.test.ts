import { describe, expect, it } from "vitest";
import { parseWeight } from "./index.ts";

describe("a typed weight", () => {
	it.each([
		["17.4", "metric", 17_400],
		["17,4 kg", "us", 17_400],
		["10", "us", 4535.9237],
		["800 g", "metric", 800],
		["10000 kg", "metric", 10_000_000],
	] as const)("“%s” to a reader of %s units is %d g", (text, units, grams) => {
		expect(parseWeight(text, "onHand", units)).toBeCloseTo(grams, 6);
	});

	it.each(["0", "0.2 g", "10001 kg", "much", "", "4 l", "-3", "1e99"])("“%s” is refused by name", (text) => {
		expect(() => parseWeight(text, "onHand", "metric")).toThrow(/onHand/);
	});
});
