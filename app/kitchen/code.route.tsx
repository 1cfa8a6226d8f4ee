import { data } from "react-router";
import {
	CodeEntry,
	codeOf,
	HOUSE_CODES,
	type HouseCode,
	KILL_TABLE_KEYS,
	KILL_TABLES,
	presetOf,
	typedCode,
} from "#core/safety";
import { readOwnCodes } from "#db";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/code.route";
import { EquipmentForm, shownIn } from "./EquipmentForm.tsx";
import { saveEquipment } from "./equipment.server.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: `${loaderData?.title ?? "House code"} · Kitchen` },
];

export async function loader({ context, params, request }: Route.LoaderArgs) {
	const { store, reading } = await visitOf(context);
	if (params.codeId === "new") {
		const preset = presetOf(new URL(request.url).searchParams.get("copy") ?? "") ?? HOUSE_CODES.blast90;
		const own: HouseCode = { ...preset, name: `${preset.name}, our own` };
		const typed = typedCode(own, reading.units === "us" ? "F" : "C");
		return { title: "A code of our own", isNew: true, version: 0, typed };
	}
	const row = (await readOwnCodes(store.db)).find(({ id }) => id === params.codeId);
	if (!row) throw data({ missing: "house code" }, { status: 404 });
	return { title: row.name, isNew: false, version: row.version, typed: typedCode(row) };
}

export async function action({ context, params, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	const form = await formOf(request);
	return saveEquipment(visit, "houseCode", params.codeId, form, CodeEntry, codeOf);
}

/** What is typed of a code: a temperature and its minutes side by side. */
const FIELDS: readonly (readonly [keyof CodeEntry, string, "decimal" | "numeric" | "text"])[] = [
	["name", "Name", "text"],
	["source", "Where the figures come from", "text"],
	["dated", "Of when", "text"],
	["standing_min", "May stand before it is cooled, min", "numeric"],
	["from_C", "Cooling counts from, or from going into the cold", "decimal"],
	["comingUp_min", "From cold to hot within, min", "numeric"],
	["holdHot_C", "Hold hot at, or hotter", "decimal"],
	["keepCold_C", "Keep cold at, or colder (empty: the coldest step)", "decimal"],
	["display_C", "Carry or show cold at, or colder (empty: as it is kept)", "decimal"],
	["first_C", "Cool to", "decimal"],
	["first_min", "within, min", "numeric"],
	["second_C", "And then to, or nothing", "decimal"],
	["second_min", "within, min from the start", "numeric"],
	["reheat_C", "Reheat to a core of", "decimal"],
	["reheat_min", "within, min, or without delay", "numeric"],
	["chilled_days", "Keeps, chilled, the day it is made counted, days", "numeric"],
	["frozen_days", "Keeps frozen, days", "numeric"],
	["opened_days", "Keeps once opened, days", "numeric"],
	["thawed_days", "Keeps after the night in which it thaws, days", "numeric"],
];

export default function Code({ loaderData, actionData }: Route.ComponentProps) {
	const { typed, wrong, frame } = shownIn(loaderData, actionData);
	return (
		<EquipmentForm
			{...frame}
			beside={
				<p>
					A code is what the kitchen works to, and is named wherever a limit is used. The local authority and
					the licensed operator decide.
				</p>
			}
		>
			<Choice label="Its temperatures are in" name="unit" defaultValue={typed.unit ?? "C"} wrong={wrong.unit}>
				<option value="C">°C</option>
				<option value="F">°F</option>
			</Choice>
			{FIELDS.map(([field, label, inputMode]) => (
				<Field
					key={field}
					label={label}
					name={field}
					inputMode={inputMode}
					defaultValue={typed[field]}
					wrong={wrong[field]}
				/>
			))}
			<Choice label="Its clock counts from" name="clock" defaultValue={typed.clock} wrong={wrong.clock}>
				<option value="firstPoint">the first point that is so cold: the stricter</option>
				<option value="warmest">the warmest point</option>
			</Choice>
			<Choice
				label="Gentle heat is held against"
				name="kill"
				defaultValue={typed.kill ?? ""}
				wrong={wrong.kill}
			>
				{KILL_TABLE_KEYS.map((key) => (
					<option key={key} value={key}>
						{KILL_TABLES[key].name}
					</option>
				))}
			</Choice>
		</EquipmentForm>
	);
}
