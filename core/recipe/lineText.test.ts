import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { UNITS, type UnitName } from "../quantity/index.ts";
import { ingredient, lineText, namesOf, readLine, type SaidOfLine, suggestIngredients } from "./index.ts";

const BOOK = [
	ingredient({ id: "pork-collar", name: "pork collar", category: "meat", cut: "porkShoulder" }),
	ingredient({ id: "thyme", name: "thyme", category: "herb" }),
	ingredient({ id: "bay-leaf", name: "bay leaves", category: "spice", each_g: 0.2 }),
	ingredient({ id: "dry-cider", name: "dry cider", category: "wine", density_g_per_ml: 1 }),
	ingredient({ id: "celery", name: "celery" }),
	ingredient({ id: "celery-seed", name: "celery seed", category: "spice" }),
	ingredient({ id: "white-beans", name: "white beans, dried", category: "pulse" }),
	ingredient({ id: "creme-fraiche", name: "crème fraîche", category: "dairy" }),
	ingredient({ id: "anchovy", name: "anchovies", category: "fish" }),
	ingredient({ id: "tomato", name: "tomatoes", each_g: 110 }),
	ingredient({ id: "garlic", name: "garlic", each_g: 6 }),
	ingredient({ id: "egg", name: "eggs", category: "egg", each_g: 55 }),
	ingredient({ id: "clove", name: "cloves", category: "spice", each_g: 0.1 }),
	ingredient({ id: "carrot", name: "carrots", each_g: 110 }),
];
const NAMED = namesOf(BOOK);
const KNOWN = new Map(BOOK.map((entry) => [entry.id, entry]));
const read = (text: string) => readLine(text, NAMED);

