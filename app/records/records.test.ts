import fc from "fast-check";
import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";
import { beforeEach, describe, expect, it } from "vitest";
import { type ChillGiven, chilling } from "#core/chill";
import { ALLERGEN_NAMES } from "#core/recipe";
import { ofKind } from "#core/records";
import { HOUSE_CODES } from "#core/safety";
import { dayTyped, laterDay, MINUTE_MS } from "#core/time";
import { type NewReading, ReadingKeeper, readHouse, readLots, type Store, writeRecord } from "#db";
import { LOT } from "../../core/records/records.testing.ts";
import { freshStore } from "../../db/freshStore.testing.ts";
import { Live } from "../../server/live.ts";
import { NO_PREFERENCES } from "../../server/preferences.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { readingIn } from "../ui/words/reading.ts";
import { LABEL_SHEET_KEYS, LABEL_SHEETS, placesOn } from "./labelSheets.ts";
import { inForce, writeOnLot } from "./lotActions.ts";
import { lotLabelsPdf } from "./lotLabels.ts";
import { lotPage } from "./lotPage.ts";
import { lotWayPage } from "./lotWay.view.ts";
import { missingPage } from "./missing.ts";
import { momentTyped } from "./moment.ts";
import { recordsPage } from "./recordsPage.ts";
import { recordSheet, recordSheetCsv } from "./sheetPage.ts";
import { recordSheetPdf } from "./sheetPdf.ts";

const NOW = Date.now();
/** Lifted two hours ago, into a fridge, too deep. */
const AT = NOW - 120 * MINUTE_MS;
const DEEP: ChillGiven = { depth_mm: 75, start_C: 85, medium: "walkIn", medium_C: 3, consistency: "stew" };

let store: Store;
let live: Live;
let visit: HouseVisit;
const today = () => new Date(NOW).toISOString().slice(0, 10);

beforeEach(async () => {
	store = await freshStore();
	live = new Live(store);
	const house = await readHouse(store.db);
	visit = {
		...{ store, house, who: "Ebba", nonce: "", preferences: NO_PREFERENCES },
		reading: readingIn("metric", house.timeZone, NOW),
	};
	await writeRecord(store, "Odd", "delivery", ({ delivery }) => [
		{
			at: AT,
			doc: {
				...{ kind: "delivery", delivery, ingredientId: "goat", name: "goat", supplier: "", supplierLot: "" },
				...{ kg: 20, C: 3, useBy: null, accepted: true, note: "" },
			},
		},
	]);
	await writeRecord(store, "Ebba", "lot", ({ lot, watch }) => [
		{ at: AT, doc: { ...LOT, lot, made: new Date(AT).toISOString().slice(0, 10) } },
		...["A1", "A2"].map((tag, index) => ({
			at: AT,
			doc: {
				...{
					kind: "watch" as const,
					watch: watch + index,
					lot,
					tag,
					course: "cool" as const,
					probe: `P0${index + 1}`,
				},
				...{ code: inForce(HOUSE_CODES.twoStage57), cooling: DEEP, clockFrom: AT, continues: null },
			},
		})),
	]);
	await new ReadingKeeper(store).keep([1, 2].flatMap((watch) => readOf(watch, 119)));
});

function readOf(watch: number, minutes: number): NewReading[] {
	const read: NewReading[] = [];
	for (const { minute, warmest_C } of chilling(DEEP, 4)) {
		while (read.length <= minute && read.length <= minutes)
			read.push({ watch, at: AT + read.length * MINUTE_MS, C: warmest_C, who: null });
		if (read.length > minutes) break;
	}
	return read;
}

const send = (fields: Record<string, string>) => {
	const form = new FormData();
	for (const [name, value] of Object.entries(fields)) form.set(name, value);
	return writeOnLot({ visit, live, lot: 1, typed: fields }, form);
};

