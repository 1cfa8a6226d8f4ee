import { beforeEach, describe, expect, it } from "vitest";
import { changeSitting, readSitting, readSittings, type Sitting, Stale, type Store } from "#db";
import { openDemoHouse } from "../ui/server/demoTables.testing.ts";
import { lastEvents, sittingNames } from "../ui/server/sittingNames.ts";
import { editedSitting, ontoChanged, removedDishes, type SittingAsked } from "./sittingEdit.ts";

const NOW = Date.UTC(2026, 10, 24, 9, 0);

let store: Store;
let supper: Sitting;

beforeEach(async () => {
	store = await openDemoHouse(NOW);
	const sittings = await readSittings(store.db, NOW, NOW + 15 * 86_400_000);
	supper = sittings.find(({ name }) => name === "Festival supper") as Sitting;
});

/** The page as it was opened, with a button pressed. */
function pressed(asked: Partial<SittingAsked>): SittingAsked {
	const { name, room, serviceAt, covers, hands, note, diets } = supper;
	return {
		details: { name, room, serviceAt, covers, hands, note, diets },
		shares: new Map(supper.dishes.map(({ id, uptake, spare }) => [id, { uptake, spare }])),
		intent: "save",
		subject: "",
		added: null,
		renewed: null,
		putBack: null,
		...asked,
	};
}

const addOf = (id: string) =>
	pressed({ intent: "add", added: { id, recipeVersionId: supper.dishes[0]?.recipeVersionId ?? "" } });

/** Changes the sitting and gives it as it is then. */
async function changed(version: number, asked: SittingAsked): Promise<Sitting> {
	await changeSitting(store, supper.id, version, "Ada", (now) => editedSitting(now, asked));
	return readSitting(store.db, supper.id);
}

/** What the second of two presses meets. */
async function staleEvents(asked: SittingAsked) {
	try {
		await changeSitting(store, supper.id, supper.version, "Bo", (now) => editedSitting(now, asked));
	} catch (error) {
		if (error instanceof Stale) return error.events;
		throw error;
	}
	throw new Error("nobody was quicker");
}

describe("dishes put on one after the other", () => {
	it("both go on, though the second was pressed before the page came back", async () => {
		const first = await changed(supper.version, addOf("one"));
		const onto = ontoChanged(addOf("two"), await staleEvents(addOf("two")));
		const second = await changed(first.version, onto as SittingAsked);
		expect(second.dishes.map(({ id }) => id).slice(-2)).toEqual(["one", "two"]);
	});

	it("what is sent twice goes on once", async () => {
		const first = await changed(supper.version, addOf("one"));
		const onto = ontoChanged(addOf("one"), await staleEvents(addOf("one")));
		expect((await changed(first.version, onto as SittingAsked)).dishes).toEqual(first.dishes);
	});

	it("keep what somebody else changed meanwhile, and what was typed beside it", async () => {
		await changed(supper.version, pressed({ details: { covers: 160 } }));
		const typed = pressed({ ...addOf("one"), details: { ...addOf("one").details, room: "Long barn" } });
		const onto = ontoChanged(typed, await staleEvents(typed)) as SittingAsked;
		const both = await changed(supper.version + 1, onto);
		expect([both.covers, both.room, both.dishes.at(-1)?.id]).toEqual([160, "Long barn", "one"]);
	});

	it("are for a person to settle where both changed the same field", async () => {
		await changed(supper.version, pressed({ details: { covers: 160 } }));
		const typed = pressed({ ...addOf("one"), details: { ...addOf("one").details, covers: 200 } });
		expect(ontoChanged(typed, await staleEvents(typed))).toBeNull();
		const [dish] = supper.dishes;
		const share = new Map([[dish?.id ?? "", { uptake: 0.1 }]]);
		await changed(supper.version + 1, pressed({ details: {}, shares: share }));
		const other = pressed({
			...addOf("one"),
			details: {},
			shares: new Map([[dish?.id ?? "", { uptake: 0.2 }]]),
		});
		expect(ontoChanged(other, await staleEvents(other))).toBeNull();
	});
});

describe("a dish taken off", () => {
	it("is put back as it was, where it stood, also after other changes", async () => {
		const [dish] = supper.dishes;
		if (!dish) throw new Error("no dish");
		const settled = {
			...dish,
			panWishes: [{ typeId: "gn-1-1-100", count: 2 }],
			line: { share: 0.5 },
			ahead: true,
		};
		await changeSitting(store, supper.id, supper.version, "Ada", (now) => ({
			...now,
			dishes: [settled, ...now.dishes.slice(1)],
		}));
		const off = await changed(
			supper.version + 1,
			pressed({ intent: "remove", subject: dish.id, shares: new Map() }),
		);
		expect(off.dishes.map(({ id }) => id)).not.toContain(dish.id);
		const later = await changed(off.version, pressed({ details: { covers: 150 }, shares: new Map() }));
		const [removed] = removedDishes(later, await lastEvents(store.db, later));
		expect(removed).toMatchObject({ dish: settled, position: 0, who: "Ada" });
		const back = await changed(
			later.version,
			pressed({ details: {}, shares: new Map(), putBack: removed ?? null }),
		);
		expect(back.dishes).toEqual([settled, ...supper.dishes.slice(1)]);
		expect(removedDishes(back, await lastEvents(store.db, back))).toEqual([]);
	});

	it("has its name in the record", async () => {
		const [dish] = supper.dishes;
		await changed(supper.version, pressed({ intent: "remove", subject: dish?.id ?? "" }));
		const names = await sittingNames(store.db, supper.id);
		expect(names.get(dish?.id ?? "")).toMatch(/^[A-Z][a-z]+ /);
		expect(names.get(dish?.recipeVersionId ?? "")).toMatch(/, no\. \d+$/);
	});
});

it("called off, a sitting is put back on as it was", async () => {
	const off = await changed(supper.version, pressed({ intent: "callOff" }));
	expect(off.calledOff).toBe(true);
	const on = await changed(off.version, pressed({ intent: "callOff" }));
	expect({ ...on, version: supper.version }).toEqual(supper);
});

it("called off twice at once is called off, and the second is told", async () => {
	const callOff = pressed({ intent: "callOff" });
	await changed(supper.version, callOff);
	expect(ontoChanged(callOff, await staleEvents(callOff))).toBeNull();
});
