import type { Oven } from "../ovens/index.ts";
import type { PanShape, PanType } from "../pans/index.ts";
import type { AllergenListKey, Ingredient, Preparation } from "../recipe/index.ts";
import type { HouseCodeKey } from "../safety/index.ts";
import type { WorkingHours } from "../time/index.ts";

/** What the kitchen has. */
export interface Equipment {
	readonly pans: readonly PanType[];
	readonly ovens: readonly Oven[];
	/** Shallow pans for colouring in the oven. */
	readonly trays: readonly PanType[];
	readonly searPan: { readonly id: string; readonly name: string; readonly shape: PanShape } | null;
	readonly burners: number;
	/** Heat of one burner that reaches the pot, kW. */
	readonly hobPower_kW: number;
}

/** What the house wants. */
export interface HousePolicy {
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
	/** Height above the sea, m: the boil follows it. */
	readonly altitude_m: number;
}

/** What things are: everything a line can name, and what of it is made in the house. By short name. */
export interface KnownIngredients {
	readonly byId: ReadonlyMap<string, Ingredient>;
	readonly preparations: ReadonlyMap<string, Preparation>;
}

/** Everything a plan needs besides recipe, sitting and beliefs. */
export interface Kitchen {
	readonly equipment: Equipment;
	readonly policy: HousePolicy;
	readonly known: KnownIngredients;
}

/** The kitchen's round pots, the widest first: what a sauce is finished in. */
export function potsOf({ pans }: Pick<Equipment, "pans">): readonly PanType[] {
	const across = ({ shape }: PanType) => ("round" in shape ? shape.round.diameter_mm : 0);
	return pans.filter(({ shape }) => "round" in shape).sort((a, b) => across(b) - across(a));
}
