import type { RecipeLine } from "#core/recipe";
import { GROUPS } from "#core/trade";
import type { LineGroup } from "../ui/parts/LineTable.tsx";
import type { LineView } from "../ui/words/lineView.ts";

export const GROUP_LABELS: Readonly<Record<RecipeLine["group"], string>> = {
	base: "Base",
	liquid: "Liquid",
	finish: "Finish",
	garnish: "Garnish",
	side: "Side",
};

/** Lines under their groups, in the order a card has them. */
export function grouped(rows: readonly (LineView & { readonly group: RecipeLine["group"] })[]): LineGroup[] {
	return GROUPS.map((group) => ({
		group: GROUP_LABELS[group],
		rows: rows.filter((row) => row.group === group),
	})).filter((group) => group.rows.length > 0);
}
