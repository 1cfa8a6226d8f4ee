import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Refusal } from "../check/index.ts";
import { DEMO_DOCS, demoDish } from "../recipe/demoBook.testing.ts";
import { ingredient, isPreparation, namedIn, namesOf, readDraft } from "../recipe/index.ts";
import {
	type BookFile,
	decodeText,
	emptyBook,
	fromJsonLd,
	type ImportPlan,
	type IngredientEntry,
	ingredientsToCsv,
	isCsv,
	isIdle,
	planImport,
	pricesToCsv,
	readBookText,
	readCsv,
	recipesInJsonLd,
	toJsonLd,
	toMarkdown,
} from "./index.ts";

const AWKWARD = "core/exchange/awkward";
const AS = { who: "Ada", at: 5, id: "a-file" };
const EMPTY = emptyBook("EUR");

/** What taking in a file of the awkward folder would do to a book. */
function planOf(name: string, book: BookFile = EMPTY): ImportPlan {
	const { text } = decodeText(readFileSync(join(AWKWARD, name)));
	const read = isCsv(text) ? readCsv(text, book.ingredients) : readBookText(text, AS);
	return planImport(read, book);
}
const refusals = (name: string) => planOf(name).refused.map(({ line, why }) => `${line}: ${why}`);

describe("an awkward file", () => {
	it.each([
		["broken.json", /line 4: is no JSON/],
		["not-a-book.json", /line 1: is no JSON object/],
		["other-format.json", /format: “somebody\/else” was given; wide-table\/book/],
		["newer-version.json", /formatVersion: “9” was given; 1 is allowed/],
		["binary.json", /file: is no text/],
		["deep.json", /nested more than 40 deep/],
		["unknown-heading.csv", /format|heading/],
	])("%s is refused whole, and says why", (name, why) => {
		expect(() => planOf(name)).toThrow(Refusal);
		expect(() => planOf(name)).toThrow(why);
	});

	it("circle.json: the circle is named, and nothing of it comes in", () => {
		const plan = planOf("circle.json");
		expect(plan.refused[0]?.why).toContain("base needs essence needs glaze needs base");
		expect(plan.recipes).toEqual([]);
	});

	it("merges that come back to themselves are refused, whoever leads into them; others come in", () => {
		const entry = (id: string, mergedInto?: string): IngredientEntry => ({
			id,
			name: `${id} thing`,
			category: "spice",
			origins: [],
			trimLoss: 0,
			allergens: [],
			mayContain: [],
			prices: [],
			...(mergedInto === undefined ? {} : { mergedInto }),
		});
		const there = { ...EMPTY, ingredients: [entry("old", "newer"), entry("newer")] };
		const given = [
			entry("a", "b"),
			entry("b", "c"),
			entry("c", "a"),
			entry("leads", "a"),
			entry("self", "self"),
			entry("newer", "old"),
			entry("good", "end"),
			entry("end"),
		];
		const read = {
			ingredients: given.map((each, line) => ({ line, entry: each })),
			recipes: [],
			notRead: [],
			currency: null,
		};
		const { ingredients, refused } = planImport(
			{ ...readBookText(JSON.stringify(EMPTY), AS), ...read },
			there,
		);
		expect(ingredients.map((step) => step.entry.id)).toEqual(["good", "end"]);
		expect(refused).toHaveLength(6);
		for (const { why } of refused) expect(why).toContain("into itself");
	});

	it("wrong-units.json: each recipe with its unit is refused at its line, the rest of the file is read", () => {
		const { refused, ingredients, recipes } = planOf("wrong-units.json");
		expect(ingredients.map(({ verdict }) => verdict)).toEqual(["new"]);
		expect(recipes).toEqual([]);
		expect(refused.map(({ what }) => what).sort()).toEqual(["brine", "counted", "dense", "hot"]);
		expect(refused.map(({ why }) => why).join()).toMatch(/furlong.*allowed/);
		expect(new Set(refused.map(({ line }) => line)).size).toBe(4);
	});

	it("wrong-numbers.json: four ingredients, four refusals, each at the line of the field", () => {
		const { refused } = planOf("wrong-numbers.json");
		expect(refused).toHaveLength(4);
		const text = readFileSync(join(AWKWARD, "wrong-numbers.json"), "utf8").split("\n");
		for (const { line } of refused) expect(text[line - 1]).toMatch(/"trimLoss"|"each_g"/);
	});

	it("scripts.json: names are words like any other, and stay as they are", () => {
		const plan = planOf("scripts.json");
		expect(plan.refused).toEqual([]);
		expect(plan.ingredients[0]?.entry.name).toBe("<script>alert(1)</script>");
		const csv = ingredientsToCsv(plan.ingredients.map(({ entry }) => entry));
		expect(csv).not.toMatch(/^formula,=/m);
	});

	it("twice.json: the first of a name is taken", () => {
		expect(planOf("twice.json").ingredients.map(({ entry }) => entry.name)).toEqual(["salt"]);
		expect(refusals("twice.json")).toHaveLength(2);
	});

	it.each([
		["unknown-ingredient.json", /dragon.*not in the book/],
		["lost-merge.json", /nowhere.*not there/],
		["two-kinds.json", /two versions of one number/],
	])("%s is refused by entry", (name, why) => {
		expect(refusals(name).join(" ")).toMatch(why);
	});

	it("foreign-money.json: the ingredient comes in, its prices do not, and it is said", () => {
		const plan = planOf("foreign-money.json");
		expect(plan.ingredients[0]).toMatchObject({ verdict: "new", entry: { prices: [] } });
		expect(plan.refused[0]?.why).toMatch(/USD.*EUR/);
	});

	it("awkward.csv: decimal commas hold, wrong rows are told by their line", () => {
		const plan = planOf("awkward.csv");
		expect(plan.ingredients.map(({ entry }) => [entry.id, entry.trimLoss])).toEqual([
			["salt", 0],
			["onion", 0.1],
		]);
		expect(plan.refused.map(({ line }) => line)).toEqual([4, 5, 6]);
		expect(plan.refused[2]?.why).toMatch(/allergens.*lactose/);
	});

	it("is read in the encoding it was written in", () => {
		expect(planOf("latin-1.csv").ingredients[0]?.entry.name).toBe("crème fraîche");
		expect(planOf("utf-16.csv").ingredients[0]?.entry.name).toBe("Salz für die Küche");
	});

	it("a million lines are refused with what is allowed, not worked through", () => {
		const csv = `id,name,category\n${"x,x,vegetable\n".repeat(1_000_000)}`;
		expect(() => readCsv(csv, [])).toThrow(/more than 20,000 were given/);
		const json = `{"format":"wide-table/book","formatVersion":1,"currency":"EUR","recipes":[],"ingredients":[${"{},\n".repeat(200_000)}{}]}`;
		expect(() => readBookText(json, AS)).toThrow(/200,001 were given; up to 20,000/);
	});

	it.each(["", '{"', '{"a":"'])("quotes that never end, after %j, are read through once", (before) => {
		// Read again from each quote, so many would take minutes.
		const text = `${before}${'\\"'.repeat(400_000)}`;
		expect(() => readBookText(text, { who: "Ada", at: 1, id: "x" })).toThrow("is no JSON");
	});

	it("every file of the folder is read or refused, none breaks anything", () => {
		for (const name of readdirSync(AWKWARD)) {
			try {
				expect(planOf(name).refused).toBeInstanceOf(Array);
			} catch (error) {
				expect(error, name).toBeInstanceOf(Refusal);
			}
		}
	});

	it("any text at all is read or refused", () => {
		fc.assert(
			fc.property(fc.oneof(fc.string({ maxLength: 300 }), fc.json()), (text) => {
				try {
					readBookText(text, AS);
				} catch (error) {
					expect(error).toBeInstanceOf(Refusal);
				}
			}),
			{ numRuns: 300 },
		);
	});
});

