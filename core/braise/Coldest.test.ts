import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { equivalentMinutes, KILL_TABLES } from "../safety/index.ts";
import { Coldest } from "./Coldest.ts";
import { type BraiseGiven, braise } from "./index.ts";

const { beef, seventy } = KILL_TABLES;

/** What is reached along straight lines between minutes and temperatures. */
function along(
	course: readonly (readonly [number, number])[],
	hot_C = 57,
	kill: typeof beef | typeof seventy = beef,
) {
	const [[, from_C] = [0, 4], ...steps] = course;
	const coldest = new Coldest({ hot_C, kill }, from_C);
	for (const [minute, C] of steps) coldest.add(minute, C);
	return coldest.reached();
}

describe("the coldest point of a pan", () => {
	it("is hot between two steps where its line crosses", () => {
		expect(
			along([
				[0, 4],
				[100, 54],
				[110, 60],
			]).hot_min,
		).toBeCloseTo(105, 6);
		expect(
			along([
				[0, 4],
				[100, 56.9],
			]).hot_min,
		).toBeNull();
		expect(
			along([
				[0, 60],
				[10, 58],
			]).hot_min,
		).toBe(0);
	});

	it("held at 60 °C has had the table of beef after its twelve minutes, and not a second sooner", () => {
		expect(
			along([
				[0, 60],
				[30, 60],
			]).killed_min,
		).toBeCloseTo(12, 6);
		expect(
			along([
				[0, 60],
				[11.99, 60],
			]).killed_min,
		).toBeNull();
		expect(
			along(
				[
					[0, 70],
					[2, 70],
				],
				57,
				seventy,
			).killed_min,
		).toBeCloseTo(2, 6);
	});

	it("counts nothing below the first row of its table", () => {
		expect(
			along([
				[0, 54.3],
				[2000, 54.3],
			]).killed_min,
		).toBeNull();
		expect(
			along(
				[
					[0, 59.9],
					[2000, 59.9],
				],
				57,
				seventy,
			).killed_min,
		).toBeNull();
	});

	it("has had, when it is said to, what the series of its temperatures comes to", () => {
		const rising = fc.array(
			fc.record({
				minutes: fc.integer({ min: 1, max: 20 }),
				up_K: fc.double({ min: 0, max: 6, noNaN: true }),
			}),
			{
				minLength: 3,
				maxLength: 40,
			},
		);
		fc.assert(
			fc.property(rising, (steps) => {
				let [minute, C] = [0, 56];
				const series: [number, number][] = [[0, 56]];
				for (const { minutes, up_K } of steps) {
					minute += minutes;
					C = Math.min(90, C + up_K);
					series.push([minute, C]);
				}
				const { killed_min } = along(series);
				const all = equivalentMinutes({ ref_C: beef.ref_C, z_C: beef.z_C, series });
				expect(killed_min === null).toBe(all < beef.minutes - 1e-9);
				if (killed_min === null) return;
				const before = series.filter(([at]) => at <= killed_min);
				const after = series.filter(([at]) => at >= killed_min);
				const had = (upTo: typeof series) =>
					equivalentMinutes({ ref_C: beef.ref_C, z_C: beef.z_C, series: upTo });
				expect(had(before)).toBeLessThanOrEqual(beef.minutes + 1e-6);
				expect(had([...before, after[0] ?? [killed_min, 90]])).toBeGreaterThanOrEqual(beef.minutes - 1e-6);
			}),
			{ seed: 27_33, numRuns: 60 },
		);
	});
});

describe("a pan that comes up slowly", () => {
	const joint = { kind: "block", sides_mm: [220, 160, 110] } as const;
	const asked = { coldest: { hot_C: 57, kill: beef } };
	const given: BraiseGiven = {
		...{ cut: "porkShoulder", sides: joint, meat_kg: 4, liquid_l: 20, lid: "lid" },
		pan: { gn: "1/1", depth_mm: 200 },
		heat: { kind: "waterBath", set_C: 60 },
		start: { meat_C: 4, liquid_C: 60 },
	};

	it("in a bath at 60 °C is not hot for hours, and later at the latest", () => {
		const { coldest } = braise(given, asked);
		const { likely, latest } = coldest?.hot ?? { likely: "notKnown", latest: "notKnown" };
		expect(likely).toBeGreaterThan(210);
		expect(latest).toBeGreaterThan(Number(likely));
		expect(coldest?.killed.likely).toBeGreaterThanOrEqual(Number(likely));
	});

	it("is never so hot in a bath that is colder, and sooner in a hotter one or in thinner pieces", () => {
		const hot = (changed: Partial<BraiseGiven>) =>
			Number(braise({ ...given, ...changed }, asked).coldest?.hot.likely);
		expect(braise({ ...given, heat: { kind: "waterBath", set_C: 56 } }, asked).coldest?.hot.likely).toBe(
			"never",
		);
		expect(hot({ heat: { kind: "waterBath", set_C: 75 } })).toBeLessThan(hot({}));
		expect(hot({ sides: { kind: "block", sides_mm: [220, 80, 55] } })).toBeLessThan(hot({}));
	});
});
