export { backwardClock, type Clock, type DayOfWork, type Durations, startBefore } from "./backwardClock.ts";