describe("a line as a cook types it", () => {
	it.each([
		["2 1/2 kg pork collar, trimmed, 300 g pieces", 2.5, "kg", "pork-collar", "trimmed, 300 g pieces"],
		["3 bay leaves", 3, "piece", "bay-leaf", undefined],
		["1 bay leaf", 1, "piece", "bay-leaf", undefined],
		["750ml dry cider", 750, "ml", "dry-cider", undefined],
		["½ l of dry cider", 0.5, "l", "dry-cider", undefined],
		["0,5 kg CELERY, large dice", 0.5, "kg", "celery", "large dice"],
		["5 g celery seed", 5, "g", "celery-seed", undefined],
		["450 g white beans, dried, soaked overnight", 450, "g", "white-beans", "soaked overnight"],
		["200 g creme fraiche", 200, "g", "creme-fraiche", undefined],
		["1 anchovy, rinsed", 1, "piece", "anchovy", "rinsed"],
		["1 lb 4 oz tomato", 1.25, "lb", "tomato", undefined],
		["2 tbsp dry cider (to finish)", 2, "tbsp", "dry-cider", "(to finish)"],
	])("%s", (text, amount, unit, id, preparation) => {
		const { quantity, ingredient: found, said } = read(text);
		expect(quantity?.amount).toBeCloseTo(amount, 9);
		expect([quantity?.unit, found?.id, said.preparation]).toEqual([unit, id, preparation]);
	});

	it.each([
		["1-1/2 lb tomatoes", 1.5, "lb", "tomato", undefined],
		["1 - 1/2 lb tomatoes", 1.5, "lb", "tomato", undefined],
		["2 x 400 g tins tomatoes, chopped", 800, "g", "tomato", "chopped"],
		["3 × 0,5 l bottles of dry cider", 1.5, "l", "dry-cider", undefined],
		["500 ml/1 pint dry cider", 500, "ml", "dry-cider", undefined],
		["500 ml (1 pint) dry cider", 500, "ml", "dry-cider", undefined],
		["450 g / 1 lb tomatoes", 450, "g", "tomato", undefined],
		["3 large carrots, sliced", 3, "piece", "carrot", "large, sliced"],
		["2 very small tomatoes", 2, "piece", "tomato", "very small"],
		["2 heaped tbsp creme fraiche", 2, "tbsp", "creme-fraiche", "heaped"],
		["about 200 g celery", 200, "g", "celery", undefined],
		["approx. 200 g celery", 200, "g", "celery", undefined],
		["ca. 2 kg pork collar", 2, "kg", "pork-collar", undefined],
		[".5 l dry cider", 0.5, "l", "dry-cider", undefined],
		["2 tbsps dry cider", 2, "tbsp", "dry-cider", undefined],
		["3 tsps dry cider", 3, "tsp", "dry-cider", undefined],
		["• 200 g celery", 200, "g", "celery", undefined],
		["- 200 g celery", 200, "g", "celery", undefined],
		["1. 200 g celery", 200, "g", "celery", undefined],
		["4 cloves", 4, "piece", "clove", undefined],
	])("as cooks write it: %s", (text, amount, unit, id, preparation) => {
		const { quantity, ingredient: found, said } = read(text);
		expect(quantity?.amount).toBeCloseTo(amount, 9);
		expect([quantity?.unit, found?.id, said.preparation]).toEqual([unit, id, preparation]);
	});

	it.each([
		["4 garlic cloves, crushed", 24, "garlic", "4 cloves, crushed"],
		["4 cloves of garlic", 24, "garlic", "4 cloves"],
		["1 clove garlic", 6, "garlic", "1 clove"],
		["3 celery sticks", 150, "celery", "3 sticks"],
		["2 large sticks of celery, sliced", 100, "celery", "2 sticks, sliced"],
	])("a part is weighed: %s", (text, grams, id, preparation) => {
		const { quantity, ingredient: found, said } = read(text);
		expect([quantity, found?.id, said.preparation]).toEqual([{ amount: grams, unit: "g" }, id, preparation]);
	});

	it.each(["6 egg yolks", "6 yolks"])("%s are bought as six eggs", (text) => {
		const { quantity, ingredient: found, said } = read(text);
		expect(found?.id).toBe("egg");
		const bought_g = (quantity?.amount ?? 0) / (1 - (said.trimLoss ?? 0));
		expect(bought_g / 55).toBeCloseTo(6, 0);
		expect(said.preparation).toBe("6 yolks");
	});

	it("a number that could be two things is asked for, whatever follows it", () => {
		expect(read("1,250 kg pork collar").unclear).toBe(
			"“1,250 kg” could be 1250 or 1.25; write it one of these ways",
		);
		expect(read("1,25 kg pork collar").unclear).toBeUndefined();
	});

	it.each([
		["1 l dry cider, boiled down by half", { reducedTo: 0.5 }],
		["1 l dry cider, reduced by half", { reducedTo: 0.5 }],
		["1 l dry cider, reduced to a third", { reducedTo: 1 / 3 }],
		["1 l dry cider, boiled down by 30 %", { reducedTo: 0.7 }],
		["1 l dry cider, boiled down to 40 %", { reducedTo: 0.4 }],
		["2 kg pork collar, 12 % trim", { trimLoss: 0.12 }],
		["2 kg celery, cooked apart", { apart: true }],
		["2 kg tomatoes, peeled, added 15 min before the end", { preparation: "peeled", late_min: 15 }],
	])("%s", (text, said) => {
		const read_ = read(text).said;
		expect(Object.keys(read_).sort()).toEqual(Object.keys(said).sort());
		for (const [key, value] of Object.entries(said)) {
			const got = read_[key as keyof SaidOfLine];
			if (typeof value === "number") expect(got).toBeCloseTo(value, 9);
			else expect(got).toBe(value);
		}
	});

	it("says what it does not know, and keeps the words", () => {
		expect(read("2 kg dragon tail, scaled")).toMatchObject({
			unknown: "dragon tail",
			said: { preparation: "scaled" },
		});
		expect(read("a little salt").quantity).toBeUndefined();
		expect(read("").unknown).toBeUndefined();
	});

	it("words left over after the name are said to be a guess", () => {
		const rings = read("200 g celery hearts, sliced");
		expect(rings).toMatchObject({ guessed: true, said: { preparation: "hearts, sliced" } });
		expect(rings.ingredient?.id).toBe("celery");
		expect(read("200 g celery, sliced").guessed).toBe(false);
	});

	it.each([
		["2-3 carrots", 2.5, "piece", "carrot", "2 to 3"],
		["500–600 g celery, sliced", 550, "g", "celery", "500 to 600 g, sliced"],
		["2 to 3 tbsp dry cider", 2.5, "tbsp", "dry-cider", "2 to 3 tbsp"],
		["4 sprigs thyme, picked", 6, "g", "thyme", "4 sprigs, picked"],
		["a bunch of thyme", 30, "g", "thyme", "1 bunch"],
		["2 heads of garlic", 100, "g", "garlic", "2 heads"],
		["half a tomato", 0.5, "piece", "tomato", undefined],
	])("a cook does not weigh everything: %s", (text, amount, unit, id, preparation) => {
		const { quantity, ingredient: found, said } = read(text);
		expect(quantity).toEqual({ amount, unit });
		expect(found?.id).toBe(id);
		expect(said.preparation).toBe(preparation);
	});

	it("takes no range for what is a fraction, a date of a book or ten times as much", () => {
		expect(read("1-1/2 kg celery").quantity).toEqual({ amount: 1.5, unit: "kg" });
		expect(read("1 to 20 celery").said.preparation).not.toBe("1 to 20");
	});

	it("offers what may be meant by a name that is not in the book", () => {
		const names = (typed: string) => suggestIngredients(typed, BOOK).map(({ name }) => name);
		expect(names("pork")).toEqual(["pork collar"]);
		expect(names("pork shoulder")).toEqual(["pork collar"]);
		expect(names("cele")).toEqual(["celery", "celery seed"]);
		expect(names("")).toEqual([]);
		expect(names("granite")).toEqual([]);
	});

	it("asks for what may stand in its place and is not in the book, or has no amount", () => {
		expect(read("1 l dry cider, or 1.1 l perry").unknownInstead).toBe("perry");
		expect(read("1 l dry cider, or 900 g white beans, dried, boiled down by half").said).toEqual({
			reducedTo: 0.5,
			substitutes: [{ ingredient: "white-beans", amount: 900, unit: "g" }],
		});
		expect(read("2 garlic cloves, or 10 g celery seed, crushed").said).toEqual({
			preparation: "2 cloves, crushed",
			substitutes: [{ ingredient: "celery-seed", amount: 10, unit: "g" }],
		});
		expect(read("1 l dry cider, or what there is").said).toEqual({ preparation: "or what there is" });
	});

	it("never breaks, whatever is typed", () => {
		fc.assert(
			fc.property(fc.string({ unit: "grapheme", maxLength: 80 }), (text) => {
				expect(() => read(text)).not.toThrow();
			}),
			{ numRuns: 500 },
		);
	});
});

