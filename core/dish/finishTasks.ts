import { groupBy } from "es-toolkit";
import { isInOven } from "../recipe/index.ts";
import { exactly, type Need, type Task, taskMinutes } from "../tasks/index.ts";
import { minutesBefore } from "../time/index.ts";
import { countByType } from "./countByType.ts";
import { burnersFor, EMPTIED_AND_WASHED_MIN, type GoTasks, heatedVessels } from "./goTasks.ts";
import { isMadeAhead } from "./planLiquid.ts";
import { reheatingOf } from "./standing.ts";
import { after, cooks, type Namer, named, waits } from "./taskNamer.ts";
import type { WorkedOut } from "./WorkedOut.ts";

/** What comes after the lifts: on the day, or over the night when it is made ahead. */
interface Resting {
	readonly tasks: readonly Task[];
	/** What the plate waits for, the last filling's first. */
	readonly ready: readonly [Task, ...Task[]];
	/** After what there is liquid for the sauce. */
	readonly liquid: Task;
}

/** From the lift to the plate: rest and sauce, or over the night when it is made ahead. */
export function finishTasks(out: WorkedOut, goes: readonly GoTasks[]): Task[] {
	const { recipe, order, work, sauce_l, serving } = out;
	const made = named(order.id);
	const { tasks, ready, liquid } = isMadeAhead(recipe) ? aheadTasks(out, goes) : restTasks(out, goes);
	const sauce =
		sauce_l > 0
			? [
					made("sauce", "work", {
						minutes: {
							handsOn: exactly(work.places.sauce.handsOn_min / order.hands),
							waiting: exactly(work.sauce_min - work.places.sauce.handsOn_min / order.hands),
							planned: work.sauce_min,
						},
						after: [after(liquid.id)],
						needs: [...cooks(1), ...saucePots(out)],
					}),
				]
			: [];
	const served = lastPlateAt(order.serviceAt, work.places.plate.wall_min);
	const before = [...ready, ...sauce];
	const isBoxed = recipe.servedIn === "boxes";
	// Pans are carried and plated there; portions in boxes of their own are filled first.
	const carried = carryTasks(out, made, isBoxed ? [made.id("plate")] : before.map(({ id }) => id));
	const plate = made("plate", "work", {
		minutes: taskMinutes(work.places.plate, order.hands),
		after: [
			...before.map(({ id, part }) => after(id, part === "reheat" ? { most_min: WAITS_HOT_MIN } : {})),
			...(isBoxed ? [] : carried.slice(-1).map(({ id }) => after(id))),
		],
		needs: [
			...cooks(order.hands),
			...(serving.plates > 0 ? [{ kind: "warmer" as const, plates: serving.plates }] : []),
		],
		window: isBoxed && carried.length > 0 ? {} : { to: served },
	});
	return [...tasks, ...sauce, ...holdTasks(out, made, ready[0], served), ...carried, plate];
}

/** One cook packs a box in so many minutes: filled, closed, its temperature written down. General practice. */
const PACKS_MIN = 4;

/** Packed into insulated boxes and carried elsewhere. */
function carryTasks(
	{ carry, order }: Pick<WorkedOut, "carry" | "order">,
	made: Namer,
	follows: readonly string[],
): Task[] {
	if (!carry) return [];
	const { boxes, choice } = carry;
	const boxed: Need = { kind: "boxes", count: boxes };
	const pack = made("carry", "pack", {
		idPart: "pack",
		figures: { boxes },
		minutes: taskMinutes({ handsOn_min: boxes * PACKS_MIN, waiting_min: 0, wall_min: boxes * PACKS_MIN }, 1),
		after: follows.map((id) => after(id)),
		needs: [...cooks(1), boxed],
	});
	const carried = made("carry", "carry", {
		idPart: "carry",
		figures: { boxes },
		minutes: waits(choice.minutes),
		after: [after(pack.id)],
		needs: [boxed],
		window: { to: order.serviceAt },
	});
	return [pack, carried];
}

/** Plates stand ready so long before service at the most, minutes: later ones are filled while it goes out. General practice. */
export const PLATED_BEFORE_MIN = 20;

