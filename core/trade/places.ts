/** The places of the long table, in the order of work. */
export const PLACES = [
	"buy",
	"trim",
	"marinate",
	"sear",
	"build",
	"panUp",
	"braise",
	"rest",
	"sauce",
	"plate",
] as const;
export type PlaceKey = (typeof PLACES)[number];
