import type { PanWish } from "../pans/index.ts";
import type { ChillChoice, ColourWay, DishOrder } from "../plan/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { type CookChoice, cookedThatWay } from "./CookChoice.ts";

/** What a dish is scaled from, as a sitting keeps it. */
export const BASES = ["covers", "onHand", "pans"] as const;
export type BasisKey = (typeof BASES)[number];

/** A dish as a sitting keeps it. */
export interface SittingDish {
	readonly id: string;
	readonly recipeVersionId: string;
	/** Shares, 0 to 1. */
	readonly uptake: number;
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
}

/** A dish new on a sitting, from covers, with nothing chosen yet. */
export function newDish(id: string, recipeVersionId: string, uptake: number, spare: number): SittingDish {
	return {
		id,
		recipeVersionId,
		uptake,
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
	};
}

/** The recipe as this sitting cooks it: with its own liquid line, its own day and its own heat, where it has them. */
export function cookedRecipe({
	recipe,
	line,
	ahead,
	cook,
}: { readonly recipe: Recipe } & Pick<SittingDish, "line" | "ahead" | "cook">): Recipe {
	const cooked = cookedThatWay(recipe, cook);
	const poured = line === null ? cooked : { ...cooked, braise: { ...cooked.braise, line } };
	if (ahead === null) return poured;
	return { ...poured, schools: { ...poured.schools, service: ahead ? "madeAhead" : "sameDay" } };
}

/** A dish as the plan takes it. */
export function orderOf(
	{ serviceAt, covers, hands, carry }: Pick<DishOrder, "serviceAt" | "covers" | "hands" | "carry">,
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
