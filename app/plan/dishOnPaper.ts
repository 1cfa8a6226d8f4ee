import { data } from "react-router";
import { readSitting } from "#db";
import { plannedSitting } from "../ui/server/planned.server.ts";
import { foundOr404, type HouseVisit } from "../ui/server/visit.ts";

/** Which dish of which sitting. */
export interface DishOfSitting {
	readonly sittingId: string;
	readonly dishId: string;
}

/** What every sheet of one dish is written from: the production sheet, its labels, its cutting note. */
export async function dishOnPaper(
	{ store, reading, house, preferences }: HouseVisit,
	{ sittingId, dishId }: DishOfSitting,
) {
	const sitting = await foundOr404(readSitting(store.db, sittingId), "sitting");
	const { rows, kitchen } = await plannedSitting(store.db, sitting);
	const row = rows.find(({ dish }) => dish.id === dishId);
	if (!row) throw data({ missing: "dish on this sitting" }, { status: 404 });
	return {
		sitting,
		row,
		kitchen,
		house: house.name,
		paper: preferences.paper,
		reading: reading.towards(sitting.serviceAt),
		/** The dish's long table. */
		to: `/sittings/${sitting.id}/dishes/${row.dish.id}`,
	};
}
