import fc from "fast-check";
import loadHighs from "highs";
import { beforeAll, describe, expect, it } from "vitest";
import { asLpText, type IntegerSolver } from "../../integer/index.ts";
import { runs } from "../../random/runs.testing.ts";
import { mm } from "../arbitraries.testing.ts";
import {
	type ChoosePans,
	chooseByBids,
	choosePans,
	choosePansWith,
	type PanChoice,
	type PanLoad,
	type PanType,
	type Piece,
	spreadEvenly,
} from "../index.ts";

const LIMITS = { headspace_mm: 25, liftLimit_kg: 15 };
const PIECE: Piece = { shape: "block", length_mm: 85, width_mm: 60, height_mm: 48, weight_g: 258 };
const STOCK: PanType[] = [
	{ id: "a", name: "1/1-100", shape: { gn: "1/1", depth_mm: 100 }, stock: 8 },
	{ id: "b", name: "1/2-100", shape: { gn: "1/2", depth_mm: 100 }, stock: 6 },
	{ id: "c", name: "1/1-65", shape: { gn: "1/1", depth_mm: 65 }, stock: 3 },
	{ id: "d", name: "2/1-150", shape: { gn: "2/1", depth_mm: 150 }, stock: 2 },
];
const load = (count: number, piece: Piece = PIECE): PanLoad => ({
	piece,
	pieces: count,
	gap_mm: 10,
	line: { below_mm: 15 },
	bed: { volume_l: count * 0.05, weight_kg: count * 0.05 },
});

let solve: IntegerSolver;
let together: ChoosePans;

beforeAll(async () => {
	const highs = await loadHighs();
	solve = (program) => {
		const answer = highs.solve(asLpText(program), { mip_rel_gap: 0 });
		if (answer.Status !== "Optimal") return null;
		return new Map(Object.entries(answer.Columns).map(([name, { Primal }]) => [name, Math.round(Primal)]));
	};
	together = choosePansWith(solve);
});

const sittings = fc.record({
	counts: fc.array(mm(1, 160), { minLength: 1, maxLength: 4 }),
	sides: fc.array(mm(50, 110), { minLength: 4, maxLength: 4 }),
	stocks: fc.array(mm(0, 9), { minLength: 4, maxLength: 4 }),
});
type Drawn = typeof sittings extends fc.Arbitrary<infer T> ? T : never;

function drawn({ counts, sides, stocks }: Drawn): { loads: PanLoad[]; stock: PanType[] } {
	const loads = counts.map((count, index) =>
		load(count, { ...PIECE, length_mm: sides[index] ?? 85 } as Piece),
	);
	return { loads, stock: STOCK.map((type, index) => ({ ...type, stock: stocks[index] ?? 0 })) };
}

/** Rungs of the largest pan in the stock. */
const ONE_LARGE_PAN = 6;

const isAmiss = ({ pans }: PanChoice): boolean => pans.some(({ warnings }) => warnings.length > 0);
const sum = (choices: readonly PanChoice[], figureOf: (choice: PanChoice) => number) =>
	choices.reduce((total, choice) => total + figureOf(choice), 0);

