import { type OrderRow, orderList, startAt } from "#core/plan";
import { SUPPLIERS, type Supplier } from "#core/recipe";
import { readSitting, type Sitting } from "#db";
import { plannedInDay } from "../ui/server/placedDay.server.ts";
import { foundOr404, type HouseVisit } from "../ui/server/visit.ts";

/** What has to be bought for a sitting, by supplier. */
export interface Order {
	readonly sitting: Sitting;
	readonly groups: readonly {
		readonly supplier: Supplier;
		readonly name: string;
		readonly rows: readonly OrderRow[];
	}[];
	/** What is taken from the store and not ordered. */
	readonly store: readonly OrderRow[];
	/** What was weighed on hand, and is enough. */
	readonly here: readonly OrderRow[];
	/** All that is ordered and taken from the store, minor units, and how many rows have no price. */
	readonly cost: { readonly known_minor: number; readonly gaps: number };
	/** Dishes without a plan: nothing of them is ordered. */
	readonly without: readonly string[];
	/** When the first of it has to be ordered. */
	readonly orderBy: number | null;
}

/** Everything a sitting needs, all dishes together, rounded up to packs, by supplier. */
export async function orderFor({ store }: HouseVisit, sittingId: string): Promise<Order> {
	const sitting = await foundOr404(readSitting(store.db, sittingId), "sitting");
	const { rows, kitchen } = await plannedInDay(store.db, sitting);
	const dishes = rows.flatMap(({ dish, plan }) =>
		plan ? [{ name: dish.recipe.name, recipe: dish.recipe, plan }] : [],
	);
	const list = orderList(dishes, kitchen.known.preparations, kitchen.known.byId);
	const starts = dishes.map(({ plan }) => startAt(plan, "buy"));
	return {
		sitting,
		groups: (Object.keys(SUPPLIERS) as Supplier[])
			.map((supplier) => ({
				supplier,
				name: SUPPLIERS[supplier],
				rows: list.filter(({ ingredient, from }) => ingredient.supplier === supplier && from === "order"),
			}))
			.filter(({ rows: ofSupplier }) => ofSupplier.length > 0),
		store: list.filter(({ from }) => from === "store"),
		here: list.filter(({ from }) => from === "here"),
		cost: costOf(list),
		without: rows.filter(({ plan }) => !plan).map(({ dish }) => dish.recipe.name),
		orderBy: starts.length > 0 ? Math.min(...starts) : null,
	};
}

/** What some rows cost together, minor units, and how many of them have no price. */
export function costOf(rows: readonly OrderRow[]): Order["cost"] {
	return {
		known_minor: rows.reduce((sum, { cost_minor }) => sum + (cost_minor ?? 0), 0),
		gaps: rows.filter(({ cost_minor }) => cost_minor === null).length,
	};
}
