/** A to Z, then A2 to Z2: what a dish is called in a list. */
export function letterOf(index: number): string {
	const round = Math.floor(index / 26);
	return String.fromCharCode(65 + (index % 26)) + (round > 0 ? String(round + 1) : "");
}
