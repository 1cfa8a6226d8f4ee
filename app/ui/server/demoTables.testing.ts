import { resolve } from "node:path";
import type { WorkedBatch } from "#core/day";
import type { Kitchen } from "#core/kitchen";
import { wallClock } from "#core/time";
import { readHouse, readKitchen, type Sitting, type Store } from "#db";
import { seedSkerryHouse } from "#db/demo";
import { freshStore } from "../../../db/freshStore.testing.ts";
import { type WorkedDate, type WorkedRow, workedDates } from "./worked.server.ts";

const FORTNIGHT_MS = 15 * 86_400_000;

/** One dish of a demo sitting with its plan. */
export interface DemoTable {
	readonly sitting: Sitting;
	readonly row: WorkedRow;
}

export interface DemoTables {
	readonly kitchen: Kitchen;
	readonly tables: readonly DemoTable[];
	/** What is made in the house for each sitting, by its id. */
	readonly batches: ReadonlyMap<string, readonly WorkedBatch[]>;
	readonly dates: readonly WorkedDate[];
}

/** A store of the demo house in a folder of its own, for tests. */
export async function openDemoHouse(now: number): Promise<Store> {
	const store = await freshStore();
	await seedSkerryHouse(store, now, resolve("db/demo/book"));
	return store;
}

/** Every dish of every demo sitting, as its day has it. */
export async function demoTables(now: number): Promise<DemoTables> {
	const store = await openDemoHouse(now);
	const { timeZone } = await readHouse(store.db);
	const dateOf = (at: number) => wallClock(at, timeZone).date;
	const [kitchen, dates] = await Promise.all([
		readKitchen(store.db),
		workedDates(store.db, dateOf(now), dateOf(now + FORTNIGHT_MS)),
	]);
	await store.close();
	const sittings = dates.flatMap((date) => date.sittings);
	return {
		kitchen,
		dates,
		tables: sittings.flatMap(({ sitting, rows }) => rows.map((row) => ({ sitting, row }))),
		batches: new Map(sittings.map(({ sitting, batches }) => [sitting.id, batches])),
	};
}

/** The table of one dish by the beginning of its name. */
export function tableOf({ tables }: DemoTables, name: string): DemoTable {
	const found = tables.find(({ row }) => row.dish.recipe.name.startsWith(name));
	if (!found) throw new Error(`no ${name} in the demo house`);
	return found;
}
