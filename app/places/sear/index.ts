import { type PanColour, type PlanColour, searTaken, shareInGo, startAt } from "#core/dish";
import { COLOUR_C } from "#core/sear";
import { durationWords } from "#core/time";
import { counted, type Reading } from "../../ui/words/reading.ts";
import type { Headline, PaperLine, Place, PlaceGiven } from "../Place.ts";
import { colourView } from "./colour.view.ts";
import { colourSums } from "./sums.ts";

export const sear: Place = {
	key: "sear",
	figure: (given) => taken(given)?.figure ?? "no pan",
	task: (task, given) => {
		const way = taken(given);
		if (!way) return "Colour the pieces";
		const { pieces, pans } = given.plan;
		const { go } = task.figures;
		const what =
			go === undefined ? way.figure : counted(Math.round(pieces * shareInGo(pans, Number(go))), "piece");
		return `${way.verb}, ${what}, ${durationWords(task.minutes.planned)}`;
	},
	headline,
	sums: ({ plan }) => (plan.colour ? colourSums(plan.colour, plan.recipe) : []),
	takes: ({ line }) => line.role === "searFat" || line.role === "salt",
	drawing: colourView,
	paper,
};

/** The way of colouring that is taken: "7 loads", "12 trays". */
function taken({ plan: { colour } }: PlaceGiven) {
	if (colour?.way === "oven" && colour.oven) {
		const { trays, minutes } = colour.oven;
		return { figure: counted(trays, "tray"), verb: "Colour in the oven", minutes };
	}
	const pan = colour && searTaken(colour);
	if (!pan) return null;
	return { figure: counted(pan.loads, "load"), verb: "Sear", minutes: pan.minutes };
}

function headline({ plan, reading }: PlaceGiven): Headline {
	const { colour, recipe } = plan;
	const from = `From ${reading.clock(startAt(plan, "sear"))}.`;
	if (colour?.way === "oven" && colour.oven) {
		const { trays, perTray, tray, oven, minutes, hands_min } = colour.oven;
		return {
			title: `${counted(trays, "tray")} of ${perTray}`,
			says: `${tray.name} in the ${oven.name}. ${from}`,
			facts: [
				{ figure: durationWords(minutes), label: "on the wall clock" },
				{ figure: durationWords(hands_min), label: "one cook's time" },
			],
		};
	}
	const pan = colour && searTaken(colour);
	if (!pan) return { title: "No searing pan", says: "See the warning below.", facts: [] };
	const { loads, perLoad, minutes } = pan;
	return {
		title: `${counted(loads, "load")} of ${perLoad}`,
		says: `${vesselWords(pan)}. ${from}`,
		facts: [
			{ figure: durationWords(minutes), label: "on the wall clock" },
			fatFact(colour, pan, reading),
			{ figure: `${recipe.sear?.sides} × ${recipe.sear?.minutesPerSide} min`, label: "sides" },
		],
	};
}

/** "Wide pan 360 on 3 burners"; what heats itself takes none. */
function vesselWords({ vessel, burners }: PanColour): string {
	return vessel.heat_kW ? vessel.name : `${vessel.name} on ${counted(burners, "burner")}`;
}

/** What fat goes in, or what comes off the skin. */
function fatFact({ givenOff_kg }: PlanColour, { fat_g }: PanColour, reading: Reading) {
	return fat_g > 0 || givenOff_kg === 0
		? { figure: reading.mass(fat_g / 1000), label: "fat: a film, topped up, fresh when it darkens" }
		: { figure: reading.mass(givenOff_kg), label: "fat comes off: pour it off and keep it; none goes in" };
}

/** How the pieces are coloured, with the loads or the trays. */
function paper({ plan: { colour }, reading }: PlaceGiven): PaperLine[] {
	if (colour?.way === "oven" && colour.oven) {
		const { trays, perTray, tray, oven, minutes } = colour.oven;
		const text = `${counted(trays, "tray")} of ${perTray} (${tray.name}) in the ${oven.name} at ${reading.temperature(COLOUR_C)}, ${durationWords(minutes)}`;
		return [{ what: "Sear", text }];
	}
	const pan = colour && searTaken(colour);
	if (!pan) return [];
	const { loads, perLoad, minutes, deglazings, deglaze_ml } = pan;
	const text = `${counted(loads, "load")} of ${perLoad}, ${durationWords(minutes)}: ${vesselWords(pan)}; fresh fat and ${reading.volume(deglaze_ml / 1000)} to deglaze ${counted(deglazings, "time")}`;
	return [{ what: "Sear", text }];
}
