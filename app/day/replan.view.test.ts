import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { DayChange } from "#core/day";
import { issueDay, readDayChanges, readSitting } from "#db";
import { orderPage } from "../papers/orderPage.ts";
import { labelsPage, sheetPage } from "../papers/paperPages.ts";
import { visitFor } from "../ui/server/visit.ts";
import { datesShown } from "../ui/server/worked.server.ts";
import { writtenDate } from "../ui/server/writtenDate.ts";
import { issuedDay } from "./issued.ts";
import { issuedTags } from "./issuedTags.ts";
import { keepTrial } from "./keepTrial.server.ts";
import { dayPaperPage } from "./paperPages.ts";
import { replanView } from "./replan.view.ts";
import { NOW, type SupperDay, supperView } from "./supperDay.testing.ts";

const preferences = { light: "bench", shortKeys: true, paper: "A4", clockHours: "24" } as const;
let supper: SupperDay;

beforeAll(async () => {
	supper = await supperView();
});
afterAll(() => supper.store.close());

const place = (changes: readonly DayChange[] = []) =>
	datesShown(
		supper.store.db,
		supper.date,
		supper.date,
		changes.length > 0 ? { now: NOW, told: { date: supper.date, changes } } : null,
	);
const shown = async (changes: readonly DayChange[] = []) =>
	replanView({
		shown: await place(changes),
		stands: changes.length > 0 ? await place() : null,
		reading: supper.reading,
		date: supper.date,
		trial: { changes, unclear: [] },
		told: null,
	});
const sittingId = () => supper.own.given().sittings[0]?.id ?? "";
const dishId = () => supper.own.given().sittings[0]?.dishes[0]?.dish.order.id ?? "";
const keep = async (...changes: DayChange[]) =>
	keepTrial(
		await visitFor({ store: supper.store, preferences, who: "Ada", nonce: "" }),
		supper.date,
		changes.map((change) => JSON.stringify(change)),
	);