const USED = namedIn(DEMO_DOCS.flatMap(({ doc }) => doc.lines));
const SALT: IngredientEntry = {
	id: "salt",
	name: "salt",
	category: "salt",
	origins: [],
	trimLoss: 0,
	allergens: [],
	mayContain: [],
	density_g_per_ml: 1.2,
	each_g: 5,
	prices: [{ pack_g: 1000, price_minor: 60, from: 10 }],
};
const BOOK: BookFile = {
	...EMPTY,
	ingredients: USED.filter(
		(id) => !DEMO_DOCS.some((known) => known.id === id && isPreparation(known.doc)),
	).map((id) => ({
		...SALT,
		id,
		name: id.replaceAll("-", " "),
	})),
	recipes: DEMO_DOCS.map(({ id, doc }) => ({
		id,
		versions: [
			{
				number: 1,
				doc,
				createdAt: 1,
				createdBy: "Ada",
				reason: "",
				life: [{ state: "standard" as const, at: 1, who: "Ada", reason: "" }],
			},
		],
	})),
};
const readAgain = (book: BookFile) => readBookText(JSON.stringify(book, null, 1), AS);

describe("taking in a book", () => {
	it("into an empty one takes everything; a second time nothing", () => {
		const plan = planImport(readAgain(BOOK), EMPTY);
		expect(plan.refused).toEqual([]);
		expect(plan.recipes).toHaveLength(DEMO_DOCS.length);
		expect([...plan.ingredients, ...plan.recipes].every(({ verdict }) => verdict === "new")).toBe(true);
		const again = planImport(readAgain(BOOK), BOOK);
		expect(isIdle(again)).toBe(true);
		expect(again.refused).toEqual([]);
	});

	it("in whatever order its fields stand", () => {
		const turned = JSON.parse(JSON.stringify(BOOK), (_, value) =>
			value && typeof value === "object" && !Array.isArray(value)
				? Object.fromEntries(Object.entries(value).reverse())
				: value,
		);
		expect(isIdle(planImport(readAgain(turned), BOOK))).toBe(true);
	});

	it("a version whose number is taken by another comes in as the next number", () => {
		const [first, ...rest] = BOOK.recipes;
		const version = first?.versions[0];
		if (!first || !version) throw new Error("no recipe");
		const other = { ...version, doc: { ...version.doc, summary: "Written elsewhere." } };
		const plan = planImport(
			readAgain({ ...BOOK, recipes: [{ ...first, versions: [other] }, ...rest] }),
			BOOK,
		);
		const step = plan.recipes.find(({ entry }) => entry.id === first.id);
		expect(step).toMatchObject({ verdict: "changed", says: "no. 2 more" });
		expect(step?.entry.versions.map(({ number }) => number)).toEqual([2]);
	});

	it("an ingredient says which figures it changes, and brings only prices that are new", () => {
		const given = {
			...SALT,
			density_g_per_ml: 1.1,
			prices: [...SALT.prices, { pack_g: 500, price_minor: 40, from: 20 }],
		};
		const book = { ...EMPTY, ingredients: [SALT] };
		const [step] = planImport(readAgain({ ...EMPTY, ingredients: [given] }), book).ingredients;
		expect(step).toMatchObject({ verdict: "changed", says: "density; 1 price more" });
		expect(step?.entry.prices).toHaveLength(1);
	});

	it("a bare recipe file is a recipe with one version, in test", () => {
		const { recipes } = readBookText(JSON.stringify(DEMO_DOCS[0]?.doc), AS);
		expect(recipes[0]?.entry).toMatchObject({
			id: "a-file",
			versions: [{ number: 1, life: [{ state: "tested" }] }],
		});
	});
});

