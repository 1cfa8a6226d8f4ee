import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { mm, panShapes as pans } from "./arbitraries.testing.ts";
import {
	areaOf,
	checkMeasured,
	depthOf,
	emptyPanWeight,
	fillPan,
	heightOf,
	insideAt,
	LEAST_LINE,
	type LiquidLine,
	lineForLitres,
	lineWords,
	NO_BED,
	type PanShape,
	type Piece,
	panFit,
	pieceBelow,
	pieceHeight,
	rungsHigh,
	volumeBelow,
} from "./index.ts";

const LIMITS = { headspace_mm: 25, liftLimit_kg: 15 };

/** Litres to the brim as the trade gives them. */
const USUAL_BRIM: readonly (readonly [PanShape, number])[] = [
	[{ gn: "1/1", depth_mm: 65 }, 9],
	[{ gn: "1/1", depth_mm: 100 }, 14],
	[{ gn: "1/1", depth_mm: 150 }, 21],
	[{ gn: "1/1", depth_mm: 200 }, 28],
	[{ gn: "1/2", depth_mm: 65 }, 4],
	[{ gn: "1/2", depth_mm: 100 }, 6.5],
	[{ gn: "1/2", depth_mm: 150 }, 9.5],
	[{ gn: "1/2", depth_mm: 200 }, 12.5],
	[{ gn: "1/3", depth_mm: 100 }, 4],
	[{ gn: "1/3", depth_mm: 150 }, 5.7],
	[{ gn: "2/1", depth_mm: 100 }, 29],
	[{ gn: "2/1", depth_mm: 150 }, 44],
];

describe("the inside of a pan", () => {
	it.each(USUAL_BRIM)("%o holds what the trade says, to 8 %%", (pan, litres) => {
		expect(Math.abs(volumeBelow(pan, depthOf(pan)) / litres - 1)).toBeLessThanOrEqual(0.08);
	});

	it("volume and height are the inverse of each other", () => {
		fc.assert(
			fc.property(pans, fc.double({ min: 0.01, max: 1, noNaN: true }), (pan, share) => {
				const height = depthOf(pan) * share;
				expect(heightOf(pan, volumeBelow(pan, height))).toBeCloseTo(height, 6);
			}),
		);
	});

	it("the volume is the sum of its slices", () => {
		const pan = { gn: "1/1", depth_mm: 150 } as const;
		let sum = 0;
		for (let slice = 0; slice < 1500; slice += 1) {
			const floor = insideAt(pan, slice / 10 + 0.05);
			sum += (areaOf(floor) * 0.1) / 1e6;
		}
		expect(volumeBelow(pan, 150)).toBeCloseTo(sum, 6);
	});

	it("a measured pan holds at both marks what was poured in", () => {
		const tub = {
			outline: "box" as const,
			length_mm: 400,
			width_mm: 300,
			depth_mm: 120,
			low: { height_mm: 40, litres: 4.2 },
			high: { height_mm: 100, litres: 11.1 },
		};
		expect(() => checkMeasured(tub)).not.toThrow();
		expect(volumeBelow({ measured: tub }, 40)).toBeCloseTo(4.2, 9);
		expect(volumeBelow({ measured: tub }, 100)).toBeCloseTo(11.1, 9);
		const pot = {
			...tub,
			outline: "round" as const,
			width_mm: 400,
			low: { height_mm: 40, litres: 4.6 },
			high: { height_mm: 100, litres: 11.9 },
		};
		expect(volumeBelow({ measured: pot }, 100)).toBeCloseTo(11.9, 9);
		expect(insideAt({ measured: pot }, 0)).toMatchObject({ kind: "circle" });
	});

	it("marks that cannot belong to one pan are refused by name", () => {
		const tub = { outline: "box" as const, length_mm: 400, width_mm: 300, depth_mm: 120 };
		const marks = (low: [number, number], high: [number, number]) => () =>
			checkMeasured({
				...tub,
				low: { height_mm: low[0], litres: low[1] },
				high: { height_mm: high[0], litres: high[1] },
			});
		expect(marks([40, 4.2], [30, 11])).toThrow("high.height_mm: ");
		expect(marks([40, 4.2], [140, 11])).toThrow("high.height_mm: ");
		expect(marks([40, 42], [100, 11])).toThrow("low.litres: ");
		expect(marks([40, 6.2], [100, 8.5])).toThrow("high.litres: ");
	});

	it("a deeper pan weighs more", () => {
		expect(emptyPanWeight({ gn: "1/1", depth_mm: 150 })).toBeGreaterThan(
			emptyPanWeight({ gn: "1/1", depth_mm: 65 }),
		);
	});
});

