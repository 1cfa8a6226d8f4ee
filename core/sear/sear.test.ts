import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { NORTH } from "../kitchen/kitchen.testing.ts";
import { colourInOven, searPlan } from "./index.ts";

const PAN = { round: { diameter_mm: 360, height_mm: 60 } };
const PIECE = { shape: "block", length_mm: 100, width_mm: 60, height_mm: 50, weight_g: 315 } as const;
const WAY = { sides: 4, minutesPerSide: 2, recovery_min: 2, burners: 2, gap_mm: 15, film_mm: 1 };

describe("searing in loads", () => {
	it("fat goes by the load, not by the kilo", () => {
		const light = searPlan(PAN, PIECE, 40, WAY);
		const heavy = searPlan(PAN, { ...PIECE, weight_g: 900 }, 40, WAY);
		expect(light.fat_g).toBe(heavy.fat_g);
		expect(light.fat_g / light.loads).toBeCloseTo((Math.PI / 4) * 360 ** 2 * 0.92e-3, 6);
	});

	it("a fat begins as a film, is topped up, and is changed after three loads", () => {
		const plan = searPlan(PAN, PIECE, 100, { ...WAY, film_mm: 0.4, topUp_ml: 15, handling_s: 4 });
		expect(plan.films + plan.topUps).toBe(plan.loads);
		expect(plan.films).toBe(plan.deglazings);
		expect(plan.fat_g).toBeCloseTo(plan.films * plan.film_g + plan.topUps * 15 * 0.92, 9);
		expect(plan.cycle_min).toBeCloseTo(4 * 2 + 2 + (plan.perLoad * 4) / 60, 9);
		expect(searPlan(PAN, PIECE, 100, { ...WAY, mostPerLoad: 3 }).perLoad).toBe(3);
	});

	it("another burner never takes longer, and a wider gap never fewer loads", () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 400 }),
				fc.integer({ min: 1, max: 6 }),
				fc.integer({ min: 0, max: 20 }),
				(count, burners, gap_mm) => {
					const plan = searPlan(PAN, PIECE, count, { ...WAY, burners, gap_mm });
					expect(
						searPlan(PAN, PIECE, count, { ...WAY, burners: burners + 1, gap_mm }).minutes,
					).toBeLessThanOrEqual(plan.minutes);
					expect(
						searPlan(PAN, PIECE, count, { ...WAY, burners, gap_mm: gap_mm + 5 }).loads,
					).toBeGreaterThanOrEqual(plan.loads);
					expect(plan.loads * plan.perLoad).toBeGreaterThanOrEqual(count);
				},
			),
		);
	});

	it("refuses a joint wider than the pan", () => {
		expect(() => searPlan(PAN, { ...PIECE, length_mm: 500 }, 1, WAY)).toThrow("piece: ");
	});
});

describe("the order of the loads", () => {
	it("goes round the burners, every piece once, each pan emptied at the end", () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 300 }), fc.integer({ min: 1, max: 6 }), (count, burners) => {
				const plan = searPlan(PAN, PIECE, count, { ...WAY, burners });
				expect(plan.order.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(count);
				expect(plan.order).toHaveLength(plan.loads);
				const used = new Set(plan.order.map(({ burner }) => burner));
				for (const burner of used) {
					expect(plan.order.findLast((load) => load.burner === burner)?.changeFat).toBe(true);
				}
				const last = plan.order.at(-1)?.start_min ?? 0;
				expect(last).toBeLessThan(plan.minutes);
			}),
		);
	});

	it("changes the fat sooner where the pieces are floured", () => {
		const clean = searPlan(PAN, PIECE, 200, WAY);
		const floured = searPlan(PAN, PIECE, 200, WAY, true);
		expect(floured.deglazings).toBe(floured.loads);
		expect(clean.deglazings).toBeLessThan(floured.deglazings);
	});
});

describe("colouring in the oven", () => {
	const TRAY = { id: "tray", name: "GN 1/1-40", shape: { gn: "1/1", depth_mm: 40 }, stock: 6 } as const;

	it("takes as many fillings as the trays and the slots make", () => {
		const way = colourInOven(PIECE, 100, [TRAY], [NORTH]);
		expect(way).toMatchObject({ atOnce: 6, trays: Math.ceil(100 / (way?.perTray ?? 1)) });
		expect(way?.rounds).toBe(Math.ceil((way?.trays ?? 0) / 6));
		expect(way?.minutes).toBe((way?.rounds ?? 0) * 25 + ((way?.rounds ?? 1) - 1) * 5);
	});

	it("chooses the oven that is done first, and none that is not hot enough", () => {
		const small = { ...NORTH, id: "south", rungs: 2 };
		expect(colourInOven(PIECE, 100, [TRAY], [small, NORTH])?.oven.id).toBe("north");
		expect(colourInOven(PIECE, 100, [TRAY], [{ ...NORTH, max_C: 150 }])).toBeNull();
		expect(colourInOven(PIECE, 100, [], [NORTH])).toBeNull();
	});

	it("costs fewer hands than the pan for a large batch", () => {
		const pan = searPlan(PAN, PIECE, 200, WAY);
		expect(colourInOven(PIECE, 200, [TRAY], [NORTH])?.hands_min).toBeLessThan(pan.hands_min);
	});
});
