import { describe, expect, it } from "vitest";
import { braise, sampledRange, usualPan } from "./index.ts";

const slice = (height_mm: number) =>
	({ shape: "block", length_mm: 130, width_mm: 90, height_mm, weight_g: 500 }) as const;

describe("the range by sensitivities and by sampling", () => {
	it.each([
		["goatShoulder", { shape: "cylinder", length_mm: 110, diameter_mm: 48, weight_g: 210 }, 0],
		["porkShoulder", slice(70), 0],
		["duckLeg", slice(38), 0.25],
	] as const)("agree for %s", (cut, piece, bone) => {
		const given = usualPan(cut, piece, bone);
		const sampled = sampledRange(given, 600, 7);
		const reckoned = braise(given).marks.forkTender ?? { low: 0, likely: 0, high: 0 };
		for (const end of ["low", "likely", "high"] as const) {
			expect(Math.abs(sampled[end] / reckoned[end] - 1)).toBeLessThan(0.05);
		}
	});

	it("are the same for the same seed", () => {
		const given = usualPan("vealBreast", slice(50));
		expect(sampledRange(given, 40, 3)).toEqual(sampledRange(given, 40, 3));
	});
});
