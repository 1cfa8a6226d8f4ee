import { type Static, Type } from "@sinclair/typebox";
import { checked, oneOf, refuse } from "#core/check";
import {
	ACTIONS,
	clockOf,
	type DocOf,
	lotNow,
	ofKind,
	ProbeName,
	Read_C,
	type RecordEntry,
	STAGES,
	tagsOfSpread,
	watchesAsked,
	watchesNow,
	withoutStruck,
} from "#core/records";
import type { HouseCode } from "#core/safety";
import { wallClock } from "#core/time";
import { COURSES, type Remedy, remediesFor, usualCooling } from "#core/watch";
import {
	codeIn,
	type NewEntry,
	readHouseCodes,
	readLots,
	readPoints,
	readReadings,
	readSitting,
	writeRecord,
} from "#db";
import type { Live } from "#server";
import { readForm, type Typed } from "../ui/forms/form.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { clientIdOf } from "./clientIdOf.ts";
import { blastAir } from "./lotPage.ts";
import { momentTyped } from "./moment.ts";

const Number_ = Type.Integer({ minimum: 1, maximum: 1_000_000_000, allowed: "one from the list" });
const Note = Type.String({ maxLength: 400, allowed: "up to 400 characters", default: "" });
const Place = Type.String({ maxLength: 80, allowed: "up to 80 characters", default: "" });

const FORMS = {
	read: Type.Object({ watch: Number_, C: Type.Number({ allowed: "a temperature, such as 34.2" }) }),
	watch: Type.Object({ tag: Type.String(), course: oneOf(COURSES), probe: Type.Optional(Type.String()) }),
	probe: Type.Object({ watch: Number_, probe: Type.Optional(Type.String()) }),
	end: Type.Object({ watch: Number_ }),
	act: Type.Object({ watch: Number_, action: oneOf(ACTIONS), note: Note }),
	help: Type.Object({
		watch: Number_,
		remedy: Type.String({ pattern: "^(?:spread:[23]|iceBath:1|blast:1)$", allowed: "one from the list" }),
	}),
	correct: Type.Object({
		watch: Type.Optional(Number_),
		of: oneOf(["reading", "entry"] as const),
		number: Type.String({ pattern: "^(?:probe|[1-9]\\d{0,9})$", allowed: "one from the list" }),
		C: Type.Optional(Type.Number({ allowed: "a temperature, or nothing where it does not count" })),
		reason: Type.String({ minLength: 3, maxLength: 400, allowed: "a reason of 3 to 400 characters" }),
	}),
	stage: Type.Object({ stage: oneOf(STAGES), tag: Type.Optional(Type.String()), place: Place, note: Note }),
} as const;

type Intent = keyof typeof FORMS;
type Read<I extends Intent> = Static<(typeof FORMS)[I]>;

interface Given {
	readonly visit: HouseVisit;
	readonly live: Live;
	readonly lot: number;
	readonly typed: Typed;
}

/**
 * Writes what was typed on the page of a lot.
 *
 * @returns what is wrong with it, or null
 * @throws {Refusal} naming the field that does not hold
 */
export async function writeOnLot(given: Given, form: FormData) {
	const intent = (Object.keys(FORMS) as Intent[]).find((one) => one === given.typed.intent);
	if (!intent) throw refuse("intent", "is nothing that can be done here");
	const read = readForm(FORMS[intent], form);
	if ("wrong" in read) return read;
	if (intent === "read") await keepReading(given, read.value as Read<"read">);
	else
		await write(given, (entries, watch) => DOES[intent]({ ...given, entries, watch }, read.value as never));
	return null;
}

interface Doing extends Given {
	readonly entries: readonly RecordEntry[];
	readonly watch: number;
}

/** @see momentTyped */
function moment({ visit, typed }: Given, least: number): number {
	return momentTyped(typed, visit.house.timeZone, Date.now(), least);
}

async function write(
	given: Given,
	entriesOf: (entries: readonly RecordEntry[], watch: number) => Promise<readonly NewEntry[]>,
): Promise<void> {
	const { visit, lot, typed } = given;
	await writeRecord(visit.store, visit.who, clientIdOf(typed), async (next, tx) => {
		const entries = await readLots(tx, [lot]);
		if (ofKind(entries, "lot").length === 0) throw refuse("lot", "is no lot of this house");
		return entriesOf(entries, next.watch);
	});
}

/** The newest on the watch is measured by hand. */
async function keepReading(given: Given, { watch, C }: Read<"read">): Promise<void> {
	const { visit, live, lot } = given;
	const begun = watchOf(await readLots(visit.store.db, [lot]), watch);
	const read_C = checked(Type.Object({ C: Read_C }), { C: visit.reading.celsiusOf(C) }).C;
	const at = moment(given, begun.at);
	await live.readings.keep([{ watch, at, C: read_C, who: visit.who }]);
}

