import { beforeEach, describe, expect, it } from "vitest";
import { ofKind } from "#core/records";
import { HOUSE_CODES } from "#core/safety";
import { DAY_MS, HOUR_MS, MINUTE_MS, wallClock } from "#core/time";
import {
	addIngredient,
	type IngredientFields,
	ReadingKeeper,
	readHouse,
	readLotsFrom,
	recalled,
	type Store,
	writeRecord,
} from "#db";
import { LOT } from "../../core/records/records.testing.ts";
import { freshStore } from "../../db/freshStore.testing.ts";
import { NO_PREFERENCES } from "../../server/preferences.ts";
import { lotsHeld } from "../ui/server/lotsHeld.ts";
import { lotsNow } from "../ui/server/lotsNow.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { readingIn } from "../ui/words/reading.ts";
import { deliveryPage } from "./deliveryPage.ts";
import { inForce } from "./lotActions.ts";
import { sourcesFor, sourcesTyped } from "./lotSources.ts";
import { entriesOfLot, unplannedLotPage } from "./newLotPage.ts";
import { recallPage } from "./recallPage.ts";

const NOW = Date.now();
const AT = NOW - 5 * HOUR_MS;

let store: Store;
let visit: HouseVisit;
beforeEach(async () => {
	store = await freshStore();
	const house = await readHouse(store.db);
	visit = {
		...{ store, house, who: "Ebba", nonce: "", preferences: NO_PREFERENCES },
		reading: readingIn("metric", house.timeZone, NOW),
	};
	await addIngredient(store, "Ebba", { ...PLAIN, name: "goat" });
	await addIngredient(store, "Ebba", { ...PLAIN, name: "celery", allergens: ["celery"] });
	await delivered("goat", "G-7");
});

const PLAIN: IngredientFields = {
	...{ name: "", category: "vegetable", cut: null, supplier: null, density_g_per_ml: null, each_g: null },
	...{ givesWater: null, takesRoom: null, salt_pct: null, trimLoss: 0, pack_g: null, origins: [] },
	...{ described: true, allergens: [], mayContain: [] },
};

const delivered = async (id: string, supplierLot: string, at = AT - HOUR_MS, packet = {}) => {
	const [entry] = await writeRecord(store, "Odd", `delivery-${id}-${supplierLot}`, ({ delivery }) => [
		{
			at,
			doc: {
				...{ kind: "delivery", delivery, ingredientId: id, name: id, supplier: "Holm", supplierLot, kg: 20 },
				...{ C: 3, useBy: null, accepted: true, note: "", ...packet },
			},
		},
	]);
	return entry?.doc.kind === "delivery" ? entry.doc.delivery : 0;
};

/** A lot whose pans were cooled in time. */
const lotOf = async (name: string, more: Partial<typeof LOT> = {}, at = AT): Promise<number> => {
	const written = await writeRecord(store, "Ebba", `lot-${name}`, ({ lot, watch }) => [
		{
			at,
			doc: {
				...{ ...LOT, lot, dish: name, from: [], declares: [], ingredients: [], sittingId: "" },
				made: wallClock(at, visit.house.timeZone).date,
				...more,
			},
		},
		...LOT.pans.flatMap(({ tag }, index) => [
			{
				at,
				doc: {
					...{
						kind: "watch" as const,
						watch: watch + index,
						lot,
						tag,
						course: "cool" as const,
						probe: "P07",
					},
					...{ code: inForce(HOUSE_CODES.blast90), cooling: null, clockFrom: at, continues: null },
				},
			},
			{ at: at + 80 * MINUTE_MS, doc: { kind: "ended" as const, watch: watch + index, lot } },
		]),
	]);
	await new ReadingKeeper(store).keep(
		ofKind(written, "watch").flatMap(({ doc: { watch } }) => [
			{ watch, at, C: 80, who: "Ebba" },
			{ watch, at: at + 75 * MINUTE_MS, C: 3, who: "Ebba" },
		]),
	);
	return ofKind(written, "lot")[0]?.doc.lot ?? 0;
};
const now = async (lot: number) => {
	const [read] = await lotsNow(store.db, [lot], { ...visit.house, now: NOW });
	if (!read) throw new Error("it is a lot");
	return read;
};
const ticked = (fields: Record<string, number[] | string>) => {
	const form = new FormData();
	for (const [name, value] of Object.entries(fields))
		for (const one of Array.isArray(value) ? value : [value]) form.append(name, String(one));
	return form;
};
const sources = async (fields: Record<string, number[] | string>, at = NOW) => {
	const known = await sourcesFor(visit, new Set(), { from: [], fromLots: [] });
	return sourcesTyped(store.db, ticked(fields), known, { ...visit, at });
};

