export { dryness_l_per_h, sensibleMinutes } from "./held.ts";
