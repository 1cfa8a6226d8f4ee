import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Refusal } from "../check/index.ts";
import { DOC_VERSION } from "./Recipe.ts";
import { asOfToday, broughtUp, type FormatSteps, readDoc } from "./readDoc.ts";

/** A made-up history: the name was once "title", then the lid came with a word of its own. */
const HISTORY: FormatSteps = new Map<
	number,
	(doc: Readonly<Record<string, unknown>>) => Record<string, unknown>
>([
	[1, ({ title, ...doc }) => ({ ...doc, name: title })],
	[2, (doc) => ({ ...doc, lid: doc.lid ?? "foil" })],
]);

const said = (run: () => unknown): string => {
	try {
		run();
	} catch (error) {
		if (error instanceof Refusal) return error.message;
		throw error;
	}
	return "nothing";
};

describe("an older format", () => {
	it("is brought up through every format between", () => {
		expect(asOfToday({ formatVersion: 1, title: "Neck" }, HISTORY, 3)).toEqual({
			formatVersion: 3,
			name: "Neck",
			lid: "foil",
		});
	});

	it("starts where it stands, and today's is handed on untouched", () => {
		const second = { formatVersion: 2, title: "stays", name: "Neck", lid: "paper" };
		expect(asOfToday(second, HISTORY, 3)).toEqual({ ...second, formatVersion: 3 });
		const today = { formatVersion: 3, title: "stays" };
		expect(asOfToday(today, HISTORY, 3)).toBe(today);
	});

	it("never changes the document that was given", () => {
		const given = Object.freeze({ formatVersion: 1, title: "Neck" });
		asOfToday(given, HISTORY, 3);
		expect(given).toEqual({ formatVersion: 1, title: "Neck" });
	});

	it("is refused where a step between is not known", () => {
		expect(said(() => asOfToday({ formatVersion: 1 }, new Map(), 2))).toMatch(/nothing is known/);
	});
});

describe("what cannot be read", () => {
	it("a newer format says that a newer program wrote it", () => {
		const newer = { formatVersion: DOC_VERSION + 1 };
		expect(said(() => readDoc(newer))).toBe(
			`formatVersion: ${DOC_VERSION + 1} was given, which a newer version of this program wrote; up to ${DOC_VERSION} is allowed`,
		);
	});

	it("anything at all is refused in words or is of today's format", () => {
		fc.assert(
			fc.property(fc.anything(), (stored) => {
				const words = said(() => readDoc(stored));
				if (words === "nothing") expect(stored).toMatchObject({ formatVersion: DOC_VERSION });
				else expect(words).toMatch(/^formatVersion: /);
			}),
		);
	});
});

describe("a document from outside", () => {
	it("is left for its schema to judge unless its format is an older one", () => {
		fc.assert(
			fc.property(fc.anything(), (given) => {
				expect(broughtUp(given)).toBe(given);
			}),
		);
	});
});
