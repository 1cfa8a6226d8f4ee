import { data } from "react-router";
import { NoLetter } from "./letters.ts";

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
		throw data(
			{ said: `No font of the house has “${error.character}”: ${what} can not be printed with it.` },
			{ status: 400 },
		);
	}
}
