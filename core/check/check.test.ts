import { Type } from "@sinclair/typebox";
import { describe, expect, it } from "vitest";
import { Covers, checked, Loss, oneOf, Refusal } from "./index.ts";

const Form = Type.Object({ covers: Covers, trimLoss: Loss, lid: oneOf(["foil", "lid"] as const) });

function problemsOf(given: unknown) {
	try {
		checked(Form, given);
	} catch (error) {
		if (error instanceof Refusal)
			return Object.fromEntries(error.problems.map(({ field, message }) => [field, message]));
		throw error;
	}
	return {};
}

describe("bad input", () => {
	it("names every field that is wrong, what was given and what is allowed", () => {
		expect(problemsOf({ covers: 0, trimLoss: 1, lid: "none" })).toEqual({
			covers: "0 was given; a whole number from 1 to 100,000 is allowed",
			trimLoss: "1 was given; a share from 0 to 0.9 (90 %) is allowed",
			lid: "“none” was given; one of foil, lid is allowed",
		});
	});

	it("says what is missing and what would do", () => {
		expect(problemsOf({ trimLoss: 0.1, lid: "lid" })).toEqual({
			covers: "is missing; a whole number from 1 to 100,000 is needed",
		});
	});

	it.each([Number.NaN, Number.POSITIVE_INFINITY, 1e9, 2.5, "12", null, {}])(
		"%s covers are refused",
		(covers) => {
			expect(problemsOf({ covers, trimLoss: 0.1, lid: "lid" })).toHaveProperty("covers");
		},
	);

	it("leaves what was given untouched", () => {
		const given = { covers: 3, trimLoss: 0, lid: "lid" };
		expect(checked(Form, given)).not.toBe(given);
		expect(given).toEqual({ covers: 3, trimLoss: 0, lid: "lid" });
	});
});

describe("text that cannot be seen", () => {
	const Named = Type.Object({ name: Type.String(), lines: Type.Optional(Type.Array(Type.String())) });

	it.each([
		["ab\u0000cd", "U+0000"],
		["\u202Egpj.exe", "U+202E"],
		["isolate \u2066me", "U+2066"],
		["half \uD83C of one", "U+D83C"],
		["\u200B\u200D", "only characters that cannot be seen"],
	])("%j is refused at its field", (name, words) => {
		expect(() => checked(Named, { name })).toThrow(words);
		expect(() => checked(Named, { name: "x", lines: ["y", name] })).toThrow("lines[1]: ");
	});

	it.each([
		"",
		" ",
		"two\nlines\tand\u000Bmore",
		"crème fraîche",
		"בשר כבש\u200F",
		"ناعم\u200Cتر",
		"🍲",
		"👩‍🍳",
		"soft\u00ADhyphen",
	])("%j is text like any other", (name) => {
		expect(checked(Named, { name })).toEqual({ name });
	});
});
