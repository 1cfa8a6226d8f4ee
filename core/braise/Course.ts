import type { PanState } from "./PanState.ts";

/** Room is made for so many steps at first. */
const ROOM = 512;

/** What one pan has gone through, step by step; softening, steam and heat only grow. */
export class Course {
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

	/** Minute at which the softening passes a value; null when it does not. */
	reached(wanted: number): number | null {
		const last = this.length - 1;
		if ((this.soft[last] as number) < wanted) return null;
		const high = firstFrom(this.soft, this.length, wanted);
		if (high === 0) return 0;
		const before = this.soft[high - 1] as number;
		const share = (wanted - before) / ((this.soft[high] as number) - before);
		return between(this.minutes, high - 1, share);
	}

	water_kgAt(minute: number): number {
		return this.at(this.water_kg, minute);
	}

	steam_kgAt(minute: number): number {
		return this.at(this.steam_kg, minute);
	}

	heat_kJAt(minute: number): number {
		return this.at(this.heat_J, minute) / 1000;
	}

	/** A value at a minute, between the steps; the last one after the end. */
	private at(values: Float64Array, minute: number): number {
		const high = firstFrom(this.minutes, this.length, minute);
		if (high === 0) return values[0] as number;
		if (high === this.length) return values[this.length - 1] as number;
		const from = this.minutes[high - 1] as number;
		return between(values, high - 1, (minute - from) / ((this.minutes[high] as number) - from));
	}
}

function between(values: Float64Array, index: number, share: number): number {
	const from = values[index] as number;
	return from + share * ((values[index + 1] as number) - from);
}

/** The first of some growing values that is at least so much; their number when none is. */
function firstFrom(values: Float64Array, length: number, wanted: number): number {
	let low = 0;
	let high = length;
	while (low < high) {
		const middle = (low + high) >> 1;
		if ((values[middle] as number) >= wanted) high = middle;
		else low = middle + 1;
	}
	return low;
}
