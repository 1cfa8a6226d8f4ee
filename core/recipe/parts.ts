import type { Ingredient } from "./Ingredient.ts";
import { plainName } from "./names.ts";

/** A part of an ingredient that cooks count: what one weighs ready to use, and what else is bought with it. */
interface Part {
	/** One of it, and many. */
	readonly words: readonly [string, string];
	/** The ingredient it is a part of, by any name of it. */
	readonly of: string;
	readonly each_g: number;
	/** Share of what is bought that is not this part, where the rest is not used for it. */
	readonly trimLoss?: number;
	/** Whether the word alone says the ingredient. */
	readonly alone?: boolean;
}

/**
 * Usual weights: a clove of garlic 4 to 7 g, a stick of celery 40 to 60 g, the yolk of a 55 g egg
 * 17 to 19 g and its white 33 to 37 g. General practice; the kitchen's own scale decides.
 */
const PARTS: readonly Part[] = [
	{ words: ["clove", "cloves"], of: "garlic", each_g: 6 },
	{ words: ["stick", "sticks"], of: "celery", each_g: 50 },
	{ words: ["stalk", "stalks"], of: "celery", each_g: 50 },
	{ words: ["rib", "ribs"], of: "celery", each_g: 50 },
	{ words: ["yolk", "yolks"], of: "egg", each_g: 18, trimLoss: 0.67, alone: true },
	{ words: ["white", "whites"], of: "egg", each_g: 35, trimLoss: 0.36, alone: true },
];

export interface PartTaken {
	readonly ingredient: Ingredient;
	/** One of it, g. */
	readonly each_g: number;
	readonly trimLoss?: number;
	/** "cloves" */
	readonly words: string;
	/** The text that follows it. */
	readonly rest: string;
}

/**
 * A part of an ingredient at the start of a text: "garlic cloves, crushed", "cloves of garlic",
 * "egg yolks", "yolks".
 *
 * @param named ingredients by every name they go by
 * @returns undefined when the text starts with no part of something in the book
 */
export function takePart(text: string, named: ReadonlyMap<string, Ingredient>): PartTaken | undefined {
	for (const { words, of, each_g, trimLoss, alone } of PARTS) {
		const ingredient = named.get(plainName(of));
		if (!ingredient) continue;
		const part = `(?<part>${words.join("|")})`;
		const name = `${of}s?`;
		const both = `(?:${name}\\s+${part}|${part.replace("<part>", "<before>")}\\s+(?:of\\s+)?${name})`;
		const found =
			new RegExp(`^${both}\\b`, "i").exec(text) ??
			(alone ? new RegExp(`^${part}(?=\\s*(?:[,;(]|$))`, "i").exec(text) : null);
		if (!found) continue;
		return {
			ingredient,
			each_g,
			...(trimLoss === undefined ? {} : { trimLoss }),
			words: (found.groups?.part ?? found.groups?.before ?? "").toLowerCase(),
			rest: text.slice(found[0].length),
		};
	}
	return undefined;
}
