import { isMadeAhead, lastStartAt, lastTaskAt, type Plan } from "#core/plan";
import { durationWords, toFiveMinutes } from "#core/time";
import type { Fact } from "../../ui/parts/Facts.tsx";
import type { Reading } from "../../ui/words/reading.ts";
import { NO_LINES, type Place } from "../Place.ts";

/** Where the last plate would wait too long. */
function holdWords({ hold_min, hold }: Pick<Plan, "hold_min" | "hold">): string {
	if (hold_min === 0) return "";
	const every = Math.max(1, Math.round(hold?.everyPan_min ?? 0));
	return ` Held hot on purpose, covered in its liquid, for the ${durationWords(hold_min)} of plating: open a pan every ${durationWords(every)}, so that the last plate is like the first.`;
}

/** Until when a plate is sensible, and what it costs to wait. */
function sensibleFacts(plan: Plan, reading: Reading): Fact[] {
	const { hold } = plan;
	const hot = lastTaskAt(
		plan,
		isMadeAhead(plan.recipe) ? "reheat" : "rest",
		isMadeAhead(plan.recipe) ? "reheat" : "lift",
	);
	if (!hold || !hot) return [];
	// The careful end of its range, to the five minutes before.
	const latest = toFiveMinutes(hot.end + (hold.sensible_min.low - STEP_MIN) * MINUTE_MS);
	const waits_h = Math.max(0, plan.wait_min + plan.hold_min) / 60;
	return [
		{
			figure: reading.clock(latest),
			label: `latest sensible plate, held at ${reading.temperature(hold.held_C)}`,
		},
		...(waits_h > 0.25
			? [{ figure: reading.volume(hold.dries_l_per_h * waits_h), label: "of water it loses, covered" }]
			: []),
	];
}

/** Fillings that another follows. */
function heldGoWords({ tasks }: Plan, reading: Reading): string {
	const held = tasks.filter(({ part, fills }) => part === "hold" && fills);
	return held
		.map(({ figures, start, end }) => {
			const long = durationWords((end - start) / MINUTE_MS);
			return ` Go ${figures.go} is out at ${reading.clock(start)} and waits hot for ${long}.`;
		})
		.join("");
}

const MINUTE_MS = 60_000;
const STEP_MIN = 5;

export const rest: Place = {
	key: "rest",
	figure: ({ plan }) => (isMadeAhead(plan.recipe) ? "to cool" : durationWords(plan.work.rest_min)),
	task: (task, { plan, kitchen, reading }) => {
		if (task.fills) {
			const least = reading.temperature(kitchen.policy.code.holdHot_C);
			return `Turn out of the pans and hold hot, covered in its liquid, above ${least}, until the plates at ${reading.clock(task.end)}`;
		}
		if (task.part === "hold")
			return `Hold hot, covered, until the last plate: ${durationWords(plan.hold_min)}`;
		if (task.part === "rest") return `Rest ${durationWords(plan.work.rest_min)}`;
		return isMadeAhead(plan.recipe) ? "Out of the oven, to cool in the liquid" : "Lift, one piece at a time";
	},
	headline: ({ plan, reading }) => ({
		title: isMadeAhead(plan.recipe)
			? `Out of the oven ${reading.clock(lastStartAt(plan, "rest"))}`
			: `${durationWords(plan.work.rest_min)} of rest`,
		says: isMadeAhead(plan.recipe)
			? "The pieces cool in their own liquid; they break when they are lifted hot."
			: `Lift at ${reading.clock(lastStartAt(plan, "rest"))}, one piece at a time.${holdWords(plan)}${heldGoWords(plan, reading)}`,
		facts: [
			{ figure: reading.clock(plan.tender.likely), label: "likely tender" },
			...(isMadeAhead(plan.recipe)
				? []
				: [
						{ figure: durationWords(plan.wait_min), label: "from the lift to the first plate" },
						...sensibleFacts(plan, reading),
					]),
		],
	}),
	takes: NO_LINES,
};