/** When the last plate is filled: by service, or after it where there are too many to be kept hot. */
export function lastPlateAt(serviceAt: number, plating_min: number): number {
	return minutesBefore(serviceAt, -Math.max(0, plating_min - PLATED_BEFORE_MIN));
}

/** Meat that is plated long after its lift is held in its liquid, covered and hot, until it is wanted. */
function holdTasks({ hold_min, pans }: WorkedOut, made: Namer, last: Task, to: number): Task[] {
	if (hold_min === 0) return [];
	const litres = pans.pans.reduce((sum, { contents_kg }) => sum + contents_kg, 0);
	return [
		made("hold", "hold", {
			idPart: "hold",
			figures: { litres },
			minutes: waits(hold_min),
			after: [after(last.id)],
			window: { to },
		}),
	];
}

/** What is tender stands under its lid no longer than this before it is rested and plated, by plan, minutes. General practice. */
export const WAITS_HOT_MIN = 120;
/** What is turned out of its pans is held hot no longer than this, minutes. General practice. */
export const HELD_AT_MOST_MIN = 240;
/** Where the code names no time, it goes into the cold this soon after its lift, minutes. General practice. */
const INTO_COLD_MIN = 30;

function standsHot({ kitchen: { policy } }: WorkedOut): number {
	return Math.max(INTO_COLD_MIN, policy.code.cooling.standing_min);
}

/** Each filling that another follows is turned out of its pans and held hot, covered in its liquid, until the plates. */
function heldGo(out: WorkedOut, { made, share }: GoTasks, hot: readonly Task[]): Task {
	return made("hold", "hold", {
		idPart: "hold",
		figures: { litres: litresOf(out) * share },
		// What is hot first does not wait long for the rest of its filling: it stays cold until its rung is free.
		after: hot.map(({ id }) => after(id, { most_min: WAITS_HOT_MIN })),
		fills: true,
		longest_min: HELD_AT_MOST_MIN,
	});
}

function litresOf({ pans }: Pick<WorkedOut, "pans">): number {
	return pans.pans.reduce((sum, { contents_kg }) => sum + contents_kg, 0);
}

function restTasks(out: WorkedOut, goes: readonly GoTasks[]): Resting {
	const { made, lift } = goes.at(-1) as GoTasks;
	const most_min = Math.max(0, WAITS_HOT_MIN - out.work.rest_min);
	const rest = made("rest", "rest", {
		minutes: waits(out.work.rest_min),
		after: [after(lift.id, { most_min })],
	});
	const held = goes.slice(0, -1).map((go) => heldGo(out, go, [go.lift]));
	return { tasks: [rest, ...held], ready: [rest, ...held], liquid: lift };
}

/**
 * Cooled in its liquid on the day before, kept cold, and hot again for service. What is filled more
 * than once is kept in other vessels over the night, and heated one filling after the other.
 */
function aheadTasks(out: WorkedOut, goes: readonly GoTasks[]): Resting {
	const { work } = out;
	const chilled = goes.map((go) =>
		go.made("chill", "chill", {
			minutes: waits(work.chill_min),
			after: [after(go.lift.id, { most_min: standsHot(out) })],
			needs: coolingNeeds(out, go),
			window: { withinHours: true, dayBefore: true },
		}),
	);
	const keep = named(out.order.id)("chill", "keep", {
		idPart: "keep",
		after: chilled.map(({ id }) => after(id)),
		needs: [{ kind: "fridge", litres: litresOf(out) }],
		fills: true,
	});
	const hot: (readonly Task[])[] = [];
	for (const go of goes) hot.push(reheatTasks(out, go, keep, hot.at(-1) ?? []));
	const held = goes.slice(0, -1).map((go, index) => heldGo(out, go, hot[index] ?? []));
	const [ready, ...others] = hot.at(-1) as [Task, ...Task[]];
	return {
		tasks: [...chilled, keep, ...hot.flat(), ...held],
		ready: [ready, ...others, ...held],
		liquid: keep,
	};
}

/** Pans that stand in the chiller: those of one filling, and what it is spread over. */
function slotsIn({ pans, chill }: WorkedOut, go: number): number {
	return chill?.way.pans ?? pans.pans.filter((pan) => pan.go === go).length;
}

