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
	ICED_WATER_C,
	MEDIA,
	type Medium,
	underLid_W_per_M2K,
} from "./constants.ts";
export { iceFor, withIce } from "./ice.ts";
export { type RatedChiller, ratedChiller } from "./rated.ts";
export { thawMinutes } from "./thaw.ts";
