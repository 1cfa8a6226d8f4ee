import type { Beliefs } from "../beliefs/index.ts";
import { minutesToBeSure } from "../braise/index.ts";
import { type Oven, rungsIn } from "../ovens/index.ts";
import { type BraiseGroup, minutesAtEach } from "../plan/index.ts";
import type { Need } from "../tasks/index.ts";
import { minutesBefore } from "../time/index.ts";
import type { DayGiven, Use } from "./Day.ts";
import {
	type OvenDay,
	type OvenHeld,
	type OvenPlan,
	type OvenWay,
	type SolverSettings,
	solveOvens,
} from "./ovenDay/index.ts";
import type { OpenTask } from "./tasksOf.ts";

type Rungs = Extract<Need, { kind: "rungs" }>;

/** A task that only waits in an oven: which one, when and how hot is chosen together with others. */
export interface OvenTask {
	readonly task: OpenTask;
	readonly endBy: number;
	/** The earliest that it can go in. */
	readonly notBefore: number;
	/** Share of its time that is still to come: less than 1 where it has been in an oven already. */
	readonly left: number;
}

/** Whether a task waits in the oven with nobody at it. */
export function isOvenTask({ needs }: OpenTask): boolean {
	return needs.some(({ kind }) => kind === "rungs") && needs.every(({ kind }) => kind !== "cooks");
}

/** What was chosen for some of them; one that no oven takes is left out. */
export interface OvenLevel extends Pick<OvenPlan, "late_min" | "wait_shelf_min" | "bound_wait_shelf_min"> {
	readonly stand: ReadonlyMap<string, Use>;
}

/**
 * Chooses oven, start and temperature of some tasks together, beside what stands in the ovens.
 *
 * @param from the instant from which minutes are counted
 * @param held what stands in the ovens and stays
 */
export function solveLevel(
	tasks: readonly OvenTask[],
	held: readonly Use[],
	from: number,
	given: DayGiven,
	beliefs: Beliefs,
	settings: SolverSettings,
): OvenLevel {
	const { ovens } = given.kitchen.equipment;
	const minute = (at: number) => (at - from) / MINUTE_MS;
	const batches = tasks.flatMap(({ task, endBy, notBefore, left }) => {
		const ways = waysOf(task, given, beliefs, left);
		if (ways.length === 0) return [];
		const notBefore_min = Math.max(0, minute(notBefore));
		return [{ id: task.id, shelves: 1, ways, readyBy_min: minute(endBy), notBefore_min }];
	});
	const day: OvenDay = {
		step_min: STEP_MIN,
		ovens: ovens.map(({ id, rungs, min_C, max_C }) => ({ id, shelves: rungs, min_C, max_C })),
		batches,
		held: held.map(
			({ equipment, amount, from: starts, to, set_C = 0 }): OvenHeld => ({
				oven: equipment,
				shelves: amount,
				from_min: minute(starts),
				to_min: minute(to),
				set_C,
			}),
		),
	};
	const plan = solveOvens(day, settings);
	const stand = plan.assignments.map(({ id, oven, start_min, minutes, shelves, set_C }): [string, Use] => {
		const starts = from + start_min * MINUTE_MS;
		return [id, { equipment: oven, amount: shelves, from: starts, to: starts + minutes * MINUTE_MS, set_C }];
	});
	const { late_min, wait_shelf_min, bound_wait_shelf_min } = plan;
	return { stand: new Map(stand), late_min, wait_shelf_min, bound_wait_shelf_min };
}

const MINUTE_MS = 60_000;
const STEP_MIN = 5;

/** A way in one oven at one temperature. */
export interface WayInOven extends OvenWay {
	readonly ovens: readonly [string];
	readonly shelves: number;
}

/**
 * By oven and temperature: how long the pans take there, and how many rungs they stand on.
 *
 * @param left share of the time that is still to come
 */
export function waysOf(task: OpenTask, given: DayGiven, beliefs: Beliefs, left = 1): WayInOven[] {
	const need = task.needs.find((one): one is Rungs => one.kind === "rungs");
	if (!need) return [];
	const { equipment, policy } = given.kitchen;
	const pans = need.pans.flatMap(({ typeId, count }) => {
		const type = equipment.pans.find(({ id }) => id === typeId);
		return type ? [{ type, count }] : [];
	});
	const group = task.plan?.braise?.groups.find(({ id }) => id === task.figures.group);
	// Of two that cost the same, the first is taken: the oven and the temperature of the card.
	const ovens = [...equipment.ovens].sort(
		(a, b) => Number(b.id === need.ovenId) - Number(a.id === need.ovenId) || a.id.localeCompare(b.id),
	);
	return ovens.flatMap((oven) => {
		const shelves = rungsIn(oven, pans);
		if (shelves === null) return [];
		const times = timesIn(oven, need, task, group, beliefs).toSorted(
			(a, b) => Math.abs(a.set_C - need.set_C) - Math.abs(b.set_C - need.set_C),
		);
		return times.map(
			({ set_C, minutes }): WayInOven => ({
				minutes: Math.max(1, Math.ceil(minutesToBeSure(minutes, policy.confidence) * left)),
				low_C: set_C,
				high_C: set_C,
				ovens: [oven.id],
				shelves,
			}),
		);
	});
}

/** A braise takes its own time in each kind of oven; what is only made hot takes what its card says. */
function timesIn(
	oven: Oven,
	need: Rungs,
	{ plan }: OpenTask,
	group: BraiseGroup | undefined,
	beliefs: Beliefs,
): Rungs["minutesAt"] {
	if (plan && group) return minutesAtEach(group, plan.recipe, beliefs, oven);
	return need.minutesAt.filter(({ set_C }) => set_C >= oven.min_C && set_C <= oven.max_C);
}

/** What a way takes from a start on. */
export function takenBy({ ovens: [equipment], shelves, minutes, low_C }: WayInOven, from: number): Use {
	return { equipment, amount: shelves, from, to: minutesBefore(from, -minutes), set_C: low_C };
}
