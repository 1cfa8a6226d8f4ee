/**
 * Pieces shared out so that no pan holds more than one piece more than another.
 *
 * @example spreadEvenly(58, 4) // [15, 15, 14, 14]
 */
export function spreadEvenly(pieces: number, pans: number): number[] {
	const each = Math.floor(pieces / pans);
	const over = pieces - each * pans;
	return Array.from({ length: pans }, (_, pan) => (pan < over ? each + 1 : each));
}
