import { data } from "react-router";
import { thawMinutes } from "#core/chill";
import { USUAL_AIR_C } from "#core/kitchen";
import {
	type DocOf,
	isUsedUp,
	type LotNow,
	ofKind,
	type PanNow,
	type Passport,
	type RecordEntry,
	type RecordKind,
	worstPassport,
} from "#core/records";
import { DAY_MS } from "#core/time";
import { type Database, readSittings, readStandingPlaces, type Sitting, type StandingPlaceRow } from "#db";
import { lotsNow } from "../ui/server/lotsNow.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { labelHead, passportWords } from "../ui/words/passportWords.ts";
import { counted, type Reading } from "../ui/words/reading.ts";
import { ACTION_WORDS, COURSE_WORDS, earlierWords, type WatchView, watchView } from "./watch.view.ts";

/** Everything about one lot: its pans, how each is watched, what was written, where it came from and went. */
export async function lotPage(visit: HouseVisit, number: number, selected: string | null) {
	const { store, reading, house } = visit;
	const [[read], places, sittings] = await Promise.all([
		lotsNow(store.db, [number], { ...house, now: reading.now }),
		readStandingPlaces(store.db),
		readSittings(store.db, reading.now - NEAR_MS, reading.now + NEAR_MS),
	]);
	if (!read) throw data({ missing: "lot" }, { status: 404 });
	const { entries, now, watches, deliveries, sources, passports, voids } = read;
	const worst = worstPassport(passports);
	const blast_C = coldestWind(places);
	const tagOf = tagsOf(entries);
	const [cold] = places.filter(({ kind }) => kind === "fridge");
	const fridge: Fridge = { name: cold?.name ?? "fridge", air_C: cold?.air_C ?? USUAL_AIR_C.fridge };
	const againOf = (tag: string) => now.pans.some((pan) => pan.tags.includes(tag) && pan.cooling.again);
	const views = watches
		.map((one) => watchView(one, { reading, blast_C }, againOf(one.entry.doc.tag)))
		.sort(openFirst);
	const open = views.find(({ watch }) => String(watch) === selected) ?? mostPressing(views);
	const shown = watches.find(({ entry }) => entry.doc.watch === open?.watch);
	return {
		lot: number,
		dish: now.doc.dish,
		about: aboutWords(now, reading),
		...headOf(worst, now, reading),
		voids: voids.length,
		contents: now.doc.contents,
		allergens: read.allergens,
		reheat: now.doc.reheat,
		sitting: now.doc.sittingId ? { to: `/sittings/${now.doc.sittingId}`, name: now.doc.sitting } : null,
		dishAt: now.doc.dishId ? `/sittings/${now.doc.sittingId}/dishes/${now.doc.dishId}` : null,
		pans: now.pans.map((pan) => panView(pan, passports, reading, fridge)),
		sittings: servedAtWhich(sittings, now, reading),
		places: places.filter(({ kind }) => kind !== "warmer").map(({ name }) => name),
		watches: views.map(({ watch, tag, doing, figure, verdict, isPressing, isOpen, newest, doubt }) => ({
			...{ watch, tag, doing, figure, verdict, isPressing, isOpen, newest },
			isDoubted: doubt !== null,
		})),
		open: open && shown ? { ...open, earlier: earlierWords(shown, reading) } : null,
		written: entries.map((entry) => writtenLine(entry, reading, tagOf)).reverse(),
		from: deliveries.map(({ doc }) => ({
			delivery: doc.delivery,
			words: `${doc.name}, ${doc.supplier || "supplier not named"}${doc.supplierLot ? `, their lot ${doc.supplierLot}` : ""}`,
		})),
		fromLots: sources.map(({ lot, dish }) => ({ lot, words: `Lot ${lot}, ${dish}` })),
		cookedThrough: now.doc.cookedThrough ?? "",
		isUsedUp: now.pans.every(isUsedUp),
	};
}

export type LotView = Awaited<ReturnType<typeof lotPage>>;

