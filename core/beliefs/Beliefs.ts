import type { Cut } from "../trade/index.ts";
import type { Losses } from "../yields/index.ts";
import type { CutGives } from "./cutGives.ts";

/** How the minutes of a cut stand to the model's own, and how far they may still be out. */
export interface MinutesBelieved {
	/** A factor on the model's minutes; 1 without a log. */
	readonly times: number;
	/** σ of their logarithm that no input explains. */
	readonly spread: number;
}

/** What is believed of what meat and liquid do besides. */
export interface LiquidBelieved {
	/** What cooked meat drinks back while it cools in its liquid, as a share of its weight. */
	readonly drunkBack: number;
	/** Water that dry pulses and grains take up, l/kg. */
	readonly pulsesDrink_l_per_kg: number;
	/** Share of the cooking loss that is juice and fat in the pan; the rest is lost while searing and at the lift. */
	readonly juiceOfLoss: number;
	/** Juice that dries on while pieces are coloured on trays, as a share of their weight. */
	readonly juiceOnTrays: number;
	/** Fat of searing that stays with the pieces once it is poured off, a share. */
	readonly searFatKept: number;
	/** Steam that goes when a covered pan is opened for a look, l for each m² of it, and looks an hour. */
	readonly steamAtLook_l_per_m2: number;
	readonly looksAnHour: number;
	/** A factor on what the model says steams away; 1 without a log. */
	readonly evaporation: number;
}

/** Temperatures at which things go into the pan, °C. */
export interface StartsBelieved {
	/** Seared pieces that have cooled on their tray. */
	readonly piece_C: number;
	/** Pieces that come warm from colouring in the oven. */
	readonly pieceFromTrays_C: number;
	/** Liquid that is poured boiling. */
	readonly liquid_C: number;
	/** What joins late, from the bench. */
	readonly late_C: number;
}

/** Minutes of what is made ahead, until they are worked out from its depth. */
export interface MadeAheadBelieved {
	/** From the lift until it is cold. */
	readonly chill_min: number;
	/** From cold until it is hot through. */
	readonly reheat_min: number;
}

/**
 * What a kitchen may learn. A plan is given it like any other input; the shipped figures stand
 * until the kitchen's own log replaces them, and the version says which ones a plan was made with.
 */
export interface Beliefs {
	readonly version: string;
	/** What each cut loses where a card does not say. */
	readonly losses: Readonly<Record<Cut, Required<Losses>>>;
	/** What each cut gives to its liquid. */
	readonly gives: Readonly<Record<Cut, CutGives>>;
	readonly minutes: Readonly<Record<Cut, MinutesBelieved>>;
	readonly liquid: LiquidBelieved;
	readonly starts: StartsBelieved;
	readonly madeAhead: MadeAheadBelieved;
}