/** Another lot, of two pans that were cooled in time. */
async function cooledLot(): Promise<number> {
	const written = await writeRecord(store, "Ebba", "cooled", ({ lot, watch }) => [
		{ at: AT, doc: { ...LOT, lot, made: today() } },
		...LOT.pans.flatMap(({ tag }, index) => [
			{
				at: AT,
				doc: {
					...{ kind: "watch" as const, watch: watch + index, lot, tag, course: "cool" as const, probe: null },
					...{ code: inForce(HOUSE_CODES.blast90), cooling: null, clockFrom: AT, continues: null },
				},
			},
			{ at: AT + 80 * MINUTE_MS, doc: { kind: "ended" as const, watch: watch + index, lot } },
		]),
	]);
	await new ReadingKeeper(store).keep(
		ofKind(written, "watch").flatMap(({ doc: { watch } }) => [
			{ watch, at: AT, C: 80, who: "Ebba" },
			{ watch, at: AT + 75 * MINUTE_MS, C: 3, who: "Ebba" },
		]),
	);
	return ofKind(written, "lot")[0]?.doc.lot ?? 0;
}

const page = (watch: string | null = null) => lotPage(visit, 1, watch);

describe("the way of a lot", () => {
	it("is drawn as it was read, with its limits by the worst pan and one growth", async () => {
		const { dish, way } = await lotWayPage(visit, { lot: 1 });
		expect(dish).toBe(LOT.dish);
		expect(way?.planned).toMatch(/nobody planned it/);
		expect(way?.drawing.read).toHaveLength(2);
		expect(way?.drawing.stages.map(({ words }) => words)).toEqual(["cooled"]);
		expect(way?.limits.map(({ words }) => words)).toEqual([
			expect.stringMatching(/^Cooling, pan A1, 21 °C by \d\d:\d\d: /),
			expect.stringMatching(/^Cooling, pan A1, 5 °C by \d\d:\d\d: /),
		]);
		expect(way?.growth).toMatch(/^From the bench to its last reading .* in pan A[12]\. A warning only\.$/);
		await expect(lotWayPage(visit, { lot: 99 })).rejects.toMatchObject({ init: { status: 404 } });
	});
});

describe("the verdict of a watch", () => {
	/** Read by hand, minutes and °C: 21 °C too late by 86 min, 5 °C in time. */
	const BY_HAND = [
		[0, 80],
		[10, 58],
		[120, 50],
		[230, 21],
		[305, 5],
	] as const;
	/** On a day of its own, at five in the morning. */
	const FIVE = Date.UTC(2026, 10, 20, 5);

	it("is one on the page of the lot, the sheet, its file and the day's list of what is missing", async () => {
		const written = await writeRecord(store, "Ebba", "by hand", ({ lot, watch }) => [
			{ at: FIVE, doc: { ...LOT, lot, made: "2026-11-20" } },
			{
				at: FIVE,
				doc: {
					...{ kind: "watch", watch, lot, tag: "A1", course: "cool", probe: null, continues: null },
					...{ code: inForce(HOUSE_CODES.twoStage57), cooling: null, clockFrom: FIVE },
				},
			},
			{ at: FIVE + 306 * MINUTE_MS, doc: { kind: "ended", watch, lot } },
		]);
		const watch = ofKind(written, "watch")[0]?.doc.watch ?? 0;
		await new ReadingKeeper(store).keep(
			BY_HAND.map(([minute, C]) => ({ watch, at: FIVE + minute * MINUTE_MS, C, who: "Ebba" })),
		);
		const { open } = await lotPage(visit, 2, String(watch));
		const limits = open?.limits.map(({ words }) => words) ?? [];
		expect(limits[0]).toMatch(/^21 °C by \d\d:23: reached at \d\d:50, missed by 86 min$/);
		expect(limits[1]).toMatch(/^5 °C by \d\d:23: reached at \d\d:05, met by 79 min$/);
		expect(open?.verdict).toBe("missed");
		const asked = { kind: "cooling", from: "2026-11-20", to: "2026-11-20" } as const;
		const sheet = await recordSheet(visit, asked);
		expect(sheet.rows).toHaveLength(1);
		expect(sheet.rows[0]).toContain(limits.join("; "));
		expect(sheet.rows[0]).toContain("MISSED");
		expect(sheet.missed).toEqual([0]);
		expect(await recordSheetCsv(visit, asked)).toContain(limits.join("; "));
		const missing = await missingPage(visit, asked);
		expect(missing.missing.map(({ words }) => words).join()).toMatch(/missed, and nothing done about it/);
	});
});

