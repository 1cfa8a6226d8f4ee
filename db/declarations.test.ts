import { resolve } from "node:path";
import { beforeAll, describe, expect, it } from "vitest";
import { planImport, readCsv } from "#core/exchange";
import { HOUR_MS } from "#core/time";
import { confirming } from "./confirming.testing.ts";
import { seedSkerryHouse, seedSkerryRecords } from "./demo/index.ts";
import { freshStore } from "./freshStore.testing.ts";
import {
	AllergensFall,
	applyImport,
	changeIngredient,
	changeSitting,
	findRecipes,
	type IngredientFields,
	mergeIngredients,
	readBookFile,
	readDeclarations,
	readIngredient,
	readSitting,
	readSittings,
	type Store,
	takeDeclarationBack,
	withRecipes,
} from "./index.ts";

const NOW = Date.now();
/** So many swaps of the demo's dishes are tried. */
const MOST_SWAPS = 12;

let store: Store;
beforeAll(async () => {
	store = await freshStore();
	await seedSkerryHouse(store, NOW, resolve("db/demo/book"));
	await seedSkerryRecords(store, NOW);
});

const change = async (id: string, fields: Partial<IngredientFields>) => {
	const { version } = await readIngredient(store.db, id);
	return (confirmed?: { mark: string; by: string }) =>
		changeIngredient(store, id, version, "Ada", fields, confirmed);
};
const fallOf = async (act: () => Promise<unknown>): Promise<AllergensFall> => {
	const thrown = await act().then(
		() => null,
		(error: unknown) => error,
	);
	if (!(thrown instanceof AllergensFall)) throw new Error(`nothing fell: ${thrown}`);
	return thrown;
};
const withoutCelery = async () =>
	(await findRecipes(store.db, { without: ["celery"], limit: 200 })).rows.map(({ recipeId }) => recipeId);

