export {
	clockWords,
	type DayNames,
	dayNamesFor,
	dayWords,
	durationRange,
	durationsWords,
	durationWords,
	spokenDuration,
} from "./clockWords.ts";
export {
	DAY_MS,
	fromWallClock,
	isOpen,
	laterDay,
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
export {
	type ClockMoment,
	dayTyped,
	momentTyped,
	readDay,
	readMoment,
	readTime,
	type TwoDays,
} from "./typedTime.ts";
