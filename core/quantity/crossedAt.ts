/** A temperature at a minute. */
export interface MinuteAndC {
	readonly minute: number;
	readonly C: number;
}

/**
 * When a straight line between two moments comes to a temperature, up or down.
 *
 * @returns minutes; the later moment where the line is level
 * @example crossedAt({ minute: 10, C: 50 }, { minute: 20, C: 70 }, 55) // 12.5
 * @example crossedAt({ minute: 10, C: 70 }, { minute: 20, C: 50 }, 55) // 17.5
 */
export function crossedAt(before: MinuteAndC, after: MinuteAndC, at_C: number): number {
	const changes_K = after.C - before.C;
	if (changes_K === 0) return after.minute;
	return before.minute + ((at_C - before.C) / changes_K) * (after.minute - before.minute);
}