describe("tables", () => {
	it("of ingredients read back as they were", () => {
		const read = readCsv(ingredientsToCsv(BOOK.ingredients), BOOK.ingredients);
		expect(read.notRead).toEqual([]);
		expect(read.ingredients.map(({ entry }) => entry)).toEqual(BOOK.ingredients);
	});

	it("of a few columns leave the others as they are; an empty cell says nothing, and “none” takes away", () => {
		const csv = "id,name,category,each_g,trimLoss,density_g_per_ml\nsalt,salt,salt,none,0.1,\n";
		const [step] = planImport(readCsv(csv, [SALT]), { ...EMPTY, ingredients: [SALT] }).ingredients;
		const { each_g: _, ...rest } = SALT;
		expect(step?.says).toBe("weight of one, trim");
		expect(step?.entry).toEqual({ ...rest, trimLoss: 0.1, prices: [] });
	});

	it("with a line that says what parts the cells is read by it", () => {
		const csv = "sep=;\r\nid;name;category\r\nbeet;beet, red;vegetable\r\n";
		expect(isCsv(csv)).toBe(true);
		const { ingredients } = readCsv(csv, []);
		expect(ingredients.map(({ line, entry }) => [line, entry.name])).toEqual([[3, "beet, red"]]);
	});

	it("tells the line where a row begins, past empty lines and cells of several lines", () => {
		const csv = 'id,name,category\n\nbeet,"red\nbeet",vegetable\n,,\nbad,bad,nothing\nkale,kale,vegetable\n';
		const { ingredients, notRead } = readCsv(csv, []);
		expect(ingredients.map(({ line }) => line)).toEqual([3, 7]);
		expect(notRead.map(({ line }) => line)).toEqual([6]);
	});

	it("goes out with its mark, and a name that looks like a formula comes back as it was", () => {
		for (const name of ["-18 °C stock", "=1+1", "@home", "+ more", "'quoted"]) {
			const csv = ingredientsToCsv([{ ...SALT, name }]);
			expect(csv.startsWith("\uFEFF")).toBe(true);
			expect(readCsv(csv, []).ingredients[0]?.entry.name).toBe(name);
		}
	});

	it.each([
		['salt,"5,000",200,2026-11-28', /“5,000” could be 5000 or 5/],
		["salt,1000,,2026-11-28", /price_minor/],
		['salt,1000,"1,234",2026-11-28', /“1,234” could be 1234 or 1.234/],
		["salt,1000,200,28.11.2026", /“28.11.2026” was given; a day such as 2026-11-28/],
		["salt,1000,200,yesterday", /a day such as/],
		["salt,1000,200,2026-13-45", /a day such as/],
	])("of prices with %s is told by its line, and nothing is guessed", (row, why) => {
		const { ingredients, notRead } = readCsv(`id,pack_g,price_minor,from\n${row}\n`, [SALT]);
		expect(ingredients).toEqual([]);
		expect(notRead).toMatchObject([{ line: 2, why: expect.stringMatching(why) }]);
	});

	it("of prices read back as they were, and are refused for what is not in the book", () => {
		const csv = pricesToCsv([SALT]);
		expect(isIdle(planImport(readCsv(csv, [SALT]), { ...EMPTY, ingredients: [SALT] }))).toBe(true);
		expect(readCsv(csv, []).notRead[0]).toMatchObject({ line: 2, why: expect.stringContaining("salt") });
	});
});

