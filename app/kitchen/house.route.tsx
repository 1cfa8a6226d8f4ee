import { type Static, Type } from "@sinclair/typebox";
import { redirect } from "react-router";
import { Name, oneOf, refuse } from "#core/check";
import { ALLERGEN_LIST_KEYS, ALLERGEN_LISTS } from "#core/recipe";
import { HOUSE_CODE_KEYS, HOUSE_CODES } from "#core/safety";
import { SCALE_READINGS_G } from "#core/scaling";
import { changeEquipment, readPanTypes } from "#db";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { readForm, typedIn, type Wrong } from "../ui/forms/form.ts";
import { doneOrSaid, refused } from "../ui/server/said.server.ts";
import { visitOf } from "../ui/server/visit.ts";
import { minuteClock } from "../ui/words/reading.ts";
import type { Route } from "./+types/house.route";
import { EquipmentForm } from "./EquipmentForm.tsx";

export const meta: Route.MetaFunction = () => [{ title: "The house · Kitchen" }];

const TIME_ZONES = ["UTC", ...Intl.supportedValuesOf("timeZone")];

const CURRENCIES = Intl.supportedValuesOf("currency");

const SCALE_READINGS = SCALE_READINGS_G.map(String);

const ClockTime = Type.String({ pattern: "^([01]\\d|2[0-3]):[0-5]\\d$", allowed: "a time such as 06:00" });

const HouseForm = Type.Object({
	name: Name,
	timeZone: oneOf(TIME_ZONES, { allowed: "a time zone from the list" }),
	units: oneOf(["metric", "us"] as const),
	opens: ClockTime,
	closes: ClockTime,
	headspace_mm: Type.Integer({ minimum: 5, maximum: 100, allowed: "a headspace from 5 to 100 mm" }),
	lift_kg: Type.Number({ minimum: 3, maximum: 50, allowed: "a weight from 3 to 50 kg" }),
	houseCode: oneOf(HOUSE_CODE_KEYS),
	searPanId: Type.String({ maxLength: 40 }),
	currency: oneOf(CURRENCIES, { allowed: "a currency from the list" }),
	allergenList: oneOf(ALLERGEN_LIST_KEYS),
	scaleStep_g: oneOf(SCALE_READINGS),
	saltLow: Type.Number({ minimum: 0, maximum: 3, allowed: "a percentage from 0 to 3" }),
	saltHigh: Type.Number({ minimum: 0, maximum: 3, allowed: "a percentage from 0 to 3" }),
	confidence: Type.Integer({ minimum: 50, maximum: 99, allowed: "a whole number of days from 50 to 99" }),
	altitude_m: Type.Integer({
		minimum: -430,
		maximum: 5000,
		allowed: "a whole number of metres from −430 to 5,000",
	}),
	burners: Type.Integer({ minimum: 1, maximum: 40, allowed: "a whole number of burners from 1 to 40" }),
	hobPower_kW: Type.Number({ minimum: 0.5, maximum: 30, allowed: "a power from 0.5 to 30 kW" }),
	version: Type.Integer({ minimum: 1 }),
});

export async function loader({ context }: Route.LoaderArgs) {
	const { store, house } = await visitOf(context);
	const pans = await readPanTypes(store.db);
	return {
		version: house.version,
		typed: {
			name: house.name,
			timeZone: house.timeZone,
			units: house.units,
			opens: minuteClock(house.opens_min),
			closes: minuteClock(house.closes_min),
			headspace_mm: String(house.headspace_mm),
			lift_kg: String(house.liftLimit_g / 1000),
			houseCode: house.houseCode,
			searPanId: house.searPanId ?? "",
			burners: String(house.burners),
			hobPower_kW: String(house.hobPower_w / 1000),
			currency: house.currency,
			allergenList: house.allergenList,
			scaleStep_g: String(house.scaleStep_g),
			saltLow: String(house.saltLow_pct),
			saltHigh: String(house.saltHigh_pct),
			confidence: String(house.confidence_pct),
			altitude_m: String(house.altitude_m),
		},
		searPans: pans.filter((pan) => pan.use === "sear").map(({ id, name }) => ({ id, name })),
		codes: HOUSE_CODE_KEYS.map((key) => ({ key, name: HOUSE_CODES[key].name })),
		timeZones: TIME_ZONES,
		currencies: CURRENCIES,
		readings: SCALE_READINGS,
		lists: ALLERGEN_LIST_KEYS.map((key) => ({
			key,
			name: `${ALLERGEN_LISTS[key].words} (${ALLERGEN_LISTS[key].source})`,
		})),
	};
}