describe("the words of a limit", () => {
	it("go by its verdict: what is late by seconds is missed by less than a minute", async () => {
		const at = AT - 400 * MINUTE_MS;
		const written = await writeRecord(store, "Ebba", "by seconds", ({ lot, watch }) => [
			{ at, doc: { ...LOT, lot } },
			...["A1", "A2"].flatMap((tag, index) => [
				{
					at,
					doc: {
						...{
							kind: "watch" as const,
							watch: watch + index,
							lot,
							tag,
							course: "cool" as const,
							probe: null,
						},
						...{ code: inForce(HOUSE_CODES.blast90), cooling: null, clockFrom: at, continues: null },
					},
				},
				{ at: at + 100 * MINUTE_MS, doc: { kind: "ended" as const, watch: watch + index, lot } },
			]),
		]);
		const [late = 0, onTime = 0] = ofKind(written, "watch").map(({ doc }) => doc.watch);
		await new ReadingKeeper(store).keep(
			[late, onTime].flatMap((watch) => [
				{ watch, at, C: 80, who: "Ebba" },
				{ watch, at: at + (watch === late ? 90 : 89.5) * MINUTE_MS + 20_000, C: 3, who: "Ebba" },
			]),
		);
		const words = async (watch: number) =>
			(await lotPage(visit, 2, String(watch))).open?.limits.map((limit) => limit.words)[1];
		expect(await words(late)).toMatch(/, missed by less than 1 min$/);
		expect(await words(onTime)).toMatch(/, met by less than 1 min$/);
	});
});

