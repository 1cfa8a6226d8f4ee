import { groupBy, maxBy, minBy, sortBy } from "es-toolkit";
import { data } from "react-router";
import { journeyOf } from "#core/dish";
import {
	type LotNow,
	type LotWay,
	lotNow,
	lotWay,
	type WatchNow,
	watchesAsked,
	watchesNow,
	worstPan,
} from "#core/records";
import { KILL_TABLES } from "#core/safety";
import { durationWords, MINUTE_MS, wallClock } from "#core/time";
import type { LimitStanding } from "#core/watch";
import { codeIn, readHouseCodes, readLots, readPoints } from "#db";
import { dishOnPaper } from "../papers/dishOnPaper.ts";
import { axisOf, drawnBy, growthRange, type JourneyView, STAGE_WORDS } from "../places/journey.view.ts";
import type { JourneyDrawing } from "../ui/drawings/JourneyCurve.tsx";
import type { HouseVisit } from "../ui/server/visit.ts";
import type { Reading } from "../ui/words/reading.ts";
import { COURSE_WORDS, limitWords } from "./watch.view.ts";

/** The whole way of a lot in one picture: as it was planned until its lift, from then on as it was read. */
export interface LotWayView {
	readonly lot: number;
	readonly dish: string;
	/** Null where nothing that counts was read of it. */
	readonly way:
		| (Omit<JourneyView, "limits"> & {
				readonly limits: readonly {
					readonly mark: string;
					readonly words: string;
					readonly isWell: boolean;
				}[];
				/** Which pan had the least heat; empty where nobody knows what it had before the lift. */
				readonly killed: string;
				/** How far it is planned, and how far it was read. */
				readonly planned: string;
		  })
		| null;
}

export async function lotWayPage(visit: HouseVisit, { lot }: { readonly lot: number }): Promise<LotWayView> {
	const { store, reading, house } = visit;
	const entries = await readLots(store.db, [lot]);
	const now = lotNow(entries, (at) => wallClock(at, house.timeZone).date);
	if (!now) throw data({ missing: "lot" }, { status: 404 });
	const [read, planned, codes] = await Promise.all([
		readPoints(store.db, watchesAsked(entries)),
		plannedOf(visit, now.doc),
		readHouseCodes(store.db),
	]);
	const kill = KILL_TABLES[codeIn(codes, house.houseCode).kill];
	const watches = watchesNow(entries, read, reading.now);
	const way = lotWay(watches, planned, kill, reading.now);
	return { lot, dish: now.doc.dish, way: way && viewOf(way, watches, reading, kill) };
}

/** How its dish is planned to go; null where nobody planned it, or the dish is there no more. */
async function plannedOf(visit: HouseVisit, { sittingId, dishId }: LotNow["doc"]): Promise<Planned | null> {
	if (!sittingId || !dishId) return null;
	const onPaper = await dishOnPaper(visit, { sittingId, dishId }).catch((error: unknown) => {
		if (isNotFound(error)) return null;
		throw error;
	});
	const plan = onPaper?.row.plan;
	return plan ? journeyOf(plan, onPaper.kitchen.policy) : null;
}

type Planned = NonNullable<ReturnType<typeof journeyOf>>;

function isNotFound(error: unknown): boolean {
	return ((error ?? {}) as { init?: { status?: unknown } }).init?.status === 404;
}

function viewOf(
	way: LotWay,
	watches: readonly WatchNow[],
	reading: Reading,
	kill: KillTable,
): LotWayView["way"] {
	const limits = worstLimits(watches).map((limit, index) => ({ ...limit, mark: String(index + 1) }));
	const worst = worstPan(way);
	return {
		drawing: drawingOf(way, limits, reading),
		limits: limits.map(({ mark, now, limit }) => ({
			mark,
			words: `${COURSE_WORDS[now.entry.doc.course].name}, pan ${now.entry.doc.tag}, ${limitWords(limit, now, reading)}`,
			isWell: limit.verdict === "met" || limit.verdict === "onCourse",
		})),
		growth: worst
			? `From the bench to its last reading the usual spore-former likely grew ${growthRange(worst.growth)} in pan ${worst.tag}. A warning only.`
			: "",
		// What was only cooled and kept tells nothing of the heat that it had before.
		killed: way.planned.length > 0 ? leastKilled(way, reading, kill) : "",
		planned:
			way.planned.length > 0
				? "Up to the lift as it is planned; from the lift on as it was read."
				: "As it was read; nobody planned it.",
	};
}

