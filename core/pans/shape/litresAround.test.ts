import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { lineAround, litresAround, volumeBelow } from "../index.ts";

const PAN = { gn: "1/1", depth_mm: 100 } as const;
const layer = fc.record({
	meat_kg: fc.double({ min: 0.5, max: 5, noNaN: true }),
	height_mm: fc.double({ min: 25, max: 80, noNaN: true }),
});

describe("liquid round a layer of meat", () => {
	it("above the meat it is the pan's litres less the meat's", () => {
		const litres = litresAround(PAN, { meat_kg: 4.2, height_mm: 50 }, 60);
		expect(litres).toBeCloseTo(volumeBelow(PAN, 60) - 4, 9);
	});

	it("poured, it rises to the line it was measured for", () => {
		fc.assert(
			fc.property(layer, fc.double({ min: 10, max: 95, noNaN: true }), (meat, line_mm) => {
				const litres = litresAround(PAN, meat, line_mm);
				fc.pre(litres > 0.01);
				expect(lineAround(PAN, meat, litres)).toBeCloseTo(line_mm, 0);
			}),
		);
	});

	it("what runs over stands at the rim; meat that fills the pan leaves no room", () => {
		expect(lineAround(PAN, { meat_kg: 4, height_mm: 50 }, 40)).toBe(100);
		expect(litresAround(PAN, { meat_kg: 30, height_mm: 50 }, 50)).toBe(0);
	});
});
