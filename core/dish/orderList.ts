import { wholeUp } from "../quantity/index.ts";
import {
	CATEGORIES,
	countOf,
	type Ingredient,
	ingredientOf,
	isCounted,
	lineGrams,
	makesGrams,
	type Preparation,
	type Recipe,
} from "../recipe/index.ts";
import type { Plan } from "./Plan.ts";
import { purchased_kg, ready_kg } from "./purchased.ts";

/** One dish of what is ordered for. */
export interface OrderedDish {
	readonly name: string;
	readonly recipe: Recipe;
	readonly plan: Plan;
}

/** One ingredient to buy, for everything together. */
export interface OrderRow {
	readonly ingredient: Ingredient;
	/** Weight as purchased, kg; 0 when it is ordered by the piece. */
	readonly asPurchased_kg: number;
	/** Whole pieces, where the weight of one is not known. */
	readonly pieces: number;
	readonly pack_kg: number | null;
	/** Here already, kg as purchased: weighed on hand, counted in the house, or left of a dish; it is needed, and not ordered again. */
	readonly here_kg: number;
	/**
	 * Ordered; taken from the store: what keeps, where it is a small part of a pack; or all of it
	 * here already.
	 */
	readonly from: "order" | "store" | "here";
	/** Whole packs; null when no pack is known, or none is ordered. */
	readonly packs: number | null;
	/** What is ordered: packs, or the weight itself; from the store what is taken; 0 where all is here. */
	readonly order_kg: number;
	/** Minor units, of what is ordered or taken; null when the price is not known. */
	readonly cost_minor: number | null;
	/** Names of the dishes it is for. */
	readonly dishes: readonly string[];
}

interface Sum {
	ingredient: Ingredient;
	asPurchased_kg: number;
	here_kg: number;
	pieces: number;
	pack_kg: number | null;
	dishes: Set<string>;
}

/**
 * What has to be bought for some planned dishes: every line as purchased, what is made in
 * the house taken apart into what it is made of, the same ingredient of all dishes
 * together, and then rounded up to whole packs. Water is not ordered.
 *
 * @param preparations what is made in the house, by short name
 * @param known        everything a line can name, by short name
 * @param here         what is in the house already, or left of the day's dishes
 */
export function orderList(
	dishes: readonly OrderedDish[],
	preparations: ReadonlyMap<string, Preparation>,
	known: ReadonlyMap<string, Ingredient>,
	here: AlreadyHere = NOTHING_HERE,
): OrderRow[] {
	const sums = new Map<string, Sum>();
	const needs = dishes.flatMap(needsOf).flatMap((need) => takenApart(need, preparations, known));
	for (const need of needs) add(sums, need);
	for (const [id, grams] of Object.entries(here.inHouse_g)) {
		const sum = sums.get(id);
		if (sum) sum.here_kg += grams / 1000;
	}
	for (const [id, kg] of here.byProducts) spare(sums, needs, id, kg);
	return [...sums.values()]
		.map(rowOf)
		.sort((a, b) => a.ingredient.name.localeCompare(b.ingredient.name, "en"));
}

/** What need not be bought again. */
export interface AlreadyHere {
	/** As purchased, g, by short name. */
	readonly inHouse_g: Readonly<Record<string, number>>;
	/** Trim and bones that go into something made in the house, kg by its short name. */
	readonly byProducts: ReadonlyMap<string, number>;
}

const NOTHING_HERE: AlreadyHere = { inHouse_g: {}, byProducts: new Map() };

/** Trim and bones of the day stand in for the bones that would be bought for a stock, and for no more of them. */
function spare(sums: Map<string, Sum>, needs: readonly Need[], made: string, kg: number): void {
	const bones = needs.filter(
		({ madeFor, ingredient, grams }) =>
			madeFor === made && grams !== null && CATEGORIES[ingredient.category].role === "main",
	);
	const wanted_kg = bones.reduce((sum, { grams }) => sum + (grams ?? 0) / 1000, 0);
	if (wanted_kg === 0) return;
	const share = Math.min(1, kg / wanted_kg);
	for (const { ingredient, asPurchased_kg } of bones) {
		const sum = sums.get(ingredient.id);
		if (sum) sum.here_kg += share * (asPurchased_kg ?? 0);
	}
}

