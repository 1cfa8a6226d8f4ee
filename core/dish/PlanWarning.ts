import type { HeldRungs } from "../ovens/index.ts";
import type { Allergen, CutSize } from "../recipe/index.ts";
import type { HeatWay, PlaceKey } from "../trade/index.ts";
import type { HeldPans } from "./heldPans.ts";
import type { PieceWay } from "./pieceCooling.ts";
import type { SpreadOut } from "./planReheat.ts";

/** Pans of one kind: how many there are, and who has them. */
export interface StockUse {
	readonly name: string;
	readonly stock: number;
	readonly here: number;
	readonly elsewhere: readonly HeldPans[];
}

/** What would meet the limits, or comes nearest. */
export interface ChillChoiceMet {
	readonly meets: boolean;
	readonly cooler: string;
	readonly parts: number;
	readonly ice: boolean;
}

/** What the chef has to know before it is too late, with its figures. */
export type PlanWarning = { readonly place: PlaceKey } & (
	| { readonly code: "tooFewFromMeat" | "tooFewFromPans"; readonly makes: number; readonly wanted: number }
	| {
			readonly code: "noPan" | "bedReachesLine" | "noSearPan" | "noColourOven" | "neverTender";
	  }
	/** The order should have gone out; ordered now it comes before it is needed, or after. */
	| {
			readonly code: "orderDue" | "orderTooLate";
			readonly since: number;
			readonly comes: number;
			readonly needed: number;
	  }
	/** The kitchen counts nothing for the heat of the card, or nothing that these pieces go into. */
	| { readonly code: "noVessel"; readonly heat: HeatWay }
	/** The second main takes longer than the first, and both are in for so long. */
	| { readonly code: "secondSlower"; readonly name: string; readonly minutes: number }
	/** The slices lie so thick on these pans, and not as the card says. */
	| {
			readonly code: "toppingThickness";
			readonly lies_mm: number;
			readonly thickness_mm: number;
			readonly there_kg: number;
			readonly wanted_kg: number;
	  }
	/** More vessels stand on the hob at once than it has burners. */
	| { readonly code: "burnersShort"; readonly wanted: number; readonly burners: number }
	/** A vegetable that is served from the pan and cut so that it is not tender, or no longer whole, after its minutes. */
	| {
			readonly code: "cutTooLarge" | "cutTooSmall";
			readonly name: string;
			readonly cut: CutSize;
			/** It spends in the liquid, and wants. */
			readonly minutes: number;
			readonly wants_min: number;
			/** Sizes that suit; null where none does. */
			readonly suits_mm: { readonly low: number; readonly high: number } | null;
	  }
	/** The first of so many tasks that somebody has to be there for while the kitchen is closed. */
	| { readonly code: "beforeOpening"; readonly at: number; readonly tasks: number }
	| { readonly code: "panStock"; readonly unplaced: number; readonly kinds: readonly StockUse[] }
	/** One filling takes so many of the pieces; the first is held so long until the last is ready. */
	| {
			readonly code: "inGoes";
			readonly goes: number;
			readonly atOnce: number;
			readonly pieces: number;
			readonly held_min: number;
			readonly kinds: readonly StockUse[];
	  }
	/** A limit of the house code that is missed while it cools, or may be; with what meets it. */
	| {
			readonly code: "chillMissed" | "chillClose";
			readonly to_C: number;
			readonly within_min: number;
			/** Null where it never gets there. */
			readonly minutes: number | null;
			readonly depth_mm: number;
			readonly deepest_mm: number | null;
			readonly house: string;
			readonly remedy: ChillChoiceMet | null;
			/** Joints cooled by themselves that meet it, where nothing in their pans does; null where there is none. */
			readonly joints: PieceWay | null;
	  }
	/** Heated through later than the house code lets it. */
	| {
			readonly code: "reheatSlow";
			readonly core_C: number;
			readonly within_min: number;
			readonly minutes: number;
			/** The hottest that suits the dish, and what it takes there. */
			readonly hottest_C: number;
			readonly hottest_min: number;
			/** The same food over more pans, as shallow as its pieces let it; null where there are none. */
			readonly spread: SpreadOut | null;
	  }
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
	/** The coldest of a pan is hot later than the house code lets it, or may be; null where it never is. */
	| {
			readonly code: "comingUpSlow" | "comingUpClose";
			readonly hot_C: number;
			readonly within_min: number;
			readonly minutes: number | null;
			readonly house: string;
	  }
	/** At the lift the coldest of a pan has had less than the house's table asks, or may have; null where it never has. */
	| {
			readonly code: "underKilled" | "underKilledClose";
			/** What the table asks at its own temperature. */
			readonly ref_C: number;
			readonly ref_min: number;
			readonly lift_min: number;
			readonly minutes: number | null;
	  }
	| { readonly code: "nearlyDry"; readonly left_l: number; readonly in_l: number }
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
	| {
			readonly code: "ovenSpace";
			readonly without: number;
			readonly of: number;
			readonly held: readonly HeldRungs[];
	  }
	| {
			readonly code: "noOven";
			readonly low_C: number;
			readonly high_C: number;
			readonly held: readonly HeldRungs[];
	  }
	/** No pot of the kitchen takes the sauce; or it stands so low in the narrowest that it catches. */
	| {
			readonly code: "noSaucePot";
			readonly wanted_l: number;
			readonly name: string | null;
			readonly depth_mm: number;
			readonly least_mm: number;
	  }
	| { readonly code: "meatWaits" | "searingLong"; readonly minutes: number }
	/** Carried elsewhere it is outside its house code on the way, or may be. */
	| {
			readonly code: "carryMissed" | "carryClose";
			readonly minutes: number;
			readonly packed_C: number;
			readonly limit_C: number;
			/** After so many minutes; 0 where it is packed so. */
			readonly limit_min: number;
			readonly hot: boolean;
	  }
	/** Held hot it would be softer than a plate wants it. */
	/** Kept hot it is below its limit before the last plate, or may be. */
	| {
			readonly code: "holdMissed" | "holdClose";
			readonly limit_C: number;
			readonly minutes: number;
			/** When it is, from hot. */
			readonly below_min: number;
	  }
	| { readonly code: "heldTooSoft"; readonly minutes: number; readonly sensible_min: number }
	| { readonly code: "holdHot"; readonly minutes: number; readonly pans: number }
	| {
			readonly code: "platesAMinute";
			readonly minutes: number;
			readonly people: number;
			readonly hands: number;
	  }
	| {
			readonly code: "ovenTimes";
			readonly slow: string;
			readonly quick: string;
			readonly minutes: number;
	  }
	| { readonly code: "soaking"; readonly names: readonly string[] }
	| { readonly code: "marinadeShort"; readonly litres: number; readonly wanted_l: number }
	| { readonly code: "notWhole"; readonly cooked_g: number; readonly portion_g: number }
	| { readonly code: "hiddenSalt"; readonly names: readonly string[]; readonly share: number }
	| {
			readonly code: "liquorAllergens";
			readonly litres: number;
			readonly contains: readonly Allergen[];
			readonly notKnown: boolean;
	  }
	| { readonly code: "aheadOffer"; readonly portions: number }
	| { readonly code: "sauceShort"; readonly wanted_l: number; readonly there_l: number }
	| { readonly code: "saltOver"; readonly end_pct: number; readonly high_pct: number }
	| { readonly code: "saltUnder"; readonly end_pct: number; readonly low_pct: number }
	| { readonly code: "pieceSize"; readonly said_g: number; readonly piece_g: number }
	| { readonly code: "marinatedTooLong"; readonly minutes: number; readonly longest_min: number }
);
