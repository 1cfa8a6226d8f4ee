export { clockWords, type DayNames, dayNamesFor, dayWords, durationWords } from "./clockWords.ts";
export {
	fromWallClock,
	latestWorkingStart,
	minuteOfDay,
	minutesBefore,
	minutesUntil,
	onDay,
	startBefore,
	toFiveMinutes,
	type WorkingHours,
	wallClock,
} from "./houseTime.ts";
