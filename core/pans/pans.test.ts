import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
	choosePans,
	depthOf,
	emptyPanWeight,
	type Floor,
	fillPan,
	GASTRONORM_DEPTHS_MM,
	GASTRONORM_SIZES,
	heightOf,
	insideAt,
	lineWords,
	NO_BED,
	type PanShape,
	type PanType,
	type Piece,
	type Placed,
	packLayer,
	panFit,
	pieceBelow,
	pieceHeight,
	spreadEvenly,
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

const mm = (min: number, max: number) => fc.integer({ min, max });
const pans: fc.Arbitrary<PanShape> = fc.oneof(
	fc.record({ gn: fc.constantFrom(...GASTRONORM_SIZES), depth_mm: fc.constantFrom(...GASTRONORM_DEPTHS_MM) }),
	fc.record({ round: fc.record({ diameter_mm: mm(150, 700), height_mm: mm(50, 300) }) }),
	fc.record({ box: fc.record({ length_mm: mm(120, 800), width_mm: mm(120, 600), depth_mm: mm(50, 250) }) }),
);
const pieces: fc.Arbitrary<Piece> = fc.oneof(
	fc.record({
		shape: fc.constant("block" as const),
		length_mm: mm(20, 200),
		width_mm: mm(20, 150),
		height_mm: mm(15, 90),
		weight_g: mm(20, 1500),
	}),
	fc.record({
		shape: fc.constant("cylinder" as const),
		length_mm: mm(30, 200),
		diameter_mm: mm(20, 90),
		weight_g: mm(20, 1500),
	}),
	fc.record({ shape: fc.constant("ball" as const), diameter_mm: mm(15, 90), weight_g: mm(10, 900) }),
);
const gaps = mm(0, 30);

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
			if (floor.kind === "rectangle") sum += (floor.length_mm * floor.width_mm * 0.1) / 1e6;
		}
		expect(volumeBelow(pan, 150)).toBeCloseTo(sum, 6);
	});

	it("a deeper pan weighs more", () => {
		expect(emptyPanWeight({ gn: "1/1", depth_mm: 150 })).toBeGreaterThan(
			emptyPanWeight({ gn: "1/1", depth_mm: 65 }),
		);
	});
});

