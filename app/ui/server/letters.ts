import { existsSync, readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { type Font, openSync } from "fontkit";
import { memoise } from "#core/memoise";

/** Families whose letters are on paper, the first that has one: ours, then those for scripts that it has not. */
const FAMILIES = ["atkinson-hyperlegible-next", "noto-sans", "noto-sans-arabic", "noto-sans-sc"] as const;
const WEIGHTS = [400, 700] as const;
export type Weight = (typeof WEIGHTS)[number];

/** A part of a family with letters of its own: "noto-sans-greek". */
export interface Letters {
	readonly name: string;
	readonly file: (weight: Weight) => string;
	readonly holds: (codePoint: number) => boolean;
}

let all: readonly Letters[] | null = null;

/** Every part of every family, in the order in which they are asked. */
function allLetters(): readonly Letters[] {
	all ??= FAMILIES.flatMap(partsOf);
	return all;
}

function partsOf(family: (typeof FAMILIES)[number]): Letters[] {
	const folder = dirname(createRequire(import.meta.url).resolve(`@fontsource/${family}/package.json`));
	const ranges: Record<string, string> = JSON.parse(readFileSync(join(folder, "unicode.json"), "utf8"));
	// The package counts its parts of Han from the rarest; ours are asked first for what all of them have.
	return Object.entries(ranges).flatMap(([part, range]): Letters[] => {
		const name = `${family}-${part.replace(/[[\]]/g, "")}`;
		const file = (weight: Weight) => join(folder, "files", `${name}-${weight}-normal.woff`);
		if (!existsSync(file(400))) return [];
		const spans = range.split(",").map((span) => {
			const [from = "", to = from] = span.trim().replace("U+", "").split("-");
			return [Number.parseInt(from, 16), Number.parseInt(to, 16)] as const;
		});
		// A part may say more than it has: what it really has decides.
		let font: Font | null = null;
		const has = (point: number) => {
			font ??= openSync(file(400)) as Font;
			return font.hasGlyphForCodePoint(point);
		};
		return [
			{
				name,
				file,
				holds: (point) => spans.some(([from, to]) => point >= from && point <= to) && has(point),
			},
		];
	});
}

const found = memoise<number, { readonly letters: Letters | null }>(4000);

function lettersFor(codePoint: number): Letters | null {
	return found(codePoint, () => ({
		letters: allLetters().find(({ holds }) => holds(codePoint)) ?? null,
	})).letters;
}

/** A stretch of a text in one part of one family. */
export interface Run {
	readonly letters: Letters;
	readonly text: string;
}

/** What no letter is drawn for: joiners and marks of direction. */
const UNSEEN = /[\u200b-\u200f\u202a-\u202e\u2060-\u2069\ufeff]/gu;

/**
 * A text by the letters it is drawn with. What stands between two stretches of one script (a space, a
 * comma) is drawn with theirs.
 *
 * @throws {Error} naming the first character that no family has: nothing is dropped
 */
export function runsOf(text: string): Run[] {
	const runs: { letters: Letters; text: string }[] = [];
	for (const character of text.replace(UNSEEN, "")) {
		const point = character.codePointAt(0) ?? 0;
		const last = runs.at(-1);
		if (last?.letters.holds(point)) {
			last.text += character;
			continue;
		}
		const letters = lettersFor(point);
		if (!letters) throw new NoLetter(character);
		runs.push({ letters, text: character });
	}
	return runs;
}

/** A character that can not be printed. */
export class NoLetter extends Error {
	readonly character: string;

	constructor(character: string) {
		super(`no font that ships with the house has “${character}”`);
		this.name = "NoLetter";
		this.character = character;
	}
}

/** The first character of some texts that can not be printed; null where all can. */
export function unprintable(texts: readonly string[]): string | null {
	for (const text of texts) {
		try {
			runsOf(text);
		} catch (error) {
			if (error instanceof NoLetter) return error.character;
			throw error;
		}
	}
	return null;
}
