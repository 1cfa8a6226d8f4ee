export {
	JourneyGiven,
	type JourneyPoint,
	type JourneyWalked,
	journey,
	type Leg,
	type Travels,
} from "./journey.ts";
export { type PieceCools, pieceMinutesTo } from "./pieceCools.ts";
export {
	braises,
	chilledAs,
	cools,
	follows,
	heats,
	reheatedAs,
	STAGE_KINDS,
	type Stage,
	type StageKind,
	type StageSpan,
	simmers,
	stands,
	travelsIn,
} from "./stages.ts";
