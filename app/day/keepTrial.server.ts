import { refuse } from "#core/check";
import { isOfSitting, sittingWith } from "#core/day";
import { changeSitting, readSitting, sittingOf, tellDayChanges } from "#db";
import { foundOr404, type HouseVisit } from "../ui/server/visit.ts";
import { readTrialChanges } from "./tell.ts";

/**
 * Keeps what was on trial: covers and the day of cooking in their sitting, all else as told of the day.
 *
 * @throws {Refusal} when a change is none
 */
export async function keepTrial({ store, who }: HouseVisit, date: string, given: readonly string[]) {
	const { changes, unclear } = readTrialChanges(given);
	if (changes.length === 0 && unclear.length === 0)
		throw refuse("change", "is missing; at least one is needed");
	if (unclear[0] !== undefined) throw refuse("change", unclear[0]);
	const ofSittings = changes.filter(isOfSitting);
	const sittings = new Set<string>();
	for (const change of ofSittings) {
		if (change.kind === "covers") sittings.add(change.sitting);
		if (change.kind === "ahead") sittings.add((await foundOr404(sittingOf(store.db, change.for), "dish")).id);
	}
	for (const id of sittings) {
		const { version } = await foundOr404(readSitting(store.db, id), "sitting");
		await changeSitting(store, id, version, who, (now) => sittingWith(now, ofSittings));
	}
	const told = changes.filter((change) => !isOfSitting(change));
	if (told.length > 0) await tellDayChanges(store, who, date, told);
}
