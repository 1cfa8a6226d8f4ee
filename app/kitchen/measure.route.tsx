import { chakra } from "@chakra-ui/react/styled-system";
import { type FormEvent, useRef, useState } from "react";
import { Form } from "react-router";
import { Refusal } from "#core/check";
import { PAN_USE_KEYS, PAN_USES, PanEntry, panFields } from "#core/kitchen";
import { checkMeasured, insideAt, type PanShape, volumeBelow } from "#core/pans";
import { numbersIn } from "#core/quantity";
import { PanCut } from "../ui/drawings/PanCut.tsx";
import { panDrawing } from "../ui/drawings/panDrawing.ts";
import { Choice, Field } from "../ui/forms/Field.tsx";
import type { Typed, Wrong } from "../ui/forms/form.ts";
import { Act, ActLink, Figure, Key, Muted, Note, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { visitOf } from "../ui/server/visit.ts";
import { measuresIn } from "../ui/words/measures.ts";
import type { Route } from "./+types/measure.route";
import { saveEquipment } from "./equipment.server.ts";
import { WaterMarks } from "./WaterMarks.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Measure a pan · Kitchen" }];

export async function loader({ context }: Route.LoaderArgs) {
	const { reading } = await visitOf(context);
	return { units: reading.units };
}

export async function action({ context, request }: Route.ActionArgs) {
	return saveEquipment(await visitOf(context), "panType", "new", await formOf(request), PanEntry, panFields);
}

const Step = chakra("li", {
	base: {
		display: "grid",
		gap: "8px",
		borderTop: "2px solid",
		borderColor: "steel",
		paddingBlock: "10px 16px",
	},
});
const Fields = chakra("div", {
	base: {
		display: "grid",
		gap: "12px 14px",
		gridTemplateColumns: { base: "minmax(0,1fr)", sm: "repeat(2, minmax(0, 1fr))" },
	},
});

/** A pan without a name in any list: measured with a rule and a jug, in three steps. */
export default function Measure({ loaderData, actionData }: Route.ComponentProps) {
	const typed: Typed = actionData?.typed ?? { kind: "box", stock: "1", use: "braise" };
	const wrong: Wrong = actionData?.wrong ?? {};
	const form = useRef<HTMLFormElement>(null);
	const [now, setNow] = useState<Typed>(typed);
	const follow = (event: FormEvent<HTMLFormElement>) =>
		setNow(
			Object.fromEntries(
				[...new FormData(event.currentTarget)].map(([name, value]) => [name, String(value)]),
			),
		);
	const round = now.kind === "round";
	return (
		<Page>
			<Title>Measure a pan</Title>
			<Muted display="block" marginBottom="12px">
				A rule and a jug are enough. Two marks of water tell how much the walls lean.
			</Muted>
			<chakra.div
				display="grid"
				gap="10px"
				alignItems="start"
				gridTemplateColumns={{ base: "minmax(0,1fr)", lg: "minmax(0, 560px) minmax(0, 1fr)" }}
			>
				<Sheet>
					<Form method="post" ref={form} onInput={follow}>
						<input type="hidden" name="version" value="0" />
						<ol>
							<Step>
								<b>1. Across the inside of the rim, and straight down</b>
								<Fields>
									<Choice label="Outline" name="kind" defaultValue={typed.kind} wrong={wrong.kind}>
										<option value="box">rectangle</option>
										<option value="round">round</option>
									</Choice>
									<Field
										label="Depth"
										name="depth_mm"
										after="mm"
										inputMode="numeric"
										defaultValue={typed.depth_mm}
										wrong={wrong.depth_mm}
									/>
									<chakra.div hidden={round}>
										<Field
											label="Length inside"
											name="length_mm"
											after="mm"
											inputMode="numeric"
											defaultValue={typed.length_mm}
											wrong={wrong.length_mm}
										/>
									</chakra.div>
									<chakra.div hidden={round}>
										<Field
											label="Width inside"
											name="width_mm"
											after="mm"
											inputMode="numeric"
											defaultValue={typed.width_mm}
											wrong={wrong.width_mm}
										/>
									</chakra.div>
									<chakra.div hidden={!round}>
										<Field
											label="Diameter inside"
											name="diameter_mm"
											after="mm"
											inputMode="numeric"
											defaultValue={typed.diameter_mm}
											wrong={wrong.diameter_mm}
										/>
									</chakra.div>
								</Fields>
							</Step>
							<Step>
								<b>2. Mark the wall low and high, and pour to each</b>
								<Muted>About a third and four fifths up. Leave both empty if the walls stand straight.</Muted>
								<WaterMarks typed={typed} wrong={wrong} />
							</Step>
							<Step>
								<b>3. Name it</b>
								<Fields>
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
									<Choice label="For" name="use" defaultValue={typed.use} wrong={wrong.use}>
										{PAN_USE_KEYS.map((use) => (
											<option key={use} value={use}>
												{PAN_USES[use]}
											</option>
										))}
									</Choice>
								</Fields>
							</Step>
						</ol>
						<chakra.div display="flex" flexWrap="wrap" gap="8px 12px">
							<Act kind="next" aria-keyshortcuts="a">
								Add it <Key aria-hidden>a</Key>
							</Act>
							<ActLink to="/kitchen" kind="quiet">
								Leave it
							</ActLink>
						</chakra.div>
					</Form>
				</Sheet>
				<Sheet role="status" aria-label="The pan as it is measured">
					<Measured typed={now} units={loaderData.units} />
				</Sheet>
			</chakra.div>
		</Page>
	);
}

