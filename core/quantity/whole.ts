/** Slack for sums that binary fractions leave a hair beside a whole number. */
const HAIR = 1e-9;

/** The next whole number, forgiving a hair of floating point: 21.000000000000004 is 21. */
export function wholeUp(value: number): number {
	// `+ 0` keeps minus nought out of sums and sheets.
	return Math.ceil(value - HAIR * Math.max(1, Math.abs(value))) + 0;
}

/** The whole number below, forgiving a hair of floating point: 58.99999999999999 is 59. */
export function wholeDown(value: number): number {
	return Math.floor(value + HAIR * Math.max(1, Math.abs(value)));
}
