import { describe, expect, it } from "vitest";
import { readIngredientForm, readPriceForm, typedOf } from "./ingredientForm.ts";

const TYPED = {
	name: "dry cider",
	category: "wine",
	cut: "",
	supplier: "",
	density: "1,01",
	each: "",
	trim: "0",
	pack: "5 l",
	"contains.sulphites": "on",
};
const formOf = (typed: Record<string, string>) => {
	const form = new FormData();
	for (const [name, value] of Object.entries(typed)) form.set(name, value);
	return form;
};
const read = (changed: Record<string, string>) => readIngredientForm(formOf({ ...TYPED, ...changed }));

describe("an ingredient as it is typed", () => {
	it("reads a volume by its density, and what is ticked", () => {
		expect(read({})).toEqual({
			value: {
				name: "dry cider",
				category: "wine",
				cut: null,
				described: false,
				supplier: null,
				density_g_per_ml: 1.01,
				each_g: null,
				trimLoss: 0,
				givesWater: null,
				takesRoom: null,
				salt_pct: null,
				pack_g: 5050,
				origins: [],
				allergens: ["sulphites"],
				mayContain: [],
			},
		});
	});

	it.each([
		[{ name: " " }, "name"],
		[{ category: "cheese" }, "category"],
		[{ trim: "95" }, "trim"],
		[{ density: "0" }, "density"],
		[{ each: "5 ml" }, "each"],
		[{ each: "three" }, "each"],
		[{ pack: "-2 kg" }, "pack"],
	])("%o is refused at its field, and kept", (changed, field) => {
		const result = read(changed);
		expect("wrong" in result && Object.keys(result.wrong)).toEqual([field]);
		expect("typed" in result && result.typed).toMatchObject(changed);
	});

	it.each(["metric", "us"] as const)("is shown as it reads back, in %s units", (units) => {
		const first = read({
			each: "150 g",
			trim: "12.5",
			salt: "14",
			water: "35",
			room: "no",
			"may.gluten": "on",
			"origin.honey": "on",
		});
		if (!("value" in first)) throw new Error("refused");
		const again = readIngredientForm(formOf(typedOf(first.value, units)));
		if (!("value" in again)) throw new Error("refused");
		expect(again.value.each_g).toBeCloseTo(150, 2);
		expect({ ...again.value, each_g: 150 }).toEqual({ ...first.value, each_g: 150 });
	});
});

describe("a price as it is typed", () => {
	const price = (changed: Record<string, string>) =>
		readPriceForm(formOf({ pack: "4.5 kg", price: "53,10", from: "2026-11-25", ...changed }), {
			density: null,
			timeZone: "UTC",
			minorUnits: 100,
		});

	it("is of about a kilo a litre where no density is known", () => {
		expect(price({ pack: "5 l" })).toMatchObject({ value: { pack_g: 5000 } });
	});

	it("is whole minor units from the morning of its day", () => {
		expect(price({})).toEqual({
			value: { pack_g: 4500, price_minor: 5310, from: Date.UTC(2026, 10, 25) },
		});
	});

	it.each([
		[{ pack: "" }, "pack"],
		[{ pack: "5 cm" }, "pack"],
		[{ price: "free" }, "price"],
		[{ price: "0" }, "price"],
		[{ from: "soon" }, "from"],
	])("%o is refused at its field", (changed, field) => {
		const result = price(changed);
		expect("wrong" in result && Object.keys(result.wrong)).toEqual([field]);
	});
});
