import { data } from "react-router";
import { CookEntry, cookFields, KINDS_OF_WORK, WORK_KEYS, workOf } from "#core/kitchen";
import { readCooks } from "#db";
import { TimeField } from "../ui/forms/DayField.tsx";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { visitOf } from "../ui/server/visit.ts";
import { minuteClock } from "../ui/words/reading.ts";
import type { Route } from "./+types/cook.route";
import { EquipmentForm, shownIn } from "./EquipmentForm.tsx";
import { saveEquipment } from "./equipment.server.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: `${loaderData?.title ?? "Somebody"} · Kitchen` },
];

export async function loader({ context, params }: Route.LoaderArgs) {
	const { store, house } = await visitOf(context);
	if (params.cookId === "new") {
		const { opens_min, closes_min } = house;
		const typed = { name: "", work: "everything", ...clocks({ opens_min, closes_min }) };
		return { title: "Somebody new", isNew: true, version: 0, typed };
	}
	const row = (await readCooks(store.db)).find(({ id }) => id === params.cookId);
	if (!row) throw data({ missing: "cook" }, { status: 404 });
	return {
		title: row.name,
		isNew: false,
		version: row.version,
		typed: { name: row.name, work: workOf(row.does), ...clocks(row) },
	};
}

function clocks({ opens_min, closes_min }: { readonly opens_min: number; readonly closes_min: number }) {
	return { opens: minuteClock(opens_min), closes: minuteClock(closes_min % 1440) };
}

export async function action({ context, params, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	return saveEquipment(visit, "cook", params.cookId, await formOf(request), CookEntry, cookFields);
}

export default function Cook({ loaderData, actionData }: Route.ComponentProps) {
	const { typed, wrong, frame } = shownIn(loaderData, actionData);
	return (
		<EquipmentForm {...frame} beside={null}>
			<Field label="Name" name="name" aria-required defaultValue={typed.name} wrong={wrong.name} />
			<Choice label="Works at" name="work" defaultValue={typed.work} wrong={wrong.work}>
				{WORK_KEYS.map((key) => (
					<option key={key} value={key}>
						{KINDS_OF_WORK[key].words}
					</option>
				))}
			</Choice>
			<TimeField label="Comes" name="opens" defaultValue={typed.opens} wrong={wrong.opens} />
			<TimeField label="Goes" name="closes" defaultValue={typed.closes} wrong={wrong.closes} />
		</EquipmentForm>
	);
}
