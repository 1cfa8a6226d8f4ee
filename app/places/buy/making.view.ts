import { sortBy } from "es-toolkit";
import { costOfPlan } from "#core/cost";
import type { WorkedDish } from "#core/day";
import {
	type BeforeAfter,
	byProductsOf,
	orderList,
	type PlanFigures,
	type SwapEffect,
	swapEffect,
} from "#core/dish";
import { ALLERGENS, type Ingredient, ingredientOf, type RecipeLine, type Substitute } from "#core/recipe";
import { dayTyped } from "#core/time";
import { BY_PRODUCTS } from "#core/trade";
import type { PacksDrawing } from "../../ui/drawings/Packs.tsx";
import { swapsTyped, usesTyped, withSwap } from "../../ui/forms/settled.ts";
import { orderRowView } from "../../ui/words/orderRow.ts";
import { money, perCent, type Reading } from "../../ui/words/reading.ts";
import type { Making, TableGiven } from "../Place.ts";
import { cameView } from "./came.view.ts";
import { spareWords } from "./spareWords.ts";

/** One way to make a line, and what it does to the dish. */
export interface InsteadView {
	readonly words: string;
	readonly changes: readonly string[];
	/** What the control holds when it is taken. */
	readonly swaps: string;
}

/** What is left of the dish, and where it can go. */
export interface LeftView {
	readonly what: string;
	readonly mass: string;
	readonly when: string;
	readonly worth: string | null;
	/** Empty where it is kept for something else. */
	readonly to: string;
	readonly choices: readonly { readonly id: string; readonly name: string; readonly uses: string }[];
	/** What the control holds when it goes nowhere. */
	readonly kept: string;
}

/** What can be settled of what a dish is made of. */
export function makingView({ plan, kitchen, reading, making }: TableGiven) {
	if (!making) return null;
	const instead = making.card.lines.flatMap((line) =>
		insteadOf(line, plan, making, kitchen.known.byId, reading),
	);
	const left = leftOf(plan, making, stocksOf(kitchen.known), reading);
	return {
		instead,
		left,
		came: cameView(plan, making, reading),
		packs: packsView(plan, reading),
		order: orderView({ plan, kitchen, reading, making }),
	};
}

/** What is ordered for this dish alone, as it is purchased, the main first. */
function orderView({
	plan,
	kitchen,
	reading,
	making,
}: Required<Pick<TableGiven, "plan" | "kitchen" | "reading" | "making">>) {
	const { preparations, byId } = kitchen.known;
	const { recipe } = plan;
	const rows = orderList([{ name: recipe.name, recipe, plan }], preparations, byId);
	const main = recipe.lines.find(({ role }) => role === "main")?.ingredient;
	return sortBy(rows, [({ ingredient }) => ingredient.id !== main]).map((row) => ({
		...orderRowView(row, reading, making.currency),
		from: row.from,
	}));
}

/** The packs of the main; null where it is bought by weight. */
function packsView({ chain, recipe }: WorkedDish, { mass }: Reading): PacksDrawing | null {
	const { packs, order_kg, asPurchased_kg } = chain;
	const { pack_kg } = recipe;
	if (packs === undefined || order_kg === undefined || pack_kg === undefined || packs === 0) return null;
	const spare_kg = Math.max(0, order_kg - asPurchased_kg);
	return {
		packs,
		each: mass(pack_kg),
		lastShare: Math.max(0, 1 - spare_kg / pack_kg),
		spare: spare_kg < LEAST_SPARE_KG ? "" : `${spareWords(chain, { mass })} spare`,
		words: `${packs} of ${mass(pack_kg)}: ${mass(asPurchased_kg)} needed, ${mass(order_kg)} ordered.`,
	};
}

/** Less is not told, kg. */
const LEAST_SPARE_KG = 0.05;

export type MakingView = NonNullable<ReturnType<typeof makingView>>;

function stocksOf({ preparations }: TableGiven["kitchen"]["known"]) {
	return [...preparations]
		.filter(([, { category }]) => category === "stock")
		.map(([id, { name }]) => ({ id, name }));
}

