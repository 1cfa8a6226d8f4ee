import { chakra } from "@chakra-ui/react/styled-system";
import { useState } from "react";
import { data } from "react-router";
import { PAN_MATERIAL_KEYS, PAN_MATERIALS, PAN_USE_KEYS, PAN_USES, PanEntry, panFields } from "#core/kitchen";
import { depthOf, emptyPanWeight, GASTRONORM_SIZES, shapeOfSizes, volumeBelow } from "#core/pans";
import { written } from "#core/quantity";
import { readPanTypes } from "#db";
import { PanFromAbove } from "../ui/drawings/PanFromAbove.tsx";
import { panDrawing } from "../ui/drawings/panDrawing.ts";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { Figure, Muted } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/pan.route";
import { EquipmentForm, shownIn } from "./EquipmentForm.tsx";
import { saveEquipment } from "./equipment.server.ts";
import { WaterMarks } from "./WaterMarks.tsx";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: `${loaderData?.title ?? "Pan"} · Kitchen` },
];

const EMPTY = { name: "", kind: "gn", gn: "1/1", depth_mm: "100", stock: "4", use: "braise" };

export async function loader({ context, params }: Route.LoaderArgs) {
	const { store, reading } = await visitOf(context);
	if (params.panId === "new")
		return { title: "A new pan", typed: EMPTY, version: 0, pan: null, isNew: true, sizes: GASTRONORM_SIZES };
	const row = (await readPanTypes(store.db)).find((pan) => pan.id === params.panId);
	if (!row) throw data({ missing: "kind of pan" }, { status: 404 });
	const shape = shapeOfSizes(row);
	return {
		title: row.name,
		version: row.version,
		isNew: false,
		sizes: GASTRONORM_SIZES,
		typed: {
			...Object.fromEntries(
				Object.entries(row).flatMap(([field, value]) => (value === null ? [] : [[field, String(value)]])),
			),
			...litresTyped("low_l", row.lowMark_ml),
			...litresTyped("high_l", row.highMark_ml),
			...(row.heat_w === null ? {} : { heat_kW: written(row.heat_w / 1000) }),
		},
		pan: {
			brim: reading.volume(volumeBelow(shape, depthOf(shape))),
			empty: reading.mass(emptyPanWeight(shape)),
			drawing: panDrawing(shape, reading),
		},
	};
}

function litresTyped(field: string, ml: number | null): Record<string, string> {
	return ml === null ? {} : { [field]: written(ml / 1000) };
}

export async function action({ context, params, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	return saveEquipment(visit, "panType", params.panId, await formOf(request), PanEntry, panFields);
}

export default function Pan({ loaderData, actionData }: Route.ComponentProps) {
	const { typed, wrong, frame } = shownIn(loaderData, actionData);
	const [kind, setKind] = useState(typed.kind);
	return (
		<EquipmentForm {...frame} beside={loaderData.pan ? <Beside pan={loaderData.pan} /> : null}>
			<Field
				label="Name on the shelf"
				name="name"
				aria-required
				defaultValue={typed.name}
				wrong={wrong.name}
			/>
			<Field
				label="How many there are"
				name="stock"
				inputMode="numeric"
				defaultValue={typed.stock}
				wrong={wrong.stock}
			/>
			<Choice
				label="Shape"
				name="kind"
				defaultValue={typed.kind}
				wrong={wrong.kind}
				onChange={(event) => setKind(event.target.value)}
			>
				<option value="gn">Gastronorm</option>
				<option value="round">Round</option>
				<option value="box">Box, straight walls</option>
			</Choice>
			<Choice label="For" name="use" defaultValue={typed.use} wrong={wrong.use}>
				{PAN_USE_KEYS.map((use) => (
					<option key={use} value={use}>
						{PAN_USES[use]}
					</option>
				))}
			</Choice>
			<Choice label="Inside" name="material" defaultValue={typed.material ?? "steel"} wrong={wrong.material}>
				{PAN_MATERIAL_KEYS.map((material) => (
					<option key={material} value={material}>
						{PAN_MATERIALS[material]}
					</option>
				))}
			</Choice>
			<chakra.div hidden={kind !== "gn"}>
				<Choice label="Gastronorm size" name="gn" defaultValue={typed.gn ?? "1/1"} wrong={wrong.gn}>
					{loaderData.sizes.map((size) => (
						<option key={size}>{size}</option>
					))}
				</Choice>
			</chakra.div>
			<chakra.div hidden={kind !== "round"}>
				<Field
					label="Inside diameter"
					name="diameter_mm"
					after="mm"
					inputMode="numeric"
					defaultValue={typed.diameter_mm}
					wrong={wrong.diameter_mm}
				/>
			</chakra.div>
			<chakra.div hidden={kind !== "box"}>
				<Field
					label="Inside length"
					name="length_mm"
					after="mm"
					inputMode="numeric"
					defaultValue={typed.length_mm}
					wrong={wrong.length_mm}
				/>
			</chakra.div>
			<chakra.div hidden={kind !== "box"}>
				<Field
					label="Inside width"
					name="width_mm"
					after="mm"
					inputMode="numeric"
					defaultValue={typed.width_mm}
					wrong={wrong.width_mm}
				/>
			</chakra.div>
			<Field
				label="Depth"
				name="depth_mm"
				after="mm"
				inputMode="numeric"
				defaultValue={typed.depth_mm}
				wrong={wrong.depth_mm}
			/>
			<Field
				label="Heat of its own, if it has one"
				name="heat_kW"
				after="kW"
				inputMode="decimal"
				defaultValue={typed.heat_kW}
				wrong={wrong.heat_kW}
			/>
			<chakra.fieldset gridColumn="1 / -1" hidden={kind === "gn"}>
				<chakra.legend fontWeight="650">Measured with water, up to two marks; or neither</chakra.legend>
				<WaterMarks typed={typed} wrong={wrong} />
			</chakra.fieldset>
		</EquipmentForm>
	);
}

function Beside({ pan }: { readonly pan: NonNullable<Route.ComponentProps["loaderData"]["pan"]> }) {
	return (
		<>
			<PanFromAbove pan={pan.drawing} />
			<chakra.p marginTop="10px">
				<Figure size="large">{pan.brim}</Figure> <Muted>to the brim,</Muted> <Figure>{pan.empty}</Figure>{" "}
				<Muted>empty, from its sizes</Muted>
			</chakra.p>
		</>
	);
}
