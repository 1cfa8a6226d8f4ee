/** `npm run soak`: what takes too long for every test. The server is killed 300 times while it saves. */
import { installChromium, installPackages, ROOT, run } from "./setup.mjs";

process.chdir(ROOT);
installPackages();
installChromium();
if (run("npm", ["run", "-s", "build", "--", "--logLevel", "warn"]) !== 0) process.exit(1);
const env = { ...process.env, WT_KILLS: process.env.WT_KILLS ?? "300" };
process.exit(run("npx", ["playwright", "test", "--grep", "kill -9"], { env }));
