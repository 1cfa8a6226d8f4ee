/** The places of the long table, in the order of work, and their names. */
export const PLACE_WORDS = {
	buy: "Buy",
	trim: "Trim",
	marinate: "Marinate",
	sear: "Sear",
	build: "Build",
	panUp: "Pan up",
	braise: "Braise",
	rest: "Rest",
	chill: "Chill",
	reheat: "Reheat",
	sauce: "Sauce",
	hold: "Hold",
	carry: "Carry",
	plate: "Plate",
} as const;
export type PlaceKey = keyof typeof PLACE_WORDS;
export const PLACES = Object.keys(PLACE_WORDS) as PlaceKey[];
