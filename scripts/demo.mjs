/**
 * `npm run demo`: everything from a fresh clone to the application with demo data.
 * `npm run demo -- --fresh` starts the demo data again, after asking (`--yes` does not ask).
 */
import { spawn } from "node:child_process";
import { createInterface } from "node:readline/promises";
import { installPackages, ROOT, run } from "./setup.mjs";

process.chdir(ROOT);
process.env.WT_DATA ||= "data/demo";
process.env.LOG_LEVEL ||= "warn";

const words = process.argv.slice(2);
const unknown = words.find((word) => !["--fresh", "--yes"].includes(word));
if (unknown) stop(`“${unknown}” is not known; --fresh and --yes are allowed.`);

const fresh = words.includes("--fresh");
if (fresh && !words.includes("--yes")) await ask();

installPackages();
if (run("npx", ["react-router", "build", "--logLevel", "warn"]) !== 0)
	stop("The application could not be built.");
if (run("npx", ["tsx", "scripts/seedDemo.ts", ...(fresh ? ["--fresh"] : [])]) !== 0) process.exit(1);
// Probes and a label printer that are not there, as long as the demo runs.
const devices = spawn("npx", ["tsx", "scripts/devices.ts"], { stdio: ["ignore", "ignore", "inherit"] });
process.once("exit", () => devices.kill());
await import("./start.mjs");

async function ask() {
	if (!process.stdin.isTTY)
		stop("--fresh asks before it replaces the demo data; add --yes where nobody can answer.");
	const terminal = createInterface({ input: process.stdin, output: process.stdout });
	const answer = await terminal.question(
		`Replace the demo data in ${process.env.WT_DATA}? A copy is kept. [y/N] `,
	);
	terminal.close();
	if (!/^y(es)?$/i.test(answer.trim())) stop("Nothing was changed.", 0);
}

function stop(message, code = 1) {
	console.error(message);
	process.exit(code);
}
