import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type ChillGiven, chilling } from "../chill/index.ts";
import { HOUSE_CODES } from "../safety/index.ts";
import {
	COURSES,
	doubtOf,
	limitsOf,
	minutesAhead,
	outcomeOf,
	type Point,
	standingOf,
	type Watched,
} from "./index.ts";

const PAN: ChillGiven = {
	depth_mm: 60,
	start_C: 85,
	medium: "blast",
	medium_C: -2,
	consistency: "stew",
};

/** What a probe reads every half minute in a pan that cools so many times as slowly as the model has it. */
function read(given: ChillGiven, until_min: number, slower = 1, off = (_minute: number) => 0): Point[] {
	const points: Point[] = [];
	let next = 0;
	for (const { minute, warmest_C } of chilling(given, given.medium_C, "likely")) {
		while (next <= minute * slower && next <= until_min) {
			points.push([next, warmest_C + off(next)]);
			next += 0.5;
		}
		if (next > until_min) break;
	}
	return points;
}

function minuteAt(given: ChillGiven, C: number): number {
	for (const { minute, warmest_C } of chilling(given, C)) if (warmest_C <= C) return minute;
	throw new Error(`it never is ${C} °C`);
}

const watched = (changed: Partial<Watched>): Watched => ({
	course: "cool",
	code: HOUSE_CODES.twoStage57,
	cooling: PAN,
	lifted_min: 0,
	into_min: 0,
	points: [],
	now_min: changed.points?.at(-1)?.[0] ?? 0,
	isEnded: false,
	...changed,
});

describe("the way ahead of what is cooled", () => {
	it("is told from the readings: a pan that cools slower than was planned is cold later", () => {
		fc.assert(
			fc.property(fc.double({ min: 0.6, max: 2, noNaN: true }), (slower) => {
				const ahead = minutesAhead(PAN, read(PAN, 60 * slower, slower), 5);
				const truth = minuteAt(PAN, 5) * slower;
				expect(ahead?.likely).toBeGreaterThan(truth * 0.93);
				expect(ahead?.likely).toBeLessThan(truth * 1.07);
				expect(ahead?.low).toBeLessThanOrEqual(truth * 1.02);
				expect(ahead?.high).toBeGreaterThanOrEqual(truth * 0.98);
			}),
			{ numRuns: 20 },
		);
	});

	it("is surer the longer it is watched", () => {
		const spread = (minutes: number) => {
			const ahead = minutesAhead(PAN, read(PAN, minutes), 5);
			return (ahead?.high ?? 0) - (ahead?.low ?? 0);
		};
		expect(spread(90)).toBeLessThan(spread(20));
	});

	it("is never for what is colder than what it stands in", () => {
		expect(minutesAhead(PAN, read(PAN, 30), -3)).toBeNull();
		expect(minutesAhead(PAN, [], 5)).toBeNull();
	});
});

describe("how a pan stands to its house code", () => {
	it("is met when each limit is reached in its time, counted from where the code counts", () => {
		const points = read(PAN, 400);
		const [first, second] = standingOf(watched({ points, isEnded: true }));
		const began = minuteAt(PAN, 57);
		expect(first).toMatchObject({ C: 21, verdict: "met" });
		expect(Math.abs((first?.by_min ?? 0) - began - 120)).toBeLessThan(1.5);
		expect(Math.abs((second?.at_min ?? 0) - minuteAt(PAN, 5))).toBeLessThan(1.5);
	});

	it("is warned of while there is still time: late before it is missed", () => {
		const deep = { ...PAN, depth_mm: 140, medium: "walkIn" as const, medium_C: 3 };
		const points = read(deep, 90);
		const [first] = standingOf(watched({ cooling: deep, points }));
		expect(first?.verdict).toBe("late");
		expect(first?.by_min).toBeGreaterThan(90);
		const later = standingOf(watched({ cooling: deep, points: read(deep, 900) }));
		expect(later[0]?.verdict).toBe("missed");
	});

	it("is too late at once where what it stands in is not cold enough", () => {
		const room: ChillGiven = { ...PAN, medium: "walkIn", medium_C: 5 };
		const [first, second] = standingOf(watched({ cooling: room, points: read(room, 10) }));
		expect(first?.isNever).toBe(false);
		expect(second).toMatchObject({ C: 5, isNever: true, ahead: null, verdict: "late" });
	});

	it("counts from the lift where it was colder already when it was first read", () => {
		const points: Point[] = [
			[0, 50],
			[10, 45],
		];
		const [first] = standingOf(watched({ points, lifted_min: -40 }));
		expect(first?.by_min).toBe(80);
	});

	it("is held as long as no reading is on the wrong side, and missed from the first that is", () => {
		const hot = (points: Point[], isEnded = false) =>
			standingOf(watched({ course: "holdHot", cooling: null, points, isEnded }))[0];
		expect(hot([])?.verdict).toBe("open");
		expect(
			hot([
				[0, 65],
				[30, 60],
			])?.verdict,
		).toBe("onCourse");
		expect(
			hot(
				[
					[0, 65],
					[30, 60],
				],
				true,
			)?.verdict,
		).toBe("met");
		expect(
			hot([
				[0, 65],
				[30, 56.9],
				[40, 60],
			]),
		).toMatchObject({ verdict: "missed", at_min: 30 });
	});

	it("is read on along the newest readings where it is heated", () => {
		const points = Array.from({ length: 41 }, (_, minute): Point => [minute, 4 + minute]);
		const [limit] = standingOf(watched({ course: "reheat", cooling: null, points }));
		expect(limit?.ahead?.likely).toBeCloseTo(70, 5);
		expect(limit?.verdict).toBe("onCourse");
	});

	it("names limits for every course of every code", () => {
		for (const code of Object.values(HOUSE_CODES))
			for (const course of COURSES) expect(limitsOf(course, code).length).toBeGreaterThan(0);
	});
});

