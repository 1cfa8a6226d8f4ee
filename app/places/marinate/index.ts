import type { WorkedDish } from "#core/day";
import { marinadeOf, startAt } from "#core/dish";
import { durationWords } from "#core/time";
import type { Reading } from "../../ui/words/reading.ts";
import type { Place } from "../Place.ts";
import { workAt } from "../sums.ts";
import { marinadeSums } from "./sums.ts";
import { vesselView } from "./vessel.view.ts";

export const marinate: Place = {
	key: "marinate",
	figure: ({ plan, reading }) => marinadeWords(plan, reading),
	task: (_, { plan, reading }) => {
		const { litres } = marinadeOf(plan);
		return litres > 0
			? `Into the marinade, ${reading.volume(litres)}`
			: `Rub on, ${marinadeWords(plan, reading)}`;
	},
	headline: ({ plan, reading }) => {
		const out = startAt(plan, plan.recipe.sear ? "sear" : "build");
		return {
			title: `${marinadeWords(plan, reading)}, from ${reading.clock(startAt(plan, "marinate"))}`,
			says: `Drain at ${reading.clock(out)}. ${plan.recipe.marinate?.container ?? ""}.`,
			facts: [{ figure: durationWords(plan.recipe.marinate?.longest_min ?? 0), label: "at the most" }],
		};
	},
	sums: ({ plan }) => [...marinadeSums(plan), ...workAt(plan, "marinate")],
	takes: (line, plan) => marinadeOf(plan).lines.includes(line),
	drawing: vesselView,
};

/** "4.2 l" of a wet marinade, "180 g" of a rub. */
function marinadeWords(plan: WorkedDish, reading: Reading): string {
	const { litres, grams } = marinadeOf(plan);
	if (litres > 0) return reading.volume(litres);
	return grams > 0 ? reading.mass(grams / 1000) : "rub";
}
