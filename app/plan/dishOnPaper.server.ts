import { data, type RouterContextProvider } from "react-router";
import { readKitchen, readSitting } from "#db";
import { plannedDishes } from "../ui/server/planned.server.ts";
import { foundOr404, visitOf } from "../ui/server/visit.ts";

/** What every sheet of one dish is written from: the production sheet, its labels, its cutting note. */
export async function dishOnPaper(
	context: Readonly<RouterContextProvider>,
	{ sittingId, dishId }: { readonly sittingId: string; readonly dishId: string },
) {
	const { store, reading, house, preferences } = await visitOf(context);
	const sitting = await foundOr404(readSitting(store.db, sittingId), "sitting");
	const kitchen = await readKitchen(store.db);
	const row = (await plannedDishes(store.db, sitting, kitchen)).find(({ dish }) => dish.id === dishId);
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
