import type { ByProductUses, ChillChoice, ColourWay, DishOrder } from "../dish/index.ts";
import type { PanWish } from "../pans/index.ts";
import { type Recipe, type Swap, swapped } from "../recipe/index.ts";
import { type CookChoice, cookedThatWay } from "./CookChoice.ts";
import { type DishShare, type GuestSizes, portionsAGuest } from "./shares.ts";

/** What a dish is scaled from, as a sitting keeps it. */
export const BASES = ["covers", "onHand", "pans"] as const;
export type BasisKey = (typeof BASES)[number];

/** A dish as a sitting keeps it. */
export interface SittingDish {
	readonly id: string;
	readonly recipeVersionId: string;
	/** Shares, 0 to 1. */
	readonly uptake: number;
	/** Who takes it, where that is no fixed per cent: uptake follows from it. */
	readonly share: DishShare | null;
	readonly spare: number;
	readonly basis: BasisKey;
	readonly onHand_g: number | null;
	readonly panCount: number | null;
	readonly panTypeId: string | null;
	readonly panWishes: PanWish[];
	/** A liquid line other than the card's. */
	readonly line: Recipe["braise"]["line"] | null;
	readonly colour: ColourWay | null;
	/** Cooked the day before, or the same day; null leaves it to the card. */
	readonly ahead: boolean | null;
	/** How it is cooled where it is made ahead; null leaves it to the plan. */
	readonly chill: ChillChoice | null;
	/** How it is made tender; null leaves it to the card. */
	readonly cook: CookChoice | null;
	/** What lines are made with in place of what the card says. */
	readonly swaps: Swap[];
	/** Where what is left of it goes, by what it is: the short name of what is made of it. */
	readonly byProducts: ByProductUses;
}

/** A dish new on a sitting, from covers, with nothing chosen yet. */
export function newDish(id: string, recipeVersionId: string, uptake: number, spare: number): SittingDish {
	return {
		id,
		recipeVersionId,
		uptake,
		share: null,
		spare,
		basis: "covers",
		onHand_g: null,
		panCount: null,
		panTypeId: null,
		panWishes: [],
		line: null,
		colour: null,
		ahead: null,
		chill: null,
		cook: null,
		swaps: [],
		byProducts: {},
	};
}

/** The recipe as this sitting cooks it: with its own liquid line, its own day and its own heat, where it has them. */
export function cookedRecipe({
	recipe,
	line,
	ahead,
	cook,
	swaps,
}: { readonly recipe: Recipe } & Pick<SittingDish, "line" | "ahead" | "cook" | "swaps">): Recipe {
	const cooked = cookedThatWay(swapped(recipe, swaps), cook);
	const poured = line === null ? cooked : { ...cooked, braise: { ...cooked.braise, line } };
	if (ahead === null) return poured;
	return { ...poured, schools: { ...poured.schools, service: ahead ? "madeAhead" : "sameDay" } };
}

/** What a dish takes of its sitting. */
interface SittingOrder extends Pick<DishOrder, "serviceAt" | "covers" | "hands" | "carry"> {
	/** Guests who do not eat one portion each; all alike where it is left out. */
	readonly guests?: GuestSizes | null;
}

/** A dish as the plan takes it. */
export function orderOf(
	{ serviceAt, covers, hands, carry, guests }: SittingOrder,
	dish: SittingDish,
): DishOrder {
	const { id, uptake, spare, panTypeId, panWishes, colour, chill } = dish;
	return {
		id,
		serviceAt,
		covers,
		hands,
		uptake,
		spare,
		panTypeId,
		panWishes,
		colour,
		chill,
		...(carry ? { carry } : {}),
		...(guests ? { perGuest: portionsAGuest(covers, guests) } : {}),
		lineSettled: dish.line !== null,
		basis: basisOf(dish),
	};
}

/** From covers where what it is to be scaled from was never said. */
function basisOf({ basis, onHand_g, panCount }: SittingDish): DishOrder["basis"] {
	if (basis === "onHand" && onHand_g !== null) return { from: "onHand", onHand_kg: onHand_g / 1000 };
	if (basis === "pans" && panCount !== null) return { from: "pans", pans: panCount };
	return { from: "covers" };
}
