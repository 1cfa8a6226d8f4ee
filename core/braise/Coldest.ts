import { crossedAt } from "../quantity/index.ts";
import { type KillTable, meanRate } from "../safety/index.ts";

/** What is asked of the coldest point of a pan. */
export interface ColdestAsked {
	/** Where it has come up, °C. */
	readonly hot_C: number;
	/** What it has to have had. */
	readonly kill: KillTable;
}

/** Minutes from the start; null where it is never so. */
export interface ColdestReached {
	/** When its coldest point is hot. */
	readonly hot_min: number | null;
	/** When that point has had as much as the table asks, as it counts there. */
	readonly killed_min: number | null;
}

/** Follows the coldest point of a pan: when it has come up, and when it has had its kill. */
export class Coldest {
	private hot_min: number | null = null;
	private killed_min: number | null = null;
	private kill_min = 0;
	private before_min = 0;

	constructor(
		private readonly asked: ColdestAsked,
		private before_C: number,
	) {
		if (before_C >= asked.hot_C) this.hot_min = 0;
	}

	/** The next step, straight between its ends. */
	add(minute: number, C: number): void {
		const { hot_C } = this.asked;
		this.hot_min ??= C >= hot_C ? this.crossed(minute, C, hot_C) : null;
		if (this.killed_min === null) this.countKill(minute, C);
		this.before_C = C;
		this.before_min = minute;
	}

	private countKill(minute: number, C: number): void {
		const { before_C, before_min, kill_min } = this;
		const { ref_C, z_C, minutes, least_C } = this.asked.kill;
		if (C < least_C) return;
		const from_C = Math.max(before_C, least_C);
		const from_min = before_C < least_C ? this.crossed(minute, C, least_C) : before_min;
		const had_min = (minute - from_min) * meanRate((from_C - ref_C) / z_C, (C - ref_C) / z_C);
		this.kill_min = kill_min + had_min;
		if (this.kill_min < minutes) return;
		// Within one step it is had evenly.
		this.killed_min = from_min + ((minute - from_min) * (minutes - kill_min)) / had_min;
	}

	private crossed(minute: number, C: number, at_C: number): number {
		return crossedAt({ minute: this.before_min, C: this.before_C }, { minute, C }, at_C);
	}

	reached(): ColdestReached {
		return { hot_min: this.hot_min, killed_min: this.killed_min };
	}
}
