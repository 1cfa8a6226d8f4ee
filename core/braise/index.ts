export { CUTS, type Cut, cutWords, FORK_TENDER_MINUTES } from "./forkTenderMinutes.ts";
export type { Range } from "./Range.ts";
