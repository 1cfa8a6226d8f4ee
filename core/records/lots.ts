import type { Life } from "../safety/index.ts";
import { daysBetween, laterDay } from "../time/index.ts";
import { type DocOf, type LotPan, ofKind, type RecordEntry, type Stage } from "./entries.ts";
import { type CoolingOfPan, coolingOf } from "./panCooling.ts";
import { asItStands } from "./standing.ts";
import type { WatchNow } from "./watches.ts";

/** Days that food keeps by the house's own rule, the first day counted. */
export interface Keeps {
	readonly chilled_days: number;
	readonly frozen_days: number;
	readonly opened_days: number;
	/** After the night in which it thaws; as once it is opened where it is absent. */
	readonly thawed_days?: number;
}

/** As is usual in cook-chill; a house sets its own. The local authority decides. */
export const USUAL_KEEPS: Keeps = { chilled_days: 5, frozen_days: 90, opened_days: 1 };

/** How long a lot keeps: as the house wants, and never longer than its code allows. */
export function keepsBy(house: Keeps, life: Life): Required<Keeps> {
	return {
		chilled_days: Math.min(house.chilled_days, life.chilled_days),
		frozen_days: Math.min(house.frozen_days, life.frozen_days),
		opened_days: Math.min(house.opened_days, life.opened_days),
		thawed_days: Math.min(house.thawed_days ?? house.opened_days, life.thawed_days),
	};
}

export type PanState = "chilled" | Exclude<Stage, "moved">;

/** One pan of a lot as it is now. */
export interface PanNow extends LotPan {
	/** Its tag, and those of the pans that it was spread out of. */
	readonly tags: readonly string[];
	readonly place: string;
	readonly state: PanState;
	/** Last day on which it is used; null where it is used up. */
	readonly useBy: string | null;
	/** When its state was last changed. */
	readonly since: number;
	/** Days after that day that were left when it was frozen, 0 on its last; null where it never was. */
	readonly frozenWith_days: number | null;
	readonly cooling: CoolingOfPan;
}

/** A lot as it is now: what was written of it, folded. */
export interface LotNow {
	readonly lot: number;
	readonly at: number;
	readonly who: string;
	readonly doc: DocOf<"lot">;
	readonly pans: readonly PanNow[];
	/** The first use-by of what is left; null where nothing is. */
	readonly useBy: string | null;
}

/** A moment at which something of a lot changed. */
type Changed = RecordEntry<"spread" | "stage" | "dated" | "watch">;

/**
 * A lot as it is now. A use-by only falls, but for two things: food that is frozen in date, once, after
 * a cooling that was met; and a date that was wrong, with a reason, by whoever signs for it.
 *
 * @param entries all that was written of it, in order
 * @param watches of it, as they stand
 * @param dayOf   the day of the house's calendar of a moment
 * @returns null where none of them is the lot itself
 * @see model, section H
 */
export function lotNow(
	entries: readonly RecordEntry[],
	watches: readonly WatchNow[],
	dayOf: (at: number) => string,
): LotNow | null {
	const counted = asItStands(entries);
	const [made] = ofKind(counted, "lot");
	if (!made) return null;
	const { doc } = made;
	const changes: Changed[] = [
		...ofKind(counted, "spread"),
		...ofKind(counted, "stage"),
		...ofKind(counted, "dated"),
		...watches.filter(isReheatedForUse).map(({ entry }) => entry),
	].sort((a, b) => a.at - b.at || a.number - b.number);
	const keeps_days = laterDay(doc.made, doc.keeps.chilled_days - 1);
	const useBy = doc.notAfter && doc.notAfter < keeps_days ? doc.notAfter : keeps_days;
	let pans = doc.pans.map(
		(pan): PanNow => ({
			...{ ...pan, tags: [pan.tag], place: doc.place, state: "chilled", since: made.at, useBy },
			...{ frozenWith_days: null, cooling: coolingOf([pan.tag], watches) },
		}),
	);
	for (const change of changes) {
		pans =
			change.doc.kind === "spread"
				? spreadOut(pans, change.doc, watches)
				: pans.map((pan) => changed(pan, change, doc.keeps, dayOf(change.at)));
	}
	const left = pans.flatMap((pan) => pan.useBy ?? []).sort();
	return { lot: doc.lot, at: made.at, who: made.who, doc, pans, useBy: left[0] ?? null };
}

