import { type BraiseGroup, joinsLate, lastStartAt, type Plan } from "#core/plan";
import type { PlacedTask } from "#core/tasks";
import { LIDS } from "#core/trade";
import type { Reading } from "../../ui/words/reading.ts";
import type { Headline, PaperLine, Place, PlaceGiven } from "../Place.ts";
import { setWords } from "../words.ts";
import { braiseView } from "./braise.view.ts";

export const braise: Place = {
	key: "braise",
	figure: ({ plan, reading }) => setWords(plan, reading),
	clock: (time) => `in ${time}`,
	task: taskWords,
	headline,
	takes: joinsLate,
	drawing: braiseView,
	paper,
};

function taskWords(task: PlacedTask, { plan, reading }: PlaceGiven): string {
	if (task.part === "late") {
		return `Add ${reading.mass(Number(task.figures.grams) / 1000)} of ${task.figures.ingredient}`;
	}
	const group = groupOf(task, plan);
	if (!group) return `Into the oven at ${setWords(plan, reading)}`;
	const into = `Into the ${group.oven?.name ?? "oven"} at ${reading.temperature(group.set_C)}`;
	return (plan.braise?.groups.length ?? 0) > 1 ? `${into}, ${groupWords(group)}` : into;
}

function groupOf(task: PlacedTask, { braise: planned }: Plan): BraiseGroup | undefined {
	return planned?.groups.find(({ id }) => id === task.figures.group);
}

function groupWords({ pans, type }: BraiseGroup): string {
	return `${pans.length} × ${type.name}`;
}

function headline({ plan, reading }: PlaceGiven): Headline {
	const into = lastStartAt(plan, "braise");
	const lift = lastStartAt(plan, "rest");
	const { lid, oven_C } = plan.recipe.braise;
	return {
		title: `Into the oven ${reading.clock(into)}`,
		says: `${setWords(plan, reading)}, ${LIDS[lid]}. Tender ${tenderWords(plan, into, reading)}.${orderWords(plan, reading)}`,
		facts: [
			{ figure: reading.clockAfter(plan.tender.low, into), label: "check first at" },
			{ figure: reading.clockAfter(lift, into), label: "lift; if not tender by then, sauce first" },
			{
				figure: `${reading.temperature(oven_C.low)} to ${reading.temperature(oven_C.high)}`,
				label: "suits the dish",
			},
		],
	};
}

/** "Sat 17:10–18:15, likely 17:40" */
function tenderWords({ tender }: Plan, into: number, reading: Reading): string {
	const at = (instant: number) => reading.clockAfter(instant, into);
	return `${at(tender.low)}–${at(tender.high)}, likely ${at(tender.likely)}`;
}

/** Which pans go in first, where they do not all take as long. */
function orderWords(plan: Plan, reading: Reading): string {
	const rows = goingIn(plan);
	if (rows.length < 2) return "";
	const words = rows.map(({ task, group }) => `${groupWords(group)} ${reading.time(task.start)}`);
	return ` First in: ${words.join(", then ")}.`;
}

/** The groups of pans in the order in which they go in. */
function goingIn(plan: Plan): { readonly task: PlacedTask; readonly group: BraiseGroup }[] {
	return plan.tasks.flatMap((task) => {
		const group = task.part === "oven" ? groupOf(task, plan) : undefined;
		return group ? [{ task, group }] : [];
	});
}

/** Each oven with its pans, in the order in which they go in. */
function paper({ plan, reading }: PlaceGiven): PaperLine[] {
	return goingIn(plan).map(({ task, group }, index) => {
		const first = index === 0 && (plan.braise?.groups.length ?? 0) > 1 ? ", these first" : "";
		const oven = group.oven
			? `${group.oven.name} at ${reading.temperature(group.set_C)}`
			: "no rung in an oven yet";
		return {
			what: "Oven",
			text: `${reading.time(task.start)} ${oven}: ${groupWords(group)}${first}`,
		};
	});
}
