import { chakra } from "@chakra-ui/react/styled-system";
import { useMemo } from "react";
import type { UnitSystem } from "#core/quantity";
import { type Draft, type PieceOff, pieceOffIn } from "#core/recipe";
import { Act, Note } from "../../ui/parts/parts.tsx";
import { measuresIn } from "../../ui/words/measures.ts";
import { counted, percent } from "../../ui/words/reading.ts";
import { changeField } from "../draftEdits.ts";

export interface PieceNoteProps {
	readonly draft: Draft;
	/** The reader's. */
	readonly units: UnitSystem;
	readonly onChange: (draft: Draft, tag?: string) => void;
}

/** That the piece does not go into the portion, what is planned then, and what brings them together. */
export function PieceNote({ draft, units, onChange }: PieceNoteProps) {
	const off = useMemo(() => pieceOffIn(draft), [draft]);
	if (off === null) return null;
	const { mass } = measuresIn(units);
	const take = (field: string, value: string) => onChange(changeField(draft, field, value), field);
	const grams = (value: number) => `${Math.round(value)} g`;
	const wanted_g = off.by === "portion" ? off.piece_g : off.trimmed_g;
	return (
		<Note role="status" display="grid" gap="8px">
			<span>{wordsOf(off, (value) => mass(value / 1000))}</span>
			<chakra.div display="flex" flexWrap="wrap" gap="8px">
				<Act type="button" onClick={() => take("pieceWeight", grams(wanted_g))}>
					Make a piece {grams(wanted_g)}
				</Act>
				{off.by === "portion" ? (
					<Act type="button" onClick={() => take("portion", grams(off.given_g))}>
						Make a portion {grams(off.given_g)}
					</Act>
				) : null}
			</chakra.div>
		</Note>
	);
}

function wordsOf(off: PieceOff, mass: (grams: number) => string) {
	if (off.by === "trim") {
		return (
			<>
				<b>
					▲ A piece bought and trimmed weighs {mass(off.trimmed_g)}, and the card says {mass(off.given_g)}.
				</b>{" "}
				Meat and pans are planned by the card's piece, the order by the one that is bought.
			</>
		);
	}
	const { pieces, given_g, portion_g } = off;
	const more = given_g / portion_g - 1;
	return (
		<>
			<b>
				▲ {counted(pieces, "piece")} on a plate {pieces === 1 ? "cooks" : "cook"} to {mass(given_g)}, and the
				portion is {mass(portion_g)}.
			</b>{" "}
			{more > 0
				? `Pieces stay whole: ${percent(more)} more is bought than the portions take.`
				: "More pieces are cut than there are plates, so that the portions are full."}
		</>
	);
}
