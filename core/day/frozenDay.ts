import type { Plan, Standing } from "../dish/index.ts";
import type { Day } from "./Day.ts";
import { type WorkedBatch, type WorkedDay, workedDay, workedDish } from "./WorkedDay.ts";

/** A placed day as it is written down, with every figure of its dishes. */
export interface WrittenDay extends Day {
	readonly dishes: ReadonlyMap<string, Plan & { readonly standing: Standing }>;
	readonly batches: ReadonlyMap<string, readonly WorkedBatch[]>;
}

/**
 * A placed day that was written down with its figures: they are what they were then, whatever is
 * planned otherwise since.
 */
export function thawedDay({ dishes, batches, ...day }: WrittenDay): WorkedDay {
	const marked = [...dishes].map(([id, { standing, ...plan }]) => [id, workedDish(plan, standing)] as const);
	return workedDay(day, new Map(marked), batches);
}

/** Stands for what JSON has no word for. */
const MAP = "$map";
const NUMBER = "$number";

/** Anything that a placing is made of as JSON: a map as a list of pairs, a number without end by name. */
export function writtenDown(value: unknown): string {
	return JSON.stringify(value, (_, one: unknown) => {
		if (one instanceof Map) return { [MAP]: [...one] };
		if (typeof one === "number" && !Number.isFinite(one)) return { [NUMBER]: String(one) };
		return one;
	});
}

/** What was written down so, as it was. */
export function readBack(text: string): unknown {
	return JSON.parse(text, (_, one: unknown) => {
		if (typeof one !== "object" || one === null) return one;
		if (MAP in one) return new Map(one[MAP] as [unknown, unknown][]);
		if (NUMBER in one) return Number(one[NUMBER]);
		return one;
	});
}
