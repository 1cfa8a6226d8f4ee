import type { Day } from "./Day.ts";
import type { DayChange } from "./DayChange.ts";

/** A dish of an issued day, as it was ordered. */
export interface IssuedDish {
	readonly id: string;
	readonly name: string;
	/** Its letter on the wall, on labels and on paper; it keeps it. */
	readonly tag: string;
	/** The card and the number it was planned with. */
	readonly recipe: string;
	readonly number: number;
	readonly portions: number;
	readonly pans: readonly { readonly typeId: string; readonly name: string; readonly count: number }[];
}

/** A sitting of an issued day, as it stood. */
export interface IssuedSitting {
	readonly id: string;
	readonly name: string;
	readonly serviceAt: number;
	readonly covers: number;
	readonly dishes: readonly IssuedDish[];
}

/** A day as it was issued: what was placed, and all that it was made from. */
export interface IssuedDay {
	/** Stands for all that it was made from; numbers of before have none. */
	readonly made?: string;
	readonly day: Day;
	readonly changes: readonly DayChange[];
	readonly sittings: readonly IssuedSitting[];
}
