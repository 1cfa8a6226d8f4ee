/** One way out of what a day goes without. */
export interface WayOutView {
	readonly id: string;
	readonly words: string;
	/** What it frees, and what it leaves. */
	readonly frees: string;
	/** Where it is tried; null where it has to be had first. */
	readonly to: string | null;
}

export interface WaysOutView {
	/** What the ways are, and how sure that is. */
	readonly says: string;
	readonly ways: readonly WayOutView[];
}

export const NOTHING_MISSING: WaysOutView = { says: "Nothing is missing.", ways: [] };
