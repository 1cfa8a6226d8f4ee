import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { CUTS } from "../trade/index.ts";
import { type BraiseGiven, braise, CALIBRATED, type Heat, MARKS, simulate, softeningRate } from "./index.ts";
import { eliminate, type MeatShape, meatHeat, scratchFor, substitute } from "./MeatHeat.ts";

const GIVEN: BraiseGiven = {
	cut: "porkShoulder",
	shape: "slab",
	thickness_mm: 45,
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
const givens: fc.Arbitrary<BraiseGiven> = fc.record({
	cut: fc.constantFrom(...CUTS),
	shape: fc.constantFrom("slab" as const, "cylinder" as const, "ball" as const),
	thickness_mm: fc.integer({ min: 15, max: 120 }),
	meat_kg: fc.double({ min: 0.5, max: 6, noNaN: true }),
	liquid_l: fc.double({ min: 0.5, max: 8, noNaN: true }),
	pan: fc.constant(GIVEN.pan),
	lid: fc.constantFrom("open" as const, "paper" as const, "foil" as const, "lid" as const, "sealed" as const),
	heat: heats,
	start: fc.record({ meat_C: fc.integer({ min: 2, max: 20 }), liquid_C: fc.integer({ min: 10, max: 100 }) }),
});
const fork = (given: BraiseGiven, step_s?: number) =>
	simulate(given, { minutes: 2000, until: 1, ...(step_s ? { step_s } : {}) }).reached(1);

/**
 * The first terms of the series for a body that meets a bath of another temperature: eigenvalues
 * of the film's condition, found by halving. Shares of the first difference left in the middle.
 */
function seriesCore(shape: MeatShape, biot: number, fourier: number): number {
	const terms = 12;
	let sum = 0;
	for (let n = 1; n <= terms; n += 1) {
		const root = eigenvalue(shape, biot, n);
		sum += coefficient(shape, root) * Math.exp(-root * root * fourier);
	}
	return sum;
}

function eigenvalue(shape: MeatShape, biot: number, n: number): number {
	const miss = {
		slab: (x: number) => x * Math.sin(x) - biot * Math.cos(x),
		cylinder: (x: number) => x * bessel(1, x) - biot * bessel(0, x),
		ball: (x: number) => (1 - biot) * Math.sin(x) - x * Math.cos(x),
	}[shape];
	let found = 0;
	let low = 1e-6;
	while (found < n) {
		const high = low + 0.05;
		if (miss(low) * miss(high) <= 0) found += 1;
		if (found < n) low = high;
	}
	return halved(miss, low, low + 0.05);
}

function halved(miss: (x: number) => number, from: number, to: number): number {
	let [low, high] = [from, to];
	for (let round = 0; round < 50; round += 1) {
		const middle = (low + high) / 2;
		if (miss(low) * miss(middle) <= 0) high = middle;
		else low = middle;
	}
	return (low + high) / 2;
}

function coefficient(shape: MeatShape, root: number): number {
	if (shape === "slab") return (4 * Math.sin(root)) / (2 * root + Math.sin(2 * root));
	if (shape === "ball")
		return (4 * (Math.sin(root) - root * Math.cos(root))) / (2 * root - Math.sin(2 * root));
	return (2 / root) * (bessel(1, root) / (bessel(0, root) ** 2 + bessel(1, root) ** 2));
}

/** Bessel's integral, by the trapezium rule. */
function bessel(order: number, x: number): number {
	const steps = 400;
	let sum = 0;
	for (let step = 0; step < steps; step += 1) {
		const angle = (Math.PI * (step + 0.5)) / steps;
		sum += Math.cos(order * angle - x * Math.sin(angle));
	}
	return sum / steps;
}

describe("conduction into the meat", () => {
	const film = 300;
	it.each(["slab", "cylinder", "ball"] as const)("meets the series for a %s to 0.5 %%", (shape) => {
		const meat = meatHeat(shape, 60, 1, 0, film, 60);
		const scratch = scratchFor(meat);
		const seconds = 2;
		const biot = (film * 0.03) / 0.48;
		const diffusivity = 0.48 / (1050 * 3500);
		for (let step = 1; step <= 3600 / seconds; step += 1) {
			eliminate(meat, seconds, scratch);
			substitute(meat, 100, scratch);
			const elapsed = step * seconds;
			if (elapsed % 600 !== 0) continue;
			const fourier = (diffusivity * elapsed) / 0.03 ** 2;
			const core_C = 100 * (1 - seriesCore(shape, biot, fourier));
			expect(Math.abs((meat.C[0] ?? 0) - core_C)).toBeLessThan(0.5);
		}
	});

	it("no step is too long to be stable", () => {
		const meat = meatHeat("slab", 40, 2, 5);
		const scratch = scratchFor(meat);
		for (let step = 0; step < 50; step += 1) {
			eliminate(meat, 3600, scratch);
			substitute(meat, 95, scratch);
			for (const C of meat.C) expect(C >= 5 - 1e-9 && C <= 95 + 1e-9).toBe(true);
		}
	});
});

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
	const more = fc.integer({ min: 1, max: 25 });

	it("a hotter oven is never slower", () => {
		fc.assert(
			fc.property(givens, more, (given, by) => {
				if (!("set_C" in given.heat)) return;
				const hotter = fork({ ...given, heat: { ...given.heat, set_C: given.heat.set_C + by } });
				// A pan that goes dry is no braise any more.
				if (simulate(given, { minutes: 2000, until: 1 }).dryAt_min !== null) return;
				expect(hotter ?? Number.POSITIVE_INFINITY).toBeLessThanOrEqual(
					(fork(given) ?? Number.POSITIVE_INFINITY) + 1e-6,
				);
			}),
			{ numRuns: 40 },
		);
	});

	it("thicker is never sooner", () => {
		fc.assert(
			fc.property(givens, more, (given, by) => {
				const thicker = fork({ ...given, thickness_mm: given.thickness_mm + by }) ?? Number.POSITIVE_INFINITY;
				expect(thicker).toBeGreaterThanOrEqual((fork(given) ?? Number.POSITIVE_INFINITY) - 1e-6);
			}),
			{ numRuns: 40 },
		);
	});

	it("a tighter lid is never drier", () => {
		const tighter = ["open", "paper", "foil", "lid", "sealed"] as const;
		fc.assert(
			fc.property(givens, (given) => {
				const left = tighter.map((lid) => simulate({ ...given, lid }, { minutes: 150 }).leftAt(150));
				for (const [index, litres] of left.entries()) {
					expect(litres).toBeGreaterThanOrEqual((left[index - 1] ?? 0) - 0.02);
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
		expect(fork({ ...GIVEN, additions: [{ at_min: 60, kg: 1.5, temp_C: 5 }] }) ?? 0).toBeGreaterThan(
			straight,
		);
		expect(fork({ ...GIVEN, resets: [{ at_min: 30, set_C: 100 }] }) ?? 0).toBeGreaterThan(straight);
	});

	it("a lid taken off at the end dries the pan", () => {
		const covered = simulate(GIVEN, { minutes: 150 }).leftAt(150);
		const finished = simulate({ ...GIVEN, lids: [{ at_min: 120, lid: "open" }] }, { minutes: 150 }).leftAt(
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
		const thick = braise({ ...GIVEN, thickness_mm: 130 });
		expect(thick.sensitivities[0]?.what).toBe("thickness");
		const bath = braise({ ...GIVEN, heat: { kind: "waterBath", set_C: 80 }, lid: "sealed" });
		expect(bath.sensitivities[0]?.what).toBe("cut");
	});

	it("softens faster the hotter it is, by one set of constants for all methods", () => {
		expect(softeningRate(CALIBRATED.reference_C)).toBeCloseTo(CALIBRATED.atReference_perMin, 9);
		expect(softeningRate(119) / softeningRate(80)).toBeGreaterThan(15);
		expect(CALIBRATED.activation_kJ).toBeGreaterThanOrEqual(110);
		expect(CALIBRATED.activation_kJ).toBeLessThanOrEqual(160);
	});
});
