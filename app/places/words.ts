import { sumBy } from "es-toolkit";
import type { WorkedDish } from "#core/day";
import { countByType, wholeSpices } from "#core/dish";
import { pieceHeight } from "#core/pans";
import type { Recipe } from "#core/recipe";
import type { PlacedTask } from "#core/tasks";
import { counted, type Reading } from "../ui/words/reading.ts";

/** Words that more than one place needs. */

/** What the dish is made of: "goat shoulder". */
export function mainName(plan: WorkedDish): string {
	return plan.lines.find(({ line }) => line.role === "main")?.ingredient.name ?? "the main";
}

/** "4 × GN 1/1-100 + 1 × GN 1/2-100", "3 × GN 1/1-100, filled 2 times" */
export function pansWords(plan: Pick<WorkedDish, "pans">): string {
	const kinds = countByType(plan.pans);
	if (kinds.length === 0) return "no pan";
	const words = kinds.map(({ type, count }) => `${count} × ${type.name}`).join(" + ");
	return plan.pans.goes > 1 ? `${words}, filled ${plan.pans.goes} times` : words;
}

/** The same where there is little room: "9 pans" where they are of more than one kind. */
export function fewPansWords(plan: Pick<WorkedDish, "pans">): string {
	const kinds = countByType(plan.pans);
	if (kinds.length <= 1 && plan.pans.goes === 1) return pansWords(plan);
	const pans = counted(
		sumBy(kinds, ({ count }) => count),
		"pan",
	);
	return plan.pans.goes > 1 ? `${pans}, ${plan.pans.goes} goes` : pans;
}

/** "Go 1 of 2: ", before what is done for one filling of the pans; nothing where there is one filling. */
export function goWords({ figures: { go, goes } }: Pick<PlacedTask, "figures">): string {
	return goes === undefined ? "" : `Go ${go} of ${goes}: `;
}

/** The temperatures the ovens are set to, the slowest pans' first; the card's own when there is none. */
export function setWords({ braise, recipe }: WorkedDish, reading: Reading): string {
	const set = braise ? [...new Set(braise.groups.map(({ set_C }) => set_C))] : [recipe.braise.oven_C.set];
	return set.map((C) => reading.temperature(C)).join(" and ");
}

/** "165 g cooked", "2 pieces" */
export function portionWords({ recipe }: WorkedDish, reading: Reading): string {
	return "portion_g" in recipe.portion
		? `${reading.mass(recipe.portion.portion_g / 1000)} cooked`
		: counted(recipe.portion.piecesPerPortion, "piece");
}

/** A piece as a cook says it: "260 g, from 250 to 270". Within four in a hundred nobody weighs again. */
export function pieceWeightWords({ piece }: Pick<Recipe, "piece">, reading: Reading): string {
	const from = rounded(piece.weight_g * (1 - PIECE_SPREAD));
	const to = rounded(piece.weight_g * (1 + PIECE_SPREAD));
	const mass = (grams: number) => reading.mass(grams / 1000);
	return `${mass(rounded(piece.weight_g, 5))}, from ${mass(from)} to ${mass(to)}`;
}

/** Share by which the pieces of a pan may differ and still be done together. General practice. */
const PIECE_SPREAD = 0.04;

/** To what a butcher's scale is read at a glance, g. */
function rounded(grams: number, fine = 10): number {
	const step = grams < 100 ? 1 : grams < 200 ? 5 : grams < 1000 ? fine : 50;
	return Math.round(grams / step) * step;
}

/** What goes in whole and what comes out again: "7 sachets, one a pan, of 64 juniper berries in all". */
export function spiceWords({
	lines,
	pans,
}: Pick<WorkedDish, "lines" | "pans">): { in: string; out: string } | null {
	const { sachets, inSachets, loose } = wholeSpices(lines, pans.pans.length);
	const named = (things: typeof loose) => things.map(({ name, count }) => `${count} ${name}`).join(", ");
	if (sachets === 0 && loose.length === 0) return null;
	const tied = sachets > 0 ? [`${counted(sachets, "sachet")}, one a pan, of ${named(inSachets)} in all`] : [];
	const out = [
		...(sachets > 0 ? [counted(sachets, "sachet")] : []),
		...(loose.length > 0 ? [named(loose)] : []),
	];
	return { in: [...tied, ...(loose.length > 0 ? [named(loose)] : [])].join("; "), out: out.join(", ") };
}

/** "82 mm × 58 mm × 50 mm" */
export function pieceWords({ piece }: Pick<Recipe, "piece">, reading: Reading): string {
	const side = (mm: number) => reading.length(mm);
	if (piece.shape === "block") {
		return `${side(piece.length_mm)} × ${side(piece.width_mm)} × ${side(pieceHeight(piece))}`;
	}
	if (piece.shape === "ball") return `${side(piece.diameter_mm)} across`;
	return `${side(piece.length_mm)} long, ${side(piece.diameter_mm)} thick`;
}
