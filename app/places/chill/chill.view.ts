import { maxBy, upperFirst } from "es-toolkit";
import { chilling } from "#core/chill";
import type { WorkedDish } from "#core/day";
import {
	type ChillLimit,
	type ChillWay,
	depthOfFood,
	isAllMet,
	journeyOf,
	MOST_PARTS,
	type PlanChill,
	spreadOver,
	taskAt,
} from "#core/dish";
import type { Kitchen } from "#core/kitchen";
import type { UnitSystem } from "#core/quantity";
import { durationWords, MINUTE_MS } from "#core/time";
import type { ChillDrawing } from "../../ui/drawings/ChillCurve.tsx";
import type { PanDrawing } from "../../ui/drawings/drawings.ts";
import { panDrawing } from "../../ui/drawings/panDrawing.ts";
import { chillTyped } from "../../ui/forms/settled.ts";
import { coolerWords, jointWords } from "../../ui/words/heatLimitWords.ts";
import { counted } from "../../ui/words/reading.ts";
import { reachWords, VERDICT_WORDS } from "../../ui/words/verdictWords.ts";
import { hoursAlong } from "../hoursAlong.ts";
import { growthWords } from "../journey.view.ts";
import type { TableGiven } from "../Place.ts";

/** One way of cooling, as it is shown beside the others. */
export interface WayView {
	readonly id: string;
	readonly words: string;
	readonly facts: string;
	/** What the control is given to take it. */
	readonly typed: string;
}

/** How the dish is cooled, against the house code, and what would cool it better. */
export interface ChillView {
	readonly drawing: ChillDrawing;
	readonly way: WayView;
	readonly isSettled: boolean;
	/** From when the code counts, where it says; null where it counts from the cooler's door. */
	readonly clock: string | null;
	readonly limits: readonly { readonly words: string; readonly verdict: ChillLimit["verdict"] }[];
	readonly deepest: string;
	/** What may grow while it cools, as a caution. */
	readonly growth: string;
	readonly others: readonly WayView[];
	/** Joints cooled by themselves, where nothing in their pans meets the code. */
	readonly joints: readonly string[];
	readonly cut: ChillCutView;
}

/** The deepest pan as it stands in the cooler, and between which depths its food can be spread. */
export interface ChillCutView {
	readonly units: UnitSystem;
	readonly pan: PanDrawing;
	readonly name: string;
	readonly depth_mm: number;
	/** As it comes out of the oven, and spread as far as it may be. */
	readonly whole_mm: number;
	readonly least_mm: number;
	/** Up to where every limit is met in there; null where no depth does. */
	readonly deepest_mm: number | null;
	readonly coolerId: string;
	readonly ice: boolean;
}

/** The curve is drawn so far past its last limit, and no longer than this, minutes. */
const PAST = 1.25;
const LONGEST_MIN = 16 * 60;
const STEPS = 80;

export function chillView(given: TableGiven): ChillView | undefined {
	const { plan, reading } = given;
	if (!plan.chill) return undefined;
	const { way, others, deepest_mm } = plan.chill;
	return {
		drawing: drawingOf(way, given),
		way: wayView(way, given),
		isSettled: (plan.order.chill ?? null) !== null,
		clock: clockWords(given),
		limits: way.limits.map((limit) => ({ words: limitWords(limit, given), verdict: limit.verdict })),
		deepest:
			deepest_mm === null
				? "No depth meets it in there."
				: `Food up to ${reading.length(deepest_mm)} deep meets it in there.`,
		growth: growthOf(given),
		others: others.map((other) => wayView(other, given)),
		joints: plan.chill.pieces.map(
			(joint) =>
				`${jointWords(joint, reading)}: ${durationWords(Math.round(joint.minutes))}${joint.meets ? ", meets every limit" : ""}`,
		),
		cut: cutView(plan.chill, given),
	};
}

function cutView({ way, deepest_mm }: PlanChill, { plan, kitchen, reading }: TableGiven): ChillCutView {
	const atOnce = plan.pans.pans.filter(({ go }) => go === 1);
	const pan = maxBy(atOnce, (one) => depthOfFood(one));
	if (!pan) throw new Error("what is cooled stands in no pan");
	const whole_mm = Math.round(depthOfFood(pan));
	return {
		units: reading.units,
		pan: panDrawing(pan.type.shape, reading),
		name: pan.type.name,
		depth_mm: way.depth_mm,
		whole_mm,
		least_mm: leastDepth(whole_mm, plan, kitchen),
		deepest_mm,
		coolerId: way.cooler.id,
		ice: way.ice,
	};
}

/** The shallowest that the kitchen has pans for, mm. */
function leastDepth(whole_mm: number, { pans }: WorkedDish, { equipment }: Kitchen): number {
	const shallowest = Math.ceil(whole_mm / MOST_PARTS);
	for (let mm = shallowest; mm < whole_mm; mm += 1)
		if (spreadOver(pans, equipment.pans, whole_mm / mm) !== null) return mm;
	return whole_mm;
}

