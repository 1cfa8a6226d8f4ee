import { data } from "react-router";
import { declaredIn, declaredWords, onDeclaredList } from "#core/recipe";
import { asItStands, besideTheBook, ofKind, type RecordEntry } from "#core/records";
import { readBoughtOnly, readDeliveryEntries, readIngredientRows, readLotsFrom } from "#db";
import type { HouseVisit } from "../ui/server/visit.ts";
import type { Reading } from "../ui/words/reading.ts";
import { deliveryTyped } from "./deliveryTyped.ts";

/** One delivery as it stands, what it was written as before, and what was made of it. */
export async function deliveryPage({ store, reading, house }: HouseVisit, number: number) {
	const { db } = store;
	const [entries, lots, rows] = await Promise.all([
		readDeliveryEntries(db, [number]),
		readLotsFrom(db, "from", [number]),
		readIngredientRows(db),
	]);
	const [entry] = ofKind(asItStands(entries), "delivery");
	if (!entry) throw data({ missing: "delivery" }, { status: 404 });
	const { at, who, doc } = entry;
	const inBook = (await readBoughtOnly(db, [doc.ingredientId])).get(doc.ingredientId);
	const beside = besideTheBook(doc, inBook ? declaredIn([inBook]) : []);
	return {
		delivery: number,
		title: doc.name,
		about: `Delivery ${number}, ${reading.moment(at)}, taken in by ${who}`,
		...factsOf(doc, reading),
		packet: packetWords(doc, house.allergenList),
		beside: beside.length === 0 ? null : declaredWords(beside),
		ingredientAt: `/book/ingredients/${doc.ingredientId}`,
		typed: deliveryTyped(doc, reading.units),
		names: rows.map(({ name }) => name),
		before: writtenBefore(entries, reading),
		lots: lots.map(({ at: madeAt, doc: { lot, dish, sitting } }) => ({
			lot,
			words: `${dish}, made ${reading.moment(madeAt)}${sitting ? ` for ${sitting}` : ""}`,
		})),
	};
}

export type DeliveryView = Awaited<ReturnType<typeof deliveryPage>>;

type Doc = RecordEntry<"delivery">["doc"];

function factsOf(doc: Doc, reading: Reading) {
	return {
		facts: [
			{ figure: reading.mass(doc.kg), label: "delivered" },
			{ figure: doc.C === null ? "not measured" : reading.probed(doc.C), label: "at the door" },
			{ figure: doc.useBy === null ? "none named" : reading.date(doc.useBy), label: "use by" },
			{ figure: doc.accepted ? "taken in" : "▲ sent back", label: "decided" },
		],
		from: `${doc.supplier || "supplier not named"}${doc.supplierLot ? `, their lot ${doc.supplierLot}` : ""}`,
		note: doc.note,
	};
}

function packetWords({ packet, name }: Doc, list: Parameters<typeof onDeclaredList>[1]): string {
	if (!packet) return "not read";
	const found = [
		...packet.contains.map((allergen) => ({ allergen, presence: "contains" as const, from: [name] })),
		...packet.mayContain.map((allergen) => ({ allergen, presence: "mayContain" as const, from: [name] })),
	];
	return found.length === 0 ? "names none" : declaredWords(onDeclaredList(found, list));
}

/** What it was written as, one after the other, with who wrote it and why it was written anew. */
function writtenBefore(entries: readonly RecordEntry[], reading: Reading) {
	const told = entries.flatMap(({ at, who, writtenAt, number, doc }) => {
		if (doc.kind === "delivery") return [{ number, when: at, who, doc, reason: "" }];
		return doc.kind === "instead" && doc.doc.kind === "delivery"
			? [{ number, when: writtenAt, who, doc: doc.doc, reason: doc.reason }]
			: [];
	});
	if (told.length < 2) return [];
	return told.map(({ number, when, who, doc, reason }) => {
		const { facts, from } = factsOf(doc, reading);
		const words = [doc.name, ...facts.map(({ figure, label }) => `${label} ${figure}`), from].join(", ");
		return { number, words, by: `${reading.moment(when)}, ${who}${reason ? `: ${reason}` : ""}` };
	});
}
