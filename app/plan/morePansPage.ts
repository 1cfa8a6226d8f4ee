import { Refusal } from "#core/check";
import { onePanMore, type PanSaving, type SizedDish, sizeDish } from "#core/plan";
import { cookedRecipe, orderOf } from "#core/sitting";
import { type DishWithRecipe, readKitchen, readSitting, withRecipes } from "#db";
import { choosePansTogether } from "../ui/server/planned.server.ts";
import { foundOr404, type HouseVisit } from "../ui/server/visit.ts";
import { counted, type Reading } from "../ui/words/reading.ts";
import type { DishAsked } from "./longTablePage.ts";
import { hasTrial, readTrial } from "./trial.ts";

/** What one more pan of each kind would save this sitting, in sentences. */
export async function morePansPage(
	{ store, house, reading }: HouseVisit,
	{ sittingId, dishId, search }: DishAsked,
) {
	const sitting = await foundOr404(readSitting(store.db, sittingId), "sitting");
	const dishes = await withRecipes(store.db, sitting.dishes);
	const kitchen = await readKitchen(
		store.db,
		dishes.map(({ recipe }) => recipe),
	);
	const address = new URLSearchParams(search);
	const read = hasTrial(address) ? readTrial(address, house.timeZone, reading.units) : null;
	const trial = read && "value" in read ? read.value : null;
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
