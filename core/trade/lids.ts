/** What lies on a pan, in a cook's words. */
export const LIDS = {
	open: "no lid",
	paper: "paper disc",
	foil: "foil over parchment",
	lid: "tight lid",
	sealed: "sealed lid",
} as const;
export type Lid = keyof typeof LIDS;
export const LID_KEYS = Object.keys(LIDS) as Lid[];

/** What is held or made hot again is covered, however it was braised. */
export function coveredBy(lid: Lid): Lid {
	return lid === "open" || lid === "paper" ? "foil" : lid;
}
