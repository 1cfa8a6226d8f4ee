import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { chillTyped, lineTyped, readChill, readLine, readWishes, wishesTyped, withWish } from "./settled.ts";

describe("what the chef has settled", () => {
	it("reads back what it wrote", () => {
		const wish = fc.record({
			typeId: fc.stringMatching(/^[a-z0-9-]{1,20}$/),
			count: fc.integer({ min: 0, max: 1000 }),
		});
		fc.assert(
			fc.property(fc.array(wish, { maxLength: 6 }), (wishes) => {
				expect(readWishes(wishesTyped(wishes))).toEqual(wishes);
			}),
		);
		for (const line of [{ share: 0.5 }, { below_mm: 15 }, { over_mm: 2 }, null]) {
			expect(readLine(lineTyped(line))).toEqual(line);
		}
	});

	it.each(["gn:x", "gn", ":3", "gn:-1", "gn:1001", "gn:1,,"])("refuses %s by name", (text) => {
		expect(() => readWishes(text)).toThrow("wishes: ");
	});

	it.each(["share:0", "share:2", "below:", "over:-1", "deep", "share:1e9"])("refuses the line %s", (text) => {
		expect(() => readLine(text)).toThrow("line: ");
	});

	it("settles a kind once, and releases it", () => {
		const settled = withWish([{ typeId: "a", count: 2 }], "b", 1);
		expect(withWish(settled, "a", 5)).toEqual([
			{ typeId: "b", count: 1 },
			{ typeId: "a", count: 5 },
		]);
		expect(withWish(settled, "b", null)).toEqual([{ typeId: "a", count: 2 }]);
	});
});

describe("how a dish is cooled", () => {
	it("reads back what it writes, and nothing as left to the plan", () => {
		for (const chill of [
			null,
			{ coolerId: null, parts: 2, ice: false },
			{ coolerId: "cold-room", parts: 3, ice: true },
			{ coolerId: "cold-room", parts: 1.35, ice: false },
		]) {
			expect(readChill(chillTyped(chill))).toEqual(chill);
		}
	});

	it.each(["blast:0", "blast:4", "blast", "blast:2:water", "a b:1", "x:3.5", "x:1.234", "x:0.5"])(
		"refuses %s by its field",
		(text) => {
			expect(() => readChill(text)).toThrow("chill: ");
		},
	);
});