type KillTable = (typeof KILL_TABLES)[keyof typeof KILL_TABLES];

/** "Pan A2 had the least heat: as much as 9 h at 70 °C." */
function leastKilled({ pans }: LotWay, { temperature }: Reading, { ref_C }: KillTable): string {
	const least = minBy([...pans], ({ lethality_min }) => lethality_min);
	if (!least) return "";
	const minutes = Math.floor(least.lethality_min);
	return `Pan ${least.tag} had the least heat: as much as ${durationWords(Math.min(minutes, MOST_TOLD_MIN))}${minutes > MOST_TOLD_MIN ? " and more" : ""} at ${temperature(ref_C)}.`;
}

/** Nobody asks for more, minutes. */
const MOST_TOLD_MIN = 600;

interface WorstLimit {
	readonly now: WatchNow;
	readonly limit: LimitStanding;
}

const BADNESS = ["met", "onCourse", "tight", "open", "late", "notKnown", "missed"] as const;

/** Of each limit the pan that stands worst to it, in the order of their time. */
function worstLimits(watches: readonly WatchNow[]): WorstLimit[] {
	const all = watches.flatMap((now) => now.standing.map((limit): WorstLimit => ({ now, limit })));
	const byLimit = groupBy(all, ({ now, limit: { C } }) => `${now.entry.doc.course} ${C}`);
	return sortBy(
		Object.values(byLimit).flatMap(
			(same) =>
				maxBy(
					same,
					({ limit: { verdict, at_min } }) => BADNESS.indexOf(verdict) * LATE_MIN + (at_min ?? 0),
				) ?? [],
		),
		[({ now }) => now.entry.at, ({ limit }) => limit.within_min ?? 0],
	);
}

/** Longer than this no watch goes on: worse is worse, however early. */
const LATE_MIN = 100_000;

function drawingOf(
	{ stages, planned, pans }: LotWay,
	limits: readonly (WorstLimit & { readonly mark: string })[],
	reading: Reading,
): JourneyDrawing {
	const drawn = drawnBy(stages);
	const end_min = drawn(stages.at(-1)?.to ?? 0);
	return {
		...axisOf(reading),
		band: thinned(planned).map(({ at, coldest_C, warmest_C }) => ({
			...{ minute: drawn(at), low_C: coldest_C, high_C: warmest_C },
		})),
		read: pans.flatMap(({ read }) =>
			read.map((points) => thinned(points).map(([at, C]) => [drawn(at), C] as const)),
		),
		stages: stages.map(({ kind, from, to }) => ({
			words: STAGE_WORDS[kind],
			clock: reading.time(from),
			from_min: drawn(from),
			to_min: drawn(to),
		})),
		limits: limits.map(({ now, limit: { C, by_min, at_min, verdict }, mark }) => ({
			minute: Math.min(end_min, drawn(now.entry.at + (by_min ?? at_min ?? 0) * MINUTE_MS)),
			...{ C, mark, isMet: verdict === "met" },
		})),
		end_min,
		words: `From the bench to the plate: ${stages.map(({ kind, from }) => `${STAGE_WORDS[kind]} ${reading.clock(from)}`).join(", ")}.`,
	};
}

/** So many points of a line are drawn at the most. */
const MOST_POINTS = 200;

function thinned<Point>(points: readonly Point[]): Point[] {
	const every = Math.max(1, Math.ceil(points.length / MOST_POINTS));
	return points.filter((_, index) => index % every === 0 || index === points.length - 1);
}
