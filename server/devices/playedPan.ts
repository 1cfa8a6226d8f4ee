import { type ChillGiven, chilling } from "#core/chill";
import { MINUTE_MS } from "#core/time";
import { type Course, usualCooling } from "#core/watch";

/** A pan as a simulated probe stands in it. */
export interface PlayedPlace {
	readonly probe: string;
	readonly watch: number;
	/** Since when it stands in it, and when the pan's course began. */
	readonly since: number;
	readonly lifted?: number;
	readonly course: Course;
	readonly cooling: ChillGiven | null;
}

/** What is wrong with a probe. */
export const FAULTS = ["none", "silent", "drifting", "wrong"] as const;
export type Fault = (typeof FAULTS)[number];

/** Readings scatter by so much, K. */
const NOISE_K = 0.15;
/** A drifting probe loses so much an hour, a wrong one is off by so much, K. */
const DRIFT_K_AN_HOUR = 8;
const WRONG_K = 12;
/** Pans differ: each goes so much quicker or slower than the model at the most. */
const SPREAD = 0.06;

/** A pan nobody described is so deep, mm. */
const USUAL_MM = 65;

/**
 * What a simulated probe reads at a moment: its pan by the model, a little quicker or slower than
 * any other, with noise, and with what is wrong with it.
 *
 * @param wrongSince when its fault began
 */
export function readAt(place: PlayedPlace, at: number, fault: Fault, wrongSince: number): number {
	const minutes = (at - (place.lifted ?? place.since)) / MINUTE_MS;
	const own = 1 + SPREAD * (2 * chance(`${place.probe} ${place.watch}`) - 1);
	const true_C = courseAt(place, minutes / own);
	const noise = NOISE_K * 2 * (chance(`${place.probe} ${at}`) + chance(`${at} ${place.probe}`) - 1);
	const off =
		fault === "drifting"
			? -DRIFT_K_AN_HOUR * (Math.max(0, at - wrongSince) / (60 * MINUTE_MS))
			: fault === "wrong"
				? WRONG_K
				: 0;
	return Math.round((true_C + noise + off) * 100) / 100;
}

const COLD_C = 4;
const HEATED_C = 92;
const HEATED_IN_MIN = 70;
const HELD_C = 68;
/** A cold box loses, and a hot one, K an hour. */
const LOSES_K_AN_HOUR = 0.8;

function courseAt({ course, cooling }: PlayedPlace, minutes: number): number {
	switch (course) {
		case "cool":
			return cooledAt(cooling ?? usualCooling(USUAL_MM), minutes);
		case "reheat":
			// Slow to begin with, then quick, then slow towards the oven's steam: as the middle of a pan does.
			return COLD_C + (HEATED_C - COLD_C) * (1 - Math.exp(-((minutes / HEATED_IN_MIN) ** 2)));
		case "holdHot":
			return HELD_C - (LOSES_K_AN_HOUR * minutes) / 60;
		case "keepCold":
			return COLD_C - 1 + (LOSES_K_AN_HOUR * minutes) / 60;
	}
}

interface Curve {
	readonly minutes: number[];
	readonly C: number[];
}

const curves = new Map<string, Curve>();

function cooledAt(given: ChillGiven, minutes: number): number {
	const key = JSON.stringify(given);
	let curve = curves.get(key);
	if (!curve) {
		const points = [...chilling(given, given.medium_C + 0.05)];
		curve = { minutes: points.map(({ minute }) => minute), C: points.map(({ warmest_C }) => warmest_C) };
		curves.set(key, curve);
	}
	let [low, high] = [0, curve.minutes.length - 1];
	if (minutes <= 0) return given.start_C;
	if (minutes >= (curve.minutes[high] as number)) return curve.C[high] as number;
	while (high - low > 1) {
		const middle = (low + high) >> 1;
		if ((curve.minutes[middle] as number) <= minutes) low = middle;
		else high = middle;
	}
	const [from, to] = [curve.minutes[low] as number, curve.minutes[high] as number];
	const share = (minutes - from) / (to - from);
	return (curve.C[low] as number) + share * ((curve.C[high] as number) - (curve.C[low] as number));
}

/** A number from 0 to 1 that is always the same for the same words. */
function chance(words: string): number {
	let hash = 2166136261;
	for (let index = 0; index < words.length; index += 1)
		hash = Math.imul(hash ^ words.charCodeAt(index), 16777619);
	hash = Math.imul(hash ^ (hash >>> 15), 2246822519);
	return ((hash ^ (hash >>> 13)) >>> 0) / 4294967296;
}
