import { resolve } from "node:path";
import type { Kitchen } from "#core/plan";
import { readKitchen, readSittings, type Sitting, type Store } from "#db";
import { seedSkerryHouse } from "#db/demo";
import { freshStore } from "../../db/freshStore.testing.ts";
import { type PlannedDishRow, plannedDishes } from "./planned.server.ts";

const FORTNIGHT_MS = 15 * 86_400_000;

/** One dish of a demo sitting with its plan. */
export interface DemoTable {
	readonly sitting: Sitting;
	readonly row: PlannedDishRow;
}

export interface DemoTables {
	readonly kitchen: Kitchen;
	readonly tables: readonly DemoTable[];
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
	const kitchen = await readKitchen(store.db);
	const sittings = await readSittings(store.db, now, now + FORTNIGHT_MS);
	const tables = await Promise.all(
		sittings.map(async (sitting) =>
			(await plannedDishes(store.db, sitting, kitchen)).map((row) => ({ sitting, row })),
		),
	);
	await store.close();
	return { kitchen, tables: tables.flat() };
}

/** The table of one dish by the beginning of its name. */
export function tableOf({ tables }: DemoTables, name: string): DemoTable {
	const found = tables.find(({ row }) => row.dish.recipe.name.startsWith(name));
	if (!found) throw new Error(`no ${name} in the demo house`);
	return found;
}
