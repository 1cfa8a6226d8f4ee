import { data } from "react-router";
import { readKitchen, readPanTypes, readSitting, withRecipes } from "#db";
import { foundOr404, type HouseVisit } from "../ui/server/visit.ts";
import { longTableView } from "./longTable.view.ts";
import { hasTrial, readTrial } from "./trial.ts";

/** Which dish of which sitting, and what is tried with it, as the address says it. */
export interface DishAsked {
	readonly sittingId: string;
	readonly dishId: string;
	readonly search: string;
}

/** The long table of one dish, as it is or on trial. */
export async function longTablePage(visit: HouseVisit, { sittingId, dishId, search }: DishAsked) {
	const { db } = visit.store;
	const sitting = await foundOr404(readSitting(db, sittingId), "sitting");
	const [dishes, panTypes] = await Promise.all([withRecipes(db, sitting.dishes), readPanTypes(db)]);
	const kitchen = await readKitchen(
		db,
		dishes.map(({ recipe }) => recipe),
	);
	if (!dishes.some((dish) => dish.id === dishId)) {
		throw data({ missing: "dish on this sitting" }, { status: 404 });
	}
	const address = new URLSearchParams(search);
	const read = hasTrial(address) ? readTrial(address, visit.house.timeZone, visit.reading.units) : null;
	const trial = read && "value" in read ? read.value : null;
	const serviceAt = trial?.sitting.serviceAt ?? sitting.serviceAt;
	return longTableView({
		visit: { ...visit, reading: visit.reading.towards(serviceAt) },
		kitchen,
		sitting,
		dishes,
		dishId,
		panTypes,
		place: address.get("place"),
		trial,
		typed: read && "typed" in read ? read.typed : null,
		wrong: read && "wrong" in read ? read.wrong : {},
	});
}
