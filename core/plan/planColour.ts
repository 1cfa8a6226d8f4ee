import type { Kitchen } from "../kitchen/index.ts";
import type { Recipe } from "../recipe/index.ts";
import {
	colourInOven,
	FILM_MM,
	type OvenColouring,
	SEAR_GAP_MM,
	type SearPlan,
	searPlan,
} from "../sear/index.ts";
import type { ColourWay, DishOrder } from "./DishOrder.ts";

/** How the pieces get their colour: both ways worked out, and the one the plan takes. */
export interface PlanColour {
	readonly way: ColourWay;
	/** Null when the dish is not seared, or there is no searing pan. */
	readonly pan: SearPlan | null;
	/** The pan with the gap that lets the steam out, where the card lays them closer. */
	readonly spaced: SearPlan | null;
	/** Null when there are no trays, or no oven is hot enough. */
	readonly oven: OvenColouring | null;
	/** Wall minutes and fat of the way that is taken; none when it cannot be done. */
	readonly minutes: number;
	readonly fat_g: number | null;
}

/**
 * Colouring in the pan and in the oven, compared. The order's own choice holds; otherwise the
 * pan, unless there is none.
 *
 * @returns null when the dish is not coloured at all
 * @see model, section D
 */
export function planColour(
	recipe: Recipe,
	order: DishOrder,
	{ equipment }: Pick<Kitchen, "equipment">,
	pieces: number,
	floured: boolean,
): PlanColour | null {
	if (!recipe.sear) return null;
	const sear = { ...recipe.sear, burners: equipment.burners, film_mm: FILM_MM };
	const pan = equipment.searPan && searPlan(equipment.searPan.shape, recipe.piece, pieces, sear, floured);
	const spaced =
		equipment.searPan && sear.gap_mm < SEAR_GAP_MM
			? searPlan(equipment.searPan.shape, recipe.piece, pieces, { ...sear, gap_mm: SEAR_GAP_MM }, floured)
			: null;
	const oven = colourInOven(recipe.piece, pieces, equipment.trays, equipment.ovens);
	const way: ColourWay = order.colour ?? (pan || !oven ? "pan" : "oven");
	const taken = way === "pan" ? pan : oven;
	return { way, pan, spaced, oven, minutes: taken?.minutes ?? 0, fat_g: taken?.fat_g ?? null };
}
