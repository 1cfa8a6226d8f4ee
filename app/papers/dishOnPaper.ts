import { data } from "react-router";
import { shownMark } from "#core/day";
import { readSitting } from "#db";
import { hasTrial, readTrial, withTrial } from "../ui/forms/tableTrial.ts";
import { foundOr404, type HouseVisit } from "../ui/server/visit.ts";
import { workedSitting } from "../ui/server/worked.server.ts";

/** Which dish of which sitting. */
export interface DishOfSitting {
	readonly sittingId: string;
	readonly dishId: string;
	/** What is tried with it, as the address of its long table says it. */
	readonly search?: string;
}

export type DishOnPaper = Awaited<ReturnType<typeof dishOnPaper>>;

/** What every sheet of one dish is written from: the production sheet, its labels, its cutting note. */
export async function dishOnPaper(
	{ store, reading, house, preferences }: HouseVisit,
	{ sittingId, dishId, search = "" }: DishOfSitting,
) {
	const stored = await foundOr404(readSitting(store.db, sittingId), "sitting");
	const address = new URLSearchParams(search);
	const read = hasTrial(address) ? readTrial(address, house.timeZone, reading.units) : null;
	const onTrial = read !== null && "value" in read;
	const sitting = onTrial ? withTrial(stored, dishId, read.value) : stored;
	const worked = await workedSitting(store.db, sitting, onTrial ? { now: reading.now, sitting } : null);
	const row = worked?.rows.find(({ dish }) => dish.id === dishId);
	if (!worked || !row) throw data({ missing: "dish on this sitting" }, { status: 404 });
	const { kitchen, on } = worked;
	const { issue } = on;
	const issued = issue?.doc.sittings.flatMap(({ dishes }) => dishes).find(({ id }) => id === dishId);
	return {
		sitting,
		/** Whether it shows what is tried and nobody has taken. */
		onTrial,
		row,
		kitchen,
		house: house.name,
		paper: preferences.paper,
		reading: reading.towards(sitting.serviceAt),
		/** The number of the day, and the dish's letter in it; null where it was not issued. */
		issued: issue && issued ? { number: issue.number, tag: issued.tag } : null,
		/** What its day was made from, as it is typed from paper. */
		mark: shownMark(on.mark),
		/** The dish's long table. */
		to: `/sittings/${sitting.id}/dishes/${row.dish.id}`,
	};
}
