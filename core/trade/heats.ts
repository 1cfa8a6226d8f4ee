/** Where a dish is made tender, in a cook's words. */
export const HEATS = {
	oven: "in the oven",
	hob: "on the hob, at a bare simmer",
	slowCooker: "in a slow cooker",
	pressure: "under pressure",
	bath: "in a water bath",
} as const;
export type HeatWay = keyof typeof HEATS;
export const HEAT_WAYS = Object.keys(HEATS) as HeatWay[];

/** What each can usually be set to, and is set to where nobody says, °C; a hob holds a bare simmer. General practice. */
export const HEAT_RANGES: Readonly<
	Record<Exclude<HeatWay, "hob">, { readonly low: number; readonly set: number; readonly high: number }>
> = {
	oven: { low: 80, set: 150, high: 250 },
	slowCooker: { low: 80, set: 92, high: 98 },
	pressure: { low: 108, set: 117, high: 121 },
	bath: { low: 55, set: 80, high: 95 },
};
