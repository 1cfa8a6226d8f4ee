import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Cooler } from "../kitchen/index.ts";
import { runs } from "../random/runs.testing.ts";
import type { Recipe } from "../recipe/index.ts";
import { HOUSE_CODE_KEYS, HOUSE_CODES } from "../safety/index.ts";
import { MINUTE_MS } from "../time/index.ts";
import { equipped, KITCHEN, ORDER, RECIPE, wanting } from "./dish.testing.ts";
import { type ChillChoice, isAllMet, type Plan, plan, taskAt } from "./index.ts";

const AHEAD: Recipe = { ...RECIPE, schools: { service: "madeAhead" } };
const BLAST: Cooler = {
	id: "blast",
	name: "Blast chiller",
	kind: "chiller",
	capacity: 10,
	air_C: -2,
	power_kW: null,
	rated_kg: null,
};
const ROOM: Cooler = {
	id: "room",
	name: "Cold room",
	kind: "fridge",
	capacity: 600,
	air_C: 3,
	power_kW: null,
	rated_kg: null,
};
const COLD = equipped({ coolers: [ROOM, BLAST] });

const chilled = (chill: Partial<ChillChoice> | null = null, kitchen = COLD): Plan =>
	plan(AHEAD, { ...ORDER, chill: chill && { coolerId: null, parts: 1, ice: false, ...chill } }, kitchen);
const wayOf = (made: Plan) => {
	if (!made.chill) throw new Error("it is cooled");
	return made.chill.way;
};

describe("how a dish is cooled that is made ahead", () => {
	it("is whole in the coldest wind, unless the chef has settled another", () => {
		expect(wayOf(chilled()).cooler.id).toBe("blast");
		expect(wayOf(chilled({ coolerId: "room", parts: 2, ice: true }))).toMatchObject({
			cooler: { id: "room" },
			parts: 2,
			ice: true,
		});
	});

	it("is not reckoned on the day itself, nor where nothing cools", () => {
		expect(plan(RECIPE, ORDER, COLD).chill).toBeNull();
		const made = plan(AHEAD, ORDER, KITCHEN);
		expect(made.chill).toBeNull();
		expect(made.work.chill_min).toBe(120);
	});

	it("takes as long on the clock as it takes to be cold, and room for all its pans", () => {
		const made = plan(AHEAD, { ...ORDER, covers: 50, chill: { coolerId: null, parts: 2, ice: false } }, COLD);
		const task = taskAt(made, "chill", "chill");
		expect(((task?.end ?? 0) - (task?.start ?? 0)) / MINUTE_MS).toBe(made.work.chill_min);
		expect(made.work.chill_min).toBeGreaterThanOrEqual(made.chill?.way.minutes?.likely ?? 1e9);
		expect(task?.needs).toContainEqual({
			kind: "chiller",
			slots: made.chill?.way.pans,
			at: made.chill?.way.cooler.id,
		});
		const more = made.chill?.way.morePans ?? [];
		expect(more.length).toBeGreaterThan(0);
		const added = more.reduce((sum, { count }) => sum + count, 0);
		expect(made.chill?.way.pans).toBe(made.pans.pans.length + added);
		for (const { typeId, count } of more) {
			const had = made.pans.pans.filter(({ type }) => type.id === typeId).length;
			expect(had + count).toBeLessThanOrEqual(
				COLD.equipment.pans.find(({ id }) => id === typeId)?.stock ?? 0,
			);
		}
		for (const { typeId, count } of more) expect(task?.needs).toContainEqual({ kind: "pan", typeId, count });
	});

	it("counts from the first point that is so cold, or from the warmest where its code says so: both are told", () => {
		const code = HOUSE_CODES.twoStage57;
		const warmest = { ...code, cooling: { ...code.cooling, clock: "warmest" as const } };
		const at = (one: typeof code | typeof warmest) => {
			const { chill } = chilled({ coolerId: "blast" }, wanting({ code: one }, COLD));
			if (!chill) throw new Error("it is cooled");
			return chill.way;
		};
		const [strict, loose] = [at(code), at(warmest)];
		const { firstPoint_min, warmest_min } = strict.clock;
		expect(firstPoint_min).toBeLessThan(warmest_min ?? 0);
		expect(strict.clock.begins_min).toBe(firstPoint_min);
		expect(loose.clock).toEqual({ ...strict.clock, begins_min: warmest_min });
		const [first, second] = [strict, loose].map(({ limits }) => limits[0]?.reach.likely as number);
		expect((first ?? 0) - (second ?? 0)).toBeCloseTo((warmest_min ?? 0) - (firstPoint_min ?? 0), 6);
	});

	it("too slow, says by how much, and what the kitchen has that meets the limit", () => {
		const kitchen = wanting({ code: HOUSE_CODES.twoHour63 }, COLD);
		const made = chilled({ coolerId: "room" }, kitchen);
		const warning = made.warnings.find(({ code }) => code === "chillMissed");
		if (warning?.code !== "chillMissed") throw new Error("it is missed");
		expect(warning).toMatchObject({ to_C: 10, within_min: 120, depth_mm: wayOf(made).depth_mm });
		expect(warning.minutes).toBeGreaterThan(120);
		for (const way of made.chill?.others.filter(isAllMet) ?? []) {
			const { cooler, parts, ice } = way;
			expect(isAllMet(wayOf(chilled({ coolerId: cooler.id, parts, ice }, kitchen)))).toBe(true);
		}
		// Nothing in still air of 3 °C is ever at 3 °C.
		const never = chilled({ coolerId: "room" }).warnings.find(({ code }) => code === "chillMissed");
		expect(never).toMatchObject({ minutes: null, to_C: 3 });
		expect(warning.remedy?.meets ?? false).toBe(made.chill?.others.some(isAllMet));
	});

	it("at the greatest depth that is said, meets every limit", () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...HOUSE_CODE_KEYS),
				fc.constantFrom("room", "blast"),
				fc.integer({ min: 1, max: 3 }),
				fc.boolean(),
				(houseCode, coolerId, parts, ice) => {
					const made = chilled({ coolerId, parts, ice }, wanting({ code: HOUSE_CODES[houseCode] }, COLD));
					const way = wayOf(made);
					const deepest_mm = made.chill?.deepest_mm ?? null;
					// The code's clock begins a little after the food is in: what is deeper may still just meet it.
					if (deepest_mm !== null && way.depth_mm <= deepest_mm) expect(isAllMet(way)).toBe(true);
					if (isAllMet(way)) expect(way.minutes).not.toBeNull();
				},
			),
			{ numRuns: runs(30) },
		);
	});

	it("spread over more pans is never slower", () => {
		const times = [1, 2, 3].map(
			(parts) => wayOf(chilled({ parts })).minutes?.likely ?? Number.POSITIVE_INFINITY,
		);
		expect(times).toEqual([...times].sort((a, b) => b - a));
	});
});
