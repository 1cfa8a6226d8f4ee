import type { PanWish } from "../pans/index.ts";

/** What a dish is scaled from. */
export type Basis =
	| { readonly from: "covers" }
	| { readonly from: "onHand"; readonly onHand_kg: number }
	| { readonly from: "pans"; readonly pans: number };

/** Where the pieces get their colour. */
export type ColourWay = "pan" | "oven";

/** One dish on one sitting. */
export interface DishOrder {
	/** Stays the same between plans; tasks are named after it. */
	readonly id: string;
	readonly serviceAt: number;
	readonly covers: number;
	readonly uptake: number;
	readonly spare: number;
	/** Cooks who work on it side by side. */
	readonly hands: number;
	readonly basis: Basis;
	/** The kind of pan the chef has chosen; null leaves it to the plan. */
	readonly panTypeId: string | null;
	/** So many of a kind, settled by the chef; none of a kind keeps it for others. */
	readonly panWishes: readonly PanWish[];
	/** Settled by the chef; null leaves it to the plan. */
	readonly colour: ColourWay | null;
}
