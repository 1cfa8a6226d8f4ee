import { maxBy } from "es-toolkit";
import type { JourneyPoint, StageKind, StageSpan } from "../journey/index.ts";
import { equivalentMinutes, type Growth, growthAlong } from "../safety/index.ts";
import { MINUTE_MS } from "../time/index.ts";
import type { Course } from "../watch/index.ts";
import type { WatchNow } from "./watches.ts";

/** How a dish was planned to go from the bench on. */
export interface PlannedWay {
	readonly stages: readonly StageSpan[];
	/** Minutes from the first stage. */
	readonly course: readonly (Pick<JourneyPoint, "minute"> & Ends)[];
}

type Ends = Pick<JourneyPoint, "coldest_C" | "warmest_C">;

/** How a lot went from the bench on: as it was planned until its lift, from then on as it was read. */
export interface LotWay {
	readonly stages: readonly StageSpan[];
	/** The plan until the lift, moved to when it really was; empty where there is none. */
	readonly planned: readonly (Ends & { readonly at: number })[];
	/** By their tags; a pan that was spread goes on in its parts. */
	readonly pans: readonly PanWay[];
}

export interface PanWay {
	readonly tag: string;
	/** What counts of what was read, a watch each: instants and °C. */
	readonly read: readonly (readonly (readonly [at: number, C: number])[])[];
	/** From the bench to its last reading, powers of ten. */
	readonly growth: Growth;
	/** Minutes at the reference temperature of the house's table, over the same way. */
	readonly lethality_min: number;
}

const KIND_OF: Readonly<Record<Course, StageKind>> = {
	cool: "chill",
	reheat: "reheat",
	holdHot: "hold",
	keepCold: "store",
};

/**
 * The way of a lot, as far as it is known.
 *
 * @param watches of the lot, as they stand
 * @param planned how it was to go; null where nobody planned it
 * @param kill    the table of the house: its reference temperature and z, °C and K
 * @param now     instant
 * @returns null where nothing that counts was read of it
 */
export function lotWay(
	watches: readonly WatchNow[],
	planned: PlannedWay | null,
	kill: { readonly ref_C: number; readonly z_C: number },
	now: number,
): LotWay | null {
	const read = watches.filter(({ counted }) => counted.length > 0).sort((a, b) => a.entry.at - b.entry.at);
	const [first] = read;
	if (!first) return null;
	const lift = Math.min(...read.map(({ entry }) => entry.doc.clockFrom));
	const before = untilLift(planned, lift);
	const series = before.planned.map(({ at, coldest_C }): Read => [at / MINUTE_MS, coldest_C]);
	const rootOf = rootsOf(watches);
	const tags = [...new Set(read.map(({ entry: { doc } }) => rootOf(doc.tag)))];
	return {
		stages: [...before.stages, ...stagesRead(read, lift, now)],
		planned: before.planned,
		pans: tags.map((tag) => {
			const own = read.filter(({ entry: { doc } }) => rootOf(doc.tag) === tag).map(pointsOf);
			const whole = [...series, ...own.flat().map(([at, C]): Read => [at / MINUTE_MS, C])].sort(
				(a, b) => a[0] - b[0],
			);
			return {
				tag,
				read: own,
				growth: growthAlong(whole),
				lethality_min: equivalentMinutes({ ...kill, series: whole }),
			};
		}),
	};
}

/** Minutes and °C. */
type Read = [minute: number, C: number];

/** The pan of a lot in which most may grow. */
export function worstPan({ pans }: LotWay): PanWay | undefined {
	return maxBy([...pans], ({ growth }) => growth.high);
}

function pointsOf({ entry, counted }: WatchNow): (readonly [number, number])[] {
	return counted.map(([minute, C]) => [entry.at + minute * MINUTE_MS, C] as const);
}

/** The pan that a tag began as: what goes on in another way, or spread, has a tag of its own. */
function rootsOf(watches: readonly WatchNow[]): (tag: string) => string {
	const byNumber = new Map(watches.map(({ entry: { doc } }) => [doc.watch, doc]));
	const before = new Map<string, string>();
	for (const { entry } of watches) {
		const from = entry.doc.continues === null ? undefined : byNumber.get(entry.doc.continues);
		if (from && from.tag !== entry.doc.tag) before.set(entry.doc.tag, from.tag);
	}
	return (tag) => {
		let root = tag;
		for (let next = before.get(root); next !== undefined; next = before.get(root)) root = next;
		return root;
	};
}

/** The plan as far as the lift, moved so that it ends when the pans were lifted. */
function untilLift(planned: PlannedWay | null, lift: number): Pick<LotWay, "stages" | "planned"> {
	const heat = planned?.stages.findLast(({ kind }) => kind === "heat");
	const [first] = planned?.stages ?? [];
	if (!planned || !heat || !first) return { stages: [], planned: [] };
	const moved_ms = lift - heat.to;
	const stages = planned.stages
		.filter(({ to }) => to <= heat.to)
		.map(({ kind, from, to }) => ({ kind, from: from + moved_ms, to: to + moved_ms }));
	return {
		stages,
		planned: planned.course.flatMap(({ minute, coldest_C, warmest_C }) => {
			const at = first.from + moved_ms + minute * MINUTE_MS;
			return at <= lift ? [{ at, coldest_C, warmest_C }] : [];
		}),
	};
}

/** What was watched, course by course, with the time between them. */
function stagesRead(read: readonly WatchNow[], lift: number, now: number): StageSpan[] {
	let until = lift;
	return spansOf(read, now).flatMap((span, index) => {
		const from = Math.max(until, span.from);
		const waits: StageSpan = { kind: index === 0 ? "stand" : "store", from: until, to: from };
		const watched: StageSpan = { ...span, from };
		until = Math.max(until, span.to);
		return [waits, watched].filter((stage) => stage.to > stage.from);
	});
}

/** From when to when each course was watched, of whatever pan. */
function spansOf(read: readonly WatchNow[], now: number): StageSpan[] {
	const spans: StageSpan[] = [];
	for (const { entry, endedAt } of read) {
		const span: StageSpan = { kind: KIND_OF[entry.doc.course], from: entry.at, to: endedAt ?? now };
		const last = spans.at(-1);
		if (last?.kind === span.kind && span.from <= last.to)
			spans[spans.length - 1] = { ...last, to: Math.max(last.to, span.to) };
		else spans.push(span);
	}
	return spans;
}
