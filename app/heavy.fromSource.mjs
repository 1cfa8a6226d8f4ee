/** The worker straight from the sources, where there is no build: in development and in tests. */
import { register } from "tsx/esm/api";

register();
const { default: work } = await import("./heavy.worker.ts");
export default work;
