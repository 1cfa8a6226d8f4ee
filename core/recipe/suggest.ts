import { cutWords } from "../trade/index.ts";
import { CATEGORIES } from "./categories.ts";
import type { Ingredient } from "./Ingredient.ts";
import { plainName } from "./names.ts";

/** More than so many are no help. */
const MOST = 5;

/**
 * What of the book may be meant by a name that is not in it: “pork” may be pork collar, belly or skin.
 * Every word that was typed begins a word of the name, of the cut, or of what kind of thing it is.
 *
 * @returns the nearest first: a name that begins so, then the shorter ones
 */
export function suggestIngredients(typed: string, book: Iterable<Ingredient>): Ingredient[] {
	const words = plainName(typed)
		.split(/[\s,;()]+/)
		.filter((word) => word.length > 1);
	if (words.length === 0) return [];
	const found = [...new Set(book)].filter((entry) => {
		const own = wordsOf(entry);
		return words.every((word) => own.some((name) => name.startsWith(word) || word.startsWith(`${name}s`)));
	});
	const begins = ({ name }: Ingredient) => plainName(name).startsWith(words.join(" "));
	return found
		.sort(
			(a, b) =>
				Number(begins(b)) - Number(begins(a)) ||
				a.name.length - b.name.length ||
				a.name.localeCompare(b.name, "en"),
		)
		.slice(0, MOST);
}

/** A store of thousands is asked with every letter that is typed. */
const known = new WeakMap<Ingredient, readonly string[]>();

function wordsOf(entry: Ingredient): readonly string[] {
	const before = known.get(entry);
	if (before) return before;
	const { name, cut, category } = entry;
	const all = `${name} ${cut ? cutWords(cut) : ""} ${CATEGORIES[category].words}`;
	const words = plainName(all)
		.split(/[\s,;()]+/)
		.filter((word) => word.length > 1);
	known.set(entry, words);
	return words;
}
