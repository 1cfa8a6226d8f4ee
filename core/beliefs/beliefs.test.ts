import { describe, expect, it } from "vitest";
import { CUTS } from "../trade/index.ts";
import { SHIPPED_BELIEFS } from "./index.ts";

describe("what is believed before any log", () => {
	it("no cut gives up more fat and gelatin than it can lose", () => {
		for (const cut of CUTS) {
			const { fat, gelatin } = SHIPPED_BELIEFS.gives[cut];
			expect(fat + gelatin, cut).toBeLessThan(SHIPPED_BELIEFS.losses[cut].cookingLoss);
		}
	});

	it("takes the model's minutes as they are, with the spread that its fit left", () => {
		for (const cut of CUTS) {
			const { times, spread } = SHIPPED_BELIEFS.minutes[cut];
			expect(times).toBe(1);
			expect(spread).toBeGreaterThan(0.05);
			expect(spread).toBeLessThan(0.5);
		}
	});
});
