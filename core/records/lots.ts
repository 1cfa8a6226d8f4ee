import { laterDay } from "../time/index.ts";
import { type DocOf, type LotPan, ofKind, type RecordEntry, type Stage } from "./entries.ts";

/** Days that food keeps by the house's own rule, the first day counted. */
export interface Keeps {
	readonly chilled_days: number;
	readonly frozen_days: number;
	readonly opened_days: number;
}

/** As is usual in cook-chill; a house sets its own. The local authority decides. */
export const USUAL_KEEPS: Keeps = { chilled_days: 5, frozen_days: 90, opened_days: 1 };

export type PanState = "chilled" | Exclude<Stage, "moved">;

/** One pan of a lot as it is now. */
export interface PanNow extends LotPan {
	readonly place: string;
	readonly state: PanState;
	/** Last day on which it is used; null where it is used up. */
	readonly useBy: string | null;
	/** When its state was last changed. */
	readonly since: number;
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

/**
 * A lot as it is now.
 *
 * @param entries all that was written of it, in order
 * @param dayOf   the day of the house's calendar of a moment
 * @returns null where none of them is the lot itself
 */
export function lotNow(entries: readonly RecordEntry[], dayOf: (at: number) => string): LotNow | null {
	const counted = withoutStruck(entries);
	const [made] = ofKind(counted, "lot");
	if (!made) return null;
	const { doc } = made;
	const changes = [...ofKind(counted, "spread"), ...ofKind(counted, "stage")].sort(
		(a, b) => a.at - b.at || a.number - b.number,
	);
	let pans = doc.pans.map((pan): PanNow => {
		const useBy = laterDay(doc.made, doc.keeps.chilled_days - 1);
		return { ...pan, place: doc.place, state: "chilled", since: made.at, useBy };
	});
	for (const entry of changes) {
		pans =
			entry.doc.kind === "spread"
				? spreadOut(pans, entry.doc)
				: pans.map((pan) => staged(pan, entry as RecordEntry<"stage">, doc.keeps, dayOf));
	}
	const left = pans.flatMap(({ useBy }) => useBy ?? []).sort();
	return { lot: doc.lot, at: made.at, who: made.who, doc, pans, useBy: left[0] ?? null };
}

/** What counts of a record: entries that were struck out by a correction do not. */
export function withoutStruck(entries: readonly RecordEntry[]): RecordEntry[] {
	const struck = new Set(
		ofKind(entries, "correction").flatMap(({ doc }) => (doc.of === "entry" ? [doc.number] : [])),
	);
	return entries.filter(({ number }) => !struck.has(number));
}

/** The tags of the pans over which one is spread: "A1" gives "A1a", "A1b". */
export function tagsOfSpread(tag: string, parts: number): string[] {
	return Array.from({ length: parts }, (_, index) => tag + String.fromCharCode(97 + index));
}

function spreadOut(pans: readonly PanNow[], { tag, parts, depth_mm }: DocOf<"spread">): PanNow[] {
	return pans.flatMap((pan) =>
		pan.tag === tag
			? tagsOfSpread(tag, parts).map((part) => ({ ...pan, tag: part, depth_mm, kg: pan.kg / parts }))
			: [pan],
	);
}

function staged(
	pan: PanNow,
	{ at, doc: { stage, tags, place } }: RecordEntry<"stage">,
	keeps: Keeps,
	dayOf: (at: number) => string,
): PanNow {
	if ((tags.length > 0 && !tags.includes(pan.tag)) || isUsedUp(pan)) return pan;
	const moved = { ...pan, place: place || pan.place };
	if (stage === "moved") return moved;
	return { ...moved, state: stage, since: at, useBy: lastDayAfter(stage, pan.useBy, dayOf(at), keeps) };
}

export function isUsedUp({ state }: Pick<PanNow, "state">): boolean {
	return state === "served" || state === "discarded";
}

/** The last day on which it is used, after something was done with it on a day. */
function lastDayAfter(
	stage: Exclude<Stage, "moved">,
	useBy: string | null,
	day: string,
	keeps: Keeps,
): string | null {
	switch (stage) {
		case "frozen":
			return laterDay(day, keeps.frozen_days - 1);
		case "thawing":
			// It thaws over a night, and keeps from then on like what is opened.
			return laterDay(day, keeps.opened_days);
		case "opened": {
			const opened = laterDay(day, keeps.opened_days - 1);
			return useBy !== null && useBy < opened ? useBy : opened;
		}
		default:
			return null;
	}
}
