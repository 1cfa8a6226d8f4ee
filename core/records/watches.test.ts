import { describe, expect, it } from "vitest";
import { type ChillGiven, chilling } from "../chill/index.ts";
import { HOUSE_CODES } from "../safety/index.ts";
import { MINUTE_MS } from "../time/index.ts";
import { remediesFor } from "../watch/index.ts";
import { clockOf, type ReadPoint, type RecordDoc, type RecordEntry, watchesNow } from "./index.ts";
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

	it("end as they stood, and a pan that is watched on keeps the code's clock", () => {
		const read = readOf(1, 400);
		const ended = entry(60, { kind: "ended", watch: 1, lot: 7 }, AT + 300 * MINUTE_MS);
		const [first] = watchesNow([lot, FOUR[0] as RecordEntry, ended], read, AT + 900 * MINUTE_MS);
		if (!first) throw new Error("it was watched");
		expect(first.endedAt).toBe(ended.at);
		const passed = read.find(({ C }) => C <= 57);
		expect(clockOf(first, AT + 300 * MINUTE_MS)).toBe(passed?.at);
		const [early] = watchesNow([lot, FOUR[0] as RecordEntry], readOf(1, 20), AT + 20 * MINUTE_MS);
		expect(early && clockOf(early, AT + 20 * MINUTE_MS)).toBe(AT + 20 * MINUTE_MS);
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