/** The one thing to know of it: its last day, or that nobody uses it; and below it why. */
function headOf(
	worst: Passport | null,
	now: LotNow,
	reading: Reading,
): { readonly head: string; readonly says: string } {
	if (worst === null || now.useBy === null) return { head: "Used up", says: "" };
	const day = reading.date(now.useBy);
	const head = labelHead(worst, now);
	if (head === null) return { head: `Use by ${day}`, says: "" };
	if (worst.isCooling) return { head, says: `Once released: use by ${day}.` };
	return { head: `▲ ${head}`, says: `Pan ${worst.tag}: ${passportWords(worst, reading)}. Last day ${day}.` };
}

/** Sittings so near may be where it is served, ms. */
const NEAR_MS = 3 * DAY_MS;

/** Where it may be served: its own sitting first. */
function servedAtWhich(
	sittings: readonly Pick<Sitting, "id" | "name" | "serviceAt">[],
	{ doc }: LotNow,
	reading: Reading,
): { readonly id: string; readonly words: string }[] {
	const near = sittings
		.filter(({ id }) => id !== doc.sittingId)
		.map(({ id, name, serviceAt }) => ({ id, words: `${name}, ${reading.day(serviceAt)}` }));
	return [{ id: doc.sittingId, words: doc.sitting || "no sitting" }, ...near];
}

/** Air of the coldest chiller with wind; null where the kitchen has none. */
export async function blastAir(db: Database): Promise<number | null> {
	return coldestWind(await readStandingPlaces(db));
}

function coldestWind(places: readonly StandingPlaceRow[]): number | null {
	const chillers = places.filter(({ kind }) => kind === "chiller");
	return chillers.length === 0
		? null
		: Math.min(...chillers.map(({ air_C }) => air_C ?? USUAL_AIR_C.chiller));
}

function mostPressing<W extends { readonly isPressing: boolean; readonly isOpen: boolean }>(
	views: readonly W[],
) {
	return views.find(({ isPressing }) => isPressing) ?? views.find(({ isOpen }) => isOpen) ?? views[0];
}

/** What goes on before what has ended, by the pans' tags; the newest of a pan first. */
function openFirst(a: WatchView, b: WatchView): number {
	return (
		Number(b.isOpen) - Number(a.isOpen) ||
		a.tag.localeCompare(b.tag, undefined, { numeric: true }) ||
		b.watch - a.watch
	);
}

function aboutWords({ doc, at, who }: LotNow, reading: Reading): string {
	return `${counted(doc.portions, "portion")} in ${counted(doc.pans.length, "pan")}, made ${reading.clock(at)} by ${who}`;
}

const STATE_WORDS: Readonly<Record<PanNow["state"], string>> = {
	chilled: "chilled",
	frozen: "frozen",
	thawing: "thawing",
	opened: "opened",
	served: "served",
	discarded: "thrown away",
};

/** How long it thaws, and where. */
function thawWords(depth_mm: number, { name, air_C }: Fridge): string {
	const minutes = thawMinutes(depth_mm, air_C);
	if (!minutes) return `Never thaws in the ${name}`;
	const hours = (of: number) => Math.max(1, Math.round(of / 60));
	return `Thaws in the ${name} in ${hours(minutes.low)} to ${hours(minutes.high)} h: take it out by then`;
}

/** Where frozen food is thawed. */
interface Fridge {
	readonly name: string;
	readonly air_C: number;
}

function panView(pan: PanNow, passports: readonly Passport[], reading: Reading, fridge: Fridge) {
	const passport = passports.find(({ tag }) => tag === pan.tag);
	return {
		release: passport?.release ?? null,
		says: passport ? passportWords(passport, reading) : "",
		tag: pan.tag,
		vessel: pan.vessel,
		holds: `${reading.mass(pan.kg)}, ${reading.length(pan.depth_mm)} deep`,
		place: pan.place,
		state: STATE_WORDS[pan.state],
		useBy: pan.useBy === null ? "" : reading.date(pan.useBy),
		isUsedUp: isUsedUp(pan),
		thaws: pan.state === "frozen" ? thawWords(pan.depth_mm, fridge) : "",
	};
}

