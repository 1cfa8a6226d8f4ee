import { heatsItself, type Kitchen, saucePotsOf, type Vessel } from "../kitchen/index.ts";
import { depthOf, volumeBelow } from "../pans/index.ts";
import { toBase, UNITS, wholeUp } from "../quantity/index.ts";
import { gramsOrNull, ingredientOf, makesGrams, type Preparation, type Recipe } from "../recipe/index.ts";
import type { Task } from "../tasks/index.ts";
import type { PlaceKey } from "../trade/index.ts";
import { batchTasks, type PotTaken } from "./batchTasks.ts";
import type { DishOrder } from "./DishOrder.ts";
import type { PlanLine } from "./planLines.ts";
import { weightOf } from "./planLiquid.ts";

/** Something made in the house for the dishes of a sitting, once for all of them. */
export interface PreparedBatch {
	/** Short name of the preparation. */
	readonly id: string;
	readonly name: string;
	readonly preparation: Preparation;
	readonly grams: number;
	/** The same in litres, where its card measures it so; else null. */
	readonly litres: number | null;
	/** The batch over the card. */
	readonly factor: number;
	/** The pot it is cooked in, filled so often; null where it is not poured, or no pot is there. */
	readonly pot: PotTaken | null;
	/** Dishes that it is for. */
	readonly dishes: readonly string[];
	/** The tasks, of dishes or of other preparations, that it has to be ready for. */
	readonly feeds: readonly string[];
	/** Orders that have to have come before it is begun. */
	readonly orders: readonly string[];
	readonly tasks: readonly Task[];
}

/** A dish as far as it says what is to be made for it. */
export interface Prepared {
	readonly order: DishOrder;
	readonly recipe: Recipe;
	readonly lines: readonly PlanLine[];
	readonly tasks: readonly Task[];
}

/** How full a pot may be in which bones and water simmer, as a share of its depth. General practice. */
const SIMMER_FULL = 0.85;

/** The smallest pot that takes a batch with all that goes into it at once; else the largest, filled more often. */
function potFor(preparation: Preparation, factor: number, { equipment, known }: Kitchen): PotTaken | null {
	const isPoured = UNITS[preparation.makes.unit].dimension === "volume";
	if (!isPoured && !preparation.steps.some(({ heat }) => heat === "burner")) return null;
	const grams = preparation.lines.reduce(
		(sum, line) => sum + (gramsOrNull(line, ingredientOf(line, known.byId)) ?? 0),
		0,
	);
	const litres = (grams * factor) / 1000;
	const holds = ({ shape }: Vessel) => volumeBelow(shape, depthOf(shape) * SIMMER_FULL);
	const pots = saucePotsOf(equipment).toSorted((a, b) => holds(a) - holds(b));
	const vessel = pots.find((pot) => holds(pot) >= litres) ?? pots.at(-1);
	return vessel ? { vessel, goes: Math.max(1, wholeUp(litres / holds(vessel))) } : null;
}

interface Wanted {
	readonly grams: number;
	readonly orders: ReadonlySet<string>;
	readonly hands: number;
	readonly dishes: ReadonlySet<string>;
	readonly feeds: ReadonlySet<string>;
}

/**
 * What is made in the house for some dishes: all that they want of it together, before the first
 * task that needs it, and what that is made of before it. It has no clock: `core/day` places it.
 *
 * @returns the last needed first
 */
export function planPreparations(plans: readonly Prepared[], kitchen: Kitchen): PreparedBatch[] {
	const { preparations } = kitchen.known;
	const wanted = wantedBy(plans, preparations);
	// What is made of something made is wanted in turn; what is wanted by others comes after them.
	return inOrder(preparations).flatMap((id) => {
		const before = wanted.get(id);
		const preparation = preparations.get(id);
		if (!before || !preparation || before.grams === 0) return [];
		const batch = batchOf(id, preparation, before, kitchen);
		for (const line of preparation.lines) {
			if (!preparations.has(line.ingredient)) continue;
			const grams = gramsOrNull(line, ingredientOf(line, kitchen.known.byId)) ?? 0;
			want(wanted, line.ingredient, {
				...before,
				grams: grams * batch.factor,
				feeds: new Set(batch.tasks.filter(({ part }) => part === "make").map(({ id: task }) => task)),
			});
		}
		return [batch];
	});
}

