import type { WorkedDish } from "#core/day";
import { startAt } from "#core/dish";
import { durationWords, MINUTE_MS, toFiveMinutes } from "#core/time";
import type { Fact } from "../../ui/parts/Facts.tsx";
import { counted, type Reading } from "../../ui/words/reading.ts";
import { NO_LINES, type Place, type PlaceGiven } from "../Place.ts";
import { heldView, hotAt } from "./hold.view.ts";

/** Until when a plate is sensible, and what it costs to wait; also told where nothing is held on purpose. */
export function sensibleFacts(plan: WorkedDish, reading: Reading): Fact[] {
	const { hold } = plan;
	const hot = hotAt(plan);
	if (!hold || hot === undefined) return [];
	// The careful end of its range, to the five minutes before.
	const latest = toFiveMinutes(hot + (hold.sensible_min.low - STEP_MIN) * MINUTE_MS);
	const waits_h = Math.max(0, plan.wait_min + plan.hold_min) / 60;
	return [
		{
			figure: reading.clock(latest),
			label: `latest sensible plate, held at ${reading.temperature(hold.held_C)}`,
		},
		...unheatedFacts(plan, reading),
		...(waits_h > 0.25
			? [{ figure: reading.volume(hold.dries_l_per_h * waits_h), label: "of water it loses, covered" }]
			: []),
	];
}

/** How long it stays hot with nothing that heats it: where a hold fails, and where there is none. */
function unheatedFacts({ hold }: WorkedDish, reading: Reading): Fact[] {
	if (!hold || typeof hold.unheated.soonest !== "number") return [];
	return [
		{
			figure: durationWords(toFive(hold.unheated.soonest)),
			label: `unheated under its lid it stays at ${reading.temperature(hold.limit_C)} or above`,
		},
	];
}

/** The careful side: to the five minutes before. */
function toFive(minutes: number): number {
	return Math.floor(minutes / 5) * 5;
}

/** Fillings that another follows, turned out of their pans. */
const heldGoes = ({ tasks }: WorkedDish) => tasks.filter(({ part, fills }) => part === "hold" && fills);

/** Minutes from the first pan that is held to the last plate. */
function heldFor({ tasks }: WorkedDish): number {
	const held = tasks.filter(({ place }) => place === "hold");
	const starts = held.map(({ start }) => start);
	const ends = held.map(({ end }) => end);
	return (Math.max(...ends) - Math.min(...starts)) / MINUTE_MS;
}

function saysOf({ plan, kitchen, reading }: PlaceGiven): string {
	const { hold, hold_min } = plan;
	const least = reading.temperature(kitchen.policy.code.holdHot_C);
	const goes = heldGoes(plan).map(
		({ figures, start, end }) =>
			`Go ${figures.go} is out at ${reading.clock(start)} and waits ${durationWords((end - start) / MINUTE_MS)}. `,
	);
	const every = durationWords(Math.max(1, Math.round(hold?.everyPan_min ?? 0)));
	const opened = hold_min > 0 ? ` Open a pan every ${every}, so that the last plate is like the first.` : "";
	return `${goes.join("")}Covered in its liquid, never below ${least}: read it when it goes in and every hour.${opened}`;
}

export const hold: Place = {
	key: "hold",
	figure: ({ plan }) => durationWords(heldFor(plan)),
	task: (task, { plan, kitchen, reading }) => {
		if (!task.fills) return `Hold hot, covered, until the last plate: ${durationWords(plan.hold_min)}`;
		const least = reading.temperature(kitchen.policy.code.holdHot_C);
		return `Turn out of the pans and hold hot, covered in its liquid, above ${least}, until the plates at ${reading.clock(task.end)}`;
	},
	headline: (given) => {
		const { plan, reading } = given;
		const pans = plan.pans.pans.filter(({ go }) => go === plan.pans.goes).length;
		return {
			title: `Held hot from ${reading.clock(startAt(plan, "hold"))}, ${durationWords(heldFor(plan))}`,
			says: saysOf(given),
			facts: [
				...sensibleFacts(plan, reading),
				...(plan.hold_min > 0
					? [{ figure: counted(pans, "pan"), label: "to open one after the other" }]
					: []),
			],
		};
	},
	takes: NO_LINES,
	drawing: heldView,
	paper: ({ plan, kitchen, reading }) => {
		const least = reading.temperature(kitchen.policy.code.holdHot_C);
		if (!plan.tasks.some(({ place }) => place === "hold")) return [];
		return [
			{
				what: "Hold",
				text: `Hold: ${durationWords(heldFor(plan))}, covered in its liquid, never below ${least}; read it every hour`,
			},
		];
	},
};

const STEP_MIN = 5;
