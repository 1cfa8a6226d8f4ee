import { data } from "react-router";
import { readHouseCodes, readKitchen, readPanTypes, readSitting, withRecipes } from "#db";
import { plannedInDay } from "../ui/server/placedDay.server.ts";
import { inCodeOf } from "../ui/server/planned.server.ts";
import { foundOr404, type HouseVisit } from "../ui/server/visit.ts";
import { longTableView } from "./longTable.view.ts";
import { hasTrial, readTrial } from "./trial.ts";

/** Which dish of which sitting, and what is tried with it, as the address says it. */
export interface DishAsked {
	readonly sittingId: string;
	readonly dishId: string;
	readonly search: string;
}

/** The sitting that is asked about with its dishes, the kitchen they need, and the trial, where there is one. */
export async function askedTable({ store, house, reading }: HouseVisit, { sittingId, search }: DishAsked) {
	const sitting = await foundOr404(readSitting(store.db, sittingId), "sitting");
	const dishes = await withRecipes(store.db, sitting.dishes);
	const shared = await readKitchen(
		store.db,
		dishes.map(({ recipe }) => recipe),
	);
	const kitchen = inCodeOf(shared, sitting, await readHouseCodes(store.db));
	const address = new URLSearchParams(search);
	const read = hasTrial(address) ? readTrial(address, house.timeZone, reading.units) : null;
	return { sitting, dishes, kitchen, address, read, trial: read && "value" in read ? read.value : null };
}

/** The long table of one dish, as it is or on trial. */
export async function longTablePage(visit: HouseVisit, asked: DishAsked) {
	const { dishId } = asked;
	const { sitting, dishes, kitchen, address, read, trial } = await askedTable(visit, asked);
	const panTypes = await readPanTypes(visit.store.db);
	if (!dishes.some((dish) => dish.id === dishId)) {
		throw data({ missing: "dish on this sitting" }, { status: 404 });
	}
	const serviceAt = trial?.sitting.serviceAt ?? sitting.serviceAt;
	const { rows } = trial ? { rows: [] } : await plannedInDay(visit.store.db, sitting);
	return longTableView({
		visit: { ...visit, reading: visit.reading.towards(serviceAt) },
		kitchen,
		sitting,
		dishes,
		dishId,
		panTypes,
		place: address.get("place"),
		trial,
		inDay: rows.find(({ dish }) => dish.id === dishId)?.plan ?? null,
		typed: read && "typed" in read ? read.typed : null,
		wrong: read && "wrong" in read ? read.wrong : {},
		came: (address.get("came") ?? "").slice(0, 40),
	});
}
