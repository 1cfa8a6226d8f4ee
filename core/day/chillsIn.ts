import type { ChillBeside, ChillLoad } from "../chill/index.ts";
import { chillLoad, type PlanFigures } from "../dish/index.ts";
import { MINUTE_MS } from "../time/index.ts";
import type { Day, DayTask, HeldUse } from "./Day.ts";

/** Food that stands in a chiller from one moment to another, ms since 1970 UTC. */
export interface Chilled {
	/** Dish; empty where it is of a day before. */
	readonly of: string;
	readonly chiller: string;
	readonly load: ChillLoad;
	readonly from: number;
	readonly to: number;
}

/** All that is cooled on a day in something whose power it shares, and what days before still have there. */
export function chillsIn(
	{ tasks }: Pick<Day, "tasks">,
	figures: ReadonlyMap<string, Pick<PlanFigures, "chill">>,
	held: readonly HeldUse[] = [],
): Chilled[] {
	const own = tasks
		.filter(({ part }) => part === "chill")
		.flatMap((task) => chilledBy(task, figures.get(task.for)));
	const others = held.flatMap(({ cooled, equipment, from, to }) =>
		cooled ? [{ of: "", chiller: equipment, load: cooled, from, to }] : [],
	);
	return [...own, ...others];
}

function chilledBy({ for: of, uses }: DayTask, figures: Pick<PlanFigures, "chill"> | undefined): Chilled[] {
	const load = figures?.chill && chillLoad(figures.chill);
	const chiller = figures?.chill?.way.cooler.id;
	if (!load || chiller === undefined) return [];
	return uses
		.filter(({ equipment }) => equipment === chiller)
		.map(({ from, to }) => ({ of, chiller, load, from, to }));
}

/**
 * What stands beside a dish while it is cooled, in the order in which it comes. Of a dish that is
 * cooled filling by filling, what stands beside the one that has most beside it.
 */
export function besideIn(all: readonly Chilled[], dish: string): ChillBeside[] {
	const own = all.filter(({ of }) => of === dish);
	const besides = own.map((one) =>
		all
			.filter((other) => other.of !== dish && other.chiller === one.chiller)
			.filter(({ from, to }) => from < one.to && to > one.from)
			.map(
				({ load, from, to }): ChillBeside => ({
					load,
					from_min: (from - one.from) / MINUTE_MS,
					to_min: (to - one.from) / MINUTE_MS,
				}),
			)
			.sort((a, b) => a.from_min - b.from_min || a.load.area_m2 - b.load.area_m2),
	);
	const area = (some: readonly ChillBeside[]) => some.reduce((sum, { load }) => sum + load.area_m2, 0);
	return besides.reduce<ChillBeside[]>((most, some) => (area(some) > area(most) ? some : most), []);
}
