import { isMadeAhead, type Plan, startAt } from "#core/plan";
import { durationWords } from "#core/time";
import { NO_LINES, type Place } from "../Place.ts";

/** Where the last plate would wait too long. */
function holdWords({ hold_min }: Pick<Plan, "hold_min">): string {
	return hold_min > 0
		? ` Held hot on purpose, covered in its liquid, for the ${durationWords(hold_min)} of plating.`
		: "";
}

export const rest: Place = {
	key: "rest",
	figure: ({ plan }) => (isMadeAhead(plan.recipe) ? "to cool" : durationWords(plan.work.rest_min)),
	task: (task, { plan }) => {
		if (task.part === "hold")
			return `Hold hot, covered, until the last plate: ${durationWords(plan.hold_min)}`;
		if (task.part === "rest") return `Rest ${durationWords(plan.work.rest_min)}`;
		return isMadeAhead(plan.recipe) ? "Out of the oven, to cool in the liquid" : "Lift, one piece at a time";
	},
	headline: ({ plan, reading }) => ({
		title: isMadeAhead(plan.recipe)
			? `Out of the oven ${reading.clock(startAt(plan, "rest"))}`
			: `${durationWords(plan.work.rest_min)} of rest`,
		says: isMadeAhead(plan.recipe)
			? "The pieces cool in their own liquid; they break when they are lifted hot."
			: `Lift at ${reading.clock(startAt(plan, "rest"))}, one piece at a time.${holdWords(plan)}`,
		facts: [
			{ figure: reading.clock(plan.tender.likely), label: "likely tender" },
			...(isMadeAhead(plan.recipe)
				? []
				: [{ figure: durationWords(plan.wait_min), label: "from the lift to the first plate" }]),
		],
	}),
	takes: NO_LINES,
};
