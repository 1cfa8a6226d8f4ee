import type { PanWish } from "../pans/index.ts";

/** How a dish is cooled, as the chef has settled it. */
export interface ChillChoice {
	/** Null leaves it to the plan. */
	readonly coolerId: string | null;
	/** The food is spread over so many times the floor of its pans: 2 lies half as deep. */
	readonly parts: number;
	/** The pans stand in iced water in there. */
	readonly ice: boolean;
}

/** How food is carried elsewhere, in insulated boxes. */
export interface CarryChoice {
	/** From packed until they are opened, minutes. */
	readonly minutes: number;
	/** The air round the boxes under way, °C. */
	readonly air_C: number;
	readonly hot: boolean;
	/** How warm it is when it is packed, °C; as is usual where it is left out. */
	readonly packed_C?: number;
	/** How often a box is opened on the way; never where it is left out. */
	readonly openings?: number;
}

/** Food is spread over so many times the floor of its pans at the most. */
export const MOST_PARTS = 3;

/** What a dish is scaled from. */
export type Basis =
	| { readonly from: "covers" }
	| { readonly from: "onHand"; readonly onHand_kg: number }
	| { readonly from: "pans"; readonly pans: number };

/** Where the pieces get their colour: on the hob, in the tilting pan, on trays in the oven. */
export const COLOUR_WAYS = ["pan", "tilting", "oven"] as const;
export type ColourWay = (typeof COLOUR_WAYS)[number];

/** One dish on one sitting. */
export interface DishOrder {
	/** Stays the same between plans; tasks are named after it. */
	readonly id: string;
	readonly serviceAt: number;
	readonly covers: number;
	readonly uptake: number;
	readonly spare: number;
	/** Portions that a guest takes on average; one where it is left out. */
	readonly perGuest?: number;
	/** Cooks who work on it side by side. */
	readonly hands: number;
	readonly basis: Basis;
	/** The kind of pan the chef has chosen; null leaves it to the plan. */
	readonly panTypeId: string | null;
	/** So many of a kind, settled by the chef; none of a kind keeps it for others. */
	readonly panWishes: readonly PanWish[];
	/** Settled by the chef; null leaves it to the plan. */
	readonly colour: ColourWay | null;
	/** How it is cooled where it is made ahead, settled by the chef; left to the plan where it is left out. */
	readonly chill?: ChillChoice | null;
	/** How it is carried elsewhere; served where it is cooked where it is left out. */
	readonly carry?: CarryChoice | null;
	/** Whether the liquid line is the chef's own for this sitting, and is poured as it is. */
	readonly lineSettled: boolean;
}
