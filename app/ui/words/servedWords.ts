import type { ServedIn } from "#core/recipe";

/** How a dish leaves the kitchen, as a cook says it. */
export const SERVED_WORDS: Readonly<Record<ServedIn, string>> = {
	plates: "on plates",
	platters: "on platters",
	buffet: "from buffet pans",
	boxes: "in boxes",
	pulled: "pulled into another dish",
};
