/**
 * Serves the production build, and starts it again when it breaks. `npm run build` comes first;
 * `npm run demo` does both. A start that fails at once is not tried again: it has said what to do.
 */
import { fork } from "node:child_process";

const FIRST_PAUSE_MS = 500;
const LONGEST_PAUSE_MS = 30_000;
/** Who has run so long begins with the shortest pause again, ms. */
const WELL_MS = 60_000;

let pause_ms = FIRST_PAUSE_MS;
let stopping = false;
let hasRun = false;
let server = run();

for (const signal of ["SIGTERM", "SIGINT"]) {
	process.on(signal, () => {
		stopping = true;
		if (server.exitCode !== null || server.signalCode !== null) process.exit(0);
		// A terminal sends its signal to both.
		if (signal === "SIGTERM") server.kill(signal);
	});
}

function run() {
	const since = Date.now();
	const child = fork(new URL("serve.mjs", import.meta.url).pathname);
	child.once("message", () => {
		hasRun = true;
	});
	child.once("exit", (code, signal) => {
		if (stopping || code === 0 || !hasRun) process.exit(code ?? 1);
		if (Date.now() - since >= WELL_MS) pause_ms = FIRST_PAUSE_MS;
		console.error(`Wide Table broke (${signal ?? code}); it starts again in ${pause_ms / 1000} s.`);
		setTimeout(() => {
			if (!stopping) server = run();
		}, pause_ms);
		pause_ms = Math.min(2 * pause_ms, LONGEST_PAUSE_MS);
	});
	return child;
}
