import { describe, expect, it } from "vitest";
import { type ChillGiven, chilling } from "../chill/index.ts";
import { HOUSE_CODES } from "../safety/index.ts";
import { MINUTE_MS } from "../time/index.ts";
import { remediesFor } from "../watch/index.ts";
import { type ReadPoint, type RecordDoc, type RecordEntry, watchesNow } from "./index.ts";
import { LOT } from "./records.testing.ts";

const AT = Date.UTC(2026, 11, 4, 20);
const DEEP: ChillGiven = { depth_mm: 75, start_C: 85, medium: "walkIn", medium_C: 3, consistency: "stew" };

const watch = (number: number, tag: string, probe: string | null, at = AT): RecordEntry<"watch"> => ({
	number: number + 1,
	at,
	writtenAt: at,
	who: "Ebba",
	doc: {
		kind: "watch",
		watch: number,
		lot: 7,
		tag,
		course: "cool",
		probe,
		code: JSON.parse(JSON.stringify(HOUSE_CODES.twoStage57)),
		cooling: { ...DEEP },
		clockFrom: at,
		continues: null,
	},
});

const entry = (number: number, doc: RecordDoc, at = AT) =>
	({ number, at, writtenAt: at, who: "Ebba", doc }) as RecordEntry;

/** A pan's probe, once a minute. */
function readOf(
	number: number,
	minutes: number,
	off = (_minute: number) => 0,
	who: string | null = null,
): ReadPoint[] {
	const read: ReadPoint[] = [];
	for (const { minute, warmest_C } of chilling(DEEP, 4)) {
		while (read.length <= minute && read.length <= minutes) {
			const at = AT + read.length * MINUTE_MS;
			read.push({
				watch: number,
				number: number * 1000 + read.length,
				at,
				C: warmest_C + off(read.length),
				who,
			});
		}
		if (read.length > minutes) break;
	}
	return read;
}

/** Four pans, one a little shallower than the others. */
const FOUR = [1, 2, 3, 4].map((number) => {
	const entry = watch(number, `A${number}`, `P0${number}`);
	return number === 2 ? { ...entry, doc: { ...entry.doc, cooling: { ...DEEP, depth_mm: 74 } } } : entry;
});
const lot = entry(1, LOT);

describe("the watches of a lot", () => {
	it("stand each to the code that was in force, pan by pan", () => {
		const read = [1, 2, 3, 4].flatMap((number) => readOf(number, 60));
		const watches = watchesNow([lot, ...FOUR], read, AT + 60 * MINUTE_MS);
		expect(watches.map(({ entry: { doc } }) => doc.tag)).toEqual(["A1", "A2", "A3", "A4"]);
		for (const { doubt, standing } of watches) {
			expect(doubt).toBeNull();
			expect(standing.map(({ verdict }) => verdict)).toEqual(["late", "late"]);
		}
	});

	it("leave out what a doubted probe says, and go by the hand", () => {
		const drift = readOf(4, 90, (minute) => -0.15 * minute);
		const hand: ReadPoint = { watch: 4, number: 9999, at: AT + 90 * MINUTE_MS, C: 80, who: "Ebba" };
		const read = [...[1, 2, 3].flatMap((number) => readOf(number, 90)), ...drift];
		const [, , , doubted] = watchesNow([lot, ...FOUR], read, AT + 90 * MINUTE_MS);
		expect(doubted?.doubt).toMatchObject({ because: "apart", from: "neighbours", grows: true });
		expect(doubted?.watched.points).toEqual([]);
		const [, , , measured] = watchesNow([lot, ...FOUR], [...read, hand], AT + 90 * MINUTE_MS);
		expect(measured?.watched.points).toEqual([[90, 80]]);
	});

	it("count a reading as it was corrected, or not at all; the reading itself stays", () => {
		const read = readOf(1, 30);
		const [wrong, other] = [read[10] as ReadPoint, read[20] as ReadPoint];
		const correction = (number: number, C: number | null) =>
			entry(50 + number, {
				kind: "correction",
				of: "reading",
				number,
				lot: 7,
				watch: 1,
				C,
				reason: "read the wrong pan",
			});
		const now = AT + 30 * MINUTE_MS;
		const entries = [
			lot,
			FOUR[0] as RecordEntry,
			correction(wrong.number, null),
			correction(other.number, 33),
		];
		const [first] = watchesNow(entries, read, now);
		expect(first?.points).toHaveLength(30);
		expect(first?.points.find(({ number }) => number === other.number)?.C).toBe(33);
		expect(read).toHaveLength(31);
	});

	it("count nothing of a probe that was wrong from the first, once that is said", () => {
		const struck = entry(70, {
			kind: "correction",
			of: "probe",
			number: 1,
			lot: 7,
			watch: 1,
			C: null,
			reason: "it lay beside the pan",
		});
		const hand: ReadPoint = { watch: 1, number: 9999, at: AT + 20 * MINUTE_MS, C: 70, who: "Ebba" };
		const read = [...readOf(1, 30), hand];
		const [first] = watchesNow([lot, FOUR[0] as RecordEntry, struck], read, AT + 30 * MINUTE_MS);
		expect(first?.points).toEqual([hand]);
	});

	it("end as they stood", () => {
		const ended = entry(60, { kind: "ended", watch: 1, lot: 7 }, AT + 300 * MINUTE_MS);
		const [first] = watchesNow([lot, FOUR[0] as RecordEntry, ended], readOf(1, 400), AT + 900 * MINUTE_MS);
		expect(first?.endedAt).toBe(ended.at);
		expect(first?.outcome).toBe("missed");
	});
});