/** What the figures typed so far say of the pan. */
function Measured({ typed, units }: { readonly typed: Typed; readonly units: "metric" | "us" }) {
	const read = shapeTyped(typed);
	if (read === null) return <Muted>Its sizes come first; then it is drawn here.</Muted>;
	if ("wrong" in read) return <Note>{read.wrong}</Note>;
	const { shape, depth_mm, water_mm } = read;
	const measures = measuresIn(units);
	const { volume, length } = measures;
	const across = (mm: number) => {
		const inside = insideAt(shape, mm);
		return inside.kind === "circle" ? inside.diameter_mm : inside.length_mm;
	};
	const lean_mm = (across(depth_mm) - across(0)) / 2;
	const water = volume(volumeBelow(shape, water_mm));
	return (
		<chakra.div display="grid" gap="10px">
			<PanCut
				pan={panDrawing(shape, measures)}
				cut={{
					line_mm: water_mm,
					bed_mm: 0,
					lid: "",
					lineWords: "",
					line: length(water_mm),
					dip: length(depth_mm - water_mm),
					headspace_mm: 0,
					schools: [],
					words: `The pan cut through with ${water} of water, ${length(water_mm)} high.`,
				}}
			/>
			<p>
				<Figure size="large">{volume(volumeBelow(shape, depth_mm))}</Figure> <Muted>to the brim;</Muted>{" "}
				<Muted>
					{Math.abs(lean_mm) < 0.5
						? "the walls stand straight"
						: `each wall leans ${length(Math.abs(lean_mm))} ${lean_mm > 0 ? "outwards" : "inwards"} from floor to rim`}
					.
				</Muted>
			</p>
		</chakra.div>
	);
}

type Read =
	| { readonly wrong: string }
	| { readonly shape: PanShape; readonly depth_mm: number; readonly water_mm: number };

function shapeTyped(typed: Typed): Read | null {
	const number = (field: string) => {
		const numbers = numbersIn(typed[field] ?? "");
		const [value = 0] = numbers;
		return numbers.length === 1 && value > 0 ? value : null;
	};
	const round = typed.kind === "round";
	const length_mm = number(round ? "diameter_mm" : "length_mm");
	const width_mm = round ? length_mm : number("width_mm");
	const depth_mm = number("depth_mm");
	if (length_mm === null || width_mm === null || depth_mm === null) return null;
	const marks = ["lowMark_mm", "low_l", "highMark_mm", "high_l"].map(number);
	const [low_mm, low_l, high_mm, high_l] = marks;
	if (!low_mm || !low_l || !high_mm || !high_l) {
		const straight: PanShape = round
			? { round: { diameter_mm: length_mm, height_mm: depth_mm } }
			: { box: { length_mm, width_mm, depth_mm } };
		return { shape: straight, depth_mm, water_mm: low_mm ?? 0 };
	}
	const measured = {
		outline: round ? ("round" as const) : ("box" as const),
		length_mm,
		width_mm,
		depth_mm,
		low: { height_mm: low_mm, litres: low_l },
		high: { height_mm: high_mm, litres: high_l },
	};
	try {
		checkMeasured(measured);
	} catch (error) {
		if (error instanceof Refusal)
			return { wrong: `This cannot be one pan yet: ${error.problems[0]?.message}.` };
		throw error;
	}
	return { shape: { measured }, depth_mm, water_mm: high_mm };
}
