import { refuse } from "../check/index.ts";
import { toBase, UNITS, WATER_G_PER_ML } from "../quantity/index.ts";
import { ALLERGEN_NAMES, type Allergen } from "./allergens.ts";
import { carriedBy, type Presence, presenceIn } from "./carried.ts";
import { CATEGORIES } from "./categories.ts";
import { type Ingredient, ingredient } from "./Ingredient.ts";
import { inPan } from "./ingredientProperties.ts";
import type { Preparation } from "./Preparation.ts";
import { gramsOrNull, ingredientOf } from "./weighLine.ts";

/** Grams that a preparation makes at its card's size. */
export function makesGrams({ makes, density_g_per_ml }: Preparation): number {
	const base = toBase(makes.amount, makes.unit);
	return UNITS[makes.unit].dimension === "mass" ? base : base * (density_g_per_ml ?? WATER_G_PER_ML);
}

/** Preparations inside one another: stock, glaze, sauce are three. More is no kitchen's work. */
export const DEEPEST_MADE = 40;

/**
 * What is made in the house as ingredients: allergens, origins and prices of what is
 * inside rolled up, through preparations of preparations.
 *
 * @param preparations by short name
 * @param bought       by short name; a preparation of the same name goes before it
 * @param merged       what was merged away, with what it was merged into: that is meant wherever it
 *                     is named, inside preparations too
 * @param stored       whether it is read, and not written: what goes round in a circle or too deep is
 *                     then made of what nobody has described, which is free of nothing
 * @returns everything a line can name, bought and made
 * @throws {Refusal} when preparations go round in a circle, naming it, or are too deep inside one another
 */
export function withMade(
	preparations: ReadonlyMap<string, Preparation>,
	bought: ReadonlyMap<string, Ingredient>,
	merged: ReadonlyMap<string, string> = new Map(),
	stored = false,
): Map<string, Ingredient> {
	const known = new Map(bought);
	for (const id of preparations.keys()) known.delete(id);
	const meant = (named: string) => (preparations.has(named) ? named : meantBy(named, merged));
	const { order, circles } = insideFirst(preparations, meant);
	const [inCircle] = circles;
	if (inCircle && !stored) throw circle(inCircle, preparations);
	const broken = new Set(circles.flat());
	const depths = new Map<string, number>();
	const named = (names: Iterable<string>) => {
		for (const name of names) {
			const ingredientMeant = known.get(meant(name));
			if (ingredientMeant) known.set(name, ingredientMeant);
		}
	};
	named(merged.keys());
	for (const id of order) {
		const preparation = preparations.get(id) as Preparation;
		const names = preparation.lines.map((line) => line.ingredient);
		const depth = 1 + Math.max(0, ...names.map((name) => depths.get(meant(name)) ?? 0));
		depths.set(id, depth);
		if (depth > DEEPEST_MADE && !stored) throw tooDeep(preparation);
		if (depth > DEEPEST_MADE || broken.has(id)) {
			known.set(
				id,
				ingredient({ id, name: preparation.name, category: preparation.category, described: false }),
			);
			continue;
		}
		named(names);
		known.set(id, made(id, preparation, known));
	}
	named(merged.keys());
	return known;
}

/** Preparations, each after those it needs, and the circles that some of them go round in. */
function insideFirst(
	preparations: ReadonlyMap<string, Preparation>,
	meant: (named: string) => string,
): { readonly order: readonly string[]; readonly circles: readonly string[][] } {
	const order: string[] = [];
	const circles: string[][] = [];
	const done = new Set<string>();
	// By hand, since some book may be deeper than calls can be.
	const stack: { readonly id: string; readonly inside: Iterator<string> }[] = [];
	const path = new Set<string>();
	const enter = (id: string) => {
		const inside = (preparations.get(id) as Preparation).lines.map((line) => meant(line.ingredient));
		stack.push({ id, inside: inside.filter((other) => preparations.has(other)).values() });
		path.add(id);
	};
	for (const start of preparations.keys()) {
		if (!done.has(start)) enter(start);
		for (let top = stack.at(-1); top; top = stack.at(-1)) {
			const next = top.inside.next();
			if (next.done) {
				stack.pop();
				path.delete(top.id);
				done.add(top.id);
				order.push(top.id);
			} else if (path.has(next.value)) {
				const names = [...path];
				circles.push(names.slice(names.indexOf(next.value)));
			} else if (!done.has(next.value)) enter(next.value);
		}
	}
	return { order, circles };
}
/** Follows merges of merges to the ingredient that is left; merges in a circle mean themselves. */
function meantBy(id: string, merged: ReadonlyMap<string, string>): string {
	let end = id;
	for (let step = 0; step <= merged.size; step += 1) {
		const next = merged.get(end);
		if (next === undefined) return end;
		end = next;
	}
	return id;
}

