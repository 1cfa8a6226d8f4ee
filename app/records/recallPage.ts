import { data } from "react-router";
import { DIETS, plainName } from "#core/recipe";
import { isUsedUp, ofKind, type RecordEntry, worstPassport } from "#core/records";
import {
	type Reader,
	type RecallFrom,
	readDeliveries,
	readIngredientRows,
	readSittingsById,
	recalled,
	type Sitting,
} from "#db";
import { type LotRead, lotsNow } from "../ui/server/lotsNow.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { passportWords } from "../ui/words/passportWords.ts";
import { counted, type Reading } from "../ui/words/reading.ts";

/** What a recall can begin with, as it is asked for. */
export const RECALL_WORDS = {
	supplierLot: "a supplier's lot",
	ingredient: "an ingredient",
	delivery: "a delivery, by its number",
	lot: "a lot, by its number",
	watch: "a watch, by its number",
	probe: "a probe, by its name",
} as const;
export type RecallKind = keyof typeof RECALL_WORDS;
export const RECALL_KINDS = Object.keys(RECALL_WORDS) as RecallKind[];

/** So many lots are told; more is asked for by something nearer. */
const MOST_LOTS = 400;

/** Every pan, box and sitting that something reached, and what each was made from: both ways on one page. */
export async function recallPage(visit: HouseVisit, search: URLSearchParams) {
	const { store, reading, house } = visit;
	const what = RECALL_KINDS.find((kind) => kind === search.get("what")) ?? "supplierLot";
	const text = (search.get("find") ?? "").trim();
	const asked = { what, text };
	if (text === "") return { asked, wrong: "", found: null };
	const from = await beginningOf(store.db, what, text);
	if (typeof from === "string") return { asked, wrong: from, found: null };
	const reached = await recalled(store.db, from);
	const all = [...reached.lots, ...reached.further];
	if (all.length > MOST_LOTS)
		throw data(
			{ said: `More than ${MOST_LOTS} lots are reached; ask for one delivery or one lot.` },
			{ status: 400 },
		);
	const read = await lotsNow(store.db, all, { ...house, now: reading.now });
	const numbers = new Set([...reached.deliveries, ...read.flatMap((one) => one.now.doc.from)]);
	const [deliveries, sittings] = await Promise.all([
		readDeliveries(store.db, [...numbers]),
		readSittingsById(store.db, [...new Set(read.flatMap(sittingsOf))]),
	]);
	const byId = new Map(sittings.map((sitting) => [sitting.id, sitting]));
	return {
		asked,
		wrong: "",
		found: {
			head: headOf(read, sittings),
			deliveries: deliveries.map((entry) => deliveryRow(entry, reading, reached.deliveries)),
			lots: read.map((one) => lotRow(one, reading, byId, reached.further.includes(one.now.lot))),
			sittings: sittings.map((sitting) => sittingRow(sitting, reading)),
			named: [...new Set(read.flatMap((one) => namedAlone(one, byId)))],
		},
	};
}

/** @returns why it is none, in a sentence */
async function beginningOf(db: Reader, what: RecallKind, text: string): Promise<RecallFrom | string> {
	switch (what) {
		case "supplierLot":
			return { what, text };
		case "probe":
			return { what, name: text };
		case "ingredient": {
			const rows = await readIngredientRows(db);
			const found = rows.find(({ id, name }) => id === text || plainName(name) === plainName(text));
			return found
				? { what, id: found.id }
				: `“${text}” is no ingredient of the book; one of its names is allowed.`;
		}
		default: {
			const number = /^\d{1,9}$/.test(text) ? Number(text) : 0;
			return number > 0 ? { what, number } : `“${text}” was given; a number from 1 is allowed.`;
		}
	}
}

/** The sittings that a lot was made for, and served at. */
function sittingsOf({ entries, now }: LotRead): string[] {
	const served = ofKind(entries, "stage").flatMap(({ doc }) => doc.sittingId ?? []);
	return [now.doc.sittingId, ...served].filter((id) => id !== "");
}

