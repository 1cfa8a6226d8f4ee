import { fromBase, threeDigits, toBase, type UnitSystem } from "#core/quantity";
import {
	type ClockHours,
	clockTime,
	clockWords,
	type DayNames,
	dayNamesFor,
	dayTyped,
	dayWords,
	timeRead,
	wallClock,
} from "#core/time";
import { type Measures, measuresIn } from "./measures.ts";

/** How one reader is told things: units, the house's clock, and which day is today. */
export interface Reading extends Measures {
	readonly timeZone: string;
	/** How this reader reads a clock. */
	readonly clockHours: ClockHours;
	readonly now: number;
	/** Instant as a clock time, the day named when it is not today. */
	clock(at: number): string;
	/** The same after another instant was named: the day only when it is another. */
	clockAfter(at: number, named: number): string;
	/** The clock time alone. */
	time(at: number): string;
	day(at: number): string;
	/** A day of the calendar, "2026-12-08", with its year: "Tue 8 Dec 2026". It passes through no instant. */
	date(date: string): string;
	/** An instant as a record has it: "Tue 8 Dec 2026 19:30". */
	moment(at: number): string;
	/** The same reader of one sitting: every day of it is named in one way. */
	towards(serviceAt: number): Reading;
}

export function readingIn(
	units: UnitSystem,
	timeZone: string,
	now: number,
	{ dayNames, clockHours = "24" }: { readonly dayNames?: DayNames; readonly clockHours?: ClockHours } = {},
): Reading {
	const wall = { timeZone, clockHours };
	const clock = (at: number) => clockWords(at, wall, now, dayNames);
	const time = (at: number) => clockTime(at, wall);
	return {
		...measuresIn(units),
		...wall,
		now,
		clock,
		clockAfter: (at, named) => {
			const sameDay = wallClock(at, timeZone).date === wallClock(named, timeZone).date;
			return sameDay ? time(at) : clock(at);
		},
		time,
		day: (at) => dayWords(at, timeZone),
		date: dayTyped,
		moment: (at) => {
			return `${dayTyped(wallClock(at, timeZone).date)} ${time(at)}`;
		},
		towards: (serviceAt) =>
			readingIn(units, timeZone, now, { clockHours, dayNames: dayNamesFor(serviceAt, timeZone, now) }),
	};
}

/** Nearer than this it is what to do next; farther it only stands there, ms. */
const SOON_MS = 2 * 3_600_000;

/** Whether something is what to do next. */
export function isSoon(at: number, { now }: Pick<Reading, "now">): boolean {
	return at - now <= SOON_MS;
}

/** A share as it is typed into a percentage field: "62". */
export function percentTyped(share: number): string {
	return String(Number((share * 100).toFixed(1)));
}

/** Minutes after midnight as a clock time: "06:00". */
export function minuteClock(minutes: number, clockHours: ClockHours = "24"): string {
	const time = `${String(Math.floor(minutes / 60)).padStart(2, "0")}:${String(minutes % 60).padStart(2, "0")}`;
	return timeRead(time, clockHours);
}

/** A share as a percentage: "62 %". */
export function percent(share: number): string {
	return `${percentTyped(share)} %`;
}

/** So many per cent, three digits and two decimals at the most; of what is less, its first digit: "0.75 %". */
export function perCent(value: number): string {
	const size = Math.abs(value);
	const rounded = size < 0.01 ? Number(value.toPrecision(1)) : Math.round(value * 100) / 100;
	return `${threeDigits(rounded)} %`;
}

/** "1 pan", "4 pans". */
export function counted(count: number, thing: string, many = `${thing}s`): string {
	return `${count.toLocaleString("en-GB")} ${count === 1 ? thing : many}`;
}

/** Minor units of a currency as money: "€24.00". Parts of a cent are not shown. */
export function money(minor: number, currency: string): string {
	const words = new Intl.NumberFormat("en-GB", { style: "currency", currency });
	return words.format(minor / minorUnitsOf(currency));
}

/** How many minor units a currency's unit has: 100 cents. */
export function minorUnitsOf(currency: string): number {
	const { maximumFractionDigits = 2 } = new Intl.NumberFormat("en-GB", {
		style: "currency",
		currency,
	}).resolvedOptions();
	return 10 ** maximumFractionDigits;
}

/** Kilos in a pound. */
const POUND_KG = fromBase(toBase(1, "lb"), "kg");

/** A price of a kilo as the reader weighs: "€11.80 a kg", "€5.35 a lb". */
export function pricePerWeight(perKg_minor: number, currency: string, units: UnitSystem): string {
	const per = units === "us" ? perKg_minor * POUND_KG : perKg_minor;
	return `${money(per, currency)} a ${units === "us" ? "lb" : "kg"}`;
}
