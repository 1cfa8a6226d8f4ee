import { type Answer, answersApart, QUANTITIES, type Quantity } from "./outcome.ts";
import { CHANGES, type Change } from "./situation.ts";

/** One thing that a cook said and what it was. */
export interface Judged {
	readonly change: Change;
	readonly quantity: Quantity;
	readonly said: Answer;
	readonly was: Answer;
}

/** How often out of how many times it was right. */
export interface Score {
	readonly right: number;
	/** Next to the right one. */
	readonly near: number;
	readonly of: number;
}

/** What a cook judges well and badly. */
export interface CookRecord {
	readonly all: Score;
	readonly byQuantity: Readonly<Record<Quantity, Score>>;
	/** The kinds that were asked, the best judged first. */
	readonly byChange: readonly { readonly change: Change; readonly score: Score }[];
}

export function recordOf(judged: readonly Judged[]): CookRecord {
	const byQuantity = Object.fromEntries(
		QUANTITIES.map((quantity) => [
			quantity,
			scoreOf(judged.filter((answered) => answered.quantity === quantity)),
		]),
	) as Record<Quantity, Score>;
	const byChange = CHANGES.map((change) => ({
		change,
		score: scoreOf(judged.filter((answered) => answered.change === change)),
	}))
		.filter(({ score }) => score.of > 0)
		.sort((a, b) => share(b.score) - share(a.score) || b.score.of - a.score.of);
	return { all: scoreOf(judged), byQuantity, byChange };
}

function scoreOf(judged: readonly Judged[]): Score {
	const apart = judged.map(({ said, was }) => answersApart(said, was));
	return {
		right: apart.filter((steps) => steps === 0).length,
		near: apart.filter((steps) => steps === 1).length,
		of: judged.length,
	};
}

/** Right ones count whole, near ones half. */
export function share({ right, near, of: all }: Score): number {
	return all === 0 ? 0 : (right + near / 2) / all;
}
