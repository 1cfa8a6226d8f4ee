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
	/** Out of the delivery, and what trimming takes off of it. */
	needed: "kg",
	trim: "kg",
	trimmed: "kg",
	cooked: "kg",
	/** What the pans have when the meat is lifted, and what has steamed away by then. */
	left: "l",
	steamed: "l",
	/** A line of the card, by its place on it: as it is weighed, measured or counted, and on each portion. */
	lineKg: "kg",
	lineLitres: "l",
	lineCount: "count",
	linePortion: "kg",
	/** One pan, by its place among them: pieces, what is poured, and what is carried. */
	panPieces: "count",
	panPoured: "l",
	panCarried: "kg",
	poured: "l",
	sauce: "l",
	portions: "count",
	pieces: "count",
	pans: "count",
} as const;

/** A figure on a screen or on paper, as another program can hold it against the day. */
export interface Shown {
	readonly what: keyof typeof SHOWN_UNITS;
	/** The task, or the dish; a line of it as "goat#3" and a pan as "goat pan 3", counted from nought. */
	readonly of: string;
	readonly value: number | string;
}

/** Attributes of the element that shows a figure. */
export function shownAs(shown: Shown | null | undefined): Readonly<Record<string, string>> {
	if (!shown) return {};
	const { what, of, value } = shown;
	return { "data-fact": what, "data-of": of, "data-value": String(value), "data-unit": SHOWN_UNITS[what] };
}
