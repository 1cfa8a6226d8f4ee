import { createHash } from "node:crypto";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { HOUSE_CODES } from "../safety/index.ts";
import { DAY_MS } from "../time/index.ts";
import {
	ChainWalk,
	checkedDoc,
	hashOf,
	lotNow,
	NO_HASH,
	type RecordDoc,
	type RecordEntry,
	type Stage,
} from "./index.ts";
import { chainOf, LOT } from "./records.testing.ts";

const MADE_AT = Date.UTC(2026, 11, 4, 20);
const dayOf = (at: number) => new Date(at).toISOString().slice(0, 10);
const digest = (text: string) => createHash("sha256").update(text).digest("hex");

const written = (docs: readonly [RecordDoc, number][]): RecordEntry[] =>
	docs.map(([doc, days], index) => {
		const at = MADE_AT + days * DAY_MS;
		return { number: index + 1, at, writtenAt: at, who: "Ebba", doc } as RecordEntry;
	});

const stage = (kind: Stage, tags: string[] = [], place = ""): RecordDoc => ({
	kind: "stage",
	lot: 7,
	stage: kind,
	tags,
	place,
	note: "",
});

describe("a lot", () => {
	it("keeps so many days, the day it is made counted", () => {
		expect(lotNow(written([[LOT, 0]]), dayOf)).toMatchObject({ lot: 7, useBy: "2026-12-08" });
	});

	it("keeps longer frozen, and briefly once it thaws or is opened; never longer for being opened", () => {
		const lastDay = (...stages: [Stage, number][]) =>
			lotNow(
				written([[LOT, 0], ...stages.map(([kind, days]): [RecordDoc, number] => [stage(kind), days])]),
				dayOf,
			)?.useBy;
		expect(lastDay(["frozen", 1])).toBe("2027-03-04");
		expect(lastDay(["frozen", 1], ["thawing", 30])).toBe("2027-01-04");
		expect(lastDay(["opened", 1])).toBe("2026-12-05");
		expect(lastDay(["opened", 6])).toBe("2026-12-08");
		expect(lastDay(["served", 1])).toBeNull();
	});

	it("is in its pans, wherever each of them is, until it is used up", () => {
		const now = lotNow(
			written([
				[LOT, 0],
				[stage("moved", ["A1"], "Cold room"), 0],
				[stage("served", ["A2"]), 1],
				[stage("moved", [], "Hall"), 2],
			]),
			dayOf,
		);
		expect(now?.pans.map(({ tag, place, state }) => [tag, place, state])).toEqual([
			["A1", "Hall", "chilled"],
			["A2", "Blast chiller", "served"],
		]);
	});

	it("that is spread over more pans weighs what it weighed", () => {
		const now = lotNow(
			written([
				[LOT, 0],
				[{ kind: "spread", lot: 7, tag: "A1", parts: 3, depth_mm: 25 }, 0],
			]),
			dayOf,
		);
		expect(now?.pans.map(({ tag }) => tag)).toEqual(["A1a", "A1b", "A1c", "A2"]);
		expect(now?.pans.reduce((sum, { kg }) => sum + kg, 0)).toBeCloseTo(16, 9);
	});

	it("forgets what a correction strikes out", () => {
		const struck: RecordDoc = {
			kind: "correction",
			of: "entry",
			number: 2,
			lot: 7,
			watch: null,
			C: null,
			reason: "the other lot was frozen",
		};
		const now = lotNow(
			written([
				[LOT, 0],
				[stage("frozen"), 1],
				[struck, 1],
			]),
			dayOf,
		);
		expect(now?.pans[0]?.state).toBe("chilled");
	});

	it("is nothing without the entry that it was made", () => {
		expect(lotNow(written([[stage("frozen"), 1]]), dayOf)).toBeNull();
	});
});

describe("an entry", () => {
	it("is refused by the name of its field", () => {
		expect(() => checkedDoc({ ...LOT, portions: 0 })).toThrow(/portions/);
		expect(() => checkedDoc({ ...LOT, pans: [{ tag: "A 1", vessel: "GN", depth_mm: 65, kg: 8 }] })).toThrow(
			/tag/,
		);
		expect(checkedDoc({ ...LOT })).toEqual(LOT);
		const watch: RecordDoc = {
			kind: "watch",
			watch: 1,
			lot: 7,
			tag: "A1",
			course: "cool",
			probe: "P 1",
			code: HOUSE_CODES.blast90 as never,
			cooling: null,
			clockFrom: MADE_AT,
			continues: null,
		};
		expect(() => checkedDoc(watch)).toThrow(/probe/);
	});
});

describe("the chain of a record", () => {
	const rows = fc.array(fc.tuple(fc.string(), fc.integer()), { minLength: 3, maxLength: 30 });
	const breaksOf = (chain: ReturnType<typeof chainOf>, given = chain.length) => {
		const walk = new ChainWalk(digest);
		for (const { number, hash, said } of chain) walk.step({ number, hash }, said);
		walk.end(given);
		return walk.breaks;
	};

	it("holds where nothing was touched", () => {
		fc.assert(
			fc.property(rows, (said) => {
				expect(breaksOf(chainOf(digest, said))).toEqual([]);
			}),
		);
	});

	it("breaks at a row that was altered, removed or put elsewhere", () => {
		fc.assert(
			fc.property(rows, fc.nat(), (said, at) => {
				const chain = chainOf(digest, said);
				const index = at % (chain.length - 1);
				const altered = chain.map((row, place) => (place === index ? { ...row, said: ["other", 0.5] } : row));
				expect(breaksOf(altered)[0]).toEqual({ number: index + 1, because: "altered" });
				expect(breaksOf(chain.toSpliced(index, 1))[0]).toEqual({ number: index + 1, because: "removed" });
				const swapped = chain.with(index, chain[index + 1] as never).with(index + 1, chain[index] as never);
				expect(breaksOf(swapped).length).toBeGreaterThan(0);
				expect(breaksOf(chain.slice(0, -1), chain.length)).toEqual([
					{ number: chain.length, because: "removed" },
				]);
			}),
		);
	});

	it("breaks after a row that was altered and given a hash of its own", () => {
		const chain = chainOf(digest, [
			["a", 1],
			["b", 2],
			["c", 3],
		]);
		const forged = hashOf(digest, chain[0]?.hash ?? NO_HASH, ["x", 2]);
		const altered = chain.with(1, { number: 2, hash: forged, said: ["x", 2] });
		expect(breaksOf(altered)).toEqual([{ number: 3, because: "altered" }]);
	});
});
