import type { Beliefs } from "../beliefs/index.ts";
import { heatsItself, type Kitchen, type Vessel } from "../kitchen/index.ts";
import type { PanChoice } from "../pans/index.ts";
import { type Range, wholeUp } from "../quantity/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { COLOUR_C } from "../sear/index.ts";
import {
	AT_ANY_TIME,
	type BatchWork,
	exactly,
	type Need,
	type Predecessor,
	type Task,
	type TaskMinutes,
	taskMinutes,
	type WorkMinutes,
	workMinutes,
} from "../tasks/index.ts";
import { minutesBefore, onDay } from "../time/index.ts";
import { PLACES, type PlaceKey } from "../trade/index.ts";
import { countByType } from "./countByType.ts";
import type { DishOrder } from "./DishOrder.ts";
import { joinsLate } from "./panLines.ts";
import { type BraiseGroup, minutesAtEach, type PlanBraise } from "./planBraise.ts";
import { type PlanColour, searTaken } from "./planColour.ts";
import type { PlanLine } from "./planLines.ts";
import { isMadeAhead } from "./planLiquid.ts";
import type { PlanSauce } from "./planSauce.ts";

/** What a dish has been worked out to need, before it stands on the clock. */
export interface WorkedOut {
	readonly recipe: Recipe;
	readonly order: DishOrder;
	readonly kitchen: Kitchen;
	readonly beliefs: Beliefs;
	readonly factor: number;
	readonly portions: number;
	readonly pans: PanChoice;
	readonly lines: readonly PlanLine[];
	readonly colour: PlanColour | null;
	readonly braise: PlanBraise | null;
	/** Where there is no pan: from the oven door to tender, and what is given to it. */
	readonly braise_min: Range;
	readonly allowed_min: number;
	readonly sauce: PlanSauce | null;
	readonly sauce_l: number;
	readonly work: PlanWork;
	/** What the meat is held for on purpose after it is tender; nothing where it is not. */
	readonly hold_min: number;
}

/** Minutes of each place at the size of the batch, and of what is worked out there. */
export interface PlanWork {
	readonly places: Readonly<Record<PlaceKey, WorkMinutes>>;
	/** From the first piece in the pan or tray to the last one out, whole minutes. */
	readonly colour_min: number;
	/** The sauce at the boil after the lift, minutes. */
	readonly reduce_min: number;
	/** Minutes on the wall of rest, sauce, chill and reheating, whole minutes. */
	readonly rest_min: number;
	readonly sauce_min: number;
	readonly chill_min: number;
	readonly reheat_min: number;
}

/** Minutes of each place for the hands there are. */
export function placesOf({ steps }: Recipe, batch: BatchWork, hands: number): PlanWork["places"] {
	return Object.fromEntries(
		PLACES.map((place) => [
			place,
			workMinutes(
				steps.filter((step) => step.place === place),
				batch,
				hands,
				place,
			),
		]),
	) as Record<PlaceKey, WorkMinutes>;
}

/** How long everything takes. */
export function workOf(
	recipe: Recipe,
	places: PlanWork["places"],
	hands: number,
	colour: PlanColour | null,
	sauce: PlanSauce | null,
	beliefs: Beliefs,
): PlanWork {
	const reduce_min = sauce?.after_min ?? 0;
	const boiling_min = wholeUp(places.sauce.handsOn_min / hands + reduce_min);
	const orUsual = (place: "chill" | "reheat", usual_min: number) =>
		places[place].wall_min > 0 ? places[place].wall_min : usual_min;
	return {
		places,
		colour_min: colour ? wholeUp(colour.minutes) : 0,
		reduce_min,
		rest_min: wholeUp(recipe.rest_min),
		sauce_min: Math.max(places.sauce.wall_min, boiling_min),
		chill_min: orUsual("chill", beliefs.madeAhead.chill_min),
		reheat_min: orUsual("reheat", beliefs.madeAhead.reheat_min),
	};
}

