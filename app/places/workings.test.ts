import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { placeDay, type WorkedDish } from "#core/day";
import type { DishOrder } from "#core/dish";
import type { Kitchen } from "#core/kitchen";
import type { Recipe } from "#core/recipe";
import { PLACES, type PlaceKey } from "#core/trade";
import { reckoned } from "#core/workings";
import { givenDay, sitting, workedIn } from "../../core/day/days.testing.ts";
import { equipped, KITCHEN, ORDER, RECIPE, wanting } from "../../core/dish/dish.testing.ts";
import { runs } from "../../core/random/runs.testing.ts";
import { readingIn } from "../ui/words/reading.ts";
import { sumsOf } from "./index.ts";
import { workedOutAgain } from "./workedOutAgain.testing.ts";
import { sumWords } from "./workingWords.ts";

const NOW = Date.UTC(2026, 10, 20, 9, 0);

/** Dishes as kitchens have them: by weight and by the piece, boned or not, marinated, made ahead, any size. */
const recipes: fc.Arbitrary<Recipe> = fc
	.record({
		byPiece: fc.boolean(),
		// Percentages are typed with one decimal at the most.
		trimLoss: fc.integer({ min: 0, max: 300 }).map((permille) => permille / 1000),
		boneShare: fc.constantFrom(0, 0.25, 0.4),
		cookingLoss: fc.integer({ min: 200, max: 500 }).map((permille) => permille / 1000),
		portion_g: fc.integer({ min: 90, max: 260 }),
		weight_g: fc.integer({ min: 60, max: 420 }),
		height_mm: fc.integer({ min: 25, max: 70 }),
		line: fc.constantFrom({ share: 0.5 }, { below_mm: 15 }, { over_mm: 5 }),
		sauce_ml: fc.integer({ min: 0, max: 120 }),
		rest_min: fc.integer({ min: 0, max: 40 }),
		lid: fc.constantFrom("lid" as const, "foil" as const, "paper" as const),
		late_min: fc.constantFrom(undefined, 20, 45),
		service: fc.constantFrom("sameDay" as const, "madeAhead" as const),
		marinate: fc.boolean(),
		handsOn_min: fc.double({ min: 0, max: 20, noNaN: true }),
	})
	.map((made): Recipe => {
		const losses = {
			trimLoss: made.trimLoss,
			boneShare: made.boneShare,
			cookingLoss: made.cookingLoss,
		};
		return {
			...RECIPE,
			losses,
			portion: made.byPiece
				? { piecesPerPortion: 1, piece_g: made.weight_g / (1 - made.trimLoss) }
				: { portion_g: made.portion_g },
			piece: {
				shape: "block",
				length_mm: 95,
				width_mm: 62,
				height_mm: made.height_mm,
				weight_g: made.weight_g,
			},
			braise: { ...RECIPE.braise, line: made.line, lid: made.lid },
			sauce_ml: made.sauce_ml,
			rest_min: made.rest_min,
			schools: { service: made.service },
			lines: RECIPE.lines.map((line) =>
				line.ingredient === "celery" && made.late_min !== undefined
					? { ...line, late_min: made.late_min }
					: line,
			),
			steps: RECIPE.steps.map((step) => ({ ...step, handsOn_min: made.handsOn_min })),
			...(made.marinate ? { marinate: { minutes: 600, longest_min: 2000, container: "a tub" } } : {}),
		};
	});

const orders: fc.Arbitrary<DishOrder> = fc.record({
	id: fc.constant("dish"),
	serviceAt: fc.integer({ min: 0, max: 2000 }).map((quarter) => NOW + 4 * 86_400_000 + quarter * 900_000),
	covers: fc.integer({ min: 4, max: 420 }),
	uptake: fc.constantFrom(1, 0.62, 0.35),
	spare: fc.constantFrom(0, 0.05, 0.1),
	lineSettled: fc.boolean(),
	hands: fc.integer({ min: 1, max: 6 }),
	basis: fc.constantFrom(
		{ from: "covers" as const },
		{ from: "onHand" as const, onHand_kg: 23.7 },
		{ from: "pans" as const, pans: 3 },
	),
	panTypeId: fc.constantFrom(null, "full"),
	panWishes: fc.constant([]),
	colour: fc.constantFrom(null, "pan" as const, "oven" as const),
});

const POTS = [
	{ id: "pot", name: "Pot 360", shape: { round: { diameter_mm: 360, height_mm: 300 } }, stock: 2 },
] as const;
const kitchens: fc.Arbitrary<Kitchen> = fc
	.record({ confidence: fc.constantFrom(0.5, 0.9, 0.99), pots: fc.boolean() })
	.map(({ confidence, pots }) =>
		wanting(
			{ confidence },
			equipped({ pans: pots ? [...KITCHEN.equipment.pans, ...POTS] : KITCHEN.equipment.pans }),
		),
	);

