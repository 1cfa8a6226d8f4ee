import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { volumeBelow } from "#core/pans";
import { sauceMark } from "./sauceMark.ts";

const pot = (name: string, diameter_mm: number, height_mm: number) => ({
	id: name,
	name,
	stock: 1,
	shape: { round: { diameter_mm, height_mm } },
});
const WIDE = pot("Rondeau 400", 400, 150);
const TALL = pot("Stockpot 300", 300, 300);
const TRAY = { id: "t", name: "GN 1/1-100", stock: 9, shape: { gn: "1/1" as const, depth_mm: 100 } };

describe("the mark on the stick", () => {
	it("is how high the sauce stands in the widest pot that takes it", () => {
		const mark = sauceMark(6.44, { pans: [TALL, TRAY, WIDE] });
		expect(mark?.name).toBe("Rondeau 400");
		expect(mark?.mark_mm).toBeCloseTo(51.2, 1);
	});

	it("goes to the taller pot when the wide one would boil over, and is none when no pot takes it", () => {
		expect(sauceMark(15, { pans: [WIDE, TALL] })?.name).toBe("Stockpot 300");
		expect(sauceMark(40, { pans: [WIDE, TALL] })).toBeUndefined();
		expect(sauceMark(3, { pans: [TRAY] })).toBeUndefined();
		expect(sauceMark(0, { pans: [WIDE] })).toBeUndefined();
	});

	it("holds exactly the sauce below it", () => {
		fc.assert(
			fc.property(fc.double({ min: 0.1, max: 14, noNaN: true }), (litres) => {
				const mark = sauceMark(litres, { pans: [WIDE] });
				expect(volumeBelow(WIDE.shape, mark?.mark_mm ?? 0)).toBeCloseTo(litres, 6);
			}),
		);
	});
});
