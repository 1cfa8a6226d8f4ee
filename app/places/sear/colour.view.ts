import { type ColourWay, type PanColour, searTaken } from "#core/dish";
import { COLOUR_C, SEAR_GAP_MM } from "#core/sear";
import { durationWords } from "#core/time";
import type { PanDrawing } from "../../ui/drawings/drawings.ts";
import { panDrawing } from "../../ui/drawings/panDrawing.ts";
import { counted } from "../../ui/words/reading.ts";
import type { PlaceGiven, TableGiven } from "../Place.ts";

/** Both ways of colouring side by side, and what the chosen one looks like. */
export interface ColourView {
	readonly taken: ColourWay;
	/** Whether the chef has settled it, or the plan took it. */
	readonly settled: boolean;
	readonly ways: readonly WayView[];
	readonly drawing: PanDrawing | null;
	/** Each load or tray in its order. */
	readonly row: readonly RowPan[];
	readonly rowWords: string;
}

export interface WayView {
	readonly way: ColourWay;
	readonly name: string;
	/** What stands in its way; null when it can be done. */
	readonly missing: string | null;
	readonly facts: readonly { readonly label: string; readonly figure: string }[];
}

export interface RowPan {
	readonly number: number;
	readonly pieces: number;
	/** "after 12 min, burner 2" */
	readonly when: string;
	/** Fresh fat after it. */
	readonly change: boolean;
}

/** More loads than this are counted and not drawn. */
const MOST_DRAWN = 60;

export function colourView(given: TableGiven): ColourView | undefined {
	const { colour } = given.plan;
	if (!colour) return undefined;
	const taken = colour.way === "oven" ? ovenRow(given) : panRow(given);
	return {
		taken: colour.way,
		settled: given.plan.order.colour !== null,
		ways: [
			panWay("pan", colour.pan, given),
			...(colour.tilting ? [panWay("tilting", colour.tilting, given)] : []),
			ovenWay(given),
		],
		...(taken ?? { drawing: null, row: [], rowWords: "" }),
	};
}

function panWay(way: ColourWay, pan: PanColour | null, { reading }: PlaceGiven): WayView {
	const name = pan ? `${pan.vessel.name}, in loads` : "Pan, in loads";
	if (!pan) return { way, name, missing: "It needs a searing pan in which a piece lies.", facts: [] };
	return {
		way,
		name,
		missing: null,
		facts: [
			{ label: "on the clock", figure: durationWords(pan.minutes) },
			{ label: "of a cook's time", figure: durationWords(pan.hands_min) },
			{ label: `of ${pan.perLoad}`, figure: counted(pan.loads, "load") },
			{ label: "in use", figure: pan.vessel.heat_kW ? "its own heat" : counted(pan.burners, "burner") },
			...(pan.fat_g > 0 ? [{ label: "of fat", figure: reading.mass(pan.fat_g / 1000) }] : []),
			{
				label: `to deglaze, ${counted(pan.deglazings, "time")}`,
				figure: reading.volume(pan.deglaze_ml / 1000),
			},
		],
	};
}

function ovenWay({ plan, reading }: PlaceGiven): WayView {
	const oven = plan.colour?.oven;
	if (!oven) {
		const missing = `It needs a tray and an oven that reaches ${reading.temperature(COLOUR_C)}; add them under Kitchen.`;
		return { way: "oven", name: "Hot oven, on trays", missing, facts: [] };
	}
	return {
		way: "oven",
		name: `Hot oven, on trays: ${oven.oven.name}`,
		missing: null,
		facts: [
			{ label: "on the clock", figure: durationWords(oven.minutes) },
			{ label: "of a cook's time", figure: durationWords(oven.hands_min) },
			{ label: `of ${oven.perTray}`, figure: counted(oven.trays, "tray") },
			{ label: "at once", figure: counted(oven.atOnce, "oven slot") },
			{ label: "no fat", figure: "dry trays" },
			{ label: "oven", figure: reading.temperature(COLOUR_C) },
		],
	};
}

type Taken = Pick<ColourView, "drawing" | "row" | "rowWords">;

function panRow({ plan, reading }: PlaceGiven): Taken | null {
	const { recipe } = plan;
	const pan = plan.colour && searTaken(plan.colour);
	if (!pan || !recipe.sear) return null;
	const { piece, sear } = recipe;
	return {
		drawing: panDrawing(pan.vessel.shape, reading, { piece, gap_mm: sear.gap_mm }),
		row: pan.order.slice(0, MOST_DRAWN).map(({ pieces, start_min, burner, changeFat }, index) => ({
			number: index + 1,
			pieces,
			when: `after ${durationWords(start_min)}${pan.burners > 1 ? `, burner ${burner}` : ""}`,
			change: changeFat,
		})),
		rowWords: "Loads in their order. Marked below: then pour the fat off and deglaze.",
	};
}

function ovenRow({ plan, reading }: PlaceGiven): Taken | null {
	const oven = plan.colour?.oven;
	if (!oven) return null;
	const { trays, perTray, atOnce, tray } = oven;
	return {
		drawing: panDrawing(tray.shape, reading, {
			piece: plan.recipe.piece,
			gap_mm: SEAR_GAP_MM,
		}),
		row: Array.from({ length: Math.min(trays, MOST_DRAWN) }, (_, index) => ({
			number: index + 1,
			pieces: Math.min(perTray, plan.pieces - index * perTray),
			when: `filling ${Math.floor(index / atOnce) + 1}`,
			change: false,
		})),
		rowWords: "Trays in their order; turn the pieces once.",
	};
}
