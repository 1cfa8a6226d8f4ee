import { refuse } from "#core/check";
import {
	type Action,
	actionsFor,
	type DocOf,
	isUsedUp,
	type NotDone,
	ofKind,
	type PanNow,
	type WatchNow,
	whyNot,
} from "#core/records";
import { type NewEntry, readSitting } from "#db";
import { passportWords } from "../ui/words/passportWords.ts";
import { type Doing, isOpen, openWatches, readOf } from "./lotDoing.ts";

/** The pans that are meant: one by its tag, or all that is left. */
export function pansMeant(pans: readonly PanNow[], tag: string): readonly PanNow[] {
	const meant = pans.filter((pan) => (tag === "" ? !isUsedUp(pan) : pan.tag === tag));
	if (meant.length > 0) return meant;
	throw refuse("tag", tag === "" ? "nothing of this lot is left" : "is no pan of this lot");
}

const NOT_DONE: Readonly<Record<NotDone, string>> = {
	usedUp: "is used up already",
	frozenBefore: "was frozen before; thawed food is not frozen again",
	neverFrozen: "is not frozen; only frozen food is thawed",
};

/** Longer than a word: somebody says why. */
const LEAST_REASON = 3;

/**
 * Food is frozen in date and after a cooling that was met; served where its passport lets it. What was
 * served all the same is written down with the reason why.
 */
export function refuseStage(
	doing: Doing,
	pans: readonly PanNow[],
	stage: DocOf<"stage">["stage"],
	note: string,
): void {
	for (const pan of pans) {
		const why = whyNot(pan, stage);
		if (why !== null) throw refuse("stage", `pan ${pan.tag} ${NOT_DONE[why]}`);
		if (stage !== "frozen" && stage !== "served") continue;
		const passport = readOf(doing).passports.find(({ tag }) => tag === pan.tag);
		if (!passport || passport.release === "released") continue;
		const says = passportWords(passport, doing.visit.reading);
		if (stage === "frozen") throw refuse("stage", `pan ${pan.tag}: ${says}; only what is released is frozen`);
		if (note.trim().length < LEAST_REASON)
			throw refuse("note", `pan ${pan.tag}: ${says}. If it was served all the same, say why`);
	}
}

/** The sitting that it was served at: its own, unless another is named. */
export async function servedAt(
	{ visit }: Doing,
	id: string,
	own: DocOf<"lot">,
): Promise<Pick<DocOf<"stage">, "sittingId" | "sitting">> {
	if (id === "" || id === own.sittingId) return { sittingId: own.sittingId, sitting: own.sitting };
	const sitting = await readSitting(visit.store.db, id).catch(() => null);
	if (!sitting) throw refuse("sitting", "is no sitting of this house; one from the list is allowed");
	return { sittingId: id, sitting: sitting.name };
}

/** What is thrown away leaves its watch, and stands among the actions. */
export function thrownAway(
	{ entries, lot }: Doing,
	pans: readonly PanNow[],
	at: number,
	note: string,
): NewEntry[] {
	const open = openWatches(entries);
	return pans.flatMap(({ tag }): NewEntry[] => {
		const last = ofKind(entries, "watch").findLast(({ doc }) => doc.tag === tag);
		const watch = last?.doc.watch ?? null;
		return [
			{ at, doc: { kind: "action", watch, lot, action: "discarded", note } },
			...open
				.filter(({ doc }) => doc.tag === tag)
				.map(({ doc }): NewEntry => ({ at, doc: { kind: "ended", watch: doc.watch, lot } })),
		];
	});
}

/** A watch of this lot as it stands. */
export function nowOf(doing: Doing, number: number): WatchNow {
	const now = doing.read?.watches.find(({ entry }) => entry.doc.watch === number);
	if (!now) throw refuse("watch", "is nothing that is watched");
	return now;
}

/** @throws {Refusal} where the action is not among those that are allowed for such a pan */
export function refuseDecision(doing: Doing, now: WatchNow, action: Action): void {
	const { tag } = now.entry.doc;
	const pan = readOf(doing).now.pans.find(({ tags }) => tags.includes(tag));
	const allowed = actionsFor(now, pan?.cooling ?? { again: false });
	if (allowed.includes(action)) return;
	const isMissed = now.entry.doc.course === "cool" && now.outcome === "missed";
	if (!isMissed) throw refuse("action", "is for food that cooled too slowly, and this did not");
	const ways = allowed.includes("reheated")
		? "heating it through at once and cooling it again, or throwing it away"
		: "it was cooled again once already; throwing it away";
	throw refuse("action", `pan ${tag} cooled too slowly; ${ways} is allowed`);
}

/** It is watched while it is heated through. */
export function heatedThrough(
	doing: Doing,
	{ entry: { doc } }: WatchNow,
	action: Action,
	at: number,
): NewEntry[] {
	if (action !== "reheated") return [];
	const { lot, entries, watch } = doing;
	return [
		...(isOpen(entries, doc.watch) ? [{ at, doc: { kind: "ended" as const, watch: doc.watch, lot } }] : []),
		{
			at,
			doc: {
				...{ kind: "watch", watch, lot, tag: doc.tag, course: "reheat", probe: null, code: doc.code },
				...{ cooling: null, clockFrom: at, continues: null },
			},
		},
	];
}
