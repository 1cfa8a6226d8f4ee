import { groupBy } from "es-toolkit";
import { must } from "../check/index.ts";
import { clockBegins } from "../chill/index.ts";
import type { DegreeUnit } from "../safety/index.ts";
import { MINUTE_MS } from "../time/index.ts";
import {
	type Asked,
	askedFor,
	type Doubt,
	doubtOf,
	type LimitStanding,
	type Outcome,
	outcomeOf,
	type Point,
	type Stood,
	standingOf,
	stoodBefore,
	type Watched,
	worstOutcome,
} from "../watch/index.ts";
import { ofKind, type RecordEntry } from "./entries.ts";
import { asItStands } from "./standing.ts";

/** What was read of a pan, as it is kept. */
export interface ReadPoint {
	readonly watch: number;
	readonly number: number;
	readonly at: number;
	readonly C: number;
	/** In which it was read; °C where it is absent. */
	readonly unit?: DegreeUnit;
	/** Who measured by hand; null where it was the probe. */
	readonly who: string | null;
}

/** A pan that is or was watched, as it stands. */
export interface WatchNow {
	readonly entry: RecordEntry<"watch">;
	/** When it ended; null while it goes on. */
	readonly endedAt: number | null;
	/** The probe that reads for it now, or did last; null where it is measured by hand. */
	readonly probe: string | null;
	/** All that was read and not struck out, as corrected, in order. */
	readonly points: readonly ReadPoint[];
	/** What of it counts: without what is doubted. Minutes since it began. */
	readonly counted: readonly Point[];
	/** What it is judged by: what counts of it, and of the watches that it goes on from. */
	readonly watched: Watched;
	/** How long it stood before it was cooled; null where its code does not limit that. */
	readonly stood: Stood | null;
	readonly standing: readonly LimitStanding[];
	/** Its one verdict, that of its whole chain: screen, sheet, file and label print it. */
	readonly outcome: Outcome;
	readonly doubt: Doubt | null;
	readonly actions: readonly RecordEntry<"action">[];
	/** Tags of the pans in which it goes on; empty where it does not. */
	readonly goesOnIn: readonly string[];
}

/** What has to be read of a watch, so that its verdict is that of all its readings. */
export interface WatchAsked {
	readonly watch: number;
	/** The readings on both sides of their first crossing decide. */
	readonly crossings: readonly Asked[];
	/** Of the probe's other readings one in each stretch is drawn and reckoned with. */
	readonly every_ms: number;
}

/** How close a pan is followed while it is watched, and how close what has ended is drawn. */
const WATCHED_EVERY_MS = 30_000;
const ENDED_EVERY_MS = 120_000;
/** Where readings were corrected, which of them decide is known only from all. */
const ALL_MS = 1;

/** What has to be read of the watches of a lot. @param entries all that was written of it */
export function watchesAsked(entries: readonly RecordEntry[]): WatchAsked[] {
	const counted = asItStands(entries);
	const corrected = new Set(ofKind(counted, "correction").map(({ doc }) => doc.watch));
	const ended = new Set(ofKind(counted, "ended").map(({ doc }) => doc.watch));
	const everyOf = (watch: number) => {
		if (corrected.has(watch)) return ALL_MS;
		return ended.has(watch) ? ENDED_EVERY_MS : WATCHED_EVERY_MS;
	};
	return ofKind(counted, "watch").map(({ doc: { watch, course, code } }) => ({
		watch,
		crossings: askedFor(course, code),
		every_ms: everyOf(watch),
	}));
}

/**
 * The watches of a lot as they stand. One that goes on from another is judged by the readings of both,
 * on one clock; one that goes on in several is as its worst.
 *
 * @param entries all that was written of the lot, in order
 * @param read    what was read of it, in order
 */
