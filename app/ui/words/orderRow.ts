import type { OrderRow } from "#core/dish";
import { type Ingredient, isBoughtByVolume } from "#core/recipe";
import { counted, money, type Reading } from "./reading.ts";

/** One thing to buy as it is read: what is needed, what is ordered in whole packs, what it costs. */
export function orderRowView(row: OrderRow, reading: Reading, currency: string) {
	const { ingredient, packs, pack_kg, pieces, here_kg } = row;
	const byPiece = row.asPurchased_kg === 0 && pieces > 0;
	const amount = (kg: number) => amountWords(kg, ingredient, reading);
	const here = here_kg > 0 && row.from === "order" ? `, ${amount(here_kg)} of it here` : "";
	return {
		id: ingredient.id,
		name: ingredient.name,
		needed: byPiece ? counted(pieces, "piece") : `${amount(row.asPurchased_kg)}${here}`,
		order: byPiece
			? counted(pieces, "piece")
			: packs === null || pack_kg === null
				? amount(row.order_kg)
				: `${packs} × ${amount(pack_kg)}`,
		cost: row.cost_minor === null ? "no price" : money(row.cost_minor, currency),
		dishes: row.dishes.join("; "),
	};
}

/** As a cook buys it: wine by the litre, meat by the kilo. */
function amountWords(kg: number, ingredient: Ingredient, reading: Reading): string {
	const { density_g_per_ml } = ingredient;
	if (density_g_per_ml === null || !isBoughtByVolume(ingredient)) return reading.mass(kg);
	return reading.volume(kg / density_g_per_ml);
}
