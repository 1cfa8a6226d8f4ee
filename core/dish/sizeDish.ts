import { maxBy } from "es-toolkit";
import { type Beliefs, SHIPPED_BELIEFS } from "../beliefs/index.ts";
import { type Equipment, type Kitchen, vesselsFor, withoutReacting } from "../kitchen/index.ts";
import type { PanChoice, PanLoad, PanType, PanWish } from "../pans/index.ts";
import { heatOf, isInOven, layersOf, type Recipe } from "../recipe/index.ts";
import { cardMain_kg } from "./cardMain.ts";
import { cutForPans } from "./cutBatch.ts";
import type { DishOrder } from "./DishOrder.ts";
import { bedUnder, hasAcid, laidOver } from "./panLines.ts";
import { usualTender } from "./planBraise.ts";
import { wantedBeforePans } from "./planPour.ts";
import type { SizedDish } from "./SizedDish.ts";
import { type BatchSize, type Short, sizeOfBatch } from "./sizeOfBatch.ts";
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
	return loaded(recipe, order, size, kitchen, beliefs);
}

/**
 * As much of a dish as its pans take: what fits is planned, and the rest stands as short. A dish of
 * which nothing fits stays as large as it was asked for.
 *
 * @param pans how it was laid, in one filling or several
 */
export function fittedTo(dish: SizedDish, pans: PanChoice, kitchen: Kitchen, beliefs: Beliefs): SizedDish {
	const { recipe, order, size } = dish;
	const { unplaced } = pans;
	if (unplaced === 0) return dish;
	const inPans = size.pieces - unplaced;
	if (inPans === 0) {
		return {
			...dish,
			size: { ...size, short: { pieces: unplaced, portions: size.chain.portions, pans: null } },
		};
	}
	const { piece: _, ...cut } = cutForPans(recipe, inPans);
	const short = {
		pieces: unplaced,
		portions: size.chain.portions - cut.chain.portions,
		pans: pansFor(unplaced, pans),
	};
	return loaded(recipe, order, { ...size, ...cut, setBy: "pans", short }, kitchen, beliefs);
}

/** As many more of the pan that takes most. */
function pansFor(pieces: number, { pans }: PanChoice): Short["pans"] {
	const largest = maxBy(pans, ({ capacity }) => capacity);
	return largest ? { typeId: largest.type.id, count: Math.ceil(pieces / largest.capacity) } : null;
}

/** A dish of that size with what of it goes into pans. */
function loaded(
	recipe: Recipe,
	order: DishOrder,
	size: BatchSize,
	kitchen: Kitchen,
	beliefs: Beliefs,
): SizedDish {
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