/** Read by hand: the watch, minutes from the start of the first, °C. */
const hand = (read: readonly (readonly [watch: number, minute: number, C: number])[]): ReadPoint[] =>
	read.map(([number, minute, C], index) => ({
		watch: number,
		number: index + 1,
		at: AT + minute * MINUTE_MS,
		C,
		who: "Ebba",
	}));

/** A pan is watched on in some others from a minute on. */
const goesOn = (minute: number, from: number, into: readonly (readonly [watch: number, tag: string])[]) => {
	const at = AT + minute * MINUTE_MS;
	return [
		entry(80 + from, { kind: "ended", watch: from, lot: 7 }, at),
		...into.map(([number, tag]) => {
			const begun = watch(number, tag, null, at);
			return { ...begun, doc: { ...begun.doc, continues: from, clockFrom: AT } };
		}),
	];
};

describe("a pan that is watched on", () => {
	const begun = watch(1, "A1", null);
	const parts = [
		[2, "A1a"],
		[3, "A1b"],
	] as const;
	const END = AT + 400 * MINUTE_MS;
	const ends = parts.map(([number]) => entry(90 + number, { kind: "ended", watch: number, lot: 7 }, END));
	const first = [
		[1, 0, 80],
		[1, 20, 60],
		[1, 50, 45],
	] as const;
	// 57 °C was passed at 23 min, along the line: 21 °C by 143 min, 5 °C by 383.
	const both = (reached_min: number) =>
		parts.flatMap(([number]) => [
			[number, 100, 30] as const,
			[number, reached_min, 21] as const,
			[number, 350, 4] as const,
		]);
	const outcomes = (read: ReadPoint[], entries: readonly RecordEntry[] = ends) =>
		watchesNow([lot, begun, ...goesOn(60, 1, parts), ...entries], read, END + 1).map(
			({ entry: { doc }, outcome }) => [doc.tag, outcome],
		);

	it("has one clock and one verdict with what it goes on in: met where they are, to the minute", () => {
		const began = 20 + (3 / 15) * 30;
		const met = hand([...first, ...both(began + 120)]);
		const [one, two] = watchesNow([lot, begun, ...goesOn(60, 1, parts), ...ends], met, END + 1);
		expect(one?.goesOnIn).toEqual(["A1a", "A1b"]);
		expect(two?.standing[0]?.by_min).toBeCloseTo(began + 120 - 60, 9);
		expect(outcomes(met)).toEqual([
			["A1", "met"],
			["A1a", "met"],
			["A1b", "met"],
		]);
		expect(outcomes(hand([...first, ...both(began + 120 + 1 / 60)]))[0]).toEqual(["A1", "missed"]);
	});

	it("is as the worst of its parts: missed before not known, not known before open", () => {
		const aMet = both(140).filter(([number]) => number === 2);
		const bLate = both(160).filter(([number]) => number === 3);
		expect(outcomes(hand([...first, ...aMet, ...bLate]))).toEqual([
			["A1", "missed"],
			["A1a", "met"],
			["A1b", "missed"],
		]);
		// Nobody read the other part: it never came to its limits, for all anybody knows.
		expect(outcomes(hand([...first, ...aMet]))).toEqual([
			["A1", "missed"],
			["A1a", "met"],
			["A1b", "missed"],
		]);
		// Colder already when it was first read: it counts from the lift.
		expect(outcomes(hand(both(110).filter(([number]) => number === 2)))).toEqual([
			["A1", "notKnown"],
			["A1a", "met"],
			["A1b", "notKnown"],
		]);
		expect(outcomes(hand([...first, ...aMet]), ends.slice(0, 1))[0]).toEqual(["A1", "missed"]);
	});

	it("has been missed once its time is over before it was spread, whatever comes after", () => {
		const late = [lot, begun, ...goesOn(200, 1, parts), ...ends];
		const read = hand([...first, [1, 190, 25], ...parts.map(([number]) => [number, 210, 4] as const)]);
		const all = watchesNow(late, read, END + 1);
		expect(all.map(({ outcome }) => outcome)).toEqual(["missed", "missed", "missed"]);
	});

	it("is met or missed for how long it stood before it went into the cold, where its code limits that", () => {
		const blast = (stood_min: number) => {
			const at = watch(1, "A1", null, AT + stood_min * MINUTE_MS);
			const doc = { ...at.doc, code: JSON.parse(JSON.stringify(HOUSE_CODES.blast90)), clockFrom: AT };
			const end = entry(90, { kind: "ended", watch: 1, lot: 7 }, END);
			const read = hand([
				[1, stood_min, 80],
				[1, stood_min + 90, 3],
			]);
			return watchesNow([lot, { ...at, doc }, end], read, END)[0];
		};
		expect(blast(30)).toMatchObject({ outcome: "met", stood: { minutes: 30, verdict: "met" } });
		expect(blast(30 + 1 / 60)).toMatchObject({ outcome: "missed", stood: { verdict: "missed" } });
		// Three degrees within ninety minutes of going in, however short it stood.
		expect(blast(0)?.standing[0]).toMatchObject({ by_min: 90, at_min: 90, verdict: "met" });
	});
});

