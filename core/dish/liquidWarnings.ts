import type { HousePolicy } from "../kitchen/index.ts";
import type { PanChoice } from "../pans/index.ts";
import type { Liquor } from "./liquor.ts";
import type { PlanWarning } from "./PlanWarning.ts";
import type { PlanLine } from "./planLines.ts";
import type { PlanLiquid } from "./planLiquid.ts";
import type { PlanSauce } from "./planSauce.ts";
import { LEAST_DEPTH_MM } from "./saucePot.ts";

/** Less left of what was in than this share is close to catching. */
const NEARLY_DRY = 0.15;
/** Less reduction than the card's by this share is no other sauce. */
const FINISH_GAP = 0.08;
/** Salt so little over the house's most is not tasted. */
const HARDLY_OVER = 1.03;
/** Sauce may fall short by this share before it is said. */
const SHORT = 0.05;

interface Wet {
	readonly pans: PanChoice;
	readonly lines: readonly PlanLine[];
	readonly liquid: PlanLiquid | null;
	readonly sauce: PlanSauce | null;
	readonly liquor: Liquor | null;
	readonly salt_pct: number | null;
}

/** What becomes of the liquid that the chef should know before it is poured. */
export function liquidWarnings(policy: HousePolicy, wet: Wet): PlanWarning[] {
	return [
		...bedWarnings(wet.pans, wet.lines),
		...dryWarnings(wet.liquid),
		...sauceWarnings(wet.sauce),
		...finishWarnings(wet.sauce),
		...saltWarnings(policy, wet.salt_pct),
		...potWarnings(wet.sauce),
		...hiddenSaltWarnings(wet.liquid),
		...liquorWarnings(wet.liquor),
	];
}

function bedWarnings({ pans, liquid_l }: PanChoice, lines: readonly PlanLine[]): PlanWarning[] {
	const hasLiquid = lines.some(({ card_ml }) => card_ml !== null && card_ml > 0);
	return pans.length > 0 && hasLiquid && liquid_l === 0 ? [{ code: "bedReachesLine", place: "panUp" }] : [];
}

function dryWarnings(liquid: PlanLiquid | null): PlanWarning[] {
	if (!liquid) return [];
	if (liquid.dryAt_min !== null) return [];
	const in_l = liquid.poured_l + liquid.fromVegetables_l + liquid.weeping_l;
	if (in_l === 0 || liquid.left_l >= in_l * NEARLY_DRY) return [];
	return [{ code: "nearlyDry", place: "braise", left_l: liquid.left_l, in_l }];
}

function sauceWarnings(sauce: PlanSauce | null): PlanWarning[] {
	if (!sauce || sauce.there_l >= sauce.wanted_l * (1 - SHORT)) return [];
	return [{ code: "sauceShort", place: "sauce", wanted_l: sauce.wanted_l, there_l: sauce.there_l }];
}

/** The card's own finish cannot be had, and what would do instead. */
function finishWarnings(sauce: PlanSauce | null): PlanWarning[] {
	if (!sauce || sauce.wanted_l === 0 || (sauce.limitedBy !== "salt" && sauce.limitedBy !== "time")) return [];
	if (sauce.cardReduces - sauce.reduceBy < FINISH_GAP) return [];
	return [
		{
			code: sauce.limitedBy === "salt" ? "finishTooSalt" : "finishTooLong",
			place: "sauce",
			asked: sauce.cardReduces,
			reduces: sauce.reduceBy,
			tooMuch_l: Math.max(0, sauce.there_l - sauce.take_l),
		},
	];
}

function saltWarnings({ saltBand_pct: { low, high } }: HousePolicy, end_pct: number | null): PlanWarning[] {
	if (end_pct === null) return [];
	if (end_pct > high * HARDLY_OVER) return [{ code: "saltOver", place: "sauce", end_pct, high_pct: high }];
	if (end_pct < low / 2) return [{ code: "saltUnder", place: "sauce", end_pct, low_pct: low }];
	return [];
}

/** Nothing to finish the sauce in, or nothing narrow enough. */
function potWarnings(sauce: PlanSauce | null): PlanWarning[] {
	if (!sauce || sauce.wanted_l === 0 || (sauce.pot && !sauce.catches)) return [];
	const { wanted_l, pot, mark_mm } = sauce;
	return [
		{
			code: "noSaucePot",
			place: "sauce",
			wanted_l,
			name: pot?.name ?? null,
			depth_mm: mark_mm,
			least_mm: LEAST_DEPTH_MM,
		},
	];
}

/** Salt that nobody weighs as salt is said from this share on. */
const HIDDEN_SHARE = 0.3;
/** Soy, cured meat, bought stock: they bring salt that is easily given twice. */
function hiddenSaltWarnings(liquid: PlanLiquid | null): PlanWarning[] {
	if (!liquid || liquid.salt.g === 0) return [];
	const hidden = liquid.salt.from.filter(({ hidden }) => hidden);
	const share = hidden.reduce((sum, { g }) => sum + g, 0) / liquid.salt.g;
	if (share < HIDDEN_SHARE) return [];
	return [{ code: "hiddenSalt", place: "build", names: hidden.map(({ name }) => name), share }];
}

/** Liquor that goes on to another dish carries what was in this one. */
function liquorWarnings(liquor: Liquor | null): PlanWarning[] {
	if (!liquor || liquor.litres === 0) return [];
	const contains = liquor.allergens
		.filter(({ presence }) => presence === "contains")
		.map(({ allergen }) => allergen);
	const notKnown = liquor.allergens.some(({ presence }) => presence === "notKnown");
	if (contains.length === 0 && !notKnown) return [];
	return [{ code: "liquorAllergens", place: "sauce", litres: liquor.litres, contains, notKnown }];
}