const DOES: {
	readonly [I in Exclude<Intent, "read">]: (doing: Doing, read: Read<I>) => Promise<readonly NewEntry[]>;
} = {
	watch: async (doing, { tag, course, probe }) => {
		const { entries, lot, visit, watch } = doing;
		const { doc, pans } = madeOf(doing);
		const at = moment(doing, ofKind(entries, "lot")[0]?.at ?? 0);
		const tags = tag === "" ? pans.filter(({ useBy }) => useBy !== null).map((pan) => pan.tag) : [tag];
		if (tags.some((one) => !pans.some((pan) => pan.tag === one)))
			throw refuse("tag", "is no pan of this lot");
		const code = await codeOf(visit, doc);
		const open = openWatches(entries);
		return tags
			.filter((one) => !open.some(({ doc: other }) => other.tag === one && other.course === course))
			.map((one, index): NewEntry => {
				const pan = pans.find((other) => other.tag === one);
				const cooling = course === "cool" ? usualCooling(pan?.depth_mm ?? 65) : null;
				return {
					at,
					doc: {
						...{ kind: "watch", watch: watch + index, lot, tag: one, course },
						probe: probeTyped(tags.length === 1 ? probe : undefined),
						...{ code, cooling, clockFrom: at, continues: null },
					},
				};
			});
	},
	probe: async (doing, { watch: number, probe }) => {
		const begun = watchOf(doing.entries, number);
		requireOpen(doing.entries, number);
		const at = moment(doing, begun.at);
		return [{ at, doc: { kind: "probe", watch: number, lot: doing.lot, probe: probeTyped(probe) } }];
	},
	end: async (doing, { watch: number }) => {
		const begun = watchOf(doing.entries, number);
		requireOpen(doing.entries, number);
		return [{ at: moment(doing, begun.at), doc: { kind: "ended", watch: number, lot: doing.lot } }];
	},
	act: async (doing, { watch: number, action, note }) => {
		const begun = watchOf(doing.entries, number);
		const at = moment(doing, begun.at);
		const acted: NewEntry = { at, doc: { kind: "action", watch: number, lot: doing.lot, action, note } };
		return [acted, ...goneWith(doing, begun, action, at)];
	},
	help: async (doing, { watch: number, remedy }) => {
		const begun = watchOf(doing.entries, number);
		requireOpen(doing.entries, number);
		const at = moment(doing, begun.at);
		const [action, parts] = remedy.split(":") as [Remedy["action"], string];
		const acted: NewEntry = { at, doc: { kind: "action", watch: number, lot: doing.lot, action, note: "" } };
		return [acted, ...(await watchedOn(doing, begun, { action, parts: Number(parts), at }))];
	},
	correct: async (doing, { of, number, watch, C, reason }) => {
		const corrected = await correctionOf(doing, of, number, watch ?? null);
		return [
			{
				at: Date.now(),
				doc: {
					...{ kind: "correction", ...corrected, lot: doing.lot, watch: watch ?? null, reason },
					C: C === undefined || corrected.of !== "reading" ? null : doing.visit.reading.celsiusOf(C),
				},
			},
		];
	},
	stage: async (doing, { stage, tag, place, note }) => {
		const { pans } = madeOf(doing);
		if (tag && !pans.some((pan) => pan.tag === tag)) throw refuse("tag", "is no pan of this lot");
		if (stage === "moved" && place === "")
			throw refuse("place", "is missing; where it is moved to is needed");
		const at = moment(doing, ofKind(doing.entries, "lot")[0]?.at ?? 0);
		return [{ at, doc: { kind: "stage", lot: doing.lot, stage, tags: tag ? [tag] : [], place, note } }];
	},
};

/** Food that is thrown away is gone from the chiller too. */
function goneWith(doing: Doing, begun: RecordEntry<"watch">, action: string, at: number): NewEntry[] {
	if (action !== "discarded") return [];
	const stage: NewEntry = {
		at,
		doc: { kind: "stage", lot: doing.lot, stage: "discarded", tags: [begun.doc.tag], place: "", note: "" },
	};
	if (!isOpen(doing.entries, begun.doc.watch)) return [stage];
	return [stage, { at, doc: { kind: "ended", watch: begun.doc.watch, lot: doing.lot } }];
}

