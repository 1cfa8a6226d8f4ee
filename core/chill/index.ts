export {
	type ChillBeside,
	type ChillCase,
	ChillGiven,
	type ChillLoad,
	type ChillPoint,
	type ChillTimes,
	chilling,
	chillTimes,
	deepestFor,
	minutesTo,
} from "./chill.ts";
export { MEDIA, type Medium } from "./constants.ts";
export { iceFor, withIce } from "./ice.ts";
export { thawMinutes } from "./thaw.ts";
