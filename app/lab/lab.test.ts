import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { oldClaimsOf, pansThrough, panThrough } from "#core/braise";
import { readBraise } from "#core/cases";
import { withThickness } from "#core/heat";
import { depthOf } from "#core/pans";
import { CUTS } from "#core/trade";
import { CHANGES, type Change, outcomeOf, QUANTITIES, recordOf, roundOf, situationOf } from "#core/training";
import { labAddress } from "../ui/forms/labAddress.ts";
import { measuresIn } from "../ui/words/measures.ts";
import {
	changedPan,
	FIRST_PANS,
	floorTaken,
	givenOf,
	heatOf,
	isOverfull,
	type LabPan,
	labPanOf,
	litresOf,
	startKey,
} from "./labPan.ts";
import { againstFirst, fillingWords, oldClaimWords, storyWords } from "./labWords.ts";
import { answerView, questionView, recordView } from "./rounds.view.ts";

const METRIC = measuresIn("metric");
const [THICK, THIN] = FIRST_PANS as readonly [LabPan, LabPan];

describe("a pan on the lab's bench", () => {
	it("keeps its line when it goes through an address and back", () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 20, max: 95 }),
				fc.integer({ min: 20, max: 90 }),
				(line_mm, thickness_mm) => {
					const lab = { ...THICK, line_mm, sides: withThickness(THICK.sides, thickness_mm), meat_kg: 3 };
					fc.pre(litresOf(lab) > 0.2);
					const [told] = new URL(labAddress([givenOf(lab)]), "http://house").searchParams.getAll("pan");
					const back = labPanOf(readBraise(JSON.parse(told ?? "")));
					expect(Math.abs(back.line_mm - line_mm)).toBeLessThanOrEqual(1);
					expect({ ...back, line_mm }).toEqual(lab);
				},
			),
		);
	});

	it("a shallower pan brings the line down to its rim, and nothing else changes", () => {
		const deep = { ...THICK, line_mm: 95 };
		const shallow = changedPan(deep, { pan: { gn: "1/1", depth_mm: 65 } });
		expect(shallow.line_mm).toBe(depthOf(shallow.pan));
		expect(isOverfull(shallow)).toBe(true);
		expect(shallow.meat_kg).toBe(deep.meat_kg);
	});

	it("says when it is too full and when the pieces lie on each other", () => {
		expect(fillingWords(THICK, METRIC)).toEqual([]);
		expect(fillingWords({ ...THICK, line_mm: 97 }, METRIC).join()).toMatch(/slops/);
		const piled = { ...THIN, meat_kg: 12 };
		expect(floorTaken(piled)).toBeGreaterThan(1);
		expect(fillingWords(piled, METRIC).join()).toMatch(/lie on each other/);
	});

	it("is set within what its heat can do; its start has a name where it is a usual one", () => {
		expect(heatOf("pressure", 200)).toEqual({ kind: "pressure", set_C: 121 });
		expect(heatOf("hob")).toEqual({ kind: "hob", simmer: true });
		expect(startKey(THICK)).toBe("boiling");
		expect(startKey({ ...THICK, start: { meat_C: 30, liquid_C: 40 } })).toBeNull();
	});
});

describe("a pan that changes on the way", () => {
	it("begun hot it is set back, and the address keeps both", () => {
		const lab = { ...THICK, hotStart: { set_C: 220, minutes: 20 }, coverOff_min: 90 };
		const given = givenOf(lab);
		expect(given.heat).toEqual({ kind: "fanOven", set_C: 220 });
		expect(given.resets).toEqual([{ at_min: 20, set_C: 150 }]);
		expect(given.lids).toEqual([{ at_min: 90, lid: "open" }]);
		const [told] = new URL(labAddress([given]), "http://house").searchParams.getAll("pan");
		expect(labPanOf(readBraise(JSON.parse(told ?? "")))).toEqual(lab);
	});

	it("a bath cannot be begun hot", () => {
		const bath = { ...THICK, heat: heatOf("waterBath"), hotStart: { set_C: 220, minutes: 20 } };
		expect(givenOf(bath).resets).toBeUndefined();
	});

	it("a hot start is sooner; the cover off takes liquid", () => {
		const plain = panThrough(givenOf(THICK));
		const hot = panThrough(givenOf({ ...THICK, hotStart: { set_C: 220, minutes: 40 } }));
		const off = panThrough(givenOf({ ...THICK, coverOff_min: 130 }));
		expect(hot.tender_min?.likely).toBeLessThan(plain.tender_min?.likely ?? 0);
		expect(off.liquidLeft_l).toBeLessThan(plain.liquidLeft_l);
	});

	it("with its oven opened comes out of a training round and stays so", () => {
		const { after } = situationOf(5, "doors");
		expect(givenOf(labPanOf(after)).doors).toEqual(after.doors);
	});
});

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anyAsked = fc.record({
	cut: fc.constantFrom(...CUTS),
	shape: fc.constantFrom("slab", "cylinder", "ball"),
	thickness_mm: between(5, 300),
	meat_kg: between(0.05, 60),
	liquid_l: between(0.01, 60),
	pan: fc.oneof(
		fc.constant({ gn: "1/1", depth_mm: 100 }),
		fc.constant({ round: { diameter_mm: 240, height_mm: 120 } }),
	),
	lid: fc.constantFrom("open", "paper", "foil", "lid", "sealed"),
	heat: fc.record({
		kind: fc.constantFrom("stillOven", "fanOven", "waterBath", "pressure", "slowCooker", "hob"),
		set_C: between(60, 250),
	}),
	start: fc.record({ meat_C: between(-1, 60), liquid_C: between(1, 100) }),
});

