import { Type } from "@sinclair/typebox";
import { Count, Covers, checked, Kilograms, Refusal, refuse, Spare, Uptake } from "../check/index.ts";
import { outsideLimits, type Recipe } from "../recipe/index.ts";
import type { DishOrder } from "./DishOrder.ts";

/** What of an order decides how much is reckoned. */
const OrderLimits = Type.Object({
	covers: Covers,
	uptake: Uptake,
	spare: Spare,
	hands: Count,
	basis: Type.Object({ onHand_kg: Type.Optional(Kilograms), pans: Type.Optional(Count) }),
});

/**
 * Refuses to plan what the schema of today does not allow: it may have been written before the
 * schema was as strict, or into the database by other hands, and a piece as thin as paper would be
 * reckoned for ever.
 *
 * @throws {Refusal} naming what breaks which limit
 */
export function requireWithinLimits(
	recipe: Recipe,
	{ covers, uptake, spare, hands, basis }: DishOrder,
): void {
	if (uptake === 0) throw refuse("uptake", "the other dishes feed all covers; nobody is left for this one");
	const broken = brokenLimits(recipe);
	if (broken.length > 0) {
		const first = broken
			.slice(0, MOST_SAID)
			.map(({ field, message }) => `${field}: ${message}`)
			.join("; ");
		throw refuse("recipe", `this version breaks a limit and is not planned; write a new one. ${first}`);
	}
	try {
		checked(OrderLimits, { covers, uptake, spare, hands, basis });
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		throw refuse("order", `what was asked for breaks a limit and is not planned. ${error.message}`);
	}
}

/** A card is held against the limits once, however often it is planned. */
const held = new WeakMap<Recipe, ReturnType<typeof outsideLimits>>();

function brokenLimits(recipe: Recipe): ReturnType<typeof outsideLimits> {
	const broken = held.get(recipe) ?? outsideLimits(recipe);
	held.set(recipe, broken);
	return broken;
}

/** Limits that are named; whoever mends these finds the rest. */
const MOST_SAID = 3;