/** Sittings that are named in the record and are not in the book. */
function namedAlone({ entries, now }: LotRead, sittings: ReadonlyMap<string, Sitting>): string[] {
	const served = ofKind(entries, "stage").map(({ doc }) => [doc.sittingId ?? "", doc.sitting ?? ""] as const);
	return [[now.doc.sittingId, now.doc.sitting] as const, ...served].flatMap(([id, name]) =>
		name === "" || sittings.has(id) ? [] : [name],
	);
}

/** "3 lots, 7 pans still here, 2 sittings of 140 guests" */
function headOf(read: readonly LotRead[], sittings: readonly Sitting[]): string {
	const left = read.flatMap(({ now }) => now.pans.filter((pan) => !isUsedUp(pan)));
	const guests = sittings.reduce((sum, { covers }) => sum + covers, 0);
	return [
		counted(read.length, "lot"),
		`${counted(left.length, "pan")} still here`,
		...(sittings.length > 0 ? [`${counted(sittings.length, "sitting")} of ${counted(guests, "guest")}`] : []),
	].join(", ");
}

function deliveryRow(
	{ at, who, doc }: RecordEntry<"delivery">,
	reading: Reading,
	reached: readonly number[],
) {
	return {
		delivery: doc.delivery,
		to: `/records/deliveries/${doc.delivery}`,
		name: `${doc.name}, ${reading.mass(doc.kg)}`,
		says: [
			doc.supplier || "supplier not named",
			...(doc.supplierLot ? [`their lot ${doc.supplierLot}`] : []),
			`${reading.moment(at)}, ${who}`,
			...(doc.accepted ? [] : ["sent back"]),
		].join(", "),
		isAsked: reached.includes(doc.delivery),
	};
}

function lotRow(
	{ now, entries, passports, sources, allergens }: LotRead,
	reading: Reading,
	sittings: ReadonlyMap<string, Sitting>,
	isFurther: boolean,
) {
	const worst = worstPassport(passports);
	const printed = ofKind(entries, "labels").flatMap(({ doc }) => doc.labels.map(({ tag }) => tag));
	const served = ofKind(entries, "stage").filter(({ doc }) => doc.stage === "served");
	return {
		lot: now.lot,
		to: `/records/lots/${now.lot}`,
		name: `Lot ${now.lot}, ${now.doc.dish}`,
		says: `${counted(now.doc.portions, "portion")}, made ${reading.moment(now.at)} by ${now.who}${isFurther ? ", from a lot of these" : ""}`,
		release: worst ? passportWords(worst, reading) : "nothing of it is left",
		allergens,
		from: [
			...now.doc.from.map((delivery) => `delivery ${delivery}`),
			...sources.map(({ lot, dish }) => `lot ${lot}, ${dish}`),
		].join("; "),
		pans: now.pans.map((pan) => ({
			tag: pan.tag,
			words: `${reading.mass(pan.kg)}, ${isUsedUp(pan) ? (pan.state === "served" ? "served" : "thrown away") : `${pan.state}${pan.place ? `, ${pan.place}` : ""}`}${printed.includes(pan.tag) ? ", labelled" : ""}`,
			isLeft: !isUsedUp(pan),
		})),
		for: [
			...new Set([
				...(now.doc.sitting ? [`made for ${sittings.get(now.doc.sittingId)?.name ?? now.doc.sitting}`] : []),
				...served.map(
					({ at, doc }) =>
						`${doc.tags.length === 0 ? "all" : `pan ${doc.tags.join(", ")}`} served${doc.sitting ? ` at ${doc.sitting}` : ""}, ${reading.moment(at)}`,
				),
			]),
		],
	};
}

function sittingRow({ id, name, room, serviceAt, covers, diets, carry }: Sitting, reading: Reading) {
	return {
		id,
		to: `/sittings/${id}`,
		name,
		says: [
			reading.moment(serviceAt),
			...(room ? [room] : []),
			counted(covers, "guest"),
			...(carry ? ["carried there in boxes"] : []),
		].join(", "),
		diets: diets.map(({ diet, covers: guests }) => `${guests} ${DIETS[diet].words}`).join(", "),
	};
}
