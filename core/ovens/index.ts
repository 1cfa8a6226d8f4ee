export { fitOvens, OVEN_KINDS, type Oven, type OvenFit, type OvenKind, type OvenLoad } from "./fitOvens.ts";
