/**
 * `npm test`: everything, from a fresh clone. Each stage runs even when one before it
 * failed; the last line counts what really ran.
 */
import { spawnSync } from "node:child_process";
import { mkdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { installChromium, installPackages, ROOT, run } from "./setup.mjs";

/** As every generator of the tests takes it; the soak leaves it open. */
const [, SEED] =
	/SEED = ([\d_]+)/.exec(readFileSync(join(ROOT, "core/random/seeds.testing.ts"), "utf8")) ?? [];
/** A build takes a quarter of a minute; one that has not ended by then stands still, ms. */
const LONGEST_BUILD_MS = 240_000;

process.chdir(ROOT);
installPackages();
installChromium();

const REPORTS = join(ROOT, "test-results/reports");
rmSync(REPORTS, { recursive: true, force: true });
mkdirSync(REPORTS, { recursive: true });

let passed = 0;
let failed = 0;

check("types", () => run("npm", ["run", "-s", "types"]));
check("lint", () => run("npm", ["run", "-s", "lint"]));
check("architecture", () => run("npm", ["run", "-s", "architecture"]));
counted("unit", vitest);
counted("cases", cases);
if (check("build", build)) {
	check("agree", () => run("npm", ["run", "-s", "agree"], { env: { ...process.env, WT_AGREE_WEEKS: "0" } }));
	counted("end to end", playwright);
} else failed += 2;

console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 || passed === 0 ? 1 : 0;

/** A stage that passes or fails as one. */
function check(name, stage) {
	heading(name);
	const holds = stage() === 0;
	if (holds) passed += 1;
	else failed += 1;
	console.log(`${name}: ${holds ? "passed" : "FAILED"}`);
	return holds;
}

/** The build; where the bundler stands still, which it does once in hundreds of times, it is begun once more. */
function build() {
	const once = () =>
		spawnSync(process.execPath, ["node_modules/@react-router/dev/bin.js", "build", "--logLevel", "warn"], {
			cwd: ROOT,
			stdio: "inherit",
			timeout: LONGEST_BUILD_MS,
			killSignal: "SIGKILL",
		});
	const first = once();
	if (first.error?.code !== "ETIMEDOUT") return first.status ?? 1;
	console.log("The build stood still and was ended; it is begun once more.");
	return once().status ?? 1;
}

/** A stage that counts its own; one that breaks off before it has counted is a failure. */
function counted(name, stage) {
	heading(name);
	try {
		const count = stage();
		const brokeOff = count.code !== 0 && count.failed === 0;
		passed += count.passed;
		failed += count.failed + (brokeOff || count.passed + count.failed === 0 ? 1 : 0);
		console.log(`${name}: ${count.passed} passed, ${count.failed} failed`);
	} catch (error) {
		failed += 1;
		console.log(`${name}: FAILED, ${error.message}`);
	}
}

function heading(name) {
	console.log(`\n── ${name} ──`);
}

function vitest() {
	console.log(`Generated examples from the seed ${SEED}.`);
	const report = join(REPORTS, "unit.json");
	const code = run("npx", [
		"vitest",
		"run",
		"--reporter=default",
		"--reporter=json",
		`--outputFile.json=${report}`,
	]);
	const { numPassedTests, numFailedTests, numFailedTestSuites } = JSON.parse(readFileSync(report, "utf8"));
	return { code, passed: numPassedTests, failed: numFailedTests || (code === 0 ? 0 : numFailedTestSuites) };
}

function cases() {
	const { status, stdout } = spawnSync("npm", ["run", "-s", "cases"], {
		cwd: ROOT,
		encoding: "utf8",
		stdio: ["ignore", "pipe", "inherit"],
	});
	process.stdout.write(stdout);
	const [, good = "0", bad = "0"] = /(\d+) passed, (\d+) failed\s*$/.exec(stdout) ?? [];
	return { code: status, passed: Number(good), failed: Number(bad) };
}

function playwright() {
	const report = join(REPORTS, "e2e.json");
	const env = { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: report };
	const code = run("npx", ["playwright", "test", "--reporter=list,json"], { env });
	const { stats } = JSON.parse(readFileSync(report, "utf8"));
	return { code, passed: stats.expected, failed: stats.unexpected + stats.flaky };
}
