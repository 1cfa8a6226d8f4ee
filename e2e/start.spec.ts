import { type ChildProcess, spawn } from "node:child_process";
import { once } from "node:events";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import { freePort } from "./house.ts";

interface Started {
	readonly process: ChildProcess;
	readonly said: () => string;
}

function started(data: string, port: number): Started {
	const { DATABASE_URL: _, ...env } = process.env;
	const child = spawn("node", ["scripts/start.mjs"], {
		env: { ...env, WT_DATA: data, PORT: String(port), WT_COPIES_EVERY_H: "0", LOG_LEVEL: "silent" },
	});
	let said = "";
	for (const stream of [child.stdout, child.stderr]) {
		stream.on("data", (text) => {
			said += text;
		});
	}
	return { process: child, said: () => said };
}

/** The server under a starter, by its number as a process. */
function serverOf({ process }: Started): number {
	return Number(readFileSync(`/proc/${process.pid}/task/${process.pid}/children`, "utf8"));
}

const answers = (port: number) => async () => {
	const answer = await fetch(`http://127.0.0.1:${port}/healthz`).catch(() => null);
	return answer?.ok ?? false;
};

async function ended({ process }: Started): Promise<number | null> {
	if (process.exitCode === null) await once(process, "exit");
	return process.exitCode;
}

test("a server that breaks is started again, and ends when it is told to", async () => {
	const port = await freePort();
	const house = started(mkdtempSync(join(tmpdir(), "wide-table-start-")), port);
	await expect.poll(answers(port), { timeout: 20_000 }).toBe(true);
	const first = serverOf(house);
	process.kill(first, "SIGKILL");
	await expect.poll(house.said).toContain("it starts again in 0.5 s");
	await expect.poll(answers(port), { timeout: 20_000 }).toBe(true);
	expect(serverOf(house)).not.toBe(first);
	house.process.kill("SIGTERM");
	expect(await ended(house), house.said()).toBe(0);
	expect(await answers(port)()).toBe(false);
});

test("what cannot start says so in one sentence, once, and changes nothing", async () => {
	const data = mkdtempSync(join(tmpdir(), "wide-table-start-"));
	const path = join(data, "wide-table.db");
	writeFileSync(path, "a list of what to buy\n".repeat(400));
	const house = started(data, await freePort());
	expect(await ended(house)).toBe(1);
	expect(house.said().trim()).toBe(
		`Cannot start. DATABASE_URL: file:${path} is damaged or is no database; bring a copy back with \`npm run restore\`. Nothing was changed.`,
	);
	expect(readFileSync(path, "utf8")).toBe("a list of what to buy\n".repeat(400));
});

test("a port in use is said, with another", async () => {
	const port = await freePort();
	const first = started(mkdtempSync(join(tmpdir(), "wide-table-start-")), port);
	await expect.poll(answers(port), { timeout: 20_000 }).toBe(true);
	const second = started(mkdtempSync(join(tmpdir(), "wide-table-start-")), port);
	expect(await ended(second)).toBe(1);
	expect(second.said()).toContain(`PORT: ${port} on 127.0.0.1 is in use`);
	first.process.kill("SIGTERM");
	expect(await ended(first), first.said()).toBe(0);
});
