import type { PanState } from "./PanState.ts";

/** Room is made for so many steps at first. */
const ROOM = 512;

/** What one pan has gone through, step by step, the same length each; softening, steam and heat only grow. */
export interface Course {
	readonly minutes: Float64Array;
	readonly soft: Float64Array;
	readonly water_kg: Float64Array;
	readonly steam_kg: Float64Array;
	readonly heat_J: Float64Array;
}

/** Writes a course down as it goes on. */
export class CourseLog {
	private length = 1;
	private minutes = new Float64Array(ROOM);
	private soft = new Float64Array(ROOM);
	private water_kg = new Float64Array(ROOM);
	private steam_kg = new Float64Array(ROOM);
	private heat_J = new Float64Array(ROOM);

	/** @param poured_kg water at the start */
	constructor(poured_kg: number) {
		this.water_kg[0] = poured_kg;
	}

	add(minute: number, soft: number, { water_kg, steam_kg, heatIn_J }: PanState): void {
		const at = this.length;
		if (at === this.minutes.length) this.grow();
		this.minutes[at] = minute;
		this.soft[at] = soft;
		this.water_kg[at] = water_kg;
		this.steam_kg[at] = steam_kg;
		this.heat_J[at] = heatIn_J;
		this.length += 1;
	}

	private grow(): void {
		const larger = (values: Float64Array<ArrayBuffer>) => {
			const room = new Float64Array(values.length * 2);
			room.set(values);
			return room;
		};
		this.minutes = larger(this.minutes);
		this.soft = larger(this.soft);
		this.water_kg = larger(this.water_kg);
		this.steam_kg = larger(this.steam_kg);
		this.heat_J = larger(this.heat_J);
	}

	/** All of it, as plain figures that can be sent from one thread to another. */
	course(): Course {
		const { length, minutes, soft, water_kg, steam_kg, heat_J } = this;
		const written = (values: Float64Array) => values.slice(0, length);
		return {
			minutes: written(minutes),
			soft: written(soft),
			water_kg: written(water_kg),
			steam_kg: written(steam_kg),
			heat_J: written(heat_J),
		};
	}
}

/** Whatever has gone through a course. */
interface Gone {
	readonly course: Course;
}

/** Minute at which so much softening was reached; null when it was not. */
export function reached({ course: { soft, minutes } }: Gone, wanted: number): number | null {
	if ((soft[soft.length - 1] as number) < wanted) return null;
	const high = firstFrom(soft, wanted);
	if (high === 0) return 0;
	const before = soft[high - 1] as number;
	const share = (wanted - before) / ((soft[high] as number) - before);
	return between(minutes, high - 1, share);
}

/** Litres left at a minute. */
export function leftAt({ course }: Gone, minute: number): number {
	return valueAt(course, course.water_kg, minute);
}

/** Litres that have steamed away at a minute. */
export function steamAt({ course }: Gone, minute: number): number {
	return valueAt(course, course.steam_kg, minute);
}

/** Heat that has come in from outside, kJ, at a minute. */
export function heatAt({ course }: Gone, minute: number): number {
	return valueAt(course, course.heat_J, minute) / 1000;
}

/** A value at a minute, between the steps; the last one after the end. */
function valueAt({ minutes }: Course, values: Float64Array, minute: number): number {
	const high = firstFrom(minutes, minute);
	if (high === 0) return values[0] as number;
	if (high === minutes.length) return values[minutes.length - 1] as number;
	const from = minutes[high - 1] as number;
	return between(values, high - 1, (minute - from) / ((minutes[high] as number) - from));
}

function between(values: Float64Array, index: number, share: number): number {
	const from = values[index] as number;
	return from + share * ((values[index + 1] as number) - from);
}

/** The first of some growing values that is at least so much; its length when none is. */
function firstFrom(values: Float64Array, wanted: number): number {
	let low = 0;
	let high = values.length;
	while (low < high) {
		const middle = (low + high) >> 1;
		if ((values[middle] as number) >= wanted) high = middle;
		else low = middle + 1;
	}
	return low;
}
