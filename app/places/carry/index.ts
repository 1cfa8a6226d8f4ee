import type { WorkedDish } from "#core/day";
import { type PlanCarry, startAt, taskAt } from "#core/dish";
import { durationWords, MINUTE_MS } from "#core/time";
import type { Fact } from "../../ui/parts/Facts.tsx";
import { counted, type Reading } from "../../ui/words/reading.ts";
import { reachWords, VERDICT_WORDS } from "../../ui/words/verdictWords.ts";
import { NO_LINES, type Place } from "../Place.ts";
import { workAt } from "../sums.ts";
import { carryView } from "./carry.view.ts";

const boxesWords = (boxes: number) => counted(boxes, "insulated box", "insulated boxes");

/** "2 boxes, packed at 80 °C, there at 76 °C; 63 °C or above on the way: met" */
function carryLine(carry: PlanCarry, reading: Reading): string {
	const { boxes, packed_C, arrives_C, limit_C, choice, verdict } = carry;
	const limit = `${reading.temperature(limit_C)} or ${choice.hot ? "above" : "below"} on the way`;
	return `${boxesWords(boxes)}, packed at ${reading.temperature(packed_C)}, there at about ${reading.temperature(Math.round(arrives_C))}; ${limit}: ${VERDICT_WORDS[verdict]}`;
}

/** ", opened once on the way" */
function openedWords({ choice: { openings = 0 } }: PlanCarry): string {
	return openings > 0 ? `, opened ${openings === 1 ? "once" : `${openings} times`} on the way` : "";
}

function factsOf(
	{ boxes, limit, limit_C, choice, lightest_kg, arrives_C }: PlanCarry,
	reading: Reading,
): Fact[] {
	return [
		{ figure: counted(boxes, "box", "boxes"), label: "insulated, to carry" },
		{ figure: reading.temperature(Math.round(arrives_C)), label: "about, when it is there" },
		{
			figure: reachWords(limit.likely),
			label: `until it is ${choice.hot ? "below" : "above"} ${reading.temperature(limit_C)}`,
		},
		{ figure: reading.mass(lightest_kg), label: "in the lightest, which changes soonest" },
	];
}

/** Packed so long before it leaves. */
function packedAt(plan: WorkedDish): number {
	return taskAt(plan, "carry", "pack")?.start ?? startAt(plan, "carry");
}

export const carry: Place = {
	key: "carry",
	figure: ({ plan }) => counted(plan.carry?.boxes ?? 0, "box", "boxes"),
	task: ({ part, figures: { boxes }, start, end }) =>
		part === "pack"
			? `Pack ${boxesWords(Number(boxes))}, warmed or cooled first; write the temperature of each`
			: `Carry ${boxesWords(Number(boxes))}, ${durationWords((end - start) / MINUTE_MS)}`,
	headline: ({ plan, reading }) => {
		const { carry: planned } = plan;
		const leaves = taskAt(plan, "carry", "carry")?.start ?? startAt(plan, "carry");
		return {
			title: `Packed from ${reading.clock(packedAt(plan))}, away at ${reading.clock(leaves)}`,
			says: planned
				? `${carryLine(planned, reading).replace(/^./, (first) => first.toUpperCase())}. Under way ${durationWords(planned.choice.minutes)}${openedWords(planned)}; warm or cool the boxes first, and read each when it is closed and when it is opened.`
				: "",
			facts: planned ? factsOf(planned, reading) : [],
		};
	},
	sums: ({ plan }) => workAt(plan, "carry"),
	takes: NO_LINES,
	drawing: carryView,
	paper: ({ plan, reading }) =>
		plan.carry
			? [{ what: "Carry", text: `Carry: ${carryLine(plan.carry, reading)}${openedWords(plan.carry)}` }]
			: [],
};
