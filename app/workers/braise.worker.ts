import { expose } from "comlink";
import {
	type BraiseGiven,
	type PansThrough,
	pansThrough,
	type WaysAsked,
	type WayToTender,
	waysAtOven,
	waysToTender,
} from "#core/braise";

export interface Ways {
	readonly inTime: readonly WayToTender[];
	readonly atOven: readonly WayToTender[];
}

const braising = {
	/** Pans side by side, and what the first of them says to old claims. */
	pans(given: readonly BraiseGiven[]): PansThrough {
		return pansThrough(given);
	},
	/** Other ways to have a dish tender in time. */
	ways(asked: WaysAsked): Ways {
		return { inTime: waysToTender(asked), atOven: waysAtOven(asked) };
	},
};

export type BraiseWorker = typeof braising;

expose(braising);
