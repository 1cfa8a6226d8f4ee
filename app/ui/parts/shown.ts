/** What a figure can be of a task or a dish in its day, and what it is measured in. */
export const SHOWN_UNITS = {
	/** When a task begins or is over, ms since 1970 UTC. */
	start: "instant",
	end: "instant",
	/** A task in words: every oven and temperature in them is the task's own. */
	words: "words",
	/** What its pans are set to, each once, apart by spaces. */
	set: "°C",
	ordered: "kg",
	trimmed: "kg",
	poured: "l",
	sauce: "l",
	portions: "count",
	pieces: "count",
	pans: "count",
} as const;

/** A figure on a screen or on paper, as another program can hold it against the day. */
export interface Shown {
	readonly what: keyof typeof SHOWN_UNITS;
	/** The task, or the dish. */
	readonly of: string;
	readonly value: number | string;
}

/** Attributes of the element that shows a figure. */
export function shownAs(shown: Shown | null | undefined): Readonly<Record<string, string>> {
	if (!shown) return {};
	const { what, of, value } = shown;
	return { "data-fact": what, "data-of": of, "data-value": String(value), "data-unit": SHOWN_UNITS[what] };
}
