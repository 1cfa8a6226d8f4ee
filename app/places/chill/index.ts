import { startAt, taskAt } from "#core/plan";
import { HOUSE_CODES } from "#core/safety";
import { durationWords } from "#core/time";
import { coolingWords } from "../../ui/words/cautions.ts";
import { NO_LINES, type Place } from "../Place.ts";

export const chill: Place = {
	key: "chill",
	figure: ({ plan }) => durationWords(plan.work.chill_min),
	task: (task, { plan }) =>
		task.part === "keep" ? "Keep cold, covered" : `Chill, ${durationWords(plan.work.chill_min)}`,
	headline: ({ plan, kitchen, reading }) => {
		const code = HOUSE_CODES[kitchen.policy.houseCode];
		const cold = taskAt(plan, "chill", "chill")?.end ?? startAt(plan, "chill");
		return {
			title: `Chill from ${reading.clock(startAt(plan, "chill"))}`,
			says: `Shallow, in ice or the blast chiller; cold by ${reading.clock(cold)}. House code “${code.name}”: cool ${coolingWords(code, reading)}. Write the temperatures down.`,
			facts: [{ figure: durationWords(plan.work.chill_min), label: "usual; the probe decides" }],
		};
	},
	takes: NO_LINES,
};
