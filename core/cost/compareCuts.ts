import { type Beliefs, SHIPPED_BELIEFS } from "../beliefs/index.ts";
import { usualMinutes } from "../braise/index.ts";
import type { Ingredient, Recipe } from "../recipe/index.ts";
import type { Cut } from "../trade/index.ts";
import { cookedShare, isByPiece, type Losses } from "../yields/index.ts";

/** One cut as the main of a dish. */
export interface CutCompared {
	readonly cut: Cut;
	/** Name of the ingredient that is bought. */
	readonly name: string;
	readonly asPurchasedPerKg_minor: number;
	/** Price of a cooked kilo on the plate, after trim, bone and cooking loss. */
	readonly perCookedKg_minor: number;
	readonly perPortion_minor: number;
	/** Cooked weight from a kilo as purchased, kg. */
	readonly yield: number;
	/** Minutes from the oven door to fork-tender, likely, for pieces as the card has them. */
	readonly tender_min: number;
	/** Whether it is what the card is written for. */
	readonly own: boolean;
}

/**
 * The cuts the book has a price for, as the main of one dish: what a cooked portion of
 * each costs and how long it takes. The dish's own cut loses what its card says, the
 * others what is usual for them. Meat is compared with meat and birds, anything else with
 * its own kind. Cheapest portion first.
 */
export function compareCuts(
	recipe: Recipe,
	known: ReadonlyMap<string, Ingredient>,
	beliefs: Beliefs = SHIPPED_BELIEFS,
): CutCompared[] {
	const own = recipe.lines.find((line) => line.role === "main")?.ingredient;
	const kind = kindOf(known.get(own ?? ""));
	const distinct = [...new Map([...known.values()].map((entry) => [entry.id, entry])).values()];
	return distinct
		.flatMap((entry) => {
			const { cut, pricePerKg_minor } = entry;
			if (cut === null || pricePerKg_minor === null || kindOf(entry) !== kind) return [];
			const losses: Losses = entry.id === own ? recipe.losses : beliefs.losses[cut];
			const left = (1 - losses.trimLoss) * cookedShare(losses);
			const perCookedKg_minor = pricePerKg_minor / left;
			return [
				{
					cut,
					name: entry.name,
					asPurchasedPerKg_minor: pricePerKg_minor,
					perCookedKg_minor,
					perPortion_minor: (perCookedKg_minor * portion_g(recipe)) / 1000,
					yield: left,
					tender_min: usualMinutes(cut, recipe.piece, losses.boneShare),
					own: entry.id === own,
				},
			];
		})
		.sort((a, b) => a.perPortion_minor - b.perPortion_minor);
}

function kindOf(ingredient: Ingredient | undefined): string | undefined {
	return ingredient?.category === "poultry" ? "meat" : ingredient?.category;
}

/** Cooked grams of one portion; of one by the piece, what its own losses leave. */
function portion_g({ portion, losses }: Recipe): number {
	if (!isByPiece(portion)) return portion.portion_g;
	return portion.piecesPerPortion * portion.piece_g * (1 - losses.trimLoss) * cookedShare(losses);
}