/** What the dishes themselves want; in whatever order they stand, they are added up in the same one. */
function wantedBy(
	plans: readonly Prepared[],
	preparations: ReadonlyMap<string, Preparation>,
): Map<string, Wanted> {
	const wanted = new Map<string, Wanted>();
	for (const plan of [...plans].sort(heaviestFirst)) {
		const { hands } = plan.order;
		for (const line of plan.lines) {
			if (!preparations.has(line.ingredient.id)) continue;
			const place = placeFor(line);
			want(wanted, line.ingredient.id, {
				grams: line.amount_g ?? 0,
				hands,
				dishes: new Set([plan.recipe.name]),
				orders: new Set(plan.tasks.filter(({ part }) => part === "order").map(({ id }) => id)),
				feeds: new Set(plan.tasks.filter((task) => worksAt(task, place)).map(({ id }) => id)),
			});
		}
	}
	return wanted;
}

/** Sums do not depend on what dishes are called: the heaviest is added first. */
function heaviestFirst(a: Prepared, b: Prepared): number {
	return weightOf(b.lines) - weightOf(a.lines);
}

/** Hands that need what was made: every filling of the pans, and neither what is packed nor what only waits. */
function worksAt({ place, part }: Task, at: PlaceKey): boolean {
	return place === at && (part === "work" || part === "colour");
}

/** The place at which a line is first wanted. */
function placeFor({ line }: PlanLine): PlaceKey {
	if (line.marinade) return "trim";
	if (line.role === "side" || line.group === "garnish" || line.group === "side" || line.apart) return "plate";
	if (line.group === "finish" || line.role === "finishing" || line.role === "thickener") return "sauce";
	if (line.role === "searFat") return "sear";
	return "build";
}

function want(wanted: Map<string, Wanted>, id: string, more: Wanted): void {
	const known = wanted.get(id);
	wanted.set(id, {
		grams: (known?.grams ?? 0) + more.grams,
		orders: new Set([...(known?.orders ?? []), ...more.orders]),
		hands: Math.max(known?.hands ?? 1, more.hands),
		dishes: new Set([...(known?.dishes ?? []), ...more.dishes]),
		feeds: new Set([...(known?.feeds ?? []), ...more.feeds]),
	});
}

function batchOf(
	id: string,
	preparation: Preparation,
	{ grams, orders, hands, dishes, feeds }: Wanted,
	kitchen: Kitchen,
): PreparedBatch {
	const factor = grams / makesGrams(preparation);
	const { makes } = preparation;
	const pot = potFor(preparation, factor, kitchen);
	const ownHeat = pot !== null && heatsItself(pot.vessel);
	const tasks = batchTasks({ id, preparation, grams, factor, hands, pot, ownHeat }, kitchen);
	return {
		id,
		name: preparation.name,
		preparation,
		grams,
		litres:
			UNITS[makes.unit].dimension === "volume" ? (toBase(makes.amount, makes.unit) * factor) / 1000 : null,
		factor,
		dishes: [...dishes].sort(),
		feeds: [...feeds].sort(),
		orders: [...orders].sort(),
		pot,
		tasks,
	};
}

/** Preparations with what uses them before what they are made of. */
function inOrder(preparations: ReadonlyMap<string, Preparation>): string[] {
	const order: string[] = [];
	const seen = new Set<string>();
	const visit = (id: string): void => {
		if (seen.has(id)) return;
		seen.add(id);
		for (const { ingredient } of preparations.get(id)?.lines ?? []) {
			if (preparations.has(ingredient)) visit(ingredient);
		}
		order.unshift(id);
	};
	for (const id of [...preparations.keys()].sort()) visit(id);
	return order;
}
