import { setTimeout as pause } from "node:timers/promises";
import { afterEach, describe, expect, it } from "vitest";
import type { Config } from "./config.ts";
import { HeavyPool, type Lane, type LaneLimits, newProgress } from "./pool.ts";

const CONFIG = { DATABASE_URL: "file:/nowhere.db" } as Config;
const WORKER = { filename: new URL("pool.testing.mjs", import.meta.url).pathname };
const USUAL = { deadline_ms: 20_000, mostWaiting: 10 };

let pool: HeavyPool;

afterEach(() => pool.close());

function poolWith(limits: Partial<Record<Lane, LaneLimits>> = {}): HeavyPool {
	pool = new HeavyPool(CONFIG, WORKER, { plans: USUAL, searches: USUAL, files: USUAL, ...limits });
	return pool;
}

function run(name: string, given: unknown = null, options: Partial<Parameters<HeavyPool["run"]>[1]> = {}) {
	return pool.run(
		{
			name,
			given,
			preferences: { light: "bench", shortKeys: true, paper: "A4", clockHours: "24" },
			who: "Ada",
		},
		{ signal: new AbortController().signal, lane: "files", ...options },
	);
}

/** What a page is thrown. */
const shown = (status: number, said: string) => ({
	data: { said: expect.stringContaining(said) },
	init: { status },
});

describe("a job beside the thread that answers", () => {
	it("is given what it asks for, and for whom", async () => {
		poolWith();
		expect(await run("echo", { covers: 600 })).toEqual({ given: { covers: 600 }, who: "Ada" });
	});

	it("finds a thread of each lane ready where they were warmed", async () => {
		expect(await poolWith().warm()).toBe(3);
	});

	it("begins no thread any more once it is closed, of those that are being warmed neither", async () => {
		const warming = poolWith().warm();
		await pool.close();
		expect(await warming).toBeLessThan(3);
		await expect(run("echo")).rejects.toMatchObject(shown(503, "being closed"));
	});

	it("leaves this thread free while it works", async () => {
		poolWith();
		await run("echo");
		let beats = 0;
		const beat = setInterval(() => {
			beats += 1;
		}, 5);
		await run("spin", 400);
		clearInterval(beat);
		expect(beats).toBeGreaterThan(10);
	});

	it("tells how far it is", async () => {
		poolWith();
		const progress = newProgress();
		await run("count", null, { progress });
		expect([...progress]).toEqual([3, 7]);
	});

	it("throws what a page shows as the page would have, and a fault as a fault", async () => {
		poolWith();
		await expect(run("missing")).rejects.toMatchObject({
			data: { missing: "sitting" },
			init: { status: 404 },
		});
		await expect(run("nothing")).rejects.toThrow("no nothing");
	});
});

describe("a job that may not go on", () => {
	it("is stopped when it takes too long, with words, and the next one is done", async () => {
		poolWith({ files: { deadline_ms: 300, mostWaiting: 10 } });
		await expect(run("spin", 60_000)).rejects.toMatchObject(shown(503, "took longer than"));
		await pause(50);
		poolWith();
		expect(await run("wait", 1)).toBe("waited");
	});

	it("is not begun where too many wait", async () => {
		poolWith({ files: { deadline_ms: 20_000, mostWaiting: 2 } });
		const all = await Promise.allSettled([1, 2, 3, 4, 5, 6].map(() => run("wait", 200)));
		const refused = all.filter(({ status }) => status === "rejected");
		expect(refused.length).toBeGreaterThan(0);
		expect(all.length - refused.length).toBeGreaterThanOrEqual(2);
		for (const { reason } of refused as PromiseRejectedResult[]) {
			expect(reason).toMatchObject(shown(503, "Too much is being worked out"));
		}
	});

	it("ends where its page was left", async () => {
		poolWith();
		const left = new AbortController();
		const running = run("spin", 60_000, { signal: left.signal });
		left.abort();
		await expect(running).rejects.toMatchObject(shown(503, "stopped"));
	});

	it("ends where it wants more memory than there is, and only itself", async () => {
		// To fill the memory takes its time where others want the machine too.
		poolWith({ files: { deadline_ms: 80_000, mostWaiting: 10 } });
		await expect(run("hoard")).rejects.toMatchObject(shown(503, "more memory"));
		expect(await run("echo", 1)).toEqual({ given: 1, who: "Ada" });
	}, 90_000);
});