function writtenLine({ number, at, who, doc }: RecordEntry, reading: Reading, tagOf: TagOf) {
	return {
		number,
		when: reading.clock(at),
		who,
		words: entryWords(doc, reading, tagOf),
		canStrike: CAN_BE_STRUCK.has(doc.kind),
	};
}

/** These are struck out where they were not so; a lot is written anew. */
const CAN_BE_STRUCK: ReadonlySet<RecordKind> = new Set(["stage", "action", "correction", "dated", "instead"]);

/** An entry of the record in one line. */
export function entryWords(doc: RecordEntry["doc"], reading: Reading, tagOf: TagOf): string {
	const words = WORDS[doc.kind] as (doc: RecordEntry["doc"], reading: Reading, tagOf: TagOf) => string;
	return words(doc, reading, tagOf);
}

/** The pan's tag by its watch. */
type TagOf = (watch: number) => string;

export function tagsOf(entries: readonly RecordEntry[]): TagOf {
	const tags = new Map(ofKind(entries, "watch").map(({ doc }) => [doc.watch, doc.tag]));
	return (watch) => tags.get(watch) ?? "";
}

const WORDS: { readonly [K in RecordKind]: (doc: DocOf<K>, reading: Reading, tagOf: TagOf) => string } = {
	delivery: ({ name, kg, C, accepted }, reading) =>
		`Delivered: ${name}, ${reading.mass(kg)}${C === null ? "" : ` at ${reading.probed(C)}`}${accepted ? "" : ", sent back"}`,
	lot: ({ portions, pans }) => `Made: ${counted(portions, "portion")} in ${counted(pans.length, "pan")}`,
	watch: ({ course, tag, probe }) =>
		`${COURSE_WORDS[course].name} of pan ${tag} is watched${probe === null ? " by hand" : ` by probe ${probe}`}`,
	probe: ({ watch, probe }, _, tagOf) =>
		probe === null
			? `Pan ${tagOf(watch)} is measured by hand`
			: `Probe ${probe} is put into pan ${tagOf(watch)}`,
	ended: ({ watch }, _, tagOf) => `Pan ${tagOf(watch)} is out`,
	action: ({ action, note }) => `${capital(ACTION_WORDS[action].done)}${note ? `: ${note}` : ""}`,
	correction: ({ of, number, C, reason }, reading) =>
		of === "probe"
			? `What the probe read of watch ${number} does not count: ${reason}`
			: `${of === "reading" ? "Reading" : "Entry"} ${number} ${C === null ? "does not count" : `should be ${reading.probed(C)}`}: ${reason}`,
	spread: ({ tag, parts, depth_mm }, reading) =>
		`Pan ${tag} spread over ${parts}, ${reading.length(depth_mm)} deep`,
	stage: ({ stage, tags, place, note, sitting }) =>
		`${pansWords(tags)} ${stage === "discarded" ? "thrown away" : stage}${sitting ? ` at ${sitting}` : ""}${place ? `, to ${place}` : ""}${note ? `: ${note}` : ""}`,
	dated: ({ tags, useBy, reason }, reading) =>
		`${pansWords(tags)}: the use-by was wrong, it is ${reading.date(useBy)}: ${reason}`,
	instead: ({ doc, reason }, reading, tagOf) =>
		`Written anew: ${insteadWords(doc, reading, tagOf)}: ${reason}`,
	labels: ({ labels }) => `Labels printed: ${labels.map(({ tag }) => tag).join(", ")}`,
};

/** Of a lot every pan, so that old and new can be held against one another. */
function insteadWords(doc: DocOf<"instead">["doc"], reading: Reading, tagOf: TagOf): string {
	const words = entryWords(doc, reading, tagOf);
	if (doc.kind !== "lot") return words;
	const pans = doc.pans.map(
		({ tag, kg, depth_mm }) => `${tag} ${reading.mass(kg)}, ${reading.length(depth_mm)} deep`,
	);
	return `${words} (${pans.join("; ")}); ${doc.allergens || "allergens not known"}`;
}

function pansWords(tags: readonly string[]): string {
	return tags.length === 0 ? "All pans" : `Pan ${tags.join(", ")}`;
}

function capital(words: string): string {
	return words.charAt(0).toUpperCase() + words.slice(1);
}
