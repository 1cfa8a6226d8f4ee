import type { Kitchen, Vessel } from "../kitchen/index.ts";
import { type SaucePlan, sauceFrom } from "../liquid/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { figure, multiply, type Working, working } from "../workings/index.ts";
import type { YieldChain } from "../yields/index.ts";
import type { PlanLine } from "./planLines.ts";
import { dredgedFlour, type InPan, isMadeAhead, type PlanLiquid } from "./planLiquid.ts";
import { LEAST_DEPTH_MM, saucePot } from "./saucePot.ts";

/** The sauce of a dish, and the pot it is finished in. */
export interface PlanSauce extends SaucePlan {
	/** The kitchen's pots that take it, as many as needed, filled so often; null when it has none. */
	readonly pot: Vessel | null;
	readonly pots: number;
	readonly goes: number;
	/** Whether it stands so low in every pot of the kitchen that it would catch. */
	readonly catches: boolean;
	/** How far the card's own finish reduces it, a share. */
	readonly cardReduces: number;
	/** What gives it body beside reduction. */
	readonly body: SauceBody;
}

export type SauceBody = "reduction" | "flour" | "starch" | "puree";

/** A pot to reckon with where the kitchen has none: 360 mm across, on a burner. */
const ANY_POT_M2 = (Math.PI / 4) * 0.36 ** 2;

/**
 * How far a sauce is reduced where its card does not say: from about 1.6 litres to a litre of
 * coating sauce, by a quarter where flour, starch or a purée gives it body.
 * @see model, section B
 */
export const USUAL_REDUCTION: Readonly<Record<SauceBody, number>> = {
	reduction: 0.375,
	flour: 0.25,
	starch: 0.25,
	puree: 0.25,
};

/** Longest that meat waits between lift and plate unless it is held on purpose, minutes: beyond it the edges dry. */
export const MOST_WAIT_MIN = 45;
/** Meat whose last plate comes later after the lift than this is held hot on purpose, minutes. General practice. */
export const LAST_PLATE_MIN = 60;
/** What a sauce has after the lift in any case, minutes: strained, skimmed, seasoned. */
const LEAST_WAIT_MIN = 25;
/** Longest that a cold liquid is boiled down on the day of service, minutes: no meat waits for it. General practice. */
const MOST_AHEAD_MIN = 150;
/** When somebody looks first and can draw off liquid: a share of the likely time. General practice. */
export const FIRST_LOOK = 0.5;

/** What the clock leaves to a sauce. */
export interface SauceTime {
	readonly handsOn_min: number;
	/** Minutes from the first plate to the last. */
	readonly plating_min: number;
	/** Minutes from the oven door to likely tender, and to the lift. */
	readonly likely_min: number;
	readonly allowed_min: number;
}

/**
 * The sauce wanted from the liquid there is, by the card's own finish, in the kitchen's own pot.
 *
 * @param hands cooks who work on the dish
 * @see model, section G
 */
export function planSauce(
	recipe: Recipe,
	account: PlanLiquid | null,
	wanted_l: number,
	lines: readonly PlanLine[],
	{ equipment, policy }: Kitchen,
	hands: number,
	time: SauceTime,
): PlanSauce | null {
	if (!account) return null;
	const ahead = isMadeAhead(recipe);
	const waits_min = Math.max(LEAST_WAIT_MIN, Math.min(MOST_WAIT_MIN, LAST_PLATE_MIN - time.plating_min));
	const most_min = ahead ? MOST_AHEAD_MIN : Math.max(0, waits_min - Math.ceil(time.handsOn_min / hands));
	const finish = {
		reduceBy: cardReduces(recipe, lines),
		mostSalt_pct: policy.saltBand_pct.high,
		finishSalt_g: account.salt.finish_g,
		most_min,
		before_min: ahead ? 0 : Math.max(0, time.allowed_min - time.likely_min * FIRST_LOOK),
	};
	// What the finish asks says which pots are needed; they say how long it takes.
	const asked_l = Math.min(account.forSauce_l, wanted_l / (1 - finish.reduceBy));
	const taken = saucePot(Math.max(asked_l, wanted_l), wanted_l, most_min, equipment, hands);
	const pots = taken ?? { floor_m2: ANY_POT_M2, power_kW: equipment.hobPower_kW, count: 1, goes: 1 };
	return {
		...sauceFrom(account, wanted_l, pots, dredgedFlour(lines), finish),
		pot: taken?.vessel ?? null,
		pots: pots.count,
		goes: pots.goes,
		catches: taken !== null && taken.depth_mm < LEAST_DEPTH_MM,
		cardReduces: finish.reduceBy,
		body: bodyOf(recipe, lines),
	};
}

/** The finished sauce that all portions take. */
export function finishedSauce({ sauce_ml }: Recipe, { portions }: Pick<YieldChain, "portions">): Working {
	return working(
		"finishedSauce",
		multiply(figure(portions, "count", "portions"), figure(sauce_ml / 1000, "l", "aPortionOfSauce")),
		"l",
	);
}

/** How far the card's own finish reduces its sauce, a share. */
export function cardReduces(recipe: Recipe, lines: readonly InPan[]): number {
	return recipe.finish?.reduceBy ?? USUAL_REDUCTION[bodyOf(recipe, lines)];
}

/** What the card's lines and its answer between schools say of the sauce's body. */
function bodyOf({ schools }: Recipe, lines: readonly InPan[]): SauceBody {
	if (schools?.vegetables === "pureed" && schools.flour !== "reduction") return "puree";
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