describe("a lot that is made from lots", () => {
	it("declares all that they declare, through all of them, and what their packets say", async () => {
		const packet = { packet: { contains: ["mustard" as const], mayContain: [] } };
		const beans = await delivered("goat", "G-8", AT - HOUR_MS, packet);
		const stock = await lotOf("stock", { ingredients: ["celery"], from: [beans] });
		const glaze = await lotOf("glaze", { fromLots: [stock] });
		const dish = await lotOf("dish", { fromLots: [glaze] });
		const { allergens, passports } = await now(dish);
		expect(allergens).toBe("contains celery, mustard");
		expect(passports.map(({ release }) => release)).toEqual(["released", "released"]);
	});

	it("keeps no longer than they do, unless it was cooked through after them", async () => {
		const old = await lotOf("stock", {}, NOW - 3 * DAY_MS);
		const useBy = (await now(old)).now.useBy;
		expect((await sources({ fromLots: [old] })).notAfter).toBe(useBy);
		const dish = await lotOf("dish", { fromLots: [old], notAfter: useBy });
		expect((await now(dish)).now.useBy).toBe(useBy);
		const cooked = await sources({ fromLots: [old], cookedThrough: "boiled 10 min" });
		expect(cooked).toMatchObject({ notAfter: null, cookedThrough: "boiled 10 min" });
	});

	it("is made of nothing that is younger, or not released", async () => {
		const late = await lotOf("late", {}, NOW - HOUR_MS - 30 * MINUTE_MS);
		await expect(sources({ fromLots: [late] }, NOW - 3 * HOUR_MS)).rejects.toThrow(
			/made after it was lifted/,
		);
		const came = await delivered("goat", "G-9", NOW - HOUR_MS);
		await expect(sources({ from: [came] }, NOW - 3 * HOUR_MS)).rejects.toThrow(/came in after it was lifted/);
		const unknown = await lotOf("unknown", { declares: null });
		await expect(sources({ fromLots: [unknown] })).rejects.toThrow(/not released/);
	});

	it("has nothing ticked by itself", async () => {
		await lotOf("stock");
		const offered = await sourcesFor(visit, new Set(["goat"]), { from: [], fromLots: [] });
		expect(offered.deliveries.length).toBeGreaterThan(0);
		expect([...offered.deliveries, ...offered.lots].some(({ isTicked }) => isTicked)).toBe(false);
	});
});

describe("a lot that nobody planned", () => {
	it("is blocked until its allergens are named", async () => {
		const planned = await unplannedLotPage(visit);
		const asked = await sources({});
		const written = await writeRecord(store, "Ebba", "unplanned", (next) =>
			entriesOfLot(
				{ ...planned, dish: "Broth" },
				{
					...{ lot: next.lot, watch: next.watch, at: AT, into: AT, place: "", isCooled: false, portions: 8 },
					...{ sources: asked, pans: LOT.pans, keeps: LOT.keeps, code: inForce(planned.code) },
					madeOn: wallClock(AT, visit.house.timeZone).date,
				},
			),
		);
		const made = ofKind(written, "lot")[0];
		if (!made) throw new Error("it is a lot");
		const { passports, allergens } = await now(made.doc.lot);
		expect(allergens).toBe("not known");
		expect(passports[0]?.holds.map(({ because }) => because)).toContain("allergensNotKnown");
		const held = await lotsHeld(store.db, visit.reading, "eu14");
		expect(held.map(({ words }) => words).join()).toMatch(/allergens are not known/);
		await writeRecord(store, "Ebba", "named", () => [
			{
				at: NOW,
				doc: {
					...{ kind: "instead", of: made.number, lot: made.doc.lot, reason: "named by Ebba" },
					doc: { ...made.doc, declares: [{ allergen: "celery", presence: "contains", from: ["named"] }] },
				},
			},
		]);
		const named = await now(made.doc.lot);
		expect(named.allergens).toBe("contains celery");
		expect(named.passports[0]?.holds.map(({ because }) => because)).not.toContain("allergensNotKnown");
	});
});

