/** Steps, at the most: each at least halves the interval every third time. */
const MOST_STEPS = 100;

/**
 * Where a rising amount reaches a value, by false position: the end that stands still counts half each
 * time (the Illinois rule), so that it closes in from both sides.
 *
 * @param amountAt  rises, or stays the same, from low to high; below the value at low and above it at high
 * @param tolerance how near the place has to be, in the unit of low and high
 * @returns a place between low and high
 * @example crossing((x) => x * x, 2, 0, 2, 1e-6) // 1.414214
 */
export function crossing(
	amountAt: (place: number) => number,
	value: number,
	low: number,
	high: number,
	tolerance: number,
): number {
	const below = { place: low, off: amountAt(low) - value };
	const above = { place: high, off: amountAt(high) - value };
	let moved: typeof below | undefined;
	for (let step = 0; step < MOST_STEPS && above.place - below.place > tolerance; step += 1) {
		const share = below.off / (below.off - above.off);
		const straight = below.place + share * (above.place - below.place);
		// Half a tolerance inside, so that an end that is all but there closes the interval.
		const place = Math.min(above.place - tolerance / 2, Math.max(below.place + tolerance / 2, straight));
		const off = amountAt(place) - value;
		if (off === 0) return place;
		const [moving, standing] = off > 0 ? [above, below] : [below, above];
		Object.assign(moving, { place, off });
		if (moved === moving) standing.off /= 2;
		moved = moving;
	}
	return (below.place + above.place) / 2;
}
