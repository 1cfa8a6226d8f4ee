export { kept } from "./kept.ts";
