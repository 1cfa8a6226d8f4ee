import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { DAY_MS } from "#core/time";
import { addSitting, readHouse, readSittings, type Store } from "#db";
import { openDemoHouse } from "../ui/server/demoTables.testing.ts";
import { visitFor } from "../ui/server/visit.ts";
import { MOST_DISHES, todayPage } from "./todayPage.ts";

const preferences = { light: "bench", shortKeys: true, paper: "A4", clockHours: "24" } as const;
let store: Store;

beforeAll(async () => {
	store = await openDemoHouse(Date.now());
});

afterAll(() => store.close());

const page = async () => todayPage(await visitFor({ store, preferences, who: "Ada", nonce: "" }));

describe("the first page", () => {
	it("plans every sitting of an ordinary fortnight", async () => {
		const { more, sittings } = await page();
		expect(more).toBe(0);
		expect(sittings.length).toBeGreaterThan(2);
	});

	it("plans the soonest of very many, and counts the others", async () => {
		const house = await readHouse(store.db);
		const now = Date.now();
		const before = (await readSittings(store.db, now, now + 13 * DAY_MS)).length;
		for (let added = 0; added < 2 * MOST_DISHES; added += 1) {
			const details = { name: `Lunch ${added}`, room: house.name, covers: 20, hands: 1, note: "" };
			await addSitting(store, "Ada", { ...details, serviceAt: now + DAY_MS + added * 1000 });
		}
		const { more, sittings } = await page();
		expect(sittings.length).toBeLessThanOrEqual(MOST_DISHES);
		expect(more + sittings.length).toBeGreaterThanOrEqual(before + 2 * MOST_DISHES);
		expect(sittings[0]?.name).toBe("Lunch 0");
	});
});
