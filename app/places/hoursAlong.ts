const STEPS_MIN = [5, 10, 15, 30, 60, 120, 240];
const LONGEST_MIN = 480;
/** So many clock times fit along a drawing. */
const MOST = 7;

/** The clock times along a drawing of so many minutes, as close as they can be read. */
export function hoursAlong(
	end_min: number,
	clock: (minute: number) => string,
): { readonly minute: number; readonly words: string }[] {
	const step = STEPS_MIN.find((minutes) => end_min / minutes <= MOST) ?? LONGEST_MIN;
	return Array.from({ length: Math.floor(end_min / step) + 1 }, (_, index) => ({
		minute: index * step,
		words: clock(index * step),
	}));
}
