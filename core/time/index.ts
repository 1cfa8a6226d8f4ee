export { clockWords, type DayNames, dayNamesFor, dayWords, durationWords } from "./clockWords.ts";
export {
	fromWallClock,
	isOpen,
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
