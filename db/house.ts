import { HEADSPACE_LID_MM, LIFT_LIMIT_KG } from "#core/pans";
import { record } from "./events.ts";
import type { Store } from "./Store.ts";
import { house } from "./schema.ts";

/** A kitchen that has just been set up: usual limits, nothing in stock yet. */
const NEW_HOUSE = {
	id: "house",
	name: "Your kitchen",
	timeZone: "UTC",
	units: "metric",
	currency: "EUR",
	opens_min: 6 * 60,
	closes_min: 23 * 60,
	headspace_mm: HEADSPACE_LID_MM,
	liftLimit_g: LIFT_LIMIT_KG * 1000,
	houseCode: "blast90",
	burners: 2,
} as const satisfies typeof house.$inferInsert;

/** Makes sure there is a house. @returns whether it is new */
export function ensureHouse(store: Store): Promise<boolean> {
	return store.write(async (tx) => {
		const [there] = await tx.select({ id: house.id }).from(house).limit(1);
		if (there) return false;
		await tx.insert(house).values(NEW_HOUSE);
		await record(tx, {
			who: "Wide Table",
			subject: "house",
			subjectId: NEW_HOUSE.id,
			what: "added",
			version: 1,
			changes: [],
		});
		return true;
	});
}
