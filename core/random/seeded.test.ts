import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { normal, seeded, shuffled } from "./index.ts";

const seeds = fc.integer();
const many = (seed: number, count: number) => {
	const random = seeded(seed);
	return Array.from({ length: count }, random);
};

describe("numbers from a seed", () => {
	it("are the same again for the same seed, and others for another", () => {
		fc.assert(
			fc.property(seeds, seeds, (first, second) => {
				expect(many(first, 8)).toEqual(many(first, 8));
				if ((first | 0) !== (second | 0)) expect(many(first, 8)).not.toEqual(many(second, 8));
			}),
		);
	});

	it("lie from 0 up to 1 and are spread evenly", () => {
		const values = many(7, 20_000);
		expect(Math.min(...values)).toBeGreaterThanOrEqual(0);
		expect(Math.max(...values)).toBeLessThan(1);
		const tenths = Array.from(
			{ length: 10 },
			(_, tenth) => values.filter((value) => Math.floor(value * 10) === tenth).length,
		);
		// Four standard deviations of a tenth of 20,000 are 170.
		for (const count of tenths) expect(Math.abs(count - 2000)).toBeLessThan(170);
	});

	it("do not follow one another", () => {
		const values = many(11, 20_000);
		const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
		const along = values
			.slice(1)
			.reduce((sum, value, index) => sum + (value - mean) * ((values[index] as number) - mean), 0);
		const all = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
		expect(Math.abs(along / all)).toBeLessThan(0.03);
	});
});

describe("normal numbers", () => {
	it("have a mean of 0, a spread of 1, and as many beyond two as there should be", () => {
		const random = seeded(3);
		const values = Array.from({ length: 20_000 }, () => normal(random));
		const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
		const spread = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length);
		expect(Math.abs(mean)).toBeLessThan(0.03);
		expect(Math.abs(spread - 1)).toBeLessThan(0.03);
		const beyond = values.filter((value) => Math.abs(value) > 2).length / values.length;
		expect(Math.abs(beyond - 0.0455)).toBeLessThan(0.008);
	});
});

describe("a list in another order", () => {
	it("keeps every entry once and leaves the list as it was", () => {
		fc.assert(
			fc.property(fc.array(fc.integer()), seeds, (list, seed) => {
				const before = [...list];
				const mixed = shuffled(list, seeded(seed));
				expect([...mixed].sort((a, b) => a - b)).toEqual([...list].sort((a, b) => a - b));
				expect(list).toEqual(before);
			}),
		);
	});

	it("puts each entry at each place about as often", () => {
		const random = seeded(5);
		const at = [0, 0, 0, 0];
		for (let run = 0; run < 4000; run += 1) {
			const place = shuffled(["a", "b", "c", "d"], random).indexOf("a");
			at[place] = (at[place] ?? 0) + 1;
		}
		for (const count of at) expect(Math.abs(count - 1000)).toBeLessThan(120);
	});
});
