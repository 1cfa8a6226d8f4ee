import { lineWords } from "#core/pans";
import type { Plan } from "#core/plan";
import { ALLERGENS } from "#core/recipe";
import { wallClock } from "#core/time";
import { LIDS } from "#core/trade";
import type { Sitting } from "#db";
import { setOf } from "../ui/places.ts";
import type { PlannedDishRow } from "../ui/planned.server.ts";
import type { Reading } from "../ui/reading.ts";

export interface PanLabel {
	readonly number: string;
	readonly pan: string;
	readonly figures: readonly { readonly label: string; readonly figure: string }[];
}

/** One label for each pan of a dish, as it is stuck to its rim. */
export function labelsView(row: PlannedDishRow, sitting: Sitting, reading: Reading) {
	const { dish, plan } = row;
	const head = {
		dish: dish.recipe.name,
		service: `${reading.day(sitting.serviceAt)} ${wallClock(sitting.serviceAt, reading.timeZone).time}`,
		sitting: sitting.name,
	};
	if (!plan) return { ...head, allergens: "", labels: [], refused: row.refused ?? "" };
	return {
		...head,
		allergens: allergenWords(plan),
		labels: plan.pans.pans.map(
			(pan, index): PanLabel => ({
				number: `${index + 1} of ${plan.pans.pans.length}`,
				pan: pan.type.name,
				figures: [
					{ label: pan.pieces === 1 ? "piece" : "pieces", figure: String(pan.pieces) },
					{ label: `dip; liquid ${lineWords(dish.recipe.braise.line)}`, figure: reading.length(pan.dip_mm) },
					{ label: "poured", figure: reading.volume(pan.liquid_l) },
					{ label: "to carry", figure: reading.mass(pan.lifted_kg) },
					{ label: LIDS[dish.recipe.braise.lid], figure: reading.temperature(setOf(dish.recipe, plan)) },
					{
						label: `in; check from ${reading.time(plan.clock.tender.low)}`,
						figure: reading.time(plan.clock.in),
					},
				],
			}),
		),
		refused: null,
	};
}

export type LabelsView = ReturnType<typeof labelsView>;

/** "contains celery, sulphites; may contain mustard" */
function allergenWords({ allergens }: Plan): string {
	const named = (presence: "contains" | "mayContain") =>
		allergens.filter((one) => one.presence === presence).map(({ allergen }) => ALLERGENS[allergen]);
	const contains = named("contains");
	const mayContain = named("mayContain");
	const words = [
		...(contains.length > 0 ? [`contains ${contains.join(", ")}`] : []),
		...(mayContain.length > 0 ? [`may contain ${mayContain.join(", ")}`] : []),
	];
	return words.length > 0 ? words.join("; ") : "none of the house's list in its lines";
}
