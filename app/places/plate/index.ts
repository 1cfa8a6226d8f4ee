import { type Plan, startAt } from "#core/plan";
import { threeDigits } from "#core/quantity";
import { counted } from "../../ui/words/reading.ts";
import type { Place } from "../Place.ts";
import { portionWords, spiceWords } from "../words.ts";

const boxed = ({ recipe }: Plan) => recipe.servedIn === "boxes";
const portionsWords = (plan: Plan) =>
	boxed(plan) ? counted(plan.chain.portions, "box", "boxes") : counted(plan.chain.portions, "plate");

/** As many come out as went in; none of it reaches a plate. */
function outWords(plan: Plan): string {
	const spices = spiceWords(plan);
	return spices ? ` Count out first: ${spices.out}.` : "";
}

export const plate: Place = {
	key: "plate",
	figure: ({ plan }) => portionsWords(plan),
	task: (_, { plan }) => (boxed(plan) ? `Fill ${plan.chain.portions} boxes` : `Plate ${plan.chain.portions}`),
	headline: ({ plan, reading }) => ({
		title: portionsWords(plan),
		says: `Start ${boxed(plan) ? "filling" : "plating"} at ${reading.clock(startAt(plan, "plate"))} for ${reading.clock(plan.order.serviceAt)}.${outWords(plan)}`,
		facts: [
			{
				figure: threeDigits(plan.chain.portions / Math.max(1, plan.work.places.plate.wall_min)),
				label: `a minute, with ${counted(plan.order.hands, "cook")}`,
			},
			{ figure: portionWords(plan, reading), label: "on each" },
			{ figure: reading.volume(plan.recipe.sauce_ml / 1000), label: "sauce on each" },
		],
	}),
	paper: ({ plan }) => {
		const spices = spiceWords(plan);
		return [...(spices ? [{ what: "Plate", text: `Count out before the first leaves: ${spices.out}` }] : [])];
	},
	takes: ({ line }) => line.group === "side" || line.group === "garnish",
};
