import { describe, expect, it } from "vitest";
import { type ChillGiven, chillTimes, minutesTo, ratedChiller } from "./index.ts";

const PLATE: ChillGiven = { depth_mm: 50, start_C: 90, medium: "blast", medium_C: -12, consistency: "stew" };
const rated = (air_C = -12, kg = 50) => {
	const found = ratedChiller(air_C, kg);
	if (!found) throw new Error("its wind can");
	return found;
};
/** So many kilos at a depth, in that chiller. */
const load = (kg: number, depth_mm = 50, air_C = -12): ChillGiven => {
	const { film_W_per_M2K, power_W } = rated(air_C);
	const area_m2 = kg / 1050 / (depth_mm / 1000);
	return { ...PLATE, depth_mm, medium_C: air_C, film_W_per_M2K, chiller: { power_W, area_m2 } };
};

describe("a blast chiller by its plate", () => {
	it("cools its own load in ninety minutes, however it goes, and without its plate does not", () => {
		for (const air_C of [-8, -12, -20, -30]) {
			const [times] = chillTimes(load(50, 50, air_C), [3]);
			expect(times?.high).toBeLessThanOrEqual(90);
			expect(times?.likely).toBeGreaterThan(75);
		}
		expect(minutesTo(PLATE, [3])[0]).toBeGreaterThan(120);
	});

	it("has the wind that such air needs: the colder, the less", () => {
		expect(rated(-10).film_W_per_M2K).toBeGreaterThan(80);
		expect(rated(-20).film_W_per_M2K).toBeLessThan(80);
		expect(rated(-20).film_W_per_M2K).toBeGreaterThan(40);
		expect(ratedChiller(2, 50)).toBeNull();
	});

	it("takes longer for twice its load, and for deeper food, and no longer for half of it", () => {
		const minutes = (given: ChillGiven) => minutesTo(given, [3])[0] ?? Number.POSITIVE_INFINITY;
		expect(minutes(load(100))).toBeGreaterThan(minutes(load(50)) * 1.05);
		expect(minutes(load(25))).toBeLessThanOrEqual(minutes(load(50)));
		expect(minutes(load(50, 80))).toBeGreaterThan(150);
	});
});
