import type { Day, Unmet } from "./Day.ts";

/** One cause for which some tasks go without something. */
export interface Cause {
	/** What would have to be had: as for one task, over all of them. */
	readonly unmet: Unmet;
	/** Tasks that it would free, the first to start first. */
	readonly tasks: readonly string[];
}

type Timed = Extract<Unmet, { readonly short: number }>;

/**
 * The causes behind all that a day goes without, as few as there are: the same people or the same
 * pans that are missing for several tasks in one stretch are one cause, which names the most that
 * is missing at a time.
 */
export function causesOf({ unmet, tasks }: Pick<Day, "unmet" | "tasks">): Cause[] {
	const order = new Map(tasks.map(({ id }, index) => [id, index]));
	const place = (id: string) => order.get(id) ?? tasks.length;
	const causes: { timed: Timed[]; key: string; to: number }[] = [];
	const timed = unmet.filter((one): one is Timed => "short" in one).sort((a, b) => a.from - b.from);
	for (const one of timed) {
		const key = one.because === "tooFew" ? one.equipment : one.because;
		const open = causes.find((cause) => cause.key === key && one.from <= cause.to + APART_MS);
		if (open) {
			open.timed.push(one);
			open.to = Math.max(open.to, one.to);
		} else causes.push({ key, timed: [one], to: one.to });
	}
	const joined = causes.map(({ timed: some, to }): Cause => {
		const [first] = some as [Timed];
		const ids = [...new Set(some.map(({ task }) => task))].sort((a, b) => place(a) - place(b));
		return { unmet: { ...first, task: ids[0] as string, short: shortOf(some), to }, tasks: ids };
	});
	const others = unmet
		.filter((one) => !("short" in one))
		.map((one): Cause => ({ unmet: one, tasks: [one.task] }));
	return [...joined, ...others].sort((a, b) => place(a.unmet.task) - place(b.unmet.task));
}

/** What is missing twice within this time is missing once, ms. */
const APART_MS = 30 * 60_000;

/**
 * The most that is missing at a time. People who are missing for two tasks at once add up; of
 * things, what was taken too often before is in the figure already.
 */
function shortOf(some: readonly Timed[]): number {
	if (some.some(({ because }) => because === "tooFew")) return Math.max(...some.map(({ short }) => short));
	const at = (moment: number) =>
		some.reduce((sum, { from, to, short }) => (from <= moment && to > moment ? sum + short : sum), 0);
	return Math.max(...some.map(({ from }) => at(from)));
}
