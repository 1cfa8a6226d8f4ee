export { clockWords, type DayNames, dayNamesFor, dayWords, durationWords } from "./clockWords.ts";
export {
	fromWallClock,
	latestWorkingStart,
	minuteOfDay,
	minutesBefore,
	onDay,
	type WorkingHours,
	wallClock,
} from "./houseTime.ts";