interface Need {
	readonly ingredient: Ingredient;
	/** Ready to use; null when it is counted and one has no known weight. */
	readonly grams: number | null;
	/** As purchased, kg; null with `grams`. */
	readonly asPurchased_kg: number | null;
	readonly pieces: number;
	readonly pack_kg: number | null;
	/** Of the main that was weighed on hand, kg. */
	readonly here_kg: number;
	readonly dish: string;
	/** What is made in the house of it; null where it goes into the dish itself. */
	readonly madeFor: string | null;
}

/** What the lines of one dish need, ready to use. */
function needsOf({ name, recipe, plan }: OrderedDish): Need[] {
	const { basis } = plan.order;
	return plan.lines.map((planLine) => {
		const { ingredient, line, count } = planLine;
		const isMain = line.role === "main";
		const kg = ready_kg(planLine);
		return {
			ingredient,
			grams: kg === null ? null : kg * 1000,
			asPurchased_kg: purchased_kg(planLine, recipe, plan.chain),
			pieces: count ?? 0,
			pack_kg: isMain ? (recipe.pack_kg ?? null) : null,
			here_kg: isMain && basis.from === "onHand" ? basis.onHand_kg : 0,
			dish: name,
			madeFor: null,
		};
	});
}

/** What is bought for a need: itself, or all that what is made in the house is made of. */
function takenApart(
	need: Need,
	preparations: ReadonlyMap<string, Preparation>,
	known: ReadonlyMap<string, Ingredient>,
): Need[] {
	if (need.ingredient.category === "water") return [];
	const preparation = preparations.get(need.ingredient.id);
	if (!preparation || need.grams === null) return [need];
	const factor = need.grams / makesGrams(preparation);
	return preparation.lines.flatMap((line) => {
		const ingredient = ingredientOf(line, known);
		const isCountedOnly = ingredient.each_g === null && isCounted(line);
		const grams = isCountedOnly ? null : lineGrams(line, ingredient) * factor;
		const inside = {
			ingredient,
			grams,
			asPurchased_kg: grams === null ? null : grams / 1000 / (1 - (line.trimLoss ?? ingredient.trimLoss)),
			pieces: isCountedOnly ? countOf(line) * factor : 0,
			pack_kg: null,
			here_kg: 0,
			dish: need.dish,
			madeFor: need.ingredient.id,
		};
		return takenApart(inside, preparations, known);
	});
}

function add(
	sums: Map<string, Sum>,
	{ ingredient, asPurchased_kg, pieces, pack_kg, here_kg, dish }: Need,
): void {
	const sum = sums.get(ingredient.id) ?? {
		ingredient,
		asPurchased_kg: 0,
		here_kg: 0,
		pieces: 0,
		pack_kg: null,
		dishes: new Set<string>(),
	};
	if (asPurchased_kg === null) sum.pieces += pieces;
	else sum.asPurchased_kg += asPurchased_kg;
	sum.here_kg += here_kg;
	sum.pack_kg ??= pack_kg;
	sum.dishes.add(dish);
	sums.set(ingredient.id, sum);
}

/** Less than this share of a pack of what keeps is no order: ten kilos of salt for a handful. General practice. */
export const STORE_SHARE = 0.25;

/** What the dry store has anyway. */
function isFromStore({ supplier }: Ingredient, asPurchased_kg: number, pack_kg: number | null): boolean {
	return (
		supplier === "dryStore" &&
		pack_kg !== null &&
		asPurchased_kg > 0 &&
		asPurchased_kg < pack_kg * STORE_SHARE
	);
}

/** Less than this is rounding, kg. */
const HAIR_KG = 0.001;

function rowOf({ ingredient, asPurchased_kg, here_kg, pieces, pack_kg, dishes }: Sum): OrderRow {
	const pack = pack_kg ?? (ingredient.pack_g === null ? null : ingredient.pack_g / 1000);
	const short_kg = Math.max(0, asPurchased_kg - here_kg);
	const isHere = here_kg > 0 && short_kg < HAIR_KG;
	const from = isHere ? "here" : isFromStore(ingredient, short_kg, pack) ? "store" : "order";
	const packs = pack === null || short_kg === 0 || from !== "order" ? null : wholeUp(short_kg / pack);
	const order_kg = isHere ? 0 : packs === null || pack === null ? short_kg : packs * pack;
	const price = ingredient.pricePerKg_minor;
	return {
		ingredient,
		asPurchased_kg,
		here_kg,
		pieces: Math.ceil(pieces - 1e-9),
		pack_kg: pack,
		from,
		packs,
		order_kg,
		// Money is paid in whole coins, on whatever paper or file it stands.
		cost_minor: price === null || pieces > 0 ? null : Math.round(order_kg * price),
		dishes: [...dishes],
	};
}
