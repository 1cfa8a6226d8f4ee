import type { WorkedDish } from "#core/day";
import { type PlanColour, searTaken } from "#core/dish";
import type { Working } from "#core/workings";
import { told } from "../sums.ts";

/** Loads or trays, their minutes and their fat, by the way that is taken. */
export function colourSums(colour: PlanColour, { sear }: WorkedDish["recipe"]): Working[] {
	const { oven, givenOff_kg } = colour;
	if (colour.way === "oven") {
		if (!oven) return [];
		const { trays, minutes, hands } = oven.sums;
		return [...told(trays, { tray: oven.tray.name }), ...told(minutes, { oven: oven.oven.name }), hands];
	}
	const pan = searTaken(colour);
	if (!pan || !sear) return [];
	const { loads, minutes, fat } = pan.sums;
	// What skin gives off itself asks for no fat.
	const itsFat = pan.fat_g > 0 ? [fat] : givenOff_kg > 0 ? [colour.sums.givenOff] : [];
	return [...told(loads, { pan: pan.vessel.name, gap_mm: sear.gap_mm }), minutes, ...itsFat];
}
