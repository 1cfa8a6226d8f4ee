import { expect, it } from "vitest";
import { DAY_MS, fromWallClock, wallClock } from "#core/time";
import { addSitting, changeEquipment, readHouse, readSitting } from "#db";
import { freshStore } from "../../db/freshStore.testing.ts";
import { NO_PREFERENCES } from "../../server/preferences.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { readingIn } from "../ui/words/reading.ts";
import { movedWith } from "./zoneMoved.ts";

const ZONE = "Pacific/Auckland";
const now = Date.now();

it("a house whose zone changes is asked what its sittings mean, and they mean that", async () => {
	const store = await freshStore();
	const house = await readHouse(store.db);
	const visit: HouseVisit = {
		...{ store, house, who: "Ebba", nonce: "", preferences: NO_PREFERENCES },
		reading: readingIn("metric", house.timeZone, now),
	};
	expect(await movedWith(visit, ZONE, "")).toBeUndefined();
	const { date } = wallClock(now + 3 * DAY_MS, house.timeZone);
	const serviceAt = fromWallClock(date, "19:30", house.timeZone) ?? 0;
	const past = now - 3 * DAY_MS;
	const details = { name: "Supper", room: "", covers: 20, hands: 1, note: "" };
	const id = await addSitting(store, "Ebba", { ...details, serviceAt });
	const gone = await addSitting(store, "Ebba", { ...details, serviceAt: past });
	await expect(movedWith(visit, ZONE, "")).rejects.toThrow(/1 sitting is to come; say what their times mean/);
	expect(await movedWith(visit, ZONE, "instant")).toBeUndefined();
	expect(await movedWith(visit, house.timeZone, "")).toBeUndefined();
	const moved = await movedWith(visit, ZONE, "clock");
	await changeEquipment(store, "house", house.id, house.version, "Ebba", { timeZone: ZONE }, { moved });
	const after = await readSitting(store.db, id);
	expect(wallClock(after.serviceAt, ZONE)).toMatchObject({ date, time: "19:30" });
	expect(after.version).toBe(2);
	expect((await readSitting(store.db, gone)).serviceAt).toBe(past);
});
