export { blendStock, type StockBlend } from "./blendStock.ts";
export {
	afterStraining,
	type LiquidAccount,
	type LiquidGiven,
	liquidAccount,
	type VegetablesAfter,
} from "./liquidAccount.ts";
export {
	ACID_ML_PER_L,
	type DrawnOff,
	litresAMinute,
	PUREE_KG_PER_L,
	RENDERED_FAT_KG_PER_L,
	type Remedy,
	type SauceFinish,
	type SaucePlan,
	type SaucePots,
	STAYS_WITH_MEAT,
	sauceFrom,
} from "./sauceFrom.ts";
