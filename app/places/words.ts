import { pieceHeight } from "#core/pans";
import { countByType, type Plan } from "#core/plan";
import type { Recipe } from "#core/recipe";
import { counted, type Reading } from "../ui/words/reading.ts";

/** Words that more than one place needs. */

/** What the dish is made of: "goat shoulder". */
export function mainName(plan: Plan): string {
	return plan.lines.find(({ line }) => line.role === "main")?.ingredient.name ?? "the main";
}

/** "4 × GN 1/1-100 + 1 × GN 1/2-100" */
export function pansWords(plan: Pick<Plan, "pans">): string {
	const kinds = countByType(plan.pans);
	if (kinds.length === 0) return "no pan";
	return kinds.map(({ type, count }) => `${count} × ${type.name}`).join(" + ");
}

/** The temperatures the ovens are set to, the slowest pans' first; the card's own when there is none. */
export function setWords({ braise, recipe }: Plan, reading: Reading): string {
	const set = braise ? [...new Set(braise.groups.map(({ set_C }) => set_C))] : [recipe.braise.oven_C.set];
	return set.map((C) => reading.temperature(C)).join(" and ");
}

/** "165 g cooked", "2 pieces" */
export function portionWords({ recipe }: Plan, reading: Reading): string {
	return "portion_g" in recipe.portion
		? `${reading.mass(recipe.portion.portion_g / 1000)} cooked`
		: counted(recipe.portion.piecesPerPortion, "piece");
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
