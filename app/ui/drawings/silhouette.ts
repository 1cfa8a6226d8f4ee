import { lineUp, lineWords, type Piece, pieceHeight } from "#core/pans";
import { heatOf, layersOf, type Recipe } from "#core/recipe";
import { HEATS, type HeatWay } from "#core/trade";
import type { Measures } from "../words/measures.ts";

/** A dish's pan from the side with its pieces in it, mm. */
export interface Silhouette {
	readonly wide_mm: number;
	readonly deep_mm: number;
	readonly line_mm: number;
	readonly piece: { readonly wide_mm: number; readonly high_mm: number; readonly round: boolean };
	readonly count: number;
	readonly layers: number;
	readonly words: string;
}

/** The usual vessel of each heat from the side, mm. General practice. */
const VESSELS: Readonly<Record<HeatWay, { readonly wide_mm: number; readonly deep_mm: number }>> = {
	oven: { wide_mm: 530, deep_mm: 100 },
	hob: { wide_mm: 400, deep_mm: 200 },
	slowCooker: { wide_mm: 380, deep_mm: 150 },
	pressure: { wide_mm: 300, deep_mm: 240 },
	bath: { wide_mm: 530, deep_mm: 200 },
};
/** Room that a cover leaves over the pieces, mm, and the deeper pan where they need one. */
const OVER_MM = 15;
const DEEPER_MM = 150;
const GAP_MM = 10;
/** Poured pieces are drawn so many deep. */
const POURED_LAYERS = 3;

/** No pan is deeper, mm. */
const DEEPEST_MM = 500;
/** More than so many cannot be told apart. */
const MOST_BESIDE = 40;
const MOST_LAYERS = 12;

/** What a dish looks like in its pan, as its card has it; nothing where no pan is so large. */
export function silhouetteOf(recipe: Recipe, { length }: Measures): Silhouette | null {
	const heat = heatOf(recipe);
	const { wide_mm, deep_mm } = VESSELS[heat];
	const high_mm = pieceHeight(recipe.piece);
	const layers = layersOf(recipe);
	const piled = Math.min(
		MOST_LAYERS,
		layers === "poured" ? Math.max(1, Math.min(POURED_LAYERS, Math.floor(deep_mm / high_mm))) : layers,
	);
	const pile_mm = piled * high_mm;
	const piece = { wide_mm: wideOf(recipe.piece), high_mm, round: recipe.piece.shape === "ball" };
	if (!(pile_mm <= DEEPEST_MM && piece.wide_mm <= wide_mm)) return null;
	return {
		wide_mm,
		deep_mm: pile_mm + OVER_MM > deep_mm ? Math.max(DEEPER_MM, pile_mm + OVER_MM) : deep_mm,
		line_mm: lineUp(pile_mm, recipe.braise.line),
		piece,
		count: Math.max(1, Math.min(MOST_BESIDE, Math.floor((wide_mm * 0.94) / (piece.wide_mm + GAP_MM)))),
		layers: piled,
		words: `${HEATS[heat]}: pieces ${length(piece.wide_mm)} long and ${length(high_mm)} high, liquid ${lineWords(recipe.braise.line)}.`,
	};
}

function wideOf(piece: Piece): number {
	if (piece.shape === "ball") return piece.diameter_mm;
	return piece.shape === "cylinder" && piece.standing ? piece.diameter_mm : piece.length_mm;
}
