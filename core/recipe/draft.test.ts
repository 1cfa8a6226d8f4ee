import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { DEMO_DOCS, demoDish } from "./demoBook.testing.ts";
import {
	type Allergen,
	chooseSchool,
	type Draft,
	draftOf,
	emptyDraft,
	emptyLine,
	ingredient,
	namedIn,
	namesOf,
	type Recipe,
	readDraft,
	SCHOOL_QUESTIONS,
	SCHOOLS,
} from "./index.ts";

const DOCS = DEMO_DOCS.map(({ doc }) => doc);
const USED = namedIn(DOCS.flatMap(({ lines }) => lines));
const ALLERGENS_OF: Readonly<Record<string, Allergen[]>> = { "wheat-flour": ["wheat"], butter: ["milk"] };
const NAMES: Readonly<Record<string, string>> = { salt: "salt", "wheat-flour": "wheat flour" };
const KNOWN = new Map(
	[...USED, "wheat-flour", "butter", "maize-starch"].map((id) => [
		id,
		ingredient({
			id,
			name: NAMES[id] ?? id.replaceAll("-", " "),
			category: categoryOf(id),
			allergens: ALLERGENS_OF[id] ?? [],
			density_g_per_ml: 1,
			each_g: 10,
		}),
	]),
);
const NAMED = namesOf(KNOWN.values());

function categoryOf(id: string) {
	if (id === "salt") return "salt";
	return id === "goat-shoulder" ? "meat" : "vegetable";
}

const goat = () => draftOf(demoDish("goat-shoulder"), KNOWN);
const withField = (draft: Draft, field: string, value: string): Draft => ({
	...draft,
	fields: { ...draft.fields, [field]: value },
});

describe("a draft", () => {
	it.each(DOCS.map((doc) => [doc.name, doc] as const))("of %s says exactly what it was made of", (_, doc) => {
		const read = readDraft(draftOf(doc, KNOWN), KNOWN, NAMED);
		expect(read.wrong).toEqual({});
		expect(read.doc).toEqual(doc);
	});

	it("an empty one is no recipe yet, and says what is missing", () => {
		const { doc, wrong } = readDraft(emptyDraft("dish"), KNOWN, NAMED);
		expect(doc).toBeUndefined();
		expect(Object.keys(wrong)).toContain("name");
	});

	it.each([
		["portion", "a plate", /165 g/],
		["trimLoss", "much", /percentage/],
		["ovenSet", "hot", /150 °C/],
		["rest", "a while", /minutes or hours/],
		["ovenLow", "200", /low ≤ set ≤ high/],
		["portions", "0", /whole number from 1/],
		["cookingLoss", "95", /0 to 0.9/],
	])("%s of “%s” is refused at a field, with what is allowed", (field, typed, allowed) => {
		const { doc, wrong } = readDraft(withField(goat(), field, typed), KNOWN, NAMED);
		expect(doc).toBeUndefined();
		expect(Object.values(wrong).join(" ")).toMatch(allowed);
		expect(Object.keys(wrong)).toContain(field === "ovenLow" ? "ovenSet" : field);
	});

	it("reads what cooks type in the fields: US weights, Fahrenheit, hours, commas", () => {
		const typed = Object.entries({
			portion: "5.5 oz",
			ovenSet: "302 °F",
			rest: "1 h 30",
			trimLoss: "11,5",
		}).reduce((draft, [field, value]) => withField(draft, field, value), goat());
		const { doc } = readDraft(typed, KNOWN, NAMED);
		expect(doc).toMatchObject({ rest_min: 90, losses: { trimLoss: 0.115 } });
		expect((doc as Recipe).braise.oven_C.set).toBeCloseTo(150, 6);
		expect((doc as Recipe).portion).toMatchObject({ portion_g: expect.closeTo(155.9, 1) });
	});

	it("names the line that is wrong by its key", () => {
		const draft = goat();
		const [first] = draft.lines;
		if (!first) throw new Error("no line");
		const broken = { ...draft, lines: [first, { ...emptyLine("new"), text: "2 kg dragon" }] };
		expect(readDraft(broken, KNOWN, NAMED).wrong["line.new"]).toContain("dragon");
	});

	it("a line of any length is answered for, and a long one is told how long it may be", () => {
		const lines = ["½", "(", "1 ", "heaped ", "&amp;"].map((part, index) => ({
			key: `long${index}`,
			text: part.repeat(1000 / part.length),
			role: "" as const,
			group: "" as const,
			exponent: "",
		}));
		const draft = emptyDraft("dish");
		const { wrong } = readDraft({ ...draft, lines: [...draft.lines, ...lines] } as Draft, KNOWN, NAMED);
		for (const { key } of lines) expect(wrong[`line.${key}`]).toContain("A line has up to 400 characters");
	});

	it("proposes the main by its cut, salt by its kind, and takes what is chosen", () => {
		const lines = ["2.5 kg goat shoulder", "500 g onion", "20 g salt"].map((text, index) => ({
			...emptyLine(`l${index}`),
			text,
		}));
		const draft = { ...withField(emptyDraft("dish"), "cut", "goatShoulder"), lines };
		expect(readDraft(draft, KNOWN, NAMED).lines.map(({ role }) => role)).toEqual([
			"main",
			"vegetable",
			"salt",
		]);
		const [meat, onion, salt] = lines;
		if (!meat || !onion || !salt) throw new Error("no lines");
		const chosen = { ...draft, lines: [meat, { ...onion, role: "side" as const }, salt] };
		expect(readDraft(chosen, KNOWN, NAMED).lines[1]).toMatchObject({ role: "side", proposed: false });
	});

	it("never breaks, whatever is typed in any field", () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...Object.keys(goat().fields)),
				fc.string({ unit: "grapheme", maxLength: 30 }),
				(field, text) => {
					expect(() => readDraft(withField(goat(), field, text), KNOWN, NAMED)).not.toThrow();
				},
			),
			{ numRuns: 300 },
		);
	});
});