/** Over its whole way: cooling is but a part of it. */
function growthOf({ plan, kitchen }: TableGiven): string {
	const walked = journeyOf(plan, kitchen.policy);
	return walked ? growthWords(walked) : "";
}

function wayView(way: ChillWay, { reading }: TableGiven): WayView {
	const { cooler, parts, ice, depth_mm, pans, minutes } = way;
	const takes = minutes ? `, ${durationWords(Math.round(minutes.likely))} in all` : "";
	return {
		id: `${cooler.id} ${parts} ${ice}`,
		words: coolerWords({ cooler: cooler.name, parts, ice }),
		facts: `${reading.length(depth_mm)} deep, ${counted(pans, "pan")}${takes}${isAllMet(way) ? ": meets every limit" : ""}`,
		typed: chillTyped({ coolerId: cooler.id, parts, ice }),
	};
}

/** "21 °C within 2 h: 1 h 40, from 1 h 10 to 2 h 05: met if it goes as is likely" */
function limitWords({ to_C, within_min, reach, verdict }: ChillLimit, { reading }: TableGiven): string {
	const inWords = (within: string) => `${reading.temperature(to_C)} within ${within}`;
	if (reach.likely === "never") return `${inWords(durationWords(within_min))}: it never gets there`;
	const { likely, low, high } = reach;
	return `${inWords(durationWords(within_min))}: ${reachWords(likely)}, from ${reachWords(low)} to ${reachWords(high)}. ${upperFirst(VERDICT_WORDS[verdict])}`;
}

function drawingOf(way: ChillWay, { plan, reading }: TableGiven): ChillDrawing {
	const { given, limits } = way;
	const began = way.clock.begins_min;
	const lastBy = began + (limits.at(-1)?.within_min ?? 0);
	const needed = way.minutes?.high ?? LONGEST_MIN;
	const end_min = Math.min(LONGEST_MIN, Math.max(lastBy, needed) * PAST);
	const into = taskAt(plan, "chill", "chill")?.start ?? 0;
	const clock = (minute: number) => reading.time(into + minute * MINUTE_MS);
	const curves = (["low", "likely", "high"] as const).map((which) => sampled(given, end_min, which));
	const [warm, likely, cold] = curves as [number[], number[], number[]];
	const minuteOf = (index: number) => (index * end_min) / STEPS;
	const least_C = Math.floor(Math.min(0, given.medium_C));
	return {
		likely: likely.map((C, index) => [minuteOf(index), C]),
		range: warm.map((high_C, index) => ({ minute: minuteOf(index), low_C: cold[index] ?? high_C, high_C })),
		ceilings: limits.map(({ to_C, within_min }) => ({
			C: to_C,
			by_min: began + within_min,
			words: `${reading.temperature(to_C)} by ${clock(began + within_min)}`,
		})),
		end_min,
		top_C: 90,
		least_C,
		ticks: [0, 20, 40, 60, 80].map((C) => ({ C, words: reading.temperature(C).replace(/ .*/, "") })),
		hours: hoursAlong(end_min, clock),
		words:
			`Warmest point of the pan from ${clock(0)}: ${limits.map((limit) => limitWords(limit, { plan, reading } as TableGiven)).join("; ")}. ${isAllMet(way) ? "Every limit is met." : ""}`.trim(),
	};
}

/** "The clock of the code counts from 13:51: the first point is at 57 °C; the warmest is at 14:40." */
function clockWords({ plan, kitchen, reading }: TableGiven): string | null {
	const way = plan.chill?.way;
	const from_C = kitchen.policy.code.cooling.from_C;
	if (!way || from_C === null || from_C >= way.given.start_C) return null;
	const { begins_min, firstPoint_min, warmest_min } = way.clock;
	const into = taskAt(plan, "chill", "chill")?.start ?? 0;
	const clock = (minute: number | null) =>
		minute === null ? "never" : `at ${reading.time(into + minute * MINUTE_MS)}`;
	return `The clock of the code counts from ${reading.time(into + begins_min * MINUTE_MS)}. Its first point is down to ${reading.temperature(from_C)} ${clock(firstPoint_min)}, its warmest ${clock(warmest_min)}.`;
}

/** The warmest point at so many even steps. */
function sampled(given: ChillWay["given"], end_min: number, which: "low" | "likely" | "high"): number[] {
	const found: number[] = [];
	let last = given.start_C;
	for (const { minute, warmest_C } of chilling(given, Number.NEGATIVE_INFINITY, which)) {
		while (found.length <= STEPS && (found.length * end_min) / STEPS <= minute) found.push(warmest_C);
		last = warmest_C;
		if (minute >= end_min) break;
	}
	while (found.length <= STEPS) found.push(last);
	return found;
}
