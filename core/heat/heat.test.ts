import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
	bodyOf,
	boilingPoint,
	boneVolume,
	eliminate,
	formOf,
	inOrder,
	type PieceSides,
	pieceHeat,
	scratchFor,
	sidesByThickness,
	steamFlow,
	steamFrom,
	substitute,
	thicker,
} from "./index.ts";
import { seriesCore } from "./series.testing.ts";

const EXPONENT = { slab: 0, cylinder: 1, ball: 2 } as const;
const FILM = 300;
const DIFFUSIVITY = 0.48 / (1050 * 3500);

/** The middle of a body of 0 °C in a bath of 100 °C, every ten minutes of an hour. */
function middles(exponent: number, thickness_mm: number, boneShare = 0): number[] {
	const piece = pieceHeat(
		{ body: { thickness_mm, exponent }, weight_kg: 1, boneShare, start_C: 0 },
		FILM,
		60,
	);
	const scratch = scratchFor(piece);
	const found: number[] = [];
	for (let second = 2; second <= 3600; second += 2) {
		eliminate(piece, 2, scratch);
		substitute(piece, 100, scratch);
		if (second % 600 === 0) found.push(piece.C[0] as number);
	}
	return found;
}

describe("conduction into the meat", () => {
	it.each(["slab", "cylinder", "ball"] as const)("meets the series for a %s to 0.5 %%", (form) => {
		const biot = (FILM * 0.03) / 0.48;
		for (const [index, C] of middles(EXPONENT[form], 60).entries()) {
			const fourier = (DIFFUSIVITY * 600 * (index + 1)) / 0.03 ** 2;
			expect(Math.abs(C - 100 * (1 - seriesCore(form, biot, fourier)))).toBeLessThan(0.5);
		}
	});

	/** Minutes until the middle has come a share of the way, by the product of three slab series. */
	function productMinutes(sides_mm: readonly number[], share: number): number {
		const left = (minute: number) =>
			sides_mm.reduce((product, side) => {
				const half_m = side / 2000;
				const fourier = (DIFFUSIVITY * minute * 60) / half_m ** 2;
				return product * Math.min(1, seriesCore("slab", (FILM * half_m) / 0.48, fourier));
			}, 1);
		let low = 0;
		let high = 2000;
		for (let halving = 0; halving < 40; halving += 1) {
			const middle = (low + high) / 2;
			if (left(middle) > 1 - share) low = middle;
			else high = middle;
		}
		return high;
	}

	function minutesOf(sides: PieceSides, share: number): number {
		const piece = pieceHeat({ body: bodyOf(sides), weight_kg: 1, start_C: 0 }, FILM, 40);
		const scratch = scratchFor(piece);
		let second = 0;
		while ((piece.C[0] as number) < 100 * share && second < 120_000) {
			second += 5;
			eliminate(piece, 5, scratch);
			substitute(piece, 100, scratch);
		}
		return second / 60;
	}

	it.each([
		[40, 40, 40],
		[60, 60, 60],
		[150, 60, 60],
		[100, 80, 45],
		[150, 145, 70],
		[220, 160, 60],
		[170, 90, 38],
	])("meets the product of three slab series for a block of %i × %i × %i mm to 5 %%", (...sides) => {
		// The middle at nine tenths of the way: where softening sets in.
		const series = productMinutes(sides, 0.9);
		const ours = minutesOf({ kind: "block", sides_mm: sides as [number, number, number] }, 0.9);
		expect(Math.abs(ours / series - 1)).toBeLessThan(0.05);
	});

	it("no step is too long to be stable", () => {
		const piece = pieceHeat({ body: { thickness_mm: 40, exponent: 0.4 }, weight_kg: 2, start_C: 5 });
		const scratch = scratchFor(piece);
		for (let step = 0; step < 50; step += 1) {
			eliminate(piece, 3600, scratch);
			substitute(piece, 95, scratch);
			for (const C of piece.C) expect(C >= 5 - 1e-9 && C <= 95 + 1e-9).toBe(true);
		}
	});

	it("holds the heat of its meat and of its bone, wherever the bone lies", () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0, max: 2, noNaN: true }),
				fc.double({ min: 0, max: 0.6, noNaN: true }),
				(exponent, boneShare) => {
					const piece = pieceHeat({
						body: { thickness_mm: 60, exponent },
						weight_kg: 2,
						boneShare,
						start_C: 5,
					});
					const sum = piece.capacity_JK.reduce((all, layer) => all + layer, 0);
					expect(sum).toBeCloseTo(2 * (boneShare * 1900 + (1 - boneShare) * 3500), 6);
					expect(piece.share.reduce((all, layer) => all + layer, 0)).toBeCloseTo(1, 9);
				},
			),
		);
	});

	it("a bone in the middle of a bar takes up less heat than meat, so the middle is hot sooner", () => {
		const whole = middles(1, 65);
		const boned = middles(1, 65, 0.32);
		for (const [index, C] of boned.entries()) expect(C).toBeGreaterThan(whole[index] ?? 100);
	});
});

