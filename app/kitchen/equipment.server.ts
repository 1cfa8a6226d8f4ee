import type { Static, TObject } from "@sinclair/typebox";
import { redirect } from "react-router";
import { addEquipment, changeEquipment, type EquipmentSubject } from "#db";
import { readForm, typedIn, versionOf } from "../ui/forms/form.ts";
import { doneOrSaid, refused } from "../ui/server/said.server.ts";
import { foundOr404, type HouseVisit } from "../ui/server/visit.ts";

type Fields<S extends EquipmentSubject> = Omit<Parameters<typeof addEquipment<S>>[3], never>;

/**
 * Saves, adds or retires one piece of equipment from its form.
 *
 * @param id `new` adds one
 */
export async function saveEquipment<S extends EquipmentSubject, F extends TObject>(
	visit: HouseVisit,
	subject: S,
	id: string,
	form: FormData,
	schema: F,
	fieldsOf: (typed: Static<F>) => Fields<S>,
) {
	const typed = typedIn(form);
	const version = versionOf(typed);
	const change = (fields: object) =>
		foundOr404(
			changeEquipment(visit.store, subject, id, version, visit.who, fields as never),
			WORDS[subject],
		);
	return doneOrSaid(typed, visit.reading, async () => {
		if (typed.intent === "retire") {
			await change({ retired: true });
			return redirect("/kitchen");
		}
		const read = readForm(schema, form);
		if ("wrong" in read) return refused(read.typed, read.wrong);
		const fields = fieldsOf(read.value);
		if (id === "new") await addEquipment(visit.store, subject, visit.who, fields);
		else await change(fields);
		return redirect("/kitchen");
	});
}

const WORDS: Readonly<Record<EquipmentSubject, string>> = {
	panType: "kind of pan",
	oven: "oven",
	cook: "cook",
	standingPlace: "place",
	houseCode: "house code",
};
