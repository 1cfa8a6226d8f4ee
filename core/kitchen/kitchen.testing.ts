import type { Oven } from "../ovens/index.ts";
import { HOUSE_CODES } from "../safety/index.ts";
import type { HousePolicy } from "./index.ts";

/** Two ovens, unlike each other, and a house, for tests and benchmarks. */

export const NORTH: Oven = {
	id: "north",
	name: "North",
	kind: "fanOven",
	rungs: 10,
	pitch_mm: 65,
	shelf: "1/1",
	min_C: 60,
	max_C: 250,
};

export const SOUTH: Oven = {
	id: "south",
	name: "South",
	kind: "stillOven",
	rungs: 4,
	pitch_mm: 120,
	shelf: "2/1",
	min_C: 90,
	max_C: 280,
};

export const POLICY: HousePolicy = {
	headspace_mm: 25,
	liftLimit_kg: 15,
	code: HOUSE_CODES.blast90,
	timeZone: "UTC",
	hours: { opens_min: 360, closes_min: 1320 },
	allergenList: "eu14",
	scaleStep_g: 1,
	saltBand_pct: { low: 0.8, high: 1.2 },
	confidence: 0.9,
	altitude_m: 0,
};
