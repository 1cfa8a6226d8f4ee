import { clockBegins } from "../chill/index.ts";
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
	standingOf,
	type Watched,
} from "../watch/index.ts";
import { ofKind, type RecordEntry } from "./entries.ts";
import { withoutStruck } from "./lots.ts";

/** What was read of a pan, as it is kept. */
export interface ReadPoint {
	readonly watch: number;
	readonly number: number;
	readonly at: number;
	readonly C: number;
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
	/** What it is judged by; without what is doubted. */
	readonly watched: Watched;
	readonly standing: readonly LimitStanding[];
	/** Its one verdict: screen, sheet, file and label print it. */
	readonly outcome: Outcome;
	readonly doubt: Doubt | null;
	readonly actions: readonly RecordEntry<"action">[];
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
	const counted = withoutStruck(entries);
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
 * The watches of a lot as they stand.
 *
 * @param entries all that was written of the lot, in order
 * @param read    what was read of it, in order
 */
export function watchesNow(
	entries: readonly RecordEntry[],
	read: readonly ReadPoint[],
	now: number,
): WatchNow[] {
	const counted = withoutStruck(entries);
	const points = corrected(counted, read);
	const begun = ofKind(counted, "watch");
	const ended = new Map(ofKind(counted, "ended").map(({ at, doc }) => [doc.watch, at]));
	const actions = ofKind(counted, "action");
	const probes = new Map<number, RecordEntry<"probe">>();
	for (const entry of ofKind(counted, "probe")) probes.set(entry.doc.watch, entry);
	const probeOf = ({ doc }: RecordEntry<"watch">) => {
		const changed = probes.get(doc.watch);
		return changed ? changed.doc.probe : doc.probe;
	};
	const of = new Map(begun.map(({ doc }) => [doc.watch, points.filter(({ watch }) => watch === doc.watch)]));
	const alike = (entry: RecordEntry<"watch">) =>
		begun
			.filter(
				(other) =>
					other.doc.watch !== entry.doc.watch && probeOf(other) !== null && isAlike(other.doc, entry.doc),
			)
			.map(({ doc }) => pointsOf(of.get(doc.watch) ?? [], entry.at, isProbe));
	return begun.map((entry) => {
		const own = of.get(entry.doc.watch) ?? [];
		const endedAt = ended.get(entry.doc.watch) ?? null;
		const probe = probeOf(entry);
		const sinceBegun = (instant: number) => (instant - entry.at) / MINUTE_MS;
		const now_min = sinceBegun(endedAt ?? now);
		const all: Watched = {
			course: entry.doc.course,
			code: entry.doc.code,
			cooling: entry.doc.cooling,
			clockFrom_min: sinceBegun(entry.doc.clockFrom),
			points: pointsOf(own, entry.at, () => true),
			now_min,
			isEnded: endedAt !== null,
		};
		const since_min = sinceBegun(probes.get(entry.doc.watch)?.at ?? entry.at);
		const until_min = endedAt === null ? null : decidedAt(all);
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
		const watched: Watched = isLeftOut ? { ...all, points: pointsOf(own, entry.at, isHand) } : all;
		const standing = standingOf(watched);
		return {
			...{ entry, endedAt, probe, points: own, watched, standing },
			outcome: outcomeOf(standing),
			doubt,
			actions: actions.filter(({ doc }) => doc.watch === entry.doc.watch),
		};
	});
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
	return points.filter(counts).map(({ at, C }): Point => [(at - from) / MINUTE_MS, C]);
}

/** Readings as corrections leave them: those that do not count are gone. */
function corrected(entries: readonly RecordEntry[], read: readonly ReadPoint[]): ReadPoint[] {
	const corrections = ofKind(entries, "correction");
	const readings = new Map(
		corrections.flatMap(({ doc }) => (doc.of === "reading" ? [[doc.number, doc.C] as const] : [])),
	);
	const probes = new Set(corrections.flatMap(({ doc }) => (doc.of === "probe" ? [doc.number] : [])));
	return read.flatMap((point) => {
		if (point.who === null && probes.has(point.watch)) return [];
		const C = readings.get(point.number);
		if (C === undefined) return [point];
		return C === null ? [] : [{ ...point, C }];
	});
}

/** When the code's clock began for food that is watched on in another way. */
export function clockOf({ entry, watched, points }: WatchNow, at: number): number {
	const { from_C } = entry.doc.code.cooling;
	if (entry.doc.course !== "cool" || from_C === null) return entry.doc.clockFrom;
	const first = points.find(({ C }) => C <= from_C);
	if (!first) return at;
	return watched.points[0] && watched.points[0][1] <= from_C ? entry.doc.clockFrom : first.at;
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
