/** Where one page of a long list lies. */
export interface InPages {
	/** From 1. */
	readonly page: number;
	/** How many there are, at least one. */
	readonly pages: number;
	/** The first entry of the page, from 0, and the one after its last. */
	readonly from: number;
	readonly to: number;
}

/** The page an address asks for; the nearest there is where it asks for another. */
export function pageIn(address: URLSearchParams, count: number, size: number): InPages {
	const pages = Math.max(1, Math.ceil(count / size));
	const asked = address.get("page") ?? "";
	const page = /^\d{1,9}$/.test(asked) ? Math.min(pages, Math.max(1, Number(asked))) : 1;
	return { page, pages, from: (page - 1) * size, to: Math.min(count, page * size) };
}
