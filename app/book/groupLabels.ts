import type { RecipeLine } from "#core/recipe";
import { GROUPS } from "#core/trade";
import type { RowGroup } from "../ui/parts/ColumnTable.tsx";
import type { LineView } from "../ui/words/lineView.ts";

export const GROUP_LABELS: Readonly<Record<RecipeLine["group"], string>> = {
	base: "Base",
	liquid: "Liquid",
	finish: "Finish",
	garnish: "Garnish",
	side: "Side",
};

/** Lines under their groups, in the order a card has them. */
export function inGroups(
	rows: readonly (LineView & { readonly group: RecipeLine["group"] })[],
): RowGroup<LineView>[] {
	return GROUPS.map((group) => ({
		heading: GROUP_LABELS[group],
		rows: rows.filter((row) => row.group === group),
	})).filter((group) => group.rows.length > 0);
}
