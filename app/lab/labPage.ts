import { type BraiseGiven, pansThrough } from "#core/braise";
import { readBraise } from "#core/cases";
import { Refusal } from "#core/check";
import { memoise } from "#core/memoise";
import { shapeOfSizes } from "#core/pans";
import { type Question, roundOf } from "#core/training";
import { readPanTypes } from "#db";
import type { HouseVisit } from "../ui/server/visit.ts";
import { FIRST_PANS, givenOf, MOST_PANS, NAMES } from "./labPan.ts";

/** The pans that an address tells of, through their braise. */
export async function labPage(
	{ store, reading }: HouseVisit,
	{ asked }: { readonly asked: readonly string[] },
) {
	const read = readPans(asked.slice(0, MOST_PANS));
	const pans = read.pans.length > 0 ? read.pans : FIRST_PANS.map(givenOf);
	const kinds = (await readPanTypes(store.db))
		.filter(({ use, retired }) => use === "braise" && !retired)
		.map((row) => ({ name: row.name, shape: shapeOfSizes(row) }));
	return { pans, through: pansThrough(pans), kinds, units: reading.units, wrong: read.wrong };
}

/** The situations of a round: the same for the same seed. */
export async function trainingRound(
	_visit: HouseVisit,
	{ seed, of }: { readonly seed: number; readonly of: number },
) {
	return roundOnce(seed * MOST_SITUATIONS + of, () => roundOf(seed, of));
}

const MOST_SITUATIONS = 100;
/** A round is drawn for the question, again for the answer, and again for its reason. */
const roundOnce = memoise<number, Question[]>(20);

/** The pans an address tells of; one that cannot be is left out and named. */
function readPans(asked: readonly string[]): { pans: BraiseGiven[]; wrong: string[] } {
	const pans: BraiseGiven[] = [];
	const wrong: string[] = [];
	for (const [index, text] of asked.entries()) {
		try {
			pans.push(readBraise(JSON.parse(text)));
		} catch (error) {
			if (!(error instanceof Refusal || error instanceof SyntaxError)) throw error;
			const why = error instanceof Refusal ? error.message : "what was given is no pan";
			wrong.push(`Pan ${NAMES[index]} of the address was left out: ${why}.`);
		}
	}
	return { pans, wrong };
}
