export { type Break, ChainWalk, type Digest, hashOf, type Linked, NO_HASH } from "./chain.ts";
export { actionsFor } from "./decisions.ts";
export { besideTheBook, declaredNow, type Inside, ingredientsOf, insideOf } from "./declared.ts";
export {
	ACTIONS,
	type Action,
	checkedDoc,
	type DocOf,
	LotPan,
	ofKind,
	ProbeName,
	RELEASES,
	Read_C,
	type RecordDoc,
	type RecordEntry,
	type RecordKind,
	type Release,
	STAGES,
	type Stage,
} from "./entries.ts";
export { type LabelSaid, labelsNow, type VoidLabel, voidLabels } from "./labels.ts";
export {
	isUsedUp,
	type Keeps,
	keepsBy,
	type LotNow,
	lotNow,
	type NotDone,
	type PanNow,
	type PanState,
	tagsOfSpread,
	USUAL_KEEPS,
	whyNot,
} from "./lots.ts";
export { type LotWay, lotWay, type PanWay, type PlannedWay, worstPan } from "./lotWay.ts";
export type { CoolingOfPan } from "./panCooling.ts";
export {
	type Hold,
	type Passport,
	type PassportGiven,
	passportsOf,
	worstPassport,
} from "./passport.ts";
export { asItStands } from "./standing.ts";
export {
	plannedClock,
	type ReadPoint,
	type WatchAsked,
	type WatchNow,
	watchesAsked,
	watchesNow,
} from "./watches.ts";