describe("what helps a pan that cools too slowly", () => {
	const [late] = watchesNow([lot, FOUR[0] as RecordEntry], readOf(1, 60), AT + 60 * MINUTE_MS);
	if (!late) throw new Error("it is watched");

	it("is colder sooner than it is, and what meets its limits comes first", () => {
		const remedies = remediesFor(late.watched, -2);
		expect(remedies.map(({ action, parts }) => `${action} ${parts}`).sort()).toEqual([
			"blast 1",
			"iceBath 1",
			"spread 2",
			"spread 3",
		]);
		for (const { reached_min } of remedies)
			expect(reached_min[1] ?? Number.POSITIVE_INFINITY).toBeLessThan(late.standing[1]?.ahead?.likely ?? 0);
		const meets = remedies.map((remedy) => remedy.meets);
		expect(meets).toEqual([...meets].sort((a, b) => Number(b) - Number(a)));
		expect(meets[0]).toBe(true);
	});

	it("is nothing that is not there, nor for what nobody has read", () => {
		expect(remediesFor(late.watched, null).some(({ action }) => action === "blast")).toBe(false);
		expect(remediesFor({ ...late.watched, points: [] }, -2)).toEqual([]);
		expect(remediesFor({ ...late.watched, cooling: null }, -2)).toEqual([]);
	});
});
