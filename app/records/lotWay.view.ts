import { groupBy, minBy, orderBy, sortBy } from "es-toolkit";
import { data } from "react-router";
import { type DishJourney, journeyOf } from "#core/dish";
import { type LotNow, type LotWay, lotWay, type WatchNow, worstPan } from "#core/records";
import { KILL_TABLES } from "#core/safety";
import { durationWords, MINUTE_MS } from "#core/time";
import type { LimitStanding } from "#core/watch";
import { codeIn, readHouseCodes } from "#db";
import { dishOnPaper } from "../papers/dishOnPaper.ts";
import { growthRange, type JourneyView } from "../places/journey.view.ts";
import { type JourneyDrawn, journeyDrawing } from "../places/journeyDrawing.ts";
import { lotsNow } from "../ui/server/lotsNow.ts";
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
	const [read] = await lotsNow(store.db, [lot], { ...house, now: reading.now });
	if (!read) throw data({ missing: "lot" }, { status: 404 });
	const { now, watches } = read;
	const [planned, codes] = await Promise.all([plannedOf(visit, now.doc), readHouseCodes(store.db)]);
	const kill = KILL_TABLES[codeIn(codes, house.houseCode).kill];
	const way = lotWay(watches, planned, kill, reading.now);
	return { lot, dish: now.doc.dish, way: way && viewOf(way, watches, reading, kill) };
}

/** How its dish is planned to go; null where nobody planned it, or the dish is there no more. */
async function plannedOf(
	visit: HouseVisit,
	{ sittingId, dishId }: LotNow["doc"],
): Promise<DishJourney | null> {
	if (!sittingId || !dishId) return null;
	const onPaper = await dishOnPaper(visit, { sittingId, dishId }).catch((error: unknown) => {
		if (isNotFound(error)) return null;
		throw error;
	});
	const plan = onPaper?.row.plan;
	return plan ? journeyOf(plan, onPaper.kitchen.policy) : null;
}

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
		drawing: journeyDrawing(drawnOf(way, limits), reading),
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

/** From well to ill. */
const BADNESS = ["met", "onCourse", "tight", "open", "late", "notKnown", "missed"] as const;

const badnessOf = ({ limit }: WorstLimit) => BADNESS.indexOf(limit.verdict);

/** Of each limit the pan that stands worst to it, in the order of their time. */
function worstLimits(watches: readonly WatchNow[]): WorstLimit[] {
	const all = watches.flatMap((now) => now.standing.map((limit): WorstLimit => ({ now, limit })));
	const byLimit = groupBy(all, ({ now, limit: { C } }) => `${now.entry.doc.course} ${C}`);
	return sortBy(
		Object.values(byLimit).flatMap((same) =>
			orderBy(same, [badnessOf, ({ limit }) => limit.at_min ?? 0], ["desc", "desc"]).slice(0, 1),
		),
		[({ now }) => now.entry.at, ({ limit }) => limit.within_min ?? 0],
	);
}

function drawnOf(
	{ stages, planned, pans }: LotWay,
	limits: readonly (WorstLimit & { readonly mark: string })[],
): JourneyDrawn {
	return {
		stages,
		band: planned,
		read: pans.flatMap(({ read }) => read),
		limits: limits.map(({ now, limit: { C, by_min, at_min, verdict }, mark }) => ({
			at: now.entry.at + (by_min ?? at_min ?? 0) * MINUTE_MS,
			...{ C, mark, isMet: verdict === "met" },
		})),
	};
}
