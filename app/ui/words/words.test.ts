import { describe, expect, it } from "vitest";
import type { PlanLine } from "#core/dish";
import {
	ALLERGEN_LISTS,
	ALLERGENS,
	type AllergenFound,
	DISH_FIELDS,
	ingredient,
	PREPARATION_FIELDS,
} from "#core/recipe";
import { allergenView } from "./allergenView.ts";
import { fieldWords } from "./fieldWords.ts";
import { lineView } from "./lineView.ts";
import { readingIn } from "./reading.ts";
import { stateWords, versionWords } from "./stateWords.ts";

const READING = readingIn("metric", "UTC", 0);

describe("a version in words", () => {
	it("is a standard only when it is one", () => {
		expect(versionWords({ state: "standard", number: 3 })).toBe("standard no. 3");
		expect(versionWords({ state: "tested", number: 4 })).toBe("no. 4, in test");
		expect(versionWords({ state: "retired", number: 2 })).toBe("no. 2, retired");
		expect(stateWords("tested")).toBe("In test,");
	});
});

describe("a field in words", () => {
	it.each([...Object.keys(DISH_FIELDS), ...Object.keys(PREPARATION_FIELDS)])(
		"%s has a name of its own",
		(field) => {
			expect(fieldWords(field)).toMatch(/^[A-Z]/);
		},
	);

	it("lines and steps are called so, whichever they are", () => {
		expect([fieldWords("line.l3"), fieldWords("step.s1")]).toEqual(["A line", "A step"]);
	});
});

describe("what a dish declares, in words", () => {
	const found: AllergenFound[] = [
		{ allergen: "celery", presence: "contains", from: ["celery", "stock (celery)"] },
		{ allergen: "gluten", presence: "mayContain", from: ["lentils"] },
	];

	it("tells what is in it from traces, each with what brings it", () => {
		const view = allergenView(found, "eu14");
		expect(view.found).toEqual([
			{ name: "celery", presence: "contains", from: "celery, stock (celery)" },
			{ name: "gluten", presence: "may contain", from: "lentils" },
		]);
	});

	it.each(["eu14", "us9"] as const)(
		"is free of the rest of the %s list, and never of what is in it",
		(list) => {
			const { freeOf } = allergenView(found, list);
			const all = ALLERGEN_LISTS[list].of.map((allergen) => ALLERGENS[allergen]);
			expect([...freeOf].sort()).toEqual(all.filter((name) => name !== "celery" && name !== "gluten").sort());
		},
	);
});

describe("a line in words", () => {
	const line = (more: Partial<PlanLine>): PlanLine => ({
		ingredient: ingredient({ id: "x", name: "smoked paprika", category: "spice" }),
		line: { ingredient: "x", amount: 24, unit: "g", role: "potent", group: "base" },
		amount_g: 105,
		weigh_g: 105,
		finerThanScales: false,
		measure_ml: null,
		count: null,
		percentOfMain: 0.664,
		perPortion_g: 1.66,
		card_ml: null,
		straight: null,
		roundedBy: 0,
		sum: null,
		...more,
	});

	it("shows what is weighed, its share and its portion", () => {
		expect(lineView(line({}), READING)).toMatchObject({
			amount: "105 g",
			percentOfMain: "0.66 %",
			perPortion: "1.66 g",
			note: "",
		});
	});

	it("is measured where the card measures, and counted where it counts", () => {
		expect(lineView(line({ measure_ml: 4480 }), READING).amount).toBe("4.48 l");
		const counted = lineView(line({ count: 13, amount_g: null, weigh_g: null, straight: 19 }), READING);
		expect(counted).toMatchObject({ amount: "13 pieces", note: "straight 19 pieces · count them out" });
	});

	it.each([
		[0.0201, "rounded up 2.01 %"],
		[-0.031, "rounded down 3.1 %"],
		[0.02, ""],
		[-0.019, ""],
	])("rounded by %d says “%s”", (roundedBy, note) => {
		expect(lineView(line({ roundedBy }), READING).note).toBe(note);
	});

	it("says how it is prepared, boiled down, and when it joins", () => {
		const { preparation } = lineView(
			line({
				line: {
					ingredient: "x",
					amount: 1,
					unit: "l",
					role: "liquid",
					group: "liquid",
					preparation: "dry",
					reducedTo: 0.5,
					late_min: 15,
				},
			}),
			READING,
		);
		expect(preparation).toBe("dry, boiled down by half, 15 min before the end");
	});
});
