/**
 * Where names stand that want to stand at given heights, so that none covers another: each as near
 * to its own as its neighbours allow, all within the ends.
 *
 * @param wanted heights, in any order, px
 * @param step least way between two, px
 * @param ends the least and the greatest height there is; what does not fit goes over the last
 * @returns a height for each, in the order given
 */
export function spreadOut(
	wanted: readonly number[],
	step: number,
	ends: readonly [least: number, most: number],
): number[] {
	const [least, most] = ends;
	const order = wanted.map((_, index) => index).sort((a, b) => (wanted[a] ?? 0) - (wanted[b] ?? 0));
	const placed = wanted.map(() => 0);
	let before = least - step;
	for (const index of order) {
		before = Math.max(before + step, wanted[index] ?? 0);
		placed[index] = before;
	}
	// Whoever was pushed past the end pushes the ones before back.
	let after = most + step;
	for (const index of order.toReversed()) {
		if ((placed[index] ?? 0) <= after - step) break;
		after -= step;
		placed[index] = Math.max(after, least);
	}
	return placed;
}
