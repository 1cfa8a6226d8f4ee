/** Gives numbers from 0 up to 1, always the same ones for the same seed. */
export type Random = () => number;

/**
 * A small generator of 32 bits that runs the same on every machine (a counter stepped by
 * the golden ratio, mixed by two multiplications). For samples, never for secrets.
 *
 * @param seed any whole number
 */
export function seeded(seed: number): Random {
	let state = seed | 0;
	return () => {
		state = (state + 0x6d2b79f5) | 0;
		let mixed = Math.imul(state ^ (state >>> 15), state | 1);
		mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
		return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
	};
}

/** A standard normal number (Box and Muller). */
export function normal(random: Random): number {
	return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

/** The list in another order, each order as likely. */
export function shuffled<T>(list: readonly T[], random: Random): T[] {
	const mixed = [...list];
	for (let last = mixed.length - 1; last > 0; last -= 1) {
		const other = Math.floor(random() * (last + 1));
		[mixed[last], mixed[other]] = [mixed[other] as T, mixed[last] as T];
	}
	return mixed;
}
