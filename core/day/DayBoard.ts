import { must } from "../check/index.ts";
import { minutesBefore } from "../time/index.ts";
import { continued } from "./continued.ts";
import type { Day, DayEquipment, DayGiven, DayTask, Unmet, Use } from "./Day.ts";
import { earliestOf } from "./earliestOf.ts";
import { equipmentOf } from "./equipmentOf.ts";
import { Ledger } from "./Ledger.ts";
import { isOvenTask, waysOf } from "./ovenLevel.ts";
import { type Settled, settledOf } from "./settledOf.ts";
import { type OpenTask, pansInOven } from "./tasksOf.ts";
import { type Tried, usesOf } from "./usesOf.ts";

/** Starts lie on it. */
export const STEP_MIN = 5;
/** What comes too late is pushed on no further than this. */
export const LOOKS_ON_MIN = 24 * 60;

/** Where a task stands, and what it has in hand. */
export interface Put {
	readonly start: number;
	readonly end: number;
	readonly uses: readonly Use[];
}

/** What was in an oven that is no longer to be had, and goes on in another. */
export interface Carried {
	readonly until: Use;
	/** Share of its time that is still to come. */
	readonly left: number;
}

/** The tasks of a day while they are being placed. */
export class DayBoard {
	readonly given: DayGiven;
	readonly equipment: readonly DayEquipment[];
	readonly from: number;
	readonly to: number;
	readonly ledger: Ledger;
	readonly tasks: ReadonlyMap<string, OpenTask>;
	readonly settled: ReadonlyMap<string, Settled>;
	readonly earliest: ReadonlyMap<string, number>;
	readonly stood: ReadonlyMap<string, DayTask>;
	readonly carried = new Map<string, Carried>();
	readonly put = new Map<string, Put>();
	unmet: readonly Unmet[] = [];
	/** Rungs × minutes by which what was chosen may wait longer than it must. */
	over = 0;

	/** @param again the day as it was placed a moment ago: what stood well there stays */
	constructor(
		given: DayGiven,
		tasks: readonly OpenTask[],
		from: number,
		to: number,
		again: Pick<Day, "tasks"> | null = null,
	) {
		this.given = given;
		this.equipment = equipmentOf(given, from, to);
		this.from = from;
		this.to = to;
		this.ledger = new Ledger(this.equipment, given.held);
		this.tasks = new Map(tasks.map((task) => [task.id, task]));
		this.settled = settledOf(tasks, given);
		const known = tasks.map((task) => ({ ...task, inOven: pansInOven(task) }));
		this.stood = continued((again ?? given.before)?.tasks ?? [], known);
		this.earliest = earliestOf(tasks, this.settled, given, (task) =>
			isOvenTask(task)
				? Math.min(task.minutes.planned, ...waysOf(task, given).map(({ minutes }) => minutes))
				: task.minutes.planned,
		);
	}

	/** Where a task stands that has been placed. @throws {Error} naming one that has not */
	putOf(id: string): Put {
		return must(this.put, id, "placed task");
	}

	stands(id: string): boolean {
		return this.put.has(id);
	}

	/** Tasks whose followers all stand: in the order in which they stood, or else the one that is wanted latest first. */
	readyOf(open: readonly OpenTask[]): OpenTask[] {
		return open
			.filter(({ followers }) => followers.every(({ task }) => this.put.has(task)))
			.map((task) => ({ task, endBy: this.stood.get(task.id)?.end ?? this.endBy(task) }))
			.sort((a, b) => a.task.turn - b.task.turn || b.endBy - a.endBy || a.task.rank - b.task.rank)
			.map(({ task }) => task);
	}

	/** It stands there with what there is, and what it goes without is said. */
	standShort(tried: Tried): void {
		const uses = this.usesAt(tried, true) ?? [];
		this.sayShort(tried, uses);
		this.stand(tried.task, tried.start, uses);
	}

