import type { WorkedDish } from "#core/day";
import { dryBeforeTender, isMadeAhead, lastStartAt } from "#core/dish";
import { heatOf } from "#core/recipe";
import { durationWords } from "#core/time";
import { sensibleFacts } from "../hold/index.ts";
import { NO_LINES, type Place } from "../Place.ts";
import { trayView } from "./tray.view.ts";

/** Where it comes from when it is tender. */
function outWords({ recipe }: WorkedDish): string {
	const heat = heatOf(recipe);
	if (heat === "oven") return "Out of the oven";
	return heat === "bath" ? "Out of the bath" : "Off the heat";
}

export const rest: Place = {
	key: "rest",
	figure: ({ plan }) => (isMadeAhead(plan.recipe) ? "to cool" : durationWords(plan.work.rest_min)),
	task: (task, { plan }) => {
		if (task.part === "rest") return `Rest ${durationWords(plan.work.rest_min)}`;
		return isMadeAhead(plan.recipe)
			? `${outWords(plan)}, to cool in the liquid`
			: "Lift, one piece at a time";
	},
	headline: ({ plan, reading }) => ({
		title: isMadeAhead(plan.recipe)
			? `${outWords(plan)} ${reading.clock(lastStartAt(plan, "rest"))}`
			: `${durationWords(plan.work.rest_min)} of rest`,
		says: isMadeAhead(plan.recipe)
			? "The pieces cool in their own liquid; they break when they are lifted hot."
			: `Lift at ${reading.clock(lastStartAt(plan, "rest"))}, one piece at a time.`,
		facts: [
			...(dryBeforeTender(plan, plan.tasks) === null
				? [{ figure: reading.clock(plan.tender.likely), label: "likely tender" }]
				: []),
			...(isMadeAhead(plan.recipe)
				? []
				: [
						{ figure: durationWords(plan.wait_min), label: "from the lift to the first plate" },
						...(plan.hold_min > 0 ? [] : sensibleFacts(plan, reading)),
					]),
		],
	}),
	takes: NO_LINES,
	drawing: trayView,
};
