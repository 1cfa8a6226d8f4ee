import { lineWords } from "#core/pans";
import { handsOn, type Kitchen, type Plan } from "#core/plan";
import { HOUSE_CODES } from "#core/safety";
import { COLOUR_C } from "#core/sear";
import { durationWords, wallClock } from "#core/time";
import { LIDS } from "#core/trade";
import type { Sitting } from "#db";
import { type AllergenView, allergenView } from "../ui/allergenView.ts";
import { cautionsOf } from "../ui/cautions.ts";
import { lineView } from "../ui/lineView.ts";
import { PLACE_LABELS, pansWords, placesOf, setOf } from "../ui/places.ts";
import type { PlannedDishRow } from "../ui/planned.server.ts";
import { counted, type Reading } from "../ui/reading.ts";
import { versionWords } from "../ui/stateWords.ts";
import { warningWords } from "../ui/warningWords.ts";
import { checksOf } from "./braise.view.ts";

export interface SheetGiven {
	readonly house: string;
	readonly paper: string;
	readonly sitting: Sitting;
	readonly row: PlannedDishRow;
	readonly kitchen: Kitchen;
	readonly reading: Reading;
}

/** The production sheet of one dish, ready to print. */
export function sheetView(given: SheetGiven) {
	const { sitting, row, reading } = given;
	const { dish, plan, refused } = row;
	const head = {
		to: `/sittings/${sitting.id}/dishes/${dish.id}`,
		paper: given.paper,
		house: given.house,
		dish: dish.recipe.name,
		version: versionWords(dish),
		sitting: sitting.name,
		room: sitting.room,
		service: wallClock(sitting.serviceAt, reading.timeZone).time,
		day: reading.day(sitting.serviceAt),
		printed: `${reading.day(reading.now)} ${reading.clock(reading.now)}`,
	};
	return plan
		? { ...head, refused: null, sheet: bodyView(given, plan) }
		: { ...head, refused: refused ?? "", sheet: null };
}

export type SheetView = ReturnType<typeof sheetView>;

function bodyView({ row: { dish }, sitting, kitchen, reading }: SheetGiven, plan: Plan) {
	const code = HOUSE_CODES[kitchen.houseCode];
	const { recipe } = dish;
	// The day of service heads the sheet; only another day is named again.
	const at = (instant: number) => reading.clockAfter(instant, sitting.serviceAt);
	return {
		figures: [
			{ label: "Covers", figure: String(sitting.covers) },
			{ label: "Portions", figure: String(plan.chain.portions) },
			{ label: "Buy", figure: reading.mass(plan.chain.order_kg ?? plan.chain.asPurchased_kg) },
			{
				label: "Trimmed",
				figure: `${reading.mass(plan.chain.trimmed_kg)}, ${counted(plan.pieces, "piece")}`,
			},
			{ label: "Pans", figure: pansWords(plan) },
			{ label: "Oven", figure: reading.temperature(setOf(recipe, plan)) },
			{ label: "In", figure: at(plan.clock.in) },
			{
				label: "Tender",
				figure: `${at(plan.clock.tender.low)}–${reading.clockAfter(plan.clock.tender.high, plan.clock.tender.low)}`,
			},
		],
		days: daysOf(
			[
				...placesOf(recipe, plan, reading),
				{ at: plan.clock.tender.low, task: "Check first: probe the thickest piece" },
				...lateTasks(plan),
				{ at: plan.clock.serve, task: "Service" },
			],
			reading,
		),
		pans: plan.pans.pans.map((pan, index) => ({
			number: index + 1,
			name: pan.type.name,
			pieces: pan.pieces,
			liquid: reading.volume(pan.liquid_l),
			dip: reading.length(pan.dip_mm),
			lifted: reading.mass(pan.lifted_kg),
		})),
		cover: `Cover with ${LIDS[recipe.braise.lid]}; liquid ${lineWords(recipe.braise.line)}`,
		ovens: plan.ovens.loads.map(
			(load) =>
				`${load.oven.name} at ${reading.temperature(load.set_C)}: ${load.pans.map(({ type, count }) => `${count} × ${type.name}`).join(", ")}`,
		),
		sear: colourLine(plan, kitchen, reading),
		sauce: sauceLine(plan, reading),
		lines: plan.lines.map((line) => lineView(line, reading)),
		steps: recipe.steps.map((step) => ({
			place: PLACE_LABELS[step.place],
			text: step.text,
			station: step.station,
			minutes:
				step.handsOn_min + step.waiting_min > 0
					? durationWords(handsOn(step, plan.factor) / sitting.hands + step.waiting_min)
					: "",
			check: step.check ?? null,
			caution: step.caution ?? null,
		})),
		checks: checksOf(recipe, plan, kitchen, reading),
		allergens: allergenWords(allergenView(plan.allergens, kitchen.allergenList)),
		warnings: plan.warnings.map((warning) => Object.values(warningWords(warning, reading)).join(" ")),
		cautions: cautionsOf(recipe, plan, code, kitchen.liftLimit_kg, reading),
		code: `“${code.name}” follows ${code.source}; for reference only.`,
	};
}

