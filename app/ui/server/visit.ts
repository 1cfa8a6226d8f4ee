import type { RouterContextProvider } from "react-router";
import { data } from "react-router";
import { type HouseRow, Missing, readHouse } from "#db";
import { type Visit, visitContext } from "#server";
import { type Reading, readingIn } from "../words/reading.ts";

export interface HouseVisit extends Omit<Visit, "pool" | "live" | "printer"> {
	readonly house: HouseRow;
	readonly reading: Reading;
}

/** The visit with the house and how this reader is told things. */
export async function visitOf(context: Readonly<RouterContextProvider>): Promise<HouseVisit> {
	return visitFor(context.get(visitContext));
}

/** A visit with the house and how its reader is told things. */
export async function visitFor(visit: Omit<Visit, "pool" | "live" | "printer">): Promise<HouseVisit> {
	const house = await readHouse(visit.store.db);
	const { units = house.units, clockHours } = visit.preferences;
	return { ...visit, house, reading: readingIn(units, house.timeZone, Date.now(), { clockHours }) };
}

/** What is asked for, or the designed 404. */
export async function foundOr404<T>(looking: Promise<T>, what: string): Promise<T> {
	try {
		return await looking;
	} catch (error) {
		if (error instanceof Missing) throw data({ missing: what }, { status: 404 });
		throw error;
	}
}
