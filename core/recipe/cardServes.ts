import { wholeDown } from "../quantity/index.ts";
import { cookedShare } from "../yields/index.ts";
import type { Draft } from "./Draft.ts";
import { FieldReader } from "./FieldReader.ts";
import { type DraftLineRead, mainGrams } from "./readTyped.ts";

/** A card serves what it is written for when it is off by no more than this: weights are rounded on cards. */
const AGREES_WITHIN = 0.03;
/** Cooking losses that are believed when a card is brought in line by its losses. */
const LOSS_BELIEVED = { least: 0.05, most: 0.6 };

/** What a card's main line really serves, beside what it is written for. */
export interface CardServes {
	readonly main_g: number;
	/** What the card shows once it is sized for what it is written for, g. */
	readonly sized_g: number;
	readonly written: number;
	/** Whole portions that the main line gives. */
	readonly serves: number;
	readonly agrees: boolean;
	/** Cooked weight of a portion with which it would serve what is written; null by the piece. */
	readonly portion_g: number | null;
	/** Cooking loss with which it would; null by the piece, or where no kitchen would believe it. */
	readonly cookingLoss: number | null;
}

/**
 * What a draft serves: its main line as trimmed, less bone and cooking loss, in portions.
 *
 * @param lines the draft's lines as read
 * @returns null while the main line, the portion or the losses do not read yet
 */
export function cardServes(draft: Draft, lines: readonly DraftLineRead[]): CardServes | null {
	if (draft.kind !== "dish") return null;
	const main_g = mainGrams(lines);
	const fields = new FieldReader(draft.fields, {});
	const written = fields.number("portions");
	if (!(main_g > 0) || !(written >= 1)) return null;
	if (fields.text("portionBy") === "piece") {
		const trimmed_g = fields.grams("bought") * (1 - fields.share("trimLoss"));
		const exact = main_g / trimmed_g / fields.number("piecesPerPortion");
		return served(main_g, written, exact, null, null);
	}
	const portion_g = fields.grams("portion");
	const boneShare = fields.optional("boneShare", () => fields.share("boneShare")) ?? 0;
	const boneless_g = main_g * (1 - boneShare);
	const cooked_g = main_g * cookedShare({ boneShare, cookingLoss: fields.share("cookingLoss") });
	const loss = Number((1 - (written * portion_g) / boneless_g).toFixed(2));
	const believed = loss >= LOSS_BELIEVED.least && loss <= LOSS_BELIEVED.most;
	return served(
		main_g,
		written,
		cooked_g / portion_g,
		Math.round(cooked_g / written),
		believed ? loss : null,
	);
}

function served(
	main_g: number,
	written: number,
	exact: number,
	portion_g: number | null,
	cookingLoss: number | null,
): CardServes | null {
	if (!Number.isFinite(exact) || exact <= 0) return null;
	const agrees = wholeDown(exact) === written || Math.abs(exact / written - 1) <= AGREES_WITHIN;
	const sized_g = Math.round((main_g * written) / exact);
	return {
		main_g,
		sized_g,
		written,
		serves: agrees ? written : wholeDown(exact),
		agrees,
		portion_g,
		cookingLoss,
	};
}
