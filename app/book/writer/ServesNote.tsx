import { chakra } from "@chakra-ui/react/styled-system";
import type { UnitSystem } from "#core/quantity";
import type { CardServes, Draft } from "#core/recipe";
import { Act, Note } from "../../ui/parts/parts.tsx";
import { measuresIn } from "../../ui/words/measures.ts";
import { changeField } from "../draftEdits.ts";

export interface ServesNoteProps {
	readonly draft: Draft;
	readonly card: CardServes;
	/** The reader's. */
	readonly units: UnitSystem;
	readonly onChange: (draft: Draft, tag?: string) => void;
}

/** What the card really serves, when that is not what it is written for, and what brings it in line. */
export function ServesNote({ draft, card, units, onChange }: ServesNoteProps) {
	const { mass } = measuresIn(units);
	const { main_g, sized_g, written, serves, portion_g, cookingLoss } = card;
	const take = (field: string, value: string) => onChange(changeField(draft, field, value), field);
	return (
		<Note role="status" display="grid" gap="8px">
			<span>
				<b>
					{mass(main_g / 1000)} serve {serves}, and the card is written for {written}.
				</b>{" "}
				Sized for {written} it shows {mass(sized_g / 1000)}.
			</span>
			<chakra.div display="flex" flexWrap="wrap" gap="8px">
				{serves < 1 ? null : (
					<Act type="button" onClick={() => take("portions", String(serves))}>
						Write it for {serves}
					</Act>
				)}
				{portion_g === null ? null : (
					<Act type="button" onClick={() => take("portion", `${portion_g} g`)}>
						Make a portion {portion_g} g
					</Act>
				)}
				{cookingLoss === null ? null : (
					<Act type="button" onClick={() => take("cookingLoss", String(Math.round(cookingLoss * 100)))}>
						Take {Math.round(cookingLoss * 100)} % cooking loss
					</Act>
				)}
			</chakra.div>
		</Note>
	);
}
