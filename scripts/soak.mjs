/**
 * `npm run soak`: what takes too long for every test. The server is killed 300 times while it saves,
 * gets 10,000 hostile requests, and takes 20,000 ingredients in while it plans; each says its figures.
 */
import { installChromium, installPackages, ROOT, run } from "./setup.mjs";

process.chdir(ROOT);
installPackages();
installChromium();
if (run("npm", ["run", "-s", "build", "--", "--logLevel", "warn"]) !== 0) process.exit(1);
const env = {
	...process.env,
	WT_KILLS: process.env.WT_KILLS ?? "300",
	WT_ATTACKS: process.env.WT_ATTACKS ?? "10000",
	WT_HEAVY: process.env.WT_HEAVY ?? "20000",
};
process.exit(
	run("npx", ["playwright", "test", "--workers=1", "--grep", "kill -9|hostile requests|heavy work"], { env }),
);
