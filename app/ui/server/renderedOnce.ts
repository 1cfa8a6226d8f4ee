import { createHash } from "node:crypto";
import { LRUCache } from "lru-cache";

/** Pages that were rendered, by what they show: at most so many characters of them. */
const pages = new LRUCache<string, { readonly html: string; readonly own: readonly string[] }>({
	maxSize: 24_000_000,
	sizeCalculation: ({ html }) => html.length,
});

/** A page, and whether something in it broke while it was rendered. */
export interface Rendered {
	readonly html: string;
	readonly broke: boolean;
}

/**
 * A page is what its data say and nothing else: the same data at the same address are rendered once,
 * for whoever asks next. What each answer has of its own is put into its place.
 *
 * @param shows  all else that the page is made from; what can not be written as JSON is always rendered
 * @param own    of this answer: its nonce, its instant
 * @param render the page with those in it
 */
export async function renderedOnce(
	shows: unknown,
	own: readonly string[],
	render: () => Promise<Rendered>,
): Promise<Rendered> {
	const key = keyOf(shows);
	const known = key === null ? undefined : pages.get(key);
	if (known) {
		const html = own.reduce((text, one, index) => text.replaceAll(known.own[index] ?? one, one), known.html);
		return { html, broke: false };
	}
	const page = await render();
	if (key !== null && !page.broke && own.every(({ length }) => length >= SHORTEST)) {
		pages.set(key, { html: page.html, own });
	}
	return page;
}

/** What is as short as a word could stand in the text of the page. */
const SHORTEST = 12;

function keyOf(shows: unknown): string | null {
	try {
		return createHash("sha256").update(JSON.stringify(shows)).digest("base64");
	} catch {
		return null;
	}
}
