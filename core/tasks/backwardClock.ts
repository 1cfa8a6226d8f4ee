import type { Range } from "../quantity/index.ts";
import { latestWorkingStart, minutesBefore, onDay, type WorkingHours } from "../time/index.ts";

/** How long each part of the work takes, minutes on the wall. */
export interface Durations {
	readonly trim_min: number;
	/** Absent when the dish is not marinated. */
	readonly marinate_min?: number;
	readonly sear_min: number;
	readonly build_min: number;
	readonly panUp_min: number;
	/** From the oven door to fork-tender. */
	readonly braise_min: Range;
	/** What the pan is given: tender within it as surely as the house wants. */
	readonly allowed_min: number;
	readonly rest_min: number;
	readonly sauce_min: number;
	readonly plate_min: number;
}

export interface DayOfWork {
	/** Instant of service, ms since 1970 UTC. */
	readonly serviceAt: number;
	readonly timeZone: string;
	readonly hours: WorkingHours;
	readonly orderLead_days: number;
}

/** When each thing starts, as instants (ms since 1970 UTC). */
export interface Clock {
	readonly buy: number;
	readonly trim: number;
	readonly marinate?: number;
	/** The drain, when a marinade ends. */
	readonly drain?: number;
	readonly sear: number;
	readonly build: number;
	readonly panUp: number;
	readonly in: number;
	readonly tender: Range;
	/** Out of the liquid, to rest; the latest that it must be tender. */
	readonly rest: number;
	readonly sauce: number;
	readonly plate: number;
	readonly serve: number;
}

/** Starts are given to the five minutes, the earlier: nobody works to 15:19. */
const STEP_MS = 5 * 60_000;

/** The latest start on the five minutes that leaves so many minutes until `end`. */
export function startBefore(end: number, minutes: number): number {
	return toStep(minutesBefore(end, minutes), Math.floor);
}

function toStep(at: number, round: (steps: number) => number): number {
	return round(at / STEP_MS) * STEP_MS;
}

/** Orders go out when the kitchen opens. */
function orderTime({ serviceAt, timeZone, hours, orderLead_days }: DayOfWork): number {
	return onDay(serviceAt, timeZone, hours.opens_min, -orderLead_days);
}

/**
 * The clock put backwards from service. The pan goes in early enough to be tender as
 * surely as the house wants; trimming and the marinade, which can wait overnight, are
 * moved into the working day before.
 *
 * @see model, section I
 */
export function backwardClock(work: Durations, day: DayOfWork): Clock {
	const { serviceAt, timeZone, hours } = day;
	const plate = startBefore(serviceAt, work.plate_min);
	const rest = startBefore(plate, Math.max(work.rest_min, work.sauce_min));
	const sauce = startBefore(plate, work.sauce_min);
	const into = startBefore(rest, work.allowed_min);
	const panUp = startBefore(into, work.panUp_min);
	const build = startBefore(panUp, work.build_min);
	const sear = startBefore(build, work.sear_min);
	const marinade = marinadeFor(work, sear, timeZone, hours);
	const trim = startBefore(latestWorkingStart(marinade?.marinate ?? sear, work.trim_min, timeZone, hours), 0);
	return {
		buy: Math.min(orderTime(day), trim),
		trim,
		...marinade,
		sear,
		build,
		panUp,
		in: into,
		tender: {
			low: toStep(minutesBefore(into, -work.braise_min.low), Math.floor),
			likely: toStep(minutesBefore(into, -work.braise_min.likely), Math.round),
			high: toStep(minutesBefore(into, -work.braise_min.high), Math.ceil),
		},
		rest,
		sauce,
		plate,
		serve: serviceAt,
	};
}

function marinadeFor(
	work: Durations,
	drain: number,
	timeZone: string,
	hours: WorkingHours,
): { marinate: number; drain: number } | undefined {
	if (work.marinate_min === undefined) return undefined;
	const marinate = latestWorkingStart(minutesBefore(drain, work.marinate_min), 0, timeZone, hours);
	return { marinate, drain };
}
