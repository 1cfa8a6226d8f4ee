import { beforeEach, describe, expect, it } from "vitest";
import {
	changeEquipment,
	changeSitting,
	readHouse,
	readSittings,
	type Sitting,
	Stale,
	type Store,
} from "#db";
import { openDemoHouse } from "../server/demoTables.testing.ts";
import { sittingNames } from "../server/sittingNames.ts";
import { readingIn } from "../words/reading.ts";
import { staleView } from "./stale.ts";

const NOW = Date.UTC(2026, 10, 24, 9, 0);
const READING = readingIn("metric", "Atlantic/Faroe", NOW);

let store: Store;
let supper: Sitting;

beforeEach(async () => {
	store = await openDemoHouse(NOW);
	const sittings = await readSittings(store.db, NOW, NOW + 15 * 86_400_000);
	supper = sittings.find(({ name }) => name === "Festival supper") as Sitting;
});

/** What the second of two people is shown. */
async function shownAfter(
	changed: (sitting: Sitting) => Partial<Sitting>,
): Promise<readonly { who: string; what: string }[]> {
	await changeSitting(store, supper.id, supper.version, "Ada", (now) => ({ ...now, ...changed(now) }));
	try {
		await changeSitting(store, supper.id, supper.version, "Bo", (now) => ({ ...now, covers: 1 }));
	} catch (error) {
		if (!(error instanceof Stale)) throw error;
		const view = staleView(error, READING, await sittingNames(store.db, supper.id));
		expect(view.version).toBe(supper.version + 1);
		return view.changes.map(({ who, what }) => ({ who, what }));
	}
	throw new Error("the second save went through");
}

describe("when somebody was quicker", () => {
	it("says who changed what, from what to what", async () => {
		expect(await shownAfter(() => ({ covers: 160 }))).toEqual([{ who: "Ada", what: "covers: 140 → 160" }]);
	});

	it("says a service in the house's clock, not in milliseconds", async () => {
		const [change] = await shownAfter(({ serviceAt }) => ({ serviceAt: serviceAt + 1_800_000 }));
		expect(change?.what).toBe("service: Sat 19:30 → Sat 20:00");
	});

	it("says a dish's share as a percentage", async () => {
		const [change] = await shownAfter(({ dishes }) => ({
			dishes: dishes.map((dish, index) => (index === 0 ? { ...dish, uptake: 0.7 } : dish)),
		}));
		expect(change?.what).toBe("Goat shoulder, smoked paprika, white beans, uptake: 62 % → 70 %");
	});

	it("says what was settled in words, without a short name, and what came or went once", async () => {
		const shown = await shownAfter(({ dishes: [first, second, ...rest] }) => ({
			dishes: [
				{
					...(first as NonNullable<typeof first>),
					panTypeId: "gn-1-1-100",
					panWishes: [{ typeId: "gn-1-2-100", count: 2 }],
					line: { share: 0.5 },
					basis: "pans" as const,
					panCount: 3,
					colour: "oven" as const,
					ahead: true,
				},
				...rest,
				{ ...(second as NonNullable<typeof second>), id: "another" },
			],
		}));
		const words = shown.map(({ what }) => what);
		for (const what of words) expect(what).not.toMatch(/gn-1|\[object|undefined|another|true|null/);
		expect(words.filter((what) => what.endsWith(": put on"))).toHaveLength(1);
		expect(words.filter((what) => what.endsWith(": taken off"))).toHaveLength(1);
		expect(words.join("; ")).toContain("pans settled: none → 2 × GN 1/2-100");
		expect(words.join("; ")).toContain("the day it is cooked: as the card says → the day before");
	});

	it("says weights as weights", async () => {
		const before = await readHouse(store.db);
		const change = (liftLimit_g: number) =>
			changeEquipment(store, "house", before.id, before.version, "Ada", { liftLimit_g });
		await change(12_000);
		const error: unknown = await change(9000).catch((thrown) => thrown);
		expect(error).toBeInstanceOf(Stale);
		expect(staleView(error as Stale, READING).changes[0]?.what).toBe("carrying limit: 15 kg → 12 kg");
	});
});