/** Room where it is cooled, and the pans over which it is spread. */
function coolingNeeds(out: WorkedOut, { go, share }: GoTasks): Need[] {
	const { chill } = out;
	const more = chill?.way.morePans ?? [];
	return [
		chill?.way.cooler.kind === "fridge"
			? { kind: "fridge", litres: litresOf(out) * share, at: chill.way.cooler.id }
			: { kind: "chiller", slots: slotsIn(out, go), ...(chill ? { at: chill.way.cooler.id } : {}) },
		...more.map(({ typeId, count }): Need => ({ kind: "pan", typeId, count })),
	];
}

/**
 * One filling made hot again: an oven full at a time. What no single oven takes goes in waves, in
 * whichever ovens are free, and the first is held hot until the last.
 */
function reheatTasks(out: WorkedOut, go: GoTasks, keep: Task, before: readonly Task[]): Task[] {
	const waves = wavesOf(out, go);
	const emptied = before.map(({ id }) => after(id, { least_min: EMPTIED_AND_WASHED_MIN }));
	return waves.map((wave, index) =>
		reheatTask(out, go, {
			wave,
			name: waves.length === 1 ? {} : { idPart: `reheat/wave${index + 1}` },
			figures: waves.length === 1 ? {} : { wave: index + 1, waves: waves.length, pans: panCount(wave) },
			after: [after(keep.id), ...emptied],
		}),
	);
}

/** Pans that are heated at once: how many of which kind, and their rungs. */
interface Wave {
	readonly pans: readonly { readonly typeId: string; readonly count: number }[];
	readonly rungs: number;
}

function panCount({ pans }: Wave): number {
	return pans.reduce((sum, { count }) => sum + count, 0);
}

/** As the pans were braised: an oven's load is a wave. */
function wavesOf({ pans, braise }: WorkedOut, { go }: GoTasks): Wave[] {
	const whole: Wave = {
		pans: countByType(pans).map(({ type, count }) => ({ typeId: type.id, count })),
		rungs: pans.rungs,
	};
	const groups = braise?.groups.filter((group) => group.go === go) ?? [];
	const byOven = Object.values(groupBy(groups, ({ oven }) => oven?.id ?? ""));
	if (byOven.length < 2) return [whole];
	return byOven.map((loads) => ({
		pans: loads.map(({ type, pans: some }) => ({ typeId: type.id, count: some.length })),
		rungs: loads.reduce((sum, { rungs }) => sum + rungs, 0),
	}));
}

interface WaveTask {
	readonly wave: Wave;
	readonly name: { readonly idPart?: string };
	readonly figures: Task["figures"];
	readonly after: Task["after"];
}

function reheatTask(
	{ work, recipe, reheat, kitchen, standing }: WorkedOut,
	{ made }: GoTasks,
	{ wave, name, figures, after: follows }: WaveTask,
): Task {
	const { low, set, high } = recipe.braise.oven_C;
	const stands = standing.get(reheatingOf(made.id(name.idPart ?? "reheat")));
	const needs: Need[] = isInOven(recipe)
		? [
				...wave.pans.map(({ typeId, count }): Need => ({ kind: "pan", typeId, count })),
				{
					kind: "rungs",
					ovenId: null,
					pans: wave.pans,
					rungs: wave.rungs,
					set_C: set,
					temperature_C: { low, high },
					minutesAt: reheat?.minutesIn ?? [{ set_C: set, minutes: exactly(work.reheat_min) }],
					...(stands ? { ovenId: stands.oven?.id ?? null, set_C: stands.set_C, stays: true } : {}),
				},
			]
		: heatedVessels(wave.pans, kitchen.equipment);
	return made("reheat", "reheat", {
		...name,
		figures,
		minutes: waits(work.reheat_min),
		after: follows,
		needs,
	});
}

function saucePots({ sauce }: WorkedOut): Need[] {
	if (!sauce) return [];
	const { pot, pots } = sauce;
	if (!pot) return [{ kind: "burners", count: pots }];
	return [...burnersFor(pot, pots), { kind: "pot", typeId: pot.id, count: pots }];
}
