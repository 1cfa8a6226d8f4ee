import { chakra } from "@chakra-ui/react/styled-system";
import { DIET_KEYS, DIETS } from "#core/recipe";
import { DayField, TimeField } from "../ui/forms/DayField.tsx";
import { Field, LongText } from "../ui/forms/Field.tsx";
import type { Typed, Wrong } from "../ui/forms/form.ts";

const Grid = chakra("div", {
	base: { display: "grid", gap: "12px 14px", gridTemplateColumns: "repeat(2, minmax(0, 1fr))" },
});

/** The details of a sitting: what, where, when, for how many, with how many hands. */
export function DetailFields({
	typed,
	wrong,
	isNew = false,
}: {
	readonly typed: Typed;
	readonly wrong: Wrong;
	/** A new one begins at its name. */
	readonly isNew?: boolean;
}) {
	return (
		<Grid>
			<chakra.div gridColumn="1 / -1">
				<Field
					label="Sitting"
					name="name"
					required
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
				required
				defaultValue={typed.covers}
				wrong={wrong.covers}
				aria-keyshortcuts="c"
				data-key-name="Covers"
			/>
			<Field label="Room" name="room" maxLength={80} defaultValue={typed.room} wrong={wrong.room} />
			<chakra.div
				gridColumn="1 / -1"
				display="grid"
				gap="14px"
				gridTemplateColumns="minmax(0, 3fr) minmax(0, 2fr)"
			>
				<DayField label="Service on" name="date" required defaultValue={typed.date} wrong={wrong.date} />
				<TimeField label="at" name="time" required defaultValue={typed.time} wrong={wrong.time} />
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
			<chakra.details gridColumn="1 / -1" open={hasDiets(typed, wrong)}>
				<chakra.summary cursor="pointer" minHeight="44px" color="muted" fontSize="17px">
					Guests counted by diet
				</chakra.summary>
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

function hasDiets(typed: Typed, wrong: Wrong): boolean {
	return DIET_KEYS.some((diet) => Boolean(typed[`diet.${diet}`] || wrong[`diet.${diet}`]));
}
