export {
	ANSWERS,
	type Answer,
	answerFor,
	answersApart,
	MUCH_BEYOND,
	type Outcome,
	outcomeOf,
	QUANTITIES,
	type Quantity,
	type QuantityOutcome,
	type Question,
	roundOf,
	SALT_IN_PCT,
	SAME_WITHIN,
} from "./outcome.ts";
export { type CookRecord, type Judged, recordOf, type Score, share } from "./record.ts";
export { CHANGES, type Change, CUTS_ASKED, type Situation, situationOf } from "./situation.ts";