export function watchesNow(
	entries: readonly RecordEntry[],
	read: readonly ReadPoint[],
	now: number,
): WatchNow[] {
	const counted = asItStands(entries);
	const heard = heardOf(counted, corrected(counted, read), now);
	const actions = ofKind(counted, "action");
	const byWatch = new Map(heard.map((one) => [one.entry.doc.watch, one]));
	const after = groupBy(heard, ({ entry }) => entry.doc.continues ?? 0);
	const judged = heard.map((one) => {
		const { doc } = one.entry;
		const goesOnIn = after[doc.watch] ?? [];
		const watched = chainWatched(chainOf(one, byWatch), goesOnIn.length > 0);
		const stood = stoodBefore(watched);
		const standing = standingOf(watched);
		const outcome = worstOutcome([
			outcomeOf(standing),
			...(stood?.verdict === "missed" ? (["missed"] as const) : []),
		]);
		return { one, watched, stood, standing, outcome, goesOnIn };
	});
	const own = new Map(judged.map((one) => [one.one.entry.doc.watch, one]));
	const outcomeOfChain = (watch: number): Outcome => {
		const { outcome, goesOnIn } = must(own, watch, "watch");
		if (goesOnIn.length === 0) return outcome;
		return worstOutcome(goesOnIn.map(({ entry }) => outcomeOfChain(entry.doc.watch)));
	};
	return judged.map(({ one, watched, stood, standing, goesOnIn }) => ({
		...{ entry: one.entry, endedAt: one.endedAt, probe: one.probe, points: one.points, counted: one.counted },
		...{ watched, stood, standing, doubt: one.doubt },
		outcome: outcomeOfChain(one.entry.doc.watch),
		actions: actions.filter(({ doc }) => doc.watch === one.entry.doc.watch),
		goesOnIn: goesOnIn.map(({ entry }) => entry.doc.tag),
	}));
}

/** A watch by itself, with what counts of what was read of it. */
type HeardWatch = Pick<WatchNow, "entry" | "endedAt" | "probe" | "points" | "counted" | "doubt"> & {
	readonly now_min: number;
};

/** Each watch with its own readings, less those of a probe that is doubted. */
function heardOf(counted: readonly RecordEntry[], points: readonly ReadPoint[], now: number): HeardWatch[] {
	const begun = ofKind(counted, "watch");
	const ended = new Map(ofKind(counted, "ended").map(({ at, doc }) => [doc.watch, at]));
	const probes = new Map<number, RecordEntry<"probe">>();
	for (const entry of ofKind(counted, "probe")) probes.set(entry.doc.watch, entry);
	const probeOf = ({ doc }: RecordEntry<"watch">) => {
		const changed = probes.get(doc.watch);
		return changed ? changed.doc.probe : doc.probe;
	};
	const of = groupBy(points, ({ watch }) => watch);
	const alike = (entry: RecordEntry<"watch">) =>
		begun
			.filter(
				(other) =>
					other.doc.watch !== entry.doc.watch && probeOf(other) !== null && isAlike(other.doc, entry.doc),
			)
			.map(({ doc }) => pointsOf(of[doc.watch] ?? [], entry.at, isProbe));
	return begun.map((entry) => {
		const own = of[entry.doc.watch] ?? [];
		const endedAt = ended.get(entry.doc.watch) ?? null;
		const probe = probeOf(entry);
		const sinceBegun = (instant: number) => (instant - entry.at) / MINUTE_MS;
		const now_min = sinceBegun(endedAt ?? now);
		const all = pointsOf(own, entry.at, () => true);
		const since_min = sinceBegun(probes.get(entry.doc.watch)?.at ?? entry.at);
		const until_min =
			endedAt === null ? null : decidedAt(watchedAlone(entry, all, { now_min, isEnded: true }));
		const heardBy = (points: readonly Point[]) =>
			until_min === null ? points : points.filter(([minute]) => minute <= until_min);
		const probeRead = heardBy(pointsOf(own, entry.at, isProbe));
		const doubt =
			probe === null
				? null
				: doubtOf({
						// For what has ended nobody waits: a probe that is silent since then is not in doubt.
						now_min: endedAt === null ? now_min : (probeRead.at(-1)?.[0] ?? since_min),
						...{ probe: probeRead, since_min, hand: heardBy(pointsOf(own, entry.at, isHand)) },
						neighbours: alike(entry),
					});
		const isLeftOut = doubt && doubt.because !== "silent";
		return {
			...{ entry, endedAt, probe, points: own, doubt, now_min },
			counted: isLeftOut ? pointsOf(own, entry.at, isHand) : all,
		};
	});
}

function watchedAlone(
	{ at, doc: { course, code, cooling, clockFrom } }: RecordEntry<"watch">,
	points: readonly Point[],
	{ now_min, isEnded }: Pick<Watched, "now_min" | "isEnded">,
): Watched {
	const lifted_min = (clockFrom - at) / MINUTE_MS;
	return { course, code, cooling, lifted_min, into_min: 0, points, now_min, isEnded };
}

