import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { isEqual } from "es-toolkit";
import { afterEach, describe, expect, it, vi } from "vitest";
import { readBack, writtenDown } from "#core/day";
import { ensureHouse, tellDayChanges } from "#db";
import { seedSkerryHouse } from "../../../db/demo/index.ts";
import { storeIn } from "../../../db/freshStore.testing.ts";
import { storeDates } from "./storedDates.server.ts";
import { workedDates } from "./worked.server.ts";

const NOW = Date.UTC(2026, 10, 28, 9);
const DATE = "2026-12-05";

afterEach(() => {
	vi.unstubAllEnvs();
	vi.restoreAllMocks();
});

/** A house whose days were placed and kept by a build, and the same house after a start. */
async function startedAgain() {
	vi.stubEnv("WIDE_TABLE_BUILD", "one");
	const folder = mkdtempSync(join(tmpdir(), "wide-table-kept-"));
	const first = await storeIn(folder);
	await ensureHouse(first);
	await seedSkerryHouse(first, NOW, resolve("db/demo/book"));
	const dates = await workedDates(first.db, DATE, DATE);
	await storeDates(first, dates);
	return { dates, again: await storeIn(folder) };
}

describe("days that were placed before a start", () => {
	it("are read back, figure for figure", async () => {
		const { dates, again } = await startedAgain();
		// Stands for what only the table knows, so that a placing could not give it.
		await again.write((tx) => tx.run("UPDATE placed_date SET as_issued = 1"));
		const [read] = await workedDates(again.db, DATE, DATE);
		expect(read?.asIssued).toBe(true);
		expect(read?.mark).toBe(dates.at(-1)?.mark);
		const asWritten = (value: unknown) => readBack(writtenDown(value));
		for (const part of ["day", "sittings"] as const) {
			expect(isEqual(read?.[part], asWritten(dates.at(-1)?.[part]))).toBe(true);
		}
		expect(read?.given().kitchen).toEqual(dates.at(-1)?.given().kitchen);
	});

	it("are placed anew once something was told, and by another build", async () => {
		const { dates, again } = await startedAgain();
		await again.write((tx) => tx.run("UPDATE placed_date SET as_issued = 1"));
		const [oven] = dates.at(-1)?.day.equipment.filter(({ kind }) => kind === "oven") ?? [];
		const [from, to] = [Date.parse(`${DATE}T10:00Z`), Date.parse(`${DATE}T12:00Z`)];
		await tellDayChanges(again, "Ada", DATE, [{ kind: "away", equipment: oven?.id ?? "", from, to }]);
		const [told] = await workedDates(again.db, DATE, DATE);
		expect(told?.asIssued).toBe(false);
		vi.stubEnv("WIDE_TABLE_BUILD", "two");
		const [other] = await workedDates(again.db, "2026-12-07", "2026-12-07");
		expect(other?.asIssued).toBe(false);
		expect(other?.date).toBe("2026-12-07");
	});

	it("are placed anew where what was kept can not be read, and that is said", async () => {
		const { dates, again } = await startedAgain();
		const said = vi.spyOn(console, "error").mockReturnValue();
		await again.write((tx) => tx.run("UPDATE placed_date SET doc = x'010203'"));
		const [read] = await workedDates(again.db, DATE, DATE);
		expect(read?.day.tasks).toEqual(dates.at(-1)?.day.tasks);
		expect(said).toHaveBeenCalledOnce();
	});
});
