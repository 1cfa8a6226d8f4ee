import type { WorkedDish } from "#core/day";
import type { ByProductUses } from "#core/plan";
import { CATEGORIES, type Recipe } from "#core/recipe";
import { pieceWeightWords, pieceWords } from "../places/words.ts";
import { counted, type Reading } from "../ui/words/reading.ts";

/** What a butcher is asked for of one dish. */
export interface ButcherRequest {
	readonly dish: string;
	/** "18.2 kg of lamb neck" */
	readonly what: string;
	/** How it is cut, a thing each. */
	readonly how: readonly string[];
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
		what: `${reading.mass(chain.order_kg ?? chain.asPurchased_kg)} of ${main.name}`,
		how: [
			`${counted(plan.pieces, "piece")} of ${pieceWeightWords(recipe, reading)}, trimmed`,
			pieceWords(recipe, reading),
			...(recipe.rack ? rackWords(recipe.rack) : boneWords(recipe.losses.boneShare ?? 0, recipe.piece.shape)),
			...keptWords(uses),
		],
	};
	if (!second || !recipe.second) return [own];
	return [
		own,
		{
			dish: recipe.name,
			what: `${reading.mass(second.asPurchased_kg)} of ${second.ingredient.name}`,
			how: [
				`${counted(second.pieces, "piece")} of ${pieceWeightWords(recipe.second, reading)}, trimmed`,
				pieceWords(recipe.second, reading),
				...boneWords(recipe.second.losses.boneShare ?? 0, recipe.second.piece.shape),
			],
		},
	];
}

/** "racks of 8 bones, cut along the bone, 2 bones each" */
function rackWords({ bones, perPiece }: NonNullable<Recipe["rack"]>): string[] {
	return [`racks of ${counted(bones, "bone")}, cut along the bone, ${counted(perPiece, "bone")} each`];
}

function boneWords(boneShare: number, shape: string): string[] {
	if (boneShare === 0) return ["off the bone"];
	return ["bone in", ...(shape === "cylinder" ? [ACROSS] : [])];
}

/** Trim and bones that go into a stock come with it. */
function keptWords(uses: ByProductUses): string[] {
	const wanted = [...(uses.trim ? ["trim"] : []), ...(uses.bones ? ["bones"] : [])];
	return wanted.length > 0 ? [`${wanted.join(" and ")} sent with it, for stock`] : [];
}
