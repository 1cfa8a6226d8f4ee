import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { CUT_FORMS, cutIn, cutOf, cutSizeWords } from "./cutSize.ts";
import { sizesFor, vegetableMinutes } from "./vegetableMinutes.ts";

describe("how a vegetable is cut", () => {
	it.each([
		["dice of 20 mm", { form: "dice", mm: 20 }],
		["20 mm dice", { form: "dice", mm: 20 }],
		["in 4 cm chunks", { form: "chunk", mm: 40 }],
		["sliced 5 mm thick", { form: "slice", mm: 5 }],
		["slices of 4.5 mm", { form: "slice", mm: 4.5 }],
	])("%s is read", (text, cut) => expect(cutIn(text)).toEqual(cut));

	it.each([
		"large dice",
		"peeled whole",
		"20 mm",
		"dice",
		"slices of 45 mm on the bone, 430 g",
		"0 mm dice",
		"9 m dice",
	])("%s is preparation", (text) => expect(cutIn(text)).toBeUndefined());

	it("reads back what it writes, and is found in a part of the preparation", () => {
		fc.assert(
			fc.property(fc.constantFrom(...CUT_FORMS), fc.integer({ min: 1, max: 120 }), (form, mm) => {
				expect(cutIn(cutSizeWords({ form, mm }))).toEqual({ form, mm });
				expect(cutOf({ preparation: `peeled, ${cutSizeWords({ form, mm })}` })).toEqual({ form, mm });
			}),
		);
	});
});

describe("how long it takes in the liquid", () => {
	it("is what practice says of firm roots, and an onion falls apart in an hour", () => {
		const carrot = (mm: number) => vegetableMinutes("carrots", { form: "dice", mm })?.tender ?? 0;
		expect(carrot(20)).toBeGreaterThanOrEqual(20);
		expect(carrot(20)).toBeLessThanOrEqual(30);
		expect(carrot(40)).toBeGreaterThanOrEqual(45);
		expect(carrot(40)).toBeLessThanOrEqual(60);
		expect(vegetableMinutes("onions", { form: "dice", mm: 20 })?.fallsApart).toBe(60);
		expect(vegetableMinutes("garden peas", { form: "dice", mm: 8 })).toBeUndefined();
	});

	it("suits a size that is tender and whole by then, larger the longer it goes", () => {
		fc.assert(
			fc.property(
				fc.constantFrom("carrots", "swede", "parsnips", "potatoes"),
				fc.constantFrom(...CUT_FORMS),
				fc.integer({ min: 15, max: 120 }),
				(name, form, minutes) => {
					const sizes = sizesFor(name, form, minutes);
					if (!sizes) return;
					for (const mm of [sizes.low, sizes.likely, sizes.high]) {
						const takes = vegetableMinutes(name, { form, mm });
						expect(takes?.tender).toBeLessThanOrEqual(minutes);
						expect(takes?.fallsApart).toBeGreaterThanOrEqual(minutes);
					}
					const later = sizesFor(name, form, minutes + 10);
					if (later) expect(later.low).toBeGreaterThanOrEqual(sizes.low);
				},
			),
		);
	});
});
