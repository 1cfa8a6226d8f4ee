import { data } from "react-router";
import { Refusal } from "#core/check";
import { AllergensFall, Stale } from "#db";
import { type FallView, fallView } from "../forms/fall.ts";
import { type Typed, type Wrong, wrongOf } from "../forms/form.ts";
import { type StaleView, staleView } from "../forms/stale.ts";
import type { Reading } from "../words/reading.ts";

/** A change that was not carried out: what was typed, what is wrong with it, or who was quicker. */
export interface NotDone {
	readonly typed: Typed;
	readonly wrong: Wrong;
	readonly stale: StaleView | null;
	/** What falls with it, and waits for a name. */
	readonly fall: FallView | null;
}

/** The one answer to a form that does not hold: 400, with what was typed. */
export function refused(typed: Typed, wrong: Wrong) {
	const notDone: NotDone = { typed, wrong, stale: null, fall: null };
	return data(notDone, { status: 400 });
}

/**
 * Carries a change out, and answers for it when it may not be: with 400 what does not hold, with
 * 409 what somebody else has changed in between, or what falls with it and waits for a name. What was
 * typed goes back with it.
 *
 * @param namesOf what short names in the record mean, for a person
 */
export async function doneOrSaid<T>(
	typed: Typed,
	reading: Reading,
	act: () => Promise<T>,
	namesOf: () => Promise<ReadonlyMap<string, string>> = async () => new Map(),
) {
	try {
		return await act();
	} catch (error) {
		if (error instanceof Refusal) return refused(typed, wrongOf(error));
		if (error instanceof AllergensFall) {
			const waits: NotDone = { typed, wrong: {}, stale: null, fall: fallView(error) };
			return data(waits, { status: 409 });
		}
		if (!(error instanceof Stale)) throw error;
		const stale = staleView(error, reading, await namesOf());
		const notDone: NotDone = { typed, wrong: {}, stale, fall: null };
		return data(notDone, { status: 409 });
	}
}
