import type { Allergen } from "../recipe/index.ts";
import type { PlanFigures } from "./Plan.ts";

/** A figure of the dish as its card makes it, and with the substitute. */
export interface BeforeAfter {
	readonly before: number;
	readonly after: number;
}

/** What a dish becomes with something in place of one of its lines. */
export interface SwapEffect {
	/** Poured into all pans, l. */
	readonly poured_l: BeforeAfter;
	/** Salt of the finished sauce, %. */
	readonly salt_pct: BeforeAfter;
	/** What gives the sauce body: gelatin a litre of it. */
	readonly gelatin_g_per_l: BeforeAfter;
	readonly sauce_l: BeforeAfter;
	/** Allergens that come in with it, and that go. */
	readonly brings: readonly Allergen[];
	readonly takesAway: readonly Allergen[];
}

/** What changes between two plans of one dish. */
export function swapEffect(before: PlanFigures, after: PlanFigures): SwapEffect {
	const pair = (of: (plan: PlanFigures) => number): BeforeAfter => ({ before: of(before), after: of(after) });
	const [had, has] = [contained(before), contained(after)];
	return {
		poured_l: pair(({ pour }) => pour?.poured_l ?? 0),
		salt_pct: pair(({ salt_pct }) => salt_pct ?? 0),
		gelatin_g_per_l: pair(({ sauce }) => sauce?.gelatin_g_per_l ?? 0),
		sauce_l: pair(({ sauce, sauce_l }) => Math.min(sauce_l, sauce?.there_l ?? 0)),
		brings: [...has].filter((allergen) => !had.has(allergen)),
		takesAway: [...had].filter((allergen) => !has.has(allergen)),
	};
}

function contained({ allergens }: PlanFigures): Set<Allergen> {
	return new Set(allergens.filter(({ presence }) => presence === "contains").map(({ allergen }) => allergen));
}
