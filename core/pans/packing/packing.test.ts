import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { runs } from "../../random/runs.testing.ts";
import { mm, panPieces, panShapes, pieceGaps } from "../arbitraries.testing.ts";
import {
	areaOf,
	deliveryOf,
	type Floor,
	insideAt,
	type Piece,
	type Placed,
	packLayer,
	packMixed,
	pieceBelow,
	pieceHeight,
} from "../index.ts";
import { packBlocks } from "./packBlocks.ts";

const BLOCK: Piece = { shape: "block", length_mm: 85, width_mm: 60, height_mm: 48, weight_g: 258 };
const BALL: Piece = { shape: "ball", diameter_mm: 50, weight_g: 68 };
const ONE = { gn: "1/1", depth_mm: 100 } as const;

describe("one layer of equal pieces", () => {
	it("nothing overlaps, and a whole gap lies between any two", () => {
		fc.assert(
			fc.property(panShapes, panPieces, pieceGaps, (pan, piece, gap) => {
				const placed = packLayer(insideAt(pan, 0), piece, gap);
				expect(nearest(placed, piece.shape === "ball")).toBeGreaterThanOrEqual(gap - 1e-6);
			}),
			{ numRuns: runs(60) },
		);
	});

	it("nothing lies outside, not even in the rounded corners", () => {
		fc.assert(
			fc.property(panShapes, panPieces, pieceGaps, (pan, piece, gap) => {
				const floor = insideAt(pan, 0);
				const placed = packLayer(floor, piece, gap);
				const alone = placed.length === 1;
				for (const laid of placed)
					expect(outside(floor, laid, piece.shape === "ball", alone)).toBeLessThan(1e-4);
			}),
			{ numRuns: runs(100) },
		);
	});

	it("more gap never fits more pieces", () => {
		fc.assert(
			fc.property(panShapes, panPieces, pieceGaps, mm(1, 20), (pan, piece, gap, more) => {
				const floor = insideAt(pan, 0);
				expect(packLayer(floor, piece, gap + more).length).toBeLessThanOrEqual(
					packLayer(floor, piece, gap).length,
				);
			}),
			{ numRuns: runs(150) },
		);
	});

	it("a larger pan never fits fewer", () => {
		const sides = fc.record({
			length: mm(120, 600),
			width: mm(120, 500),
			longer: mm(0, 120),
			wider: mm(0, 120),
		});
		fc.assert(
			fc.property(sides, panPieces, pieceGaps, ({ length, width, longer, wider }, piece, gap) => {
				const small: Floor = { kind: "rectangle", length_mm: length, width_mm: width };
				const large: Floor = { kind: "rectangle", length_mm: length + longer, width_mm: width + wider };
				expect(packLayer(large, piece, gap).length).toBeGreaterThanOrEqual(
					packLayer(small, piece, gap).length,
				);
				const round: Floor = { kind: "circle", diameter_mm: length };
				const wide: Floor = { kind: "circle", diameter_mm: length + longer };
				expect(packLayer(wide, piece, gap).length).toBeGreaterThanOrEqual(
					packLayer(round, piece, gap).length,
				);
			}),
			{ numRuns: runs(150) },
		);
	});

	it("turns some of the pieces where that takes more than straight rows", () => {
		// Straight rows give 4 × 4 or 6 × 2 on this floor.
		expect(packLayer(insideAt(ONE, 0), BLOCK, 10)).toHaveLength(20);
		const five: Floor = { kind: "rectangle", length_mm: 500, width_mm: 500 };
		const brick: Piece = { shape: "block", length_mm: 300, width_mm: 200, height_mm: 50, weight_g: 3000 };
		expect(packLayer(five, brick, 0)).toHaveLength(4);
	});

	it("rounds lie in each other's gaps", () => {
		const ball: Piece = { shape: "ball", diameter_mm: 50, weight_g: 68 };
		const box: Floor = { kind: "rectangle", length_mm: 500, width_mm: 490 };
		expect(packLayer(box, ball, 0).length).toBeGreaterThan(90);
		const round: Floor = { kind: "circle", diameter_mm: 151 };
		expect(packLayer(round, ball, 0)).toHaveLength(7);
	});

	it("takes as many rounds as are known to fit", () => {
		// Radius of the smallest round about so many of radius 1, and side of the smallest square about
		// so many of diameter 1, rounded up: mathematical constants.
		const rounds = { 3: 2.16, 5: 2.71, 7: 3.01, 8: 3.31, 9: 3.62, 11: 3.94, 13: 4.25, 14: 4.35, 19: 4.88 };
		for (const [count, radius] of Object.entries(rounds)) {
			const floor: Floor = { kind: "circle", diameter_mm: 60 * radius };
			expect(packLayer(floor, BALL, 10).length, `${count} in a round`).toBeGreaterThanOrEqual(Number(count));
		}
		const squares = { 5: 2.42, 6: 2.68, 7: 2.88, 8: 2.95, 10: 3.4, 12: 3.59, 13: 3.75, 14: 3.89, 18: 4.36 };
		for (const [count, side] of Object.entries(squares)) {
			const floor: Floor = { kind: "rectangle", length_mm: 60 * side, width_mm: 60 * side };
			expect(packLayer(floor, BALL, 10).length, `${count} in a square`).toBeGreaterThanOrEqual(Number(count));
		}
	});

	it("five blocks in five: one more where simpler patterns end one short", () => {
		expect(packBlocks(467.46, 524.7, { length: 132.51, width: 80.81 })).toHaveLength(21);
		expect(packBlocks(282.87, 272.48, { length: 102.91, width: 75.19 })).toHaveLength(9);
	});

	it("loses no piece to a rounded corner that does not stand in it", () => {
		const floor = insideAt({ gn: "2/3", depth_mm: 100 }, 0);
		if (floor.kind !== "rectangle") throw new Error("a gastronorm is a rectangle");
		fc.assert(
			fc.property(mm(60, 140), mm(50, 120), mm(0, 8), (length_mm, width_mm, gap) => {
				const piece: Piece = { shape: "block", length_mm, width_mm, height_mm: 40, weight_g: 300 };
				const square: Floor = { kind: "rectangle", length_mm: floor.length_mm, width_mm: floor.width_mm };
				const laid = packLayer(floor, piece, gap);
				const without = packLayer(square, piece, gap);
				expect(laid.length).toBeGreaterThanOrEqual(without.length - 4);
				const clear = without.every((placed) => outside(floor, placed, false, without.length === 1) <= 1e-6);
				if (clear) expect(laid).toHaveLength(without.length);
			}),
			{ numRuns: runs(150) },
		);
	});

	it("a cylinder on its end takes a round, a lying one a bar", () => {
		const lying = { shape: "cylinder", length_mm: 120, diameter_mm: 60, weight_g: 350 } as const;
		const floor = insideAt(ONE, 0);
		const upright = packLayer(floor, { ...lying, standing: true }, 10);
		expect(upright.length).toBe(
			packLayer(floor, { shape: "ball", diameter_mm: 60, weight_g: 350 }, 10).length,
		);
		expect(upright.length).toBeGreaterThan(packLayer(floor, lying, 10).length);
		expect(pieceHeight({ ...lying, standing: true })).toBe(120);
		expect(pieceBelow({ ...lying, standing: true }, 30)).toBeCloseTo(
			pieceBelow({ ...lying, standing: true }, 120) / 4,
			9,
		);
	});

	it("a joint that only just lies in the pan is laid there alone", () => {
		const joint: Piece = { shape: "block", length_mm: 480, width_mm: 280, height_mm: 70, weight_g: 6000 };
		expect(packLayer(insideAt(ONE, 0), joint, 20)).toHaveLength(1);
	});
});

