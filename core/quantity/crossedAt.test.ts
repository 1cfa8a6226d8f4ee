import { describe, expect, it } from "vitest";
import { crossedAt } from "./index.ts";

describe("a line between two moments", () => {
	it("comes to a temperature on its way up and on its way down", () => {
		expect(crossedAt({ minute: 10, C: 50 }, { minute: 20, C: 70 }, 55)).toBe(12.5);
		expect(crossedAt({ minute: 10, C: 70 }, { minute: 20, C: 50 }, 55)).toBe(17.5);
	});

	it("is there at its ends exactly, and at the later one where it is level", () => {
		expect(crossedAt({ minute: 3, C: 60 }, { minute: 9, C: 80 }, 60)).toBe(3);
		expect(crossedAt({ minute: 3, C: 60 }, { minute: 9, C: 80 }, 80)).toBe(9);
		expect(crossedAt({ minute: 3, C: 60 }, { minute: 9, C: 60 }, 60)).toBe(9);
	});
});
