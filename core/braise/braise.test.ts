import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readBraise } from "../cases/index.ts";
import { type Heat, PIECE_FORMS, sidesByThickness, thicker } from "../heat/index.ts";
import { CUTS } from "../trade/index.ts";
import {
	alongProbe,
	type BraiseGiven,
	braise,
	CALIBRATED,
	leftAt,
	MARKS,
	promisedMarks,
	reached,
	simulate,
	softeningRate,
	steamAt,
} from "./index.ts";

const GIVEN: BraiseGiven = {
	cut: "porkShoulder",
	sides: { kind: "block", sides_mm: [120, 80, 45] },
	meat_kg: 3,
	liquid_l: 2.5,
	pan: { gn: "1/1", depth_mm: 100 },
	lid: "lid",
	heat: { kind: "stillOven", set_C: 150 },
	start: { meat_C: 8, liquid_C: 95 },
};

const heats: fc.Arbitrary<Heat> = fc.oneof(
	fc.record({
		kind: fc.constantFrom("stillOven" as const, "fanOven" as const),
		set_C: fc.integer({ min: 110, max: 200 }),
	}),
	fc.record({ kind: fc.constant("waterBath" as const), set_C: fc.integer({ min: 70, max: 95 }) }),
	fc.constant({ kind: "hob" as const, simmer: true }),
);
const sides = fc
	.tuple(fc.constantFrom(...PIECE_FORMS), fc.integer({ min: 15, max: 120 }))
	.map(([form, thickness_mm]) => sidesByThickness(form, thickness_mm, 0.4));
const givens: fc.Arbitrary<BraiseGiven> = fc.record({
	cut: fc.constantFrom(...CUTS),
	sides,
	boneShare: fc.constantFrom(0, 0, 0.25, 0.4),
	meat_kg: fc.double({ min: 0.5, max: 6, noNaN: true }),
	liquid_l: fc.double({ min: 0.5, max: 8, noNaN: true }),
	pan: fc.constant(GIVEN.pan),
	lid: fc.constantFrom("open" as const, "paper" as const, "foil" as const, "lid" as const, "sealed" as const),
	heat: heats,
	start: fc.record({ meat_C: fc.integer({ min: 2, max: 20 }), liquid_C: fc.integer({ min: 10, max: 100 }) }),
});
const fork = (given: BraiseGiven, step_s?: number) =>
	reached(simulate(given, { minutes: 2000, until: 1, ...(step_s ? { step_s } : {}) }), 1);

describe("the balance of one pan", () => {
	it("of heat and of water closes to 0.1 %", () => {
		fc.assert(
			fc.property(givens, (given) => {
				const { ledger } = simulate(given, { minutes: 240 });
				const heat_kJ = Math.abs(ledger.heatIn_kJ) + Math.abs(ledger.heatStored_kJ) + ledger.heatSteam_kJ;
				const heatMiss = ledger.heatIn_kJ - ledger.heatSteam_kJ - ledger.heatStored_kJ;
				expect(Math.abs(heatMiss)).toBeLessThanOrEqual(0.001 * heat_kJ);
				const waterMiss = ledger.waterIn_kg - ledger.waterSteam_kg - ledger.waterLeft_kg;
				expect(Math.abs(waterMiss)).toBeLessThanOrEqual(0.001 * ledger.waterIn_kg);
			}),
			{ numRuns: 60 },
		);
	});

	it("never holds less than no water, and says when it is dry", () => {
		const shallow = {
			...GIVEN,
			liquid_l: 0.4,
			lid: "open" as const,
			heat: { kind: "fanOven" as const, set_C: 200 },
		};
		const { dryAt_min, points } = simulate(shallow, { minutes: 180 });
		expect(dryAt_min).toBeGreaterThan(5);
		for (const { liquid_l } of points) expect(liquid_l).toBeGreaterThanOrEqual(0);
		expect(simulate(GIVEN, { minutes: 240 }).dryAt_min).toBeNull();
		const dry = braise({ ...shallow, lid: "open" });
		expect(dry.marks.forkTender?.likely).toBeGreaterThan(dry.dryAt_min ?? 1e9);
		expect(promisedMarks(dry).forkTender).toBeNull();
		expect(promisedMarks(braise(GIVEN))).toEqual(braise(GIVEN).marks);
	});

	it("half the step changes no mark by more than 1 %", () => {
		fc.assert(
			fc.property(givens, (given) => {
				const whole = fork(given);
				const half = fork(given, 10);
				if (whole === null || half === null) return;
				// Of a pan that is dry nothing more is trusted.
				if (simulate(given, { minutes: whole }).dryAt_min !== null) return;
				expect(Math.abs(whole / half - 1)).toBeLessThanOrEqual(0.01);
			}),
			{ numRuns: 30 },
		);
	});
});

