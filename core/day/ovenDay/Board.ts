import type { OvenDay, OvenHeld } from "./OvenDay.ts";

/** Nothing is in the way. */
const FREE = Number.POSITIVE_INFINITY;
/** The batch of what is held. */
const HELD = -1;
/** No start will do. */
const NEVER = Number.NaN;

/** One way to cook a batch, its temperatures counted along the day's list of them. */
export interface Way {
	readonly batch: number;
	readonly shelves: number;
	readonly minutes: number;
	readonly low: number;
	readonly high: number;
	/** The ovens it is meant for; null where all are. */
	readonly ovens: readonly number[] | null;
}

/** A batch with its way, oven, start, and the temperatures that it keeps open. */
export interface Put {
	readonly way: Way;
	readonly oven: number;
	readonly start_min: number;
	readonly low: number;
	readonly high: number;
}

/** A stretch counted from some minute. */
export interface Span {
	readonly from_min: number;
	readonly to_min: number;
}

interface Standing {
	/** By index; what is held is none of the day's. */
	readonly batch: number;
	readonly from: number;
	readonly to: number;
	readonly shelves: number;
	/** What all that stand beside each other allow. */
	low: number;
	high: number;
	/** Their number. */
	group: number;
}

interface Cavity {
	readonly shelves: number;
	readonly low: number;
	readonly high: number;
	readonly standing: Standing[];
}

/**
 * The ovens of a day with what has been put into them. A temperature is settled no sooner than it
 * must be: batches that stand beside each other, or by others in between, keep a range that suits
 * them all.
 */
export class Board {
	/** How often it was asked whether a batch has room: the measure of work. */
	asked = 0;
	/** By batch, the ways to cook it. */
	readonly ways: readonly (readonly Way[])[];
	readonly step_min: number;
	readonly #temperatures: readonly number[];
	readonly #cavities: readonly Cavity[];
	#groups = 0;

