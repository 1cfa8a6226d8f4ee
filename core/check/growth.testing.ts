/** How much larger the larger input is. Linear cost grows as much, quadratic the square of it. */
export const TIMES_LARGER = 8;
/** What grows no faster than its size stays well below this, and what grows with the square well above. */
export const MOST_GROWTH = 24;
/** So often it is measured anew, while it seems to grow too much: cost that does, does so every time. */
const ROUNDS = 6;
const RUNS = 3;
/** Shorter than this is noise, ms. */
const NOISE_MS = 4;

/**
 * By how much the cost grows when the input is eight times as large: the best of some runs each, and
 * of some rounds of them, so that a busy machine does not count.
 *
 * @param size of the smaller input
 * @param make what is to be done with an input of a size; making it does not count
 */
export async function growthOf(size: number, make: (size: number) => () => unknown): Promise<number> {
	const [small, large] = [make(size), make(size * TIMES_LARGER)];
	let [least, most] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
	for (let round = 0; round < ROUNDS && !(most / Math.max(least, NOISE_MS) < MOST_GROWTH); round += 1) {
		least = Math.min(least, await bestOf(small));
		most = Math.min(most, await bestOf(large));
	}
	return most / Math.max(least, NOISE_MS);
}

async function bestOf(work: () => unknown): Promise<number> {
	let best = Number.POSITIVE_INFINITY;
	for (let run = 0; run < RUNS; run += 1) {
		const since = performance.now();
		try {
			await work();
		} catch (error) {
			// A refusal has its cost like an answer; a fault is one.
			if (error instanceof TypeError || error instanceof RangeError || error instanceof ReferenceError)
				throw error;
		}
		best = Math.min(best, performance.now() - since);
	}
	return best;
}
