import { describe, expect, it } from "vitest";
import { minutesOf, verdictKept, verdictOfReach, verdictWithin } from "./index.ts";

const SECOND = 1 / 60;

describe("a verdict", () => {
	it("on time is met, and a second later missed", () => {
		expect(verdictWithin({ likely: 90, high: 120 }, 120)).toBe("met");
		expect(verdictWithin({ likely: 90, high: 120 + SECOND }, 120)).toBe("close");
		expect(verdictWithin({ likely: 120, high: 120 + SECOND }, 120)).toBe("close");
		expect(verdictWithin({ likely: 120 + SECOND, high: 130 }, 120)).toBe("missed");
	});

	it("of what is there already is met, of what never comes missed, and of what nobody knows not known", () => {
		expect(verdictOfReach({ likely: "already", latest: "already" }, 0)).toBe("met");
		expect(verdictOfReach({ likely: "never", latest: "never" }, 600)).toBe("missed");
		expect(verdictOfReach({ likely: 50, latest: "never" }, 600)).toBe("close");
		expect(verdictOfReach({ likely: "notKnown", latest: "notKnown" }, 600)).toBe("notKnown");
		expect(verdictOfReach({ likely: 50, latest: "notKnown" }, 600)).toBe("close");
	});

	it("of what has to keep a limit goes by its temperature at that moment", () => {
		expect(verdictKept({ likely: 63, low: 63, high: 65 }, 63, true)).toBe("met");
		expect(verdictKept({ likely: 63, low: 62.9, high: 65 }, 63, true)).toBe("close");
		expect(verdictKept({ likely: 62.9, low: 60, high: 65 }, 63, true)).toBe("missed");
		expect(verdictKept({ likely: 5, low: 4, high: 5 }, 5, false)).toBe("met");
		expect(verdictKept({ likely: 5, low: 4, high: 5.1 }, 5, false)).toBe("close");
		expect(verdictKept({ likely: 5.1, low: 4, high: 6 }, 5, false)).toBe("missed");
	});

	it("has minutes where there are any", () => {
		expect(["already", 12, "never", "notKnown"].map((reach) => minutesOf(reach as "never"))).toEqual([
			0,
			12,
			null,
			null,
		]);
	});
});
