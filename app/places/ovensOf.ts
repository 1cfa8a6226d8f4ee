import { LIDS } from "#core/trade";
import type { OvenDrawing } from "../ui/drawings/drawings.ts";
import { ovenPans, shelfWidth } from "../ui/drawings/ovenPans.ts";
import { percent } from "../ui/words/reading.ts";
import type { PlaceGiven } from "./Place.ts";

/** The ovens of a dish with its pans on their rungs; none where it stands in none. */
export function ovensOf({ plan, reading }: PlaceGiven): OvenDrawing[] {
	const { recipe } = plan;
	return plan.ovens.loads.map((load) => ({
		name: load.oven.name,
		rungs: load.oven.rungs,
		pitch_mm: load.oven.pitch_mm,
		width_mm: shelfWidth(load.oven.shelf),
		set: reading.temperature(load.set_C),
		set_C: load.set_C,
		taken: Array.from({ length: load.rungsTaken }, (_, rung) => rung),
		pans: load.pans.map(({ type, count }) => ovenPans(type.shape, count, load.oven.shelf)),
		words: `${load.oven.name} at ${reading.temperature(load.set_C)}, ${LIDS[recipe.braise.lid]}: ${load.pans.map(({ type, count }) => `${count} × ${type.name}`).join(", ")}; ${load.rungsTaken} of ${load.oven.rungs} rungs taken. ${percent(load.rungsTaken / load.oven.rungs)} full. ${recipe.name}.`,
	}));
}
