import type { Lid } from "../trade/index.ts";

/** What heats a pan. */
export type Heat =
	| {
			readonly kind: "stillOven" | "fanOven" | "waterBath" | "pressure" | "slowCooker";
			readonly set_C: number;
	  }
	/** A bare simmer, so far from its usual temperature; or a full boil. */
	| { readonly kind: "hob"; readonly simmer: boolean; readonly off_K?: number };

export const HEAT_KINDS = ["stillOven", "fanOven", "waterBath", "pressure", "slowCooker", "hob"] as const;
export type HeatKind = (typeof HEAT_KINDS)[number];

/** An oven's power, and the pans that share it; without it there is always enough. */
export interface OvenPower {
	readonly power_kW: number;
	readonly pans: number;
}

/** The door opened, and by how much the air falls. */
export interface Door {
	readonly at_min: number;
	readonly drop_C: number;
}

/** The oven set anew: start hot, then drop. */
export interface Reset {
	readonly at_min: number;
	readonly set_C: number;
}

/** The lid changed: off at the end. */
export interface LidChange {
	readonly at_min: number;
	readonly lid: Lid;
}

/** What joins late: it brings its water and its heat from its minute on. */
export interface Addition {
	readonly at_min: number;
	readonly kg: number;
	readonly temp_C: number;
	/** Share of its weight that is water. */
	readonly water: number;
	/** Share of its weight that joins the liquid. */
	readonly gives: number;
}

/** Everything that happens to a pan on its way. */
export interface Events {
	readonly doors?: readonly Door[];
	readonly resets?: readonly Reset[];
	readonly lids?: readonly LidChange[];
	readonly additions?: readonly Addition[];
}

/** The same in the order in which it happens. */
export function inOrder(events: Events): Required<Events> {
	const byTime = <Event extends { readonly at_min: number }>(list: readonly Event[] = []) =>
		[...list].sort((a, b) => a.at_min - b.at_min);
	return {
		doors: byTime(events.doors),
		resets: byTime(events.resets),
		lids: byTime(events.lids),
		additions: byTime(events.additions),
	};
}

/** Minutes at which anything happens, in order. */
export function minutesOf(events: Required<Events>): number[] {
	return Object.values(events)
		.flat()
		.map(({ at_min }) => at_min)
		.sort((a, b) => a - b);
}
