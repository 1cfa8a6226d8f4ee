export { portionsWanted, wantedWorking } from "./portionsWanted.ts";
export {
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
export {
	cookedFrom,
	cookedShare,
	purchasedFor,
	trimmedFor,
	trimmedFrom,
	weighing,
} from "./yieldSums.ts";
