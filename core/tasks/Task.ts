import type { Range } from "../quantity/index.ts";
import type { PlaceKey } from "../trade/index.ts";

/** Where a task belongs: a place of the long table, or what is made in the house beforehand. */
export type TaskPlace = PlaceKey | "make";

/** What a task asks of the kitchen while it lasts. */
export type Need =
	/** Cooks side by side, for the hands-on minutes. */
	| { readonly kind: "cooks"; readonly count: number }
	| { readonly kind: "burners"; readonly count: number }
	/** So many of one kind of pot, searing pan, tray or gastronorm pan. */
	| { readonly kind: "pot" | "searPan" | "tray" | "pan"; readonly typeId: string; readonly count: number }
	/** Rungs of an oven by kind of pan; at each temperature that suits it takes its own minutes. */
	| {
			readonly kind: "rungs";
			/** Where the dish alone would stand; null where there is no oven for it. */
			readonly ovenId: string | null;
			readonly pans: readonly { readonly typeId: string; readonly count: number }[];
			readonly rungs: number;
			readonly set_C: number;
			readonly temperature_C: { readonly low: number; readonly high: number };
			/** Minutes at each temperature that suits it; of one kind of oven where it says so, else of any. */
			readonly minutesAt: readonly MinutesIn[];
			/** Whether it stands in that oven and no other: all that depends on it was worked out for it. */
			readonly stays?: boolean;
	  }
	/** Litres of a fridge; of a named one where the food was worked out for it. */
	| { readonly kind: "fridge"; readonly litres: number; readonly at?: string }
	| { readonly kind: "chiller"; readonly slots: number; readonly at?: string }
	| { readonly kind: "warmer"; readonly plates: number }
	/** Insulated boxes, from when they are packed until they are emptied. */
	| { readonly kind: "boxes"; readonly count: number };

/** Minutes in an oven that is so hot. */
export interface MinutesIn {
	readonly set_C: number;
	readonly minutes: Range;
	/** The ovens it holds for, by id; every one where it is left out. */
	readonly ovens?: readonly string[];
	/** What it was given before, minutes, where that is as good: it is given so again. */
	readonly given_min?: number;
	/** No fewer are given, however soon the first main would be tender. */
	readonly least_min?: number;
}

/** What has to be done before, and how long after it this may or must begin. */
export interface Predecessor {
	readonly task: string;
	readonly least_min: number;
	/** Null where it can wait as long as it likes. */
	readonly most_min: number | null;
}

/** Minutes of a task on the wall: with hands on it, and with nobody there. */
export interface TaskMinutes {
	readonly handsOn: Range;
	readonly waiting: Range;
	/** What is planned for it: its range made as sure as the house wants, whole minutes. */
	readonly planned: number;
}

/** One thing a dish or a preparation asks of the kitchen. */
export interface Task {
	/** Stays the same between plans: the dish, the place, and what tells it from others there. */
	readonly id: string;
	/** Dish or preparation. */
	readonly for: string;
	readonly place: TaskPlace;
	/** What of its place it is; the interface words it. */
	readonly part: TaskPart;
	/** Figures that its words need. */
	readonly figures: Readonly<Record<string, number | string>>;
	readonly minutes: TaskMinutes;
	readonly after: readonly Predecessor[];
	readonly needs: readonly Need[];
	readonly window: TaskWindow;
	/** Whether it lasts from the end of what is before it until what follows it begins; it has no minutes of its own. */
	readonly fills?: boolean;
	/** It may last no longer, minutes; as long as it likes where it is left out. */
	readonly longest_min?: number;
}

export type TaskPart =
	| "order"
	| "work"
	| "marinade"
	| "colour"
	| "oven"
	| "late"
	| "lift"
	| "rest"
	| "hold"
	| "chill"
	| "keep"
	| "reheat"
	| "pack"
	| "carry"
	| "soak"
	| "make"
	| "finish";

export interface TaskWindow {
	/** The earliest start and the latest end, ms since 1970 UTC; null where nothing says so. */
	readonly from: number | null;
	readonly to: number | null;
	/** Whether it has to lie whole inside one working day, so that it may move to the day before. */
	readonly withinHours: boolean;
	/** Whether it has to be over when the working day before that of its successor closes. */
	readonly dayBefore: boolean;
	/** It is an order: it goes out, in working hours, so many days before what follows it needs what was ordered. */
	readonly leadDays: number | null;
	/** Minute of the day by which it has to be over inside working hours; null where any will do. */
	readonly byMinute: number | null;
}

/** A task with its place on the clock, ms since 1970 UTC. */
export interface PlacedTask extends Task {
	readonly start: number;
	readonly end: number;
}

/** A time that is known exactly. */
export function exactly(minutes: number): Range {
	return { low: minutes, likely: minutes, high: minutes };
}

export const AT_ANY_TIME: TaskWindow = {
	from: null,
	to: null,
	withinHours: false,
	dayBefore: false,
	leadDays: null,
	byMinute: null,
};