	/** It is lifted when it is out, and what joins it late joins so long before that. */
	liftWhenTender(task: OpenTask): void {
		for (const { task: id } of task.followers) {
			const lift = this.tasks.get(id);
			if (lift?.part !== "lift") continue;
			const outAt = lift.after.map((before) =>
				isOven(this.tasks.get(before.task)) ? this.put.get(before.task)?.end : 0,
			);
			const at = Math.max(0, ...outAt.map((end) => end ?? 0));
			this.put.set(id, { start: at, end: at, uses: [] });
			for (const { task: before, least_min } of lift.after) {
				if (this.tasks.get(before)?.part !== "late") continue;
				const joins = minutesBefore(at, least_min);
				this.put.set(before, { start: joins, end: joins, uses: [] });
			}
		}
	}

	/** When a task has to be over, so that what follows it begins in time. */
	endBy({ followers, window, serviceAt }: OpenTask): number {
		const starts = followers.map(({ task, least_min }) => minutesBefore(this.putOf(task).start, least_min));
		if (starts.length === 0) return window.to ?? serviceAt;
		return Math.min(window.to ?? Number.POSITIVE_INFINITY, ...starts);
	}

	triedAt(task: OpenTask, start: number): Tried {
		const end = minutesBefore(start, -task.minutes.planned);
		const starts = task.followers.map((follower) => this.put.get(follower.task)?.start ?? end);
		const had = new Set(this.stood.get(task.id)?.uses.map(({ equipment }) => equipment));
		return { task, start, end, until: Math.max(end, ...starts), had };
	}

	/** @returns null where something is not to be had */
	usesAt(tried: Tried, orShort: boolean): readonly Use[] | null {
		const all: Use[] = [];
		for (const need of tried.task.needs) {
			const uses = usesOf(need, tried, this.ledger, this.given, orShort);
			if (!uses) return null;
			all.push(...uses);
		}
		return all;
	}

	stand(
		{ id, minutes }: OpenTask,
		start: number,
		uses: readonly Use[],
		end = minutesBefore(start, -minutes.planned),
	): void {
		for (const use of uses) this.ledger.take(use);
		this.put.set(id, { start, end, uses });
	}

	earliestOf({ id }: OpenTask): number {
		return this.earliest.get(id) ?? Number.NEGATIVE_INFINITY;
	}

	isPan(id: string): boolean {
		return this.equipment.some((thing) => thing.id === id && thing.kind === "pan");
	}

	/** What a task goes without. */
	say(unmet: Unmet): void {
		this.unmet = [...this.unmet, unmet];
	}

	/** It is placed again: what was said of where it stood no longer holds. */
	unsay({ id }: OpenTask): void {
		this.unmet = this.unmet.filter(({ task }) => task !== id);
	}

	sayNoOven(task: OpenTask): void {
		const rungs = task.needs.find(({ kind }) => kind === "rungs");
		if (rungs?.kind === "rungs")
			this.say({ task: task.id, because: "noOven", rungs: Math.ceil(rungs.rungs) });
	}

	/** What a task goes without where it stands. */
	sayShort({ task, start, end }: Tried, uses: readonly Use[]): void {
		this.sayTooFew(task, uses);
		const cooks = task.needs.find((need) => need.kind === "cooks")?.count ?? 0;
		const isCook = (id: string) => this.ledger.of("cook").some((cook) => cook.id === id);
		const there = uses.filter(({ equipment }) => isCook(equipment)).length;
		if (cooks > there && task.minutes.handsOn.likely > 0) {
			this.say({ task: task.id, because: "nobody", short: cooks - there, from: start, to: end });
		}
		const inOven = task.needs.some(({ kind }) => kind === "rungs");
		if (inOven && !uses.some(({ set_C }) => set_C !== undefined)) this.sayNoOven(task);
	}

	sayTooFew({ id }: OpenTask, uses: readonly Use[]): void {
		for (const use of uses) {
			const short = this.ledger.short(use);
			if (short <= 0) continue;
			const { equipment, from, to } = use;
			const isCook = this.ledger.of("cook").some((cook) => cook.id === equipment);
			if (isCook) this.say({ task: id, because: "nobody", short, from, to });
			else this.say({ task: id, because: "tooFew", equipment, short, from, to });
		}
	}
}

function isOven(task: OpenTask | undefined): boolean {
	return task?.part === "oven";
}
