import { Refusal } from "#core/check";
import { onePanMore, type PanSaving, type SizedDish, sizeDish } from "#core/plan";
import { cookedRecipe, orderOf } from "#core/sitting";
import type { DishWithRecipe } from "#db";
import { choosePansTogether } from "../ui/server/planned.server.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { counted, type Reading } from "../ui/words/reading.ts";
import { askedTable, type DishAsked } from "./longTablePage.ts";

/** What one more pan of each kind would save this sitting, in sentences. */
export async function morePansPage(visit: HouseVisit, asked: DishAsked) {
	const { dishId } = asked;
	const { reading } = visit;
	const { sitting, dishes, kitchen, trial } = await askedTable(visit, asked);
	const tried = { ...sitting, ...trial?.sitting };
	const sized = dishes.flatMap((stored) => {
		const dish = stored.id === dishId ? { ...stored, ...trial?.dish } : stored;
		return sizedOrNone(dish, (given) => sizeDish(cookedRecipe(given), orderOf(tried, given), kitchen));
	});
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
