import type { Plan, PreparedBatch, Standing } from "../dish/index.ts";
import type { PlacedTask } from "../tasks/index.ts";
import type { Day } from "./Day.ts";

/** Kept by this room alone: whoever has one of these got it from the placing, or from its reader. */
declare const WORKED: unique symbol;

/** A dish where the placing has put it: its oven, its time, and all that depends on them. */
export interface WorkedDish extends Plan {
	/** Where its pans stand and how hot; what is asked of it otherwise is answered there. */
	readonly standing: Standing;
	readonly [WORKED]: "dish";
}

/** What is made in the house for some dishes, where the placing has put it. */
export interface WorkedBatch extends Omit<PreparedBatch, "tasks"> {
	readonly tasks: readonly PlacedTask[];
}

/**
 * A day as it was placed, and every dish of it as it stands there. Screens, papers and files read
 * it; there is no other way to a plan of what stands on a sitting.
 *
 * @see model, section N
 */
export interface WorkedDay extends Day {
	/** By the id of the dish. */
	readonly dishes: ReadonlyMap<string, WorkedDish>;
	/** By the id of the sitting. */
	readonly batches: ReadonlyMap<string, readonly WorkedBatch[]>;
	readonly [WORKED]: "day";
}

/** Marks a dish as placed. For the placing alone. */
export function workedDish(plan: Plan, standing: Standing): WorkedDish {
	return { ...plan, standing } as WorkedDish;
}

/** Marks a day as placed. For the placing alone. */
export function workedDay(day: Day, dishes: WorkedDay["dishes"], batches: WorkedDay["batches"]): WorkedDay {
	return { ...day, dishes, batches } as WorkedDay;
}
