import { sumBy } from "es-toolkit";
import type { WorkedDish } from "#core/day";
import { countByType, ordered_kg, taskAt } from "#core/dish";
import { isInOven } from "#core/recipe";
import type { PlaceKey } from "#core/trade";
import { isByPiece } from "#core/yields";
import type { Shown } from "../ui/parts/shown.ts";

/** What the one figure of a place is; null where it is no figure of a day but of its card. */
export function shownAt(key: PlaceKey, plan: WorkedDish): Shown | null {
	const of = plan.order.id;
	switch (key) {
		case "buy":
			return boughtOf(plan);
		case "trim":
			return { what: "trimmed", of, value: plan.chain.trimmed_kg };
		case "build":
			return { what: "poured", of, value: plan.pans.liquid_l };
		case "panUp":
			return { what: "pans", of, value: sumBy(countByType(plan.pans), ({ count }) => count) };
		case "braise":
			return isInOven(plan.recipe) ? { what: "set", of, value: setOf(plan) } : null;
		case "sauce":
			return { what: "sauce", of, value: plan.sauce_l };
		default:
			return null;
	}
}

/** What the figures of one pan of a dish are. @param index its place among the pans, from nought */
export function panShown(
	{ pieces, liquid_l, lifted_kg }: WorkedDish["pans"]["pans"][number],
	dish: string,
	index: number,
): { readonly pieces: Shown; readonly poured: Shown; readonly carried: Shown } {
	const of = `${dish} pan ${index}`;
	return {
		pieces: { what: "panPieces", of, value: pieces },
		poured: { what: "panPoured", of, value: liquid_l },
		carried: { what: "panCarried", of, value: lifted_kg },
	};
}

/** When a place begins. */
export function startShown(plan: WorkedDish, key: PlaceKey): Shown | null {
	const task = taskAt(plan, key);
	return task ? { what: "start", of: task.id, value: task.start } : null;
}

/** What is ordered, as the butcher weighs or counts it. */
export function boughtOf({ chain, order, recipe }: WorkedDish): Shown | null {
	if (isByPiece(recipe.portion)) return null;
	return { what: "ordered", of: order.id, value: ordered_kg(chain) };
}

/** Temperatures that its pans are set to, each once, the slowest pans' first. */
function setOf({ braise, recipe }: WorkedDish): string {
	const set = braise ? braise.groups.map(({ set_C }) => set_C) : [recipe.braise.oven_C.set];
	return [...new Set(set)].join(" ");
}
