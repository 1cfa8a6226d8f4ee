import type { Losses, Portion } from "../yields/index.ts";
import type { Draft } from "./Draft.ts";
import { FieldReader } from "./FieldReader.ts";
import { type PieceOff, pieceOff } from "./piecesOnPlate.ts";

/** By the piece, by weight, or what has to be cooked for what another dish takes of it pulled. */
export function portionTyped(fields: FieldReader): Portion {
	if (fields.text("servedIn") === "pulled") {
		const cooked_g = fields.grams("pulledPortion") / (1 - fields.share("pulledLoss"));
		return { portion_g: Number(cooked_g.toPrecision(12)) };
	}
	if (fields.text("portionBy") === "piece") {
		return { piecesPerPortion: fields.number("piecesPerPortion"), piece_g: fields.grams("bought") };
	}
	return { portion_g: fields.grams("portion") };
}

/** What it loses; the bone is left out where nothing was typed of it. */
export function lossesTyped(fields: FieldReader): Losses {
	const boneShare = fields.optional("boneShare", () => fields.share("boneShare"));
	return {
		trimLoss: fields.share("trimLoss"),
		...(boneShare === undefined ? {} : { boneShare }),
		cookingLoss: fields.share("cookingLoss"),
	};
}

/**
 * Whether the piece of a draft goes into its portion.
 *
 * @returns null where they agree, and while one of them does not read yet
 */
export function pieceOffIn(draft: Draft): PieceOff | null {
	if (draft.kind !== "dish") return null;
	const fields = new FieldReader(draft.fields, {});
	return pieceOff({
		portion: portionTyped(fields),
		losses: lossesTyped(fields),
		piece: { weight_g: fields.grams("pieceWeight") },
		...(fields.text("servedIn") === "pulled" ? { servedIn: "pulled" as const } : {}),
	});
}
