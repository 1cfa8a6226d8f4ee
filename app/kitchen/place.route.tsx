import { data } from "react-router";
import { USUAL_UA_W_PER_K } from "#core/carry";
import { PLACE_KINDS, PlaceEntry, placeFields, USUAL_AIR_C } from "#core/kitchen";
import { written } from "#core/quantity";
import { readStandingPlaces } from "#db";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/place.route";
import { EquipmentForm, shownIn } from "./EquipmentForm.tsx";
import { saveEquipment } from "./equipment.server.ts";
import { PLACE_KIND_WORDS } from "./placeWords.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: `${loaderData?.title ?? "Place"} · Kitchen` },
];

export async function loader({ context, params }: Route.LoaderArgs) {
	const { store } = await visitOf(context);
	if (params.placeId === "new") {
		const typed = {
			name: "",
			kind: "chiller",
			capacity: "",
			air_C: "",
			rated_kg: "",
			power_kW: "",
			loses_W_per_K: "",
		};
		return { title: "A new chiller, fridge, warmer or box", isNew: true, version: 0, typed };
	}
	const row = (await readStandingPlaces(store.db)).find(({ id }) => id === params.placeId);
	if (!row) throw data({ missing: "place" }, { status: 404 });
	return {
		title: row.name,
		isNew: false,
		version: row.version,
		typed: {
			name: row.name,
			kind: row.kind,
			capacity: String(row.capacity),
			air_C: row.air_C === null ? "" : String(row.air_C),
			rated_kg: row.rated_kg === null ? "" : written(row.rated_kg),
			power_kW: row.power_w === null ? "" : written(row.power_w / 1000),
			loses_W_per_K: row.loses_W_per_K === null ? "" : written(row.loses_W_per_K),
		},
	};
}

export async function action({ context, params, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	const form = await formOf(request);
	return saveEquipment(visit, "standingPlace", params.placeId, form, PlaceEntry, placeFields);
}

export default function Place({ loaderData, actionData }: Route.ComponentProps) {
	const { typed, wrong, frame } = shownIn(loaderData, actionData);
	return (
		<EquipmentForm {...frame} beside={null}>
			<Field label="Name" name="name" aria-required defaultValue={typed.name} wrong={wrong.name} />
			<Choice label="Kind" name="kind" defaultValue={typed.kind} wrong={wrong.kind}>
				{PLACE_KINDS.map((kind) => (
					<option key={kind} value={kind}>
						{PLACE_KIND_WORDS[kind].counted}
					</option>
				))}
			</Choice>
			<Field
				label="Takes so many pans, litres or plates; boxes: how many there are"
				name="capacity"
				inputMode="numeric"
				defaultValue={typed.capacity}
				wrong={wrong.capacity}
			/>
			<Field
				label={`Its air, °C, where it cools (usually ${USUAL_AIR_C.chiller} in a chiller, ${USUAL_AIR_C.fridge} in a fridge)`}
				name="air_C"
				inputMode="numeric"
				defaultValue={typed.air_C}
				wrong={wrong.air_C}
			/>
			<Field
				label="A blast chiller: kg from 90 to 3 °C in 90 min, from its plate"
				name="rated_kg"
				inputMode="decimal"
				defaultValue={typed.rated_kg}
				wrong={wrong.rated_kg}
			/>
			<Field
				label="Heat it takes away, kW, where its plate says only that"
				name="power_kW"
				inputMode="decimal"
				defaultValue={typed.power_kW}
				wrong={wrong.power_kW}
			/>
			<Field
				label={`Heat an insulated box of three GN 1/1-100 loses, W/K (usually ${USUAL_UA_W_PER_K})`}
				name="loses_W_per_K"
				inputMode="decimal"
				defaultValue={typed.loses_W_per_K}
				wrong={wrong.loses_W_per_K}
			/>
		</EquipmentForm>
	);
}
