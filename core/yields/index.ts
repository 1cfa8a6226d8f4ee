export { CUT_YIELDS } from "./cutYields.ts";
export { portionsWanted } from "./portionsWanted.ts";
export {
	cookedShare,
	Demand,
	isByPiece,
	Losses,
	OnHand,
	type Portion,
	PortionByPiece,
	PortionByWeight,
	Purchase,
	wholeDown,
	wholeUp,
	type YieldChain,
} from "./yieldChain.ts";
export { yieldForPortions } from "./yieldForPortions.ts";
export { yieldFromStock } from "./yieldFromStock.ts";
