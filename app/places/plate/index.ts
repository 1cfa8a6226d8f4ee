import { startAt } from "#core/plan";
import { counted } from "../../ui/words/reading.ts";
import type { Place } from "../Place.ts";
import { portionWords } from "../words.ts";

export const plate: Place = {
	key: "plate",
	figure: ({ plan }) => counted(plan.chain.portions, "plate"),
	task: (_, { plan }) => `Plate ${plan.chain.portions}`,
	headline: ({ plan, reading }) => ({
		title: counted(plan.chain.portions, "plate"),
		says: `Start plating at ${reading.clock(startAt(plan, "plate"))} for ${reading.clock(plan.order.serviceAt)}.`,
		facts: [
			{ figure: portionWords(plan, reading), label: "on each" },
			{ figure: reading.volume(plan.recipe.sauce_ml / 1000), label: "sauce on each" },
		],
	}),
	takes: ({ line }) => line.group === "side" || line.group === "garnish",
};
