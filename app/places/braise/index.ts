import type { WorkedDish } from "#core/day";
import { type BraiseGroup, dryBeforeTender, joinsLate, lastStartAt } from "#core/dish";
import { heatOf, isInOven } from "#core/recipe";
import type { Reach } from "#core/safety";
import type { PlacedTask } from "#core/tasks";
import { durationWords, MINUTE_MS, minutesBefore } from "#core/time";
import { type HeatWay, LIDS } from "#core/trade";
import type { Fact } from "../../ui/parts/Facts.tsx";
import type { Reading } from "../../ui/words/reading.ts";
import { reachWords, VERDICT_WORDS } from "../../ui/words/verdictWords.ts";
import type { Headline, PaperLine, Place, PlaceGiven } from "../Place.ts";
import { setWords } from "../words.ts";
import { braiseView } from "./braise.view.ts";

export const braise: Place = {
	key: "braise",
	figure: ({ plan, reading }) => setWords(plan, reading),
	clock: (time) => `in ${time}`,
	task: taskWords,
	headline,
	sums: ({ plan }) => plan.tenderSums,
	takes: joinsLate,
	drawing: braiseView,
	paper,
};

function taskWords(task: PlacedTask, { plan, reading }: PlaceGiven): string {
	if (task.part === "late") {
		return `Add ${reading.mass(Number(task.figures.grams) / 1000)} of ${task.figures.ingredient}`;
	}
	const group = groupOf(task, plan);
	const into = group ? intoWords(group, plan, reading) : `Into the oven at ${setWords(plan, reading)}`;
	return group && (plan.braise?.groups.length ?? 0) > 1 ? `${into}, ${groupWords(group)}` : into;
}

/** "Into the North oven at 150 °C", "On the hob to a bare simmer", "Shut the Pressure pot, to 117 °C" */
function intoWords({ oven, set_C, type }: BraiseGroup, { recipe }: WorkedDish, reading: Reading): string {
	const at = reading.temperature(set_C);
	switch (heatOf(recipe)) {
		case "oven": {
			const { hotStart } = recipe.braise;
			const then = hotStart
				? `, after ${durationWords(hotStart.minutes)} at ${reading.temperature(hotStart.set_C)}`
				: "";
			return `Into the ${oven?.name ?? "oven"} at ${at}${then}`;
		}
		case "hob":
			return "On the hob to a bare simmer";
		case "slowCooker":
			return `Into the ${type.name}, at ${at}`;
		case "pressure":
			return `Shut the ${type.name}, up to ${at}`;
		case "bath":
			return `Bags into the ${type.name} at ${at}`;
	}
}

function groupOf(task: PlacedTask, { braise: planned }: WorkedDish): BraiseGroup | undefined {
	return planned?.groups.find(({ id }) => id === task.figures.group);
}

function groupWords({ pans, type }: BraiseGroup): string {
	return `${pans.length} × ${type.name}`;
}

/** Gentle heat is watched at its coldest point, °C: hotter liquid has long done what is asked when it is tender. */
const GENTLE_C = 85;

/** When the coldest point has come up, and has had its heat, where that is not a matter of course. */
function coldestFacts({ braise: planned }: WorkedDish, into: number, reading: Reading): Fact[] {
	const slowest = planned?.slowest;
	const coldest = slowest?.braised.coldest;
	if (!slowest || !coldest || slowest.braised.peakLiquid_C > GENTLE_C) return [];
	const { comingUp, killed } = slowest.verdicts ?? { comingUp: "notKnown", killed: "notKnown" };
	const at = (reach: Reach) =>
		typeof reach === "number" ? reading.clockAfter(into + reach * MINUTE_MS, into) : reachWords(reach);
	return [
		{
			figure: at(coldest.hot.likely),
			label: `coldest point hot; coming up in time: ${VERDICT_WORDS[comingUp]}`,
		},
		{
			figure: at(coldest.killed.likely),
			label: `coldest point has had its heat: ${VERDICT_WORDS[killed]} at the lift`,
		},
	];
}

