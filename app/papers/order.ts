import { uniqBy } from "es-toolkit";
import { data } from "react-router";
import { shownMark, type WorkedBatch, type WorkedDish } from "#core/day";
import { type ByProductUses, type GoingInto, goingInto, type OrderRow, orderList, startAt } from "#core/dish";
import type { KnownIngredients } from "#core/kitchen";
import { SUPPLIERS, type Supplier } from "#core/recipe";
import { keepsBy } from "#core/records";
import { DAY_MS } from "#core/time";
import { type Database, readKitchen, readSitting, readSittings, type Sitting } from "#db";
import { afterNumber, type UnderNumber, withoutFigures } from "../ui/server/underNumber.server.ts";
import { foundOr404, type HouseVisit } from "../ui/server/visit.ts";
import { type WorkedSitting, workedSitting } from "../ui/server/worked.server.ts";
import type { Reading } from "../ui/words/reading.ts";

/** What has to be bought for a sitting, by supplier. */
export interface Order {
	readonly sitting: Sitting;
	/** Sittings that are ordered for with it, and all that could be. */
	readonly together: readonly Sitting[];
	readonly others: readonly Sitting[];
	/** What it was made from, beside when it was printed: ", mark 7KX2M9QP". */
	readonly stamp: string;
	/** What is another than in the number that it names; empty where nothing is. */
	readonly since: string;
	/** Of all that is ordered for. */
	readonly covers: number;
	/** What the butcher cuts, dish by dish. */
	readonly cuts: readonly { readonly plan: WorkedDish; readonly uses: ByProductUses }[];
	/** Trim and bones of the day, by what is made with them. */
	readonly left: readonly {
		readonly name: string;
		readonly from: GoingInto["from"];
		/** Whether all of it is there when that is put on. */
		readonly inTime: boolean;
	}[];
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
	/** Every dish that is ordered for, as they stand on their sittings. */
	readonly names: readonly string[];
	/** Dishes without a plan: nothing of them is ordered. */
	readonly without: readonly string[];
	/** When the first of it has to be ordered. */
	readonly orderBy: number | null;
}

/**
 * Everything a sitting needs, or several that are delivered together, rounded up to packs, by supplier.
 * What is in the house, and trim and bones of the day that go into a stock, are not ordered again.
 *
 * @param together further sittings, by id; those that are gone are left out
 * @param under    the number that it is ordered by; the sittings as they stand where there is none
 */
export async function orderFor(
	{ store, house, reading }: HouseVisit,
	sittingId: string,
	together: readonly string[] = [],
	under: UnderNumber | null = null,
): Promise<Order> {
	const { sitting, others, all, planned, stamp, since } = await orderedFor(store.db, sittingId, {
		...{ together, under, reading },
	});
	const rows = planned.flatMap((each) => each.rows);
	const { policy } = planned[0]?.kitchen ?? (await readKitchen(store.db, []));
	const { byId, preparations } = knownOfAll(planned.map(({ kitchen: { known } }) => known));
	const dishes = rows.flatMap(({ dish, plan }) =>
		plan ? [{ name: dish.recipe.name, recipe: dish.recipe, plan, uses: dish.byProducts }] : [],
	);
	const rule = {
		timeZone: policy.timeZone,
		keeps_days: keepsBy(house, policy.code.life).chilled_days,
	};
	const into = goingInto(dishes, rule);
	// What is there only after the stock is on goes into the next one.
	const inTime = [...into].filter(([id, { at }]) => at <= startOfBatch(id, planned));
	const list = orderList(dishes, preparations, byId, {
		inHouse_g: added(all.map(({ inHouse_g }) => inHouse_g)),
		byProducts: new Map(inTime.map(([id, { kg }]) => [id, kg])),
	});
	const starts = dishes.map(({ plan }) => startAt(plan, "buy"));
	return {
		sitting,
		together: all.slice(1),
		others,
		stamp,
		since,
		covers: all.reduce((sum, { covers }) => sum + covers, 0),
		cuts: dishes.map(({ plan, uses }) => ({ plan, uses })),
		left: [...into].map(([id, { from }]) => ({
			name: preparations.get(id)?.name ?? id,
			from,
			inTime: inTime.some(([timely]) => timely === id),
		})),
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
		names: rows.map(({ dish }) => dish.recipe.name),
		without: rows.filter(({ plan }) => !plan).map(({ dish }) => dish.recipe.name),
		orderBy: starts.length > 0 ? Math.min(...starts) : null,
	};
}

