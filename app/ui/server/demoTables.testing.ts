import { resolve } from "node:path";
import type { Kitchen } from "#core/kitchen";
import type { PreparedBatch } from "#core/plan";
import { readKitchen, readSittings, type Sitting, type Store } from "#db";
import { seedSkerryHouse } from "#db/demo";
import { freshStore } from "../../../db/freshStore.testing.ts";
import { type PlannedDishRow, plannedSittings } from "./planned.server.ts";

const FORTNIGHT_MS = 15 * 86_400_000;

/** One dish of a demo sitting with its plan. */
export interface DemoTable {
	readonly sitting: Sitting;
	readonly row: PlannedDishRow;
}

export interface DemoTables {
	readonly kitchen: Kitchen;
	readonly tables: readonly DemoTable[];
	/** What is made in the house for each sitting, by its id. */
	readonly batches: ReadonlyMap<string, readonly PreparedBatch[]>;
}

/** A store of the demo house in a folder of its own, for tests. */
export async function openDemoHouse(now: number): Promise<Store> {
	const store = await freshStore();
	await seedSkerryHouse(store, now, resolve("db/demo/book"));
	return store;
}

/** Every dish of every demo sitting, planned. */
export async function demoTables(now: number): Promise<DemoTables> {
	const store = await openDemoHouse(now);
	const sittings = await readSittings(store.db, now, now + FORTNIGHT_MS);
	const [kitchen, { planned }] = await Promise.all([
		readKitchen(store.db),
		plannedSittings(store.db, sittings),
	]);
	await store.close();
	return {
		kitchen,
		tables: planned.flatMap(({ sitting, rows }) => rows.map((row) => ({ sitting, row }))),
		batches: new Map(planned.map(({ sitting, batches }) => [sitting.id, batches])),
	};
}

/** The table of one dish by the beginning of its name. */
export function tableOf({ tables }: DemoTables, name: string): DemoTable {
	const found = tables.find(({ row }) => row.dish.recipe.name.startsWith(name));
	if (!found) throw new Error(`no ${name} in the demo house`);
	return found;
}