describe("laws of the braise", () => {
	/** Steps of up to 20 s tell two times apart to so much, min. */
	const APART_MIN = 0.1;
	const more = fc.integer({ min: 1, max: 25 });

	it("a hotter oven is never slower", () => {
		fc.assert(
			fc.property(givens, more, (given, by) => {
				if (!("set_C" in given.heat)) return;
				const hotter = fork({ ...given, heat: { ...given.heat, set_C: given.heat.set_C + by } });
				// A pan that goes dry is no braise any more.
				if (simulate(given, { minutes: 2000, until: 1 }).dryAt_min !== null) return;
				expect(hotter ?? Number.POSITIVE_INFINITY).toBeLessThanOrEqual(
					(fork(given) ?? Number.POSITIVE_INFINITY) + APART_MIN,
				);
			}),
			{ numRuns: 40 },
		);
	});

	/**
	 * Meat alone is never sooner. A bone that keeps its share grows with the piece, and nearer to a
	 * cube the meat round it hardly gets thicker while the pan is warm sooner.
	 */
	it.each([
		["boneless", 0, 1],
		["on the bone", 0.4, 0.96],
	])("thicker is never sooner, %s", (_, boneShare, atLeast) => {
		fc.assert(
			fc.property(givens, more, (given, by) => {
				const piece = { ...given, boneShare };
				const thick = fork({ ...piece, sides: thicker(piece.sides, 1 + by / 100) });
				const least = (fork(piece) ?? Number.POSITIVE_INFINITY) * atLeast - APART_MIN;
				expect(thick ?? Number.POSITIVE_INFINITY).toBeGreaterThanOrEqual(least);
			}),
			{ numRuns: 40 },
		);
	});

	it("a tighter lid lets out less steam over a long braise", () => {
		const tighter = ["open", "paper", "foil", "lid", "sealed"] as const;
		fc.assert(
			fc.property(givens, (given) => {
				const steamed = tighter.map((lid) => steamAt(simulate({ ...given, lid }, { minutes: 600 }), 600));
				for (const [index, litres] of steamed.entries()) {
					expect(litres).toBeLessThanOrEqual((steamed[index - 1] ?? Number.POSITIVE_INFINITY) + 0.02);
				}
			}),
			{ numRuns: 30 },
		);
	});

	it("more pans with a full oven's power take as long each; with a weak one, longer", () => {
		const alone = fork(GIVEN);
		expect(fork({ ...GIVEN, oven: { power_kW: 30, pans: 10 } })).toBe(alone);
		expect(fork({ ...GIVEN, oven: { power_kW: 1.5, pans: 10 } }) ?? 0).toBeGreaterThan((alone ?? 0) * 1.1);
	});

	it("twice the portions in twice the pans leaves the time as it was", () => {
		const two = { ...GIVEN, oven: { power_kW: 20, pans: 2 } };
		expect(fork(two)).toBe(fork({ ...GIVEN, oven: { power_kW: 20, pans: 1 } }));
	});
});

