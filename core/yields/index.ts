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
	type YieldChain,
} from "./yieldChain.ts";
export { yieldForPortions } from "./yieldForPortions.ts";
export { yieldFromStock } from "./yieldFromStock.ts";
