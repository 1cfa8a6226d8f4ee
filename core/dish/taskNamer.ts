import type { Range } from "../quantity/index.ts";
import {
	AT_ANY_TIME,
	exactly,
	type Need,
	type Predecessor,
	type Task,
	type TaskMinutes,
} from "../tasks/index.ts";
import type { PlaceKey } from "../trade/index.ts";

type Rest = Partial<Omit<Task, "minutes" | "window">> & {
	readonly minutes?: TaskMinutes;
	readonly window?: Partial<Task["window"]>;
	readonly idPart?: string;
};

export interface Namer {
	(place: PlaceKey, part: Task["part"], rest: Rest): Task;
	id(place: string): string;
}

/** Which filling of its pans a task is for: 1 the first. */
export interface Go {
	readonly go: number;
	readonly goes: number;
}

/**
 * Tasks named after their dish, so that the same task has the same name in every plan. Those of a
 * filling that another follows have its number behind it.
 */
export function named(dish: string, { go, goes }: Go = ONLY_GO): Namer {
	const id = (place: string) => `${dish}/${place}${go < goes ? `/go${go}` : ""}`;
	const make = (place: PlaceKey, part: Task["part"], { idPart, window, figures, ...rest }: Rest): Task => ({
		id: id(idPart ?? place),
		for: dish,
		place,
		part,
		figures: { ...figures, ...(goes > 1 ? { go, goes } : {}) },
		minutes: NO_TIME,
		after: [],
		needs: [],
		...rest,
		window: { ...AT_ANY_TIME, ...window },
	});
	return Object.assign(make, { id });
}

const ONLY_GO: Go = { go: 1, goes: 1 };

export const NO_TIME: TaskMinutes = { handsOn: exactly(0), waiting: exactly(0), planned: 0 };

export function after(task: string, lag: { least_min?: number; most_min?: number | null } = {}): Predecessor {
	return { task, least_min: lag.least_min ?? 0, most_min: lag.most_min ?? null };
}

export function cooks(count: number): Need[] {
	return [{ kind: "cooks", count }];
}

/** Minutes in which nobody stands there. */
export function waits(minutes: number, range: Range = exactly(minutes)): TaskMinutes {
	return { handsOn: exactly(0), waiting: range, planned: minutes };
}

/** That part of some work that one filling of the pans is, whole minutes. */
export function shareOf({ handsOn, waiting, planned }: TaskMinutes, share: number): TaskMinutes {
	if (share === 1) return { handsOn, waiting, planned };
	const of = ({ low, likely, high }: Range) => ({
		low: low * share,
		likely: likely * share,
		high: high * share,
	});
	const likely = handsOn.likely * share + waiting.likely;
	return { handsOn: of(handsOn), waiting, planned: Math.ceil(likely) };
}
