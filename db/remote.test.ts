import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { seedSkerryHouse } from "./demo/index.ts";
import { addSitting, changeSitting, ensureHouse, readBook, readSitting, Stale, Store } from "./index.ts";
import { StandInServer } from "./standInServer.testing.ts";
import { SUPPER } from "./supper.testing.ts";

let server: StandInServer;
let folder: string;

const open = () =>
	Store.open({ url: server.url, backups: folder, migrations: resolve("db/migrations"), authToken: "token" });

beforeEach(async () => {
	folder = mkdtempSync(join(tmpdir(), "wide-table-remote-"));
	server = await StandInServer.start(`${folder}/server.db`);
});

afterEach(() => server.stop());

describe("a libSQL server that several machines share", () => {
	it("is brought up to date, takes the demo house, and keeps it for the next machine", async () => {
		const first = await open();
		await ensureHouse(first);
		await seedSkerryHouse(first, Date.UTC(2026, 10, 24), resolve("db/demo/book"));
		await first.close();
		const second = await open();
		expect((await readBook(second.db)).map(({ number }) => number)).toEqual(Array(17).fill(1));
		expect(await ensureHouse(second)).toBe(false);
		expect(server.answered).toBeGreaterThan(20);
		await second.close();
	});

	it("writes a change whole or not at all", async () => {
		const store = await open();
		await ensureHouse(store);
		const id = await addSitting(store, "Ada", SUPPER);
		const broken = changeSitting(store, id, 1, "Ada", (now) => ({
			...now,
			covers: 200,
			dishes: [{ ...DISH, recipeVersionId: "none" }],
		}));
		await expect(broken).rejects.toThrow();
		expect(await readSitting(store.db, id)).toMatchObject({ covers: 140, version: 1, dishes: [] });
		await store.close();
	});

	it("tells the second of two machines what the first did", async () => {
		const [here, there] = [await open(), await open()];
		await ensureHouse(here);
		const id = await addSitting(here, "Ada", SUPPER);
		await changeSitting(here, id, 1, "Ada", (now) => ({ ...now, covers: 150 }));
		const second = changeSitting(there, id, 1, "Ben", (now) => ({ ...now, covers: 160 }));
		const stale: unknown = await second.catch((error) => error);
		expect(stale).toBeInstanceOf(Stale);
		expect((stale as Stale).events[0]).toMatchObject({ who: "Ada" });
		expect(await readSitting(there.db, id)).toMatchObject({ covers: 150, version: 2 });
		await Promise.all([here.close(), there.close()]);
	});
});

const DISH = {
	id: "d",
	recipeVersionId: "r",
	uptake: 1,
	spare: 0,
	basis: "covers" as const,
	onHand_g: null,
	panCount: null,
	panTypeId: null,
	panWishes: [],
	line: null,
	colour: null,
	ahead: null,
	chill: null,
	cook: null,
	share: null,
	swaps: [],
	byProducts: {},
};