function headline({ plan, reading }: PlaceGiven): Headline {
	const into = lastStartAt(plan, "braise");
	const lift = lastStartAt(plan, "rest");
	const { oven_C } = plan.recipe.braise;
	const dry = dryBeforeTender(plan, plan.tasks);
	return {
		title: `${INTO[heatOf(plan.recipe)]} ${reading.clock(into)}`,
		says: `${setWords(plan, reading)}, ${coverWords(plan)}. ${tenderWords(plan, into, reading)}.${secondWords(plan, lift, reading)}${orderWords(plan, reading)}`,
		facts: [
			...(dry === null
				? [
						{ figure: reading.clockAfter(plan.tender.low, into), label: "check first at" },
						{ figure: reading.clockAfter(lift, into), label: "lift; if not tender by then, sauce first" },
					]
				: [
						{
							figure: reading.clockAfter(dry, into),
							label: "the pan is dry: pour more, or cover it tighter",
						},
					]),
			...coldestFacts(plan, into, reading),
			...(heatOf(plan.recipe) === "hob"
				? []
				: [
						{
							figure: `${reading.temperature(oven_C.low)} to ${reading.temperature(oven_C.high)}`,
							label: "suits the dish",
						},
					]),
		],
	};
}

const INTO: Readonly<Record<HeatWay, string>> = {
	oven: "Into the oven",
	hob: "To a bare simmer on the hob",
	slowCooker: "Into the slow cooker",
	pressure: "Under pressure from",
	bath: "Into the water bath",
};

/** "tight lid, off for the last 15 min" */
function coverWords({ recipe }: WorkedDish): string {
	const { lid, uncovered_min } = recipe.braise;
	const heat = heatOf(recipe);
	if (heat === "pressure") return "shut, and opened when the pressure is down by itself";
	if (heat === "bath") return "in sealed bags";
	const off =
		uncovered_min === undefined || lid === "open" ? "" : `, off for the last ${durationWords(uncovered_min)}`;
	return `${LIDS[lid]}${off}`;
}

/** "Tender Sat 17:10–18:15, likely 17:40" */
function tenderWords(plan: WorkedDish, into: number, reading: Reading): string {
	const { tender } = plan;
	const at = (instant: number) => reading.clockAfter(instant, into);
	const dry = dryBeforeTender(plan, plan.tasks);
	if (dry !== null) return `Dry at ${at(dry)}, before it is tender: no time holds`;
	return `Tender ${at(tender.low)}–${at(tender.high)}, likely ${at(tender.likely)}`;
}

/** When the second main joins, so that both are lifted together. */
function secondWords({ second }: WorkedDish, lift: number, reading: Reading): string {
	if (!second || second.joins_min === null) return "";
	const { name } = second.ingredient;
	if (second.slower) return ` The ${name} are in from the start and are the slower.`;
	return ` The ${name} join at ${reading.clockAfter(minutesBefore(lift, second.joins_min), lift)}, so that both are tender together.`;
}

/** Which pans go in first, where they do not all take as long. */
function orderWords(plan: WorkedDish, reading: Reading): string {
	const rows = goingIn(plan);
	if (rows.length < 2) return "";
	const words = rows.map(
		({ task, group }) =>
			`${groupWords(group)} ${reading.clockAfter(task.start, lastStartAt(plan, "braise"))}`,
	);
	return ` First in: ${words.join(", then ")}.`;
}

/** The groups of pans in the order in which they go in. */
function goingIn(plan: WorkedDish): { readonly task: PlacedTask; readonly group: BraiseGroup }[] {
	return plan.tasks.flatMap((task) => {
		const group = task.part === "oven" ? groupOf(task, plan) : undefined;
		return group ? [{ task, group }] : [];
	});
}

/** Each oven with its pans, in the order in which they go in. */
function paper({ plan, reading }: PlaceGiven): PaperLine[] {
	return goingIn(plan).map(({ task, group }, index) => {
		const first = index === 0 && (plan.braise?.groups.length ?? 0) > 1 ? ", these first" : "";
		const hasPlace = group.oven !== null || !isInOven(plan.recipe);
		const oven = hasPlace ? intoWords(group, plan, reading) : "no rung in an oven yet";
		return {
			what: isInOven(plan.recipe) ? "Oven" : "Heat",
			text: `${reading.time(task.start)} ${oven}: ${groupWords(group)}${first}`,
		};
	});
}