describe("a delivery of pieces that differ", () => {
	const spreads = fc.double({ min: 0, max: 0.4, noNaN: true });

	it("weighs what was ordered, whatever the spread, and is the same for the same seed", () => {
		fc.assert(
			fc.property(panPieces, mm(1, 80), spreads, mm(0, 999), (piece, count, spread, seed) => {
				const delivery = deliveryOf(piece, count, spread, seed);
				const kg = delivery.reduce((sum, piece) => sum + piece.weight_g, 0);
				expect(kg / (count * piece.weight_g)).toBeCloseTo(1, 9);
				expect(deliveryOf(piece, count, spread, seed)).toEqual(delivery);
			}),
			{ numRuns: runs(40) },
		);
	});

	it("is laid with every piece once, nothing outside, and the gap between any two", () => {
		fc.assert(
			fc.property(panShapes, panPieces, mm(1, 30), spreads, pieceGaps, (pan, piece, count, spread, gap) => {
				const floor = insideAt(pan, 0);
				const packed = packMixed(floor, deliveryOf(piece, count, spread, 3), {
					gap_mm: gap,
					seed: 5,
					rounds: 3,
				});
				const numbers = [...packed.pans.flat().map((placed) => placed.piece), ...packed.without];
				expect(numbers.sort((a, b) => a - b)).toEqual(Array.from({ length: count }, (_, index) => index));
				for (const placed of packed.pans) {
					expect(nearest(placed, false)).toBeGreaterThanOrEqual(gap - 1e-4);
					for (const piece of placed) expect(outside(floor, piece, false, false)).toBeLessThan(1e-4);
				}
				expect(packed.pans.length).toBeGreaterThanOrEqual(packed.bound);
			}),
			{ numRuns: runs(60) },
		);
	});

	it("is laid the same way again, and more rounds never end in more pans", () => {
		const floor = insideAt({ round: { diameter_mm: 360, height_mm: 60 } }, 0);
		const delivery = deliveryOf(BLOCK, 60, 0.15, 11);
		const pack = (rounds: number) => packMixed(floor, delivery, { gap_mm: 15, seed: 2, rounds });
		expect(pack(8)).toEqual(pack(8));
		expect(pack(8).pans.length).toBeLessThanOrEqual(pack(0).pans.length);
	});

	it("tells each round how far it is", () => {
		const heard: number[] = [];
		packMixed(insideAt(ONE, 0), deliveryOf(BLOCK, 60, 0.3, 11), {
			gap_mm: 10,
			seed: 2,
			rounds: 4,
			onRound: (round, best) => heard.push(round * 100 + best.pans.length),
		});
		expect(heard).toEqual([104, 204, 304, 404]);
	});

	it("takes no more pans than one more than the area asks for, at a usual spread", () => {
		const floor = insideAt(ONE, 0);
		const packed = packMixed(floor, deliveryOf(BLOCK, 200, 0.12, 1), { gap_mm: 10, seed: 1, rounds: 2 });
		expect(packed.bound).toBe(Math.ceil((200 * 95 * 70) / areaOf(floor)));
		expect(packed.pans.length).toBeLessThanOrEqual(packed.bound + 1);
	});
});

