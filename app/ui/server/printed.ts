import { data } from "react-router";
import { NoLetter } from "./letters.ts";

/** What is said of a character that no font of the house has. @param what "these labels" */
export function noLetterWords(character: string, what: string): string {
	return `No font of the house has “${character}”, and nothing is left out on paper: ${what} can not be printed with it. Write it in letters that it has (Latin, Greek, Cyrillic, Arabic, Chinese, Japanese).`;
}

/**
 * Makes a document, or says which character no font of the house has: nothing is dropped from paper.
 *
 * @param what "these labels"
 * @throws 400 in a sentence where it can not be printed
 */
export async function printed<T>(what: string, make: () => Promise<T>): Promise<T> {
	try {
		return await make();
	} catch (error) {
		if (!(error instanceof NoLetter)) throw error;
		throw data({ said: noLetterWords(error.character, what) }, { status: 400 });
	}
}
