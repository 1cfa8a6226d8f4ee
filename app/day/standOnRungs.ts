/** So many rungs from one moment to another. */
interface Taken {
	readonly amount: number;
	readonly from: number;
	readonly to: number;
	/** The lowest rung that the chef has settled. */
	readonly wanted?: number;
}

/**
 * Rungs for what stands in an oven, counted from the bottom: those side by side where there are so
 * many, else the lowest that are free for the whole time. What is in first has the first choice.
 *
 * @returns in the order in which they are given
 */
export function standOnRungs(stands: readonly Taken[], rungs: number): (readonly number[])[] {
	const found: (readonly number[])[] = stands.map(() => []);
	const order = stands
		.map((_, index) => index)
		.sort((a, b) => settledFirst(stands[a], stands[b]) || (stands[a]?.from ?? 0) - (stands[b]?.from ?? 0));
	for (const index of order) {
		const { amount, from, to, wanted = 0 } = stands[index] as Taken;
		const taken = new Set(
			stands.flatMap((other, at) =>
				at !== index && other.from < to && other.to > from ? (found[at] ?? []) : [],
			),
		);
		const free = Array.from({ length: rungs }, (_, rung) => rung).filter((rung) => !taken.has(rung));
		const suits = (rung: number) =>
			Array.from({ length: amount }, (_, up) => rung + up).every((each) => free.includes(each));
		const beside = free.find((rung) => rung >= wanted && suits(rung)) ?? free.find(suits);
		found[index] =
			beside === undefined ? free.slice(0, amount) : Array.from({ length: amount }, (_, up) => beside + up);
	}
	return found;
}

function settledFirst(one: Taken | undefined, other: Taken | undefined): number {
	return Number(other?.wanted !== undefined) - Number(one?.wanted !== undefined);
}
