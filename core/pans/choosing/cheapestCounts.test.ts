import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cheapestCounts, roomOf } from "./cheapestCounts.ts";
import { type Candidate, levelsOf } from "./panCandidates.ts";

function kind(id: string, capacity: number, stock: number, share: number, drawback = 0): Candidate {
	const shape = { gn: "1/1", depth_mm: 100 } as const;
	return {
		type: { id, name: id, shape, stock },
		...{ capacity, holds: capacity, share, drawback },
		...{ high: 1, below_l: 1, poured_l: 1, wished: undefined },
	};
}

const COST = {
	level: ({ high }: Candidate) => high * 100,
	each: ({ drawback, poured_l }: Candidate) => 7 + drawback * 50 + poured_l,
};

function priceOf(counts: readonly { of: Candidate; count: number }[]): number {
	return counts.reduce(
		(sum, { of: each, count }) => sum + levelsOf(each, count) * COST.level(each) + count * COST.each(each),
		0,
	);
}

/** Every count of every kind. */
function leastOfAll(kinds: readonly Candidate[], pieces: number): number {
	const [first, ...rest] = kinds;
	if (pieces <= 0) return 0;
	if (!first) return Number.POSITIVE_INFINITY;
	let least = Number.POSITIVE_INFINITY;
	for (let count = 0; count <= first.type.stock; count += 1) {
		const others = leastOfAll(rest, pieces - count * first.capacity);
		least = Math.min(least, others + priceOf([{ of: first, count }]));
	}
	return least;
}

describe("counts that hold all pieces at the least cost", () => {
	it("are so many of the cheapest, and one small pan for what is left", () => {
		const counts = cheapestCounts([kind("small", 4, 9, 1 / 3), kind("large", 20, 9, 1)], 44, COST);
		expect(counts.map(({ count }) => count)).toEqual([1, 2]);
	});

	it("leave a cheap kind on the shelf where two of another hold exactly as many", () => {
		const counts = cheapestCounts([kind("deep", 30, 1, 1), kind("flat", 20, 4, 1)], 40, COST);
		expect(counts.map(({ count }) => count)).toEqual([0, 2]);
	});

	it("are all there are where those do not hold everything", () => {
		const counts = cheapestCounts([kind("small", 4, 2, 1 / 3), kind("large", 20, 3, 1)], 70, COST);
		expect(counts.map(({ count }) => count)).toEqual([2, 3]);
	});

	it("cost no more than any other that hold as many", () => {
		const one = fc.record({
			capacity: fc.integer({ min: 1, max: 30 }),
			stock: fc.integer({ min: 1, max: 9 }),
			share: fc.constantFrom(2, 1, 1 / 2, 1 / 3, 1 / 9, 0.7),
			drawback: fc.constantFrom(0, 0, 1),
		});
		fc.assert(
			fc.property(
				fc.array(one, { minLength: 1, maxLength: 4 }),
				fc.integer({ min: 1, max: 300 }),
				(rows, pieces) => {
					const kinds = rows.map(({ capacity, stock, share, drawback }, at) =>
						kind(`${at}`, capacity, stock, share, drawback),
					);
					fc.pre(roomOf(kinds.map((of) => ({ of, count: of.type.stock }))) > pieces);
					const counts = cheapestCounts(kinds, pieces, COST);
					expect(roomOf(counts)).toBeGreaterThanOrEqual(pieces);
					for (const { of, count } of counts) expect(count).toBeLessThanOrEqual(of.type.stock);
					expect(priceOf(counts)).toBeCloseTo(leastOfAll(kinds, pieces), 6);
				},
			),
			{ seed: 20_261_201, numRuns: 400 },
		);
	});
});
