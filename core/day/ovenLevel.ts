import { sortBy } from "es-toolkit";
import { minutesToBeSure } from "../braise/index.ts";
import { type Oven, rungsIn } from "../ovens/index.ts";
import type { MinutesIn, Need } from "../tasks/index.ts";
import { MINUTE_MS, minutesBefore } from "../time/index.ts";
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
	settings: SolverSettings,
): OvenLevel {
	const { ovens } = given.kitchen.equipment;
	const minute = (at: number) => (at - from) / MINUTE_MS;
	const batches = tasks.flatMap(({ task, endBy, notBefore, left }) => {
		const ways = waysOf(task, given, left);
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
export function waysOf(task: OpenTask, given: DayGiven, left = 1): WayInOven[] {
	const need = task.needs.find((one): one is Rungs => one.kind === "rungs");
	if (!need) return [];
	const { equipment, policy } = given.kitchen;
	const pans = need.pans.flatMap(({ typeId, count }) => {
		const type = equipment.pans.find(({ id }) => id === typeId);
		return type ? [{ type, count }] : [];
	});
	return ovensFor(need, equipment.ovens).flatMap((oven) => {
		const shelves = rungsIn(oven, pans);
		if (shelves === null) return [];
		return timesIn(oven, need).map(
			({ set_C, minutes, least_min = 1, given_min }): WayInOven => ({
				minutes: Math.ceil(
					(given_min ?? Math.max(least_min, minutesToBeSure(minutes, policy.confidence))) * left,
				),
				low_C: set_C,
				high_C: set_C,
				ovens: [oven.id],
				shelves,
			}),
		);
	});
}

/** Of two that cost the same the first is taken: the oven of the card, then by what they are, never by a name. */
function ovensFor({ ovenId, stays }: Rungs, ovens: readonly Oven[]): Oven[] {
	return sortBy(
		ovens.filter(({ id }) => !stays || id === ovenId),
		[
			({ id }) => Number(id !== ovenId),
			({ kind }) => kind,
			({ rungs }) => rungs,
			({ pitch_mm }) => pitch_mm,
			({ max_C }) => max_C,
			({ min_C }) => min_C,
			({ power_w }) => power_w ?? 0,
			({ id }) => id,
		],
	);
}

/** What suits some pans in an oven, the nearest to what was asked first. */
function timesIn({ id, min_C, max_C }: Oven, { minutesAt, stays, set_C: asked_C }: Rungs): MinutesIn[] {
	const suiting = minutesAt.filter(
		({ set_C, ovens }) =>
			set_C >= min_C &&
			set_C <= max_C &&
			(ovens === undefined || ovens.includes(id)) &&
			(!stays || set_C === asked_C),
	);
	return sortBy(suiting, [({ set_C }) => Math.abs(set_C - asked_C), ({ set_C }) => set_C]);
}

/** What a way takes from a start on. */
export function takenBy({ ovens: [equipment], shelves, minutes, low_C }: WayInOven, from: number): Use {
	return { equipment, amount: shelves, from, to: minutesBefore(from, -minutes), set_C: low_C };
}
