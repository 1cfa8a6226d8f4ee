import { Type } from "@sinclair/typebox";
import { Refusal, refuse } from "#core/check";
import { parseWeight, type UnitSystem } from "#core/quantity";
import { ALLERGEN_NAMES, plainName } from "#core/recipe";
import type { DocOf } from "#core/records";
import { dayTyped } from "#core/time";
import type { IngredientRow } from "#db";
import { type FormRead, readForm, type Typed } from "../ui/forms/form.ts";
import type { Reading } from "../ui/words/reading.ts";
import { weightShown } from "./lotTyped.ts";

const Entry = Type.Object({
	name: Type.String({ minLength: 1, maxLength: 120, allowed: "what was delivered, in 1 to 120 characters" }),
	supplier: Type.String({ maxLength: 80, allowed: "up to 80 characters" }),
	supplierLot: Type.String({ maxLength: 60, allowed: "up to 60 characters" }),
	kg: Type.String({ minLength: 1, maxLength: 30, allowed: "a weight, such as 12.5 kg" }),
	C: Type.Optional(Type.Number({ allowed: "a temperature, such as 3.5" })),
	useBy: Type.Optional(Type.String({ typedAs: "day", allowed: "a day, such as 8 Dec" })),
	sentBack: Type.Boolean(),
	note: Type.String({ maxLength: 400, allowed: "up to 400 characters" }),
});

/** What was delivered, as it is typed; without its number. */
export type DeliveryRead = Omit<DocOf<"delivery">, "delivery">;

/**
 * A delivery as it is typed.
 *
 * @throws {Refusal} where it is no ingredient of the book, or its weight is none
 */
export function readDelivery(
	form: FormData,
	ingredients: readonly IngredientRow[],
	reading: Reading,
): FormRead<DeliveryRead> {
	if (form.get("useBy") === "") form.delete("useBy");
	const read = readForm(Entry, form);
	if ("wrong" in read) return read;
	const { name, supplier, supplierLot, kg, C, useBy, sentBack, note } = read.value;
	const weight_kg = weightIn(kg, reading.units);
	const known = ingredients.find((one) => plainName(one.name) === plainName(name));
	if (!known) throw refuse("name", `“${name}” is no ingredient of the book; one of its names is allowed`);
	return {
		value: {
			...{ kind: "delivery", ingredientId: known.id, name: known.name, supplier, supplierLot, note },
			kg: weight_kg,
			C: C === undefined ? null : reading.celsiusOf(C),
			useBy: useBy ?? null,
			accepted: !sentBack,
			...packetIn(form),
		},
	};
}

/** @throws {Refusal} where it is no weight that can be delivered */
function weightIn(text: string, units: UnitSystem): number {
	const said = `“${text}” was given; a weight above 0 and up to ${weightShown(MOST_KG, units, 4)} is allowed`;
	let kg: number;
	try {
		kg = parseWeight(text, "kg", units) / 1000;
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		throw refuse("kg", said);
	}
	if (kg > MOST_KG) throw refuse("kg", said);
	return kg;
}

/** As much as an entry of the record holds. */
const MOST_KG = 5000;

function packetIn(form: FormData): Pick<DeliveryRead, "packet"> {
	if (form.get("packet") !== "on") return {};
	const ticked = (group: string) => ALLERGEN_NAMES.filter((name) => form.get(`${group}.${name}`) === "on");
	const contains = ticked("contains");
	return { packet: { contains, mayContain: ticked("may").filter((name) => !contains.includes(name)) } };
}

/** A delivery as its form shows it. */
export function deliveryTyped(doc: DocOf<"delivery">, units: UnitSystem): Typed {
	const { name, supplier, supplierLot, kg, C, useBy, accepted, note, packet } = doc;
	const degrees = C === null ? "" : units === "us" ? C * 1.8 + 32 : C;
	const on = (group: string, names: readonly string[] = []) =>
		names.map((one) => [`${group}.${one}`, "on"] as const);
	return {
		...{ name, supplier, supplierLot, note, sentBack: accepted ? "" : "on", packet: packet ? "on" : "" },
		kg: weightShown(kg, units, 6),
		C: degrees === "" ? "" : String(Math.round(degrees * 10) / 10),
		useBy: useBy === null ? "" : dayTyped(useBy),
		...Object.fromEntries([...on("contains", packet?.contains), ...on("may", packet?.mayContain)]),
	};
}