describe("the page of a lot", () => {
	it("tells of deep pans in a fridge that they are too late, and what meets the code", async () => {
		const { open, watches } = await page();
		expect(watches.map(({ tag, isPressing }) => [tag, isPressing])).toEqual([
			["A1", true],
			["A2", true],
		]);
		expect(open?.limits[0]?.words).toMatch(/too late as it goes/);
		expect(open?.remedies[0]?.meets).toBe(true);
		expect((await recordsPage(visit)).watched.map(({ isPressing }) => isPressing)).toEqual([true, true]);
	});

	it("spread over three, a pan is watched on under the same clock, and its food is in three pans", async () => {
		const before = await page("1");
		const by = before.open?.drawing.ceilings[0]?.words;
		expect(
			await send({ intent: "help", watch: "1", remedy: "spread:3", clientId: "spread-0001" }),
		).toBeNull();
		const now = await page("3");
		expect(now.pans.map(({ tag }) => tag)).toEqual(["A1a", "A1b", "A1c", "A2"]);
		expect(now.open).toMatchObject({ tag: "A1a", isOpen: true, probe: "P01" });
		expect(now.watches.find(({ watch }) => watch === 1)?.isOpen).toBe(false);
		expect(by).toMatch(/^21 °C by /);
		// Sent again, it is not done again.
		await send({ intent: "help", watch: "1", remedy: "spread:3", clientId: "spread-0001" });
		expect((await page()).pans).toHaveLength(4);
	});

	it("takes a reading by hand, and a correction of it; both stay in the record", async () => {
		expect(await send({ intent: "read", watch: "1", C: "64,5" })).toBeNull();
		const { open } = await page("1");
		const hand = open?.readings.find(({ words }) => words.startsWith("64.5 °C"));
		expect(hand?.words).toContain("Ebba");
		await send({
			...{ intent: "correct", watch: "1", of: "reading", number: String(hand?.number), C: "46.5" },
			...{ reason: "figures turned round", clientId: "correct-001" },
		});
		const after = await page("1");
		expect(after.open?.readings.some(({ words }) => words.startsWith("46.5 °C"))).toBe(true);
		expect(after.written[0]?.words).toContain("should be 46.5 °C");
	});

	it("refuses by the name of the field what can not be", async () => {
		await expect(send({ intent: "read", watch: "9", C: "60" })).rejects.toThrow(/watch/);
		await expect(send({ intent: "read", watch: "1", C: "4000" })).rejects.toThrow(/C/);
		await expect(send({ intent: "stage", stage: "moved", place: "", note: "" })).rejects.toThrow(/place/);
		await expect(send({ intent: "probe", watch: "1", probe: "P 1" })).rejects.toThrow(/probe/);
		await expect(send({ intent: "correct", of: "entry", number: "1", reason: "was not so" })).rejects.toThrow(
			/number/,
		);
		expect(await send({ intent: "read", watch: "1", C: "" })).toMatchObject({
			wrong: { C: expect.any(String) },
		});
		await expect(send({ intent: "dance" })).rejects.toThrow(/intent/);
	});

	it("thrown away, a pan is used up and no longer watched", async () => {
		await send({ intent: "act", watch: "1", action: "discarded", note: "too slow", clientId: "gone-0001" });
		const now = await page();
		expect(now.pans.map(({ tag, state }) => [tag, state])).toEqual([
			["A1", "thrown away"],
			["A2", "chilled"],
		]);
		expect(now.watches.filter(({ isOpen }) => isOpen).map(({ tag }) => tag)).toEqual(["A2"]);
		const served = { intent: "stage", stage: "served", place: "", clientId: "served-001" };
		await expect(send({ ...served, tag: "A1", note: "" })).rejects.toThrow(/used up/);
		// What is not released is not served without a word why.
		await expect(send({ ...served, note: "" })).rejects.toThrow(/A2: cooling, not released.*say why/);
		await send({ ...served, note: "eaten at once by the crew" });
		expect((await page()).isUsedUp).toBe(true);
		expect((await recordsPage(visit)).lots).toEqual([]);
	});

	it("thrown away by its stage, a pan leaves its watch and stands among the actions", async () => {
		await send({
			intent: "stage",
			stage: "discarded",
			tag: "A1",
			place: "",
			note: "dropped",
			clientId: "gone-0002",
		});
		const { watches, pans } = await page();
		expect(watches.filter(({ isOpen }) => isOpen).map(({ tag }) => tag)).toEqual(["A2"]);
		expect(pans[0]?.state).toBe("thrown away");
		const { rows } = await recordSheet(visit, { kind: "actions", from: today(), to: today() });
		expect(rows.map((row) => row.slice(3, 6))).toEqual([["A1", "thrown away", "dropped"]]);
	});

	it("cooled too slowly, a pan is heated through and cooled again or thrown away, and nothing else", async () => {
		await new ReadingKeeper(store).keep([{ watch: 1, at: NOW, C: 66, who: "Ebba" }]);
		await send({ intent: "probe", watch: "1", probe: "", clientId: "probe-0001" });
		visit = { ...visit, reading: readingIn("metric", visit.house.timeZone, Date.now()) };
		const slow = await writeRecord(store, "Ebba", "slow", ({ lot, watch }) => [
			{ at: AT, doc: { ...LOT, lot } },
			{
				at: AT,
				doc: {
					...{ kind: "watch", watch, lot, tag: "A1", course: "cool", probe: null, continues: null },
					...{ code: inForce(HOUSE_CODES.blast90), cooling: null, clockFrom: AT },
				},
			},
			{ at: AT + 100 * MINUTE_MS, doc: { kind: "ended", watch, lot } },
		]);
		const { lot, watch } = ofKind(slow, "watch")[0]?.doc ?? { lot: 0, watch: 0 };
		await new ReadingKeeper(store).keep([
			{ watch, at: AT, C: 80, who: "Ebba" },
			{ watch, at: AT + 95 * MINUTE_MS, C: 3, who: "Ebba" },
		]);
		const act = (action: string) => {
			const typed = { intent: "act", watch: String(watch), action, note: "", clientId: `act-${action}-0001` };
			const form = new FormData();
			for (const [name, value] of Object.entries(typed)) form.set(name, value);
			return writeOnLot({ visit, live, lot, typed }, form);
		};
		const choices = (await lotPage(visit, lot, String(watch))).open?.choices;
		expect(choices).toEqual(["reheated", "discarded", "measured", "probeChanged", "asked"]);
		await expect(act("usedNow")).rejects.toThrow(/heating it through at once and cooling it again/);
		await act("reheated");
		const after = await lotPage(visit, lot, null);
		expect(after.watches.map(({ doing, isOpen }) => [doing, isOpen])).toEqual([
			["Reheating", true],
			["Cooling", false],
		]);
		expect(after.pans[0]?.says).toMatch(/^do not use: cooled too slowly, and is heated through/);
		expect((await lotPage(visit, lot, String(watch))).open?.choices).not.toContain("reheated");
	});

	it("frozen after a cooling that was met, it keeps longer, and says how long it thaws, and where", async () => {
		const frozen = { intent: "stage", stage: "frozen", place: "Freezer", note: "", clientId: "frozen-001" };
		await expect(send({ ...frozen, tag: "A2" })).rejects.toThrow(/only what is released is frozen/);
		const lot = await cooledLot();
		const form = new FormData();
		for (const [name, value] of Object.entries(frozen)) form.set(name, value);
		await writeOnLot({ visit, live, lot, typed: frozen }, form);
		const { pans, head } = await lotPage(visit, lot, null);
		expect(pans.map(({ thaws }) => thaws)).toEqual([
			expect.stringMatching(/^Thaws in the fridge in \d+ to \d+ h/),
			expect.stringMatching(/^Thaws in the fridge in \d+ to \d+ h/),
		]);
		expect(head).toBe(`Use by ${dayTyped(laterDay(today(), 89))}`);
	});

	it("refuses a correction that changes nothing", async () => {
		await send({ intent: "read", watch: "1", C: "64.5" });
		const { open } = await page("1");
		const number = String(open?.readings.find(({ words }) => words.startsWith("64.5"))?.number);
		const correct = (C: string, clientId: string) =>
			send({ intent: "correct", watch: "1", of: "reading", number, C, reason: "as it was", clientId });
		await expect(correct("64.5", "same-00001")).rejects.toThrow(/C.*stands there already/);
		await correct("46.5", "other-0001");
		await expect(correct("46.5", "same-00002")).rejects.toThrow(/C.*stands there already/);
		await correct("", "none-00001");
		await expect(correct("", "none-00002")).rejects.toThrow(/does not count already/);
		const probe = { intent: "correct", watch: "1", of: "reading", number: "probe", reason: "beside the pan" };
		await send({ ...probe, clientId: "probe-0001" });
		await expect(send({ ...probe, clientId: "probe-0002" })).rejects.toThrow(/does not count already/);
	});

	it("takes another last day for one that was wrong, with a reason, and not the same", async () => {
		const useBy = dayTyped(laterDay(today(), 9));
		const date = { intent: "date", useBy, reason: "typed a week off", clientId: "dated-0001" };
		await send(date);
		expect((await page()).says).toBe(`Once released: use by ${useBy}.`);
		expect((await page()).written[0]?.words).toMatch(
			/^All pans: the use-by was wrong, it is .*: typed a week off$/,
		);
		await expect(send({ ...date, clientId: "dated-0002" })).rejects.toThrow(/useBy/);
	});

	it("heated again the pans are watched against the core temperature", async () => {
		await send({ intent: "watch", tag: "", course: "reheat", clientId: "reheat-001" });
		const { watches } = await page();
		expect(watches.filter(({ doing }) => doing === "Reheating").map(({ tag }) => tag)).toEqual(["A1", "A2"]);
		await send({ intent: "end", watch: "3", clientId: "end-00001" });
		expect((await page()).watches.find(({ watch }) => watch === 3)?.isOpen).toBe(false);
		await expect(send({ intent: "end", watch: "3", clientId: "end-00002" })).rejects.toThrow(/watch/);
	});
});