interface OrderedFor extends Pick<Order, "sitting" | "others" | "stamp" | "since"> {
	/** All that is ordered for, the sitting first. */
	readonly all: readonly Sitting[];
	/** Those that have plans. */
	readonly planned: readonly WorkedSitting[];
}

async function orderedFor(
	db: Database,
	sittingId: string,
	asked: {
		readonly together: readonly string[];
		readonly under: UnderNumber | null;
		readonly reading: Reading;
	},
): Promise<OrderedFor> {
	const { together, under, reading } = asked;
	const isWith = ({ id }: Sitting) => together.includes(id);
	if (under) {
		if (!under.figures) throw data({ said: withoutFigures(under.issue) }, { status: 404 });
		const { sittings } = under.figures;
		const own = sittings.find(({ sitting: { id } }) => id === sittingId);
		if (!own) throw data({ missing: `sitting in No. ${under.issue.number}` }, { status: 404 });
		const others = sittings.filter((one) => one !== own);
		const planned = [own, ...others.filter((one) => isWith(one.sitting))];
		return {
			sitting: own.sitting,
			others: others.map(({ sitting }) => sitting),
			all: planned.map(({ sitting }) => sitting),
			planned,
			stamp: `, of day No. ${under.issue.number}, as it was issued`,
			since: under.since,
		};
	}
	const sitting = await foundOr404(readSitting(db, sittingId), "sitting");
	const others = await orderedWith(db, sitting);
	const all = [sitting, ...others.filter(isWith)];
	const worked = await Promise.all(all.map((each) => workedSitting(db, each)));
	const planned = worked.flatMap((each) => each ?? []);
	const dates = uniqBy(
		planned.map(({ on }) => on),
		({ date }) => date,
	);
	const marks = dates.map(({ mark }) => shownMark(mark)).join(", ");
	return {
		...{ sitting, others, all, planned },
		stamp: marks === "" ? "" : `, mark ${marks}`,
		since: dates
			.map((on) => afterNumber(on, reading))
			.filter(Boolean)
			.join(" "),
	};
}

/** When the first batch of something made in the house is put on; never where none is made. */
function startOfBatch(
	id: string,
	planned: readonly { readonly batches: readonly Pick<WorkedBatch, "id" | "tasks">[] }[],
): number {
	const starts = planned.flatMap(({ batches }) =>
		batches.filter((batch) => batch.id === id).flatMap(({ tasks }) => tasks.map(({ start }) => start)),
	);
	return starts.length > 0 ? Math.min(...starts) : Number.NEGATIVE_INFINITY;
}

/** Sittings within so many days of each other may come in one delivery. */
const TOGETHER_DAYS = 4;

/** Other sittings near enough to come in the same delivery, the soonest first. */
async function orderedWith(db: Database, { id, serviceAt }: Sitting): Promise<Sitting[]> {
	const near = await readSittings(db, serviceAt - TOGETHER_DAYS * DAY_MS, serviceAt + TOGETHER_DAYS * DAY_MS);
	return near.filter((other) => other.id !== id && !other.calledOff && other.dishes.length > 0);
}

function knownOfAll(all: readonly KnownIngredients[]): KnownIngredients {
	return {
		byId: new Map(all.flatMap(({ byId }) => [...byId])),
		preparations: new Map(all.flatMap(({ preparations }) => [...preparations])),
	};
}

function added(all: readonly Readonly<Record<string, number>>[]): Record<string, number> {
	const sums: Record<string, number> = {};
	for (const [id, grams] of all.flatMap((each) => Object.entries(each))) sums[id] = (sums[id] ?? 0) + grams;
	return sums;
}

/** What some rows cost together, minor units, and how many of them have no price. */
export function costOf(rows: readonly OrderRow[]): Order["cost"] {
	return {
		known_minor: rows.reduce((sum, { cost_minor }) => sum + (cost_minor ?? 0), 0),
		gaps: rows.filter(({ cost_minor }) => cost_minor === null).length,
	};
}
