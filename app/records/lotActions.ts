import { type Static, Type } from "@sinclair/typebox";
import { checked, oneOf, refuse } from "#core/check";
import {
	ACTIONS,
	asItStands,
	type DocOf,
	ofKind,
	ProbeName,
	Read_C,
	type RecordEntry,
	STAGES,
	tagsOfSpread,
} from "#core/records";
import type { DegreeUnit, HouseCode } from "#core/safety";
import { COURSES, type Remedy, remediesFor, usualCooling } from "#core/watch";
import { codeIn, type NewEntry, readHouseCodes, readLots, readReadings, readSitting, writeRecord } from "#db";
import { readForm } from "../ui/forms/form.ts";
import { lotsNow } from "../ui/server/lotsNow.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { clientIdOf } from "./clientIdOf.ts";
import { type Doing, type Given, isOpen, openWatches, readOf } from "./lotDoing.ts";
import { blastAir } from "./lotPage.ts";
import {
	heatedThrough,
	nowOf,
	pansMeant,
	refuseDecision,
	refuseStage,
	servedAt,
	thrownAway,
} from "./lotRules.ts";
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
	stage: Type.Object({
		stage: oneOf(STAGES),
		tag: Type.Optional(Type.String()),
		place: Place,
		note: Note,
		sitting: Type.Optional(Type.String({ maxLength: 40 })),
	}),
	date: Type.Object({
		tag: Type.Optional(Type.String()),
		useBy: Type.String({ typedAs: "day", allowed: "a day, such as 8 Dec" }),
		reason: Type.String({ minLength: 3, maxLength: 400, allowed: "a reason of 3 to 400 characters" }),
	}),
} as const;

type Intent = keyof typeof FORMS;
type Read<I extends Intent> = Static<(typeof FORMS)[I]>;

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
	else await write(given, (doing) => DOES[intent](doing, read.value as never));
	return null;
}

/** @see momentTyped */
function moment({ visit, typed }: Given, least: number): number {
	return momentTyped(typed, visit.house.timeZone, Date.now(), least);
}

async function write(given: Given, entriesOf: (doing: Doing) => Promise<readonly NewEntry[]>): Promise<void> {
	const { visit, lot, typed } = given;
	await writeRecord(visit.store, visit.who, clientIdOf(typed), async (next, tx) => {
		const entries = await readLots(tx, [lot]);
		if (ofKind(entries, "lot").length === 0) throw refuse("lot", "is no lot of this house");
		const [read = null] = await lotsNow(tx, [lot], { ...visit.house, now: Date.now() });
		return entriesOf({ ...given, entries, read, watch: next.watch });
	});
}

/** The newest on the watch is measured by hand. */
async function keepReading(given: Given, { watch, C }: Read<"read">): Promise<void> {
	const { visit, live, lot } = given;
	const begun = watchOf(await readLots(visit.store.db, [lot]), watch);
	const read_C = checked(Type.Object({ C: Read_C }), { C: visit.reading.celsiusOf(C) }).C;
	const at = moment(given, begun.at);
	await live.readings.keep([{ watch, at, C: read_C, ...unitOf(visit), who: visit.who }]);
}