describe("one layer", () => {
	it("nothing overlaps, and a whole gap lies between any two", () => {
		fc.assert(
			fc.property(pans, pieces, gaps, (pan, piece, gap) => {
				const placed = packLayer(insideAt(pan, 0), piece, gap);
				const pairs = placed.flatMap((one, index) =>
					placed.slice(index + 1).map((other) => apart(one, other)),
				);
				expect(pairs.every((space) => space >= gap - 1e-6)).toBe(true);
			}),
			{ numRuns: 60 },
		);
	});

	it("nothing lies outside", () => {
		fc.assert(
			fc.property(pans, pieces, gaps, (pan, piece, gap) => {
				const floor = insideAt(pan, 0);
				for (const one of packLayer(floor, piece, gap)) expect(inside(floor, one)).toBe(true);
			}),
		);
	});

	it("more gap never fits more pieces", () => {
		fc.assert(
			fc.property(pans, pieces, gaps, mm(1, 20), (pan, piece, gap, more) => {
				const floor = insideAt(pan, 0);
				expect(packLayer(floor, piece, gap + more).length).toBeLessThanOrEqual(
					packLayer(floor, piece, gap).length,
				);
			}),
		);
	});

	it("a larger box never fits fewer", () => {
		fc.assert(
			fc.property(mm(120, 600), mm(120, 500), mm(0, 200), pieces, gaps, (length, width, more, piece, gap) => {
				const small: Floor = { kind: "rectangle", length_mm: length, width_mm: width };
				const large: Floor = { kind: "rectangle", length_mm: length + more, width_mm: width + more };
				expect(packLayer(large, piece, gap).length).toBeGreaterThanOrEqual(
					packLayer(small, piece, gap).length,
				);
			}),
		);
	});

	it("a joint that only just lies in the pan is laid there alone", () => {
		const joint: Piece = { shape: "block", length_mm: 480, width_mm: 280, height_mm: 70, weight_g: 6000 };
		expect(packLayer(insideAt({ gn: "1/1", depth_mm: 100 }, 0), joint, 20)).toHaveLength(1);
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
		for (const [index, one] of lines.entries()) {
			const before = lines[index - 1];
			if (!before) continue;
			expect(one.liquid_l).toBeGreaterThan(before.liquid_l);
			expect(one.dip_mm).toBeLessThan(before.dip_mm);
		}
	});

	it("vegetables lift the pieces towards the lid", () => {
		const without = fillPan(pan, piece, 12, { share: 0.5 }, NO_BED, LIMITS);
		const bedded = fillPan(pan, piece, 12, { share: 0.5 }, { volume_l: 2, weight_kg: 2 }, LIMITS);
		expect(bedded.line_mm).toBeGreaterThan(without.line_mm);
		expect(bedded.bed_mm).toBeCloseTo(heightOf(pan, 2 / 0.6), 9);
	});

	it("says over-full, heavy and tall, in that order", () => {
		const deep = fillPan({ gn: "2/1", depth_mm: 65 }, piece, 20, { over_mm: 5 }, NO_BED, LIMITS);
		expect(deep.warnings).toEqual(["overfull", "heavy", "tallPiece"]);
	});

	it("half of a lying cylinder or a ball is below its middle", () => {
		const round: Piece[] = [
			{ shape: "cylinder", length_mm: 120, diameter_mm: 70, weight_g: 450 },
			{ shape: "ball", diameter_mm: 50, weight_g: 68 },
		];
		for (const one of round) {
			const whole = pieceBelow(one, pieceHeight(one));
			expect(pieceBelow(one, pieceHeight(one) / 2)).toBeCloseTo(whole / 2, 9);
			expect(pieceBelow(one, 999)).toBeCloseTo(one.weight_g / 1050, 9);
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

describe("choosing pans from the stock", () => {
	const piece: Piece = { shape: "block", length_mm: 85, width_mm: 60, height_mm: 48, weight_g: 258 };
	const stock: PanType[] = [
		{ id: "a", name: "1/1-100", shape: { gn: "1/1", depth_mm: 100 }, stock: 8 },
		{ id: "b", name: "1/2-100", shape: { gn: "1/2", depth_mm: 100 }, stock: 6 },
		{ id: "c", name: "1/1-65", shape: { gn: "1/1", depth_mm: 65 }, stock: 3 },
		{ id: "d", name: "2/1-150", shape: { gn: "2/1", depth_mm: 150 }, stock: 2 },
	];
	const load = (count: number) => ({
		piece,
		pieces: count,
		gap_mm: 10,
		line: { below_mm: 15 } as const,
		bed: { volume_l: count * 0.1, weight_kg: count * 0.1 },
	});

	it("never uses more than the stock, and every piece is in a pan or said to have none", () => {
		fc.assert(
			fc.property(mm(1, 600), fc.array(mm(0, 5), { minLength: 4, maxLength: 4 }), (count, stocks) => {
				const kinds = stock.map((type, index) => ({ ...type, stock: stocks[index] ?? 0 }));
				const choice = choosePans(load(count), kinds, LIMITS);
				for (const type of kinds) {
					expect(choice.pans.filter((pan) => pan.type.id === type.id).length).toBeLessThanOrEqual(type.stock);
				}
				const inPans = choice.pans.reduce((sum, pan) => sum + pan.pieces, 0);
				expect(inPans + choice.unplaced).toBe(count);
				for (const pan of choice.pans) expect(pan.pieces).toBeLessThanOrEqual(pan.capacity);
			}),
		);
	});

	it("evens out a half-empty last pan", () => {
		expect(spreadEvenly(58, 4)).toEqual([15, 15, 14, 14]);
		const choice = choosePans(load(92), stock, LIMITS);
		const counts = choice.pans.map((pan) => pan.pieces);
		expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1);
	});

	it("leaves a pan that one person cannot carry on the shelf while another does", () => {
		const choice = choosePans(load(92), stock, LIMITS);
		expect(choice.pans.every((pan) => pan.lifted_kg <= 15)).toBe(true);
	});
});

/** Free space between two pieces along the axis that parts them most. */
function apart(one: Placed, other: Placed): number {
	const x = Math.abs(one.x_mm - other.x_mm) - (one.length_mm + other.length_mm) / 2;
	const y = Math.abs(one.y_mm - other.y_mm) - (one.width_mm + other.width_mm) / 2;
	return Math.max(x, y);
}

function inside(floor: Floor, { x_mm, y_mm, length_mm, width_mm }: Placed): boolean {
	const right = Math.abs(x_mm) + length_mm / 2;
	const far = Math.abs(y_mm) + width_mm / 2;
	if (floor.kind === "circle") return Math.hypot(right, far) <= floor.diameter_mm / 2 + 1e-6;
	return right <= floor.length_mm / 2 + 1e-6 && far <= floor.width_mm / 2 + 1e-6;
}
