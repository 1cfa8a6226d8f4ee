export { calculate } from "./case.ts";
export { isWanted, valueAt, type Wanted } from "./expectation.ts";
export { readBraise } from "./readBraise.ts";
export { readPan } from "./readPan.ts";