const KNOWN = new Map(
	USED.map((id) => [id, ingredient({ id, name: id.replaceAll("-", " "), density_g_per_ml: 1, each_g: 10 })]),
);

describe("schema.org", () => {
	const goat = demoDish("goat-shoulder");

	it("carries name, yield, lines and steps out, and back into a draft that reads the same lines", () => {
		const out = toJsonLd(goat, KNOWN, { number: 3, author: "Skerry House" });
		expect(out).toMatchObject({ "@type": "Recipe", recipeYield: "10 portions", version: 3 });
		const [found] = recipesInJsonLd({ "@graph": [{ "@type": "WebPage" }, JSON.parse(JSON.stringify(out))] });
		if (!found) throw new Error("not found");
		const { draft, notCarried } = fromJsonLd(found);
		const read = readDraft(draft, KNOWN, namesOf(KNOWN.values()));
		expect(read.lines.map(({ ingredient: named, quantity }) => [named?.id, quantity])).toEqual(
			goat.lines.map(({ ingredient: id, amount, unit }) => [id, { amount, unit }]),
		);
		expect(draft.fields.portions).toBe("10");
		expect(notCarried).toEqual(expect.arrayContaining(["version", "author"]));
	});

	it("takes instructions as text, as steps or in sections, and drops markup", () => {
		const recipe = (recipeInstructions: unknown) =>
			fromJsonLd({ name: "<b>Stew</b>", recipeIngredient: ["1 kg neck"], recipeInstructions }).draft;
		expect(recipe("Cut.\nBraise.").steps.map(({ text }) => text)).toEqual(["Cut.", "Braise."]);
		expect(
			recipe([{ "@type": "HowToSection", itemListElement: [{ text: "Cut." }, "Braise."] }]).steps,
		).toHaveLength(2);
		expect(recipe([]).fields.name).toBe("Stew");
	});

	const NECK = { name: "Neck", recipeIngredient: ["1 kg neck"] };

	it.each([
		["alone", NECK],
		["by the address of its type", { ...NECK, "@type": "https://schema.org/Recipe" }],
		["what a page is about", { "@type": "WebPage", mainEntity: { ...NECK, "@type": ["Recipe", "Thing"] } }],
		["an item of a list", { "@type": "ItemList", itemListElement: [{ "@type": "ListItem", item: NECK }] }],
		["in lists of lists", [[{ "@graph": [[{ ...NECK, "@type": "schema:Recipe" }]] }]]],
	])("is found %s", (_, json) => {
		const typed = JSON.parse(JSON.stringify(json), (_key, value) =>
			value?.name === "Neck" && !value["@type"] ? { ...value, "@type": "Recipe" } : value,
		);
		expect(recipesInJsonLd(typed).map(({ name }) => name)).toEqual(["Neck"]);
	});

	it.each([
		["10", "10"],
		["1,200 portions", "1200"],
		["2 dozen", "24"],
		[["Serves 8", "8 plates"], "8"],
		[{ "@type": "QuantitativeValue", value: 12, unitText: "servings" }, "12"],
	])("reads a yield of %j as %s portions", (recipeYield, portions) => {
		expect(fromJsonLd({ ...NECK, recipeYield }).draft.fields.portions).toBe(portions);
	});

	it("tells a yield that is a weight, and does not take it for portions", () => {
		const { draft, notCarried } = fromJsonLd({ ...NECK, recipeYield: "3 kg" });
		expect(draft.fields.portions).toBe("10");
		expect(notCarried.join()).toContain("3 kg");
	});

	it("reads one thing where a list is usual, entities, HTML lists and quantities apart", () => {
		const { draft } = fromJsonLd({
			...NECK,
			name: "Neck &amp; barley &frac12;",
			recipeIngredient: {
				"@type": "HowToSupply",
				name: "barley",
				requiredQuantity: { "@type": "QuantitativeValue", value: 500, unitCode: "GRM" },
			},
			recipeInstructions: "<ol><li>Cut &amp; dry.</li><li>Braise<br>slowly.</li></ol>",
		});
		expect(draft.fields.name).toBe("Neck & barley ½");
		expect(draft.lines.map(({ text }) => text)).toEqual(["500 g barley"]);
		expect(draft.steps.map(({ text }) => text)).toEqual(["Cut & dry.", "Braise", "slowly."]);
		const listed = {
			"@type": "ItemList",
			itemListElement: [{ "@type": "HowToSection", name: "Meat", steps: [[{ text: "Cut." }]] }],
		};
		expect(fromJsonLd({ ...NECK, recipeInstructions: listed }).draft.steps.map(({ text }) => text)).toEqual([
			"Meat: Cut.",
		]);
	});

	it("takes durations into the steps: of a step its own, of the whole first work and last waiting", () => {
		const own = [{ "@type": "HowToStep", text: "Braise.", performTime: "PT2H30M" }];
		expect(fromJsonLd({ ...NECK, recipeInstructions: own }).draft.steps[0]?.waiting).toBe("150");
		const { steps } = fromJsonLd({
			...NECK,
			prepTime: "PT25M",
			cookTime: "P0DT3H",
			recipeInstructions: ["Cut.", "Sear.", "Braise."],
		}).draft;
		expect(steps.map(({ handsOn, waiting }) => [handsOn, waiting])).toEqual([
			["25", "0"],
			["0", "0"],
			["0", "180"],
		]);
	});

	it("lists everything that it cuts or drops", () => {
		const { draft, notCarried } = fromJsonLd({
			name: "n".repeat(150),
			recipeIngredient: Array.from({ length: 230 }, (_, index) => `${index} g salt`),
			recipeInstructions: ["s".repeat(700)],
			nutrition: {},
		});
		expect(draft.lines).toHaveLength(200);
		expect(notCarried).toEqual([
			"nutrition",
			"the name is cut to 120 characters",
			"ingredients beyond the first 200: 30 dropped",
			"step 1 is cut to 600 characters",
		]);
	});

	it("what has no name or no ingredients is refused", () => {
		expect(() => fromJsonLd({ recipeIngredient: ["x"] })).toThrow(/name/);
		expect(() => fromJsonLd({ name: "x" })).toThrow(/recipeIngredient/);
	});
});

describe("a card as Markdown", () => {
	it.each(DEMO_DOCS)("of $id has every line and step, and no stray markup", ({ doc }) => {
		const text = toMarkdown({ ...doc, name: "<b>*A|B*" }, KNOWN, 2);
		expect(text.match(/^- /gm)).toHaveLength(doc.lines.length);
		expect(text.match(/^\d+\. /gm) ?? []).toHaveLength(doc.steps.length);
		expect(text.split("\n")[0]).toBe("# \\<b\\>\\*A\\|B\\*");
		expect(text).toContain(isPreparation(doc) ? "Makes" : "portions");
	});
});
