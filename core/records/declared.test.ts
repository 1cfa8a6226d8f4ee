import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
	ALLERGEN_NAMES,
	type AllergenFound,
	carriedIn,
	declaredIn,
	fallsBetween,
	ingredient,
	presenceOf,
	unionOf,
} from "../recipe/index.ts";
import {
	asItStands,
	besideTheBook,
	type DocOf,
	declaredNow,
	type RecordDoc,
	type RecordEntry,
} from "./index.ts";
import { LOT } from "./records.testing.ts";

const NOTHING = { known: new Map(), deliveries: [], sources: [] };
const delivery = (packet?: DocOf<"delivery">["packet"]): RecordEntry<"delivery"> => ({
	...{ number: 1, at: 0, writtenAt: 0, who: "Odd" },
	doc: {
		...{ kind: "delivery", delivery: 1, ingredientId: "beans", name: "white beans", supplier: "Holm" },
		...{ supplierLot: "7", kg: 4, C: null, useBy: null, accepted: true, note: "" },
		...(packet ? { packet } : {}),
	},
});

const found = fc
	.uniqueArray(
		fc.record({
			allergen: fc.constantFrom(...ALLERGEN_NAMES),
			presence: fc.constantFrom("contains" as const, "mayContain" as const, "notKnown" as const),
			from: fc.constant(["it"]),
		}),
		{ selector: ({ allergen }) => allergen },
	)
	.map((all): AllergenFound[] => all);
const inBook = fc
	.record({
		allergens: fc.subarray(ALLERGEN_NAMES),
		mayContain: fc.subarray(ALLERGEN_NAMES),
		described: fc.boolean(),
	})
	.map((declared) => ingredient({ id: "beans", name: "white beans", ...declared }));
const packets = fc.option(
	fc.record({ contains: fc.subarray(ALLERGEN_NAMES), mayContain: fc.subarray(ALLERGEN_NAMES) }),
	{ nil: undefined },
);

describe("what a lot declares", () => {
	it("is never less than what it declared when it was made, than the book, a packet or a lot in it", () => {
		fc.assert(
			fc.property(found, inBook, packets, fc.array(found, { maxLength: 3 }), (own, book, packet, sources) => {
				const doc: DocOf<"lot"> = {
					...LOT,
					declares: own.map((one) => ({ ...one, from: [...one.from] })),
					ingredients: ["beans"],
				};
				const deliveries = [delivery(packet)];
				const now = declaredNow(doc, { known: new Map([["beans", book]]), deliveries, sources });
				if (now === null) throw new Error("it is known");
				const parts = [own, declaredIn([book]), ...sources];
				for (const part of parts) expect(fallsBetween(carriedIn(part), carriedIn(now))).toEqual([]);
				for (const allergen of packet?.contains ?? [])
					expect(presenceOf(carriedIn(now), allergen)).toBe("contains");
				// And nothing that none of them names.
				const named = unionOf(parts).map(({ allergen }) => allergen);
				const onPacket = [...(packet?.contains ?? []), ...(packet?.mayContain ?? [])];
				for (const { allergen } of now) expect([...named, ...onPacket]).toContain(allergen);
			}),
		);
	});

	it("is not known where nobody has named it, or one of its sources", () => {
		expect(declaredNow({ ...LOT, declares: null }, NOTHING)).toBeNull();
		expect(declaredNow({ ...LOT, declares: [] }, { ...NOTHING, sources: [[], null] })).toBeNull();
		expect(declaredNow({ ...LOT, declares: [] }, NOTHING)).toEqual([]);
	});

	it("of older lots is read from their words, and not known where they are none of ours", () => {
		const worded = (allergens: string) => declaredNow({ ...LOT, allergens }, NOTHING);
		expect(worded("contains celery, sulphites; may contain mustard")).toEqual([
			{ allergen: "celery", presence: "contains", from: [] },
			{ allergen: "mustard", presence: "mayContain", from: [] },
			{ allergen: "sulphites", presence: "contains", from: [] },
		]);
		expect(worded("none of the house's list in its lines")).toEqual([]);
		expect(worded("not known for shallots")?.every(({ presence }) => presence === "notKnown")).toBe(true);
		for (const words of ["", "celery", "contains leaf celery", "contains celery, may contain mustard"])
			expect(worded(words)).toBeNull();
	});

	it("names what is on a packet and not in the book", () => {
		const { doc } = delivery({ contains: ["milk", "soya"], mayContain: ["nuts"] });
		const book = declaredIn([
			ingredient({ id: "beans", name: "white beans", allergens: ["soya"], mayContain: ["milk"] }),
		]);
		expect(besideTheBook(doc, book).map(({ allergen, presence }) => [allergen, presence])).toEqual([
			["milk", "contains"],
			["nuts", "mayContain"],
		]);
		expect(besideTheBook(delivery().doc, book)).toEqual([]);
	});
});

describe("a record as it stands", () => {
	const written = (...docs: RecordDoc[]): RecordEntry[] =>
		docs.map(
			(doc, index) => ({ number: index + 1, at: index, writtenAt: index, who: "Ebba", doc }) as RecordEntry,
		);
	const strike = (number: number): RecordDoc => ({
		...{ kind: "correction", of: "entry", number, lot: 7, watch: null, C: null, reason: "a slip" },
	});
	const anew = (portions: number): RecordDoc => ({
		...{ kind: "instead", of: 1, lot: 7, doc: { ...LOT, portions }, reason: "counted" },
	});
	const portions = (entries: RecordEntry[]) =>
		asItStands(entries).flatMap(({ doc }) => (doc.kind === "lot" ? doc.portions : []));

	it("reads what should have been written in place of what was, the last of them", () => {
		expect(portions(written(LOT))).toEqual([60]);
		expect(portions(written(LOT, anew(58)))).toEqual([58]);
		expect(portions(written(LOT, anew(58), anew(57)))).toEqual([57]);
		expect(asItStands(written(LOT, anew(58)))[0]).toMatchObject({ number: 1, at: 0, who: "Ebba" });
	});

	it("brings back what a correction struck out that was struck out itself", () => {
		expect(portions(written(LOT, strike(1)))).toEqual([]);
		expect(portions(written(LOT, strike(1), strike(2)))).toEqual([60]);
		expect(portions(written(LOT, strike(1), strike(2), strike(3)))).toEqual([]);
		expect(portions(written(LOT, anew(58), strike(2)))).toEqual([60]);
	});

	it("takes nothing of another kind in its place", () => {
		const other: RecordDoc = {
			...{ kind: "instead", of: 1, lot: 7, reason: "a slip" },
			doc: { kind: "stage", lot: 7, stage: "served", tags: [], place: "", note: "" },
		};
		expect(portions(written(LOT, other))).toEqual([60]);
	});
});