describe("the sums behind the figures", () => {
	it("are the plan's own: each comes to its result, and the results are the plan's figures", () => {
		fc.assert(
			fc.property(recipes, orders, kitchens, (recipe, order, kitchen) => {
				const made = workedIn(recipe, order, kitchen);
				for (const { sum, result } of allSums(made, kitchen)) {
					expect(reckoned(sum)).toBeCloseTo(result.value, 6);
				}
				for (const [name, worked, planned] of pairsOf(made, kitchen)) {
					if (worked !== undefined) expect(worked, name).toBeCloseTo(planned ?? Number.NaN, 6);
				}
			}),
			{ numRuns: runs(60) },
		);
	});

	it("each start that is shown is the clock's own", () => {
		fc.assert(
			fc.property(recipes, orders, kitchens, (recipe, order, kitchen) => {
				const made = workedIn(recipe, order, kitchen);
				for (const place of PLACES) {
					for (const { key, about, result } of sumsAt(place, made, kitchen)) {
						if (key !== "start") continue;
						expect(made.tasks.find(({ id }) => id === about?.task)?.start).toBe(result.value);
					}
				}
				const tender = sumsAt("braise", made, kitchen).filter(({ key }) => key.startsWith("tender"));
				expect(tender.map(({ result }) => result.value)).toEqual([
					made.tender.low,
					made.tender.likely,
					made.tender.high,
				]);
			}),
			{ numRuns: runs(60) },
		);
	});

	it.each(["metric", "us"] as const)(
		"what a reader works out again is what stands there, in %s units",
		(units) => {
			const reading = readingIn(units, "UTC", NOW);
			fc.assert(
				fc.property(recipes, orders, kitchens, (recipe, order, kitchen) => {
					const made = workedIn(recipe, order, kitchen);
					for (const working of allSums(made, kitchen)) {
						const told = sumWords(working, reading);
						const { unit } = working.result;
						const again = unit === "instant" || unit === "count" ? null : workedOutAgain(told);
						if (again === null) continue;
						expect(again.off, `${told.label}: ${told.working} = ${told.result}`).toBeLessThanOrEqual(
							again.slack,
						);
						expect(again.digits).toBeLessThanOrEqual(4);
					}
				}),
				{ numRuns: runs(40) },
			);
		},
	);

	it("of a whole sitting are the plan's own as well", () => {
		const dishes = ["a", "b", "c"].map((id) => ({ id, recipe: RECIPE, order: { ...ORDER, covers: 120 } }));
		const day = placeDay(givenDay([sitting("hall", dishes)]), { seed: 1, steps: 20_000 });
		expect(day.dishes.size).toBe(3);
		for (const dish of day.dishes.values()) {
			for (const { sum, result } of allSums(dish, KITCHEN)) {
				expect(reckoned(sum)).toBeCloseTo(result.value, 6);
			}
		}
	});
});

const sumsAt = (place: PlaceKey, plan: WorkedDish, kitchen: Kitchen) =>
	sumsOf(place, { plan, kitchen, reading: readingIn("metric", "UTC", NOW) });
const allSums = (plan: WorkedDish, kitchen: Kitchen) =>
	PLACES.flatMap((place) => sumsAt(place, plan, kitchen));

/** What the sums come to beside what the plan says; undefined where a dish has no such sum. */
function pairsOf(
	made: WorkedDish,
	kitchen: Kitchen,
): (readonly [string, number | undefined, number | undefined])[] {
	const workingOf = (place: PlaceKey, key: string) =>
		sumsAt(place, made, kitchen).find((working) => working.key === key)?.result.value;
	const { chain, liquid, sauce } = made;
	const [first] = sauce?.remedies ?? [];
	return [
		["portions", workingOf("buy", "portionsWanted"), made.wanted],
		["trimmed", workingOf("trim", "trimmed"), chain.trimmed_kg],
		["pieces", workingOf("trim", "pieces"), made.pieces],
		["order", workingOf("buy", "order"), chain.order_kg],
		["made", workingOf("buy", "portionsMade"), chain.portions],
		["left", workingOf("build", "left"), liquid?.left_l],
		["vegetables", workingOf("build", "fromVegetables"), liquid?.fromVegetables_l],
		["meat", workingOf("build", "outOfTheMeat"), liquid?.weeping_l],
		["salt", workingOf("build", "saltWhenLifted"), (liquid?.salt_pct ?? 0) / 100],
		["taken", workingOf("sauce", "taken"), sauce?.take_l],
		["sauce on the clock", workingOf("sauce", "sauceMinutes"), made.work.sauce_min],
		["reducing", workingOf("sauce", "toReduce"), first?.kind === "reduce" ? first.minutes : undefined],
		["searing", workingOf("sear", "searMinutes"), made.colour?.minutes],
		["a pan", workingOf("panUp", "panLiquid"), made.pans.pans[0]?.liquid_l],
		["poured", workingOf("build", "poured"), made.pans.liquid_l],
		[
			"salt of the sauce",
			workingOf("sauce", "saltOfSauce"),
			made.salt_pct === null ? undefined : made.salt_pct / 100,
		],
	];
}
