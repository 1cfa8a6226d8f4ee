import isEqual from "fast-deep-equal";
import type { Recipe, RecipeLine, RecipeStep } from "./Recipe.ts";

/** A variant with what has changed on its base, and what of it was left because the variant goes its own way there. */
export interface BaseTaken {
	readonly recipe: Recipe;
	/** Fields, lines and steps of the base that changed where the variant says something of its own. */
	readonly left: readonly string[];
}

/** What is the variant's own, whatever the base says. */
const OWN: ReadonlySet<string> = new Set(["format", "formatVersion", "name", "summary", "tags", "variantOf"]);
/** What is taken line by line and step by step. */
const LISTED: ReadonlySet<string> = new Set(["lines", "steps"]);

/**
 * A change of the base, put onto a variant: where the variant still says what the base said, it
 * takes what the base says now; where it goes its own way, that stays.
 *
 * @param variant one version of the variant
 * @param from    the version of the base that it has seen
 * @param to      the version of the base to take, and its number
 */
export function takeBaseChange(
	variant: Recipe,
	from: Recipe,
	to: Recipe,
	base: { readonly recipe: string; readonly number: number },
): BaseTaken {
	const left: string[] = [];
	const fields = new Map<string, unknown>(Object.entries(variant));
	const [was, is] = [new Map(Object.entries(from)), new Map(Object.entries(to))];
	for (const field of new Set([...was.keys(), ...is.keys()])) {
		if (OWN.has(field) || LISTED.has(field)) continue;
		const [before, now] = [was.get(field), is.get(field)];
		if (isEqual(before, now)) continue;
		if (!isEqual(fields.get(field), before)) left.push(field);
		else if (now === undefined) fields.delete(field);
		else fields.set(field, now);
	}
	const lines = listTaken(variant.lines, from.lines, to.lines, lineKeys);
	const steps = listTaken(variant.steps, from.steps, to.steps, stepKeys);
	return {
		recipe: {
			...(Object.fromEntries(fields) as Recipe),
			lines: lines.taken,
			steps: steps.taken,
			variantOf: { recipe: base.recipe, number: base.number },
		},
		left: [...left, ...lines.left, ...steps.left],
	};
}

/** A list with what changed of another: changed in place, new ones after what they followed, gone ones out. */
function listTaken<T>(
	own: readonly T[],
	from: readonly T[],
	to: readonly T[],
	keysOf: (all: readonly T[]) => readonly string[],
): { readonly taken: T[]; readonly left: string[] } {
	const byKey = (all: readonly T[]) => {
		const keys = keysOf(all);
		return new Map(all.map((item, index) => [keys[index] as string, item]));
	};
	const [mine, was, is] = [byKey(own), byKey(from), byKey(to)];
	const left: string[] = [];
	const taken = [...mine.keys()].flatMap((key): (readonly [string, T])[] => {
		const item = mine.get(key) as T;
		const [before, now] = [was.get(key), is.get(key)];
		if (before === undefined || isEqual(before, now)) return [[key, item]];
		if (!isEqual(item, before)) {
			left.push(key);
			return [[key, item]];
		}
		return now === undefined ? [] : [[key, now]];
	});
	let follows: string | undefined;
	for (const [key, item] of is) {
		if (!was.has(key) && !mine.has(key)) {
			const place = taken.findIndex(([other]) => other === follows);
			taken.splice(place + 1, 0, [key, item]);
		}
		follows = key;
	}
	return { taken: taken.map(([, item]) => item), left };
}

/** Lines go by what they are; the second of one ingredient is told from the first. */
function lineKeys(lines: readonly RecipeLine[]): string[] {
	return numbered(lines.map(({ ingredient }) => ingredient));
}

/** Steps go by their place and which there they are. */
function stepKeys(steps: readonly RecipeStep[]): string[] {
	return numbered(steps.map(({ place }) => place));
}

function numbered(names: readonly string[]): string[] {
	const count = new Map<string, number>();
	return names.map((name) => {
		const number = (count.get(name) ?? 0) + 1;
		count.set(name, number);
		return number === 1 ? name : `${name} ${number}`;
	});
}
