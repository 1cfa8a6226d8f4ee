export { type PotShare, type ScaledLine, ScaleLine, ScaleTo, scaleLines } from "./scaleLines.ts";
export { isFinerThan, SCALE_READINGS_G, SCALE_STEPS, weighAsCook } from "./weighAsCook.ts";
