export { calculate } from "./case.ts";
export { isWanted, valueAt, type Wanted } from "./expectation.ts";
