import { divide, figure, lessShare, multiply, reckoned, type Sum } from "../workings/index.ts";
import type { Losses } from "./yieldChain.ts";

/** What bone and cooking leave of a trimmed weight, a factor each. */
export function keptFactors({ boneShare = 0, cookingLoss }: Omit<Losses, "trimLoss">): Sum[] {
	return [...(boneShare > 0 ? [lessShare(boneShare, "bone")] : []), lessShare(cookingLoss, "cookingLoss")];
}

/** Share of the trimmed weight that reaches the plate. */
export function cookedShare(losses: Omit<Losses, "trimLoss">): number {
	return reckoned(multiply(...keptFactors(losses)));
}

/** Cooked weight of a trimmed one, kg. */
export function cookedFrom(trimmed: Sum, losses: Losses): Sum {
	return multiply(trimmed, ...keptFactors(losses));
}

/** Trimmed weight that cooks down to so much, kg. */
export function trimmedFor(cooked: Sum, losses: Losses): Sum {
	return divide(cooked, multiply(...keptFactors(losses)));
}

/** Weight to buy for a trimmed one, kg. */
export function purchasedFor(trimmed: Sum, { trimLoss }: Losses): Sum {
	return divide(trimmed, lessShare(trimLoss, "trim"));
}

/** What trimming leaves of a weight as purchased, kg. */
export function trimmedFrom(asPurchased: Sum, { trimLoss }: Losses): Sum {
	return multiply(asPurchased, lessShare(trimLoss, "trim"));
}

/** kg of so many things that weigh so much each, g. */
export function weighing(count: Sum, each_g: number, what: string): Sum {
	return multiply(count, figure(each_g / 1000, "kg", what));
}
