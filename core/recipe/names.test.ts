import { describe, expect, it } from "vitest";
import { FieldReader } from "./FieldReader.ts";
import { ingredient, nameHas, namesOf, plainName } from "./index.ts";

const named = (...names: string[]) =>
	namesOf(names.map((name) => ingredient({ id: name.replace(/[^a-z]+/g, "-"), name })));

describe("what is looked for in a name", () => {
	it.each([
		["bay leaves", "bay leaf"],
		["bay leaf", "bay leaves"],
		["tomatoes, tinned", "tomatoes"],
		["Crème fraîche", "creme"],
		["anchovies", "anchovy"],
		["onions", ""],
	])("%s has %j in it", (name, sought) => {
		expect(nameHas(name, sought)).toBe(true);
	});

	it("another word is not in it", () => {
		expect(nameHas("bay leaves", "loaf")).toBe(false);
		expect(nameHas("onions", "leeks")).toBe(false);
	});
});

describe("the names an ingredient goes by", () => {
	it.each([
		["onions", "onion"],
		["bay leaves", "bay leaf"],
		["tomatoes", "tomato"],
		["anchovies", "anchovy"],
		["juniper berries", "juniper berry"],
		["radish", "radishes"],
		["swede", "swedes"],
		["couscous", "couscous"],
		["asparagus", "asparagus"],
		["crème fraîche", "creme fraiche"],
	])("“%s” is also “%s”", (name, other) => {
		expect(named(name).get(plainName(other))?.name).toBe(name);
	});

	it("the book's own spelling of one goes before a form of another", () => {
		const names = named("leek", "leeks");
		expect(names.get("leek")?.name).toBe("leek");
		expect(names.get("leeks")?.name).toBe("leeks");
	});

	it("are compared without case, accents, doubled spaces and stops at the end", () => {
		expect(plainName("  Crème  FRAÎCHE, ")).toBe("creme fraiche");
		expect(plainName("Cook’s salt.")).toBe("cook's salt");
	});
});

describe("fields read as what they stand for", () => {
	const read = <T>(text: string, as: (reader: FieldReader) => T) => {
		const wrong: Record<string, string> = {};
		return { value: as(new FieldReader({ x: text }, wrong)), wrong: wrong.x };
	};

	it.each([
		["45", 45],
		["45 min", 45],
		["1.5", 1.5],
		["14 h", 840],
		["1 h 30", 90],
		["1,5 h", 90],
		["2 hours 5 minutes", 125],
	])("“%s” are %d minutes", (text, minutes) => {
		expect(read(text, (reader) => reader.minutes("x"))).toEqual({ value: minutes, wrong: undefined });
	});

	it.each([
		["150", 150],
		["300 °F", 148.9],
		["300 F", 148.9],
		["150 °C", 150],
	])("“%s” is %d °C", (text, celsius) => {
		expect(read(text, (reader) => reader.celsius("x")).value).toBeCloseTo(celsius, 1);
	});

	it.each([
		["165", 165],
		["165 g", 165],
		["0,5 kg", 500],
		["8 oz", 226.8],
	])("“%s” is %d g", (text, grams) => {
		expect(read(text, (reader) => reader.grams("x")).value).toBeCloseTo(grams, 1);
	});

	it.each([
		["minutes", "a while"],
		["celsius", "hot"],
		["grams", "2 l"],
		["millilitres", "2 kg"],
		["millimetres", ""],
		["number", "few"],
		["share", "half"],
	] as const)("%s of “%s” is no number, and says what is allowed", (kind, text) => {
		const { value, wrong } = read(text, (reader) => reader[kind]("x"));
		expect(value).toBeNaN();
		expect(wrong).toMatch(
			text === "" ? /^Still open: a length/ : /was given; .* (is|are) allowed\.$|allowed\.$/,
		);
	});

	it("percentages are shares to the last digit typed", () => {
		expect(read("11", (reader) => reader.share("x")).value).toBe(0.11);
		expect(read("33,3 %", (reader) => reader.share("x")).value).toBe(0.333);
	});

	it("tags are parted by commas, once each; none is none", () => {
		expect(read(" ferry, festival ;ferry ", (reader) => reader.tags("x")).value).toEqual([
			"ferry",
			"festival",
		]);
		expect(read(" , ", (reader) => reader.tags("x")).value).toBeUndefined();
	});
});
