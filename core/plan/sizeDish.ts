import { type Beliefs, SHIPPED_BELIEFS } from "../beliefs/index.ts";
import { type Equipment, type Kitchen, vesselsFor, withoutReacting } from "../kitchen/index.ts";
import type { PanLoad, PanType, PanWish } from "../pans/index.ts";
import { heatOf, isInOven, layersOf, type Recipe } from "../recipe/index.ts";
import { cardMain_kg } from "./cardMain.ts";
import type { DishOrder } from "./DishOrder.ts";
import { bedUnder, hasAcid, laidOver } from "./panLines.ts";
import { usualTender } from "./planBraise.ts";
import { wantedBeforePans } from "./planPour.ts";
import type { SizedDish } from "./SizedDish.ts";
import { sizeOfBatch } from "./sizeOfBatch.ts";
import { requireWithinLimits } from "./withinLimits.ts";

/** How big the batch is and what of it goes into pans. @throws {Refusal} as `plan` does */
export function sizeDish(
	card: Recipe,
	order: DishOrder,
	kitchen: Kitchen,
	beliefs: Beliefs = SHIPPED_BELIEFS,
): SizedDish {
	requireWithinLimits(card, order);
	const { piece, ...size } = sizeOfBatch(card, order, kitchen);
	const recipe = piece === card.piece ? card : { ...card, piece };
	const factor = size.chain.trimmed_kg / cardMain_kg(recipe, kitchen);
	const tender_min = usualTender(recipe, beliefs).likely;
	const wanted_l = wantedBeforePans(recipe, order, size.chain, factor, tender_min, kitchen, beliefs);
	const suiting = vesselsFor(heatOf(recipe), equipmentFor(recipe, kitchen));
	const over = laidOver(recipe, factor, kitchen.known.byId);
	const load: PanLoad = {
		piece: recipe.piece,
		pieces: size.pieces,
		gap_mm: recipe.gap_mm,
		line: recipe.braise.line,
		...(wanted_l === undefined ? {} : { wanted_l }),
		layers: layersOf(recipe),
		bed: bedUnder(recipe, factor, kitchen.known.byId),
		...(over ? { over } : {}),
		wishes: wishesOf(order, suiting),
		among: suiting.map(({ id }) => id),
		...(isInOven(recipe) ? {} : { stays: true }),
	};
	return { recipe, order, size, factor, load };
}

/** What of the kitchen a dish may be cooked in: nothing that its acid would take up. */
export function equipmentFor(recipe: Recipe, { equipment, known }: Kitchen): Equipment {
	return hasAcid(recipe, known.byId) ? withoutReacting(equipment) : equipment;
}

/** One kind chosen rules out all others; what is settled besides holds too. */
function wishesOf({ panTypeId, panWishes }: DishOrder, suiting: readonly PanType[]): PanWish[] {
	if (panTypeId === null) return [...panWishes];
	return suiting.filter(({ id }) => id !== panTypeId).map(({ id }) => ({ typeId: id, count: 0 }));
}
