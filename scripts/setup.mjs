import { spawnSync } from "node:child_process";
import { existsSync, statSync, utimesSync } from "node:fs";
import { join } from "node:path";

/** What a fresh machine lacks, put there once: packages from the lock file, and Chromium. */

export const ROOT = new URL("..", import.meta.url).pathname;

/** Runs a command with its output on the terminal. @returns its exit code */
export function run(command, words, options = {}) {
	const { status, error } = spawnSync(command, words, { cwd: ROOT, stdio: "inherit", ...options });
	if (error) console.error(`${command}: ${error.message}`);
	return status ?? 1;
}

/** Installs the packages exactly as the lock file names them, when there are none or it is newer. */
export function installPackages() {
	const stamp = join(ROOT, "node_modules/.package-lock.json");
	const lock = join(ROOT, "package-lock.json");
	if (existsSync(stamp) && statSync(stamp).mtimeMs >= statSync(lock).mtimeMs - 1000) return;
	console.log("Installing packages…");
	if (run("npm", ["ci", "--no-audit", "--no-fund"]) !== 0) {
		console.error("The packages could not be installed: is the npm registry reachable?");
		process.exit(1);
	}
	// npm leaves its own stamp alone when there was nothing to do.
	const now = new Date();
	if (existsSync(stamp)) utimesSync(stamp, now, now);
}

const CHROMIUM = "/usr/bin/chromium";

/** The browser for the tests: Debian's own. @returns its path */
export function installChromium() {
	if (existsSync(CHROMIUM)) return CHROMIUM;
	if (!existsSync("/usr/bin/apt-get")) {
		console.error(
			`No ${CHROMIUM}, and no apt-get to install it with. Install Chromium there, then try again.`,
		);
		process.exit(1);
	}
	const root = process.getuid?.() === 0;
	if (!root && spawnSync("sudo", ["-n", "true"]).status !== 0) {
		console.error("Chromium is missing. Install it once as root: apt-get install chromium");
		process.exit(1);
	}
	console.log("Installing Chromium from Debian's packages…");
	const [command, before] = root ? ["apt-get", []] : ["sudo", ["apt-get"]];
	const quiet = { env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" } };
	run(command, [...before, "update", "-q"], quiet);
	if (run(command, [...before, "install", "-y", "-q", "--no-install-recommends", "chromium"], quiet) !== 0) {
		console.error("Chromium could not be installed from Debian's packages.");
		process.exit(1);
	}
	return CHROMIUM;
}
