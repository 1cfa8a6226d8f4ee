export {
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
