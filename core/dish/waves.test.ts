import { describe, expect, it } from "vitest";
import { NORTH } from "../kitchen/kitchen.testing.ts";
import type { Recipe } from "../recipe/index.ts";
import { equipped, ORDER, RECIPE } from "./dish.testing.ts";
import { type Plan, plan } from "./index.ts";

const AHEAD: Recipe = { ...RECIPE, schools: { service: "madeAhead" } };
/** Two small ovens: neither takes all of a large dish. */
const SMALL = equipped({
	ovens: [
		{ ...NORTH, id: "left", name: "Left oven", rungs: 3 },
		{ ...NORTH, id: "right", name: "Right oven", rungs: 3 },
	],
});

const wavesOf = ({ tasks }: Plan) => tasks.filter(({ part }) => part === "reheat");

describe("a dish that no oven takes whole", () => {
	const large = plan(AHEAD, { ...ORDER, covers: 140 }, SMALL);
	const waves = wavesOf(large);

	it("is heated again in waves, each pan in one of them", () => {
		expect(waves.length).toBeGreaterThan(1);
		const pans = waves.flatMap(({ needs }) =>
			needs.flatMap((need) => (need.kind === "pan" ? [need.count] : [])),
		);
		expect(pans.reduce((sum, count) => sum + count, 0)).toBe(large.pans.pans.length);
		expect(waves.map(({ figures }) => figures.waves)).toEqual(waves.map(() => waves.length));
		expect(new Set(waves.map(({ id }) => id)).size).toBe(waves.length);
	});

	it("asks for no more rungs at once than one oven has", () => {
		for (const { needs } of waves)
			for (const need of needs) if (need.kind === "rungs") expect(need.rungs).toBeLessThanOrEqual(3);
	});

	it("is plated when the last of them is hot", () => {
		const plate = large.tasks.find(({ place }) => place === "plate");
		const before = plate?.after.map(({ task }) => task) ?? [];
		for (const { id, end } of waves) {
			expect(before).toContain(id);
			expect(end).toBeLessThanOrEqual(plate?.start ?? 0);
		}
	});

	it("is one task where an oven takes it", () => {
		const small = wavesOf(plan(AHEAD, { ...ORDER, covers: 20 }, SMALL));
		expect(small).toHaveLength(1);
		expect(small[0]?.figures.waves).toBeUndefined();
	});
});
