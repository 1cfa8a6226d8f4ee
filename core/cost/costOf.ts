import { type PlanFigures, purchased_kg, ready_kg } from "../dish/index.ts";
import { type Ingredient, missingIn, type Recipe, trimLossOf } from "../recipe/index.ts";

/** What one line of a dish costs. Money in minor units, unrounded; masses kg. */
export interface CostLine {
	readonly name: string;
	/** Ready to use. */
	readonly edible_kg: number;
	/** What has to be bought for it. */
	readonly asPurchased_kg: number;
	readonly asPurchasedPerKg_minor: number | null;
	/** Price of a kilo that is ready to use: the purchase price over what is left of it. */
	readonly ediblePerKg_minor: number | null;
	readonly cost_minor: number | null;
	/** Names without a price: its own, or of what is inside it. */
	readonly missing: readonly string[];
}

export interface Cost {
	readonly lines: readonly CostLine[];
	/** Sum of the lines that have a price. */
	readonly known_minor: number;
	/** What has no price; the sums below are null while there is any. */
	readonly missing: readonly string[];
	readonly total_minor: number | null;
	readonly perPortion_minor: number | null;
	readonly perCookedKg_minor: number | null;
	/** Share of the menu price; null when either is not known. */
	readonly shareOfMenu: number | null;
}

/** Something that is bought or made, ready to use. */
export interface CostItem {
	readonly ingredient: Ingredient;
	/** Null when it is counted and the weight of one is not known. */
	readonly edible_kg: number | null;
	readonly trimLoss: number;
	/** What is bought for it, where that is known otherwise than by its trim loss. */
	readonly asPurchased_kg?: number;
}

/**
 * What some things cost: each at its price as purchased, over what trimming leaves of it.
 * A price that is not known is named, never taken as nothing.
 */
export function costOf(items: readonly CostItem[], { portions, cooked_kg, menuPrice_minor }: CostFor): Cost {
	const lines = items.map(lineCost);
	const missing = [...new Set(lines.flatMap((line) => line.missing))];
	const known_minor = lines.reduce((sum, { cost_minor }) => sum + (cost_minor ?? 0), 0);
	const total_minor = missing.length === 0 ? known_minor : null;
	const perPortion_minor = total_minor === null ? null : total_minor / portions;
	return {
		lines,
		known_minor,
		missing,
		total_minor,
		perPortion_minor,
		perCookedKg_minor: total_minor === null || cooked_kg <= 0 ? null : total_minor / cooked_kg,
		shareOfMenu: perPortion_minor === null || !menuPrice_minor ? null : perPortion_minor / menuPrice_minor,
	};
}

export interface CostFor {
	readonly portions: number;
	readonly cooked_kg: number;
	readonly menuPrice_minor: number | null;
}

function lineCost({ ingredient, edible_kg, trimLoss, ...known }: CostItem): CostLine {
	const missing = edible_kg === null ? [ingredient.name] : missingIn(ingredient);
	const { asPurchased_kg = (edible_kg ?? 0) / (1 - trimLoss) } = known;
	const price = missing.length > 0 ? null : (ingredient.pricePerKg_minor ?? 0);
	return {
		name: ingredient.name,
		edible_kg: edible_kg ?? 0,
		asPurchased_kg,
		asPurchasedPerKg_minor: price,
		ediblePerKg_minor: price === null ? null : price / (1 - trimLoss),
		cost_minor: price === null ? null : asPurchased_kg * price,
		missing,
	};
}

/** What a planned dish costs: the main at the card's own trim loss, every other line at its own. */
export function costOfPlan(plan: PlanFigures, recipe: Recipe, menuPrice_minor: number | null): Cost {
	const items = plan.lines.map((planLine): CostItem => {
		const { line, ingredient } = planLine;
		return {
			ingredient,
			edible_kg: ready_kg(planLine),
			trimLoss: trimLossOf(recipe, line, ingredient),
			asPurchased_kg: purchased_kg(planLine, recipe, plan.chain) ?? 0,
		};
	});
	const { portions, cooked_kg } = plan.chain;
	return costOf(items, { portions, cooked_kg, menuPrice_minor });
}