/** Least free space between any two: discs by their middles, blocks along the axis that parts them most. */
function nearest(placed: readonly Placed[], discs: boolean): number {
	let least = Number.POSITIVE_INFINITY;
	for (const [index, piece] of placed.entries()) {
		for (const other of placed.slice(index + 1)) {
			const dx = Math.abs(piece.x_mm - other.x_mm);
			const dy = Math.abs(piece.y_mm - other.y_mm);
			const space = discs
				? Math.hypot(dx, dy) - piece.length_mm
				: Math.max(dx - (piece.length_mm + other.length_mm) / 2, dy - (piece.width_mm + other.width_mm) / 2);
			least = Math.min(least, space);
		}
	}
	return least;
}

/** How far a piece stands out of the floor, mm; 0 or less when it lies inside. A piece alone gives in the corner. */
function outside(
	floor: Floor,
	{ x_mm, y_mm, length_mm, width_mm }: Placed,
	disc: boolean,
	alone: boolean,
): number {
	const right = Math.abs(x_mm) + length_mm / 2;
	const far = Math.abs(y_mm) + width_mm / 2;
	if (floor.kind === "circle") {
		const reach = disc ? Math.hypot(x_mm, y_mm) + length_mm / 2 : Math.hypot(right, far);
		return reach - floor.diameter_mm / 2;
	}
	const beyond = Math.max(right - floor.length_mm / 2, far - floor.width_mm / 2);
	const { corner_mm = 0 } = floor;
	if (alone || corner_mm === 0) return beyond;
	const grip = disc ? length_mm / 2 : 0;
	const inX = right - grip - (floor.length_mm / 2 - corner_mm);
	const inY = far - grip - (floor.width_mm / 2 - corner_mm);
	const inCorner = inX > 0 && inY > 0 ? Math.hypot(inX, inY) + grip - corner_mm : 0;
	return Math.max(beyond, inCorner);
}
