/** `npm run bench`: speeds as ratios within one run, since the machine is shared. */
import { installChromium, installPackages, ROOT, run } from "./setup.mjs";

process.chdir(ROOT);
installPackages();
installChromium();
const built =
	run("npx", ["react-router", "build", "--logLevel", "warn"]) === 0 &&
	run("npx", ["react-router", "build", "bench/bare", "--logLevel", "warn"]) === 0;
process.exit(built ? run("npx", ["tsx", "bench/bench.ts"]) : 1);