function tooDeep({ name }: Preparation) {
	return refuse(
		"lines",
		`${name} needs more than ${DEEPEST_MADE} preparations one inside the other; up to ${DEEPEST_MADE} are allowed`,
	);
}

function circle(path: readonly string[], preparations: ReadonlyMap<string, Preparation>) {
	const names = [...path, path[0] ?? ""].map((id) => preparations.get(id)?.name ?? id);
	return refuse("lines", `${names.join(" needs ")}: what is made cannot need itself`);
}

function made(id: string, preparation: Preparation, known: ReadonlyMap<string, Ingredient>): Ingredient {
	const inside = preparation.lines.map((line) => ingredientOf(line, known));
	const { allergens, mayContain } = carriedBy(inside);
	const origins = [...new Set(inside.flatMap((entry) => entry.origins))];
	return {
		...ingredient({ id, name: preparation.name, category: preparation.category }),
		origins: origins.length > 0 ? origins : [CATEGORIES[preparation.category].origin],
		density_g_per_ml: densityOf(preparation),
		salt_pct: saltOf(preparation, inside),
		gelatin_g_per_l: preparation.gelatin_g_per_l ?? null,
		described: inside.every(({ described }) => described),
		allergens,
		mayContain,
		...priceOf(preparation, inside),
	};
}

/** Salt of what is made, g in 100 g: all that its lines bring, in what it makes. */
function saltOf(preparation: Preparation, inside: readonly Ingredient[]): number {
	const salt_g = preparation.lines.reduce((sum, line, index) => {
		const ingredient = inside[index] as Ingredient;
		return sum + ((gramsOrNull(line, ingredient) ?? 0) * inPan(ingredient).salt_pct) / 100;
	}, 0);
	return Math.min(100, (salt_g / makesGrams(preparation)) * 100);
}

function densityOf({ makes, density_g_per_ml }: Preparation): number | null {
	if (density_g_per_ml !== undefined) return density_g_per_ml;
	return UNITS[makes.unit].dimension === "volume" ? WATER_G_PER_ML : null;
}

/** Price of a kilo made, from its lines as purchased; null as soon as one price is missing. */
function priceOf(
	preparation: Preparation,
	inside: readonly Ingredient[],
): Pick<Ingredient, "pricePerKg_minor" | "made"> {
	const costs = preparation.lines.map((line, index) => {
		const ingredient = inside[index] as Ingredient;
		const grams = gramsOrNull(line, ingredient);
		const missing = grams === null ? [ingredient.name] : missingIn(ingredient);
		const { trimLoss = ingredient.trimLoss } = line;
		return { missing, cost: (((grams ?? 0) / (1 - trimLoss)) * (ingredient.pricePerKg_minor ?? 0)) / 1000 };
	});
	const withoutPrice = costs.flatMap(({ missing }) => missing);
	const cost = costs.reduce((sum, priced) => sum + priced.cost, 0);
	const known = withoutPrice.length === 0;
	return {
		pricePerKg_minor: known ? (cost / makesGrams(preparation)) * 1000 : null,
		made: {
			from: tracesOf(inside),
			notDescribed: notDescribedIn(inside),
			withoutPrice: [...new Set(withoutPrice)],
		},
	};
}

/** Names of what has no price in an ingredient: itself, or what is inside it. Water costs nothing. */
export function missingIn({ name, category, pricePerKg_minor, made: inside }: Ingredient): string[] {
	if (pricePerKg_minor !== null || category === "water") return [];
	return inside ? [...inside.withoutPrice] : [name];
}

const CARRIES: ReadonlySet<Presence | null> = new Set(["contains", "mayContain"]);

function notDescribedIn(inside: readonly Ingredient[]): string[] {
	const names = inside.flatMap(({ name, described, made: within }) =>
		described ? [] : (within?.notDescribed ?? [name]),
	);
	return [...new Set(names)];
}

function tracesOf(inside: readonly Ingredient[]): Partial<Record<Allergen, readonly string[]>> {
	const found: Partial<Record<Allergen, string[]>> = {};
	for (const allergen of ALLERGEN_NAMES) {
		const names = inside
			.filter((ingredient) => CARRIES.has(presenceIn(ingredient, allergen)))
			.flatMap((ingredient) => ingredient.made?.from[allergen] ?? [ingredient.name]);
		if (names.length > 0) found[allergen] = [...new Set(names)];
	}
	return found;
}
