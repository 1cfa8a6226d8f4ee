export { blendStock, type StockBlend } from "./blendStock.ts";
export { CUT_GIVES, type CutGives } from "./cutGives.ts";
export { type LiquidAccount, type LiquidGiven, liquidAccount, VEGETABLE_WATER } from "./liquidAccount.ts";
export {
	ACID_ML_PER_L,
	PUREE_KG_PER_L,
	RENDERED_FAT_KG_PER_L,
	type Remedy,
	type SaucePlan,
	type SaucePots,
	sauceFrom,
	USUAL_REDUCTION,
} from "./sauceFrom.ts";
