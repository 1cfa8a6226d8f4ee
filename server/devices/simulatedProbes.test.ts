import { describe, expect, it } from "vitest";
import { MINUTE_MS } from "#core/time";
import { type PlayedPlace, readAt } from "./playedPan.ts";
import { SimulatedProbes } from "./simulatedProbes.ts";

const SINCE = Date.UTC(2026, 11, 4, 20);
const PLACE: PlayedPlace = {
	probe: "P01",
	watch: 1,
	since: SINCE,
	course: "cool",
	cooling: { depth_mm: 60, start_C: 85, medium: "blast", medium_C: -2, consistency: "stew" },
};

/** A house that answers only sometimes, and keeps what it answered for. */
function flakyHouse(answers: (call: number) => boolean) {
	const kept: { probe: string; at: number; C: number }[] = [];
	let call = 0;
	const fetched = async (url: string | URL | Request, init?: RequestInit) => {
		if (String(url).endsWith("/probes/places"))
			return Response.json([PLACE, { ...PLACE, probe: "P02", watch: 2 }]);
		call += 1;
		const { readings } = JSON.parse(String(init?.body));
		if (!answers(call)) throw new Error("the house does not answer");
		kept.push(...readings);
		return Response.json({});
	};
	return { kept, fetch: fetched as typeof fetch };
}

describe("a simulated probe", () => {
	it("loses nothing while the house does not answer, and sends in order", async () => {
		const house = flakyHouse((call) => call % 3 === 0);
		const probes = new SimulatedProbes({ house: "http://house", every_ms: 10_000, fetch: house.fetch });
		for (let minute = 0; minute <= 240; minute += 10) await probes.turn(SINCE + minute * MINUTE_MS);
		for (let turn = 0; turn < 60; turn += 1) await probes.turn(SINCE + 240 * MINUTE_MS);
		for (const probe of ["P01", "P02"]) {
			const times = house.kept.filter((one) => one.probe === probe).map(({ at }) => at);
			expect(times).toEqual(Array.from({ length: 240 * 6 + 1 }, (_, index) => SINCE + index * 10_000));
		}
	});

	it("plays its pan: ever colder, with noise, and each a little differently", () => {
		const at = (minutes: number, probe = "P01") =>
			readAt({ ...PLACE, probe }, SINCE + minutes * MINUTE_MS, "none", 0);
		const read = [0, 30, 60, 120, 240].map((minutes) => at(minutes));
		expect(read).toEqual([...read].sort((a, b) => b - a));
		expect(at(60)).toBe(at(60));
		expect(at(60)).not.toBe(at(60, "P02"));
		expect(Math.abs(at(60) - at(60, "P02"))).toBeLessThan(8);
	});

	it("fails on demand: silent, drifting away, or wrong from then on", async () => {
		const since = SINCE + 60 * MINUTE_MS;
		const well = readAt(PLACE, since + 60 * MINUTE_MS, "none", since);
		expect(readAt(PLACE, since + 60 * MINUTE_MS, "drifting", since)).toBeCloseTo(well - 8, 5);
		expect(readAt(PLACE, since, "wrong", since)).toBeCloseTo(readAt(PLACE, since, "none", since) + 12, 5);
		const house = flakyHouse(() => true);
		const probes = new SimulatedProbes({ house: "http://house", every_ms: 10_000, fetch: house.fetch });
		probes.fail("P02", "silent", since);
		await probes.turn(SINCE + 120 * MINUTE_MS);
		const last = (probe: string) =>
			Math.max(...house.kept.filter((one) => one.probe === probe).map(({ at }) => at));
		expect(last("P01")).toBe(SINCE + 120 * MINUTE_MS);
		expect(last("P02")).toBeLessThan(since);
	});

	it("reads what is heated, held and carried as that goes", () => {
		const read = (course: PlayedPlace["course"], minutes: number) =>
			readAt({ ...PLACE, course, cooling: null }, SINCE + minutes * MINUTE_MS, "none", 0);
		expect(read("reheat", 5)).toBeLessThan(10);
		expect(read("reheat", 150)).toBeGreaterThan(85);
		expect(read("holdHot", 30)).toBeGreaterThan(60);
		expect(read("keepCold", 30)).toBeLessThan(6);
	});
});