it("whatever an address asks, the lab has figures and words for it", () => {
	fc.assert(
		fc.property(anyAsked, (asked) => {
			const given = readBraise(asked);
			const { pans, oldClaims } = pansThrough([given]);
			const [through] = pans;
			if (!through) throw new Error("a pan went in and none came out");
			const lab = labPanOf(given);
			const said = [...storyWords(through, METRIC), ...fillingWords(lab, METRIC)].join(" ");
			expect(`${said}${JSON.stringify(oldClaims)}`).not.toMatch(/NaN|undefined|Infinity/);
			expect(through.curve.core_C.every(Number.isFinite)).toBe(true);
			expect(litresOf(lab)).toBeGreaterThan(0);
		}),
		{ numRuns: 40 },
	);
});

describe("what the lab says", () => {
	const through = panThrough(givenOf(THICK));

	it("tells when the centre was hot, and what came after", () => {
		const words = storyWords(through, METRIC).join(" ");
		expect(words).toMatch(/The centre reached \d+ °C at .*came after that/);
		expect(words).toMatch(/of juice has come out/);
	});

	it("of a pan that is too cool says it is never tender", () => {
		const cool = panThrough(givenOf({ ...THICK, heat: heatOf("waterBath", 55), lid: "sealed" }));
		expect(storyWords(cool, METRIC)[0]).toMatch(/not tender within two days/);
	});

	it("names what is other, and what that did", () => {
		const other = { lab: THIN, through: panThrough(givenOf(THIN)) };
		const words = againstFirst({ lab: THICK, through }, other, METRIC);
		expect(words).toMatch(/45 mm thick/);
		expect(words).toMatch(/sooner/);
		expect(words).not.toMatch(/goat/);
		expect(againstFirst({ lab: THICK, through }, { lab: THICK, through }, METRIC)).toMatch(/same as pan A/);
	});

	it("answers the old claims with this pan's own figures", () => {
		const claims = oldClaimsOf(through);
		if (!claims) throw new Error("a tender pan has answers");
		expect(claims.doubled.morePans_min / claims.doubled.now_min).toBeLessThan(1.15);
		expect(claims.core.tender_C - claims.core.then_C).toBeLessThan(5);
		expect(claims.juiceShare).toBeCloseTo(0.36, 2);
		expect(oldClaimWords(claims, METRIC)).toHaveLength(3);
	});
});

/** The first situation of a kind that has an answer. */
function firstThatComesOut(change: Change) {
	for (let seed = 0; seed < 40; seed += 1) {
		const situation = situationOf(seed, change);
		const outcome = outcomeOf(situation);
		if (outcome) return { situation, outcome };
	}
	throw new Error(`no situation of the kind “${change}” comes out`);
}

describe("a training round on the page", () => {
	it.each(CHANGES.map((change) => [change]))("asks, answers and gives a reason: %s", (change) => {
		const question = firstThatComesOut(change);
		const asked = questionView(question, METRIC);
		expect(asked.before).toMatch(/kg of .* thick, in one .* with .* of boiling stock/);
		expect(`${asked.before} ${asked.change}`).not.toMatch(/undefined|NaN/);
		const right = Object.fromEntries(
			QUANTITIES.map((quantity) => [quantity, question.outcome.of[quantity].answer]),
		) as Parameters<typeof answerView>[1];
		const answer = answerView(question, right, METRIC);
		expect(answer.rows.map(({ verdict }) => verdict)).toEqual(["right", "right", "right"]);
		expect(answer.reason).toMatch(/^[A-Z].*\.$/);
		expect(answer.reason).not.toMatch(/undefined|NaN/);
	});

	it("in American measures too", () => {
		const [question] = roundOf(3, 1);
		if (!question) throw new Error("a round has a question");
		expect(questionView(question, measuresIn("us")).before).toMatch(/lb.*°F/);
	});

	it("the record names what was judged well and badly once it was asked often enough", () => {
		const said = (change: "paper" | "thicker", times: number, right: boolean) =>
			Array.from({ length: times }, () => ({
				change,
				quantity: "time" as const,
				said: right ? ("same" as const) : ("muchLess" as const),
				was: "same" as const,
			}));
		const record = recordView(recordOf([...said("paper", 3, true), ...said("thicker", 3, false)]));
		expect(record.well.map(({ what }) => what)).toEqual(["paper in place of a cover"]);
		expect(record.badly.map(({ what }) => what)).toEqual(["thicker pieces"]);
		expect(record.all).toBe("3 of 6 right");
		expect(recordView(recordOf(said("paper", 2, true))).well).toEqual([]);
	});
});
