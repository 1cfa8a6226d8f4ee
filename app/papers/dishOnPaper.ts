import { data } from "react-router";
import { wallClock } from "#core/time";
import { newestIssue, readSitting } from "#db";
import { plannedInDay } from "../ui/server/placedDay.server.ts";
import { foundOr404, type HouseVisit } from "../ui/server/visit.ts";

/** Which dish of which sitting. */
export interface DishOfSitting {
	readonly sittingId: string;
	readonly dishId: string;
}

export type DishOnPaper = Awaited<ReturnType<typeof dishOnPaper>>;

/** What every sheet of one dish is written from: the production sheet, its labels, its cutting note. */
export async function dishOnPaper(
	{ store, reading, house, preferences }: HouseVisit,
	{ sittingId, dishId }: DishOfSitting,
) {
	const sitting = await foundOr404(readSitting(store.db, sittingId), "sitting");
	const { rows, kitchen } = await plannedInDay(store.db, sitting);
	const row = rows.find(({ dish }) => dish.id === dishId);
	if (!row) throw data({ missing: "dish on this sitting" }, { status: 404 });
	const issue = await newestIssue(store.db, wallClock(sitting.serviceAt, house.timeZone).date);
	const issued = issue?.doc.sittings.flatMap(({ dishes }) => dishes).find(({ id }) => id === dishId);
	return {
		sitting,
		row,
		kitchen,
		house: house.name,
		paper: preferences.paper,
		reading: reading.towards(sitting.serviceAt),
		/** The number of the day, and the dish's letter in it; null where it was not issued. */
		issued: issue && issued ? { number: issue.number, tag: issued.tag } : null,
		/** The dish's long table. */
		to: `/sittings/${sitting.id}/dishes/${row.dish.id}`,
	};
}
