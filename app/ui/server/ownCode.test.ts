import { expect, it } from "vitest";
import { HOUSE_CODES } from "#core/safety";
import { addEquipment, changeEquipment, changeSitting, readHouse, readKitchen, readSittings } from "#db";
import { openDemoHouse } from "./demoTables.testing.ts";
import { workedSitting } from "./worked.server.ts";

const NOW = Date.UTC(2026, 10, 28, 9);
const OWN = { ...HOUSE_CODES.twoStage60, name: "Two stages of our own", holdHot_C: 65 };

it("a house works to its own limits, and a sitting to others for a reason, on the plan and on its papers", async () => {
	const store = await openDemoHouse(NOW);
	const own = await addEquipment(store, "houseCode", "Ada", OWN);
	const house = await readHouse(store.db);
	await changeEquipment(store, "house", house.id, house.version, "Ada", { houseCode: own });
	expect((await readKitchen(store.db)).policy.code).toEqual(OWN);

	const [sitting] = await readSittings(store.db, NOW, NOW + 15 * 86_400_000);
	if (!sitting) throw new Error("the demo has a sitting");
	expect((await workedSitting(store.db, sitting))?.kitchen.policy.code.name).toBe(OWN.name);
	await changeSitting(store, sitting.id, sitting.version, "Ada", (now) => ({
		...now,
		houseCode: "twoHour63",
		codeReason: "Served aboard, to the ferry's code",
	}));
	const [changed] = await readSittings(store.db, NOW, NOW + 15 * 86_400_000);
	if (!changed) throw new Error("it is still there");
	expect(changed.codeReason).toBe("Served aboard, to the ferry's code");
	expect((await workedSitting(store.db, changed))?.kitchen.policy.code).toEqual(HOUSE_CODES.twoHour63);

	// Taken out of use, it still holds where it is named.
	await changeEquipment(store, "houseCode", own, 1, "Ada", { retired: true });
	expect((await readKitchen(store.db)).policy.code.name).toBe(OWN.name);
	await store.close();
});