/** What may stand in place of a line; and its own again, where something else does. */
function insteadOf(
	line: RecipeLine,
	plan: WorkedDish,
	making: Making,
	known: ReadonlyMap<string, Ingredient>,
	reading: Reading,
): InsteadView[] {
	const { swaps, card, tried, currency } = making;
	const taken = swaps.find(({ from }) => from === line.ingredient)?.to ?? null;
	const nameOf = ({ ingredient }: Pick<Substitute, "ingredient">) => ingredientOf({ ingredient }, known).name;
	const own = nameOf(line);
	const others: readonly { readonly to: string | null; readonly name: string }[] = [
		...(taken === null ? [] : [{ to: null, name: own }]),
		...(line.substitutes ?? [])
			.filter(({ ingredient }) => ingredient !== taken)
			.map((instead) => ({ to: instead.ingredient, name: nameOf(instead) })),
	];
	const now = taken === null ? own : nameOf({ ingredient: taken });
	const costs = (of: PlanFigures) => costOfPlan(of, card, null).total_minor;
	const before_minor = others.length > 0 ? costs(plan) : null;
	return others.map(({ to, name }) => {
		const then = withSwap(swaps, line.ingredient, to);
		const after = tried({ swaps: then });
		return {
			words: to === null ? `${name} again, in place of ${now}` : `${name} in place of ${now}`,
			changes: after
				? [
						...effectWords(swapEffect(plan, after), reading),
						...costWords(before_minor, costs(after), currency),
					]
				: ["it cannot be planned so"],
			swaps: swapsTyped(then),
		};
	});
}

/** Less than this share is not told: nobody pours or tastes it. */
const TOLD = 0.01;

function effectWords(effect: SwapEffect, { volume }: Reading): string[] {
	const told = ({ before, after }: BeforeAfter, words: (value: number) => string, what: string) =>
		Math.abs(after - before) <= TOLD * Math.max(before, after, 1e-9)
			? []
			: [`${what} ${words(after)}, now ${words(before)}`];
	const names = (allergens: SwapEffect["brings"]) => allergens.map((key) => ALLERGENS[key]).join(", ");
	const changes = [
		...told(effect.poured_l, volume, "poured"),
		...told(effect.sauce_l, volume, "sauce"),
		...told(effect.salt_pct, perCent, "salt"),
		...told(effect.gelatin_g_per_l, (grams) => `${Math.round(grams)} g/l`, "gelatin"),
		...(effect.brings.length > 0 ? [`brings ${names(effect.brings)}`] : []),
		...(effect.takesAway.length > 0 ? [`takes ${names(effect.takesAway)} out`] : []),
	];
	return changes.length > 0 ? changes : ["litres, salt, body and allergens stay"];
}

function costWords(before: number | null, after: number | null, currency: string): string[] {
	if (before === null || after === null) return ["cost not known"];
	const more = Math.round(after - before);
	if (more === 0) return ["costs the same"];
	return [`${money(Math.abs(more), currency)} ${more > 0 ? "dearer" : "cheaper"}`];
}

function leftOf(
	plan: WorkedDish,
	{ byProducts, rule, worth, currency }: Making,
	stocks: readonly { readonly id: string; readonly name: string }[],
	reading: Reading,
): LeftView[] {
	return byProductsOf(plan, rule).map(({ kind, kg, at, useBy }) => {
		const { [kind]: to = "", ...others } = byProducts;
		const perKg = worth[kind];
		const day = dayTyped(useBy);
		return {
			what: BY_PRODUCTS[kind],
			mass: kind === "liquid" ? reading.volume(kg) : reading.mass(kg),
			when: `from ${reading.clock(at)}, use by ${day}`,
			worth: perKg ? money(kg * perKg, currency) : null,
			to,
			choices: stocks.map(({ id, name }) => ({ id, name, uses: usesTyped({ ...others, [kind]: id }) })),
			kept: usesTyped(others),
		};
	});
}
