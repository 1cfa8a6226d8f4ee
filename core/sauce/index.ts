export { MOST_STEAM_KG_PER_M2_H, type Reduced, Reduction, reduce, STEAM_KJ_PER_KG } from "./reduce.ts";
export {
	KNEADED_FLOUR_G_PER_L,
	ROUX_FLOUR_G_PER_L,
	SLURRY_WATER,
	STARCH_G_PER_L,
	THICKENERS,
	type Thickened,
	type Thickener,
	Thickening,
	thicken,
} from "./thicken.ts";
