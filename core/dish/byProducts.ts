import { laterDay, wallClock } from "../time/index.ts";
import { BY_PRODUCT_KINDS, type ByProductKind } from "../trade/index.ts";
import { isByPiece } from "../yields/index.ts";
import { type Plan, taskAt } from "./Plan.ts";

/** Where what is left of a dish goes, by what it is: the short name of the stock that is made with it. */
export type ByProductUses = Partial<Readonly<Record<ByProductKind, string>>>;

/** What a kilo of each is worth to the house, minor units; nothing where it puts no worth on it. */
export type ByProductWorth = Partial<Readonly<Record<ByProductKind, number>>>;

/** Something that is left of a dish and worth keeping. */
export interface ByProduct {
	readonly kind: ByProductKind;
	readonly kg: number;
	/** When it is there, ms since 1970 UTC. */
	readonly at: number;
	/** The last day on which it is used, by the house's own rule: "2026-12-07". */
	readonly useBy: string;
}

/** What the house does with what is left. */
export interface ByProductRule {
	readonly timeZone: string;
	/** Days that it keeps chilled, the first counted. */
	readonly keeps_days: number;
}

/** Less than this is wiped up, kg. */
const CRUMB_KG = 0.05;

/**
 * What is left of a planned dish, as its own figures say: trim when it is trimmed, bones where they
 * do not go to the plate, fat that is skimmed, liquid that neither the sauce nor the meat needs.
 * Weights by model, sections A, F and L.
 */
export function byProductsOf(plan: Plan, { timeZone, keeps_days }: ByProductRule): ByProduct[] {
	const kilos = kilosOf(plan);
	return BY_PRODUCT_KINDS.flatMap((kind): ByProduct[] => {
		if (kilos[kind] < CRUMB_KG) return [];
		const at = thereAt(plan, kind);
		return [
			{
				kind,
				kg: kilos[kind],
				at,
				useBy: laterDay(wallClock(at, timeZone).date, keeps_days - 1),
			},
		];
	});
}

function kilosOf({ chain, sums, recipe, liquid, sauce }: Plan): Record<ByProductKind, number> {
	const bone = isByPiece(recipe.portion) ? 0 : (recipe.losses.boneShare ?? 0);
	const over_l = sauce ? Math.max(0, sauce.over_l - sauce.moistens_l) : 0;
	return {
		trim: sums.trim.result.value,
		bones: chain.trimmed_kg * bone,
		fat: liquid?.fat_kg ?? 0,
		// Braising liquid weighs about what water does.
		liquid: over_l,
	};
}

/** Trim when the trimming is over, all else after the lift. */
function thereAt(plan: Plan, kind: ByProductKind): number {
	if (kind === "trim") return taskAt(plan, "trim")?.end ?? plan.order.serviceAt;
	return taskAt(plan, "rest", "lift")?.end ?? plan.order.serviceAt;
}

/** By-products that go into something made in the house, kg together, and when the last of them is there. */
export interface GoingInto {
	readonly kg: number;
	readonly at: number;
	/** "raw trim of Lamb shoulder": what it is and whose. */
	readonly from: readonly { readonly kind: ByProductKind; readonly dish: string; readonly kg: number }[];
}

/** What goes where, by the short name of what is made with it. */
export function goingInto(
	dishes: readonly { readonly plan: Plan; readonly uses: ByProductUses }[],
	rule: ByProductRule,
): Map<string, GoingInto> {
	const into = new Map<string, GoingInto>();
	for (const { plan, uses } of dishes) {
		for (const { kind, kg, at } of byProductsOf(plan, rule)) {
			const to = uses[kind];
			if (to === undefined) continue;
			const before = into.get(to) ?? { kg: 0, at: 0, from: [] };
			into.set(to, {
				kg: before.kg + kg,
				at: Math.max(before.at, at),
				from: [...before.from, { kind, dish: plan.recipe.name, kg }],
			});
		}
	}
	return into;
}
