import { sumBy } from "es-toolkit";
import { isMadeAhead, MOST_WAIT_MIN, ordered_kg, type Plan, searTaken } from "../dish/index.ts";
import type { Equipment, Kitchen } from "../kitchen/index.ts";
import { isInOven, type Recipe } from "../recipe/index.ts";
import { PLACES, type PlaceKey } from "../trade/index.ts";

/** What a chef holds against practice: the figures of one dish at one size, each with its unit. */
export interface Figures {
	readonly buy_kg: number;
	readonly buy_g_per_portion: number;
	readonly poured_l: number;
	readonly poured_ml_per_portion: number;
	readonly over_l: number;
	readonly over_per_sauce: number;
	readonly sauce_l: number;
	readonly sauce_ml_per_portion: number;
	/** Where nothing boils down it stands as it was lifted. */
	readonly sauceDepth_mm: number;
	readonly reduce_min: number;
	readonly wait_min: number;
	readonly loads: number;
	readonly sear_min: number;
	readonly fat_g_per_kg: number;
	readonly rungs: number;
	readonly portions_per_rung: number;
	readonly work_min_per_portion: number;
	readonly plates_per_min_per_person: number;
}

/** From and to what a chef would nod at a figure, and why. */
export interface Bound {
	readonly figure: keyof Figures;
	readonly words: string;
	readonly least: number;
	readonly most: number;
	/** For fewer than twenty portions, where it is another: pans and films come in sizes. */
	readonly mostForFew?: number;
	/** Where it is poured a third up the piece by rule, whatever the sauce asks. */
	readonly mostByRule?: number;
	readonly why: string;
}

/** Fewer portions than this are few. */
const FEW = 20;

/** The bounds of usual banquet practice for a braise from 10 to 1,200 portions. */
export const BOUNDS: readonly Bound[] = [
	{
		figure: "buy_g_per_portion",
		words: "to buy, g a portion",
		least: 180,
		most: 560,
		why: "160 to 220 g cooked; a third is lost boned, more than half on the bone",
	},
	{
		figure: "poured_ml_per_portion",
		words: "poured, ml a portion",
		least: 15,
		most: 200,
		mostForFew: 205,
		why: "the sauce once and a half at the most, where the meat brings little itself; legs poured to the line of their card take the most",
	},
	{
		figure: "over_per_sauce",
		words: "left over, of the sauce",
		least: 0,
		most: 1.2,
		mostForFew: 2,
		mostByRule: 1.7,
		why: "more than the sauce over again is stock for nothing; a third up the piece is poured in any case, and a last pan half full takes as much as a full one",
	},
	{
		figure: "sauce_ml_per_portion",
		words: "sauce, ml a portion",
		least: 40,
		most: 100,
		why: "a ladle is 60 to 80 ml",
	},
	{
		figure: "sauceDepth_mm",
		words: "sauce in its pot, mm deep",
		least: 25,
		most: 400,
		why: "lower it catches, higher no pot stands",
	},
	{
		figure: "reduce_min",
		words: "at the boil after the lift, min",
		least: 0,
		most: 150,
		why: "45 while meat waits; cold liquor of a dish made ahead has the afternoon",
	},
	{
		figure: "wait_min",
		words: "lift to first plate, min",
		least: 5,
		most: MOST_WAIT_MIN,
		why: "longer the edges dry, unless it is held",
	},
	{
		figure: "loads",
		words: "loads or trays",
		least: 0,
		most: 150,
		why: "beyond 25 in a pan, tilting pan or trays",
	},
	{
		figure: "fat_g_per_kg",
		words: "fat, g a kilo",
		least: 0,
		most: 30,
		mostForFew: 42,
		why: "a film and its topping up: a spoon or two a kilo; skin needs none",
	},
	{
		figure: "portions_per_rung",
		words: "portions a rung",
		least: 5,
		most: 34,
		why: "a 1/1 holds 15 to 30 pieces of a portion; the last pan is not full",
	},
	{
		figure: "work_min_per_portion",
		words: "one cook's minutes a portion",
		least: 1,
		most: 12,
		why: "ten portions are two hours' work with all the trimmings, a thousand are three minutes each",
	},
	{
		figure: "plates_per_min_per_person",
		words: "plates a minute for each at the pass",
		least: 1,
		most: 2,
		why: "30 to 40 seconds a plate, 45 a box",
	},
];

