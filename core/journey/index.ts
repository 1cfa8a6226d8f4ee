export { JourneyGiven, type JourneyPoint, type JourneyWalked, journey, type Travels } from "./journey.ts";
export {
	braises,
	cools,
	heats,
	STAGE_KINDS,
	type Stage,
	type StageKind,
	simmers,
	stands,
	travelsIn,
} from "./stages.ts";
