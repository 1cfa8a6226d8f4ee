/**
 * `npm run soak`: what takes too long for every test. The server is killed 300 times while it saves
 * and 200 times under forty probes, gets 10,000 hostile requests, and takes 20,000 ingredients in while it plans; each says its figures.
 * Twenty drawn weeks are opened, and every figure of their pages is held against their days.
 * Laws are tried three times as often, from seeds of their own, and every view is held against the accessibility rules on a phone too.
 */
import { installChromium, installPackages, ROOT, run } from "./setup.mjs";

process.chdir(ROOT);
installPackages();
installChromium();
if (run("npm", ["run", "-s", "build", "--", "--logLevel", "warn"]) !== 0) process.exit(1);
const env = {
	...process.env,
	WT_KILLS: process.env.WT_KILLS ?? "300",
	WT_PROBE_KILLS: process.env.WT_PROBE_KILLS ?? "200",
	WT_ATTACKS: process.env.WT_ATTACKS ?? "10000",
	WT_HEAVY: process.env.WT_HEAVY ?? "20000",
};
const laws = run("npx", ["vitest", "run"], { env: { ...env, WT_THOROUGH: "1", WT_OPEN_SEEDS: "1" } });
const house = run(
	"npx",
	["playwright", "test", "--workers=1", "--grep", "kill -9|hostile requests|heavy work|no view breaks"],
	{ env: { ...env, WT_THOROUGH: "1" } },
);
const agree = run("npm", ["run", "-s", "agree"], { env: { ...env, WT_AGREE_WEEKS: "20" } });
process.exit(laws || house || agree);