describe("a delivery", () => {
	it("whose packet names more than the book says so, and its lots declare it", async () => {
		const number = await delivered("goat", "G-10", AT - HOUR_MS, {
			packet: { contains: ["milk" as const], mayContain: [] },
		});
		expect((await deliveryPage(visit, number)).beside).toBe("contains milk");
		const lot = await lotOf("dish", { from: [number] });
		expect((await now(lot)).allergens).toBe("contains milk");
	});

	it("that is written anew shows what it was, and is recalled by what it is", async () => {
		const number = await delivered("goat", "G-11");
		const lot = await lotOf("dish", { from: [number] });
		await writeRecord(store, "Ebba", "anew", () => [
			{
				at: NOW,
				doc: {
					...{ kind: "instead", of: 2, lot: null, reason: "read again" },
					doc: {
						...{ kind: "delivery", delivery: number, ingredientId: "goat", name: "goat", supplier: "Holm" },
						...{ supplierLot: "G-12", kg: 19, C: 3, useBy: null, accepted: false, note: "" },
					},
				},
			},
		]);
		const page = await deliveryPage(visit, number);
		expect(page.facts[0]?.figure).toBe("19 kg");
		expect(page.before.map(({ words }) => words.includes("20 kg"))).toEqual([true, false]);
		expect(page.before[1]?.by).toMatch(/Ebba: read again/);
		expect((await now(lot)).passports[0]?.holds.map(({ because }) => because)).toContain("sentBack");
		expect((await recalled(store.db, { what: "supplierLot", text: "g-12" })).lots).toEqual([lot]);
		expect((await recalled(store.db, { what: "supplierLot", text: "G-11" })).deliveries).toEqual([]);
	});
});

describe("a recall", () => {
	it("finds every pan and sitting both ways, from a packet, an ingredient, a probe, a watch or a lot", async () => {
		const goat = await delivered("goat", "G-20");
		const stock = await lotOf("stock", { from: [goat], ingredients: ["celery"] });
		const dish = await lotOf("dish", { fromLots: [stock] });
		const other = await lotOf("other");
		await writeRecord(store, "Ebba", "served", () => [
			{
				at: NOW,
				doc: {
					...{ kind: "stage", lot: dish, stage: "served", tags: ["A1"], place: "", note: "" },
					...{ sittingId: "", sitting: "Festival supper" },
				},
			},
		]);
		const both = { lots: [stock], further: [dish] };
		for (const from of [
			{ what: "supplierLot", text: "G-20" },
			{ what: "delivery", number: goat },
			{ what: "ingredient", id: "celery" },
			{ what: "lot", number: stock },
			{ what: "watch", number: 1 },
		] as const)
			expect(await recalled(store.db, from), from.what).toMatchObject(both);
		expect((await recalled(store.db, { what: "probe", name: "P07" })).lots).toEqual([stock, dish, other]);
		expect((await readLotsFrom(store.db, "fromLots", [stock])).map(({ doc }) => doc.lot)).toEqual([dish]);
		const page = await recallPage(visit, new URLSearchParams({ what: "ingredient", find: "Celery" }));
		expect(page.found?.head).toBe("2 lots, 3 pans still here");
		expect(page.found?.lots.map(({ from }) => from)).toEqual([`delivery ${goat}`, `lot ${stock}, stock`]);
		expect(page.found?.lots[1]?.for.join()).toMatch(/pan A1 served at Festival supper/);
		expect(page.found?.deliveries.map(({ delivery }) => delivery)).toEqual([goat]);
	});

	it("says what is no ingredient and no number, and where nothing is found", async () => {
		const wrong = async (what: string, find: string) =>
			(await recallPage(visit, new URLSearchParams({ what, find }))).wrong;
		expect(await wrong("ingredient", "sea beet")).toMatch(/no ingredient of the book/);
		expect(await wrong("watch", "seven")).toMatch(/a number from 1/);
		expect(await wrong("probe", "P99")).toBe("");
	});
});