/** How the pieces are coloured, with the loads or the trays. */
function colourLine({ colour }: Plan, kitchen: Kitchen, reading: Reading): string | null {
	if (colour?.way === "oven" && colour.oven) {
		const { trays, perTray, tray, oven, minutes } = colour.oven;
		return `${counted(trays, "tray")} of ${perTray} (${tray.name}) in the ${oven.name} at ${reading.temperature(COLOUR_C)}, ${durationWords(minutes)}`;
	}
	if (colour?.way !== "pan" || !colour.pan) return null;
	const { loads, perLoad, minutes, deglazings, deglaze_ml } = colour.pan;
	return `${counted(loads, "load")} of ${perLoad} in ${kitchen.searPan?.name ?? "the pan"}, ${durationWords(minutes)} on ${counted(kitchen.burners, "burner")}; fresh fat and ${reading.volume(deglaze_ml / 1000)} to deglaze ${counted(deglazings, "time")}`;
}

/** What the sauce comes to, and the mark it is reduced to. */
function sauceLine({ sauce }: Plan, reading: Reading): string | null {
	if (!sauce || sauce.wanted_l === 0) return null;
	const there = `${reading.volume(sauce.there_l)} left, ${reading.volume(sauce.wanted_l)} wanted`;
	const way = sauce.remedies.find(({ kind }) => kind === "reduce" || kind === "thin");
	if (way?.kind === "thin") return `${there}: add ${reading.volume(way.stock_l)} of stock`;
	if (way?.kind !== "reduce") return there;
	const where = sauce.pots > 1 ? `each of ${sauce.pots} ${sauce.pot?.name}` : `the ${sauce.pot?.name}`;
	const stick = sauce.pot ? `to ${reading.length(way.mark_mm)} on the stick in ${where}, ` : "";
	return `${there}: skim ${reading.mass(sauce.fat_kg)} of fat, reduce ${reading.volume(sauce.take_l)} ${stick}about ${durationWords(way.minutes)}`;
}

/** "contains celery (celery, light chicken stock)"; none of the list when there is none. */
function allergenWords({ found, list }: AllergenView): string[] {
	if (found.length === 0) return [`none of ${list} in the lines of this card`];
	return found.map(({ name, presence, from }) => `${presence} ${name} (${from})`);
}

interface Task {
	readonly at: number;
	readonly task: string;
}

/** Lines that join late, so many minutes before the pans are lifted. */
function lateTasks({ lines, clock }: Plan): Task[] {
	return lines.flatMap(({ ingredient, line }) =>
		line.late_min === undefined
			? []
			: [{ at: clock.rest - line.late_min * 60_000, task: `Add the ${ingredient.name}` }],
	);
}

/** Tasks in the order of the clock, by day: a sheet is read on a day other than it was printed. */
function daysOf(tasks: readonly Task[], reading: Reading) {
	const days = new Map<string, { at: number; time: string; task: string }[]>();
	for (const { at, task } of [...tasks].sort((a, b) => a.at - b.at)) {
		const day = reading.day(at);
		days.set(day, [...(days.get(day) ?? []), { at, time: reading.time(at), task }]);
	}
	return [...days].map(([day, ofDay]) => ({ day, tasks: ofDay }));
}