/** What is made hot again is eaten that day; but for what is only cooled once more because it was too slow. */
function isReheatedForUse({ entry }: WatchNow, _: number, all: readonly WatchNow[]): boolean {
	const { course, tag } = entry.doc;
	if (course !== "reheat") return false;
	const cooled = all.filter(
		(other) => other.entry.doc.course === "cool" && tag.startsWith(other.entry.doc.tag),
	);
	const signed = cooled.flatMap(({ actions }) => actions.filter(({ doc }) => doc.action === "reheated"));
	const isOnceMore = signed.some(
		({ at }) => at <= entry.at && !cooled.some((other) => other.entry.at > at && other.entry.at <= entry.at),
	);
	return !isOnceMore;
}

/** The tags of the pans over which one is spread: "A1" gives "A1a", "A1b". */
export function tagsOfSpread(tag: string, parts: number): string[] {
	return Array.from({ length: parts }, (_, index) => tag + String.fromCharCode(97 + index));
}

function spreadOut(
	pans: readonly PanNow[],
	{ tag, parts, depth_mm }: DocOf<"spread">,
	watches: readonly WatchNow[],
): PanNow[] {
	return pans.flatMap((pan) => {
		if (pan.tag !== tag || isUsedUp(pan)) return [pan];
		return tagsOfSpread(tag, parts).map((part): PanNow => {
			const tags = [part, ...pan.tags];
			return {
				...{ ...pan, tag: part, tags, depth_mm, kg: pan.kg / parts },
				cooling: coolingOf(tags, watches),
			};
		});
	});
}

function changed(pan: PanNow, { at, doc }: Changed, keeps: Keeps, day: string): PanNow {
	const tags = "tags" in doc ? doc.tags : [doc.tag];
	const isMeant = tags.length === 0 || pan.tags.some((tag) => tags.includes(tag));
	if (!isMeant || isUsedUp(pan)) return pan;
	switch (doc.kind) {
		case "dated":
			return { ...pan, useBy: doc.useBy };
		case "watch":
			return { ...pan, useBy: earlier(pan.useBy, day) };
		case "stage":
			return staged({ ...pan, place: doc.place || pan.place }, doc.stage, at, keeps, day);
		default:
			return pan;
	}
}

function staged(pan: PanNow, stage: Stage, at: number, keeps: Keeps, day: string): PanNow {
	if (stage === "moved" || whyNot(pan, stage) !== null) return pan;
	const now = { ...pan, state: stage, since: at };
	switch (stage) {
		case "frozen": {
			// What is frozen past its day, or was not cooled in time, is no longer good for it.
			const isExtended = pan.useBy !== null && day <= pan.useBy && pan.cooling.stands === "met";
			const left_days = pan.useBy === null ? 0 : Math.max(0, daysBetween(day, pan.useBy));
			const useBy = isExtended ? laterDay(day, keeps.frozen_days - 1) : pan.useBy;
			return { ...now, frozenWith_days: left_days, useBy };
		}
		case "thawing": {
			const { thawed_days = keeps.opened_days } = keeps;
			// It thaws over a night, which is not one of its days.
			const left_days = Math.min(thawed_days, pan.frozenWith_days ?? 0);
			return { ...now, useBy: earlier(pan.useBy, laterDay(day, left_days)) };
		}
		case "opened":
			return { ...now, useBy: earlier(pan.useBy, laterDay(day, keeps.opened_days - 1)) };
		default:
			return { ...now, useBy: null };
	}
}

/** Why something can not be done with a pan; null where it can. */
export type NotDone = "usedUp" | "frozenBefore" | "neverFrozen";

export function whyNot(pan: Pick<PanNow, "state" | "frozenWith_days">, stage: Stage): NotDone | null {
	if (isUsedUp(pan)) return "usedUp";
	if (stage === "frozen" && pan.frozenWith_days !== null) return "frozenBefore";
	if (stage === "thawing" && pan.state !== "frozen") return "neverFrozen";
	return null;
}

function earlier(one: string | null, other: string): string {
	return one !== null && one < other ? one : other;
}

export function isUsedUp({ state }: Pick<PanNow, "state">): boolean {
	return state === "served" || state === "discarded";
}
