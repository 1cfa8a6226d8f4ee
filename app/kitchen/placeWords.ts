import type { PlaceEntry } from "#core/kitchen";

/** What each kind of place is counted in. */
export const PLACE_KIND_WORDS: Readonly<
	Record<PlaceEntry["kind"], { readonly counted: string; readonly unit: string }>
> = {
	chiller: { counted: "blast chiller, by pans", unit: "pans" },
	fridge: { counted: "fridge or cold room, by litres", unit: "l" },
	box: { counted: "insulated box, by their number", unit: "boxes" },
	warmer: { counted: "warmer, by plates", unit: "plates" },
};
