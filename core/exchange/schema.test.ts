import { readFileSync } from "node:fs";
import { Ajv } from "ajv";
import formats from "ajv-formats";
import { describe, expect, it } from "vitest";
import { DEMO_DOCS } from "../recipe/demoBook.testing.ts";
import { emptyBook, publishedSchema } from "./index.ts";

const PUBLISHED = JSON.parse(readFileSync("docs/formats/book.schema.json", "utf8"));

describe("the published schema of a book", () => {
	it("is the one files are read by", () => {
		expect(PUBLISHED).toEqual(publishedSchema());
	});

	it("names its draft and compiles in strict mode", () => {
		expect(PUBLISHED.$schema).toBe("http://json-schema.org/draft-07/schema#");
		const ajv = new Ajv({ strict: true });
		formats.default(ajv);
		const validate = ajv.compile(PUBLISHED);
		expect(validate(emptyBook("EUR"))).toBe(true);
		expect(validate({ ...emptyBook("EUR"), currency: "pounds" })).toBe(false);
	});

	it("takes every card of the demonstration, and none that breaks a limit", () => {
		const ajv = new Ajv({ strict: true });
		formats.default(ajv);
		const validate = ajv.compile(PUBLISHED);
		const book = (change: object) => ({
			...emptyBook("EUR"),
			recipes: DEMO_DOCS.map(({ id, doc }) => ({
				id,
				versions: [
					{
						number: 1,
						doc: { ...doc, ...change },
						createdAt: 5,
						createdBy: "Ada",
						reason: "As it is cooked.",
						life: [{ state: "tested", at: 5, who: "Ada", reason: "As it is cooked." }],
					},
				],
			})),
		});
		const isRight = validate(book({}));
		expect(validate.errors ?? []).toEqual([]);
		expect(isRight).toBe(true);
		expect(validate(book({ name: "" }))).toBe(false);
	});
});
