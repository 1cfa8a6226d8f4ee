import { type Recipe, trimLossOf } from "../recipe/index.ts";
import type { YieldChain } from "../yields/index.ts";
import type { PlanLine } from "./planLines.ts";

/** What a line weighs ready to use, kg; null where it is counted and the weight of one is not known. */
export function ready_kg({ ingredient, amount_g, count }: PlanLine): number | null {
	if (amount_g !== null) return amount_g / 1000;
	return ingredient.each_g === null ? null : ((count ?? 0) * ingredient.each_g) / 1000;
}

/** What is bought for a line, kg: the main as its chain says; null where its weight is not known. */
export function purchased_kg(
	planLine: PlanLine,
	recipe: Pick<Recipe, "losses" | "second">,
	chain: Pick<YieldChain, "asPurchased_kg">,
): number | null {
	const { line, ingredient } = planLine;
	if (line.role === "main") return chain.asPurchased_kg;
	const kg = ready_kg(planLine);
	return kg === null ? null : kg / (1 - trimLossOf(recipe, line, ingredient));
}

/** What is ordered: whole packs, or the weight itself. */
export function ordered_kg({
	order_kg,
	asPurchased_kg,
}: Pick<YieldChain, "order_kg" | "asPurchased_kg">): number {
	return order_kg ?? asPurchased_kg;
}
