import { startAt } from "#core/plan";
import { HOUSE_CODES } from "#core/safety";
import { durationWords } from "#core/time";
import { NO_LINES, type Place } from "../Place.ts";

export const reheat: Place = {
	key: "reheat",
	figure: ({ plan }) => durationWords(plan.work.reheat_min),
	task: (_, { plan }) => `Reheat, covered, ${durationWords(plan.work.reheat_min)}`,
	headline: ({ plan, kitchen, reading }) => {
		const code = HOUSE_CODES[kitchen.policy.houseCode];
		return {
			title: `Reheat from ${reading.clock(startAt(plan, "reheat"))}`,
			says: `Lift off the set fat first. Gently, covered, in a little of the liquid, to a core of ${reading.temperature(code.reheat.core_C)} (house code “${code.name}”).`,
			facts: [{ figure: durationWords(plan.work.reheat_min), label: "usual; the probe decides" }],
		};
	},
	takes: NO_LINES,
};
