import type { WorkedDish } from "#core/day";
import { inMarinade } from "#core/dish";
import type { Working } from "#core/workings";
import { told } from "../sums.ts";

/** How long it lies in its marinade, beside what the card asks. */
export function marinadeSums({ recipe: { marinate }, tasks }: WorkedDish): Working[] {
	if (!marinate) return [];
	const { minutes, longest_min } = marinate;
	return told(inMarinade(tasks), { asked_min: minutes, longest_min });
}
