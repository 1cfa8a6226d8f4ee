import { type Oven, rungsIn } from "../ovens/index.ts";
import type { Need } from "../tasks/index.ts";
import { minutesBefore } from "../time/index.ts";
import type { Cook, DayGiven, Use } from "./Day.ts";
import { BURNERS } from "./equipmentOf.ts";
import type { Ledger } from "./Ledger.ts";
import type { OpenTask } from "./tasksOf.ts";

/** Plates stand in the warmer so long before the first is filled. General practice, minutes. */
export const WARM_MIN = 30;

/** A task on trial at some start. */
export interface Tried {
	readonly task: OpenTask;
	readonly start: number;
	readonly end: number;
	/** When what follows it begins: what is kept is kept until then. */
	readonly until: number;
	/** What it had in hand in the day that is being worked to: the same again where it is free. */
	readonly had?: ReadonlySet<string>;
}

/**
 * What a task takes for one of its needs.
 *
 * @param orShort what is best where there is not enough
 * @returns null where there is not enough; nothing where the kitchen does not count the thing
 */
export function usesOf(
	need: Need,
	tried: Tried,
	ledger: Ledger,
	given: DayGiven,
	orShort: boolean,
): readonly Use[] | null {
	const { start: from, end: to } = tried;
	const fitting = (uses: readonly Use[]) =>
		orShort || uses.every((use) => ledger.short(use) === 0) ? uses : null;
	switch (need.kind) {
		case "cooks":
			return cooks(need.count, tried, ledger, given.cooks, orShort);
		case "burners":
			return fitting([{ equipment: BURNERS, amount: need.count, from, to }]);
		case "pot":
		case "searPan":
		case "tray":
			return fitting(
				ledger.has(need.typeId) ? [{ equipment: need.typeId, amount: need.count, from, to }] : [],
			);
		case "rungs":
			return rungs(need, tried, ledger, given, orShort);
		case "fridge":
			return standing(
				{ kind: "fridge", amount: need.litres, at: need.at },
				from,
				tried.until,
				ledger,
				orShort,
			);
		case "chiller":
			return standing({ kind: "chiller", amount: need.slots, at: need.at }, from, to, ledger, orShort);
		case "boxes":
			return standing({ kind: "box", amount: need.count }, from, to, ledger, orShort);
		case "warmer":
			return standing(
				{ kind: "warmer", amount: need.plates },
				minutesBefore(from, WARM_MIN),
				to,
				ledger,
				orShort,
			);
		case "pan":
			return [];
	}
}

/** So many people for the hands-on minutes, one use each: those who have done least so far. */
function cooks(
	count: number,
	{ task, start, had }: Tried,
	ledger: Ledger,
	known: readonly Cook[],
	orShort: boolean,
): Use[] | null {
	const handsOn_min = Math.min(task.minutes.planned, Math.ceil(task.minutes.handsOn.likely));
	if (handsOn_min === 0) return [];
	const to = minutesBefore(start, -handsOn_min);
	const hadIt = ({ equipment }: Use) => Number(had?.has(equipment) ?? false);
	const others = new Set(
		known.filter(({ does = [] }) => does.length > 0 && !does.includes(task.place)).map(({ id }) => id),
	);
	const free = ledger
		.of("cook")
		.filter(({ id }) => !others.has(id))
		.map(({ id, windows }) => ({
			use: { equipment: id, amount: 1, from: start, to },
			done: doneBy(ledger, id),
			leaves: windows.find(([opens, closes]) => opens <= start && to <= closes)?.[1] ?? to,
		}))
		.filter(({ use }) => ledger.short(use) === 0)
		.sort(
			(a, b) =>
				hadIt(b.use) - hadIt(a.use) ||
				a.done - b.done ||
				a.leaves - b.leaves ||
				a.use.equipment.localeCompare(b.use.equipment),
		)
		.map(({ use }) => use);
	return free.length >= count || orShort ? free.slice(0, count) : null;
}

function doneBy(ledger: Ledger, cook: string): number {
	return ledger.ownUsesOf(cook).reduce((sum, { from, to }) => sum + to - from, 0);
}

/** Trays and what else stands in an oven for a while with somebody at it: any that is hot enough and has room. */
function rungs(
	{ pans, temperature_C, set_C, stays, ovenId }: Extract<Need, { kind: "rungs" }>,
	{ start: from, end: to, had }: Tried,
	ledger: Ledger,
	{ kitchen: { equipment } }: DayGiven,
	orShort: boolean,
): Use[] | null {
	const types = [...equipment.trays, ...equipment.pans];
	const inside = pans.flatMap(({ typeId, count }) => {
		const type = types.find(({ id }) => id === typeId);
		return type ? [{ type, count }] : [];
	});
	const reaching = equipment.ovens.filter(
		({ id, max_C }) => max_C >= temperature_C.low && (!stays || id === ovenId),
	);
	const uses = reaching.flatMap((oven: Oven): Use[] => {
		const amount = rungsIn(oven, inside);
		const hot_C = Math.min(Math.max(set_C, oven.min_C), oven.max_C);
		return amount === null ? [] : [{ equipment: oven.id, amount, from, to, set_C: hot_C }];
	});
	const allFree = uses.filter((use) => ledger.short(use) === 0);
	const free = allFree.find(({ equipment: id }) => had?.has(id)) ?? allFree[0];
	if (free) return [free];
	return orShort ? [] : null;
}

interface RoomNeeded {
	readonly kind: "fridge" | "chiller" | "warmer" | "box";
	readonly amount: number;
	/** In that one alone. */
	readonly at?: string | undefined;
}

/** Room in the chillers, fridges, warmers or boxes, one after the other; what is over is put into the first. */
function standing(
	{ kind, amount, at }: RoomNeeded,
	from: number,
	to: number,
	ledger: Ledger,
	orShort: boolean,
): Use[] | null {
	const uses: Use[] = [];
	const rooms = ledger.of(kind).filter(({ id }) => at === undefined || id === at);
	const [first] = rooms;
	let left = amount;
	for (const { id, capacity } of rooms) {
		if (left <= 0) break;
		const all = { equipment: id, amount: Math.min(left, capacity), from, to };
		const room = all.amount - ledger.short(all);
		if (room <= 0) continue;
		uses.push({ ...all, amount: room });
		left -= room;
	}
	if (left <= 1e-9 || !first) return uses;
	if (!orShort) return null;
	const others = uses.filter(({ equipment }) => equipment !== first.id);
	const there = uses.find(({ equipment }) => equipment === first.id)?.amount ?? 0;
	return [...others, { equipment: first.id, amount: there + left, from, to }];
}
