import type { CategoryKey } from "./categories.ts";
import type { Ingredient } from "./Ingredient.ts";

/** What cooks count of what they do not weigh: a sprig, a bunch, a pinch. */
interface Handful {
	/** One of it, and many. */
	readonly words: readonly [string, string];
	/** Kinds of things that are counted so. */
	readonly of: readonly CategoryKey[];
	/** Only things of that name, where it is one alone. */
	readonly name?: string;
	readonly each_g: number;
}

/**
 * Usual weights of what is ready to use. General practice; the kitchen's own scale decides, and the
 * count stays beside the weight.
 */
const HANDFULS: readonly Handful[] = [
	{ words: ["sprig", "sprigs"], of: ["herb"], each_g: 1.5 },
	{ words: ["stem", "stems"], of: ["herb"], each_g: 2 },
	{ words: ["bunch", "bunches"], of: ["herb"], each_g: 30 },
	{ words: ["handful", "handfuls"], of: ["herb", "vegetable"], each_g: 20 },
	{ words: ["pinch", "pinches"], of: ["salt", "spice", "herb", "sugar"], each_g: 0.5 },
	{ words: ["head", "heads"], of: ["vegetable"], name: "garlic", each_g: 50 },
	{ words: ["bulb", "bulbs"], of: ["vegetable"], name: "garlic", each_g: 50 },
	{ words: ["head", "heads"], of: ["vegetable"], name: "celery", each_g: 450 },
	{ words: ["knob", "knobs"], of: ["dairy", "fat"], each_g: 15 },
	{ words: ["slice", "slices"], of: ["meat"], each_g: 25 },
];

/** A counted handful at the start of a text, before it is known of what. */
export interface HandfulTaken {
	/** "sprigs" */
	readonly words: string;
	/** What follows: "thyme, picked". */
	readonly rest: string;
}

const FIRST = new RegExp(
	`^(?:(?:large|small|big|good|generous)\\s+)?(${[...new Set(HANDFULS.flatMap(({ words }) => words))].join("|")})\\s+(?:of\\s+)?`,
	"i",
);

/** "sprigs of thyme" is sprigs, of thyme; undefined where a text begins otherwise. */
export function takeHandful(text: string): HandfulTaken | undefined {
	const found = FIRST.exec(text);
	return found ? { words: (found[1] ?? "").toLowerCase(), rest: text.slice(found[0].length) } : undefined;
}

/** What one of it weighs, g; undefined where the ingredient is not counted so. */
export function handfulGrams(words: string, { category, name }: Ingredient): number | undefined {
	const counted = HANDFULS.filter(
		(handful) =>
			handful.words.includes(words) &&
			handful.of.includes(category) &&
			(handful.name === undefined || name.startsWith(handful.name)),
	);
	return counted[0]?.each_g;
}