describe("what is declared never falls in silence", () => {
	it("a correction of an ingredient is shown dish by dish and lot by lot, and nothing is written", async () => {
		const without = await withoutCelery();
		const { lowered } = await fallOf(await change("celery", { allergens: [] }));
		const kinds = new Set(lowered.map(({ kind }) => kind));
		expect(kinds).toEqual(new Set(["ingredient", "preparation", "dish", "sitting"]));
		expect(lowered.find(({ kind }) => kind === "ingredient")).toMatchObject({
			id: "celery",
			falls: [{ allergen: "celery", from: "contains", to: null }],
		});
		expect((await readIngredient(store.db, "celery")).allergens).toEqual(["celery"]);
		expect(await withoutCelery()).toEqual(without);
		expect(await readDeclarations(store.db)).toEqual([]);
	});

	it("is written under a name, and only what that name has seen", async () => {
		const write = await change("celery", { allergens: [] });
		const { mark } = await fallOf(write);
		await fallOf(() => write({ mark, by: "  " }));
		await fallOf(() => write({ mark: "another", by: "Ada Holm" }));
		await write({ mark, by: "Ada Holm" });
		expect((await readIngredient(store.db, "celery")).allergens).toEqual([]);
		const [told] = await readDeclarations(store.db);
		expect(told).toMatchObject({ confirmedBy: "Ada Holm", who: "Ada", takenBackBy: null });
		await takeDeclarationBack(store, told?.id ?? 0, { who: "Ada" });
		expect((await readIngredient(store.db, "celery")).allergens).toEqual(["celery"]);
	});

	it("of a lot too: what the book says of its ingredients by now is declared of it, and does not go unseen", async () => {
		const { lowered: none } = await fallOf(await change("celery", { allergens: [] }));
		expect(none.some(({ kind }) => kind === "lot")).toBe(false);
		await (await change("damson", { mayContain: ["nuts"] }))();
		const { lowered } = await fallOf(await change("damson", { mayContain: [] }));
		expect(lowered.find(({ kind }) => kind === "lot")).toMatchObject({
			...{ id: "3", name: "Duck legs, damsons, barley" },
			falls: [{ allergen: "nuts", from: "mayContain", to: null }],
		});
		await confirming(await change("damson", { mayContain: [] }));
	});

	it("asks nobody where more is declared, or an ingredient is described at last", async () => {
		await (await change("celery", { allergens: ["celery", "mustard"] }))();
		await confirming(await change("celery", { described: false, allergens: ["celery"] }));
		await (await change("celery", { described: true, allergens: ["celery"] }))();
		expect(await readIngredient(store.db, "celery")).toMatchObject({ described: true });
	});

	it("a merge that takes celery away is refused until it is confirmed, and taken back whole", async () => {
		const merge = (confirmed?: { mark: string; by: string }) =>
			mergeIngredients(store, "celery", "carrot", "Ada", confirmed);
		const without = await withoutCelery();
		await fallOf(merge);
		await confirming(merge);
		expect((await withoutCelery()).length).toBeGreaterThan(without.length);
		const [told] = await readDeclarations(store.db);
		await takeDeclarationBack(store, told?.id ?? 0, { who: "Ada" });
		expect(await withoutCelery()).toEqual(without);
		expect((await readIngredient(store.db, "celery")).mergedInto).toBeNull();
		expect((await readDeclarations(store.db))[0]).toMatchObject({ id: told?.id, takenBackBy: "Ada" });
		await expect(takeDeclarationBack(store, told?.id ?? 0, { who: "Ada" })).rejects.toThrow("no change");
	});

	it("a merge that only adds can be taken back too, and that is confirmed in turn", async () => {
		const without = await withoutCelery();
		await confirming((confirmed) => mergeIngredients(store, "carrot", "celery", "Ada", confirmed));
		expect((await withoutCelery()).length).toBeLessThan(without.length);
		const [told] = await readDeclarations(store.db);
		const back = (confirmed?: { mark: string; by: string }) =>
			takeDeclarationBack(store, told?.id ?? 0, { who: "Ada", confirmed });
		await fallOf(back);
		await confirming(back);
		expect(await withoutCelery()).toEqual(without);
	});

	it("a file that takes allergens away is refused until it is confirmed, and taken back whole", async () => {
		const csv = "id,name,category,trimLoss,allergens\ncelery,celery,vegetable,0.2,none\n";
		const take = async (confirmed?: { mark: string; by: string }) => {
			const book = await readBookFile(store.db);
			const planOf = async () => planImport(readCsv(csv, book.ingredients), book);
			return applyImport(store, planOf, "Ada", undefined, confirmed);
		};
		const before = await readIngredient(store.db, "celery");
		await fallOf(take);
		expect(await readIngredient(store.db, "celery")).toEqual(before);
		await confirming(take);
		expect(await readIngredient(store.db, "celery")).toMatchObject({ allergens: [], trimLoss: 0.2 });
		const [told] = await readDeclarations(store.db);
		await takeDeclarationBack(store, told?.id ?? 0, { who: "Ada" });
		const { version: _, ...fields } = before;
		expect(await readIngredient(store.db, "celery")).toMatchObject(fields);
	});

	it("a swap on a sitting that takes something off its dish is confirmed first", async () => {
		const sittings = await readSittings(store.db, NOW, NOW + 400 * 24 * HOUR_MS);
		const dishes = await withRecipes(
			store.db,
			sittings.flatMap((sitting) => sitting.dishes),
		);
		const found = dishes.flatMap((dish) =>
			dish.recipe.lines.flatMap(({ ingredient: from, substitutes = [] }) =>
				substitutes.map(({ ingredient: to }) => ({ dish: dish.id, from, to })),
			),
		);
		expect(found.length).toBeGreaterThan(0);
		let fell = 0;
		for (const { dish, from, to } of found.slice(0, MOST_SWAPS)) {
			const own = sittings.find((sitting) => sitting.dishes.some(({ id }) => id === dish));
			if (!own) throw new Error("it is on a sitting");
			const swapTo =
				(swaps: { from: string; to: string }[]) => async (confirmed?: { mark: string; by: string }) => {
					const { version } = await readSitting(store.db, own.id);
					const swap = (now: typeof own) => ({
						...now,
						dishes: now.dishes.map((one) => (one.id === dish ? { ...one, swaps } : one)),
					});
					await changeSitting(store, own.id, version, "Ada", swap, confirmed);
				};
			const there = await confirming(swapTo([{ from, to }]));
			const back = await confirming(swapTo([]));
			if (there || back) fell += 1;
		}
		expect(fell).toBeGreaterThan(0);
	});
});
