import { lowerFirst } from "es-toolkit";
import type { WorkedDish } from "#core/day";
import { startAt, taskAt } from "#core/dish";
import { durationWords } from "#core/time";
import { coolingWords } from "../../ui/words/cautions.ts";
import { coolerWords } from "../../ui/words/heatLimitWords.ts";
import { NO_LINES, type Place } from "../Place.ts";
import { workAt } from "../sums.ts";
import { chillView } from "./chill.view.ts";

/** Where it is cooled, and how; where nothing that cools is counted, what is usual. */
function wayWords({ chill: planned }: WorkedDish): string {
	if (!planned) return "Shallow, in ice or the blast chiller";
	const { cooler, parts, ice } = planned.way;
	return coolerWords({ cooler: cooler.name, parts, ice });
}

export const chill: Place = {
	key: "chill",
	figure: ({ plan }) => durationWords(plan.work.chill_min),
	task: (task, { plan }) =>
		task.part === "keep"
			? "Keep cold, covered"
			: `Chill, ${durationWords(plan.work.chill_min)}${plan.chill ? `: ${lowerFirst(wayWords(plan))}` : ""}`,
	headline: ({ plan, kitchen, reading }) => {
		const code = kitchen.policy.code;
		const cold = taskAt(plan, "chill", "chill")?.end ?? startAt(plan, "chill");
		return {
			title: `Chill from ${reading.clock(startAt(plan, "chill"))}`,
			says: `${wayWords(plan)}; cold by ${reading.clock(cold)}. House code “${code.name}”: cool ${coolingWords(code, reading)}. Write the temperatures down.`,
			facts: [
				{
					figure: durationWords(plan.work.chill_min),
					label: plan.chill ? "to be sure; the probe decides" : "usual; the probe decides",
				},
				...(plan.chill ? [{ figure: reading.length(plan.chill.way.depth_mm), label: "deep" }] : []),
			],
		};
	},
	sums: ({ plan }) => workAt(plan, "chill"),
	takes: NO_LINES,
	drawing: chillView,
	paper: ({ plan, kitchen, reading }) => {
		if (!plan.chill) return [];
		const code = kitchen.policy.code;
		const deep = `${reading.length(plan.chill.way.depth_mm)} deep`;
		return [
			{
				what: "Chill",
				text: `Chill: ${lowerFirst(wayWords(plan))}, ${deep}; cool ${coolingWords(code, reading)}`,
			},
		];
	},
};