const DOES: {
	readonly [I in Exclude<Intent, "read">]: (doing: Doing, read: Read<I>) => Promise<readonly NewEntry[]>;
} = {
	watch: async (doing, { tag, course, probe }) => {
		const { entries, lot, visit, watch } = doing;
		const { doc, pans } = readOf(doing).now;
		const at = moment(doing, ofKind(entries, "lot")[0]?.at ?? 0);
		const tags = pansMeant(pans, tag).map((pan) => pan.tag);
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
		const now = nowOf(doing, number);
		refuseDecision(doing, now, action);
		const acted: NewEntry = { at, doc: { kind: "action", watch: number, lot: doing.lot, action, note } };
		return [acted, ...goneWith(doing, begun, action, at), ...heatedThrough(doing, now, action, at)];
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
		const read_C = C === undefined || corrected.of !== "reading" ? null : doing.visit.reading.celsiusOf(C);
		await refuseSame(doing, corrected, read_C);
		return [
			{
				at: Date.now(),
				doc: {
					...{ kind: "correction", ...corrected, lot: doing.lot, watch: watch ?? null, reason },
					C: read_C,
					...(read_C === null ? {} : unitOf(doing.visit)),
				},
			},
		];
	},
	stage: async (doing, { stage, tag = "", place, note, sitting }) => {
		const { pans, doc } = readOf(doing).now;
		const meant = pansMeant(pans, tag);
		if (stage === "moved" && place === "")
			throw refuse("place", "is missing; where it is moved to is needed");
		refuseStage(doing, meant, stage, note);
		const at = moment(doing, ofKind(doing.entries, "lot")[0]?.at ?? 0);
		const tags = tag === "" ? [] : [tag];
		const served = stage === "served" ? await servedAt(doing, sitting ?? "", doc) : {};
		const staged: NewEntry = {
			at,
			doc: { kind: "stage", lot: doing.lot, stage, tags, place, note, ...served },
		};
		return stage === "discarded" ? [staged, ...thrownAway(doing, meant, at, note)] : [staged];
	},
	date: async (doing, { tag = "", useBy, reason }) => {
		const meant = pansMeant(readOf(doing).now.pans, tag);
		if (meant.every((pan) => pan.useBy === useBy))
			throw refuse("useBy", "is the date that it has already; another day is allowed");
		const tags = tag === "" ? [] : [tag];
		return [{ at: Date.now(), doc: { kind: "dated", lot: doing.lot, tags, useBy, reason } }];
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
	const now = nowOf(doing, doc.watch);
	const remedy = remediesFor(now.watched, await blastAir(visit.store.db)).find(
		(one) => one.action === action && (action !== "spread" || one.parts === parts),
	);
	const before = doc.cooling;
	const depth_mm = Math.max(5, Math.round((before?.depth_mm ?? 65) / (action === "spread" ? parts : 1)));
	const cooling = remedy?.given ?? (before ? { ...before, depth_mm } : null);
	const tags = action === "spread" ? tagsOfSpread(doc.tag, parts) : [doc.tag];
	return [
		{ at, doc: { kind: "ended", watch: doc.watch, lot } },
		...(action === "spread"
			? [{ at, doc: { kind: "spread", lot, tag: doc.tag, parts, depth_mm } satisfies DocOf<"spread"> }]
			: []),
		// Each part is watched; the probe stays in the first.
		...tags.map(
			(tag, index): NewEntry => ({
				at,
				doc: {
					...{ ...doc, watch: doing.watch + index, tag, cooling, continues: doc.watch },
					probe: index === 0 ? now.probe : null,
				},
			}),
		),
	];
}

function watchOf(entries: readonly RecordEntry[], number: number): RecordEntry<"watch"> {
	const begun = ofKind(asItStands(entries), "watch").find(({ doc }) => doc.watch === number);
	if (!begun) throw refuse("watch", "is no pan that is watched here");
	return begun;
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

/** In which a reader reads a thermometer: it is kept with what was read. */
function unitOf({ reading }: HouseVisit): { readonly unit?: DegreeUnit } {
	return reading.units === "us" ? { unit: "F" } : {};
}

/** Readings that differ by less are the same, as they are kept, K. */
const SAME_K = 0.005;

/** A correction that changes nothing is none. */
async function refuseSame(
	{ entries, visit }: Doing,
	{ of, number }: Pick<DocOf<"correction">, "of" | "number">,
	C: number | null,
): Promise<void> {
	const before = ofKind(entries, "correction").filter(({ doc }) => doc.of === of && doc.number === number);
	if (of !== "reading") {
		if (before.length > 0) throw refuse("number", "does not count already");
		return;
	}
	const [read] = await readReadings(visit.store.db, [number]);
	const last = before.at(-1);
	const counts_C = last ? last.doc.C : (read?.C ?? null);
	const isSame = C === null || counts_C === null ? C === counts_C : Math.abs(C - counts_C) < SAME_K;
	if (isSame) throw refuse("C", C === null ? "does not count already" : "is what stands there already");
}

/** The limits that the sitting works to, as they are now. */
async function codeOf(visit: HouseVisit, { sittingId }: DocOf<"lot">): Promise<DocOf<"watch">["code"]> {
	const { store, house } = visit;
	const sitting = sittingId ? await readSitting(store.db, sittingId).catch(() => null) : null;
	return inForce(codeIn(await readHouseCodes(store.db), sitting?.houseCode ?? house.houseCode));
}

/** A code as it is kept with what is watched by it. */
export function inForce(code: HouseCode): DocOf<"watch">["code"] {
	const { name, source, dated, cooling, holdHot_C, keepCold_C, reheat, limits_F, onlyF } = code;
	return {
		...{ name, source, dated, holdHot_C, keepCold_C, reheat, onlyF },
		limits_F: limits_F && { ...limits_F, to: [...limits_F.to] },
		cooling: { ...cooling, to: cooling.to.map((step) => ({ ...step })) },
	};
}

function probeTyped(probe: string | undefined): string | null {
	if (probe === undefined || probe === "") return null;
	return checked(Type.Object({ probe: ProbeName }), { probe }).probe;
}
