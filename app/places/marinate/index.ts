import { type Plan, startAt } from "#core/plan";
import { durationWords } from "#core/time";
import type { Reading } from "../../ui/reading.ts";
import type { Place } from "../Place.ts";

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
	takes: isMarinade,
};

/**
 * What goes on the meat: what the card says of its lines; where it says nothing, its wines, as
 * long as there is no rub among the lines.
 */
function isMarinade({ line, ingredient }: Plan["lines"][number]): boolean {
	if (line.marinade !== undefined) return line.marinade;
	return line.role === "liquid" && (ingredient.category === "wine" || ingredient.category === "acid");
}

function marinadeOf({ lines }: Plan): { readonly litres: number; readonly grams: number } {
	const said = lines.filter(({ line }) => line.marinade === true);
	const rubbed = lines.some(({ ingredient }) => /\brub\b/i.test(ingredient.name));
	const on = said.length > 0 ? said : rubbed ? [] : lines.filter(isMarinade);
	return {
		litres: on.reduce((sum, { measure_ml }) => sum + (measure_ml ?? 0), 0) / 1000,
		grams: on.reduce((sum, { measure_ml, amount_g }) => sum + (measure_ml === null ? (amount_g ?? 0) : 0), 0),
	};
}

/** "4.2 l" of a wet marinade, "180 g" of a rub. */
function marinadeWords(plan: Plan, reading: Reading): string {
	const { litres, grams } = marinadeOf(plan);
	if (litres > 0) return reading.volume(litres);
	return grams > 0 ? reading.mass(grams / 1000) : "rub";
}
