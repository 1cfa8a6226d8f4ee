import type { ChillLoad } from "../chill/index.ts";
import type { DishNeeds } from "../dish/index.ts";
import type { Kitchen } from "../kitchen/index.ts";
import type { Predecessor, TaskPart, TaskPlace } from "../tasks/index.ts";
import type { WorkingHours } from "../time/index.ts";
import type { DayChange } from "./DayChange.ts";

/** Somebody who works here, and when. */
export interface Cook {
	readonly id: string;
	readonly name: string;
	readonly hours: WorkingHours;
	/** Places of the table where they work; none named: at every one. */
	readonly does?: readonly TaskPlace[];
}

/** Where food or plates stand: a chiller by pans, a fridge by litres, a warmer by plates, insulated boxes by their number. */
export interface StandingPlace {
	readonly id: string;
	readonly name: string;
	readonly kind: "chiller" | "fridge" | "warmer" | "box";
	readonly capacity: number;
}

/** A sitting with what its dishes need. */
export interface SittingOfDay {
	readonly id: string;
	readonly name: string;
	readonly serviceAt: number;
	readonly hands: number;
	readonly dishes: readonly DishNeeds[];
}

/** Everything that happens in one kitchen in some days. */
export interface DayGiven {
	readonly kitchen: Kitchen;
	/** Nobody named: as many as the sittings ask for, in the house's hours. */
	readonly cooks: readonly Cook[];
	readonly places: readonly StandingPlace[];
	readonly sittings: readonly SittingOfDay[];
	/** Facts of the day that are on no card. */
	readonly changes?: readonly DayChange[];
	/** A day that is being worked to: what of it is begun stays, and as little else as can be moves. */
	readonly before?: Pick<Day, "tasks">;
	/** Nothing that is open begins before, ms since 1970 UTC. */
	readonly now?: number;
	/** What the days before have in hand: it is theirs, and stays. */
	readonly held?: readonly HeldUse[];
}

/** What a day before has in hand. */
export interface HeldUse extends Use {
	/** What is cooled there, where it takes its share of a chiller's power. */
	readonly cooled?: ChillLoad;
}

export type EquipmentKind =
	| "oven"
	| "burner"
	| "pot"
	| "searPan"
	| "pan"
	| "tray"
	| "chiller"
	| "fridge"
	| "warmer"
	| "box"
	| "bench"
	| "plate"
	| "cook";

export interface DayEquipment {
	readonly id: string;
	readonly kind: EquipmentKind;
	readonly name: string;
	readonly capacity: number;
	readonly unit: "rung" | "piece" | "litre";
	/** When it can be had, ms since 1970 UTC. */
	readonly windows: readonly (readonly [number, number])[];
	readonly min_C?: number;
	readonly max_C?: number;
}

/** So much of something from one moment to another, ms since 1970 UTC. */
export interface Use {
	readonly equipment: string;
	readonly amount: number;
	readonly from: number;
	readonly to: number;
	readonly set_C?: number;
}

/** A task with its place in the day and everything that it has in hand. */
export interface DayTask {
	readonly id: string;
	/** Dish or preparation. */
	readonly for: string;
	readonly forName: string;
	readonly sitting: string;
	readonly place: TaskPlace;
	readonly part: TaskPart;
	readonly figures: Readonly<Record<string, number | string>>;
	readonly start: number;
	readonly end: number;
	/** When it has to be over; null where only what follows says so. */
	readonly due: number | null;
	/** Done, running or settled by the chef. */
	readonly fixed: boolean;
	/** The lowest rung that the chef has settled. */
	readonly rung?: number;
	/** Pans that stand in an oven for it. */
	readonly inOven: readonly { readonly typeId: string; readonly count: number }[];
	readonly uses: readonly Use[];
	readonly after: readonly Predecessor[];
}

/** What a task goes without, and what would mend it. */
export type Unmet =
	/** More of a thing is wanted then than there is. */
	| {
			readonly task: string;
			readonly because: "tooFew";
			readonly equipment: string;
			readonly short: number;
			readonly from: number;
			readonly to: number;
	  }
	/** So many people are missing. */
	| {
			readonly task: string;
			readonly because: "nobody";
			readonly short: number;
			readonly from: number;
			readonly to: number;
	  }
	/** No oven takes its pans at a temperature that suits it. */
	| { readonly task: string; readonly because: "noOven"; readonly rungs: number }
	/** So many of its pieces find no pan, and are in none of its figures. */
	| {
			readonly task: string;
			readonly because: "noPan";
			readonly pieces: number;
			readonly portions: number;
			/** What would take them. */
			readonly pans: { readonly typeId: string; readonly count: number };
			/** Pieces that have a pan. */
			readonly laid: number;
	  }
	/** It is not over in time. */
	| { readonly task: string; readonly because: "late"; readonly minutes: number }
	/** What follows it is settled, or has begun, so long before it is over. */
	| {
			readonly task: string;
			readonly because: "tooLateFor";
			readonly next: string;
			readonly minutes: number;
	  }
	/** What follows it comes later than it may wait. */
	| { readonly task: string; readonly because: "waitsTooLong"; readonly minutes: number };

/** All tasks of all dishes and preparations, over all that the kitchen has. */
export interface Day {
	readonly from: number;
	readonly to: number;
	readonly equipment: readonly DayEquipment[];
	/** The first to start first. */
	readonly tasks: readonly DayTask[];
	readonly late_min: number;
	/** Rungs × minutes that what is tender waits in the heat or is held. */
	readonly waiting_rung_min: number;
	/** No other choice of ovens, temperatures and starts waits less, with the rest of the day as it is. */
	readonly bound_waiting_rung_min: number;
	readonly unmet: readonly Unmet[];
}