describe("liquid to the line", () => {
	const piece: Piece = { shape: "block", length_mm: 100, width_mm: 60, height_mm: 50, weight_g: 315 };
	const pan = { gn: "1/1", depth_mm: 100 } as const;

	it("what is poured, and what lies below the line, is the volume to the line", () => {
		fc.assert(
			fc.property(
				mm(1, 16),
				fc.double({ min: 0, max: 3, noNaN: true }),
				fc.double({ min: 0.2, max: 1, noNaN: true }),
				(count, bed_l, share) => {
					const filled = fillPan(pan, piece, count, { share }, { volume_l: bed_l, weight_kg: bed_l }, LIMITS);
					const below = bed_l + count * pieceBelow(piece, filled.line_mm - filled.bed_mm);
					expect(filled.liquid_l).toBeCloseTo(Math.max(0, volumeBelow(pan, filled.line_mm) - below), 9);
				},
			),
		);
	});

	it("a higher line never takes less, and dips less", () => {
		const lines = [0.3, 0.5, 0.8, 1].map((share) => fillPan(pan, piece, 12, { share }, NO_BED, LIMITS));
		for (const [index, filledPan] of lines.entries()) {
			const before = lines[index - 1];
			if (!before) continue;
			expect(filledPan.liquid_l).toBeGreaterThan(before.liquid_l);
			expect(filledPan.dip_mm).toBeLessThan(before.dip_mm);
		}
	});

	it("vegetables lift the pieces towards the lid", () => {
		const without = fillPan(pan, piece, 12, { share: 0.5 }, NO_BED, LIMITS);
		const bedded = fillPan(pan, piece, 12, { share: 0.5 }, { volume_l: 2, weight_kg: 2 }, LIMITS);
		expect(bedded.line_mm).toBeGreaterThan(without.line_mm);
		expect(bedded.bed_mm).toBeCloseTo(heightOf(pan, 2 / 0.6), 9);
	});

	it("says over-full, heavy and too tall for the cover, in that order", () => {
		const deep = fillPan({ gn: "2/1", depth_mm: 40 }, piece, 20, { over_mm: 5 }, NO_BED, LIMITS);
		expect(deep.warnings).toEqual(["overfull", "heavy", "tallPiece"]);
	});

	it("keeps headspace for the liquid alone: a piece may stand to 5 mm under the rim", () => {
		const tall = { ...piece, height_mm: 60 } as const;
		const stands = fillPan({ gn: "1/1", depth_mm: 65 }, tall, 12, { share: 0.5 }, NO_BED, LIMITS);
		expect(stands).toMatchObject({ pieceOver_mm: 0, warnings: [] });
		const over = fillPan(
			{ gn: "1/1", depth_mm: 65 },
			{ ...piece, height_mm: 62 },
			12,
			{ share: 0.5 },
			NO_BED,
			LIMITS,
		);
		expect(over.pieceOver_mm).toBeCloseTo(2, 9);
		expect(over.warnings).toEqual(["tallPiece"]);
	});

	it("lies two deep as one piece of twice the height would", () => {
		const low = { shape: "block", length_mm: 150, width_mm: 55, height_mm: 20, weight_g: 155 } as const;
		const stack = { ...low, height_mm: 40, weight_g: 310 } as const;
		const pan = { gn: "1/1", depth_mm: 100 } as const;
		for (const line of [{ share: 0.4 }, { below_mm: 5 }, { over_mm: 4 }]) {
			const two = fillPan(pan, low, 24, line, NO_BED, LIMITS, 2);
			const one = fillPan(pan, stack, 12, line, NO_BED, LIMITS);
			expect(two.line_mm).toBeCloseTo(one.line_mm, 9);
			expect(two.liquid_l).toBeCloseTo(one.liquid_l, 9);
		}
	});

	it("stands at the line that so many litres make, between a third up and the card's own", () => {
		const pan = { gn: "1/1", depth_mm: 100 } as const;
		const litresAt = (line: LiquidLine) => fillPan(pan, piece, 16, line, NO_BED, LIMITS).liquid_l;
		const most = { below_mm: 5 };
		const [least_l, most_l] = [litresAt(LEAST_LINE), litresAt(most)];
		fc.assert(
			fc.property(fc.double({ min: 0, max: 12, noNaN: true }), (wanted_l) => {
				const poured_l = litresAt(lineForLitres(litresAt, wanted_l, piece, most));
				expect(poured_l).toBeCloseTo(Math.min(most_l, Math.max(least_l, wanted_l)), 3);
			}),
		);
	});

	it("takes rungs by real heights", () => {
		const rungs = (depth_mm: 65 | 100 | 150, pitch_mm: number) =>
			rungsHigh({ gn: "1/1", depth_mm }, pitch_mm);
		expect([rungs(65, 65), rungs(100, 65), rungs(150, 65), rungs(100, 120)]).toEqual([1, 2, 3, 1]);
	});

	it("half of a lying cylinder or a ball is below its middle", () => {
		const round: Piece[] = [
			{ shape: "cylinder", length_mm: 120, diameter_mm: 70, weight_g: 450 },
			{ shape: "ball", diameter_mm: 50, weight_g: 68 },
		];
		for (const piece of round) {
			const whole = pieceBelow(piece, pieceHeight(piece));
			expect(pieceBelow(piece, pieceHeight(piece) / 2)).toBeCloseTo(whole / 2, 9);
			expect(pieceBelow(piece, 999)).toBeCloseTo(piece.weight_g / 1050, 9);
		}
	});

	it("calls the schools by name", () => {
		expect(lineWords({ share: 0.5 })).toBe("half way");
		expect(lineWords({ below_mm: 15 })).toBe("a finger below the top");
		expect(lineWords({ over_mm: 7 })).toBe("7 mm over the top");
	});

	it("refuses a piece that lies in the pan no way round", () => {
		const joint: Piece = { shape: "block", length_mm: 260, width_mm: 180, height_mm: 60, weight_g: 2900 };
		expect(() => panFit({ gn: "1/6", depth_mm: 100 }, joint, 1, 10, { share: 0.5 }, LIMITS)).toThrow(
			"piece: ",
		);
	});
});
