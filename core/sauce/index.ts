export { MOST_STEAM_KG_PER_M2_H, markAt, type Reduced, reduce, reduceIn, STEAM_KJ_PER_KG } from "./reduce.ts";
export { Reduction, THICKENERS, type Thickener, Thickening } from "./schemas.ts";
export {
	KNEADED_FLOUR_G_PER_L,
	ROUX_FLOUR_G_PER_L,
	SLURRY_WATER,
	STARCH_G_PER_L,
	type Thickened,
	thicken,
} from "./thicken.ts";
