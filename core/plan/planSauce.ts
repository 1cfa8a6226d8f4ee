import { type Kitchen, potsOf } from "../kitchen/index.ts";
import { type LiquidAccount, type SaucePlan, sauceFrom } from "../liquid/index.ts";
import { type PanType, volumeBelow } from "../pans/index.ts";
import type { Recipe } from "../recipe/index.ts";
import type { PlanLine } from "./planLines.ts";
import { dredgedFlour } from "./planLiquid.ts";

/** The sauce of a dish, and the pot it is finished in. */
export interface PlanSauce extends SaucePlan {
	/** Round pots that take it, as many as needed; null when the kitchen has none. */
	readonly pot: PanType | null;
	readonly pots: number;
	/** How far the card's own finish reduces it, a share. */
	readonly cardReduces: number;
	/** What gives it body beside reduction. */
	readonly body: SauceBody;
}

export type SauceBody = "reduction" | "flour" | "starch" | "puree";

/** How full a pot may be in which something boils down, as a share of its depth. */
export const POT_FULL = 0.75;
/** A pot to reckon with where the kitchen has no round one, mm. */
const ANY_POT_MM = 360;

/**
 * How far a sauce is reduced where its card does not say: by half to a coating sauce, by a
 * quarter where flour, starch or a purée gives it body. General practice.
 */
export const USUAL_REDUCTION: Readonly<Record<SauceBody, number>> = {
	reduction: 0.5,
	flour: 0.25,
	starch: 0.25,
	puree: 0.25,
};

/** Longest that a sauce boils down while the meat waits, minutes: beyond it the meat dries at its edges. */
export const MOST_REDUCING_MIN = 45;

/**
 * The sauce wanted from the liquid there is, by the card's own finish, in the kitchen's own pot.
 *
 * @see model, section G
 */
export function planSauce(
	recipe: Recipe,
	account: LiquidAccount | null,
	wanted_l: number,
	lines: readonly PlanLine[],
	{ equipment, policy }: Kitchen,
): PlanSauce | null {
	if (!account) return null;
	const body = bodyOf(recipe, lines);
	const cardReduces = recipe.finish?.reduceBy ?? USUAL_REDUCTION[body];
	const finish = {
		reduceBy: cardReduces,
		mostSalt_pct: policy.saltBand_pct.high,
		most_min: MOST_REDUCING_MIN,
	};
	const inPots = (count: number, diameter_mm: number) =>
		sauceFrom(
			account,
			wanted_l,
			{ diameter_mm, power_kW: equipment.hobPower_kW, count },
			dredgedFlour(lines),
			finish,
		);
	// What the finish asks says which pots are needed; they say how long it takes.
	const asked_l = Math.min(account.left_l, wanted_l / (1 - cardReduces));
	const pots = saucePots(Math.max(asked_l, wanted_l), equipment);
	return { ...inPots(pots.count, pots.diameter_mm), pot: pots.pot, pots: pots.count, cardReduces, body };
}

/** What the card's lines and its answer between schools say of the sauce's body. */
function bodyOf({ schools }: Recipe, lines: readonly PlanLine[]): SauceBody {
	switch (schools?.flour) {
		case "puree":
			return "puree";
		case "starch":
			return "starch";
		case "reduction":
			return "reduction";
		case undefined: {
			const thickens = lines.some(({ line }) => line.role === "thickener");
			return thickens || dredgedFlour(lines) > 0 ? "flour" : "reduction";
		}
		default:
			return "flour";
	}
}

/** The pots that boil it down quickest: the widest, as many as it takes, each on its burner. */
function saucePots(
	litres: number,
	equipment: Kitchen["equipment"],
): { pot: PanType | null; count: number; diameter_mm: number } {
	const kinds = potsOf(equipment).flatMap((pot) => {
		if (!("round" in pot.shape)) return [];
		const { diameter_mm, height_mm } = pot.shape.round;
		const count = Math.max(1, Math.ceil(litres / volumeBelow(pot.shape, height_mm * POT_FULL)));
		return count <= Math.min(pot.stock, equipment.burners) ? [{ pot, count, diameter_mm }] : [];
	});
	const [best] = kinds.sort((a, b) => a.count - b.count || b.diameter_mm - a.diameter_mm);
	return best ?? { pot: null, count: 1, diameter_mm: ANY_POT_MM };
}