const anyUnit = fc.constantFrom(
	...(Object.keys(UNITS) as UnitName[]).filter(
		(name) => !["length", "temperature"].includes(UNITS[name].dimension),
	),
);
const share = fc.integer({ min: 1, max: 999 }).map((thousandths) => thousandths / 1000);
const anySaid: fc.Arbitrary<SaidOfLine> = fc.record(
	{
		preparation: fc
			.array(fc.constantFrom("trimmed", "large dice", "300 g pieces", "skin on", "to taste"), {
				minLength: 1,
				maxLength: 3,
			})
			.map((parts) => parts.join(", ")),
		reducedTo: share,
		trimLoss: share.filter((loss) => loss <= 0.9),
		late_min: fc.integer({ min: 0, max: 600 }),
		apart: fc.constant(true),
		substitutes: fc.array(
			fc.record({
				ingredient: fc.constantFrom("dry-cider", "white-beans", "bay-leaf"),
				amount: fc.integer({ min: 1, max: 9999 }),
				unit: fc.constantFrom("g" as const, "kg" as const),
			}),
			{ minLength: 1, maxLength: 3 },
		),
	},
	{ requiredKeys: [] },
);

describe("a line written out", () => {
	it("reads back as the same line, in every unit", () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.001, max: 99_999, noNaN: true }),
				anyUnit,
				fc.constantFrom(...BOOK),
				anySaid,
				(amount, unit, ingredient, said) => {
					const back = read(lineText({ ingredient: ingredient.id, amount, unit, ...said }, KNOWN));
					expect(back.said.substitutes).toEqual(said.substitutes);
					expect(back.quantity).toEqual({ amount, unit });
					expect(back.ingredient?.id).toBe(ingredient.id);
					expect(back.said.preparation).toBe(said.preparation);
					expect(back.said.apart).toBe(said.apart);
					expect(back.said.late_min).toBe(said.late_min);
					expect(back.said.reducedTo ?? -1).toBeCloseTo(said.reducedTo ?? -1, 12);
					expect(back.said.trimLoss ?? -1).toBeCloseTo(said.trimLoss ?? -1, 12);
				},
			),
			{ numRuns: 400 },
		);
	});
});
