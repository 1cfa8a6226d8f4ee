import { lastStartAt } from "#core/dish";
import { likelyDuration, MINUTE_MS } from "#core/time";
import type { OvenDrawing } from "../../ui/drawings/drawings.ts";
import type { LimitDrawing } from "../../ui/drawings/LimitCurve.tsx";
import { hoursAlong } from "../hoursAlong.ts";
import { ovensOf } from "../ovensOf.ts";
import type { PlaceGiven } from "../Place.ts";

/** How the middle of the fullest pan grows hot, and the ovens it stands in. */
export interface ReheatView {
	readonly curve: LimitDrawing;
	readonly ovens: readonly OvenDrawing[];
}

/** Drawn so far past the last that is asked. */
const PAST = 1.05;
const TOP_C = 100;

/** From the fridge to hot in the middle, as it likely goes and between which it may. */
export function reheatView(given: PlaceGiven): ReheatView | undefined {
	const { plan, reading } = given;
	if (!plan.reheat) return undefined;
	const { core_C, within_min, minutes, planned_min, course } = plan.reheat;
	const into = lastStartAt(plan, "reheat");
	const clock = (minute: number) => reading.time(into + minute * MINUTE_MS);
	const end_min = Math.max(minutes.high, planned_min, within_min ?? 0) * PAST;
	const drawn = course.filter(([minute]) => minute <= end_min);
	const warm = (minute: number) => along(course, minute);
	const hot = reading.temperature(core_C);
	return {
		curve: {
			likely: drawn,
			// It is so much quicker or slower all the way.
			range: drawn.map(([minute]) => ({
				minute,
				low_C: warm((minute * minutes.likely) / minutes.high),
				high_C: warm((minute * minutes.likely) / minutes.low),
			})),
			ceilings: [],
			limit: { C: core_C, words: `${hot} in the middle` },
			moments: [
				{ minute: planned_min, words: `planned ${clock(planned_min)}` },
				...(within_min === null ? [] : [{ minute: within_min, words: `the code: by ${clock(within_min)}` }]),
			],
			rises: true,
			end_min,
			top_C: TOP_C,
			least_C: 0,
			ticks: [0, 20, 40, 60, 80].map((C) => ({ C, words: reading.temperature(C).replace(/ .*/, "") })),
			hours: hoursAlong(end_min, clock),
			words: `The middle of the fullest pan from ${clock(0)}: ${hot} after ${likelyDuration(minutes)}; planned ${clock(planned_min)}.`,
		},
		ovens: ovensOf(given),
	};
}

/** How warm it is at a minute, between the points that are told; as at the last one after it. */
function along(course: readonly (readonly [number, number])[], minute: number): number {
	const next = course.findIndex(([at]) => at >= minute);
	const [after, before] = [course[next], course[next - 1]];
	if (!after) return course.at(-1)?.[1] ?? 0;
	if (!before) return after[1];
	return before[1] + ((minute - before[0]) / (after[0] - before[0])) * (after[1] - before[1]);
}
