import { describe, expect, it } from "vitest";
import { braise, sampledRange, usualPan } from "./index.ts";

describe("the range by sensitivities and by sampling", () => {
	it.each([
		["goatShoulder", "cylinder", 48],
		["porkShoulder", "slab", 70],
		["duckLeg", "ball", 55],
	] as const)("agree for %s", (cut, shape, thickness_mm) => {
		const given = usualPan(cut, { shape, thickness_mm });
		const sampled = sampledRange(given, 300, 7);
		const reckoned = braise(given).marks.forkTender ?? { low: 0, likely: 0, high: 0 };
		for (const end of ["low", "likely", "high"] as const) {
			expect(Math.abs(sampled[end] / reckoned[end] - 1)).toBeLessThan(0.05);
		}
	});

	it("are the same for the same seed", () => {
		const given = usualPan("vealBreast", { shape: "slab", thickness_mm: 50 });
		expect(sampledRange(given, 40, 3)).toEqual(sampledRange(given, 40, 3));
	});
});
