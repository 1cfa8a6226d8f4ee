import { startAt } from "#core/plan";
import { COLOUR_C } from "#core/sear";
import { durationWords } from "#core/time";
import { counted } from "../../ui/words/reading.ts";
import type { Headline, PaperLine, Place, PlaceGiven } from "../Place.ts";
import { colourView } from "./colour.view.ts";

export const sear: Place = {
	key: "sear",
	figure: (given) => taken(given)?.figure ?? "no pan",
	task: (_, given) => {
		const way = taken(given);
		return way ? `${way.verb}, ${way.figure}, ${durationWords(way.minutes)}` : "Colour the pieces";
	},
	headline,
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
	if (colour?.way !== "pan" || !colour.pan) return null;
	return { figure: counted(colour.pan.loads, "load"), verb: "Sear", minutes: colour.pan.minutes };
}

function headline({ plan, reading, kitchen: { equipment } }: PlaceGiven): Headline {
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
	if (!colour?.pan) return { title: "No searing pan", says: "Choose one under Kitchen.", facts: [] };
	const { loads, perLoad, minutes, fat_g } = colour.pan;
	return {
		title: `${counted(loads, "load")} of ${perLoad}`,
		says: `${equipment.searPan?.name ?? ""}, ${counted(equipment.burners, "burner")}. ${from}`,
		facts: [
			{ figure: durationWords(minutes), label: "on the wall clock" },
			{ figure: reading.mass(fat_g / 1000), label: "fat, a film for each load" },
			{ figure: `${recipe.sear?.sides} × ${recipe.sear?.minutesPerSide} min`, label: "sides" },
		],
	};
}

/** How the pieces are coloured, with the loads or the trays. */
function paper({ plan: { colour }, reading, kitchen: { equipment } }: PlaceGiven): PaperLine[] {
	if (colour?.way === "oven" && colour.oven) {
		const { trays, perTray, tray, oven, minutes } = colour.oven;
		const text = `${counted(trays, "tray")} of ${perTray} (${tray.name}) in the ${oven.name} at ${reading.temperature(COLOUR_C)}, ${durationWords(minutes)}`;
		return [{ what: "Sear", text }];
	}
	if (colour?.way !== "pan" || !colour.pan) return [];
	const { loads, perLoad, minutes, deglazings, deglaze_ml } = colour.pan;
	const text = `${counted(loads, "load")} of ${perLoad} in ${equipment.searPan?.name ?? "the pan"}, ${durationWords(minutes)} on ${counted(equipment.burners, "burner")}; fresh fat and ${reading.volume(deglaze_ml / 1000)} to deglaze ${counted(deglazings, "time")}`;
	return [{ what: "Sear", text }];
}
