import { describe, expect, it } from "vitest";
import { MEAT_J_PER_KGK, MEAT_KG_PER_M3 } from "../heat/index.ts";
import { seriesCore } from "../heat/series.testing.ts";
import { pieceMinutesTo } from "../journey/index.ts";
import type { Cooler } from "../kitchen/index.ts";
import { HOUSE_CODES } from "../safety/index.ts";
import { RECIPE } from "./dish.testing.ts";
import { pieceWays } from "./pieceCooling.ts";

const ROOM: Cooler = {
	...{ id: "room", name: "Cold room", kind: "fridge", capacity: 600 },
	...{ air_C: 3, power_kW: null, rated_kg: null },
};
const JOINT = {
	...RECIPE,
	piece: { shape: "block", length_mm: 240, width_mm: 140, height_mm: 100, weight_g: 3500 } as const,
};
const iced = { film_W_per_M2K: 5000, C: 0 };

describe("joints that are cooled by themselves", () => {
	it("cool as the series of a slab does, where they are wide and meet cold water", () => {
		const sides = { kind: "block", sides_mm: [3000, 3000, 50] } as const;
		const [minutes] = pieceMinutesTo({ sides, boneShare: 0, start_C: 80, ...iced }, [10]);
		// Meat conducts 0.48 W/mK (model, section E).
		const [half_m, conducts] = [0.025, 0.48];
		const fourier = (conducts * (minutes ?? 0) * 60) / (MEAT_KG_PER_M3 * MEAT_J_PER_KGK * half_m ** 2);
		expect(80 * seriesCore("slab", (5000 * half_m) / conducts, fourier)).toBeCloseTo(10, 0);
		expect(pieceMinutesTo({ sides, boneShare: 0, start_C: 80, ...iced, C: 12 }, [10])).toEqual([null]);
	});

	it("are quicker in slices than on trays whole, quicker bagged in ice than in still air", () => {
		const ways = pieceWays(JOINT, ROOM, HOUSE_CODES.twoHour63, 88);
		const of = (way: string) => ways.find((one) => one.way === way)?.minutes ?? Number.NaN;
		expect(of("bagged")).toBeLessThan(of("onTrays"));
		expect(of("portioned")).toBeLessThan(of("onTrays"));
	});

	it("meet a code or do not, those that do first; small pieces are no joints", () => {
		const ways = pieceWays(JOINT, ROOM, HOUSE_CODES.twoStage57, 88);
		expect(ways.map(({ meets }) => meets)).toEqual(
			[...ways]
				.map(({ meets }) => meets)
				.sort()
				.reverse(),
		);
		expect(
			pieceWays({ ...JOINT, piece: { ...JOINT.piece, height_mm: 50 } }, ROOM, HOUSE_CODES.blast90, 88),
		).toEqual([]);
	});
});
