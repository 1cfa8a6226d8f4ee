import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { readHouse, readSittings, type Store } from "#db";
import { openDemoHouse } from "../ui/server/demoTables.testing.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { readingIn } from "../ui/words/reading.ts";
import { type Order, orderFor } from "./order.ts";

const NOW = Date.UTC(2026, 10, 24, 9, 0);

let store: Store;
let visit: HouseVisit;
let orders: Order[];

beforeAll(async () => {
	store = await openDemoHouse(NOW);
	const house = await readHouse(store.db);
	const preferences = { light: "bench", shortKeys: true, paper: "A4", clockHours: "24" } as const;
	visit = {
		store,
		house,
		preferences,
		who: "Ada",
		nonce: "",
		reading: readingIn("metric", house.timeZone, NOW),
	};
	const sittings = await readSittings(store.db, NOW, NOW + 15 * 86_400_000);
	orders = await Promise.all(sittings.map(({ id }) => orderFor(visit, id)));
});
afterAll(() => store.close());

const rowsOf = (order: Order) => order.groups.flatMap(({ rows }) => rows);

describe("the order of a sitting", () => {
	it("has every ingredient once, with the supplier it comes from", () => {
		for (const order of orders) {
			const names = rowsOf(order).map(({ ingredient }) => ingredient.id);
			expect(new Set(names).size).toBe(names.length);
			for (const { supplier, rows } of order.groups) {
				expect(rows.every(({ ingredient }) => ingredient.supplier === supplier)).toBe(true);
			}
		}
	});

	it("orders no stock that is made in the house, but its bones, and no water", () => {
		const names = orders.flatMap((order) => rowsOf(order).map(({ ingredient }) => ingredient.name));
		expect(names).toContain("chicken bones");
		expect(names).not.toContain("light chicken stock");
		expect(names).not.toContain("water");
	});

	it("is in whole packs, enough and no pack too many", () => {
		for (const { packs, pack_kg, order_kg, asPurchased_kg } of orders.flatMap(rowsOf)) {
			if (packs === null || pack_kg === null) continue;
			expect(order_kg).toBeCloseTo(packs * pack_kg, 9);
			expect(order_kg).toBeGreaterThanOrEqual(asPurchased_kg - 1e-9);
			expect(order_kg - asPurchased_kg).toBeLessThan(pack_kg + 1e-9);
		}
	});

	it("buys the goat that the long table says", () => {
		const supper = orders.find(({ sitting }) => sitting.name === "Festival supper");
		if (!supper) throw new Error("no supper");
		const goat = rowsOf(supper).find(({ ingredient }) => ingredient.id === "goat-shoulder");
		expect(goat).toMatchObject({
			packs: 6,
			order_kg: 27,
			dishes: ["Goat shoulder, smoked paprika, white beans"],
		});
	});

	it("is to be given by the first that has to be ordered", () => {
		for (const { orderBy, sitting, without } of orders) {
			expect(without).toEqual([]);
			expect(orderBy).toBeLessThan(sitting.serviceAt);
		}
	});
});
