import { digest } from "ohash";

/** What a thing is called, and words about it: nothing that a figure may depend on. */
const NAMES = new Set([
	"id",
	"name",
	"ingredient",
	"text",
	"check",
	"preparation",
	"typeId",
	"panTypeId",
	"tags",
]);

/**
 * Stands for the figures of something, so that those that weigh the same have an order that does
 * not depend on what they are called or in which order they came.
 */
export function figuresHash(of: unknown): string {
	return digest(JSON.stringify(of, (key, value) => (NAMES.has(key) ? undefined : value)) ?? "");
}
