import type { PlaceKey } from "../trade/index.ts";

/** Pans of one kind: how many there are, and who has them. */
export interface StockUse {
	readonly name: string;
	readonly stock: number;
	readonly here: number;
	readonly elsewhere: number;
}

/** What the chef has to know before it is too late, with its figures. */
export type PlanWarning = { readonly place: PlaceKey } & (
	| { readonly code: "tooFewFromMeat" | "tooFewFromPans"; readonly makes: number; readonly wanted: number }
	| {
			readonly code: "noPan" | "bedReachesLine" | "noSearPan" | "noColourOven" | "neverTender";
	  }
	| { readonly code: "beforeOpening"; readonly at: number }
	| { readonly code: "panStock"; readonly unplaced: number; readonly kinds: readonly StockUse[] }
	| { readonly code: "wishBeyondStock"; readonly kinds: readonly StockUse[] }
	| { readonly code: "halfEmpty"; readonly name: string; readonly pieces: number; readonly holds: number }
	| { readonly code: "aboveLine"; readonly stands_mm: number; readonly school_mm: number }
	| {
			readonly code: "crowded";
			readonly gap_mm: number;
			readonly wanted_mm: number;
			readonly perLoad: number;
			readonly loads: number;
	  }
	| { readonly code: "boilsDry"; readonly at_min: number }
	| { readonly code: "nearlyDry"; readonly left_l: number; readonly in_l: number }
	| { readonly code: "foilAcid"; readonly acids: readonly string[] }
	| {
			readonly code: "countOut";
			readonly counted: readonly { readonly name: string; readonly count: number }[];
	  }
	| {
			readonly code: "finishTooSalt" | "finishTooLong";
			readonly asked: number;
			readonly reduces: number;
			readonly tooMuch_l: number;
	  }
	| { readonly code: "overfull" | "overfullLate"; readonly dip_mm: number; readonly headspace_mm: number }
	| {
			readonly code: "heavy";
			readonly pans: number;
			readonly of: number;
			readonly heaviest_kg: number;
			readonly limit_kg: number;
	  }
	| { readonly code: "tallPiece"; readonly over_mm: number }
	| { readonly code: "ovenSpace"; readonly without: number; readonly of: number }
	| { readonly code: "noOven"; readonly low_C: number; readonly high_C: number }
	| { readonly code: "ratio"; readonly pans_l: number; readonly card_l: number }
	| { readonly code: "sauceShort"; readonly wanted_l: number; readonly there_l: number }
	| { readonly code: "saltOver"; readonly end_pct: number; readonly high_pct: number }
	| { readonly code: "saltUnder"; readonly end_pct: number; readonly low_pct: number }
	| { readonly code: "pieceSize"; readonly said_g: number; readonly piece_g: number }
	| { readonly code: "marinatedTooLong"; readonly minutes: number; readonly longest_min: number }
);
