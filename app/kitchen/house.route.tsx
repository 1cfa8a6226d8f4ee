import { chakra } from "@chakra-ui/react/styled-system";
import { Type } from "@sinclair/typebox";
import { redirect } from "react-router";
import { CURRENCIES, HouseEntry, houseFields, SCALE_READINGS, timeZonesWith } from "#core/kitchen";
import { written } from "#core/quantity";
import { ALLERGEN_LIST_KEYS, ALLERGEN_LISTS } from "#core/recipe";
import { BY_PRODUCT_KINDS, BY_PRODUCTS } from "#core/trade";
import { changeEquipment, readHouseCodes, readPanTypes } from "#db";
import { TimeField } from "../ui/forms/DayField.tsx";
import { FallNote } from "../ui/forms/FallSheet.tsx";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { confirmedIn } from "../ui/forms/fall.ts";
import { readForm, typedIn, type Wrong } from "../ui/forms/form.ts";
import { codeChoices } from "../ui/server/codeChoices.ts";
import { formOf } from "../ui/server/formOf.ts";
import { doneOrSaid, refused } from "../ui/server/said.server.ts";
import { panNames } from "../ui/server/sittingNames.ts";
import { visitOf } from "../ui/server/visit.ts";
import { minorUnitsOf, minuteClock } from "../ui/words/reading.ts";
import type { Route } from "./+types/house.route";
import { EquipmentForm } from "./EquipmentForm.tsx";
import { MEANS, movedWith } from "./zoneMoved.ts";

export const meta: Route.MetaFunction = () => [{ title: "The house · Kitchen" }];

const HouseForm = Type.Object({ ...HouseEntry.properties, version: Type.Integer({ minimum: 1 }) });

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
			closes: minuteClock(house.closes_min % 1440),
			headspace_mm: String(house.headspace_mm),
			lift_kg: written(house.liftLimit_g / 1000),
			houseCode: house.houseCode,
			searPanId: house.searPanId ?? "",
			burners: String(house.burners),
			hobPower_kW: written(house.hobPower_w / 1000),
			currency: house.currency,
			allergenList: house.allergenList,
			scaleStep_g: String(house.scaleStep_g),
			saltLow: written(house.saltLow_pct),
			saltHigh: written(house.saltHigh_pct),
			confidence: String(house.confidence_pct),
			altitude_m: String(house.altitude_m),
			chilled_days: String(house.chilled_days),
			frozen_days: String(house.frozen_days),
			opened_days: String(house.opened_days),
			...Object.fromEntries(
				BY_PRODUCT_KINDS.map((kind) => {
					const perKg = house.byProductWorth[kind];
					return [`worth_${kind}`, perKg === undefined ? "" : written(perKg / minorUnitsOf(house.currency))];
				}),
			),
		},
		searPans: pans.filter((pan) => pan.use === "sear").map(({ id, name }) => ({ id, name })),
		codes: await codeChoices(store.db),
		timeZones: timeZonesWith(house.timeZone),
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
	const form = await formOf(request);
	const read = readForm(HouseForm, form);
	if ("wrong" in read) return refused(read.typed, read.wrong);
	return doneOrSaid(
		typedIn(form),
		visit.reading,
		async () => {
			const known = (await readPanTypes(visit.store.db)).map((pan) => pan.id);
			const { version, ...entry } = read.value;
			const codes = [...(await readHouseCodes(visit.store.db)).keys()];
			const fields = houseFields(entry, known, codes, minorUnitsOf(entry.currency));
			const confirmed = confirmedIn(typedIn(form));
			const { store, who } = visit;
			const moved = await movedWith(visit, fields.timeZone, typedIn(form).sittingsMean ?? "");
			await changeEquipment(store, "house", visit.house.id, version, who, fields, { confirmed, moved });
			return redirect("/kitchen");
		},
		() => panNames(visit.store.db),
	);
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
			saved={actionData === undefined}
			version={actionData?.stale?.version ?? loaderData.version}
			above={<FallNote answered={actionData} />}
			beside={
				<p>
					The house code sets the limits that sheets and cautions cite. The presets are reference only: the
					local authority and the licensed operator decide.
				</p>
			}
		>
			<Field label="Name" name="name" aria-required defaultValue={typed.name} wrong={wrong.name} />
			<Choice label="Units" name="units" defaultValue={typed.units} wrong={wrong.units}>
				<option value="metric">kg, l, °C</option>
				<option value="us">lb, qt, °F</option>
			</Choice>
			<Choice label="Time zone" name="timeZone" defaultValue={typed.timeZone} wrong={wrong.timeZone}>
				{loaderData.timeZones.map((zone) => (
					<option key={zone}>{zone}</option>
				))}
			</Choice>
			{typed.timeZone === loaderData.typed.timeZone ? null : (
				<Choice
					label="Sittings to come are served at"
					name="sittingsMean"
					defaultValue={typed.sittingsMean ?? ""}
					wrong={wrong.sittingsMean}
				>
					<option value="" disabled>
						choose
					</option>
					{Object.entries(MEANS).map(([key, words]) => (
						<option key={key} value={key}>
							{words}
						</option>
					))}
				</Choice>
			)}
			<Choice label="House code" name="houseCode" defaultValue={typed.houseCode} wrong={wrong.houseCode}>
				{loaderData.codes.map(({ key, name }) => (
					<option key={key} value={key}>
						{name}
					</option>
				))}
			</Choice>
			<TimeField label="Opens" name="opens" defaultValue={typed.opens} wrong={wrong.opens} />
			<TimeField label="Closes" name="closes" defaultValue={typed.closes} wrong={wrong.closes} />
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
			<Choice
				label="Searing pan on the hob"
				name="searPanId"
				defaultValue={typed.searPanId}
				wrong={wrong.searPanId}
			>
				<option value="">the first there is</option>
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
			<chakra.div gridColumn="1 / -1">
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
			</chakra.div>
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
			<Field
				label="Made ahead it keeps, chilled, the first day counted"
				name="chilled_days"
				after="days"
				inputMode="numeric"
				defaultValue={typed.chilled_days}
				wrong={wrong.chilled_days}
			/>
			<Field
				label="Frozen it keeps"
				name="frozen_days"
				after="days"
				inputMode="numeric"
				defaultValue={typed.frozen_days}
				wrong={wrong.frozen_days}
			/>
			<Field
				label="Opened or thawed it keeps"
				name="opened_days"
				after="days"
				inputMode="numeric"
				defaultValue={typed.opened_days}
				wrong={wrong.opened_days}
			/>
			{BY_PRODUCT_KINDS.map((kind) => (
				<Field
					key={kind}
					label={`A kilo of ${BY_PRODUCTS[kind]} is worth`}
					name={`worth_${kind}`}
					after={typed.currency}
					inputMode="decimal"
					defaultValue={typed[`worth_${kind}`]}
					wrong={wrong[`worth_${kind}`]}
				/>
			))}
		</EquipmentForm>
	);
}
