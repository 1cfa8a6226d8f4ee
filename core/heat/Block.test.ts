import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Block, type BlockOfFood, type FaceMeets } from "./Block.ts";
import { seriesCore } from "./series.testing.ts";

const CONSTANT = { heat_J_per_M3K: 1050 * 3600, conductivity: () => 0.53 };
const DIFFUSES_M2_PER_S = 0.53 / (1050 * 3600);

function walk(food: BlockOfFood, meets: FaceMeets, seconds: number, step = 20): Block {
	const block = new Block(food);
	for (let at = 0; at < seconds; at += step) block.step(step, { foot: meets, top: meets, sides: meets });
	return block;
}

describe("a block of food", () => {
	it.each([18, 250])("without an end meets the series of a slab at %i W/m²K", (film_W_per_M2K) => {
		for (const depth_mm of [40, 90]) {
			const half_m = depth_mm / 2000;
			const biot = (film_W_per_M2K * half_m) / 0.53;
			for (const minutes of [20, 60, 120]) {
				const block = walk({ ...CONSTANT, depth_mm, start_C: 0 }, { film_W_per_M2K, C: 100 }, minutes * 60);
				const left = seriesCore("slab", biot, (DIFFUSES_M2_PER_S * minutes * 60) / half_m ** 2);
				expect(Math.abs(block.coldest_C() - 100 * (1 - left))).toBeLessThan(1);
			}
		}
	});

	it("with six faces meets the product of three slabs", () => {
		const sides_mm = [80, 120, 160] as const;
		const [depth_mm, width_mm, length_mm] = sides_mm;
		for (const minutes of [30, 90, 180]) {
			const food = { ...CONSTANT, depth_mm, width_mm, length_mm, start_C: 0 };
			const block = walk(food, { film_W_per_M2K: 30, C: 100 }, minutes * 60);
			const left = sides_mm.reduce((product, side_mm) => {
				const half_m = side_mm / 2000;
				const fourier = (DIFFUSES_M2_PER_S * minutes * 60) / half_m ** 2;
				return product * seriesCore("slab", (30 * half_m) / 0.53, fourier);
			}, 1);
			expect(Math.abs(block.coldest_C() - 100 * (1 - left))).toBeLessThan(1.5);
		}
	});

	it("heats and cools as in a mirror while heat goes through it alike", () => {
		const anyBlock = fc.record({
			depth_mm: fc.integer({ min: 20, max: 150 }),
			width_mm: fc.integer({ min: 80, max: 400 }),
			length_mm: fc.integer({ min: 80, max: 600 }),
		});
		fc.assert(
			fc.property(anyBlock, fc.integer({ min: 8, max: 250 }), (sides, film_W_per_M2K) => {
				const heated = walk({ ...CONSTANT, ...sides, start_C: 10 }, { film_W_per_M2K, C: 90 }, 3600);
				const cooled = walk({ ...CONSTANT, ...sides, start_C: 90 }, { film_W_per_M2K, C: 10 }, 3600);
				expect(heated.coldest_C() + cooled.warmest_C()).toBeCloseTo(100, 6);
			}),
			{ seed: 27_02, numRuns: 20 },
		);
	});

	it("takes up what its faces let in: heat is neither made nor lost", () => {
		const food = { ...CONSTANT, depth_mm: 70, width_mm: 200, length_mm: 300, start_C: 5 };
		const block = new Block(food);
		const face = { film_W_per_M2K: 20, C: 150 };
		const meets = { foot: face, top: face, sides: face };
		let taken_J_per_M2 = 0;
		for (let second = 0; second < 1800; second += 1) {
			block.step(1, meets);
			taken_J_per_M2 += block.takes_W_per_M2(meets);
		}
		const held_J_per_M2 = (block.mean_C() - 5) * CONSTANT.heat_J_per_M3K * 0.07;
		expect(taken_J_per_M2 / held_J_per_M2).toBeCloseTo(1, 2);
	});

	it("becomes no hotter than it boils, and tells what boiled off", () => {
		const food = { ...CONSTANT, depth_mm: 20, start_C: 95, boils_C: 100 };
		const face = { film_W_per_M2K: 100, C: 200 };
		const block = new Block(food);
		let boiled_J = 0;
		for (let at = 0; at < 3600; at += 20) boiled_J += block.step(20, { foot: face, top: face });
		expect(block.warmest_C()).toBeLessThanOrEqual(100);
		expect(boiled_J).toBeGreaterThan(0.9 * 2 * 100 * 100 * 3600 * 0.5);
	});

	it("stirred, is as warm everywhere", () => {
		const block = walk({ ...CONSTANT, depth_mm: 60, start_C: 4 }, { film_W_per_M2K: 20, C: 150 }, 1800);
		const mean_C = block.mean_C();
		block.stir();
		expect([block.coldest_C(), block.warmest_C()]).toEqual([mean_C, mean_C]);
	});
});
