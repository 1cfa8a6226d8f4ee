import type { Static, TObject } from "@sinclair/typebox";
import { data, redirect } from "react-router";
import { Refusal } from "#core/check";
import { addEquipment, changeEquipment, Stale } from "#db";
import { readForm, typedIn, wrongOf } from "../ui/form.ts";
import { staleView } from "../ui/stale.ts";
import { foundOr404, type HouseVisit } from "../ui/visit.ts";

type Fields<S extends "panType" | "oven"> = Omit<Parameters<typeof addEquipment<S>>[3], never>;

/**
 * Saves, adds or retires one piece of equipment from its form.
 *
 * @param id `new` adds one
 */
export async function saveEquipment<S extends "panType" | "oven", F extends TObject>(
	visit: HouseVisit,
	subject: S,
	id: string,
	form: FormData,
	schema: F,
	fieldsOf: (typed: Static<F>) => Fields<S>,
) {
	const typed = typedIn(form);
	const version = Number(typed.version);
	try {
		if (typed.intent === "retire") {
			await foundOr404(
				changeEquipment(visit.store, subject, id, version, visit.who, { retired: true } as never),
				words(subject),
			);
			return redirect("/kitchen");
		}
		const read = readForm(schema, form);
		if ("wrong" in read) return data({ ...read, stale: null }, { status: 400 });
		const fields = fieldsOf(read.value);
		if (id === "new") await addEquipment(visit.store, subject, visit.who, fields);
		else
			await foundOr404(
				changeEquipment(visit.store, subject, id, version, visit.who, fields as never),
				words(subject),
			);
		return redirect("/kitchen");
	} catch (error) {
		if (error instanceof Refusal) return data({ typed, wrong: wrongOf(error), stale: null }, { status: 400 });
		if (error instanceof Stale) {
			return data({ typed, wrong: {}, stale: staleView(error, visit.reading) }, { status: 409 });
		}
		throw error;
	}
}

function words(subject: "panType" | "oven"): string {
	return subject === "oven" ? "oven" : "kind of pan";
}
