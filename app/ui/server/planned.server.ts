import { changesOf, type DayChange, withBorrowed } from "#core/day";
import type { Kitchen } from "#core/kitchen";
import { choosePansWith } from "#core/pans";
import { type Plan, type PreparedBatch, planSitting } from "#core/plan";
import type { HouseCode } from "#core/safety";
import { cookedRecipe, heatedAt, orderOf } from "#core/sitting";
import { wallClock } from "#core/time";
import {
	codeIn,
	type Database,
	type DishWithRecipe,
	readDayChanges,
	readHouseCodes,
	readKitchen,
	type Sitting,
	withRecipes,
} from "#db";
import { integerSolver } from "#server/integerSolver";

/** Pans for a whole sitting, to the proven least. */
export const choosePansTogether = choosePansWith(integerSolver);

export interface PlannedDishRow {
	readonly dish: DishWithRecipe;
	/** Absent when it cannot be planned; then `refused` says why. */
	readonly plan?: Plan;
	readonly refused?: string;
}

/** A sitting planned: its dishes in order, and what is made in the house for them. */
export interface PlannedSittingRows {
	readonly rows: readonly PlannedDishRow[];
	readonly batches: readonly PreparedBatch[];
}

/** Sittings planned, and the kitchen with what their dishes are made of. */
export interface PlannedSittings {
	readonly kitchen: Kitchen;
	readonly planned: readonly ({ readonly sitting: Sitting } & PlannedSittingRows)[];
}

/**
 * Stored sittings with their recipes, each planned for itself, with the pans that are lent for its day.
 *
 * @param changes what is told of their days; read where it is not given
 */
export async function plannedSittings(
	db: Database,
	sittings: readonly Sitting[],
	changes?: readonly DayChange[],
): Promise<PlannedSittings> {
	const dishes = await withRecipes(
		db,
		sittings.flatMap((sitting) => sitting.dishes),
	);
	const kitchen = await readKitchen(
		db,
		dishes.map(({ recipe }) => recipe),
	);
	const byId = new Map(dishes.map((dish) => [dish.id, dish]));
	const codes = await readHouseCodes(db);
	const told = changes === undefined ? await toldOf(db, sittings, kitchen.policy.timeZone) : null;
	const planned = sittings.map((sitting) => {
		const facts = changes ?? told?.(sitting.serviceAt) ?? [];
		const own = sitting.dishes.flatMap(({ id }) => heatedOn(byId.get(id), facts));
		const lent = withBorrowed(inCodeOf(kitchen, sitting, codes), facts);
		return { sitting, ...planDishes(own, sitting, lent) };
	});
	return { kitchen, planned };
}

/** The kitchen as a sitting works in it: to its own house code, where it has one. */
export function inCodeOf(
	kitchen: Kitchen,
	{ houseCode }: Pick<Sitting, "houseCode">,
	codes: ReadonlyMap<string, HouseCode>,
): Kitchen {
	if (houseCode === null) return kitchen;
	return { ...kitchen, policy: { ...kitchen.policy, code: codeIn(codes, houseCode) } };
}

/** A dish at the temperature that is told of its day. */
function heatedOn(dish: DishWithRecipe | undefined, facts: readonly DayChange[]): DishWithRecipe[] {
	if (!dish) return [];
	const heat = changesOf(facts, "heat").find((change) => change.for === dish.id);
	return [heat ? { ...dish, recipe: heatedAt(dish.recipe, heat.set_C) } : dish];
}

/** What is told of the days of some sittings, by the moment of service. */
async function toldOf(
	db: Database,
	sittings: readonly Sitting[],
	timeZone: string,
): Promise<(serviceAt: number) => readonly DayChange[]> {
	const dateOf = (at: number) => wallClock(at, timeZone).date;
	const dates = sittings.map(({ serviceAt }) => dateOf(serviceAt)).sort();
	const [from, to] = [dates[0], dates.at(-1)];
	if (from === undefined || to === undefined) return () => [];
	const told = await readDayChanges(db, from, to);
	return (at) => told.filter(({ date }) => date === dateOf(at)).map(({ change }) => change);
}

/** One stored sitting with its recipes, planned. */
export async function plannedSitting(
	db: Database,
	sitting: Sitting,
): Promise<PlannedSittingRows & { readonly kitchen: Kitchen }> {
	const { kitchen, planned } = await plannedSittings(db, [sitting]);
	const told = await toldOf(db, [sitting], kitchen.policy.timeZone);
	const own = inCodeOf(kitchen, sitting, await readHouseCodes(db));
	return { kitchen: withBorrowed(own, told(sitting.serviceAt)), ...(planned[0] as PlannedSittingRows) };
}

/** The same from dishes that are read already, or changed on trial. */
export function planDishes(
	dishes: readonly DishWithRecipe[],
	sitting: Pick<Sitting, "serviceAt" | "covers" | "hands"> & Partial<Pick<Sitting, "carry">>,
	kitchen: Kitchen,
): PlannedSittingRows {
	const planned = planSitting(
		dishes.map((dish) => ({ recipe: cookedRecipe(dish), order: orderOf(sitting, dish) })),
		kitchen,
		choosePansTogether,
	);
	const rows = dishes.map((given, index) => {
		const dish = { ...given, recipe: cookedRecipe(given) };
		const result = planned.dishes[index];
		if (result && "plan" in result) return { dish, plan: result.plan };
		return { dish, refused: result?.refused ?? "" };
	});
	return { rows, batches: planned.batches };
}
