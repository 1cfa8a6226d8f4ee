import { data } from "react-router";
import { type DishWithRecipe, readPanTypes, readSitting, type Sitting } from "#db";
import { hasTrial, readTrial, type TableTrial, withTrial } from "../ui/forms/tableTrial.ts";
import { foundOr404, type HouseVisit } from "../ui/server/visit.ts";
import { type Trial, workedSitting } from "../ui/server/worked.server.ts";
import { figuresWith } from "./figuresWith.ts";
import { longTableView } from "./longTable.view.ts";

/** Which dish of which sitting, and what is tried with it, as the address says it. */
export interface DishAsked {
	readonly sittingId: string;
	readonly dishId: string;
	readonly search: string;
}

/** The sitting that is asked about as it stands, and as the address tries it. */
export async function askedTable(
	{ store, house, reading }: HouseVisit,
	{ sittingId, dishId, search }: DishAsked,
) {
	const sitting = await foundOr404(readSitting(store.db, sittingId), "sitting");
	if (!sitting.dishes.some((dish) => dish.id === dishId)) {
		throw data({ missing: "dish on this sitting" }, { status: 404 });
	}
	const address = new URLSearchParams(search);
	const read = hasTrial(address) ? readTrial(address, house.timeZone, reading.units) : null;
	return { sitting, address, read, trial: read && "value" in read ? read.value : null };
}

/** The long table of one dish in its whole day, as it is or on trial. */
export async function longTablePage(visit: HouseVisit, asked: DishAsked) {
	const { dishId } = asked;
	const { sitting, address, read, trial } = await askedTable(visit, asked);
	return tableOf(visit, {
		sitting,
		dishId,
		trial,
		place: address.get("place"),
		typed: read && "typed" in read ? read.typed : null,
		wrong: read && "wrong" in read ? read.wrong : {},
		came: (address.get("came") ?? "").slice(0, 40),
	});
}

/** What of a table is asked, besides what is stored. */
export interface TableAsked
	extends Pick<Parameters<typeof longTableView>[0], "dishId" | "place" | "typed" | "wrong" | "came"> {
	readonly sitting: Sitting;
	readonly trial: TableTrial | null;
}

export async function tableOf(visit: HouseVisit, { sitting, trial, ...asked }: TableAsked) {
	const { db } = visit.store;
	const tried: Trial | null = trial
		? { now: visit.reading.now, sitting: withTrial(sitting, asked.dishId, trial) }
		: null;
	const [panTypes, stands, now] = await Promise.all([
		readPanTypes(db),
		workedSitting(db, sitting),
		tried ? workedSitting(db, sitting, tried) : null,
	]);
	const table = now ?? stands;
	if (!stands || !table) throw data({ missing: "dish on this sitting" }, { status: 404 });
	return longTableView({
		...asked,
		visit: { ...visit, reading: visit.reading.towards(table.sitting.serviceAt) },
		stands,
		now: table,
		trial,
		panTypes,
		figuresWith: (other: Partial<DishWithRecipe>) => figuresWith(table, asked.dishId, other),
	});
}

/** Why what is tried can not be taken; null where it has a plan. */
export async function whyNotTaken(visit: HouseVisit, asked: DishAsked): Promise<string | null> {
	const { sitting, trial } = await askedTable(visit, asked);
	if (!trial) return null;
	const table = await workedSitting(visit.store.db, sitting, {
		now: visit.reading.now,
		sitting: withTrial(sitting, asked.dishId, trial),
	});
	return table?.rows.find(({ dish }) => dish.id === asked.dishId)?.refused ?? null;
}
