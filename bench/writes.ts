import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type Client, createClient } from "@libsql/client";
import { addSitting, changeSitting } from "#db";
import { freshStore } from "../db/freshStore.testing.ts";
import { median, report } from "./table.ts";

const ROUNDS = 5;
const WRITES = 400;

/** Changes of a sitting one after another, against the same statements put to the driver bare. */
export async function benchWrites(): Promise<void> {
	const store = await freshStore();
	const details = { name: "Supper", room: "", serviceAt: Date.now(), covers: 10, hands: 2, note: "" };
	const id = await addSitting(store, "Ada", details);
	let version = 1;
	const change = async () => {
		await changeSitting(store, id, version, "Ada", (now) => ({ ...now, covers: 10 + (version % 50) }));
		version += 1;
	};
	const bare = createClient({ url: `file:${join(mkdtempSync(join(tmpdir(), "wide-table-bare-")), "a.db")}` });
	await bare.execute("PRAGMA journal_mode = WAL");
	await bare.batch([
		"CREATE TABLE thing (id INTEGER PRIMARY KEY, words TEXT, figure INTEGER)",
		"INSERT INTO thing VALUES (1, 'a', 1)",
	]);
	const own: number[] = [];
	const theirs: number[] = [];
	for (let round = 0; round < ROUNDS; round += 1) {
		own.push(await aSecond(change));
		theirs.push(await aSecond(() => bareChange(bare)));
	}
	await store.close();
	bare.close();
	const ratio = median(theirs.map((rate, round) => rate / (own[round] as number)));
	console.log(`\nWrites: ${WRITES} changes of a sitting, ${ROUNDS} rounds in turn (median)`);
	report("changes a second, each with its record", median(own).toFixed(0));
	report("bare: two reads, a change and a row, in a transaction", median(theirs).toFixed(0));
	report("bare is quicker by", `${ratio.toFixed(1)} ×`, "at most 5 ×");
}

async function bareChange(client: Client): Promise<void> {
	const tx = await client.transaction("write");
	await tx.execute("SELECT * FROM thing WHERE id = 1");
	await tx.execute("SELECT * FROM thing WHERE id = 2");
	await tx.execute({ sql: "UPDATE thing SET figure = figure + ? WHERE id = 1", args: [1] });
	await tx.execute({ sql: "INSERT INTO thing (words, figure) VALUES (?, ?)", args: ["event", 1] });
	await tx.commit();
}

/** So many a second, of a run of them. */
async function aSecond(work: () => Promise<void>): Promise<number> {
	const since = performance.now();
	for (let count = 0; count < WRITES; count += 1) await work();
	return (WRITES / (performance.now() - since)) * 1000;
}
