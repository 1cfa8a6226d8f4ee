export { type Break, ChainWalk, type Digest, hashOf, type Linked, NO_HASH } from "./chain.ts";
export {
	ACTIONS,
	type Action,
	checkedDoc,
	type DocOf,
	LotPan,
	ofKind,
	ProbeName,
	Read_C,
	type RecordDoc,
	type RecordEntry,
	type RecordKind,
	STAGES,
	type Stage,
} from "./entries.ts";
export {
	isUsedUp,
	type Keeps,
	type LotNow,
	lotNow,
	type PanNow,
	type PanState,
	tagsOfSpread,
	USUAL_KEEPS,
	withoutStruck,
} from "./lots.ts";
export { type LotWay, lotWay, type PanWay, type PlannedWay, worstPan } from "./lotWay.ts";
export {
	clockOf,
	plannedClock,
	type ReadPoint,
	type WatchAsked,
	type WatchNow,
	watchesAsked,
	watchesNow,
} from "./watches.ts";
