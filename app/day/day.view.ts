import {
	causesOf,
	type Day,
	type DayTask,
	type Liftable,
	type SittingOfDay,
	taskName,
	unmetWords,
	type WorkedDay,
} from "#core/day";
import type { Kitchen } from "#core/kitchen";
import type { Oven } from "#core/ovens";
import { type ClockHours, fromWallClock, HOUR_MS, wallClock } from "#core/time";
import type { OvenPans } from "../ui/drawings/drawings.ts";
import { ovenPans, shelfWidth } from "../ui/drawings/ovenPans.ts";
import type { DatesShown, WorkedDate } from "../ui/server/worked.server.ts";
import { letterOf } from "../ui/words/letterOf.ts";
import type { Reading } from "../ui/words/reading.ts";
import { issuedTags } from "./issuedTags.ts";
import { type RowGiven, rowOf, type SheetRow } from "./sheetRows.ts";
import { standOnRungs } from "./standOnRungs.ts";

/** What stands in an oven from one moment to another. */
export interface Stand {
	readonly id: string;
	/** The dish's letter of the day. */
	readonly tag: string;
	readonly dish: string;
	readonly from: number;
	readonly to: number;
	readonly inAt: string;
	readonly out: string;
	readonly set_C: number;
	readonly set: string;
	/** Rungs that it takes. */
	readonly amount: number;
	/** Counted from the bottom. */
	readonly rungs: readonly number[];
	/** Settled by the chef, or begun. */
	readonly fixed: boolean;
	readonly pans: readonly OvenPans[];
}

export interface WallOven {
	readonly id: string;
	readonly name: string;
	readonly rungs: number;
	readonly pitch_mm: number;
	readonly width_mm: number;
	/** When it can be had. */
	readonly windows: readonly (readonly [number, number])[];
	readonly stands: readonly Stand[];
}

/** Something taken from one moment to another. */
export interface Bar {
	readonly id: string;
	readonly from: number;
	readonly to: number;
	readonly words: string;
}

/** One thing or person along the day. */
export interface Lane {
	readonly id: string;
	readonly name: string;
	readonly capacity: number;
	readonly bars: readonly Bar[];
}

export interface DayView {
	readonly title: string;
	readonly date: string;
	readonly from: number;
	readonly to: number;
	readonly begins: number;
	readonly ticks: readonly { readonly at: number; readonly words: string }[];
	readonly services: readonly {
		readonly id: string;
		readonly at: number;
		readonly clock: string;
		readonly name: string;
	}[];
	readonly dishes: readonly { readonly tag: string; readonly name: string; readonly href: string }[];
	readonly ovens: readonly WallOven[];
	/** Pans of dishes for which no oven has a rung. */
	readonly onFloor: readonly {
		readonly id: string;
		readonly of: string;
		readonly pans: readonly OvenPans[];
	}[];
	/** What can be lifted and put elsewhere. */
	readonly liftables: readonly Liftable[];
	/** Temperatures as the reader reads them, by °C. */
	readonly temperatures: Readonly<Record<number, string>>;
	readonly lanes: readonly Lane[];
	/** Moments at which something goes in or comes out, rising. */
	readonly events: readonly number[];
	readonly timeZone: string;
	readonly clockHours: ClockHours;
	readonly bound: string;
	readonly unmet: readonly {
		readonly id: string;
		readonly names: readonly string[];
		readonly because: string;
		readonly frees: string;
	}[];
	readonly people: readonly {
		readonly id: string;
		readonly name: string;
		readonly rows: readonly SheetRow[];
	}[];
	/** What needs no hands for long: into the oven, lift, rest. */
	readonly nobodys: readonly SheetRow[];
	readonly earlier: readonly SheetRow[];
}

interface Given {
	readonly day: WorkedDay;
	readonly kitchen: Kitchen;
	/** Those that are served on the date. */
	readonly sittings: readonly Pick<SittingOfDay, "id" | "name" | "serviceAt">[];
	readonly reading: Reading;
	readonly date: string;
	readonly liftables: readonly Liftable[];
	/** Letters of its dishes, by dish. */
	readonly tags: ReadonlyMap<string, string>;
}

/** The strip shows no more of a day than this. */
const LONGEST_MS = 48 * HOUR_MS;
/** Hands and hob that are looked at beside the ovens. */
const LANE_KINDS: readonly string[] = [
	"burner",
	"pot",
	"searPan",
	"chiller",
	"fridge",
	"warmer",
	"box",
	"cook",
];

/** All dishes of some dates, those that are served then first, as they stand on their sittings. */
export function dishesIn(dates: readonly Pick<WorkedDate, "sittings">[]): string[] {
	return dates.flatMap(({ sittings }) => sittings.flatMap(({ rows }) => rows.map(({ dish }) => dish.id)));
}