describe("what happens on the way", () => {
	it("a cold start is later than a boiling one", () => {
		const cold = fork({ ...GIVEN, start: { meat_C: 8, liquid_C: 10 } }) ?? 0;
		expect(cold).toBeGreaterThan((fork(GIVEN) ?? 0) + 10);
	});

	it("an opened door, a late addition and a dropped oven each cost time", () => {
		const straight = fork(GIVEN) ?? 0;
		expect(fork({ ...GIVEN, doors: [{ at_min: 30, drop_C: 60 }] }) ?? 0).toBeGreaterThanOrEqual(straight);
		expect(
			fork({ ...GIVEN, additions: [{ at_min: 60, kg: 1.5, temp_C: 5, water: 1, gives: 1 }] }) ?? 0,
		).toBeGreaterThan(straight);
		expect(fork({ ...GIVEN, resets: [{ at_min: 30, set_C: 100 }] }) ?? 0).toBeGreaterThan(straight);
	});

	it("a lid taken off at the end dries the pan", () => {
		const covered = leftAt(simulate(GIVEN, { minutes: 150 }), 150);
		const finished = leftAt(
			simulate({ ...GIVEN, lids: [{ at_min: 120, lid: "open" }] }, { minutes: 150 }),
			150,
		);
		expect(finished).toBeLessThan(covered - 0.1);
	});

	it("boils and grows no hotter, but under pressure it does", () => {
		const pot = { ...GIVEN, lid: "sealed" as const, heat: { kind: "pressure" as const, set_C: 119 } };
		expect(braise(GIVEN).peakLiquid_C).toBeCloseTo(100, 1);
		expect(braise(pot).peakLiquid_C).toBeCloseTo(119, 1);
	});
});

describe("the four marks", () => {
	it("come in their order, each with honest ends", () => {
		fc.assert(
			fc.property(givens, (given) => {
				const { marks } = braise(given);
				let before = 0;
				for (const mark of MARKS) {
					const range = marks[mark];
					if (!range) return;
					expect(range.low).toBeLessThanOrEqual(range.likely);
					expect(range.likely).toBeLessThanOrEqual(range.high);
					expect(range.likely).toBeGreaterThan(before);
					before = range.likely;
				}
			}),
			{ numRuns: 20 },
		);
	});

	it("says what would change it most", () => {
		const thick = braise({ ...GIVEN, sides: { kind: "block", sides_mm: [200, 180, 130] } });
		expect(thick.sensitivities[0]?.what).toBe("thickness");
		const bath = braise({ ...GIVEN, heat: { kind: "waterBath", set_C: 80 }, lid: "sealed" });
		expect(bath.sensitivities[0]?.what).toBe("cut");
	});

	it("softens faster the hotter it is, by one set of constants for all methods", () => {
		expect(softeningRate(CALIBRATED.reference_C)).toBeCloseTo(CALIBRATED.atReference_perMin, 9);
		expect(softeningRate(119) / softeningRate(80)).toBeGreaterThan(15);
		expect(CALIBRATED.activation_kJ).toBeGreaterThanOrEqual(100);
		expect(CALIBRATED.activation_kJ).toBeLessThanOrEqual(160);
	});
});

describe("what a probe feels", () => {
	it("is the mean resistance along its path: never less than the softest layer says, never as much as its mean", () => {
		expect(alongProbe([1, 1, 1])).toBeCloseTo(1, 12);
		expect(alongProbe([0.5, 1.5])).toBeLessThan(1);
		expect(alongProbe([0.5, 1.5])).toBeGreaterThan(0.5);
		expect(alongProbe([0.5, 0.5])).toBeCloseTo(0.5, 12);
	});
});

