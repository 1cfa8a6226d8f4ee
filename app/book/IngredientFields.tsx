import { chakra } from "@chakra-ui/react/styled-system";
import { CATEGORIES, CATEGORY_KEYS, ORIGINS, SUPPLIERS } from "#core/recipe";
import { CUTS, cutWords } from "#core/trade";
import { AllergenTicks } from "../ui/forms/AllergenTicks.tsx";
import { Choice, Field } from "../ui/forms/Field.tsx";
import type { Typed, Wrong } from "../ui/forms/form.ts";
import { TickBoxes } from "../ui/forms/TickBoxes.tsx";
import { Muted } from "../ui/parts/parts.tsx";

const Grid = chakra("div", {
	base: { display: "grid", gap: "10px 12px", gridTemplateColumns: "repeat(auto-fill, minmax(170px, 1fr))" },
});

/** Everything that can be said of an ingredient, as it is typed. */
export function IngredientFields({
	typed,
	wrong,
	currency,
}: {
	readonly typed: Typed;
	readonly wrong: Wrong;
	/** Of a new one: the money its first price is typed in. */
	readonly currency?: string;
}) {
	const isNew = currency !== undefined;
	return (
		<>
			<Field
				label="Name"
				name="name"
				aria-required
				autoFocus={isNew}
				maxLength={120}
				defaultValue={typed.name}
				wrong={wrong.name}
			/>
			<Grid>
				<Choice
					label="It is"
					name="category"
					aria-required
					defaultValue={typed.category}
					wrong={wrong.category}
				>
					{isNew ? <option value="">choose</option> : null}
					{CATEGORY_KEYS.map((key) => (
						<option key={key} value={key}>
							{CATEGORIES[key].words}
						</option>
					))}
				</Choice>
				<Choice label="Cut, where it is one" name="cut" defaultValue={typed.cut} wrong={wrong.cut}>
					<option value="">–</option>
					{CUTS.map((cut) => (
						<option key={cut} value={cut}>
							{cutWords(cut)}
						</option>
					))}
				</Choice>
				<Choice label="Ordered from" name="supplier" defaultValue={typed.supplier} wrong={wrong.supplier}>
					<option value="">as usual for its kind</option>
					{Object.entries(SUPPLIERS).map(([key, words]) => (
						<option key={key} value={key}>
							{words}
						</option>
					))}
				</Choice>
				<Field
					label="Density"
					name="density"
					after="g/ml"
					inputMode="decimal"
					defaultValue={typed.density}
					wrong={wrong.density}
				/>
				<Field label="One weighs" name="each" defaultValue={typed.each} wrong={wrong.each} />
				<Field
					label="Usual trim"
					name="trim"
					after="%"
					inputMode="decimal"
					defaultValue={typed.trim}
					wrong={wrong.trim}
				/>
				<Field
					label="Usual pack"
					name="pack"
					placeholder="5 kg or 5 l"
					defaultValue={typed.pack}
					wrong={wrong.pack}
				/>
				{isNew ? (
					<Field
						label="A pack costs"
						name="price"
						after={currency}
						inputMode="decimal"
						placeholder="not known"
						defaultValue={typed.price}
						wrong={wrong.price}
					/>
				) : null}
				<Field
					label="Salt in 100 g"
					name="salt"
					after="g"
					inputMode="decimal"
					placeholder="as usual"
					defaultValue={typed.salt}
					wrong={wrong.salt}
				/>
				<Field
					label="Gives up as liquid"
					name="water"
					after="%"
					inputMode="decimal"
					placeholder="as usual"
					defaultValue={typed.water}
					wrong={wrong.water}
				/>
				<Choice label="Takes room in the pan" name="room" defaultValue={typed.room} wrong={wrong.room}>
					<option value="">as usual for its kind</option>
					<option value="yes">yes, it lies there</option>
					<option value="no">no, it goes into the liquid</option>
				</Choice>
			</Grid>
			<Muted>A pack in litres is taken at a kilo a litre where no density is given.</Muted>
			<AllergenTicks
				name="described"
				label="Its allergens are described: it is free of what is not ticked below"
				until={
					isNew
						? "Until this is ticked it is not declared, and no dish with it counts as free of anything."
						: ""
				}
				typed={typed}
			/>
			<TickBoxes
				legend="Comes from, where its kind does not say it"
				of="origin"
				names={ORIGINS}
				words={Object.fromEntries(ORIGINS.map((origin) => [origin, origin]))}
				typed={typed}
			/>
		</>
	);
}