describe("the sheets of a period", () => {
	const week = (kind: "cooling" | "actions" | "delivery") => ({ kind, from: today(), to: today() });

	it("tell every pan with its code, its limits and what was done", async () => {
		await send({ intent: "act", watch: "1", action: "asked", note: "=SUM(A1)", clientId: "asked-0001" });
		const sheet = await recordSheet(visit, {
			...week("cooling"),
			from: new Date(AT).toISOString().slice(0, 10),
		});
		expect(sheet.rows.map((row) => row[3])).toEqual(["A1", "A2"]);
		expect(sheet.codes[0]).toContain("model food code");
		expect(sheet.rows[0]?.join()).toContain("asked whoever decides");
		const csv = await recordSheetCsv(visit, week("actions"));
		expect(csv).toContain("'=SUM(A1)");
		expect(csv.split("\r\n")).toHaveLength(2);
	});

	it("are written as a document that can be read again", async () => {
		const bytes = await recordSheetPdf(visit, {
			...week("cooling"),
			from: new Date(AT).toISOString().slice(0, 10),
		});
		const text = await textOf(bytes);
		expect(text).toContain("Cooling");
		expect(text).toContain("A2");
		expect(await textOf(await recordSheetPdf(visit, week("actions")))).toContain("Nothing was written down");
	});

	it("say what is missing: no reading, and nothing done about what was missed", async () => {
		await send({ intent: "watch", tag: "A1", course: "holdHot", clientId: "hold-00001" });
		const { missing, days } = await missingPage(
			{ ...visit, reading: readingIn("metric", visit.house.timeZone, NOW + 10 * MINUTE_MS) },
			{
				...week("cooling"),
				from: new Date(AT).toISOString().slice(0, 10),
			},
		);
		expect(missing.map(({ words }) => words)).toEqual([expect.stringContaining("hot holding: no reading")]);
		expect(days.reduce((sum, { count }) => sum + count, 0)).toBe(1);
	});

	it("of no period are refused in a sentence", async () => {
		await expect(
			recordSheet(visit, { kind: "cooling", from: "2026-02-01", to: "2026-01-01" }),
		).rejects.toMatchObject({
			data: { said: expect.stringContaining("later") },
		});
	});
});

