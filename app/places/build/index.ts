import { joinsLate, startAt } from "#core/plan";
import { durationWords } from "#core/time";
import { counted } from "../../ui/words/reading.ts";
import type { Place } from "../Place.ts";
import { accountView } from "./account.view.ts";

export const build: Place = {
	key: "build",
	figure: ({ plan, reading }) => reading.volume(plan.pans.liquid_l),
	task: (_, { plan, reading }) => `Build ${reading.volume(plan.pans.liquid_l)} of liquid`,
	headline: ({ plan, reading }) => ({
		title: `${reading.volume(plan.pans.liquid_l)} of liquid`,
		says: `What the pans need to reach the line. From ${reading.clock(startAt(plan, "build"))}.`,
		facts: [
			{
				figure: durationWords(plan.work.places.build.wall_min),
				label: `for ${counted(plan.order.hands, "cook")}`,
			},
		],
	}),
	takes: (planned) => {
		const { line } = planned;
		if (joinsLate(planned)) return false;
		if (line.group === "liquid") return true;
		return line.group === "base" && line.role !== "main" && line.role !== "searFat";
	},
	drawing: accountView,
};
