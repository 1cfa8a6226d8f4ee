import { groupBy, sumBy } from "es-toolkit";
import { isMadeAhead } from "../dish/index.ts";
import type { HousePolicy } from "../kitchen/index.ts";
import { onDay } from "../time/index.ts";
import type { DayEquipment, DayTask } from "./Day.ts";
import type { WorkedDay, WorkedDish } from "./WorkedDay.ts";

/** Where so much of a dish stands from one moment to another, and how warm it is. */
export interface FoodPlace {
	/** The dish. */
	readonly for: string;
	readonly kg: number;
	/** Id of a thing of the kitchen, its bench or its plates. */
	readonly at: string;
	readonly C: number;
	readonly from: number;
	readonly to: number;
}

/** What nobody counts, and food stands on all the same. */
export const BENCH = "bench";
export const PLATES = "plates";

/** Raw on the bench, coloured, under a lid after the oven, on the plate, °C. General practice. */
const BENCH_C = 12;
const COLOURED_C = 35;
const UNDER_LID_C = 80;
const ON_PLATE_C = 65;
/** A pan at the simmer, °C: no hotter, whatever its oven is set to. */
const SIMMERS_C = 97;

/** Somewhere that a part of a dish goes to, and where it waits after it. */
interface Step {
	readonly kg: number;
	readonly from: number;
	readonly to: number;
	readonly C: number;
	/** By share of it. */
	readonly at: readonly { readonly id: string; readonly share: number }[];
	readonly waits: { readonly id: string; readonly C: number };
}

/**
 * Where each kilo of every dish stands from the delivery to the plate, without a gap: what no task
 * holds waits on the bench or in the cold.
 *
 * @see model, section N
 */
export function foodOf(
	day: WorkedDay,
	policy: Pick<HousePolicy, "timeZone" | "hours" | "code">,
): FoodPlace[] {
	const kinds = new Map(day.equipment.map((thing) => [thing.id, thing.kind]));
	const fridge = day.equipment.find(({ kind }) => kind === "fridge")?.id ?? BENCH;
	const tasksFor = groupBy(day.tasks, (task) => task.for);
	return [...day.dishes].flatMap(([id, dish]) => {
		const tasks = tasksFor[id];
		if (!tasks) return [];
		return Array.from({ length: dish.pans.goes }, (_, index) =>
			placesOf({ id, dish, tasks, go: index + 1, kinds, fridge, policy }),
		).flat();
	});
}

interface OfGo {
	readonly id: string;
	readonly dish: WorkedDish;
	readonly tasks: readonly DayTask[];
	readonly go: number;
	readonly kinds: ReadonlyMap<string, DayEquipment["kind"]>;
	readonly fridge: string;
	readonly policy: Pick<HousePolicy, "timeZone" | "hours" | "code">;
}

function placesOf(of: OfGo): FoodPlace[] {
	const { dish, tasks, go } = of;
	const inGo = dish.pans.pans.filter((pan) => pan.go === go);
	const pieces = sumBy(inGo, (pan) => pan.pieces);
	const share = dish.pieces === 0 || dish.pans.pans.length === 0 ? 1 : pieces / dish.pieces;
	const ofGo = tasks.filter(({ figures }) => figures.go === undefined || figures.go === go);
	const groups = dish.braise?.groups.filter((group) => group.go === go) ?? [];
	// Pans that are in the heat apart go their own ways until they are lifted.
	const ways = groups.length > 0 ? groups.map((group) => group.id) : [undefined];
	return ways.flatMap((group) => {
		const own = groups.find((one) => one.id === group);
		const part = own && pieces > 0 ? sumBy(own.pans, (pan) => pan.pieces) / pieces : 1;
		return joined(of, stepsOf(of, ofGo, share * part, group));
	});
}