describe("labels", () => {
	it("stand inside their sheet, none on another", () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...LABEL_SHEET_KEYS),
				fc.integer({ min: 1, max: 60 }),
				fc.nat(40),
				(key, count, skip) => {
					const sheet = LABEL_SHEETS[key];
					const places = placesOn(sheet, count, skip);
					expect(places).toHaveLength(count);
					expect(new Set(places.map(({ page: on, x, y }) => `${on} ${x} ${y}`)).size).toBe(count);
					for (const { x, y } of places) {
						expect(x + sheet.label[0]).toBeLessThanOrEqual(sheet.page[0] + 0.01);
						expect(y + sheet.label[1]).toBeLessThanOrEqual(sheet.page[1] + 0.01);
					}
				},
			),
		);
	});

	it("name all allergens whole, on the smallest label too", async () => {
		const declares = ALLERGEN_NAMES.map((allergen) => {
			const presence = allergen === "molluscs" ? ("mayContain" as const) : ("contains" as const);
			return { allergen, presence, from: ["all of it"] };
		});
		await writeRecord(store, "Żaneta", "many", ({ lot }) => [
			{ at: AT, doc: { ...LOT, lot, from: [], declares } },
		]);
		expect(await readLots(store.db, [2])).toHaveLength(1);
		for (const sheet of LABEL_SHEET_KEYS) {
			const text = await textOf(
				await lotLabelsPdf(visit, { lot: 2, origin: "http://house", sheet, skip: 0 }),
			);
			expect(text).toContain("Allergens: contains gluten");
			expect(text).toMatch(/lupin; may contain molluscs/);
			expect(text.replaceAll(" ", "")).toContain("Żaneta");
		}
	});
});

async function textOf(bytes: Uint8Array): Promise<string> {
	const pdf = await getDocument({ data: bytes.slice() }).promise;
	const pages = await Promise.all(
		Array.from({ length: pdf.numPages }, async (_, index) => (await pdf.getPage(index + 1)).getTextContent()),
	);
	return pages
		.flatMap(({ items }) => items.map((item) => ("str" in item ? item.str : "")))
		.join(" ")
		.replace(/\s+/g, " ");
}

