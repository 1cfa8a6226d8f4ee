import { data } from "react-router";
import { OvenEntry, ovenFields, ovenOutsideLimits } from "#core/kitchen";
import { GASTRONORM_SIZES } from "#core/pans";
import { written } from "#core/quantity";
import { readOvens } from "#db";
import { OvenCavity } from "../ui/drawings/OvenCavity.tsx";
import { shelfWidth } from "../ui/drawings/ovenPans.ts";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/oven.route";
import { EquipmentForm, shownIn } from "./EquipmentForm.tsx";
import { saveEquipment } from "./equipment.server.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: `${loaderData?.title ?? "Oven"} · Kitchen` },
];

const EMPTY = {
	name: "",
	kind: "fanOven",
	rungs: "10",
	pitch_mm: "65",
	shelf: "1/1",
	min_C: "60",
	max_C: "250",
	power_kW: "",
	runsHot_K: "",
	fan: "usual",
	opened_h: "",
};

export async function loader({ context, params }: Route.LoaderArgs) {
	const { store, reading } = await visitOf(context);
	const sizes = GASTRONORM_SIZES;
	if (params.ovenId === "new")
		return { title: "A new oven", typed: EMPTY, version: 0, oven: null, isNew: true, sizes };
	const row = (await readOvens(store.db)).find((oven) => oven.id === params.ovenId);
	if (!row) throw data({ missing: "oven" }, { status: 404 });
	return {
		title: row.name,
		version: row.version,
		isNew: false,
		sizes,
		typed: {
			...Object.fromEntries(Object.entries(row).map(([field, value]) => [field, String(value)])),
			power_kW: row.power_w === null ? "" : written(row.power_w / 1000),
			runsHot_K: row.runsHot_K === 0 ? "" : written(row.runsHot_K),
			opened_h: row.opened_h === null ? "" : written(row.opened_h),
		},
		oven:
			ovenOutsideLimits(row) !== null
				? null
				: {
						name: row.name,
						rungs: row.rungs,
						pitch_mm: row.pitch_mm,
						width_mm: shelfWidth(row.shelf),
						set: `${reading.temperature(row.min_C)} to ${reading.temperature(row.max_C)}`,
						// Cold while nothing stands in it.
						set_C: null,
						taken: [],
						pans: [],
						words: `${row.name}, empty, with ${row.rungs} rungs for GN ${row.shelf}.`,
					},
	};
}

export async function action({ context, params, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	return saveEquipment(visit, "oven", params.ovenId, await formOf(request), OvenEntry, ovenFields);
}

export default function Oven({ loaderData, actionData }: Route.ComponentProps) {
	const { typed, wrong, frame } = shownIn(loaderData, actionData);
	return (
		<EquipmentForm {...frame} beside={loaderData.oven ? <OvenCavity oven={loaderData.oven} /> : null}>
			<Field label="Name" name="name" aria-required defaultValue={typed.name} wrong={wrong.name} />
			<Choice label="Kind" name="kind" defaultValue={typed.kind} wrong={wrong.kind}>
				<option value="fanOven">fan</option>
				<option value="stillOven">still</option>
			</Choice>
			<Field label="Rungs" name="rungs" inputMode="numeric" defaultValue={typed.rungs} wrong={wrong.rungs} />
			<Field
				label="From rung to rung"
				name="pitch_mm"
				after="mm"
				inputMode="numeric"
				defaultValue={typed.pitch_mm}
				wrong={wrong.pitch_mm}
			/>
			<Choice label="A rung takes a gastronorm" name="shelf" defaultValue={typed.shelf} wrong={wrong.shelf}>
				{loaderData.sizes.map((size) => (
					<option key={size}>{size}</option>
				))}
			</Choice>
			<Field
				label="Power, on its rating plate"
				name="power_kW"
				after="kW"
				inputMode="decimal"
				defaultValue={typed.power_kW}
				wrong={wrong.power_kW}
			/>
			<Field
				label="Coolest"
				name="min_C"
				after="°C"
				inputMode="numeric"
				defaultValue={typed.min_C}
				wrong={wrong.min_C}
			/>
			<Field
				label="Hottest"
				name="max_C"
				after="°C"
				inputMode="numeric"
				defaultValue={typed.max_C}
				wrong={wrong.max_C}
			/>
			<Field
				label="Hotter than it says by (colder: −)"
				name="runsHot_K"
				after="°C"
				inputMode="text"
				defaultValue={typed.runsHot_K}
				wrong={wrong.runsHot_K}
			/>
			<Choice label="Its fan blows" name="fan" defaultValue={typed.fan} wrong={wrong.fan}>
				<option value="usual">as usual</option>
				<option value="slow">slowly</option>
				<option value="fast">fast</option>
			</Choice>
			<Field
				label="Opened to look (empty: once)"
				name="opened_h"
				after="an hour"
				inputMode="decimal"
				defaultValue={typed.opened_h}
				wrong={wrong.opened_h}
			/>
		</EquipmentForm>
	);
}
