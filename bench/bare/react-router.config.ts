import type { Config } from "@react-router/dev/config";
import ours from "../../react-router.config.ts";

export default { ...ours, appDirectory: "app" } satisfies Config;
