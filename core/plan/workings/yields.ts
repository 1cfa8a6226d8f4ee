import { figure, subtract, type Working, working } from "../../workings/index.ts";
import { wantedWorking } from "../../yields/index.ts";
import type { WorkedPlan } from "./WorkedPlan.ts";

/** Portions that the sitting wants, and what the batch makes where something else sets its size. */
export function portionWorkings({ order, sums }: WorkedPlan): Working[] {
	return [wantedWorking(order), ...present(sums.made)];
}

/** From the plate back to the purchase. */
export function purchaseWorkings({ sums }: WorkedPlan): Working[] {
	const { taken, pieces, trimmed, cooked, asPurchased, packs, order } = sums;
	return present(taken, pieces, trimmed, cooked, asPurchased, packs, order);
}

/** What is left after trimming, and the pieces it is cut into. */
export function trimWorkings({ chain, sums }: WorkedPlan): Working[] {
	const trim = working(
		"trimToStock",
		subtract(figure(chain.asPurchased_kg, "kg", "asPurchased"), figure(chain.trimmed_kg, "kg", "trimmed")),
	);
	return [sums.trimmed, trim, ...present(sums.pieces)];
}

/** Whole pieces; never fewer than portions where one piece is a portion. */
export function piecesWorking({ sums }: WorkedPlan): Working[] {
	return present(sums.pieces);
}

function present(...all: readonly (Working | null)[]): Working[] {
	return all.flatMap((one) => one ?? []);
}
