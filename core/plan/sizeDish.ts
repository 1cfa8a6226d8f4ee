import { type Beliefs, SHIPPED_BELIEFS } from "../beliefs/index.ts";
import type { Kitchen } from "../kitchen/index.ts";
import type { PanLoad, PanWish } from "../pans/index.ts";
import { asScaleLine, ingredientOf, type Recipe } from "../recipe/index.ts";
import type { DishOrder } from "./DishOrder.ts";
import { bedUnder } from "./panLines.ts";
import { usualTender } from "./planBraise.ts";
import { wantedBeforePans } from "./planPour.ts";
import type { SizedDish } from "./SizedDish.ts";
import { sizeOfBatch } from "./sizeOfBatch.ts";
import { requireWithinLimits } from "./withinLimits.ts";

/** How big the batch is and what of it goes into pans. @throws {Refusal} as `plan` does */
export function sizeDish(
	recipe: Recipe,
	order: DishOrder,
	kitchen: Kitchen,
	beliefs: Beliefs = SHIPPED_BELIEFS,
): SizedDish {
	requireWithinLimits(recipe, order);
	const size = sizeOfBatch(recipe, order, kitchen);
	const factor = size.chain.trimmed_kg / cardMain_kg(recipe, kitchen);
	const tender_min = usualTender(recipe, beliefs).likely;
	const wanted_l = wantedBeforePans(recipe, order, size.chain, factor, tender_min, kitchen, beliefs);
	const load: PanLoad = {
		piece: recipe.piece,
		pieces: size.pieces,
		gap_mm: recipe.gap_mm,
		line: recipe.braise.line,
		...(wanted_l === undefined ? {} : { wanted_l }),
		...(recipe.layers === undefined ? {} : { layers: recipe.layers }),
		bed: bedUnder(recipe, factor, kitchen.known.byId),
		wishes: wishesOf(order, kitchen),
	};
	return { recipe, order, size, factor, load };
}

/** One kind chosen rules out all others; what is settled besides holds too. */
function wishesOf({ panTypeId, panWishes }: DishOrder, { equipment }: Kitchen): PanWish[] {
	if (panTypeId === null) return [...panWishes];
	return equipment.pans.filter(({ id }) => id !== panTypeId).map(({ id }) => ({ typeId: id, count: 0 }));
}

/** Trimmed main of the card, kg. */
export function cardMain_kg(recipe: Recipe, { known }: Pick<Kitchen, "known">): number {
	const main = recipe.lines.find((line) => line.role === "main");
	if (!main) throw new Error(`recipe “${recipe.name}” has no main line`);
	return (asScaleLine(main, ingredientOf(main, known.byId)).amount_g ?? 0) / 1000;
}
