import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { readSittings, type Store } from "#db";
import { seedSkerryHouse } from "#db/demo";
import { type HeavyAnswer, openStore } from "#server";
import { readConfig } from "../server/config.ts";
import { HeavyPool } from "../server/pool.ts";
import { JOBS, type Jobs } from "./heavyJobs.ts";
import { visitFor } from "./ui/server/visit.ts";

const NOW = Date.now();
const preferences = { light: "bench", shortKeys: true, paper: "A4", clockHours: "24" } as const;
let store: Store;
let pool: HeavyPool;
let ids: { sittingId: string; dishId: string };

beforeAll(async () => {
	const config = readConfig({ WT_DATA: mkdtempSync(join(tmpdir(), "wide-table-heavy-")) });
	store = await openStore(config);
	await seedSkerryHouse(store, NOW, resolve("db/demo/book"));
	const [sitting] = await readSittings(store.db, NOW, NOW + 15 * 86_400_000);
	const [dish] = sitting?.dishes ?? [];
	if (!sitting || !dish) throw new Error("nothing is planned");
	ids = { sittingId: sitting.id, dishId: dish.id };
	pool = new HeavyPool(config);
}, 120_000);

afterAll(async () => {
	await pool.close();
	await store.close();
});

const inThread = (name: string, given: unknown) =>
	pool.run({ name, given, preferences, who: "Ada" }, { lane: "plans", signal: new AbortController().signal });

/** Without the minute it was made in, and the id it gives out. */
const still = (value: unknown) =>
	JSON.stringify(value)
		.replace(/\d\d:\d\d/g, "clock")
		.replace(/"newId":"[^"]*"/, "");

describe("pages made by a thread beside the one that answers", () => {
	it.each([
		["today", () => ({})],
		["sitting", () => ({ id: ids.sittingId })],
		["order", () => ({ id: ids.sittingId })],
		["longTable", () => ({ ...ids, search: "?place=braise" })],
		["morePans", () => ({ ...ids, search: "" })],
		["sheet", () => ids],
		["labels", () => ids],
		["cutting", () => ids],
		["lab", () => ({ asked: [] })],
		["trainingRound", () => ({ seed: 7, of: 2 })],
		["giveOut", () => ({ name: "ingredients", ending: "csv" })],
	] satisfies [keyof Jobs, () => object][])("%s is what it is here", async (name, given) => {
		const visit = await visitFor({ store, preferences, who: "Ada", nonce: "" });
		const here = await (JOBS[name] as (...given: unknown[]) => Promise<unknown>)(visit, given());
		expect(still(await inThread(name, given()))).toBe(still(here));
	});

	it("say what is not there", async () => {
		const thrown: HeavyAnswer = { thrown: { data: { missing: "sitting" }, status: 404 } };
		await expect(inThread("sitting", { id: "none" })).rejects.toMatchObject({
			data: thrown.thrown.data,
			init: { status: thrown.thrown.status },
		});
	});
});
