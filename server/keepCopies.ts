import { spawn } from "node:child_process";
import { statSync } from "node:fs";
import { join } from "node:path";
import { HOUR_MS } from "#core/time";
import { copiesIn, isFile } from "#db";
import { type Config, copiesFolder } from "./config.ts";

/** How often it is looked whether a copy is due, ms. */
const LOOK_MS = HOUR_MS / 4;

/**
 * Copies the database as often as the house wants it, in a process of its own, so that nobody waits.
 * A server copies its database itself.
 *
 * @param said gets what went wrong, one line a time
 */
export function keepCopies(config: Config, said: (line: string) => void): void {
	if (config.WT_COPIES_EVERY_H === 0 || !isFile(config.DATABASE_URL)) return;
	const look = async () => {
		if (await isDue(copiesFolder(config), config.WT_COPIES_EVERY_H, Date.now())) copy(said);
	};
	setInterval(() => void look().catch((error) => said(String(error))), LOOK_MS).unref();
	void look().catch((error) => said(String(error)));
}

/** Whether the newest copy of a folder is older than it may be, or there is none. */
export async function isDue(folder: string, every_h: number, now: number): Promise<boolean> {
	const [newest] = await copiesIn(folder);
	return newest === undefined || now - statSync(join(folder, newest)).mtimeMs >= every_h * HOUR_MS;
}

function copy(said: (line: string) => void): void {
	const words = ["--import", "tsx", "scripts/backUp.ts"];
	const child = spawn(process.execPath, words, { stdio: ["ignore", "ignore", "pipe"] });
	child.stderr.on("data", (lines) => said(String(lines).trim()));
	child.on("error", (error) => said(error.message));
	child.unref();
}