describe("how a watch comes out", () => {
	const outcome = (changed: Partial<Watched>) => outcomeOf(standingOf(watched(changed)));
	const handRead: Point[] = [
		[0, 80],
		[10, 58],
		[120, 50],
		[230, 21],
		[305, 5],
	];

	it("is counted from where its own readings cross the upper limit, along straight lines", () => {
		const [first, second] = standingOf(watched({ points: handRead, isEnded: true }));
		// From 58 to 50 °C in 110 minutes: 57 °C after 13.75 of them, and 120 more to reach 21 °C.
		expect(first?.by_min).toBeCloseTo(10 + 13.75 + 120, 9);
		expect((first?.at_min ?? 0) - (first?.by_min ?? 0)).toBeCloseTo(86.25, 9);
		expect([first?.verdict, second?.verdict]).toEqual(["missed", "met"]);
		expect(outcome({ points: handRead, isEnded: true })).toBe("missed");
	});

	it("is met by a limit reached exactly in its time, and missed a second later", () => {
		const to21 = (minute: number): Point[] => [
			[0, 57],
			[minute, 21],
			[minute + 60, 5],
		];
		expect(outcome({ points: to21(120), isEnded: true })).toBe("met");
		expect(outcome({ points: to21(120 + 1 / 60), isEnded: true })).toBe("missed");
	});

	it("is open while anything is, and not known where its time is over and nothing was read that counts", () => {
		expect(outcome({ points: handRead.slice(0, 2), now_min: 10 })).toBe("open");
		expect(outcome({ points: [], now_min: 400, isEnded: true })).toBe("notKnown");
		expect(outcome({ course: "holdHot", points: [], isEnded: true })).toBe("notKnown");
		const reheated = { course: "reheat" as const, code: HOUSE_CODES.twoStage57, points: [] };
		expect(outcome({ ...reheated, now_min: 121 })).toBe("notKnown");
		expect(outcome({ ...reheated, now_min: 119 })).toBe("open");
	});
});

describe("a probe", () => {
	const heard = (probe: Point[], changed: Partial<Parameters<typeof doubtOf>[0]> = {}) =>
		doubtOf({
			now_min: probe.at(-1)?.[0] ?? 0,
			since_min: 0,
			probe,
			hand: [],
			neighbours: [read(PAN, 120, 1.05), read(PAN, 120, 0.97), read(PAN, 120, 1)],
			...changed,
		});

	it("is believed where it goes the way of its neighbours, noise and all", () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.9, max: 1.1, noNaN: true }),
				fc.integer({ min: 1, max: 99 }),
				(slower, seed) => {
					const noise = (minute: number) => 0.3 * Math.sin(minute * seed);
					expect(heard(read(PAN, 100, slower, noise))).toBeNull();
				},
			),
			{ numRuns: 30 },
		);
	});

	it("that drops out says so", () => {
		expect(heard(read(PAN, 40), { now_min: 47.5 })).toEqual({ because: "silent", minutes: 7 });
		expect(heard([], { now_min: 1 })).toBeNull();
		expect(heard([], { now_min: 3 })).toEqual({ because: "silent", minutes: 3 });
		expect(heard([], { now_min: 63, since_min: 62 })).toBeNull();
	});

	it("that drifts away from its neighbours is doubted, and that it goes on is said", () => {
		const doubt = heard(read(PAN, 100, 1, (minute) => -0.08 * minute));
		expect(doubt).toMatchObject({ because: "apart", from: "neighbours", grows: true });
	});

	it("that is wrong from the first is doubted, and does not grow", () => {
		const doubt = heard(read(PAN, 100, 1, () => 9));
		expect(doubt).toMatchObject({ because: "apart", from: "neighbours", grows: false });
	});

	it("that jumps, or says what food never is, is doubted", () => {
		const jump = read(PAN, 40, 1, (minute) => (minute > 38 ? -30 : 0));
		expect(heard(jump)).toMatchObject({ because: "impossible" });
		expect(heard([...read(PAN, 40), [40.5, 327]])).toMatchObject({ because: "impossible", C: 327 });
	});

	it("is measured by hand: what the hand reads is believed", () => {
		const hand: Point[] = [[38, 50]];
		expect(heard(read(PAN, 40), { hand, neighbours: [] })).toMatchObject({ because: "apart", from: "hand" });
		const probe = read(PAN, 40);
		const same: Point[] = [[38, (probe[76] as Point)[1] + 0.5]];
		expect(heard(probe, { hand: same, neighbours: [] })).toBeNull();
	});
});
