import { chakra } from "@chakra-ui/react/styled-system";
import { DIET_KEYS, DIETS } from "#core/recipe";
import { MomentField } from "../ui/forms/DayField.tsx";
import { Choice, Field, LongText } from "../ui/forms/Field.tsx";
import type { Typed, Wrong } from "../ui/forms/form.ts";

const Grid = chakra("div", {
	base: { display: "grid", gap: "12px 14px", gridTemplateColumns: "repeat(2, minmax(0, 1fr))" },
});

/** The details of a sitting: what, where, when, for how many, with how many hands. */
export function DetailFields({
	typed,
	wrong,
	isNew = false,
	codes = [],
}: {
	readonly typed: Typed;
	readonly wrong: Wrong;
	/** House codes that it may work to instead of the house's. */
	readonly codes?: readonly { readonly key: string; readonly name: string }[];
	/** A new one begins at its name. */
	readonly isNew?: boolean;
}) {
	return (
		<Grid>
			<chakra.div gridColumn="1 / -1">
				<Field
					label="Sitting"
					name="name"
					aria-required
					autoFocus={isNew}
					maxLength={120}
					defaultValue={typed.name}
					wrong={wrong.name}
				/>
			</chakra.div>
			<Field
				label="Covers"
				name="covers"
				inputMode="numeric"
				aria-required
				defaultValue={typed.covers}
				wrong={wrong.covers}
				aria-keyshortcuts="c"
				data-key-name="Covers"
			/>
			<Field label="Room" name="room" maxLength={80} defaultValue={typed.room} wrong={wrong.room} />
			<chakra.div gridColumn="1 / -1">
				<MomentField label="Service" aria-required typed={typed} wrong={wrong} />
			</chakra.div>
			<Field
				label="Cooks on it"
				name="hands"
				inputMode="numeric"
				defaultValue={typed.hands}
				wrong={wrong.hands}
			/>
			<chakra.div gridColumn="1 / -1">
				<LongText
					label="Note for the kitchen"
					name="note"
					maxLength={600}
					defaultValue={typed.note}
					wrong={wrong.note}
				/>
			</chakra.div>
			{codes.length === 0 ? null : (
				<chakra.details gridColumn="1 / -1" open={Boolean(typed.houseCode || wrong.codeReason) || undefined}>
					<summary>Another house code</summary>
					<Grid>
						<Choice label="Works to" name="houseCode" defaultValue={typed.houseCode} wrong={wrong.houseCode}>
							<option value="">the house's own choice</option>
							{codes.map(({ key, name }) => (
								<option key={key} value={key}>
									{name}
								</option>
							))}
						</Choice>
						<Field
							label="Because"
							name="codeReason"
							maxLength={200}
							defaultValue={typed.codeReason}
							wrong={wrong.codeReason}
						/>
					</Grid>
				</chakra.details>
			)}
			<chakra.details
				gridColumn="1 / -1"
				open={
					Boolean(
						typed.carry_min ||
							wrong.carry_min ||
							wrong.carryAir_C ||
							wrong.carryOpened ||
							wrong.carryPacked_C,
					) || undefined
				}
			>
				<summary>Carried elsewhere</summary>
				<Grid>
					<Field
						label="Under way (empty: served here)"
						name="carry_min"
						after="min"
						inputMode="numeric"
						defaultValue={typed.carry_min}
						wrong={wrong.carry_min}
					/>
					<Field
						label="Air on the way (usually 15)"
						name="carryAir_C"
						after="°C"
						inputMode="numeric"
						defaultValue={typed.carryAir_C}
						wrong={wrong.carryAir_C}
					/>
					<Field
						label="Opened on the way (usually never)"
						name="carryOpened"
						after="times"
						inputMode="numeric"
						defaultValue={typed.carryOpened}
						wrong={wrong.carryOpened}
					/>
					<Field
						label="Packed at (usually 80 hot, 3 cold)"
						name="carryPacked_C"
						after="°C"
						inputMode="numeric"
						defaultValue={typed.carryPacked_C}
						wrong={wrong.carryPacked_C}
					/>
					<Choice label="Packed" name="carryHot" defaultValue={typed.carryHot} wrong={wrong.carryHot}>
						<option value="hot">hot</option>
						<option value="cold">cold</option>
					</Choice>
				</Grid>
			</chakra.details>
			<chakra.details gridColumn="1 / -1" open={hasSizes(typed, wrong)}>
				<summary>Half portions, large ones, second helpings</summary>
				<Grid>
					<Field
						label="Guests at half a portion"
						name="half"
						inputMode="numeric"
						defaultValue={typed.half}
						wrong={wrong.half}
					/>
					<Field
						label="Guests at one and a half"
						name="oneAndHalf"
						inputMode="numeric"
						defaultValue={typed.oneAndHalf}
						wrong={wrong.oneAndHalf}
					/>
					<Field
						label="Second helpings"
						name="seconds"
						after="% of portions"
						inputMode="decimal"
						defaultValue={typed.seconds}
						wrong={wrong.seconds}
					/>
				</Grid>
			</chakra.details>
			<chakra.details gridColumn="1 / -1" open={hasDiets(typed, wrong)}>
				<summary>Guests counted by diet</summary>
				<Grid>
					{DIET_KEYS.map((diet) => (
						<Field
							key={diet}
							label={DIETS[diet].words}
							name={`diet.${diet}`}
							inputMode="numeric"
							defaultValue={typed[`diet.${diet}`]}
							wrong={wrong[`diet.${diet}`]}
						/>
					))}
				</Grid>
			</chakra.details>
		</Grid>
	);
}

function hasSizes(typed: Typed, wrong: Wrong): boolean {
	return ["half", "oneAndHalf", "seconds"].some((name) => Boolean(typed[name] || wrong[name]));
}

function hasDiets(typed: Typed, wrong: Wrong): boolean {
	return DIET_KEYS.some((diet) => Boolean(typed[`diet.${diet}`] || wrong[`diet.${diet}`]));
}