describe("the body of a piece", () => {
	it("is a slab, a bar or a ball where it is one", () => {
		expect(bodyOf({ kind: "block", sides_mm: [1000, 1000, 20] }).exponent).toBeLessThan(0.001);
		expect(bodyOf({ kind: "bar", diameter_mm: 40, length_mm: 900 }).exponent).toBeCloseTo(1, 3);
		expect(bodyOf({ kind: "ball", diameter_mm: 40 }).exponent).toBe(2);
		expect(bodyOf({ kind: "block", sides_mm: [50, 50, 50] }).exponent).toBeCloseTo(1.38, 9);
	});

	it("goes evenly from a bar to a disc", () => {
		const at = (length_mm: number) => bodyOf({ kind: "bar", diameter_mm: 60, length_mm }).exponent;
		expect(Math.abs(at(60.001) - at(59.999))).toBeLessThan(0.001);
		expect(at(20)).toBeLessThan(0.2);
	});

	it("keeps its other sides as it grows thicker", () => {
		expect(thicker({ kind: "block", sides_mm: [120, 40, 80] }, 1.5)).toEqual({
			kind: "block",
			sides_mm: [60, 80, 120],
		});
		expect(thicker({ kind: "bar", diameter_mm: 60, length_mm: 30 }, 1.5)).toEqual({
			kind: "bar",
			diameter_mm: 60,
			length_mm: 45,
		});
	});

	it("by its thickness alone is one square piece of all the meat, at least 1.5 times as wide as thick", () => {
		const wide = sidesByThickness("slab", 40, 2);
		expect(wide).toEqual({
			kind: "block",
			sides_mm: [expect.closeTo(218.2, 1), expect.closeTo(218.2, 1), 40],
		});
		expect(sidesByThickness("slab", 100, 0.5)).toEqual({ kind: "block", sides_mm: [150, 150, 100] });
		expect(formOf(wide)).toBe("slab");
	});

	it("bone is a smaller share of the volume than of the weight", () => {
		expect(boneVolume(0)).toBe(0);
		expect(boneVolume(0.4)).toBeCloseTo(1 / 3, 2);
	});
});

describe("steam and the boil", () => {
	it("water boils at 100 °C at the sea and lower above it", () => {
		expect(boilingPoint(0)).toBeCloseTo(100, 6);
		expect(boilingPoint(1500)).toBeCloseTo(95, 0);
		expect(boilingPoint(3000)).toBeCloseTo(90, 0);
	});

	it("grows ever faster towards the boil, and less through a lid and in moist air", () => {
		const dry = steamFlow(0.03, 0);
		const at = (C: number, flow = dry, lid: "open" | "foil" = "open") =>
			steamFrom(flow, C, 0.15, "stillOven", lid).now_W;
		expect(at(80)).toBeGreaterThan(2 * at(60));
		expect(at(98)).toBeGreaterThan(2 * at(85));
		expect(at(90, steamFlow(0.5, 0))).toBeLessThan(at(90));
		expect(at(90, dry, "foil")).toBeLessThan(0.03 * at(90));
		// Moist air over a cool liquid takes up nothing.
		expect(at(60, steamFlow(0.5, 0))).toBe(0);
	});

	it("with Stefan's flow leaves by a third more at 80 °C and by more than twice as much at 95 °C", () => {
		const plain = (C: number) => {
			const pascal = 133.322 * 10 ** (8.07131 - 1730.63 / (233.426 + C));
			return (0.018015 * pascal * 2_257_000) / (8.314 * (C + 273.15)) / 955;
		};
		const ours = (C: number) => steamFlow(0, 0).table[C * 10] ?? 0;
		expect(ours(80) / plain(80)).toBeGreaterThan(1.3);
		expect(ours(95) / plain(95)).toBeGreaterThan(2);
	});
});

it("events are put in order by their minutes", () => {
	const { resets } = inOrder({
		resets: [
			{ at_min: 60, set_C: 140 },
			{ at_min: 20, set_C: 200 },
		],
	});
	expect(resets.map(({ at_min }) => at_min)).toEqual([20, 60]);
});
