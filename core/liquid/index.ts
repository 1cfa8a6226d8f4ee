export { blendStock, StockBlend } from "./blendStock.ts";
export { CUT_GIVES, type CutGives } from "./cutGives.ts";
export { type LiquidAccount, type LiquidGiven, liquidAccount, VEGETABLE_WATER } from "./liquidAccount.ts";
export {
	ACID_ML_PER_L,
	PUREE_KG_PER_L,
	RENDERED_FAT_KG_PER_L,
	type Remedy,
	type SaucePlan,
	type SaucePot,
	sauceFrom,
} from "./sauceFrom.ts";
export { STEAM_KG_PER_M2_H, steamAway } from "./steamAway.ts";