/** The watch goes on in another way: shallower, in iced water, in wind; the code's clock runs on. */
async function watchedOn(
	doing: Doing,
	begun: RecordEntry<"watch">,
	how: { readonly action: Remedy["action"]; readonly parts: number; readonly at: number },
): Promise<NewEntry[]> {
	const { lot, visit } = doing;
	const { action, parts, at } = how;
	const { doc } = begun;
	const now = await standing(doing, doc.watch, at);
	const remedy = remediesFor(now.watched, await blastAir(visit.store.db)).find(
		(one) => one.action === action && (action !== "spread" || one.parts === parts),
	);
	const before = doc.cooling;
	const depth_mm = Math.max(5, Math.round((before?.depth_mm ?? 65) / (action === "spread" ? parts : 1)));
	const cooling = remedy?.given ?? (before ? { ...before, depth_mm } : null);
	const tag = action === "spread" ? (tagsOfSpread(doc.tag, parts)[0] as string) : doc.tag;
	return [
		{ at, doc: { kind: "ended", watch: doc.watch, lot } },
		...(action === "spread"
			? [{ at, doc: { kind: "spread", lot, tag: doc.tag, parts, depth_mm } satisfies DocOf<"spread"> }]
			: []),
		{
			at,
			doc: {
				...doc,
				...{ watch: doing.watch, tag, cooling, probe: now.probe, continues: doc.watch },
				clockFrom: clockOf(now, at),
			},
		},
	];
}

async function standing({ entries, visit }: Doing, number: number, at: number) {
	const read = await readPoints(visit.store.db, watchesAsked(entries));
	const now = watchesNow(
		entries,
		read.filter((point) => point.at <= at),
		at,
	).find(({ entry: { doc } }) => doc.watch === number);
	if (!now) throw refuse("watch", "is nothing that is watched");
	return now;
}

function madeOf({ entries, visit }: Pick<Doing, "entries" | "visit">) {
	const now = lotNow(entries, (at) => wallClock(at, visit.house.timeZone).date);
	if (!now) throw refuse("lot", "was struck out; nothing more is written of it");
	return now;
}

function watchOf(entries: readonly RecordEntry[], number: number): RecordEntry<"watch"> {
	const begun = ofKind(withoutStruck(entries), "watch").find(({ doc }) => doc.watch === number);
	if (!begun) throw refuse("watch", "is no pan that is watched here");
	return begun;
}

function openWatches(entries: readonly RecordEntry[]): RecordEntry<"watch">[] {
	const ended = new Set(ofKind(entries, "ended").map(({ doc }) => doc.watch));
	return ofKind(entries, "watch").filter(({ doc }) => !ended.has(doc.watch));
}

function isOpen(entries: readonly RecordEntry[], number: number): boolean {
	return openWatches(entries).some(({ doc }) => doc.watch === number);
}

function requireOpen(entries: readonly RecordEntry[], number: number): void {
	if (!isOpen(entries, number)) throw refuse("watch", "has ended already");
}

/** What is corrected; it belongs to this lot. */
async function correctionOf(
	{ entries, visit }: Doing,
	of: "reading" | "entry",
	typed: string,
	watch: number | null,
): Promise<Pick<DocOf<"correction">, "of" | "number">> {
	if (typed === "probe") {
		return { of: "probe", number: watchOf(entries, watch ?? 0).doc.watch };
	}
	const number = Number(typed);
	if (of === "entry") {
		const own = entries.find((entry) => entry.number === number);
		if (!own || own.doc.kind === "lot")
			throw refuse("number", "is no entry of this lot that can be struck out");
		return { of, number };
	}
	const [read] = await readReadings(visit.store.db, [number]);
	const watches = ofKind(entries, "watch").map(({ doc }) => doc.watch);
	if (!read || !watches.includes(read.watch)) throw refuse("number", "is no reading of this lot");
	return { of, number };
}

/** The limits that the sitting works to, as they are now. */
async function codeOf(visit: HouseVisit, { sittingId }: DocOf<"lot">): Promise<DocOf<"watch">["code"]> {
	const { store, house } = visit;
	const sitting = sittingId ? await readSitting(store.db, sittingId).catch(() => null) : null;
	return inForce(codeIn(await readHouseCodes(store.db), sitting?.houseCode ?? house.houseCode));
}

/** A code as it is kept with what is watched by it. */
export function inForce(code: HouseCode): DocOf<"watch">["code"] {
	const { name, source, dated, cooling, holdHot_C, keepCold_C, reheat } = code;
	return {
		...{ name, source, dated, holdHot_C, keepCold_C, reheat },
		cooling: { ...cooling, to: cooling.to.map((step) => ({ ...step })) },
	};
}

function probeTyped(probe: string | undefined): string | null {
	if (probe === undefined || probe === "") return null;
	return checked(Type.Object({ probe: ProbeName }), { probe }).probe;
}
