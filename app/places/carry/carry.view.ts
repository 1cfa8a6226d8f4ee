import { carriedTo } from "#core/carry";
import { type CarryChoice, type PlanCarry, taskAt } from "#core/dish";
import { minutesOf, type Reach } from "#core/safety";
import { durationWords, MINUTE_MS } from "#core/time";
import type { LimitDrawing } from "../../ui/drawings/LimitCurve.tsx";
import { VERDICT_WORDS } from "../../ui/words/verdictWords.ts";
import { hoursAlong } from "../hoursAlong.ts";
import type { TableGiven } from "../Place.ts";

const STEPS = 40;
/** Drawn so far past the way, and up to where the limit is reached where that is not far, minutes. */
const PAST = 1.5;
const FARTHEST = 4;

/** How the lightest box changes on its way, in a good box and in one that loses more. */
export function carryView({ plan, reading }: TableGiven): LimitDrawing | undefined {
	const { carry } = plan;
	if (!carry) return undefined;
	const { choice, limit_C, limit, arrives_C, verdict } = carry;
	const away = taskAt(plan, "carry", "carry")?.start ?? plan.order.serviceAt;
	const end_min = endOf(carry);
	const at = (minute: number) => reading.time(away + minute * MINUTE_MS);
	const course = (UA_W_per_K: number) =>
		Array.from({ length: STEPS + 1 }, (_, index): readonly [number, number] => {
			const minute = (index * end_min) / STEPS;
			return [minute, carriedTo({ ...carry.box, UA_W_per_K, openings: openedBy(minute, choice) }, minute)];
		});
	const likely = course(carry.box.UA_W_per_K);
	const worst = course(carry.worst_W_per_K);
	const [top_C, least_C] = choice.hot ? [90, 40] : [20, -5];
	return {
		likely,
		range: likely.map(([minute, C], index) => ({
			minute,
			low_C: Math.min(C, worst[index]?.[1] ?? C),
			high_C: Math.max(C, worst[index]?.[1] ?? C),
		})),
		ceilings: [],
		limit: { C: limit_C, words: `${reading.temperature(limit_C)} or ${choice.hot ? "above" : "below"}` },
		moments: [{ minute: choice.minutes, words: `there ${at(choice.minutes)}` }],
		end_min,
		top_C,
		least_C,
		ticks: ticksBetween(least_C, top_C).map((C) => ({ C, words: reading.temperature(C).replace(/ .*/, "") })),
		hours: hoursAlong(end_min, at),
		words: `The lightest box from ${at(0)}: ${reading.temperature(Math.round(arrives_C))} when it is there at ${at(choice.minutes)}; ${reading.temperature(limit_C)} ${limitWords(limit.worst)}: ${VERDICT_WORDS[verdict]}.`,
	};
}

/** In a box that loses half as much again. */
function limitWords(worst: Reach): string {
	if (worst === "already") return "already when it is packed";
	if (typeof worst !== "number") return "is never reached";
	return `after ${durationWords(Math.round(worst))} in a box that loses half as much again`;
}

/** Openings are spread evenly over the way. */
function openedBy(minute: number, { minutes, openings = 0 }: CarryChoice): number {
	return Math.min(openings, Math.floor((minute * (openings + 1)) / minutes));
}

function endOf({ choice: { minutes }, limit: { likely } }: PlanCarry): number {
	const limit_min = minutesOf(likely);
	const needed = limit_min !== null && limit_min < FARTHEST * minutes ? limit_min * 1.1 : 0;
	return Math.max(PAST * minutes, needed);
}

function ticksBetween(low: number, high: number): number[] {
	const step = high - low > 40 ? 10 : 5;
	const first = Math.ceil(low / step) * step;
	return Array.from({ length: Math.floor((high - first) / step) + 1 }, (_, index) => first + index * step);
}
