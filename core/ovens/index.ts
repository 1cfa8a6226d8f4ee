export { airKey, airOf, type OvenAir, windOf } from "./air.ts";
export {
	FAN_SPEEDS,
	type FanSpeed,
	fitOvens,
	type HeldRungs,
	OVEN_KINDS,
	type Oven,
	type OvenFit,
	type OvenKind,
	type OvenLoad,
	type PartFree,
	POWER_REACHES,
	rungsIn,
} from "./fitOvens.ts";