describe("faults of an earlier day", () => {
	it("a hob that simmers a little lower or higher is later or sooner, and its range knows", () => {
		const hob = { ...GIVEN, heat: { kind: "hob" as const, simmer: true } };
		const at = (off_K: number) => fork({ ...hob, heat: { ...hob.heat, off_K } }) ?? 0;
		expect(at(2)).toBeLessThan(at(0));
		expect(at(-2)).toBeGreaterThan(at(0));
		const oven = braise(hob).sensitivities.find(({ what }) => what === "oven");
		expect((oven?.high_min ?? 0) - (oven?.low_min ?? 0)).toBeGreaterThan(5);
	});

	it("at a full boil on the hob the liquid boils away by the burner's power", () => {
		const boil = { ...GIVEN, lid: "open" as const, heat: { kind: "hob" as const, simmer: false } };
		const run = simulate({ ...boil, liquid_l: 6 }, { minutes: 60 });
		const litres = steamAt(run, 60) - steamAt(run, 50);
		// So much steam leaves a wide open pan that it stays a little below the boil.
		expect(run.peakLiquid_C).toBeGreaterThan(97);
		expect(litres).toBeCloseTo((2500 * 600) / 2_257_000, 1);
	});

	it("a piece that loses nine tenths still takes up heat", () => {
		for (const cookingLoss of [0.84, 0.9]) {
			const { points, ledger } = simulate({ ...GIVEN, cookingLoss }, { minutes: 240 });
			for (const { core_C } of points) expect(core_C > 0 && core_C <= 100.01).toBe(true);
			const miss = ledger.heatIn_kJ - ledger.heatSteam_kJ - ledger.heatStored_kJ;
			expect(Math.abs(miss)).toBeLessThan(0.001 * ledger.heatIn_kJ);
		}
	});

	it("what joins at the start is in the pan, and stock that joins is liquid", () => {
		const stock = { at_min: 0, kg: 1, temp_C: 5, water: 1, gives: 1 };
		const at = (minute: number) =>
			simulate({ ...GIVEN, additions: [{ ...stock, at_min: minute }] }, { minutes: 200 });
		expect(at(0).points[0]?.liquid_l).toBeCloseTo(GIVEN.liquid_l + 1, 9);
		expect(leftAt(at(60), 200) - leftAt(simulate(GIVEN, { minutes: 200 }), 200)).toBeGreaterThan(0.9);
		expect(fork({ ...GIVEN, additions: [{ ...stock, at_min: 0 }] }) ?? 0).toBeGreaterThan(fork(GIVEN) ?? 0);
	});

	it("events do the same in whatever order they are given", () => {
		const resets = [
			{ at_min: 90, set_C: 130 },
			{ at_min: 20, set_C: 180 },
		];
		const lids = [
			{ at_min: 120, lid: "open" as const },
			{ at_min: 30, lid: "paper" as const },
		];
		const there = simulate({ ...GIVEN, resets, lids }, { minutes: 200 });
		const back = simulate(
			{ ...GIVEN, resets: [...resets].reverse(), lids: [...lids].reverse() },
			{ minutes: 200 },
		);
		expect(there.points).toEqual(back.points);
	});

	const asked = {
		cut: "porkShoulder",
		piece: { length_mm: 120, width_mm: 80, height_mm: 45 },
		meat_kg: 3,
		liquid_l: 2.5,
		pan: { gn: "1/1", depth_mm: 100 },
		lid: "lid",
		heat: { kind: "stillOven", set_C: 150 },
		start: { meat_C: 8, liquid_C: 95 },
	};
	it.each([
		["additions[0].kg", { additions: [{ at_min: 10, kg: "x", C: 5 }] }],
		["additions[0].kg", { additions: [{ at_min: 10, kg: -5, C: 5 }] }],
		["additions[0].at_min", { additions: [{ at_min: -1, kg: 1, C: 5 }] }],
		["resets[0].set_C", { resets: [{ at_min: 10, set_C: "hot" }] }],
		["lids[0].lid", { lids: [{ at_min: 10, lid: "cloth" }] }],
		["start.meat_C", { start: { meat_C: -18, liquid_C: 95 } }],
		["start.liquid_C", { start: { meat_C: 8, liquid_C: 350 } }],
		["piece.height_mm", { piece: { length_mm: 120, width_mm: 80, height_mm: 0.0003 } }],
		["thickness_mm", { piece: undefined, shape: "slab", thickness_mm: 0.01 }],
	])("%s that cannot be is refused by its name", (field, change) => {
		const { piece, ...rest } = { ...asked, ...change };
		expect(() => readBraise(piece === undefined ? rest : { ...rest, piece })).toThrow(field);
	});

	it("a frozen piece is refused with words", () => {
		expect(() => readBraise({ ...asked, start: { meat_C: -18, liquid_C: 95 } })).toThrow(/thawed first/);
	});
});

