import { describe, expect, it } from "vitest";
import type { Cooler } from "#core/kitchen";
import { HOUSE_CODES } from "#core/safety";
import { workedIn } from "../../../core/day/days.testing.ts";
import { equipped, ORDER, RECIPE, wanting } from "../../../core/dish/dish.testing.ts";
import { readingIn } from "../../ui/words/reading.ts";
import { chillView } from "./chill.view.ts";

const COOLERS: readonly Cooler[] = [
	{
		id: "blast",
		name: "Blast chiller",
		kind: "chiller",
		capacity: 10,
		air_C: -2,
		power_kW: null,
		rated_kg: null,
	},
	{ id: "room", name: "Cold room", kind: "fridge", capacity: 600, air_C: 3, power_kW: null, rated_kg: null },
];
const AHEAD = { ...RECIPE, schools: { service: "madeAhead" as const } };

const viewOf = (code: keyof typeof HOUSE_CODES, chill: { coolerId: string; parts: number } | null = null) => {
	const kitchen = wanting({ code: HOUSE_CODES[code] }, equipped({ coolers: COOLERS }));
	const made = workedIn(AHEAD, { ...ORDER, chill: chill && { ...chill, ice: false } }, kitchen);
	const reading = readingIn("metric", kitchen.policy.timeZone, ORDER.serviceAt);
	return { made, view: chillView({ plan: made, kitchen, reading, cardLine: null }) };
};

describe("the chill place", () => {
	it("draws the likely course within its range, under a ceiling for each limit", () => {
		const { view } = viewOf("twoStage57");
		if (!view) throw new Error("it is cooled");
		const { likely, range, ceilings, end_min } = view.drawing;
		for (const [index, [minute, C]] of likely.entries()) {
			expect(minute).toBeCloseTo(range[index]?.minute ?? -1, 6);
			expect(C).toBeLessThanOrEqual((range[index]?.high_C ?? 0) + 1e-6);
			expect(C).toBeGreaterThanOrEqual((range[index]?.low_C ?? 99) - 1e-6);
		}
		expect(ceilings.map(({ C }) => C)).toEqual([21, 5]);
		for (const { by_min } of ceilings) expect(by_min).toBeLessThanOrEqual(end_min);
	});

	it("says of each limit whether it is met, and takes the ways that are colder sooner", () => {
		const { view, made } = viewOf("twoHour63", { coolerId: "room", parts: 1 });
		expect(view?.limits).toHaveLength(1);
		expect(view?.limits[0]?.words).toMatch(/^10 °C within 2 h: .* Missed$/);
		expect(view?.isSettled).toBe(true);
		expect(view?.others.map(({ typed }) => typed)).toEqual(
			made.chill?.others.map(({ cooler, parts, ice }) => `${cooler.id}:${parts}${ice ? ":ice" : ""}`),
		);
	});

	it("tells what may grow from the bench to the plate, less where it is cold sooner", () => {
		const times = (chill: { readonly coolerId: string; readonly parts: number }) => {
			const said = viewOf("twoHour63", chill).view?.growth ?? "";
			expect(said).toMatch(/^From the bench to the plate .* A warning only\.$/);
			return [...said.matchAll(/(hardly at all|(?:over )?[\d.,]+ times)/g)].map(([words]) =>
				words === "hardly at all" ? 1 : Number(words.replace(/[^\d.]/g, "")),
			);
		};
		const [slow = 0, most = slow] = times({ coolerId: "room", parts: 1 });
		const [quick = 0] = times({ coolerId: "blast", parts: 2 });
		expect(most).toBeGreaterThanOrEqual(slow);
		expect(quick).toBeLessThanOrEqual(slow);
		expect(most).toBeGreaterThan(1);
	});

	it("is not there for what is served on the day", () => {
		const kitchen = equipped({ coolers: COOLERS });
		const reading = readingIn("metric", kitchen.policy.timeZone, ORDER.serviceAt);
		expect(
			chillView({ plan: workedIn(RECIPE, ORDER, kitchen), kitchen, reading, cardLine: null }),
		).toBeUndefined();
	});
});
