import { describe, expect, it } from "vitest";
import { airKey, airOf, windOf } from "./index.ts";

const OVEN = { kind: "fanOven" } as const;

describe("the air of an oven", () => {
	it("is as it is set, where nobody says otherwise", () => {
		expect(airOf(OVEN, 150)).toBe(150);
		expect(airOf({ ...OVEN, runsHot_K: 0, fan: "usual", opened_h: null }, 150)).toBe(150);
		expect(windOf(OVEN)).toBe(1);
	});

	it("that runs hot is hotter, and colder with every look beyond the usual", () => {
		expect(airOf({ ...OVEN, runsHot_K: 12 }, 150)).toBe(162);
		expect(airOf({ ...OVEN, runsHot_K: -7.5 }, 150)).toBe(142.5);
		// 50 K that come back in five minutes, four times an hour in place of once.
		expect(airOf({ ...OVEN, opened_h: 4 }, 150)).toBeCloseTo(137.5, 9);
		expect(airOf({ ...OVEN, opened_h: 0 }, 150)).toBeGreaterThan(150);
	});

	it("blows only where there is a fan", () => {
		expect(windOf({ ...OVEN, fan: "fast" })).toBeGreaterThan(1);
		expect(windOf({ ...OVEN, fan: "slow" })).toBeLessThan(1);
		expect(windOf({ kind: "stillOven", fan: "fast" })).toBe(1);
	});

	it("is alike in ovens that differ in nothing of it", () => {
		expect(airKey(OVEN)).toBe(airKey({ ...OVEN, runsHot_K: 0, fan: "usual", opened_h: 1 }));
		expect(airKey(OVEN)).not.toBe(airKey({ ...OVEN, runsHot_K: 5 }));
	});
});