	constructor({ step_min, ovens, batches, held = [] }: OvenDay) {
		this.step_min = step_min;
		this.#temperatures = temperaturesOf(ovens, batches, held);
		this.ways = batches.map(({ ways, shelves }, batch) =>
			ways.map(({ minutes, low_C, high_C, ...way }) => ({
				batch,
				shelves: way.shelves ?? shelves,
				minutes,
				...this.#counted(low_C, high_C),
				ovens: way.ovens ? ovens.flatMap(({ id }, at) => (way.ovens?.includes(id) ? [at] : [])) : null,
			})),
		);
		this.#cavities = ovens.map(({ shelves, min_C, max_C }) => ({
			shelves,
			...this.#counted(min_C, max_C),
			standing: [],
		}));
		for (const { oven, shelves, from_min, to_min, set_C } of held) {
			const cavity = this.#cavities[ovens.findIndex(({ id }) => id === oven)];
			if (!cavity) continue;
			this.#groups += 1;
			cavity.standing.push({
				batch: HELD,
				from: from_min,
				to: to_min,
				shelves,
				...this.#counted(set_C, set_C),
				group: this.#groups,
			});
		}
	}

	/** The ovens that a way suits, each kind of empty oven once. */
	ovensFor({ shelves, low, high, ovens }: Way): number[] {
		const seen: Cavity[] = [];
		const suited: number[] = [];
		for (const [oven, cavity] of this.#cavities.entries()) {
			if (ovens && !ovens.includes(oven)) continue;
			if (cavity.shelves < shelves || cavity.low > high || cavity.high < low) continue;
			if (ovens === null && cavity.standing.length === 0) {
				if (seen.some((other) => isAlike(other, cavity))) continue;
				seen.push(cavity);
			}
			suited.push(oven);
		}
		return suited;
	}

	/** The temperatures at which an oven suits a way, counted along the day's. */
	reach({ low, high }: Way, oven: number): { low: number; high: number } {
		const cavity = this.#cavities[oven] as Cavity;
		return { low: Math.max(low, cavity.low), high: Math.min(high, cavity.high) };
	}

	/**
	 * The latest start at which a way has room.
	 *
	 * @param low       not colder, counted along the day's temperatures
	 * @param high      not hotter
	 * @param from_min  not later than this
	 * @param least_min not earlier than this
	 * @returns minutes, on the step; NaN when there is no room
	 */
	latestStart(
		way: Way,
		oven: number,
		low: number,
		high: number,
		from_min: number,
		least_min: number,
	): number {
		const step = this.step_min;
		let start = Math.floor(from_min / step) * step;
		while (start >= least_min) {
			const next = this.#inTheWay(way, oven, low, high, start, true);
			if (next === FREE) return start;
			start = Math.min(Math.floor((next - way.minutes) / step) * step, start - step);
		}
		return Number.NaN;
	}

	/** The earliest start at which a way has room, at or after a minute; NaN where it never has. */
	earliestStart(way: Way, oven: number, low: number, high: number, from_min: number): number {
		const step = this.step_min;
		let start = Math.ceil(from_min / step) * step;
		while (start < FREE) {
			const next = this.#inTheWay(way, oven, low, high, start, false);
			if (next === FREE) return start;
			start = Math.max(Math.ceil(next / step) * step, start + step);
		}
		return Number.NaN;
	}

	hasRoom(way: Way, oven: number, start_min: number): boolean {
		return this.#inTheWay(way, oven, way.low, way.high, start_min, true) === FREE;
	}

	/** A way at a start where it has room, with the temperatures that are left to it there. */
	fitted(way: Way, oven: number, low: number, high: number, start_min: number): Put {
		const cavity = this.#cavities[oven] as Cavity;
		const put = { way, oven, start_min, low: Math.max(low, cavity.low), high: Math.min(high, cavity.high) };
		for (const other of cavity.standing) {
			if (other.from >= start_min + way.minutes || other.to <= start_min) continue;
			put.low = Math.max(put.low, other.low);
			put.high = Math.min(put.high, other.high);
		}
		return put;
	}

	/**
	 * When what is in the way no longer is: the start of what goes in last of it (`backwards`), else
	 * the end of what comes out first. What can not share a temperature must all be gone.
	 */
	#inTheWay(
		way: Way,
		oven: number,
		lowest: number,
		highest: number,
		from: number,
		backwards: boolean,
	): number {
		this.asked += 1;
		const cavity = this.#cavities[oven] as Cavity;
		const low = Math.max(lowest, cavity.low);
		const high = Math.min(highest, cavity.high);
		if (low > high) return NEVER;
		const to = from + way.minutes;
		const met = cavity.standing.filter((other) => other.from < to && other.to > from);
		if (met.length === 0) return FREE;
		const strangers = met.filter((other) => other.low > high || other.high < low);
		if (strangers.length > 0) return goneBy(strangers, backwards ? Math.min : Math.max, backwards);
		if (shareOne(met, low, high) && fullest(met, from) + way.shelves <= cavity.shelves) return FREE;
		return goneBy(met, backwards ? Math.max : Math.min, backwards);
	}

	/** Puts a batch in. @returns what takes it out again; the last that was put in goes first */
	put(put: Put): () => void {
		const { way, oven, start_min, low, high } = put;
		const { standing } = this.#cavities[oven] as Cavity;
		const one: Standing = {
			from: start_min,
			to: start_min + way.minutes,
			shelves: way.shelves,
			batch: way.batch,
			low,
			high,
			group: 0,
		};
		const were = standing.map((other) => [other.low, other.high, other.group] as const);
		this.#groups += 1;
		one.group = this.#groups;
		standing.push(one);
		settle(standing, one);
		return () => {
			standing.pop();
			for (let index = 0; index < standing.length; index += 1) {
				const other = standing[index] as Standing;
				const [wasLow, wasHigh, wasGroup] = were[index] as readonly [number, number, number];
				other.low = wasLow;
				other.high = wasHigh;
				other.group = wasGroup;
			}
		};
	}

	/**
	 * What the ovens look like in a span: the same text for the same look. What reaches out of it is
	 * cut off; which of the batches they are does not show.
	 */
	seenFrom(minute: number, { from_min, to_min }: Span): string {
		const from = minute + from_min;
		const to = minute + to_min;
		let text = String(minute);
		for (const { standing } of this.#cavities) {
			const seen = standing.filter((one) => one.to > from && one.from < to);
			const groups = [...new Set(seen.map(({ group }) => group))];
			const looks = seen.map((one) => {
				const [starts, ends] = [Math.max(one.from, from), Math.min(one.to, to)];
				const alone = groups.length === seen.length ? "" : groups.indexOf(one.group);
				return `${starts},${ends},${one.shelves},${one.low},${one.high},${alone}`;
			});
			text += `/${looks.sort().join(" ")}`;
		}
		return text;
	}

	/** The lowest temperature that suits all that stand beside each other, counted, by batch. */
	settled(): ReadonlyMap<number, number> {
		const standing = this.#cavities.flatMap((cavity) => cavity.standing);
		return new Map(standing.map(({ batch, low }) => [batch, low]));
	}

	/** The same in °C. */
	temperatures(): ReadonlyMap<number, number> {
		return new Map([...this.settled()].map(([batch, low]) => [batch, this.#temperatures[low] as number]));
	}

	#counted(low_C: number, high_C: number): { low: number; high: number } {
		const from = this.#temperatures.findIndex((temperature) => temperature >= low_C);
		return {
			low: from === -1 ? this.#temperatures.length : from,
			high: this.#temperatures.findLastIndex((temperature) => temperature <= high_C),
		};
	}
}

/**
 * All temperatures that matter, °C, rising: where some ranges have one in common, the lowest that
 * one of them begins with is common to all.
 */
function temperaturesOf(
	ovens: OvenDay["ovens"],
	batches: OvenDay["batches"],
	held: readonly OvenHeld[],
): number[] {
	const lows = [
		...ovens.map(({ min_C }) => min_C),
		...batches.flatMap(({ ways }) => ways.map(({ low_C }) => low_C)),
		...held.map(({ set_C }) => set_C),
	];
	return [...new Set(lows)].sort((a, b) => a - b);
}

function isAlike(one: Cavity, other: Cavity): boolean {
	return one.shelves === other.shelves && one.low === other.low && one.high === other.high;
}

/** When all of some (going backwards, by their starts), or the first of them, are no longer in the way. */
function goneBy(
	some: readonly Standing[],
	chosen: (one: number, other: number) => number,
	backwards: boolean,
): number {
	let gone = Number.NaN;
	for (const { from, to } of some) {
		const at = backwards ? from : to;
		gone = Number.isNaN(gone) ? at : chosen(gone, at);
	}
	return gone;
}

/** Whether one temperature suits all that are met, and the range itself. */
function shareOne(met: readonly Standing[], low: number, high: number): boolean {
	let [from, to] = [low, high];
	for (const other of met) {
		from = Math.max(from, other.low);
		to = Math.min(to, other.high);
	}
	return from <= to;
}

/** Most shelves that are taken at one moment, from a minute on. */
function fullest(met: readonly Standing[], from: number): number {
	let most = 0;
	for (const at of met) {
		const moment = Math.max(at.from, from);
		let taken = 0;
		for (const other of met) {
			if (other.from <= moment && other.to > moment) taken += other.shelves;
		}
		most = Math.max(most, taken);
	}
	return most;
}

/** Narrows the range of all that stand beside one another to what suits a new one too. */
function settle(standing: readonly Standing[], one: Standing): void {
	const groups: number[] = [one.group];
	let { low, high } = one;
	for (const other of standing) {
		if (other.from >= one.to || other.to <= one.from) continue;
		if (!groups.includes(other.group)) groups.push(other.group);
		low = Math.max(low, other.low);
		high = Math.min(high, other.high);
	}
	for (const other of standing) {
		if (!groups.includes(other.group)) continue;
		other.low = low;
		other.high = high;
		other.group = one.group;
	}
}