describe("what no font has", () => {
	it("is said in a sentence, on labels and on sheets, and never dropped", async () => {
		await writeRecord(store, "Ebba", "letter", ({ lot }) => [
			{ at: AT, doc: { ...LOT, lot, dish: "Goat 𓃶" } },
			{ at: AT, doc: { kind: "action", watch: null, lot, action: "asked", note: "𓃶" } },
		]);
		const said = {
			init: { status: 400 },
			data: { said: expect.stringContaining("No font of the house has “𓃶”") },
		};
		const labels = { lot: 2, origin: "http://house", sheet: LABEL_SHEET_KEYS[0] ?? "tape", skip: 0 } as const;
		await expect(lotLabelsPdf(visit, labels)).rejects.toMatchObject(said);
		const sheet = { kind: "actions", from: today(), to: today() } as const;
		await expect(recordSheetPdf(visit, sheet)).rejects.toMatchObject(said);
	});
});

describe("when something was", () => {
	const now = Date.UTC(2026, 11, 5, 18);

	it("is now where nothing is typed, and the house's clock where something is", () => {
		expect(momentTyped({}, "UTC", now)).toBe(now);
		expect(momentTyped({ keptAt: String(now - 90_000) }, "UTC", now)).toBe(now - 90_000);
		expect(momentTyped({ keptAt: String(now - 90_000) }, "UTC", now, now - 60_000)).toBe(now - 60_000);
		for (const keptAt of ["soon", "-5", String(now + 600_000), String(now - 30 * 86_400_000)])
			expect(() => momentTyped({ keptAt }, "UTC", now)).toThrow(/time/);
		expect(momentTyped({ time: "1730" }, "UTC", now)).toBe(now - 30 * MINUTE_MS);
		expect(momentTyped({ date: "4 Dec", time: "20:00" }, "UTC", now)).toBe(Date.UTC(2026, 11, 4, 20));
	});

	it("is last night's, typed after midnight", () => {
		const past = Date.UTC(2026, 11, 5, 0, 10);
		expect(momentTyped({ time: "23:50" }, "UTC", past)).toBe(past - 20 * MINUTE_MS);
	});

	it("is one of two in the night the clocks go back, and is asked for where it may be either", () => {
		const zone = "Europe/London";
		const [first, second] = [Date.UTC(2026, 9, 25, 0, 30), Date.UTC(2026, 9, 25, 1, 30)];
		const later = Date.UTC(2026, 9, 25, 9);
		expect(momentTyped({ time: "01:30 first" }, zone, later)).toBe(first);
		expect(momentTyped({ time: "01:30 second" }, zone, later)).toBe(second);
		expect(() => momentTyped({ time: "01:30" }, zone, later)).toThrow(/twice.*“01:30 first”/);
		// Between the two only one has been; and nothing was before it began.
		expect(momentTyped({ time: "01:30" }, zone, first + 20 * MINUTE_MS)).toBe(first);
		expect(momentTyped({ time: "01:30" }, zone, later, second - MINUTE_MS)).toBe(second);
	});

	it("is on the nearest such day, and one that has not come yet is asked for", () => {
		expect(momentTyped({ date: "30 Nov", time: "10:00" }, "UTC", now)).toBe(Date.UTC(2026, 10, 30, 10));
		expect(() => momentTyped({ date: "6 Dec", time: "10:00" }, "UTC", now)).toThrow(/date.*not come yet/);
		expect(momentTyped({ date: "6 Dec 2025", time: "10:00" }, "UTC", now)).toBe(Date.UTC(2025, 11, 6, 10));
	});

	it("is neither later than now nor before it began", () => {
		expect(() => momentTyped({ time: "19:00" }, "UTC", now)).toThrow(/time/);
		expect(() => momentTyped({ time: "10:00" }, "UTC", now, now - MINUTE_MS)).toThrow(/time/);
		expect(() => momentTyped({ time: "noon" }, "UTC", now)).toThrow(/time/);
		expect(() => momentTyped({ date: "someday", time: "10:00" }, "UTC", now)).toThrow(/date/);
	});
});
