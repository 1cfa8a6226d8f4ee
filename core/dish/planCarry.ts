import { type Carried, carriedReach, carriedTo, USUAL_UA_W_PER_K } from "../carry/index.ts";
import type { Equipment, HousePolicy } from "../kitchen/index.ts";
import { depthOf, type PanChoice, volumeBelow } from "../pans/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { type Reach, type Verdict, verdictKept } from "../safety/index.ts";
import type { CarryChoice } from "./DishOrder.ts";

/** How a dish is carried to another room, kitchen or boat. */
export interface PlanCarry {
	readonly choice: CarryChoice;
	/** Insulated boxes it takes, each for three GN 1/1-100. */
	readonly boxes: number;
	/** The lightest of them, and what it would lose where its lid sits badly, W/K. */
	readonly box: Carried;
	readonly worst_W_per_K: number;
	/** Food in the lightest of them: it changes soonest, kg. */
	readonly lightest_kg: number;
	/** As it is packed, and as it arrives, °C. */
	readonly packed_C: number;
	readonly arrives_C: number;
	/** What the house code wants of it on the way: no colder where it is hot, no warmer where it is cold, °C. */
	readonly limit_C: number;
	/** When it comes to that: as is likely, and in a box that loses half as much again. */
	readonly limit: Readonly<Record<"likely" | "worst", Reach>>;
	/** By how warm it is when it is there. */
	readonly verdict: Verdict;
}

/** Where nothing is said: hot food is packed as it comes off the boil, cold food as it leaves the cold room, °C. General practice. */
const PACKED_HOT_C = 80;
const PACKED_COLD_C = 3;
/** A lid that sits badly, a box that is opened: it loses so many times as much. */
const WORST = 1.5;
/** A box takes three GN 1/1-100 to the brim, l; and so many portions in boxes of their own. General practice. */
const BOX_L = 3 * 13;
const PORTIONS = 24;

/**
 * In how many insulated boxes a dish is carried, and how it stands to the house code on the way.
 *
 * @returns null where it is served where it is cooked
 * @see model, section M
 */
export function planCarry(
	choice: CarryChoice | null | undefined,
	recipe: Recipe,
	pans: PanChoice,
	portions: number,
	{ boxes: known = [] }: Pick<Equipment, "boxes">,
	policy: HousePolicy,
): PlanCarry | null {
	if (!choice || pans.pans.length === 0) return null;
	const litres = pans.pans.reduce((sum, { type }) => sum + volumeBelow(type.shape, depthOf(type.shape)), 0);
	const boxes = Math.max(1, Math.ceil(recipe.servedIn === "boxes" ? portions / PORTIONS : litres / BOX_L));
	const food_kg = pans.pans.reduce((sum, { contents_kg }) => sum + contents_kg, 0);
	// The last box is filled with what is left: with as little as that it changes soonest.
	const full_kg = recipe.servedIn === "boxes" ? (food_kg * PORTIONS) / portions : (food_kg * BOX_L) / litres;
	const lightest_kg = Math.max(food_kg - (boxes - 1) * full_kg, LEAST_SHARE * full_kg);
	const { hot, air_C, minutes, openings = 0 } = choice;
	const packed_C = choice.packed_C ?? (hot ? PACKED_HOT_C : Math.min(PACKED_COLD_C, policy.code.keepCold_C));
	const limit_C = hot ? policy.code.holdHot_C : policy.code.display_C;
	const UA_W_per_K = Math.max(
		...known.map(({ loses_W_per_K }) => loses_W_per_K),
		known.length ? 0 : USUAL_UA_W_PER_K,
	);
	const box: Carried = {
		mass_kg: lightest_kg,
		UA_W_per_K,
		start_C: packed_C,
		air_C,
		to_C: limit_C,
		openings,
	};
	const worst_W_per_K = WORST * UA_W_per_K;
	const worst = { ...box, UA_W_per_K: worst_W_per_K };
	const [arrives_C, arrivesAtWorst_C] = [carriedTo(box, minutes), carriedTo(worst, minutes)];
	const then = {
		likely: arrives_C,
		low: Math.min(arrives_C, arrivesAtWorst_C),
		high: Math.max(arrives_C, arrivesAtWorst_C),
	};
	return {
		choice,
		boxes,
		box,
		worst_W_per_K,
		lightest_kg,
		packed_C,
		arrives_C,
		limit_C,
		limit: { likely: carriedReach(box), worst: carriedReach(worst) },
		verdict: verdictKept(then, limit_C, hot),
	};
}

/** What is left for the last box is evened out over two: it is never emptier than this. General practice. */
const LEAST_SHARE = 0.5;
