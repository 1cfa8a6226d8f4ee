import { createHash } from "node:crypto";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { HOUSE_CODES } from "../safety/index.ts";
import { ChainWalk, checkedDoc, hashOf, NO_HASH, type RecordDoc } from "./index.ts";
import { chainOf, LOT } from "./records.testing.ts";

const MADE_AT = Date.UTC(2026, 11, 4, 20);
const digest = (text: string) => createHash("sha256").update(text).digest("hex");

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