/** The watches that one goes on from, the first of them first, and itself last. */
function chainOf(last: HeardWatch, byWatch: ReadonlyMap<number, HeardWatch>): [HeardWatch, ...HeardWatch[]] {
	const chain: [HeardWatch, ...HeardWatch[]] = [last];
	for (let number = last.entry.doc.continues; number !== null; ) {
		const before = byWatch.get(number);
		// What was struck out is nothing to go on from.
		if (!before || before.entry.doc.watch >= chain[0].entry.doc.watch) break;
		chain.unshift(before);
		number = before.entry.doc.continues;
	}
	return chain;
}

/** A chain of watches as one, on the clock of the last. */
function chainWatched(chain: readonly [HeardWatch, ...HeardWatch[]], goesOn: boolean): Watched {
	const last = chain.at(-1) ?? chain[0];
	const [first] = chain;
	const shifted = chain.flatMap(({ entry, counted }) => {
		const by_min = (entry.at - last.entry.at) / MINUTE_MS;
		return counted.map(([minute, ...read]): Point => [minute + by_min, ...read]);
	});
	const alone = watchedAlone(last.entry, shifted, {
		now_min: last.now_min,
		isEnded: last.endedAt !== null && !goesOn,
	});
	return {
		...alone,
		// How it goes on, its own parts tell.
		cooling: goesOn ? null : alone.cooling,
		lifted_min: Math.min(alone.lifted_min, (first.entry.doc.clockFrom - last.entry.at) / MINUTE_MS),
		into_min: (first.entry.at - last.entry.at) / MINUTE_MS,
	};
}

/** The minute at which the last of its limits was reached, by all that was read; its end where one never was. */
function decidedAt(all: Watched): number {
	const reached = standingOf(all).map(({ at_min }) => at_min);
	return reached.every((minute) => minute !== null) ? Math.max(...reached) : all.now_min;
}

const isProbe = ({ who }: ReadPoint) => who === null;
const isHand = ({ who }: ReadPoint) => who !== null;

/** Depths that differ by no more than this share cool alike. */
const ALIKE_SHARE = 0.1;

/** Whether two pans go the same way: the same course, from about the same depth, in the same cold. */
function isAlike(one: RecordEntry<"watch">["doc"], other: RecordEntry<"watch">["doc"]): boolean {
	const [a, b] = [one.cooling, other.cooling];
	return (
		one.course === other.course &&
		Math.abs((a?.depth_mm ?? 0) - (b?.depth_mm ?? 0)) <= ALIKE_SHARE * (b?.depth_mm ?? 0) &&
		a?.medium === b?.medium &&
		Boolean(a?.foot) === Boolean(b?.foot)
	);
}

function pointsOf(
	points: readonly ReadPoint[],
	from: number,
	counts: (point: ReadPoint) => boolean,
): Point[] {
	return points.filter(counts).map(({ at, C, unit }): Point => {
		const minute = (at - from) / MINUTE_MS;
		return unit === undefined ? [minute, C] : [minute, C, unit];
	});
}

/** Readings as corrections leave them: those that do not count are gone. */
function corrected(entries: readonly RecordEntry[], read: readonly ReadPoint[]): ReadPoint[] {
	const corrections = ofKind(entries, "correction");
	const readings = new Map(
		corrections.flatMap(({ doc }) => (doc.of === "reading" ? [[doc.number, doc] as const] : [])),
	);
	const probes = new Set(corrections.flatMap(({ doc }) => (doc.of === "probe" ? [doc.number] : [])));
	return read.flatMap((point) => {
		if (point.who === null && probes.has(point.watch)) return [];
		const { unit: _, ...read } = point;
		const as = readings.get(point.number);
		if (as === undefined) return [point];
		return as.C === null ? [] : [{ ...read, C: as.C, ...(as.unit ? { unit: as.unit } : {}) }];
	});
}

/**
 * When the code's clock would have begun by the model: as the first point of the food passed its upper
 * limit, where the record counts from what its probe read at one.
 *
 * @returns an instant; null where nothing is known of how it is cooled, or where it was watched before
 */
export function plannedClock({ entry: { at, doc } }: Pick<WatchNow, "entry">): number | null {
	const { from_C } = doc.code.cooling;
	if (doc.course !== "cool" || from_C === null || !doc.cooling || doc.continues !== null) return null;
	const minutes = clockBegins(doc.cooling, { C: from_C, point: "firstPoint" }, "likely");
	return minutes === null ? null : at + minutes * MINUTE_MS;
}