/** All that a dish asks of the kitchen, from the order to the plate. @see model, section K */
export function dishTasks(out: WorkedOut): Task[] {
	const { recipe, order } = out;
	const made = named(order.id);
	const tasks = [
		orderTask(out, made),
		made("trim", "work", {
			minutes: taskMinutes(out.work.places.trim, order.hands),
			after: [after(made.id("buy"))],
			needs: cooks(order.hands),
			window: { withinHours: true },
		}),
		...marinadeTask(out, made),
		...colourTask(out, made),
		made("build", "work", {
			minutes: taskMinutes(out.work.places.build, order.hands),
			after: [
				after(made.id(recipe.sear ? "sear" : beforeSear(recipe)), lagAfterMarinade(recipe, !recipe.sear)),
			],
			needs: [...cooks(order.hands), { kind: "burners", count: 1 }],
		}),
		made("panUp", "work", {
			minutes: taskMinutes(out.work.places.panUp, order.hands),
			after: [after(made.id("build"))],
			needs: [...cooks(order.hands), ...pansNeeded(out.pans)],
		}),
		...braiseTasks(out, made),
		...lateTasks(out, made),
	];
	return [...tasks, ...finishTasks(out, made, tasks)];
}

type Rest = Partial<Omit<Task, "minutes" | "window">> & {
	readonly minutes?: TaskMinutes;
	readonly window?: Partial<Task["window"]>;
	readonly idPart?: string;
};

interface Namer {
	(place: PlaceKey, part: Task["part"], rest: Rest): Task;
	id(place: string): string;
}

/** Tasks named after their dish, so that the same task has the same name in every plan. */
function named(dish: string): Namer {
	const id = (place: string) => `${dish}/${place}`;
	const make = (place: PlaceKey, part: Task["part"], { idPart, window, ...rest }: Rest): Task => ({
		id: id(idPart ?? place),
		for: dish,
		place,
		part,
		figures: {},
		minutes: NO_TIME,
		after: [],
		needs: [],
		...rest,
		window: { ...AT_ANY_TIME, ...window },
	});
	return Object.assign(make, { id });
}

const NO_TIME: TaskMinutes = { handsOn: exactly(0), waiting: exactly(0), planned: 0 };

function after(task: string, lag: { least_min?: number; most_min?: number | null } = {}): Predecessor {
	return { task, least_min: lag.least_min ?? 0, most_min: lag.most_min ?? null };
}

function cooks(count: number): Need[] {
	return [{ kind: "cooks", count }];
}

/** Minutes in which nobody stands there. */
function waits(minutes: number, range: Range = exactly(minutes)): TaskMinutes {
	return { handsOn: exactly(0), waiting: range, planned: minutes };
}

/** Orders go out when the kitchen opens. */
function orderTask({ recipe, order, kitchen: { policy } }: WorkedOut, made: Namer): Task {
	const { timeZone, hours } = policy;
	const to = onDay(order.serviceAt, timeZone, hours.opens_min, -recipe.orderLead_days);
	return made("buy", "order", { window: { to } });
}

/** What the meat lies in until it is seared: the marinade goes on in working hours and waits by itself. */
function marinadeTask({ recipe, order, work, pans }: WorkedOut, made: Namer): Task[] {
	if (!recipe.marinate) return [];
	const litres = pans.pans.reduce((sum, { contents_kg }) => sum + contents_kg, 0);
	return [
		made("marinate", "marinade", {
			minutes: taskMinutes(work.places.marinate, order.hands),
			after: [after(made.id("trim"))],
			needs: [...cooks(order.hands), { kind: "fridge", litres }],
			window: { withinHours: true, byMinute: inTheAfternoon(recipe) },
		}),
	];
}

/** A marinade that stands over night goes on in the afternoon: by five, and not when the kitchen closes. */
const AFTERNOON_MIN = 17 * 60;
const OVERNIGHT_MIN = 8 * 60;

