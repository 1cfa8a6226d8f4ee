import type { WorkingHours } from "../time/index.ts";

const DAY_MIN = 1440;

/** A working day from two clocks; one that closes before it opens closes after midnight. @returns null where both are the same */
export function workingDay(opens: string, closes: string): WorkingHours | null {
	const opens_min = minutesOf(opens);
	const closes_min = minutesOf(closes);
	if (opens_min === closes_min) return null;
	return { opens_min, closes_min: closes_min < opens_min ? closes_min + DAY_MIN : closes_min };
}

function minutesOf(clock: string): number {
	const [hours, minutes] = clock.split(":").map(Number);
	return (hours ?? 0) * 60 + (minutes ?? 0);
}
