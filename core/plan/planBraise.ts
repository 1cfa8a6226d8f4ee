import { type Braised, type BraiseGiven, braise, tenderRange, usualPan } from "../braise/index.ts";
import { sidesOf } from "../heat/index.ts";
import { memoise } from "../memoise/index.ts";
import { type OvenFit, type OvenLoad, POWER_REACHES } from "../ovens/index.ts";
import { areaOf, type ChosenPan, insideAt, type PanChoice } from "../pans/index.ts";
import type { Range } from "../quantity/index.ts";
import type { Recipe } from "../recipe/index.ts";
import type { PlanLine } from "./planLines.ts";

/** Seared pieces have cooled on their tray, the liquid is poured boiling. General practice. */
export const PIECE_IN_C = 15;
export const LIQUID_IN_C = 95;

/** How one pan of the dish, the fullest, comes to be tender. */
export interface PlanBraise {
	readonly given: BraiseGiven;
	readonly braised: Braised;
	/** From the oven door to fork-tender. */
	readonly tender_min: Range;
	/** What all pans together give off until it is likely tender, litres. */
	readonly evaporated_l: number;
}

/**
 * The braise of the dish, by its fullest pan.
 *
 * @returns null when there is no pan for it
 * @see model, section E
 */
export function planBraise(
	recipe: Recipe,
	{ pans }: PanChoice,
	ovens: OvenFit,
	lines: readonly PlanLine[],
): PlanBraise | null {
	const [fullest] = pans;
	if (!fullest) return null;
	const pieces = pans.reduce((sum, pan) => sum + pan.pieces, 0);
	const given = withLate(givenOf(recipe, fullest, ovens), lines, fullest.pieces / pieces);
	const braised = braisedOnce(given);
	const tender_min = tenderRange(braised);
	const steam_l = braised.likely.steamAt(tender_min.likely);
	const floor = ({ type }: ChosenPan) => areaOf(insideAt(type.shape, 0));
	const surfaces = pans.reduce((sum, pan) => sum + floor(pan), 0) / floor(fullest);
	return { given, braised, tender_min, evaporated_l: steam_l * surfaces };
}

/** What joins late comes from the bench, °C. General practice. */
const LATE_IN_C = 18;

/**
 * The pan with what joins it before the end: cold until then, not in it from the start.
 *
 * @param share of the dish that is in this pan
 */
function withLate(given: BraiseGiven, lines: readonly PlanLine[], share: number): BraiseGiven {
	const late = lines.filter(({ line, amount_g }) => line.late_min !== undefined && amount_g && !line.apart);
	if (late.length === 0) return given;
	const end_min = tenderRange(braisedOnce(given)).likely;
	const additions = late.map(({ line, amount_g }) => ({
		at_min: Math.max(0, end_min - (line.late_min ?? 0)),
		kg: ((amount_g ?? 0) / 1000) * share,
		temp_C: LATE_IN_C,
		water: 0.9,
		gives: 0.25,
	}));
	const lying = late.filter(({ line }) => line.role === "vegetable");
	const lying_kg = lying.reduce((sum, { amount_g }) => sum + ((amount_g ?? 0) / 1000) * share, 0);
	return { ...given, additions, vegetables_kg: Math.max(0, (given.vegetables_kg ?? 0) - lying_kg) };
}

/** From the oven door to fork-tender in a usual pan, for a dish that has none. */
export function usualTender({ cut, piece, losses }: Recipe): Range {
	return tenderRange(braisedOnce(usualPan(cut, piece, losses.boneShare)));
}

function givenOf(recipe: Recipe, pan: ChosenPan, ovens: OvenFit): BraiseGiven {
	const [load] = ovens.loads;
	const { boneShare = 0, cookingLoss } = recipe.losses;
	return {
		cut: recipe.cut,
		sides: sidesOf(recipe.piece),
		boneShare,
		meat_kg: (pan.pieces * recipe.piece.weight_g) / 1000,
		liquid_l: Math.max(A_DROP_L, pan.liquid_l),
		vegetables_kg: pan.bed.weight_kg,
		pan: pan.type.shape,
		lid: recipe.braise.lid,
		heat: { kind: load?.oven.kind ?? "fanOven", set_C: load?.set_C ?? recipe.braise.oven_C.set },
		start: { meat_C: PIECE_IN_C, liquid_C: LIQUID_IN_C },
		...(load ? sharedPower(load) : {}),
		cookingLoss,
	};
}

/** The oven's power among all that stands in it, where its rating plate was read. */
function sharedPower({ oven, pans }: OvenLoad): Pick<BraiseGiven, "oven"> {
	if (!oven.power_w) return {};
	const inside = pans.reduce((sum, { count }) => sum + count, oven.alsoInside ?? 0);
	return { oven: { power_kW: (oven.power_w / 1000) * POWER_REACHES, pans: Math.max(1, inside) } };
}

/** Meat and bed alone may reach the line; the pan is never quite without liquid. */
const A_DROP_L = 0.05;

/** The same pan is asked for again with every look at the plan. */
const once = memoise<string, Braised>(500);

function braisedOnce(given: BraiseGiven): Braised {
	return once(JSON.stringify(given), () => braise(given));
}
