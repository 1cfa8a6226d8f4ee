import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { braise } from "../braise/index.ts";
import { thicknessOf } from "../heat/index.ts";
import { depthOf, volumeBelow } from "../pans/index.ts";
import { seeded } from "../random/index.ts";
import { runs } from "../random/runs.testing.ts";
import {
	ANSWERS,
	answerFor,
	answersApart,
	CHANGES,
	CUTS_ASKED,
	type Judged,
	outcomeOf,
	QUANTITIES,
	recordOf,
	roundOf,
	share,
	situationOf,
} from "./index.ts";

describe("a situation", () => {
	it("is the same for the same seed, and two pans differ in one thing alone", () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 1e6 }), fc.constantFrom(...CHANGES), (seed, change) => {
				const situation = situationOf(seed, change);
				expect(situationOf(seed, change)).toEqual(situation);
				const { before, after } = situation;
				const fields = new Set([...Object.keys(before), ...Object.keys(after)]);
				const other = [...fields].filter(
					(field) => JSON.stringify(before[field as "cut"]) !== JSON.stringify(after[field as "cut"]),
				);
				expect(other.length).toBeGreaterThan(0);
				expect(other.length).toBeLessThanOrEqual(change === "crowded" ? 2 : 1);
			}),
			{ numRuns: 200 },
		);
	});

	it("fits its pan with headspace, in both pans", () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 1e6 }), (seed) => {
				const { before, after } = situationOf(seed);
				for (const { pan, meat_kg, liquid_l } of [before, after]) {
					expect(liquid_l + meat_kg / 1.05).toBeLessThan(volumeBelow(pan, depthOf(pan) - 5));
				}
			}),
			{ numRuns: 200 },
		);
	});

	it("comes out as the model says, and a hotter oven never slows it", () => {
		const outcome = outcomeOf(situationOf(8, "hotter"));
		const { after } = situationOf(8, "hotter");
		expect(outcome?.of.time.after).toBeCloseTo(braise(after).marks.forkTender?.likely ?? 0, 9);
		expect(outcome?.of.time.after).toBeLessThan(outcome?.of.time.before ?? 0);
	});
});

describe("a round", () => {
	it("has as many as asked, of different kinds, each with a clear answer", () => {
		for (const seed of [1, 20_261_126, 77_777]) {
			const round = roundOf(seed, 5);
			expect(round).toHaveLength(5);
			expect(new Set(round.map(({ situation }) => situation.change)).size).toBe(5);
			for (const { outcome } of round) {
				for (const quantity of QUANTITIES) {
					const { before, after, answer } = outcome.of[quantity];
					expect(answerFor((after / before) * 1.01)).toBe(answer);
					expect(answerFor((after / before) * 0.99)).toBe(answer);
				}
			}
		}
	});

	it("another seed asks other things", () => {
		const asked = (seed: number) => roundOf(seed, 3).map(({ situation }) => situation.before);
		expect(asked(3)).not.toEqual(asked(4));
	});

	it("asks every kind of change in three that follow each other", () => {
		for (const first of [0, 300, 77_778].slice(0, runs(1))) {
			const rounds = [first, first + 1, first + 2].flatMap((seed) => roundOf(seed, 5));
			const seen = new Set(rounds.map(({ situation }) => situation.change));
			expect([...CHANGES].filter((change) => !seen.has(change))).toEqual([]);
		}
	});

	it("is not won by always answering the same", () => {
		const random = seeded(11);
		for (let each = 0; each < runs(5); each += 1) {
			const answers = roundOf(Math.floor(random() * 1e6), 5).flatMap(({ outcome }) =>
				QUANTITIES.map((quantity) => outcome.of[quantity].answer),
			);
			expect(answers).toHaveLength(15);
			for (const always of ANSWERS) {
				expect(answers.filter((answer) => answer === always).length).toBeLessThanOrEqual(8);
			}
			expect(answers.filter((answer) => answer === "same").length).toBeLessThanOrEqual(7);
		}
	});

	it("draws pieces of the cut's own sizes", () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 1e6 }), (seed) => {
				const { before } = situationOf(seed);
				const own = CUTS_ASKED.find(({ cut }) => cut === before.cut);
				expect(thicknessOf(before.sides)).toBeGreaterThanOrEqual((own?.from_mm ?? 0) - 0.5);
				expect(thicknessOf(before.sides)).toBeLessThanOrEqual((own?.to_mm ?? 0) + 0.5);
			}),
		);
	});
});

describe("answers", () => {
	it.each([
		[0.5, "muchLess"],
		[0.9, "less"],
		[1, "same"],
		[1.05, "same"],
		[1.2, "more"],
		[2, "muchMore"],
	] as const)("%d times as much is “%s”", (ratio, answer) => {
		expect(answerFor(ratio)).toBe(answer);
	});

	it("are as far apart as their places", () => {
		expect(answersApart("muchLess", "muchMore")).toBe(ANSWERS.length - 1);
		expect(answersApart("same", "same")).toBe(0);
	});
});

describe("the record of a cook", () => {
	const judged: Judged[] = [
		{ change: "paper", quantity: "time", said: "same", was: "same" },
		{ change: "paper", quantity: "liquid", said: "same", was: "less" },
		{ change: "thicker", quantity: "time", said: "same", was: "muchMore" },
	];

	it("says what was judged well and what badly", () => {
		const record = recordOf(judged);
		expect(record.all).toEqual({ right: 1, near: 1, of: 3 });
		expect(record.byQuantity.time).toEqual({ right: 1, near: 0, of: 2 });
		expect(record.byChange.map(({ change }) => change)).toEqual(["paper", "thicker"]);
		expect(share(record.all)).toBe(0.5);
	});

	it("of a cook who has not begun is empty, not a nought of nought", () => {
		expect(share(recordOf([]).all)).toBe(0);
		expect(recordOf([]).byChange).toEqual([]);
	});
});