describe.each(["by bids", "as an integer programme"])("choosing pans %s", (way) => {
	const choose: ChoosePans = (...given) => (way === "by bids" ? chooseByBids : together)(...given);

	it("never uses more than the stock, and every piece is in a pan or said to have none", () => {
		fc.assert(
			fc.property(sittings, (given) => {
				const { loads, stock } = drawn(given);
				const choices = choose(loads, stock, LIMITS);
				for (const type of stock) {
					const used = sum(choices, ({ pans }) => pans.filter((pan) => pan.type.id === type.id).length);
					expect(used).toBeLessThanOrEqual(type.stock);
				}
				for (const [index, choice] of choices.entries()) {
					const inPans = choice.pans.reduce((total, pan) => total + pan.pieces, 0);
					expect(inPans + choice.unplaced).toBe(loads[index]?.pieces);
					for (const pan of choice.pans) expect(pan.pieces).toBeLessThanOrEqual(pan.capacity);
				}
			}),
			{ numRuns: runs(way === "by bids" ? 100 : 25) },
		);
	});

	it("evens out a half-empty last pan", () => {
		expect(spreadEvenly(58, 4)).toEqual([15, 15, 14, 14]);
		const pans = choose([load(78)], STOCK, LIMITS)[0]?.pans ?? [];
		for (const { type } of pans) {
			const counts = pans.filter((pan) => pan.type.id === type.id).map(({ pieces }) => pieces);
			expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1);
		}
	});

	it("leaves a pan that one person cannot carry on the shelf while another does", () => {
		const [choice] = choose([load(78)], STOCK, LIMITS);
		expect(choice?.pans.every((pan) => pan.lifted_kg <= 15)).toBe(true);
	});

	it("takes small pans that are filled before a large one that is half empty", () => {
		const stock: PanType[] = [
			{ id: "whole", name: "1/1-100", shape: { gn: "1/1", depth_mm: 100 }, stock: 9 },
			{ id: "half", name: "1/2-100", shape: { gn: "1/2", depth_mm: 100 }, stock: 9 },
			{ id: "third", name: "1/3-100", shape: { gn: "1/3", depth_mm: 100 }, stock: 9 },
		];
		const [choice] = choose([load(13)], stock, LIMITS);
		const [whole] = choose([load(13)], stock.slice(0, 1), LIMITS);
		for (const { type } of choice?.pans ?? []) expect(type.id).not.toBe("whole");
		expect(choice?.rungs).toBe(whole?.rungs);
		expect(choice?.liquid_l).toBeLessThan(0.85 * (whole?.liquid_l ?? 0));
	});

	it("takes no more rungs than pans of one kind, and as many only with less liquid or in fewer pans", () => {
		fc.assert(
			fc.property(mm(1, 90), mm(50, 110), (count, length_mm) => {
				const wanted = load(count, { ...PIECE, length_mm } as Piece);
				const [choice] = choose([wanted], STOCK, LIMITS);
				for (const kind of STOCK) {
					const [alone] = choose([wanted], [kind], LIMITS);
					if (!choice || !alone || alone.unplaced > 0 || isAmiss(alone)) continue;
					expect(choice.rungs).toBeLessThanOrEqual(alone.rungs);
					if (choice.rungs < alone.rungs) continue;
					const isWorse = choice.liquid_l > alone.liquid_l + 1e-6 && choice.pans.length >= alone.pans.length;
					expect(isWorse, `${count} in ${kind.name}`).toBe(false);
				}
			}),
			{ numRuns: runs(way === "by bids" ? 100 : 25) },
		);
	});

	it("takes one half pan before three thirds", () => {
		const stock: PanType[] = [
			{ id: "third", name: "1/3-100", shape: { gn: "1/3", depth_mm: 100 }, stock: 9 },
			{ id: "half", name: "1/2-100", shape: { gn: "1/2", depth_mm: 100 }, stock: 9 },
		];
		const [choice] = choose([load(9)], stock, LIMITS);
		expect(choice?.pans.map(({ type }) => type.id)).toEqual(["half"]);
	});

	it("fills a pan that could not be carried full with fewer pieces, rather than leave it on the shelf", () => {
		const [large] = STOCK;
		const stock = [
			{ ...(large as PanType), stock: 9 },
			{ ...(STOCK[1] as PanType), stock: 4 },
		];
		const full = choose([load(22)], stock.slice(0, 1), { ...LIMITS, liftLimit_kg: 99 })[0]?.pans[0];
		const limits = { ...LIMITS, liftLimit_kg: (full?.lifted_kg ?? 0) - 0.5 };
		const [choice] = choose([load(80)], stock, limits);
		expect(choice?.pans.filter(({ type }) => type.id === "a").length).toBeGreaterThanOrEqual(3);
		for (const pan of choice?.pans ?? []) {
			expect(pan.lifted_kg).toBeLessThanOrEqual(limits.liftLimit_kg);
			if (pan.type.id === "a") expect(pan.capacity).toBe(full?.capacity);
		}
	});

	it("keeps exactly what the chef has settled, and a kind that is ruled out", () => {
		const wishes = [
			{ typeId: "b", count: 3 },
			{ typeId: "c", count: 0 },
		];
		const [choice] = choose([{ ...load(80), wishes }], STOCK, LIMITS);
		const used = (id: string) => choice?.pans.filter((pan) => pan.type.id === id).length;
		expect(used("b")).toBe(3);
		expect(used("c")).toBe(0);
		expect(choice?.unplaced).toBe(0);
	});

	it("a wish beyond the stock takes what there is", () => {
		const [choice] = choose([{ ...load(200), wishes: [{ typeId: "b", count: 9 }] }], STOCK, LIMITS);
		expect(choice?.pans.filter((pan) => pan.type.id === "b")).toHaveLength(6);
	});
});

