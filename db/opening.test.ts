import {
	copyFileSync,
	existsSync,
	mkdtempSync,
	readdirSync,
	readFileSync,
	rmSync,
	truncateSync,
	writeFileSync,
} from "node:fs";
import { createServer, type RequestListener, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { createClient } from "@libsql/client";
import Database from "libsql";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { backUp, copiesIn, restore } from "./backups.ts";
import { addSitting, ensureHouse, Store, Unopened, Unwritten } from "./index.ts";
import { sitting } from "./schema.ts";
import { SUPPER } from "./supper.testing.ts";

const MIGRATIONS = resolve("db/migrations");
let folder: string;
let path: string;
let url: string;
const opened: Store[] = [];

beforeEach(() => {
	folder = mkdtempSync(join(tmpdir(), "wide-table-"));
	path = join(folder, "house.db");
	url = `file:${path}`;
});

afterEach(async () => {
	for (const store of opened.splice(0)) await store.close();
});

async function open(address = url): Promise<Store> {
	const store = await Store.open({
		url: address,
		backups: join(folder, "copies"),
		migrations: MIGRATIONS,
		patience_ms: 500,
	});
	opened.push(store);
	return store;
}

/** The house is closed; its files go on elsewhere, as on a machine that was started again. */
function moveOn(): void {
	const next = join(folder, "next.db");
	for (const part of ["", "-wal", "-shm"]) {
		if (existsSync(path + part)) copyFileSync(path + part, next + part);
	}
	path = next;
	url = `file:${next}`;
}

/** Names of the sittings that are stored, in order. */
async function names(store: Store): Promise<readonly string[]> {
	const rows = await store.db.select({ name: sitting.name }).from(sitting);
	return rows.map(({ name }) => name).sort();
}

async function listening(answer: RequestListener): Promise<{ url: string; server: Server }> {
	const server = createServer(answer);
	await new Promise<void>((done) => server.listen(0, "127.0.0.1", done));
	return { url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`, server };
}

async function filled(): Promise<Store> {
	const store = await open();
	await ensureHouse(store);
	await addSitting(store, "Ada", SUPPER);
	return store;
}

/** Opening says why not, and the file is as it was. */
async function expectRefused(words: string): Promise<void> {
	const before = readFileSync(path);
	const refused = await open().catch((error: unknown) => error);
	expect(refused).toBeInstanceOf(Unopened);
	expect((refused as Error).message).toContain(words);
	expect(readFileSync(path)).toEqual(before);
}

describe("a database that cannot be opened says so and is left alone", () => {
	it("what is no database", async () => {
		writeFileSync(path, "this is a shopping list\n".repeat(300));
		await expectRefused("is damaged or is no database");
	});

	it("an emptied file", async () => {
		writeFileSync(path, "");
		await expectRefused("is empty");
	});

	it("a file cut short", async () => {
		await (await filled()).close();
		moveOn();
		truncateSync(path, 12_000);
		for (const part of ["-wal", "-shm"]) rmSync(path + part, { force: true });
		await expectRefused("is damaged");
	});

	it("the database of another program", async () => {
		const other = createClient({ url });
		await other.execute("CREATE TABLE guests (name TEXT)");
		other.close();
		await expectRefused("another program");
	});

	it("a folder that is not there", async () => {
		await expect(open(`file:${folder}/none/house.db`)).rejects.toThrow("cannot be opened");
	});

	it("a server that is not there", async () => {
		// Beside a port that is held, so that nobody else is given it meanwhile.
		const { url: held, server } = await listening(() => undefined);
		await expect(open(held.replace("127.0.0.1", "127.0.0.2"))).rejects.toThrow("does not answer");
		server.close();
	});

	it("a server that breaks off", async () => {
		const { url: broken, server } = await listening((request) => request.socket.destroy());
		await expect(open(broken)).rejects.toThrow("does not answer");
		server.close();
	});

	it("a server that hangs", async () => {
		const { url: hanging, server } = await listening(() => undefined);
		await expect(open(hanging)).rejects.toThrow("does not answer");
		server.closeAllConnections();
		server.close();
	});
});

describe("a lock of another program", () => {
	it("is waited for while others are answered, and writes go on when it is gone", async () => {
		const store = await filled();
		const other = new Database(path);
		other.exec("BEGIN IMMEDIATE");
		const saved = addSitting(store, "Ada", { ...SUPPER, name: "Breakfast" });
		let answered = 0;
		for (; answered < 5; answered += 1) await store.ping();
		other.exec("ROLLBACK");
		other.close();
		await saved;
		expect(answered).toBe(5);
		expect(await names(store)).toEqual(["Breakfast", "Supper"]);
		expect(store.unwritten).toBeNull();
	});

	it("held too long is said, and the next write is kept again", async () => {
		const store = await filled();
		const other = new Database(path);
		other.exec("BEGIN IMMEDIATE");
		const refused = await addSitting(store, "Ada", SUPPER).catch((error: unknown) => error);
		expect(refused).toBeInstanceOf(Unwritten);
		expect(store.unwritten).toContain("another program");
		other.exec("ROLLBACK");
		other.close();
		await addSitting(store, "Ada", SUPPER);
		expect(await names(store)).toHaveLength(2);
		expect(store.unwritten).toBeNull();
	}, 20_000);
});

describe("copies", () => {
	it("are made while the house is in use, and the oldest go", async () => {
		const store = await filled();
		const copies = join(folder, "copies");
		const made: string[] = [];
		for (let copy = 0; copy < 3; copy += 1) {
			made.push(await backUp(url, copies, 2));
			await addSitting(store, "Ada", SUPPER);
		}
		expect((await copiesIn(copies)).map((name) => join(copies, name))).toEqual(made.slice(1).reverse());
		expect(readdirSync(copies).filter((name) => name.endsWith(".part"))).toEqual([]);
	});

	it("bring the house back as it was, and keep what they replace", async () => {
		const store = await filled();
		const copy = await backUp(url, join(folder, "copies"), 5);
		await addSitting(store, "Ada", { ...SUPPER, name: "Later" });
		await store.close();
		moveOn();
		const kept = await restore(copy, url, join(folder, "copies"));
		expect(await names(await open())).toEqual(["Supper"]);
		const replaced = await open(`file:${kept}`);
		expect(await names(replaced)).toContain("Later");
	});

	it("bring a house back whose database is damaged", async () => {
		const store = await filled();
		const copy = await backUp(url, join(folder, "copies"), 5);
		await store.close();
		moveOn();
		writeFileSync(path, "broken");
		await restore(copy, url, join(folder, "copies"));
		expect(await names(await open())).toHaveLength(1);
	});

	it("are not put over a house in use", async () => {
		const store = await filled();
		const copy = await backUp(url, join(folder, "copies"), 5);
		await expect(restore(copy, url, join(folder, "copies"))).rejects.toThrow("is in use");
		expect(await names(store)).toHaveLength(1);
	});

	it("that are damaged are not put in the place of anything", async () => {
		const store = await filled();
		const copy = await backUp(url, join(folder, "copies"), 5);
		await store.close();
		const damaged = join(folder, "damaged.db");
		copyFileSync(copy, damaged);
		truncateSync(damaged, 9000);
		await expect(restore(damaged, url, join(folder, "copies"))).rejects.toThrow("is damaged");
		expect(await names(await open())).toHaveLength(1);
	});
});