const ANSWERS = SCHOOL_QUESTIONS.flatMap((question) =>
	Object.keys(SCHOOLS[question].answers).map((answer) => [question, answer] as const),
);

describe("a choice between schools", () => {
	it.each(ANSWERS)("%s, %s: says what it means, and the recipe still holds", (question, answer) => {
		const { draft, says } = chooseSchool(goat(), question, answer, NAMED);
		expect(says[0]).toContain("It means");
		const { doc, wrong } = readDraft(draft, KNOWN, NAMED);
		expect(wrong).toEqual({});
		expect((doc as Recipe).schools).toEqual({ [question]: answer });
	});

	it("the same answer again changes nothing", () => {
		for (const [question, answer] of ANSWERS) {
			const once = chooseSchool(goat(), question, answer, NAMED).draft;
			expect(chooseSchool(once, question, answer, NAMED)).toEqual({ draft: once, says: [] });
		}
	});

	it("another answer leaves nothing of the first behind", () => {
		fc.assert(
			fc.property(
				fc
					.constantFrom(...SCHOOL_QUESTIONS)
					.chain((question) =>
						fc.tuple(
							fc.constant(question),
							fc.constantFrom(...Object.keys(SCHOOLS[question].answers)),
							fc.constantFrom(...Object.keys(SCHOOLS[question].answers)),
						),
					),
				([question, first, second]) => {
					const detour = chooseSchool(goat(), question, first, NAMED).draft;
					const there = chooseSchool(detour, question, second, NAMED).draft;
					const straight = chooseSchool(goat(), question, second, NAMED).draft;
					expect(there.lines).toEqual(straight.lines);
					expect(there.steps).toEqual(straight.steps);
				},
			),
		);
	});

	it("dredging brings flour at 2 to 3 % of the meat, and says so; starch brings none", () => {
		const { draft, says } = chooseSchool(goat(), "flour", "dredge", NAMED);
		expect(draft.lines.at(-1)?.text).toBe("65 g wheat flour, for dredging");
		expect(says).toContain("Allergens in: gluten, wheat.");
		const starch = chooseSchool(draft, "flour", "starch", NAMED);
		expect(starch.says).toContain("Allergens out: gluten, wheat.");
		expect(starch.draft.lines.map(({ text }) => text).join()).not.toContain("wheat flour");
		expect(chooseSchool(goat(), "flour", "roux", NAMED).says).toContain("Allergens in: gluten, milk, wheat.");
	});

	it("early salt is 1.2 % of the trimmed meat", () => {
		const { draft } = chooseSchool(goat(), "salt", "early", NAMED);
		expect(draft.lines.find(({ text }) => text.includes("salt"))?.text).toBe("31 g salt");
	});

	it("an answer that is none is refused by its question", () => {
		expect(() => chooseSchool(goat(), "flour", "cement", NAMED)).toThrow(/flour: .*cement.*dredge/);
	});
});
