import { type ChildProcess, spawn, spawnSync } from "node:child_process";
import { randomInt } from "node:crypto";
import { once } from "node:events";
import { cpSync, mkdtempSync, rmSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { test as base, type Page } from "@playwright/test";

/** Names the folder that holds the demo data, put in once. */
export const SEEDED_ONCE = "WT_SEEDED_ONCE";

/** Servers that run; who breaks off does not leave them behind. */
const running = new Set<ChildProcess>();
process.once("exit", () => {
	for (const server of running) server.kill("SIGKILL");
});

/** Skerry House on a data folder of its own, served from the production build. */
export class House {
	readonly data = mkdtempSync(join(tmpdir(), "wide-table-house-"));
	#server: ChildProcess | undefined;
	#port = 0;

	get url(): string {
		return `http://127.0.0.1:${this.#port}`;
	}

	get database(): string {
		return `${this.data}/wide-table.db`;
	}

	/** Deletes the database of a server that is stopped. */
	deleteDatabase(): void {
		for (const part of ["", "-wal", "-shm"]) rmSync(this.database + part, { force: true });
	}

	/** Puts the demo data in: a copy of what was put in once for the whole run, where there is one. */
	seed(): void {
		const once = process.env[SEEDED_ONCE];
		if (once) {
			cpSync(once, this.data, { recursive: true });
			return;
		}
		const { status, stderr } = spawnSync("npx", ["tsx", "scripts/seedDemo.ts"], {
			env: this.#environment(),
			encoding: "utf8",
		});
		if (status !== 0) throw new Error(stderr);
	}

	async start(): Promise<void> {
		this.#port ||= await freePort();
		const server = spawn("node", ["scripts/serve.mjs"], {
			env: this.#environment(),
			stdio: ["ignore", "ignore", "inherit"],
		});
		this.#server = server;
		running.add(server);
		server.once("exit", () => running.delete(server));
		for (let attempt = 0; attempt < 200; attempt += 1) {
			if (server.exitCode !== null) throw new Error(`the server ended with ${server.exitCode}`);
			const answer = await fetch(`${this.url}/healthz`).catch(() => undefined);
			if (answer?.ok) return;
			await new Promise((done) => setTimeout(done, 50));
		}
		throw new Error("the server does not answer");
	}

	/** Ends the server and waits until it is gone. @returns its exit code, null when it was killed */
	async stop(signal: "SIGTERM" | "SIGKILL" = "SIGTERM"): Promise<number | null> {
		const server = this.#server;
		if (!server || server.exitCode !== null) return server?.exitCode ?? null;
		server.kill(signal);
		await once(server, "exit");
		return server.exitCode;
	}

	async restart(): Promise<void> {
		await this.stop();
		await this.start();
	}

	#environment(): NodeJS.ProcessEnv {
		const { DATABASE_URL: _, DATABASE_AUTH_TOKEN: __, ...rest } = process.env;
		return {
			...rest,
			WT_DATA: this.data,
			PORT: String(this.#port || 3140),
			HOST: "127.0.0.1",
			WT_COPIES_EVERY_H: "0",
			LOG_LEVEL: "silent",
			NODE_ENV: "production",
		};
	}
}

/** Posts a form as a page of the house does. @returns where it leads, or its status */
export async function post(house: House, path: string, fields: Record<string, string>): Promise<string> {
	const answer = await fetch(house.url + path, {
		method: "POST",
		body: new URLSearchParams(fields),
		headers: { origin: house.url },
		redirect: "manual",
	});
	return answer.headers.get("location") ?? String(answer.status);
}

/** Below those that are handed out for connections, which would take one while a house starts anew. */
const PORTS = { from: 20_000, each: 4000 };
/** Those that were given out already. */
const given = new Set<number>();

/** A port on which nobody listens; each worker of the tests has its own to choose from. */
export async function freePort(): Promise<number> {
	const from = PORTS.from + Number(process.env.TEST_PARALLEL_INDEX ?? 0) * PORTS.each;
	const port = randomInt(from, from + PORTS.each);
	if (given.has(port)) return freePort();
	given.add(port);
	const probe = createServer().listen(port, "127.0.0.1");
	const isFree = await once(probe, "listening").then(
		() => true,
		() => false,
	);
	if (!isFree) return freePort();
	probe.close();
	await once(probe, "close");
	return port;
}

interface Houses {
	/** Names the house; a file that uses a name of its own gets a server and data of its own. */
	houseOf: string;
	house: House;
}

/** Tests with a house, the demo data in and the server running. */
export const test = base.extend<object, Houses>({
	houseOf: ["", { option: true, scope: "worker" }],
	house: [
		async ({ houseOf }, use) => {
			if (houseOf === "") throw new Error("name the house of this file: test.use({ houseOf: … })");
			const house = new House();
			house.seed();
			await house.start();
			await use(house);
			await house.stop();
		},
		{ scope: "worker", timeout: 60_000 },
	],
	baseURL: async ({ house }, use) => {
		await use(house.url);
	},
});

export { expect } from "@playwright/test";

/** The page's own scripts have taken it over. */
export async function hydrated(page: Page): Promise<void> {
	await page.waitForFunction(() => {
		const root = document.querySelector("main");
		return root !== null && Object.keys(root).some((key) => key.startsWith("__react"));
	});
	// What listens is set up in the frame after, on a busy machine later: when nothing is left to do.
	await page.evaluate(
		() => new Promise((done) => requestAnimationFrame(() => setTimeout(() => requestIdleCallback(done), 60))),
	);
}

/** What is laid out in the width it is shown in is drawn again, and in its own letters. */
export async function settled(page: Page): Promise<void> {
	await page.evaluate(async () => {
		await document.fonts.ready;
		await new Promise((done) => requestAnimationFrame(() => setTimeout(done, 60)));
	});
}
