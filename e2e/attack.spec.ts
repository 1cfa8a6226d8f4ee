import { request as http } from "node:http";
import { createClient } from "@libsql/client";
import { type Hostile, hostileRequests } from "./attack/hostile.ts";
import { expect, type House, test } from "./house.ts";

test.use({ houseOf: "attack" });

/** Hostile requests: some in every test, many in the soak. */
const REQUESTS = Number(process.env.WT_ATTACKS ?? 200);
const SEED = Number(process.env.WT_SEED ?? 20_261_127);
/** Whoever waits longer for an answer takes it for broken, ms. Said, and not judged: machines differ. */
const HANG_MS = 1000;
/** An answer that never comes ends the test, ms. */
const NEVER_MS = 30_000;

interface Answer {
	readonly status: number;
	readonly took_ms: number;
}

test(`${REQUESTS} hostile requests get no answer of 5xx, end nothing, and take nothing away`, async ({
	house,
}) => {
	test.setTimeout(60_000 + REQUESTS * 500);
	const { sitting, dish } = await firstDish(house);
	const before = await counts(house);
	// A house in use: somebody has looked at Today since it was started.
	expect((await fetch(house.url)).status).toBe(200);
	const failed: string[] = [];
	const slow: string[] = [];
	const statuses = new Map<number, number>();
	let slowest_ms = 0;
	const requests = hostileRequests({ origin: house.url, sitting, dish }, SEED);
	for (let sent = 0; sent < REQUESTS; sent += 1) {
		const hostile = requests.next().value as Hostile;
		const { status, took_ms } = await answerTo(house, hostile);
		statuses.set(status, (statuses.get(status) ?? 0) + 1);
		slowest_ms = Math.max(slowest_ms, took_ms);
		if (status >= 500 || status === 0) failed.push(`${status} ${told(hostile)}`);
		if (took_ms > HANG_MS) slow.push(`${Math.round(took_ms)} ms ${told(hostile)}`);
	}
	const answered = [...statuses].sort(([a], [b]) => a - b).map(([status, count]) => `${status}: ${count}`);
	console.log(
		`${REQUESTS} requests (${answered.join(", ")}); 5xx or none: ${failed.length}; over 1 s: ${slow.length}; slowest ${Math.round(slowest_ms)} ms`,
	);
	for (const line of slow.slice(0, 20)) console.log(`slow: ${line}`);
	expect(failed).toEqual([]);
	expect(await (await fetch(`${house.url}/healthz`)).text()).toBe("ok");
	const after = await counts(house);
	for (const [table, count] of Object.entries(before)) {
		expect(after[table], table).toBeGreaterThanOrEqual(count);
	}
});

async function firstDish(house: House): Promise<{ sitting: string; dish: string }> {
	const client = createClient({ url: `file:${house.database}` });
	const { rows } = await client.execute("SELECT sitting_id, id FROM sitting_dish LIMIT 1");
	client.close();
	const sitting = `/sittings/${rows[0]?.sitting_id}`;
	return { sitting, dish: `${sitting}/dishes/${rows[0]?.id}` };
}

/** Rows of everything that nobody may lose. */
async function counts(house: House): Promise<Record<string, number>> {
	const client = createClient({ url: `file:${house.database}` });
	const found: Record<string, number> = {};
	for (const table of [
		"recipe",
		"recipe_version",
		"ingredient",
		"ingredient_price",
		"event",
		"pan_type",
		"oven",
	]) {
		const { rows } = await client.execute(`SELECT count(*) AS rows FROM ${table}`);
		found[table] = Number(rows[0]?.rows);
	}
	client.close();
	return found;
}

/**
 * Status 0 where the connection broke or nothing came. A connection that was kept open may be closed by
 * the server in the moment in which it is used again; then it is asked once more on a new one, as
 * browsers do.
 */
async function answerTo(house: House, hostile: Hostile): Promise<Answer> {
	const first = await answerOnce(house, hostile);
	return first === "closed" ? ((await answerOnce(house, hostile, false)) as Answer) : first;
}

function answerOnce(
	house: House,
	{ method, path, headers, body }: Hostile,
	agent?: false,
): Promise<Answer | "closed"> {
	const since = performance.now();
	return new Promise((resolve) => {
		const end = (status: number) => resolve({ status, took_ms: performance.now() - since });
		const length = body === undefined ? {} : { "content-length": String(Buffer.byteLength(body)) };
		const sent = http(
			house.url,
			{
				method,
				path,
				headers: { ...headers, ...length },
				timeout: NEVER_MS,
				...(agent === undefined ? {} : { agent }),
			},
			(answer) => {
				answer.resume();
				answer.on("end", () => end(answer.statusCode ?? 0));
				answer.on("error", () => end(0));
			},
		);
		sent.on("timeout", () => sent.destroy());
		sent.on("error", (error: NodeJS.ErrnoException) => {
			if (sent.reusedSocket && error.code === "ECONNRESET") resolve("closed");
			else end(0);
		});
		sent.end(body);
	});
}

function told({ method, path, headers, body }: Hostile): string {
	const type = headers["content-type"] ?? "";
	return `${method} ${path.slice(0, 300)} ${type} ${JSON.stringify((body ?? "").slice(0, 200))} (${body?.length ?? 0} characters)`;
}
