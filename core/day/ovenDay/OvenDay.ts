/** One oven as the clock sees it: shelves to fill, and how hot it can be. */
export interface DayOven {
	readonly id: string;
	readonly shelves: number;
	readonly min_C: number;
	readonly max_C: number;
}

/** One way to cook a batch: how long it takes at any temperature of a range. */
export interface OvenWay {
	readonly minutes: number;
	readonly low_C: number;
	readonly high_C: number;
	/** The ovens it is meant for, by id; absent where all are. */
	readonly ovens?: readonly string[];
	/** Shelves that it takes in them, where it is not as many as the batch says. */
	readonly shelves?: number;
}

/** What is cooked together as one, in one oven, for its whole time without a break. */
export interface OvenBatch {
	readonly id: string;
	readonly shelves: number;
	readonly ways: readonly OvenWay[];
	/** It should be out by then, minutes. */
	readonly readyBy_min: number;
	/** It can not go in before, minutes. */
	readonly notBefore_min: number;
}

/** What stands in an oven already and stays. */
export interface OvenHeld {
	readonly oven: string;
	readonly shelves: number;
	readonly from_min: number;
	readonly to_min: number;
	readonly set_C: number;
}

export interface OvenDay {
	/** Every start is a multiple of it. */
	readonly step_min: number;
	readonly ovens: readonly DayOven[];
	readonly batches: readonly OvenBatch[];
	readonly held?: readonly OvenHeld[];
}

/** A batch in its oven. */
export interface Assignment {
	readonly id: string;
	readonly oven: string;
	readonly start_min: number;
	/** From the door to the lift. */
	readonly minutes: number;
	readonly shelves: number;
	readonly set_C: number;
}

export interface OvenPlan {
	/** In the order of the batches. */
	readonly assignments: readonly Assignment[];
	/** Minutes finished after `readyBy`, summed. */
	readonly late_min: number;
	/** Shelves × minutes from the finish to `readyBy`, summed. */
	readonly wait_shelf_min: number;
	/** No plan that is as little late waits less. */
	readonly bound_wait_shelf_min: number;
	/** Nothing is better: every other plan was tried or ruled out. */
	readonly proven: boolean;
}
