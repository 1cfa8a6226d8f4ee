import type { Oven } from "../ovens/index.ts";
import type { PanShape, PanType, PanWish } from "../pans/index.ts";
import type { AllergenListKey, Ingredient } from "../recipe/index.ts";
import type { HouseCodeKey } from "../safety/index.ts";
import type { WorkingHours } from "../time/index.ts";

/** What the kitchen has and how it works: everything a plan needs besides recipe and sitting. */
export interface Kitchen {
	readonly pans: readonly PanType[];
	readonly ovens: readonly Oven[];
	/** Shallow pans for colouring in the oven. */
	readonly trays: readonly PanType[];
	readonly searPan: { readonly name: string; readonly shape: PanShape } | null;
	readonly burners: number;
	/** Heat of one burner that reaches the pot, kW. */
	readonly hobPower_kW: number;
	readonly headspace_mm: number;
	readonly liftLimit_kg: number;
	readonly houseCode: HouseCodeKey;
	readonly timeZone: string;
	readonly hours: WorkingHours;
	/** The list of allergens the house declares by. */
	readonly allergenList: AllergenListKey;
	/** What the kitchen's scales read to, g. */
	readonly scaleStep_g: number;
	/** Salt wanted in the finished sauce, %. */
	readonly saltBand_pct: { readonly low: number; readonly high: number };
	/** Share of days on which a dish has to be tender by the time it is lifted. */
	readonly confidence: number;
	readonly ingredients: ReadonlyMap<string, Ingredient>;
}

/** What a dish is scaled from. */
export type Basis =
	| { readonly from: "covers" }
	| { readonly from: "onHand"; readonly onHand_kg: number }
	| { readonly from: "pans"; readonly pans: number };

/** Where the pieces get their colour. */
export type ColourWay = "pan" | "oven";

/** One dish on one sitting. */
export interface DishOrder {
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