/** Letters of all dishes that a day shows. */
export function tagsShown({ served, all }: Pick<DatesShown, "served" | "all">): Map<string, string> {
	return tagsOf(dishesIn([...served, ...all]), issuedTags({ served }));
}

/** What a day is told from, of the dates that go on in it. */
export function shownOf({ served, all, slice }: DatesShown): Pick<Given, "day" | "kitchen" | "sittings"> {
	const [one] = served.length > 0 ? served : all;
	if (!one) throw new Error("a day on which nothing goes on");
	return {
		day: slice,
		kitchen: one.given().kitchen,
		sittings: served.flatMap(({ given }) => given().sittings),
	};
}

/** The wall of ovens through a day, with hands and hob under it, and everybody's list. */
export function dayView({ day, kitchen, sittings, reading, date, liftables, tags }: Given): DayView {
	const onDate = (at: number) => wallClock(at, reading.timeZone).date === date;
	const own = day.tasks.filter(({ start, end }) => onDate(start) || onDate(end));
	const busy = own.filter(({ start, end }) => end > start);
	const services = sittings.map(({ id, name, serviceAt }) => ({
		id,
		at: serviceAt,
		clock: reading.time(serviceAt),
		name,
	}));
	const starts = busy.filter(({ start }) => onDate(start)).map(({ start }) => start);
	const noon = fromWallClock(date, "12:00", reading.timeZone) ?? 0;
	const served = services.map(({ at }) => at);
	const from = Math.floor(Math.min(...starts, ...served, noon) / HOUR_MS) * HOUR_MS;
	const ends = [...busy.map(({ end }) => end), ...served, noon];
	const to = Math.min(from + LONGEST_MS, Math.ceil(Math.max(...ends) / HOUR_MS) * HOUR_MS);
	const ovens = kitchen.equipment.ovens.map((oven): WallOven => {
		const stands = day.tasks.flatMap((task) =>
			task.uses
				.filter(({ equipment, to: out }) => equipment === oven.id && out > from)
				.map((use) => ({ task, use })),
		);
		const rungs = standOnRungs(
			stands.map(({ task: { rung }, use }) => ({ ...use, ...(rung === undefined ? {} : { wanted: rung }) })),
			oven.rungs,
		);
		return {
			id: oven.id,
			name: oven.name,
			rungs: oven.rungs,
			pitch_mm: oven.pitch_mm,
			width_mm: shelfWidth(oven.shelf),
			windows: day.equipment.find(({ id }) => id === oven.id)?.windows ?? [],
			stands: stands.map(({ task, use }, index) => ({
				id: task.id,
				tag: tags.get(task.for) ?? "",
				dish: task.forName,
				from: use.from,
				to: use.to,
				inAt: reading.time(use.from),
				out: reading.time(use.to),
				set_C: use.set_C ?? 0,
				set: reading.temperature(use.set_C ?? 0),
				amount: use.amount,
				rungs: rungs[index] ?? [],
				fixed: task.fixed,
				pans: pansIn(task, kitchen, oven.shelf),
			})),
		};
	});
	const given: RowGiven = { day, kitchen, reading, plans: day.dishes, tags };
	const cooks = new Set(day.equipment.filter(({ kind }) => kind === "cook").map(({ id }) => id));
	const events = new Set(
		ovens
			.flatMap(({ stands }) => stands.flatMap((stand) => [stand.from, stand.to]))
			.filter((at) => at >= from && at <= to),
	);
	const now = reading.now >= from && reading.now <= to ? reading.now : fullestAt(ovens, from);
	return {
		title: reading.day(noon),
		date,
		from,
		to,
		begins: Math.round(now / 300_000) * 300_000,
		ticks: hoursOf(from, to).map((at) => ({ at, words: reading.time(at).slice(0, 2) })),
		services,
		dishes: [...tags].flatMap(([id, tag]) => {
			const task = day.tasks.find((one) => one.for === id);
			return task ? [{ tag, name: task.forName, href: `/sittings/${task.sitting}/dishes/${id}` }] : [];
		}),
		ovens,
		onFloor: day.unmet.flatMap(({ task: id, because }) => {
			const task = because === "noOven" ? day.tasks.find((one) => one.id === id) : undefined;
			return task ? [{ id, of: task.forName, pans: pansIn(task, kitchen, "1/1") }] : [];
		}),
		liftables,
		temperatures: Object.fromEntries(
			liftables.flatMap(({ ways }) => ways.map(({ low_C }) => [low_C, reading.temperature(low_C)])),
		),
		lanes: lanesOf(day, tags, from),
		events: [...events].sort((a, b) => a - b),
		timeZone: reading.timeZone,
		clockHours: reading.clockHours,
		bound: boundWords(day),
		unmet: causesOf(day).map(({ unmet, tasks }, index) => ({
			id: `${index} ${unmet.task}`,
			names: tasks.flatMap((id) => {
				const task = day.tasks.find((one) => one.id === id);
				return task ? [taskName(task)] : [];
			}),
			...unmetWords(unmet, day, reading),
		})),
		people: day.equipment
			.filter(({ kind }) => kind === "cook")
			.map(({ id, name }) => ({
				id,
				name,
				rows: own.flatMap((task) => rowOf(task, given, id)),
			}))
			.filter(({ rows }) => rows.length > 0),
		nobodys: own
			.filter(({ uses, part }) => part !== "order" && !uses.some(({ equipment }) => cooks.has(equipment)))
			.flatMap((task) => rowOf(task, given)),
		earlier: day.tasks
			.filter((task) => !own.includes(task))
			.flatMap((task) => rowOf(task, given))
			.map((row, index, rows) => (row.day === rows[index - 1]?.day ? { ...row, day: "" } : row)),
	};
}

