import { readFileSync } from "node:fs";
import { Ajv } from "ajv";
import { describe, expect, it } from "vitest";
import { BookFile, emptyBook } from "./index.ts";

const PUBLISHED = JSON.parse(readFileSync("docs/formats/book.schema.json", "utf8"));

describe("the published schema of a book", () => {
	it("is the one files are read by", () => {
		expect(PUBLISHED).toEqual(JSON.parse(JSON.stringify(BookFile)));
	});

	it("is a schema that any validator can use", () => {
		const validate = new Ajv({ strict: false, discriminator: true }).compile(PUBLISHED);
		expect(validate(emptyBook("EUR"))).toBe(true);
		expect(validate({ ...emptyBook("EUR"), currency: "pounds" })).toBe(false);
	});
});
