import { BookFile } from "./BookFile.ts";

/** Keywords of our own and of other vocabularies, which a strict validator would not know. */
const OWN = new Set(["allowed", "discriminator"]);

/** The draft of JSON Schema that the book's schema is written in. */
const DRAFT = "http://json-schema.org/draft-07/schema#";

/** The schema of a book as it is published: standard keywords alone, with its draft named. */
export function publishedSchema(): Record<string, unknown> {
	return { $schema: DRAFT, ...(standard(JSON.parse(JSON.stringify(BookFile))) as Record<string, unknown>) };
}

/** A schema without keywords of our own; what is named by the people who write is left alone. */
function standard(schema: unknown): unknown {
	if (Array.isArray(schema)) return schema.map(standard);
	if (schema === null || typeof schema !== "object") return schema;
	const entries = Object.entries(schema).filter(([keyword]) => !OWN.has(keyword));
	return Object.fromEntries(
		entries.map(([keyword, value]) => [keyword, keyword === "properties" ? eachOf(value) : standard(value)]),
	);
}

/** Names of properties are no keywords. */
function eachOf(properties: unknown): unknown {
	return Object.fromEntries(
		Object.entries(properties as Record<string, unknown>).map(([name, schema]) => [name, standard(schema)]),
	);
}