function inTheAfternoon({ marinate }: Recipe): number | null {
	return marinate && marinate.minutes >= OVERNIGHT_MIN ? AFTERNOON_MIN : null;
}

function beforeSear(recipe: Recipe): "marinate" | "trim" {
	return recipe.marinate ? "marinate" : "trim";
}

/** The marinade's own time, between going in and coming out. */
function lagAfterMarinade({ marinate }: Recipe, follows: boolean): { least_min?: number; most_min?: number } {
	return marinate && follows ? { least_min: marinate.minutes, most_min: marinate.longest_min } : {};
}

function colourTask({ recipe, order, colour, work }: WorkedOut, made: Namer): Task[] {
	if (!recipe.sear || !colour) return [];
	const before = after(made.id(beforeSear(recipe)), lagAfterMarinade(recipe, true));
	const minutes: TaskMinutes = {
		handsOn: exactly(work.colour_min),
		waiting: exactly(0),
		planned: work.colour_min,
	};
	return [
		made("sear", "colour", {
			minutes,
			after: [before],
			needs: [...cooks(order.hands), ...colourNeeds(colour)],
		}),
	];
}

function colourNeeds(colour: PlanColour): Need[] {
	const { way, oven } = colour;
	if (way === "oven" && oven) {
		const trays = Math.min(oven.trays, oven.atOnce);
		const minutes = exactly(oven.minutes);
		return [
			{ kind: "tray", typeId: oven.tray.id, count: trays },
			{
				kind: "rungs",
				ovenId: oven.oven.id,
				pans: [{ typeId: oven.tray.id, count: trays }],
				rungs: trays,
				set_C: COLOUR_C,
				temperature_C: { low: COLOUR_C, high: oven.oven.max_C },
				minutesAt: [{ set_C: COLOUR_C, minutes }],
			},
		];
	}
	const pan = searTaken(colour);
	if (!pan) return [];
	const { vessel, burners } = pan;
	return [...burnersFor(vessel, burners), { kind: "searPan", typeId: vessel.id, count: burners }];
}

/** What heats itself takes no burner. */
function burnersFor(vessel: Vessel, count: number): Need[] {
	return heatsItself(vessel) ? [] : [{ kind: "burners", count }];
}

function pansNeeded(pans: PanChoice): Need[] {
	return countByType(pans).map(({ type, count }) => ({ kind: "pan", typeId: type.id, count }));
}

function braiseTasks(out: WorkedOut, made: Namer): Task[] {
	const { braise, braise_min, allowed_min, recipe } = out;
	const before = [after(made.id("panUp"))];
	if (!braise) {
		return [made("braise", "oven", { minutes: waits(allowed_min, braise_min), after: before })];
	}
	return braise.groups.map((group) =>
		made("braise", "oven", {
			idPart: `braise/${group.id}`,
			figures: { set_C: group.set_C, pans: group.pans.length, group: group.id },
			minutes: waits(group.allowed_min, group.tender_min),
			after: before,
			needs: rungsNeeded(group, recipe, out.beliefs),
		}),
	);
}

function rungsNeeded(group: BraiseGroup, recipe: Recipe, beliefs: Beliefs): Need[] {
	const pans = [{ typeId: group.type.id, count: group.pans.length }];
	const { low, high } = recipe.braise.oven_C;
	return [
		{ kind: "pan", ...(pans[0] as { typeId: string; count: number }) },
		{
			kind: "rungs",
			ovenId: group.oven?.id ?? null,
			pans,
			rungs: group.rungs,
			set_C: group.set_C,
			temperature_C: { low, high },
			minutesAt: minutesAtEach(group, recipe, beliefs),
		},
	];
}

/** What joins the pan before the end: so many minutes before the lift, neither sooner nor later. */
function lateTasks({ lines, recipe }: WorkedOut, made: Namer): Task[] {
	return lines.filter(joinsLate).map(({ ingredient, line, amount_g }) =>
		made("braise", "late", {
			idPart: `late/${ingredient.id}/${recipe.lines.indexOf(line)}`,
			figures: {
				ingredient: ingredient.name,
				grams: amount_g ?? 0,
				before_min: line.late_min ?? 0,
			},
		}),
	);
}

