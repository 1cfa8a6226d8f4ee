import { type Cost, costOf } from "./cost.ts";
import type { OvenBatch, OvenDay } from "./OvenDay.ts";

/** What some batches cost at least that all start at or after a minute. */
export type LeastFrom = (isLeft: (batch: number) => boolean, from_min: number) => Cost;

/**
 * The least lateness of batches that start at or after a minute, by the room of all ovens together:
 * however they are put, so many of them are not out before the ovens have had the minutes on
 * shelves of so many of the smallest. Held against when they should be out, both in rising order.
 * What can stand beside no other takes the whole of the smallest oven it could stand in.
 */
export function lateBound(day: OvenDay): LeastFrom {
	const room = day.ovens.reduce((sum, { shelves }) => sum + shelves, 0);
	const smallest = day.batches
		.map((_, index) => ({ index, minutes: areaOf(day, index) / room }))
		.sort((a, b) => a.minutes - b.minutes);
	const soonest = day.batches
		.map(({ readyBy_min }, index) => ({ index, readyBy_min }))
		.sort((a, b) => a.readyBy_min - b.readyBy_min);
	return (isLeft, from_min) => {
		let late_min = 0;
		let done_min = from_min;
		let at = 0;
		for (const { index, readyBy_min } of soonest) {
			if (!isLeft(index)) continue;
			while (at < smallest.length && !isLeft(smallest[at]?.index as number)) at += 1;
			done_min += smallest[at]?.minutes ?? 0;
			at += 1;
			late_min += Math.max(0, done_min - readyBy_min);
		}
		// Ends need not be whole; what is counted is.
		return costOf(Math.floor(late_min + 1e-6), 0);
	};
}

/** Shelves × minutes that a batch keeps from all others. */
function areaOf(day: OvenDay, index: number): number {
	const batch = day.batches[index] as OvenBatch;
	const isAlone = day.batches.every((other, at) => at === index || !canMeet(day, batch, other));
	const able = day.ovens.filter((oven) =>
		batch.ways.some(
			({ low_C, high_C, ovens, shelves }) =>
				low_C <= oven.max_C &&
				high_C >= oven.min_C &&
				(shelves ?? batch.shelves) <= oven.shelves &&
				(ovens?.includes(oven.id) ?? true),
		),
	);
	const whole = Math.min(...able.map(({ shelves }) => shelves));
	const shelves = Math.min(...batch.ways.map((way) => way.shelves ?? batch.shelves));
	return shortestOf(day, index) * (isAlone ? Math.max(whole, shelves) : shelves);
}

function shortestOf({ batches }: OvenDay, index: number): number {
	return Math.min(...(batches[index] as OvenBatch).ways.map(({ minutes }) => minutes));
}

/** Whether two batches can stand in one oven at one moment. */
function canMeet({ ovens }: OvenDay, one: OvenBatch, other: OvenBatch): boolean {
	return ovens.some(({ id, shelves, min_C, max_C }) =>
		one.ways.some((a) =>
			other.ways.some((b) => {
				const low = Math.max(a.low_C, b.low_C, min_C);
				const high = Math.min(a.high_C, b.high_C, max_C);
				const taken = (a.shelves ?? one.shelves) + (b.shelves ?? other.shelves);
				const both = [a, b].every((way) => way.ovens?.includes(id) ?? true);
				return both && low <= high && taken <= shelves;
			}),
		),
	);
}
