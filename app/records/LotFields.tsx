import { chakra } from "@chakra-ui/react/styled-system";
import { Link } from "react-router";
import { AllergenTicks } from "../ui/forms/AllergenTicks.tsx";
import { Field, Input, Wrong } from "../ui/forms/Field.tsx";
import type { Typed, Wrong as Wrongs } from "../ui/forms/form.ts";
import { Tick } from "../ui/forms/Tick.tsx";
import { Muted } from "../ui/parts/parts.tsx";
import type { PanTyped } from "./lotTyped.ts";

const Legend = chakra("legend", { base: { fontFamily: "head", fontWeight: "700", fontSize: "19px" } });
const Row = chakra("li", {
	base: {
		display: "grid",
		gap: "6px 10px",
		gridTemplateColumns: { base: "70px minmax(0,1fr)", sm: "70px minmax(0,2fr) minmax(0,1fr) minmax(0,1fr)" },
		marginTop: "6px",
	},
});

const PAN_CELLS: readonly (readonly [keyof PanTyped, string])[] = [
	["tag", "Tag"],
	["vessel", "Pan"],
	["kg", "Weight"],
	["depth", "Deep"],
];

interface FieldsProps {
	readonly typed: Typed;
	readonly wrong: Wrongs;
}

/** Pans as they really are, a row each; a row left empty is no pan. */
export function PanRows({
	rows,
	typed,
	wrong,
	units,
}: FieldsProps & { readonly rows: readonly PanTyped[]; readonly units: { weight: string; depth: string } }) {
	return (
		<chakra.fieldset marginTop="14px">
			<Legend>Pans, as they really are</Legend>
			<Row as="div" aria-hidden color="muted" hideBelow="sm">
				{PAN_CELLS.map(([field, words]) => (
					<span key={field}>{field === "depth" ? `${words}, ${units.depth}` : words}</span>
				))}
			</Row>
			<chakra.ol listStyle="none">
				{rows.map((row, index) => (
					// biome-ignore lint/suspicious/noArrayIndexKey: a row is its place
					<Row key={index}>
						{PAN_CELLS.map(([field, words]) => {
							const name = `pan.${index}.${field}`;
							return (
								<chakra.span key={field} display="grid" gap="4px" minWidth="0">
									<Input
										aria-label={`${words} of pan ${row.tag || index + 1}`}
										name={name}
										autoComplete="off"
										defaultValue={typed[name] ?? row[field]}
										aria-invalid={wrong[name] ? true : undefined}
									/>
									{wrong[name] ? <Wrong data-wrong>{wrong[name]}</Wrong> : null}
								</chakra.span>
							);
						})}
					</Row>
				))}
			</chakra.ol>
			<Muted>A row without weight and depth is no pan.</Muted>
		</chakra.fieldset>
	);
}

/** Something that a lot can be made from. */
export interface SourceChoice {
	readonly number: number;
	readonly words: string;
	readonly isTicked: boolean;
}

interface SourcesProps extends FieldsProps {
	readonly deliveries: readonly SourceChoice[];
	readonly lots: readonly SourceChoice[];
}

/** What it was made from: deliveries, and lots of the house itself. Nothing is ticked by itself. */
export function SourceTicks({ deliveries, lots, typed, wrong }: SourcesProps) {
	return (
		<>
			<chakra.fieldset marginTop="14px">
				<Legend>Made from these deliveries</Legend>
				{deliveries.length === 0 ? (
					<p>
						None was written down in three weeks.{" "}
						<Link to="/records/deliveries/new">Write one down first</Link>, or leave it.
					</p>
				) : null}
				{deliveries.map((one) => (
					<SourceTick key={one.number} name="from" choice={one} />
				))}
				<Wrongly words={wrong.from} />
			</chakra.fieldset>
			{lots.length === 0 ? null : (
				<chakra.fieldset marginTop="14px">
					<Legend>And from these lots</Legend>
					{lots.map((one) => (
						<SourceTick key={one.number} name="fromLots" choice={one} />
					))}
					<Wrongly words={wrong.fromLots} />
					<Field
						label="Cooked through after that, how (empty: it was not, and keeps no longer than they)"
						name="cookedThrough"
						maxLength={200}
						placeholder="boiled 10 min, core 92 °C"
						defaultValue={typed.cookedThrough}
						wrong={wrong.cookedThrough}
					/>
				</chakra.fieldset>
			)}
		</>
	);
}

function Wrongly({ words }: { readonly words: string | undefined }) {
	return words ? <chakra.p fontWeight="700">▲ {words}</chakra.p> : null;
}

function SourceTick({ name, choice }: { readonly name: string; readonly choice: SourceChoice }) {
	return (
		<Tick name={name} value={choice.number} defaultChecked={choice.isTicked}>
			{choice.words}
		</Tick>
	);
}

/** What it declares, by somebody who knows. */
export function NamedAllergens({ typed }: { readonly typed: Typed }) {
	return (
		<chakra.div marginTop="14px" display="grid" gap="6px">
			<AllergenTicks
				name="named"
				label="Its allergens are named: it is free of what is not ticked below"
				until="Until this is ticked they are not known, and nobody uses it."
				typed={typed}
			/>
		</chakra.div>
	);
}