/** From the lift to the plate: rest and sauce, or over the night when it is made ahead. */
function finishTasks(out: WorkedOut, made: Namer, before: readonly Task[]): Task[] {
	const { recipe, order, work, sauce_l, portions } = out;
	const lift = made("rest", "lift", {
		idPart: "lift",
		after: before
			.filter(({ part }) => part === "oven" || part === "late")
			.map((task) => {
				const lag = Number(task.figures.before_min ?? 0);
				return after(task.id, task.part === "late" ? { least_min: lag, most_min: lag } : {});
			}),
	});
	const ahead = isMadeAhead(recipe);
	const resting = ahead ? aheadTasks(out, made, lift) : restTask(out, made, lift);
	const last = resting.at(-1) ?? lift;
	const cold = ahead ? (resting.find(({ part }) => part === "keep") ?? lift) : lift;
	const sauce =
		sauce_l > 0
			? [
					made("sauce", "work", {
						minutes: {
							handsOn: exactly(work.places.sauce.handsOn_min / order.hands),
							waiting: exactly(work.sauce_min - work.places.sauce.handsOn_min / order.hands),
							planned: work.sauce_min,
						},
						after: [after(cold.id)],
						needs: [...cooks(1), ...saucePots(out)],
					}),
				]
			: [];
	const served = lastPlateAt(order.serviceAt, work.places.plate.wall_min);
	const plate = made("plate", "work", {
		minutes: taskMinutes(work.places.plate, order.hands),
		after: [after(last.id), ...sauce.map(({ id }) => after(id))],
		needs: [...cooks(order.hands), { kind: "warmer", plates: portions }],
		window: { to: served },
	});
	return [lift, ...resting, ...sauce, ...holdTasks(out, made, last, served), plate];
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
		made("rest", "hold", {
			idPart: "hold",
			figures: { litres },
			minutes: waits(hold_min),
			after: [after(last.id)],
			window: { to },
		}),
	];
}

function restTask({ work }: WorkedOut, made: Namer, lift: Task): Task[] {
	return [made("rest", "rest", { minutes: waits(work.rest_min), after: [after(lift.id)] })];
}

/** Cooled in its liquid on the day before, kept cold, and hot again for service. */
function aheadTasks({ work, pans, recipe }: WorkedOut, made: Namer, lift: Task): Task[] {
	const litres = pans.pans.reduce((sum, { contents_kg }) => sum + contents_kg, 0);
	const chill = made("chill", "chill", {
		minutes: waits(work.chill_min),
		after: [after(lift.id)],
		needs: [{ kind: "chiller", slots: pans.pans.length }],
		window: { withinHours: true, dayBefore: true },
	});
	const keep = made("chill", "keep", {
		idPart: "keep",
		after: [after(chill.id)],
		needs: [{ kind: "fridge", litres }],
	});
	const { low, set, high } = recipe.braise.oven_C;
	const reheat = made("reheat", "reheat", {
		minutes: waits(work.reheat_min),
		after: [after(keep.id)],
		needs: [
			...pansNeeded(pans),
			{
				kind: "rungs",
				ovenId: null,
				pans: countByType(pans).map(({ type, count }) => ({ typeId: type.id, count })),
				rungs: pans.rungs,
				set_C: set,
				temperature_C: { low, high },
				minutesAt: [{ set_C: set, minutes: exactly(work.reheat_min) }],
			},
		],
	});
	return [chill, keep, reheat];
}

function saucePots({ sauce }: WorkedOut): Need[] {
	if (!sauce) return [];
	const { pot, pots } = sauce;
	if (!pot) return [{ kind: "burners", count: pots }];
	return [...burnersFor(pot, pots), { kind: "pot", typeId: pot.id, count: pots }];
}