describe("a change on trial", () => {
	it("shows both days side by side, and why what moves does", async () => {
		const { trial } = await shown([{ kind: "covers", sitting: sittingId(), covers: 170 }]);
		expect(trial?.words).toEqual(["Festival supper for 170 covers"]);
		expect(trial?.figures.map(({ label }) => label)).toContain("waits when tender");
		expect(trial?.moves.length).toBeGreaterThan(0);
		for (const { what, was, is, why } of trial?.moves ?? []) {
			for (const words of [what, was, is, why]) expect(words).not.toMatch(/undefined|NaN|\[object/);
			expect(was).not.toBe(is);
		}
	});

	it("of a dish cooked the day before moves its tasks there", async () => {
		const change: DayChange = { kind: "ahead", for: dishId(), ahead: true };
		const { day } = await place([change]);
		const braise = day.tasks.find((task) => task.for === change.for && task.place === "braise");
		const before = supper.own.day.tasks.find((task) => task.id === braise?.id);
		expect(braise?.end).toBeLessThan((before?.start ?? 0) - 6 * 3_600_000);
	});

	it("changes nothing until it is kept", async () => {
		await shown([{ kind: "covers", sitting: sittingId(), covers: 170 }]);
		expect((await readSitting(supper.store.db, sittingId())).covers).toBe(140);
		expect((await shown()).trial).toBeNull();
	});
});

describe("a number", () => {
	/** Its papers as they are printed while it stands. */
	let before: Pick<Awaited<ReturnType<typeof sheetPage>>, "sheet"> & {
		readonly day: Awaited<ReturnType<typeof dayPaperPage>>;
		readonly order: Awaited<ReturnType<typeof orderPage>>;
		/** The tasks of what is served on its date; others of the day are done for other dates. */
		readonly covers: ReadonlySet<string>;
	};
	const covered = ({ people = [] }: { people?: NonNullable<typeof before.day>["people"] }) =>
		people.map(({ rows, ...cook }) => ({ ...cook, rows: rows.filter(({ id }) => before.covers.has(id)) }));

	it("keeps letters and pans, and later changes show against it", async () => {
		const [own] = (await place()).served;
		if (!own) throw new Error("something is served");
		const doc = issuedDay(own, Date.now());
		expect(doc.sittings[0]?.dishes.map(({ tag }) => tag).sort()).toEqual(["A", "B", "C"]);
		expect(doc.sittings[0]?.dishes[0]?.pans.length).toBeGreaterThan(0);
		await issueDay(supper.store, "Ada", supper.date, doc, writtenDate(own));
		const visit = await visitFor({ store: supper.store, preferences, who: "Ada", nonce: "" });
		const given = { sittingId: sittingId(), dishId: dishId() };
		before = {
			sheet: (await sheetPage(visit, given)).sheet,
			day: await dayPaperPage(visit, { date: supper.date }),
			order: await orderPage(visit, { id: sittingId() }),
			covers: new Set(own.day.tasks.map(({ id }) => id)),
		};
		const stands = await shown();
		expect(stands.issue).toMatchObject({ number: 1, differs: [] });

		await keep({ kind: "covers", sitting: sittingId(), covers: 170 });
		expect((await readSitting(supper.store.db, sittingId())).covers).toBe(170);
		const risen = await shown();
		expect(risen.issue?.differs.length).toBeGreaterThan(0);
		expect([...issuedTags(await place())].sort()).toEqual(
			doc.sittings.flatMap(({ dishes }) => dishes.map(({ id, tag }) => [id, tag])).sort(),
		);
	});

	it("stands on the papers of its dishes with what has changed since, and its letters stay", async () => {
		const visit = await visitFor({ store: supper.store, preferences, who: "Ada", nonce: "" });
		const given = { sittingId: sittingId(), dishId: dishId() };
		const sheet = await sheetPage(visit, given);
		expect(sheet.printed).toMatch(/, after No\. 1, mark [A-Z2-9]{8}$/);
		expect(sheet.since).toBe("After No. 1: 170 covers, was 140.");
		const { labels } = await labelsPage(visit, given);
		expect(labels[0]?.number).toMatch(/^[ABC]1 of \d+$/);
	});

	it("covers the figures that it froze: papers under it print them, whatever is planned since", async () => {
		const visit = await visitFor({ store: supper.store, preferences, who: "Ada", nonce: "" });
		const given = { sittingId: sittingId(), dishId: dishId() };
		const { date } = supper;
		const search = "?number=1";
		const [now, then] = [await sheetPage(visit, given), await sheetPage(visit, { ...given, search })];
		expect(now.sheet?.figures).not.toEqual(then.sheet?.figures);
		expect(then.sheet?.figures).toEqual(before.sheet?.figures);
		expect(then.sheet?.lines).toEqual(before.sheet?.lines);
		expect(then.printed).toMatch(/, dish [ABC] of day No\. 1, as it was issued$/);
		expect(then.since).toBe("Since No. 1: 170 covers, was 140.");
		const [day, risen] = [await dayPaperPage(visit, { date, search }), await dayPaperPage(visit, { date })];
		expect(day?.people).toEqual(covered(before.day ?? {}));
		expect(risen?.people).not.toEqual(before.day?.people);
		const order = await orderPage(visit, { id: sittingId(), search });
		expect(order.groups).toEqual(before.order.groups);
		expect(order.since).toBe(then.since);
	});

	it("from before figures were frozen says so, and one that is no number is not found", async () => {
		const visit = await visitFor({ store: supper.store, preferences, who: "Ada", nonce: "" });
		const given = { sittingId: sittingId(), dishId: dishId() };
		await expect(sheetPage(visit, { ...given, search: "?number=77" })).rejects.toMatchObject({
			data: { missing: "number" },
		});
		await supper.store.db.run(
			sql`INSERT INTO day_issue (date, doc, at, who) SELECT date, doc, at, who FROM day_issue`,
		);
		await expect(sheetPage(visit, { ...given, search: "?number=2" })).rejects.toMatchObject({
			data: { said: expect.stringMatching(/^No\. 2 keeps what it was made from .* not its figures/) },
		});
	});

	it("what is kept is told of the day, with who and when", async () => {
		const gone = supper.own.day.equipment.find(({ name }) => name === "Ina")?.id ?? "";
		await keep({ kind: "away", equipment: gone, from: NOW, to: NOW + 13 * 86_400_000 });
		expect(await readDayChanges(supper.store.db, supper.date)).toHaveLength(1);
		const { told } = await shown();
		expect(told[0]).toMatchObject({
			words: expect.stringContaining("Ina is away"),
			by: expect.stringContaining("Ada"),
		});
		const { day } = await place();
		expect(day.tasks.flatMap(({ uses }) => uses).filter(({ equipment }) => equipment === gone)).toEqual([]);
	});

	it("nothing to keep, or what is no change, is refused with words", async () => {
		await expect(keep()).rejects.toThrow(/change: is missing/);
		const visit = await visitFor({ store: supper.store, preferences, who: "Ada", nonce: "" });
		await expect(keepTrial(visit, supper.date, ["nonsense"])).rejects.toThrow(/can not be read/);
	});
});