function stepsOf(of: OfGo, tasks: readonly DayTask[], share: number, group: string | undefined): Step[] {
	const { dish, fridge, policy, kinds } = of;
	const { chain } = dish;
	const cold = { id: fridge, C: policy.code.keepCold_C };
	const bench = (C: number) => ({ id: BENCH, C });
	const raw = chain.trimmed_kg * share;
	const cooked = chain.cooked_kg * share;
	const step = (task: DayTask | undefined, rest: Omit<Step, "from" | "to">): Step[] =>
		task ? [{ ...rest, from: task.start, to: task.end }] : [];
	const part = (name: DayTask["part"]) => tasks.find((task) => task.part === name);
	const work = (place: DayTask["place"]) =>
		tasks.find((task) => task.place === place && task.part === "work");
	const onBench = [{ id: BENCH, share: 1 }];
	const standing = (task: DayTask | undefined, ...of: readonly DayEquipment["kind"][]) => {
		const uses = (task?.uses ?? []).filter(({ equipment }) => of.includes(kinds.get(equipment) ?? "cook"));
		const all = sumBy(uses, ({ amount }) => amount);
		return all > 0 ? uses.map(({ equipment, amount }) => ({ id: equipment, share: amount / all })) : onBench;
	};
	const marinate = part("marinade");
	const sear = part("colour");
	const panUp = work("panUp");
	const braise = tasks.find((task) => task.part === "oven" && (!group || task.figures.group === group));
	const reheat = part("reheat");
	const isCold = dish.carry !== null && !dish.carry.choice.hot;
	const hot = isMadeAhead(dish.recipe) && reheat === undefined ? cold : bench(UNDER_LID_C);
	return [
		...step(work("trim"), { kg: chain.asPurchased_kg * share, C: BENCH_C, at: onBench, waits: cold }),
		...step(marinate, { kg: raw, C: cold.C, at: standing(marinate, "fridge"), waits: cold }),
		...step(sear, { kg: raw, C: COLOURED_C, at: onBench, waits: bench(COLOURED_C) }),
		...step(panUp, { kg: raw, C: COLOURED_C, at: onBench, waits: bench(COLOURED_C) }),
		...step(braise, {
			kg: raw,
			C: Math.min(SIMMERS_C, braise?.uses.findLast(({ set_C }) => set_C !== undefined)?.set_C ?? SIMMERS_C),
			at: standing(braise, "oven", "pot"),
			waits: bench(UNDER_LID_C),
		}),
		...step(part("rest"), { kg: cooked, C: UNDER_LID_C, at: onBench, waits: bench(UNDER_LID_C) }),
		...step(part("chill"), {
			kg: cooked,
			C: cold.C,
			at: standing(part("chill"), "chiller", "fridge"),
			waits: cold,
		}),
		...step(part("keep"), { kg: cooked, C: cold.C, at: standing(part("keep"), "fridge"), waits: cold }),
		...step(reheat, {
			kg: cooked,
			C: policy.code.reheat.core_C,
			at: standing(reheat, "oven", "pot"),
			waits: bench(UNDER_LID_C),
		}),
		...step(part("hold"), { kg: cooked, C: UNDER_LID_C, at: onBench, waits: hot }),
		...step(part("carry"), {
			kg: cooked,
			C: isCold ? cold.C : UNDER_LID_C,
			at: standing(part("carry"), "box"),
			waits: isCold ? cold : bench(UNDER_LID_C),
		}),
		...step(work("plate"), {
			kg: cooked,
			C: isCold ? cold.C : ON_PLATE_C,
			at: [{ id: PLATES, share: 1 }],
			waits: { id: PLATES, C: ON_PLATE_C },
		}),
	];
}

/** Steps one after the other, with where it waits between them; from the delivery to the last plate. */
function joined({ id, dish, policy, fridge, tasks }: OfGo, steps: readonly Step[]): FoodPlace[] {
	const order = tasks.find(({ part }) => part === "order");
	const sorted = [...steps].sort((a, b) => a.from - b.from);
	const [first] = sorted;
	if (!first) return [];
	const arrives = order
		? onDay(order.start, policy.timeZone, policy.hours.opens_min, dish.recipe.orderLead_days)
		: first.from;
	const places: FoodPlace[] = [];
	let at = Math.min(arrives, first.from);
	let waits: Step["waits"] = { id: fridge, C: policy.code.keepCold_C };
	for (const step of sorted) {
		if (step.from > at) {
			places.push({ for: id, kg: step.kg, at: waits.id, C: waits.C, from: at, to: step.from });
		}
		const from = Math.max(at, step.from);
		const to = Math.max(from, step.to);
		if (to > from) {
			for (const { id: thing, share } of step.at)
				places.push({ for: id, kg: step.kg * share, at: thing, C: step.C, from, to });
		}
		at = Math.max(at, step.from, to);
		waits = step.waits;
	}
	const served = dish.order.serviceAt;
	if (served > at) {
		const kg = sorted.at(-1)?.kg ?? 0;
		places.push({ for: id, kg, at: waits.id, C: waits.C, from: at, to: served });
	}
	return places;
}