export async function action({ context, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	const form = await request.formData();
	const read = readForm(HouseForm, form);
	if ("wrong" in read) return refused(read.typed, read.wrong);
	return doneOrSaid(typedIn(form), visit.reading, async () => {
		const known = (await readPanTypes(visit.store.db)).map((pan) => pan.id);
		const fields = houseFields(read.value, known);
		await changeEquipment(visit.store, "house", visit.house.id, read.value.version, visit.who, fields);
		return redirect("/kitchen");
	});
}

function houseFields(typed: Static<typeof HouseForm>, pans: readonly string[]) {
	const { name, timeZone, units, headspace_mm, houseCode, burners, searPanId } = typed;
	const opens_min = minutesOf(typed.opens);
	const closes_min = minutesOf(typed.closes);
	if (closes_min <= opens_min)
		throw refuse("closes", `${typed.closes} was given; a time after ${typed.opens} is allowed`);
	if (typed.saltHigh < typed.saltLow)
		throw refuse("saltHigh", `${typed.saltHigh} was given; ${typed.saltLow} or more is allowed`);
	if (searPanId && !pans.includes(searPanId))
		throw refuse("searPanId", "is no pan of this kitchen any more; choose another");
	return {
		name,
		timeZone,
		units,
		opens_min,
		closes_min,
		headspace_mm,
		liftLimit_g: Math.round(typed.lift_kg * 1000),
		houseCode,
		burners,
		hobPower_w: Math.round(typed.hobPower_kW * 1000),
		searPanId: searPanId || null,
		currency: typed.currency,
		allergenList: typed.allergenList,
		scaleStep_g: Number(typed.scaleStep_g),
		saltLow_pct: typed.saltLow,
		saltHigh_pct: typed.saltHigh,
		confidence_pct: typed.confidence,
		altitude_m: typed.altitude_m,
	};
}

function minutesOf(clock: string): number {
	const [hours, minutes] = clock.split(":").map(Number);
	return (hours ?? 0) * 60 + (minutes ?? 0);
}

export default function House({ loaderData, actionData }: Route.ComponentProps) {
	const typed: Record<string, string | undefined> = { ...loaderData.typed, ...actionData?.typed };
	const wrong: Wrong = actionData?.wrong ?? {};
	return (
		<EquipmentForm
			title="The house"
			isNew={false}
			canRetire={false}
			stale={actionData?.stale ?? null}
			version={actionData?.stale?.version ?? loaderData.version}
			beside={
				<p>
					The house code sets the limits that sheets and cautions cite. The presets are reference only: the
					local authority and the licensed operator decide.
				</p>
			}
		>
			<Field label="Name" name="name" required defaultValue={typed.name} wrong={wrong.name} />
			<Choice label="Units" name="units" defaultValue={typed.units} wrong={wrong.units}>
				<option value="metric">kg, l, °C</option>
				<option value="us">lb, qt, °F</option>
			</Choice>
			<Choice label="Time zone" name="timeZone" defaultValue={typed.timeZone} wrong={wrong.timeZone}>
				{loaderData.timeZones.map((zone) => (
					<option key={zone}>{zone}</option>
				))}
			</Choice>
			<Choice label="House code" name="houseCode" defaultValue={typed.houseCode} wrong={wrong.houseCode}>
				{loaderData.codes.map(({ key, name }) => (
					<option key={key} value={key}>
						{name}
					</option>
				))}
			</Choice>
			<Field label="Opens" name="opens" type="time" defaultValue={typed.opens} wrong={wrong.opens} />
			<Field label="Closes" name="closes" type="time" defaultValue={typed.closes} wrong={wrong.closes} />
			<Field
				label="Headspace under the lid"
				name="headspace_mm"
				after="mm"
				inputMode="numeric"
				defaultValue={typed.headspace_mm}
				wrong={wrong.headspace_mm}
			/>
			<Field
				label="One may carry, hot"
				name="lift_kg"
				after="kg"
				inputMode="decimal"
				defaultValue={typed.lift_kg}
				wrong={wrong.lift_kg}
			/>
			<Choice label="Searing pan" name="searPanId" defaultValue={typed.searPanId} wrong={wrong.searPanId}>
				<option value="">none</option>
				{loaderData.searPans.map(({ id, name }) => (
					<option key={id} value={id}>
						{name}
					</option>
				))}
			</Choice>
			<Field
				label="Burners for searing"
				name="burners"
				inputMode="numeric"
				defaultValue={typed.burners}
				wrong={wrong.burners}
			/>
			<Field
				label="Heat of one burner that reaches the pot"
				name="hobPower_kW"
				after="kW"
				inputMode="decimal"
				defaultValue={typed.hobPower_kW}
				wrong={wrong.hobPower_kW}
			/>
			<Choice
				label="Allergens are declared by"
				name="allergenList"
				defaultValue={typed.allergenList}
				wrong={wrong.allergenList}
			>
				{loaderData.lists.map(({ key, name }) => (
					<option key={key} value={key}>
						{name}
					</option>
				))}
			</Choice>
			<Choice label="Currency" name="currency" defaultValue={typed.currency} wrong={wrong.currency}>
				{loaderData.currencies.map((currency) => (
					<option key={currency}>{currency}</option>
				))}
			</Choice>
			<Choice
				label="The scales read to"
				name="scaleStep_g"
				defaultValue={typed.scaleStep_g}
				wrong={wrong.scaleStep_g}
			>
				{loaderData.readings.map((grams) => (
					<option key={grams} value={grams}>
						{grams} g
					</option>
				))}
			</Choice>
			<Field
				label="Salt at the end, from"
				name="saltLow"
				after="%"
				inputMode="decimal"
				defaultValue={typed.saltLow}
				wrong={wrong.saltLow}
			/>
			<Field
				label="to"
				name="saltHigh"
				after="%"
				inputMode="decimal"
				defaultValue={typed.saltHigh}
				wrong={wrong.saltHigh}
			/>
			<Field
				label="Tender by the time it is lifted, on"
				name="confidence"
				after="days in 100"
				inputMode="numeric"
				defaultValue={typed.confidence}
				wrong={wrong.confidence}
			/>
			<Field
				label="Height above the sea"
				name="altitude_m"
				after="m"
				inputMode="numeric"
				defaultValue={typed.altitude_m}
				wrong={wrong.altitude_m}
			/>
		</EquipmentForm>
	);
}
