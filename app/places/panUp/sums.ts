import { uniqBy } from "es-toolkit";
import { fillingWorkings } from "#core/pans";
import { layersOf } from "#core/recipe";
import type { Working } from "#core/workings";
import type { PlaceGiven } from "../Place.ts";
import { told } from "../sums.ts";

/** The fullest pan of each kind: its line, its liquid, its dip, its weight. */
export function panSums({ plan: { pans, recipe }, kitchen: { policy } }: PlaceGiven): Working[] {
	const layers = layersOf(recipe);
	return uniqBy(pans.pans, ({ type }) => type.id).flatMap((pan) => {
		const about = {
			pan: pan.type.name,
			capacity: pan.capacity,
			layers,
			headspace_mm: policy.headspace_mm,
			limit_kg: policy.liftLimit_kg,
		};
		const sums = fillingWorkings(pan.type.shape, recipe.piece, pan, recipe.braise.line, layers);
		return sums.flatMap((sum) => told(sum, about));
	});
}
