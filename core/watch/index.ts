export { minutesAhead, type Point, usualCooling } from "./ahead.ts";
export { type Asked, askedFor } from "./asked.ts";
export { COURSES, type Course, isHeld, isWithin, type Limit, limitsOf } from "./courses.ts";
export { type Doubt, doubtOf, type Heard, SILENT_MIN } from "./doubt.ts";
export { type Remedy, remediesFor } from "./remedies.ts";
export {
	type LimitStanding,
	type Outcome,
	outcomeOf,
	type Stood,
	standingOf,
	stoodBefore,
	type Watched,
	worstOutcome,
} from "./standing.ts";
