import { spawnSync } from "node:child_process";
import { mkdtempSync, readdirSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { describe, expect, it } from "vitest";
import { addSitting, readBook, readSittings, Store } from "#db";

const YEAR_MS = 365 * 86_400_000;

function seed(data: string, ...words: string[]) {
	const { status, stdout, stderr } = spawnSync("npx", ["tsx", "scripts/seedDemo.ts", ...words], {
		encoding: "utf8",
		env: { ...process.env, WT_DATA: data, DATABASE_URL: "" },
	});
	return { status, said: stdout + stderr };
}

async function inside<T>(data: string, look: (store: Store) => Promise<T>): Promise<T> {
	const store = await Store.open({
		url: `file:${data}/wide-table.db`,
		backups: join(data, "backups"),
		migrations: resolve("db/migrations"),
	});
	try {
		return await look(store);
	} finally {
		await store.close();
	}
}

const sittingsIn = (data: string) =>
	inside(data, (store) => readSittings(store.db, Date.now() - YEAR_MS, Date.now() + YEAR_MS));

describe("the demo data", () => {
	it("is put in once, left alone the next time, and made new by --fresh with the old kept", async () => {
		const data = mkdtempSync(join(tmpdir(), "wide-table-seed-"));
		expect(seed(data).said).toContain("Demo data of Skerry House is in.");
		expect(await inside(data, (store) => readBook(store.db))).toHaveLength(17);
		const details = {
			name: "Own",
			room: "",
			serviceAt: Date.now() + 86_400_000,
			covers: 8,
			hands: 1,
			note: "",
		};
		await inside(data, (store) => addSitting(store, "Ada", details));

		expect(seed(data).status).toBe(0);
		expect(await sittingsIn(data)).toHaveLength(6);

		expect(seed(data, "--fresh").said).toContain("The old demo data is kept in");
		expect((await sittingsIn(data)).map(({ name }) => name)).not.toContain("Own");
		const kept = readdirSync(join(data, "backups")).filter((name) => name.startsWith("before-fresh-"));
		expect(kept.length).toBeGreaterThan(0);
	});

	it("does not start on a setting that cannot be, and says which", () => {
		const file = join(mkdtempSync(join(tmpdir(), "wide-table-seed-")), "file");
		writeFileSync(file, "");
		const { status, said } = seed(join(file, "house"));
		expect(status).toBe(1);
		expect(said).toContain("Cannot start. WT_DATA");
	});
});
