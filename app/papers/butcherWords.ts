import type { WorkedDish } from "#core/day";
import type { ByProductUses } from "#core/dish";
import { CATEGORIES, type Ingredient, type Recipe } from "#core/recipe";
import type { Losses } from "#core/yields";
import { pieceWeightWords, pieceWords } from "../places/words.ts";
import type { Shown } from "../ui/parts/shown.ts";
import { counted, type Reading } from "../ui/words/reading.ts";

/** What a butcher is asked for of one dish. */
export interface ButcherRequest {
	readonly dish: string;
	/** What it is cut from, as it is ordered for all dishes together. */
	readonly from: Ingredient;
	/** "5.7 kg" needed out of the delivery, "5.2 kg" cut of it. */
	readonly needed: Weighed;
	readonly cut: Weighed;
	/** How it is cut, a thing each. */
	readonly how: readonly string[];
}

interface Weighed {
	readonly words: string;
	/** What it is of the dish in its day; left out for a second main. */
	readonly shown?: Shown;
}

/** A cut thicker than it is long is asked across the bone. */
const ACROSS = "cut across the bone";

/** The butcher's part of a dish: nothing where its main is no meat. */
export function butcherWords(plan: WorkedDish, uses: ByProductUses, reading: Reading): ButcherRequest[] {
	const { recipe, chain, second } = plan;
	const main = plan.lines.find(({ line }) => line.role === "main")?.ingredient;
	if (!main || CATEGORIES[main.category].supplier !== "butcher") return [];
	const own = {
		dish: recipe.name,
		from: main,
		...neededAndCut(chain, reading, plan.order.id),
		how: [
			`${counted(plan.pieces, "piece")} of ${pieceWeightWords(recipe, reading)}, trimmed`,
			pieceWords(recipe, reading),
			...(recipe.rack ? rackWords(recipe.rack) : boneWords(recipe.losses, recipe.piece.shape)),
			...keptWords(uses),
		],
	};
	if (!second || !recipe.second) return [own];
	return [
		own,
		{
			dish: recipe.name,
			from: second.ingredient,
			...neededAndCut(second, reading),
			how: [
				`${counted(second.pieces, "piece")} of ${pieceWeightWords(recipe.second, reading)}, trimmed`,
				pieceWords(recipe.second, reading),
				...boneWords(recipe.second.losses, recipe.second.piece.shape),
			],
		},
	];
}

/** "racks of 8 bones, cut along the bone, 2 bones each" */
function rackWords({ bones, perPiece }: NonNullable<Recipe["rack"]>): string[] {
	return [`racks of ${counted(bones, "bone")}, cut along the bone, ${counted(perPiece, "bone")} each`];
}

/** The weight that is taken out of the delivery, and what the pieces weigh together. */
function neededAndCut(
	{ asPurchased_kg, trimmed_kg }: Pick<WorkedDish["chain"], "asPurchased_kg" | "trimmed_kg">,
	{ mass }: Reading,
	of?: string,
): Pick<ButcherRequest, "needed" | "cut"> {
	const shown = (what: "needed" | "trimmed", value: number) =>
		of === undefined ? {} : { shown: { what, of, value } };
	return {
		needed: { words: mass(asPurchased_kg), ...shown("needed", asPurchased_kg) },
		cut: { words: mass(trimmed_kg), ...shown("trimmed", trimmed_kg) },
	};
}

/** Nothing is said of a bone where the card says nothing of it. */
function boneWords({ boneShare }: Pick<Losses, "boneShare">, shape: string): string[] {
	if (boneShare === undefined) return [];
	if (boneShare === 0) return ["off the bone"];
	return ["bone in", ...(shape === "cylinder" ? [ACROSS] : [])];
}

/** Trim and bones that go into a stock come with it. */
function keptWords(uses: ByProductUses): string[] {
	const wanted = [...(uses.trim ? ["trim"] : []), ...(uses.bones ? ["bones"] : [])];
	return wanted.length > 0 ? [`${wanted.join(" and ")} sent with it, for stock`] : [];
}
