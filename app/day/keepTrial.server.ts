import { refuse } from "#core/check";
import { changesOf } from "#core/day";
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
	for (const { sitting, covers } of changesOf(changes, "covers")) {
		const { version } = await foundOr404(readSitting(store.db, sitting), "sitting");
		await changeSitting(store, sitting, version, who, (now) => ({ ...now, covers }));
	}
	for (const { for: dishId, ahead } of changesOf(changes, "ahead")) {
		const sitting = await foundOr404(sittingOf(store.db, dishId), "dish");
		await changeSitting(store, sitting.id, sitting.version, who, (now) => ({
			...now,
			dishes: now.dishes.map((dish) => (dish.id === dishId ? { ...dish, ahead } : dish)),
		}));
	}
	await tellDayChanges(
		store,
		who,
		date,
		changes.filter(({ kind }) => kind !== "covers" && kind !== "ahead"),
	);
}
