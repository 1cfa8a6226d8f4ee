export { minutesAhead, type Point, usualCooling } from "./ahead.ts";
export { COURSES, type Course, isHeld, isWithin, type Limit, limitsOf } from "./courses.ts";
export { type Doubt, doubtOf, type Heard, SILENT_MIN } from "./doubt.ts";
export { type Remedy, remediesFor } from "./remedies.ts";
export { type LimitStanding, standingOf, type Watched } from "./standing.ts";
export { type Asked, askedFor, summaryOf, type WatchSummary } from "./summary.ts";