/** "12 rung-hours of waiting; no plan can have fewer than 11." */
function boundWords({ waiting_rung_min, bound_waiting_rung_min }: Day): string {
	if (waiting_rung_min === 0) return "Nothing that is tender waits in the heat.";
	const hours = (minutes: number) =>
		minutes < 60 ? `${Math.round(minutes)} rung-minutes` : `${(minutes / 60).toFixed(1)} rung-hours`;
	if (bound_waiting_rung_min >= waiting_rung_min) {
		return `${hours(waiting_rung_min)} of waiting when tender; no plan can have fewer.`;
	}
	return `${hours(waiting_rung_min)} of waiting when tender; no plan can have fewer than ${hours(bound_waiting_rung_min)}.`;
}

/**
 * A letter for each dish, in the order in which it stands on its sitting, the soonest served first:
 * a dish that has no plan keeps its own, and so do all others. What was issued keeps what it had.
 */
export function tagsOf(
	order: readonly string[],
	issued: ReadonlyMap<string, string> = new Map(),
): Map<string, string> {
	const dishes = new Set(order);
	const taken = new Set(issued.values());
	const free = Array.from({ length: dishes.size + taken.size }, (_, index) => letterOf(index)).filter(
		(tag) => !taken.has(tag),
	);
	const tags = [...dishes].map((dish): [string, string] => [dish, issued.get(dish) ?? free.shift() ?? ""]);
	return new Map(tags.sort(([, a], [, b]) => a.length - b.length || a.localeCompare(b)));
}

function pansIn(task: DayTask, { equipment }: Kitchen, shelf: Oven["shelf"]): OvenPans[] {
	return task.inOven.flatMap(({ typeId, count }) => {
		const type = [...equipment.pans, ...equipment.trays].find(({ id }) => id === typeId);
		return type ? [ovenPans(type.shape, count, shelf)] : [];
	});
}

function fullestAt(ovens: readonly WallOven[], from: number): number {
	let best = from;
	let most = -1;
	for (const { from: at } of ovens.flatMap(({ stands }) => stands)) {
		const inside = ovens.flatMap(({ stands }) => stands).filter((stand) => stand.from <= at && stand.to > at);
		const taken = inside.reduce((sum, { rungs }) => sum + rungs.length, 0);
		if (taken > most || (taken === most && at < best)) [best, most] = [at, taken];
	}
	return best;
}

function hoursOf(from: number, to: number): number[] {
	return Array.from({ length: Math.round((to - from) / HOUR_MS) + 1 }, (_, hour) => from + hour * HOUR_MS);
}

function lanesOf(day: Day, tags: ReadonlyMap<string, string>, from: number): Lane[] {
	return day.equipment
		.filter(({ kind }) => LANE_KINDS.includes(kind))
		.map(({ id, name, capacity }) => ({
			id,
			name,
			capacity,
			bars: day.tasks.flatMap((task) =>
				task.uses
					.filter(({ equipment, to }) => equipment === id && to > from)
					.map((use, index) => ({
						id: `${task.id} ${index}`,
						from: use.from,
						to: use.to,
						words: barWords(task, tags),
					})),
			),
		}))
		.filter(({ bars }) => bars.length > 0);
}

/** "Sear A", "Make brown duck stock" */
function barWords(task: DayTask, tags: ReadonlyMap<string, string>): string {
	const [verb = ""] = taskName(task).split(":");
	return `${verb} ${tags.get(task.for) ?? task.forName}`;
}
