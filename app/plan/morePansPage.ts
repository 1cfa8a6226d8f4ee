import { Refusal } from "#core/check";
import { onePanMore, type PanSaving, type SizedDish, sizeDish } from "#core/dish";
import { orderOf } from "#core/sitting";
import type { DishWithRecipe } from "#db";
import { withTrial } from "../ui/forms/tableTrial.ts";
import { choosePansTogether } from "../ui/server/needs.server.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { workedSitting } from "../ui/server/worked.server.ts";
import { counted, type Reading } from "../ui/words/reading.ts";
import { askedTable, type DishAsked } from "./longTablePage.ts";

/** What one more pan of each kind would save this sitting, in sentences. */
export async function morePansPage(visit: HouseVisit, asked: DishAsked) {
	const { dishId } = asked;
	const { reading } = visit;
	const { sitting, trial } = await askedTable(visit, asked);
	const tried = trial ? withTrial(sitting, dishId, trial) : sitting;
	const table = await workedSitting(visit.store.db, sitting, { now: reading.now, sitting: tried });
	if (!table) return { savings: [NOTHING] };
	const { kitchen } = table;
	const sized = table.rows.flatMap(({ dish }) =>
		sizedOrNone(dish, (given) => sizeDish(given.recipe, orderOf(tried, given), kitchen)),
	);
	const savings = onePanMore(sized, kitchen, choosePansTogether);
	return {
		savings: savings.length > 0 ? savings.map((saving) => savingWords(saving, reading)) : [NOTHING],
	};
}

const NOTHING = "Nothing: no single pan more would spare pieces, rungs or liquid.";

/** A dish that cannot be sized needs no pans. */
function sizedOrNone(dish: DishWithRecipe, size: (dish: DishWithRecipe) => SizedDish): SizedDish[] {
	try {
		return [size(dish)];
	} catch (error) {
		if (error instanceof Refusal) return [];
		throw error;
	}
}

function savingWords({ type, pieces, rungs, liquid_l }: PanSaving, reading: Reading): string {
	const saved = [
		...(pieces > 0 ? [`finds room for ${counted(pieces, "piece")}`] : []),
		...(rungs > 0 ? [`frees ${counted(rungs, "rung")}`] : []),
		...(liquid_l > 0.05 ? [`takes ${reading.volume(liquid_l)} less liquid`] : []),
	];
	return `One more ${type.name} ${saved.join(", ")}, for the whole sitting.`;
}
