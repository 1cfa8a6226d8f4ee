import type { HousePolicy } from "../kitchen/index.ts";
import type { LiquidAccount } from "../liquid/index.ts";
import type { PanChoice } from "../pans/index.ts";
import type { Recipe } from "../recipe/index.ts";
import type { PlanWarning } from "./PlanWarning.ts";
import { goesIntoPan } from "./panLines.ts";
import type { PlanLine } from "./planLines.ts";
import type { PlanSauce } from "./planSauce.ts";

/** The pans' litres may differ from the card's ratio by this share before it is said. */
const RATIO_GAP = 0.25;
/** Less left of what was in than this share is close to catching. */
const NEARLY_DRY = 0.15;
/** Sauce may fall short by this share before it is said. */
const SHORT = 0.05;

interface Wet {
	readonly pans: PanChoice;
	readonly lines: readonly PlanLine[];
	readonly liquid: LiquidAccount | null;
	readonly sauce: PlanSauce | null;
	readonly salt_pct: number | null;
}

/** What becomes of the liquid that the chef should know before it is poured. */
export function liquidWarnings(recipe: Recipe, policy: HousePolicy, wet: Wet): PlanWarning[] {
	return [
		...ratioWarnings(wet.pans, wet.lines),
		...dryWarnings(wet.liquid),
		...sauceWarnings(wet.sauce),
		...finishWarnings(wet.sauce),
		...saltWarnings(policy, wet.salt_pct),
		...acidWarnings(recipe, wet.lines),
		...countedWarnings(wet.lines),
	];
}

function ratioWarnings(pans: PanChoice, lines: readonly PlanLine[]): PlanWarning[] {
	const card_ml = lines.reduce((sum, { card_ml, line }) => sum + (card_ml ?? 0) * (line.reducedTo ?? 1), 0);
	if (pans.pans.length === 0 || card_ml === 0) return [];
	if (pans.liquid_l === 0) return [{ code: "bedReachesLine", place: "panUp" }];
	const card_l = card_ml / 1000;
	if (Math.abs(pans.liquid_l / card_l - 1) <= RATIO_GAP) return [];
	return [{ code: "ratio", place: "build", pans_l: pans.liquid_l, card_l }];
}

function dryWarnings(liquid: LiquidAccount | null): PlanWarning[] {
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
	if (end_pct > high) return [{ code: "saltOver", place: "sauce", end_pct, high_pct: high }];
	if (end_pct < low / 2) return [{ code: "saltUnder", place: "sauce", end_pct, low_pct: low }];
	return [];
}

const ACID: ReadonlySet<string> = new Set(["wine", "acid", "fruit"]);

/** Wine, vinegar and sour fruit eat into bare foil. */
function acidWarnings({ braise }: Recipe, lines: readonly PlanLine[]): PlanWarning[] {
	if (braise.lid !== "foil") return [];
	const acids = lines
		.filter((line) => goesIntoPan(line) && ACID.has(line.ingredient.category))
		.map(({ ingredient }) => ingredient.name);
	return acids.length > 0 ? [{ code: "foilAcid", place: "panUp", acids: [...new Set(acids)] }] : [];
}

/** Bay leaves, sticks and sachets that are counted in are counted out. */
function countedWarnings(lines: readonly PlanLine[]): PlanWarning[] {
	const counted = lines.flatMap(({ line, ingredient, count }) =>
		count !== null && count > 0 && line.role === "potent" && !line.apart
			? [{ name: ingredient.name, count }]
			: [],
	);
	return counted.length > 0 ? [{ code: "countOut", place: "rest", counted }] : [];
}