describe("the choice by bids beside the proven least", () => {
	it("is the same for one dish in what is left over and in rungs", () => {
		fc.assert(
			fc.property(mm(1, 200), fc.array(mm(0, 9), { minLength: 4, maxLength: 4 }), (count, stocks) => {
				const stock = STOCK.map((type, index) => ({ ...type, stock: stocks[index] ?? 0 }));
				const hand = choosePans(load(count), stock, LIMITS);
				const [proven] = together([load(count)], stock, LIMITS);
				expect(hand.unplaced).toBe(proven?.unplaced);
				expect(hand.rungs).toBe(proven?.rungs);
			}),
			{ numRuns: runs(40) },
		);
	});

	it("for several it stays within 5 % over many sittings, and within one large pan in any", () => {
		const totals = { hand: 0, proven: 0, left: 0, leftProven: 0, pieces: 0 };
		for (const given of fc.sample(sittings, { numRuns: runs(60), seed: 11 })) {
			const { loads, stock } = drawn(given);
			const hand = chooseByBids(loads, stock, LIMITS);
			const proven = together(loads, stock, LIMITS);
			const left = sum(hand, ({ unplaced }) => unplaced);
			const leftProven = sum(proven, ({ unplaced }) => unplaced);
			totals.pieces += loads.reduce((total, load) => total + load.pieces, 0);
			totals.left += left;
			totals.leftProven += leftProven;
			if (left > leftProven) continue;
			const rungs = sum(hand, (choice) => choice.rungs);
			const least = sum(proven, (choice) => choice.rungs);
			expect(rungs).toBeLessThanOrEqual(least + ONE_LARGE_PAN);
			totals.hand += rungs;
			totals.proven += least;
		}
		expect(totals.hand).toBeLessThanOrEqual(totals.proven * 1.05);
		expect(totals.left).toBe(totals.leftProven);
	});

	it("takes its place where no answer comes", () => {
		const none = choosePansWith(() => null);
		expect(none([load(90)], STOCK, LIMITS)).toEqual(chooseByBids([load(90)], STOCK, LIMITS));
	});
});

describe("of two vessels that are poured the same", () => {
	it.each(["small first", "large first"])("the smaller is taken, %s", (order) => {
		const small: PanType = {
			id: "s",
			name: "360",
			shape: { round: { diameter_mm: 360, height_mm: 200 } },
			stock: 1,
		};
		const large: PanType = {
			id: "l",
			name: "600",
			shape: { round: { diameter_mm: 600, height_mm: 200 } },
			stock: 1,
		};
		const stock = order === "small first" ? [small, large] : [large, small];
		const poured: PanLoad = { ...load(25), layers: "poured", wanted_l: 2, stays: true };
		expect(choosePans(poured, stock, LIMITS).pans.map(({ type }) => type.id)).toEqual(["s"]);
	});
});