/** The figures of one plan. */
export function figuresOf(plan: Plan): Figures {
	const { chain, pour, sauce, sauce_l, colour, pans, order, work, wait_min, second } = plan;
	const second_kg = second?.asPurchased_kg ?? 0;
	const { portions } = chain;
	const pan = colour && searTaken(colour);
	const handsOn_min = sumBy(Object.values(handsOnByPlace(plan)), (minutes) => minutes);
	return {
		buy_kg: ordered_kg(chain) + second_kg,
		buy_g_per_portion: ((chain.asPurchased_kg + second_kg) * 1000) / portions,
		poured_l: pour?.poured_l ?? 0,
		poured_ml_per_portion: ((pour?.poured_l ?? 0) * 1000) / portions,
		over_l: sauce?.over_l ?? 0,
		over_per_sauce: (sauce?.over_l ?? 0) / sauce_l,
		sauce_l,
		sauce_ml_per_portion: (sauce_l * 1000) / portions,
		sauceDepth_mm: sauce?.mark_mm ?? 0,
		reduce_min: work.reduce_min,
		wait_min,
		loads: pan?.loads ?? colour?.oven?.trays ?? 0,
		sear_min: colour?.minutes ?? 0,
		fat_g_per_kg: (colour?.fat_g ?? 0) / chain.trimmed_kg,
		rungs: pans.rungs,
		portions_per_rung: portions / Math.max(1, pans.rungs),
		work_min_per_portion: handsOn_min / portions,
		plates_per_min_per_person: portions / (work.places.plate.wall_min * order.hands),
	};
}

/** One cook's minutes at each place that has any. */
export function handsOnByPlace({ work, colour }: Plan): Partial<Record<PlaceKey, number>> {
	const entries = PLACES.map((place): [PlaceKey, number] => {
		if (place !== "sear") return [place, work.places[place].handsOn_min];
		const taken = colour && (searTaken(colour) ?? colour.oven);
		return [place, taken?.hands_min ?? 0];
	});
	return Object.fromEntries(entries.filter(([, minutes]) => minutes > 0));
}

/** Every figure that no chef would believe. */
export function beyondBelief(plan: Plan): { readonly bound: Bound; readonly is: number }[] {
	const figures = figuresOf(plan);
	return BOUNDS.flatMap((bound) => {
		const is = figures[bound.figure];
		const within = is >= bound.least - HAIR && is <= mostOf(bound, plan) + HAIR;
		return within || isBesideIt(plan, bound) ? [] : [{ bound, is }];
	});
}

function mostOf({ most, mostForFew, mostByRule }: Bound, { chain, pour }: Plan): number {
	if (chain.portions < FEW && mostForFew !== undefined) return mostForFew;
	return pour?.decidedBy === "least" ? (mostByRule ?? most) : most;
}

/** Rounding. */
const HAIR = 1e-6;

/** Meat that is held hot on purpose may wait; pots, cookers and baths stand on no rung. */
function isBesideIt(plan: Plan, { figure }: Bound): boolean {
	if (figure === "portions_per_rung") return !isInOven(plan.recipe);
	return figure === "wait_min" && (plan.hold_min > 0 || isMadeAhead(plan.recipe));
}

/** Portions that the house's own pans and ovens are enough for. */
const ONE_FILLING = 140;
/** Portions of which one of each of its cookers makes its share. */
const A_COOKER = 20;
/** Portions for which there is one cook. */
const PORTIONS_A_COOK = 45;

/** Cooks who would stand there for so many portions. */
export function cooksFor(portions: number): number {
	return Math.max(2, Math.ceil(portions / PORTIONS_A_COOK));
}

/** The kitchen with as many pans, trays and ovens borrowed as one filling of so many portions takes. */
export function borrowedFor(portions: number, kitchen: Kitchen): Kitchen {
	const times = Math.max(1, Math.ceil(portions / ONE_FILLING));
	const { equipment } = kitchen;
	const more = <T extends { readonly stock: number }>(kinds: readonly T[]) =>
		kinds.map((kind) => ({ ...kind, stock: kind.stock * times }));
	const ovens = equipment.ovens.flatMap((oven) =>
		Array.from({ length: times }, (_, index) =>
			index === 0 ? oven : { ...oven, id: `${oven.id}-${index + 1}` },
		),
	);
	const borrowed: Equipment = {
		...equipment,
		pans: more(equipment.pans),
		pots: more(equipment.pots),
		// A cooker holds a fraction of what an oven does.
		cookers: (equipment.cookers ?? []).map((kind) => ({
			...kind,
			stock: kind.stock * Math.max(1, Math.ceil(portions / A_COOKER)),
		})),
		trays: more(equipment.trays),
		ovens,
	};
	return { ...kitchen, equipment: borrowed };
}

/** A dish alone, for so many portions, as a house would cook it: the day before where that is usual. */
export function cookedFor(recipe: Recipe, portions: number, usuallyAhead: number): Recipe {
	if (portions <= usuallyAhead) return recipe;
	return { ...recipe, schools: { ...recipe.schools, service: "madeAhead" } };
}
