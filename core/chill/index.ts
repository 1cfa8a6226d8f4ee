export {
	type ChillBeside,
	type ChillCase,
	type ChillClockOf,
	ChillGiven,
	type ChillLoad,
	type ChillPoint,
	type ChillTimes,
	chilling,
	chillTimes,
	clockBegins,
	deepestFor,
	minutesTo,
} from "./chill.ts";
export {
	FILM_W_PER_M2K as CHILL_FILM_W_PER_M2K,
	MEDIA,
	type Medium,
	UNDER_LID_M2K_PER_W,
} from "./constants.ts";
export { iceFor, withIce } from "./ice.ts";
export { type RatedChiller, ratedChiller } from "./rated.ts";
export { thawMinutes } from "./thaw.ts";
