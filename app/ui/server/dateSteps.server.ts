import { LRUCache } from "lru-cache";
import {
	changesIn,
	chillsIn,
	type DayChange,
	type DayGiven,
	type HeldUse,
	markOf,
	placeDay,
	type Remedy,
	restoredDay,
	type SolverSettings,
	type WorkedDay,
	withBorrowed,
	withRoom,
} from "#core/day";
import type { ToldChange } from "#db";
import { type DateFacts, type Holding, REACH_DAYS } from "./holds.server.ts";
import { inCodeOf, type SittingNeeds, sittingNeeds } from "./needs.server.ts";

/** A date that is to be placed. */
export interface DateAsked {
	readonly holding: Holding;
	readonly facts: DateFacts;
	/** Uses of dates before, see {@link heldIn}. */
	readonly held: readonly HeldUse[];
}

/** Steps that were made before, by all that they were made from. */
export type DateSteps = LRUCache<string, DateStep>;

const MOST_STEPS = 96;

export function newDateSteps(): DateSteps {
	return new LRUCache<string, DateStep>({ max: MOST_STEPS });
}

/** What was told of a date at one moment. */
type Tell = Pick<ToldChange, "at" | "change">;

/** A date as it stands once something was told, and what it was placed from. */
export interface DateStep {
	readonly day: WorkedDay;
	readonly given: DayGiven;
	readonly needs: readonly SittingNeeds[];
	/** All that was told up to then. */
	readonly tells: readonly Tell[];
	readonly asIssued: boolean;
}

/** A date as it stands after all that was told of it. */
export function stepOf(kept: DateSteps, asked: DateAsked): DateStep {
	const { tells, issue } = asked.facts;
	const since = tells.filter(({ at }) => issue === null || at > issue.at);
	const moments = [...new Set(since.map(({ at }) => at))].sort((a, b) => a - b);
	return moments.reduce(
		(step, at) => placedAgain(kept, asked, step, { at, news: since.filter((one) => one.at === at) }),
		asIssuedOrPlaced(kept, asked),
	);
}

/** A date before anything was told of it since it was issued; where it was not, before anything was. */
function asIssuedOrPlaced(kept: DateSteps, asked: DateAsked): DateStep {
	const { holding, facts, held } = asked;
	const { issue } = facts;
	const tells = facts.tells.filter(({ at }) => issue !== null && at <= issue.at);
	return onceKept(kept, asked, tells, (from) => {
		const stands =
			issue?.doc.made === madeFrom(holding.stamp, facts) ? restoredDay(issue.doc.day, from.given) : null;
		const before = issue ? { before: issue.doc.day, now: issue.at } : {};
		const day = stands ?? placeDay({ ...from.given, held, ...before });
		return { ...from, day, asIssued: stands !== null };
	});
}

interface Moment {
	readonly at: number;
	readonly news: readonly Tell[];
}

/** A date placed once more for what was told of it at a moment, kept for whoever asks the same again. */
function placedAgain(kept: DateSteps, asked: DateAsked, step: DateStep, moment: Moment): DateStep {
	return onceKept(kept, asked, [...step.tells, ...moment.news], (from) => ({
		...from,
		day: placedFrom(asked, step, from.given, moment),
		asIssued: false,
	}));
}

/** The same for remedies, once: what nobody lends is thought to be there, and nothing of it is kept. */
export function remedied(
	asked: DateAsked,
	step: DateStep,
	remedies: readonly Remedy[],
	at: number,
	settings: SolverSettings,
): WorkedDay {
	const news = changesIn(remedies).map((change) => ({ at, change }));
	const { given } = startOf(asked, [...step.tells, ...news]);
	return placedFrom(asked, step, withRoom(given, remedies), { at, news }, settings);
}

/** What had begun by a moment stays; in another order all that has not begun is placed anew. */
function placedFrom(
	{ held }: DateAsked,
	{ day }: DateStep,
	given: DayGiven,
	{ at, news }: Moment,
	settings?: SolverSettings,
): WorkedDay {
	const isOrdered = news.some(({ change }) => change.kind === "order");
	const before = isOrdered ? { tasks: day.tasks.filter(({ start }) => start <= at) } : day;
	return placeDay({ ...given, held, before, now: at }, settings);
}

/** A step that was made before, as long as all that it was made from is the same. */
function onceKept(
	kept: DateSteps,
	asked: DateAsked,
	tells: readonly Tell[],
	make: (from: Omit<DateStep, "day" | "asIssued">) => DateStep,
): DateStep {
	const { holding, facts, held } = asked;
	const key = markOf([holding.stamp, factsKey({ ...facts, tells }), held]);
	const found = kept.get(key);
	if (found) return found;
	const made = make(startOf(asked, tells));
	kept.set(key, made);
	return made;
}

/** What a date is placed from once something was told of it. */
export function startOf({ holding, facts }: DateAsked, tells: readonly Tell[] = facts.tells) {
	return {
		...givenOf(
			holding,
			facts,
			tells.map(({ change }) => change),
		),
		tells,
	};
}

function givenOf(
	{ kitchen, codes, cooks, places, stamp }: Holding,
	{ sittings }: DateFacts,
	changes: readonly DayChange[],
): { given: DayGiven; needs: readonly SittingNeeds[] } {
	const needs = sittings.map(({ sitting, dishes }) =>
		sittingNeeds({ sitting, dishes, kitchen: inCodeOf(kitchen, sitting, codes), changes, stamp }),
	);
	const given: DayGiven = {
		kitchen: withBorrowed(kitchen, changes),
		cooks,
		places,
		sittings: needs.map(({ sitting, dishes }) => ({
			id: sitting.id,
			name: sitting.name,
			serviceAt: sitting.serviceAt,
			hands: sitting.hands,
			dishes: dishes.flatMap(({ needs: asked }) => ("needs" in asked ? [asked.needs] : [])),
		})),
		changes,
	};
	return { given, needs };
}

/** What of a date decides how it is placed. */
type DatePlaced = Omit<DateFacts, "told" | "tells"> & { readonly tells: readonly Tell[] };

export function factsKey({ date, sittings, tells, issue }: DatePlaced) {
	return [
		date,
		sittings.map(({ sitting: { name: _, room: __, note: ___, version: ____, ...facts }, dishes }) => [
			facts,
			dishes.map(({ recipe }) => recipe),
		]),
		tells.map(({ change, at }) => [change, at]),
		issue?.number ?? null,
	];
}

const REACH_MS = REACH_DAYS * 86_400_000;

/** Uses of dates before that may still be going on while anything of this one is done. */
export function heldIn(before: readonly { readonly day: WorkedDay }[], { sittings }: DateFacts): HeldUse[] {
	const from = Math.min(...sittings.map(({ sitting }) => sitting.serviceAt)) - REACH_MS;
	return before
		.flatMap(({ day }) => {
			const cooled = chillsIn(day, day.dishes);
			return day.tasks.flatMap((task) =>
				task.uses.map((use): HeldUse => {
					const load = cooled.find(
						({ of, chiller, from: starts }) =>
							of === task.for && chiller === use.equipment && starts === use.from,
					)?.load;
					return load ? { ...use, cooled: load } : use;
				}),
			);
		})
		.filter(({ to }) => to > from);
}

/** What a date is issued from: while nothing of it has changed, the day is what was issued. */
export function madeFrom(stamp: string, { tells, issue, ...facts }: DateFacts, at = issue?.at ?? 0): string {
	const known = tells.filter((one) => one.at <= at);
	return markOf([stamp, factsKey({ ...facts, tells: known, issue: null })]);
}
