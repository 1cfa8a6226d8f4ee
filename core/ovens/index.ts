export {
	fitOvens,
	OVEN_KINDS,
	type Oven,
	type OvenFit,
	type OvenKind,
	type OvenLoad,
	POWER_REACHES,
} from "./fitOvens.ts";