describe("sides, bone, height above the sea", () => {
	const pieces = fc.record({
		thin: fc.integer({ min: 20, max: 90 }),
		second: fc.integer({ min: 0, max: 120 }),
		third: fc.integer({ min: 0, max: 160 }),
	});
	const minutes = (sides_mm: readonly [number, number, number]) =>
		fork({ ...GIVEN, sides: { kind: "block", sides_mm }, liquid_l: 4 }) ?? 0;

	it("5 mm more on one of the other sides never moves a time by more than 5 %, and never makes it sooner", () => {
		fc.assert(
			fc.property(pieces, fc.boolean(), ({ thin, second, third }, which) => {
				const sides = [thin, thin + second, thin + third] as const;
				const wider = [thin, sides[1] + (which ? 5 : 0), sides[2] + (which ? 0 : 5)] as const;
				const change = minutes(wider) / minutes(sides);
				expect(change).toBeGreaterThan(0.9999);
				expect(change).toBeLessThan(1.05);
			}),
			{ numRuns: 60 },
		);
	});

	it("has no step as a side grows by the millimetre", () => {
		let before = minutes([140, 140, 70]);
		for (let side = 141; side <= 152; side += 1) {
			const now = minutes([side, 145, 70]);
			expect(Math.abs(now / before - 1)).toBeLessThan(0.02);
			before = now;
		}
		expect(minutes([150, 145, 70]) / minutes([140, 140, 70])).toBeLessThan(1.05);
	});

	it("the smallest side is the thickness, whatever it is called", () => {
		expect(minutes([45, 120, 80])).toBeCloseTo(minutes([120, 80, 45]), 9);
		expect(minutes([80, 45, 120])).toBeCloseTo(minutes([120, 80, 45]), 9);
	});

	it("high up the boil is lower and tender later", () => {
		const high = { ...GIVEN, altitude_m: 2000 };
		expect(braise(high).peakLiquid_C).toBeCloseTo(93.4, 0);
		expect(fork(high) ?? 0).toBeGreaterThan((fork(GIVEN) ?? 0) * 1.15);
	});

	it("an open pan in a still oven at 150 °C settles at 80 to 90 °C, under paper a few degrees below the boil", () => {
		const settled = (lid: "open" | "paper") =>
			simulate({ ...GIVEN, lid, liquid_l: 4 }, { minutes: 180 }).points.at(-1)?.liquid_C ?? 0;
		expect(settled("open")).toBeGreaterThan(80);
		expect(settled("open")).toBeLessThan(90);
		expect(settled("paper")).toBeGreaterThan(94);
		expect(settled("paper")).toBeLessThan(99);
	});

	it("a covered pan in a still oven steams away 0.15 to 0.25 l an hour", () => {
		const run = simulate({ ...GIVEN, liquid_l: 4 }, { minutes: 240 });
		const litres = steamAt(run, 240) - steamAt(run, 180);
		expect(litres).toBeGreaterThan(0.15);
		expect(litres).toBeLessThan(0.25);
	});
});
