import { CUT_GIVES, type LiquidAccount, liquidAccount, type SaucePlan, sauceFrom } from "../liquid/index.ts";
import { type PanChoice, type PanType, volumeBelow } from "../pans/index.ts";
import type { Recipe } from "../recipe/index.ts";
import type { YieldChain } from "../yields/index.ts";
import type { Kitchen } from "./Kitchen.ts";
import type { PlanLine } from "./planLines.ts";

/** The sauce of a dish, and the pot it is finished in. */
export interface PlanSauce extends SaucePlan {
	/** Round pots that take it, as many as needed; null when the kitchen has none. */
	readonly pot: PanType | null;
	readonly pots: number;
}

/** Gelatin of a stock that sets softly, g a litre. General practice. */
export const STOCK_GELATIN_G_PER_L = 10;
/** What cooked meat drinks back while it cools in its liquid, as a share of its weight. General practice. */
export const DRUNK_BACK = 0.04;
/** Water that dry pulses and grains take up, l/kg. General practice. */
export const PULSE_DRINKS_L_PER_KG = 1.4;
/** Fat of searing that stays with the pieces and the fond once it is poured off. General practice. */
export const SEAR_FAT_KEPT = 0.25;
/** How full a pot may be in which something boils down, as a share of its depth. */
export const POT_FULL = 0.75;
/** A pot to reckon with where the kitchen has no round one, mm. */
const ANY_POT_MM = 360;

interface Batch {
	readonly chain: YieldChain;
	readonly pans: PanChoice;
	readonly lines: readonly PlanLine[];
	readonly minutes: number;
	/** What all pans give off in that time. */
	readonly evaporated_l: number;
}

/**
 * The account of the liquid of the whole dish when it is lifted.
 *
 * @returns null when there is no pan for it
 * @see model, section F
 */
export function planLiquid(
	recipe: Recipe,
	{ chain, pans, lines, minutes, evaporated_l }: Batch,
): LiquidAccount | null {
	if (pans.pans.length === 0) return null;
	const raw_kg = chain.trimmed_kg * (1 - (recipe.losses.boneShare ?? 0));
	const gives = CUT_GIVES[recipe.cut];
	const searFat_kg = weightOf(lines.filter(({ line }) => line.role === "searFat")) / 1000;
	return liquidAccount({
		poured_l: pans.liquid_l,
		vegetables_kg: weightOf(lines.filter(inPan)) / 1000,
		raw_kg,
		cooked_kg: chain.cooked_kg,
		fat_kg: Math.min(raw_kg * gives.fat, Math.max(0, raw_kg - chain.cooked_kg)),
		gelatin_g: raw_kg * gives.gelatin * 1000,
		fatPoured_kg: searFat_kg * SEAR_FAT_KEPT,
		gelatinPoured_g: stockOf(lines) * STOCK_GELATIN_G_PER_L,
		salt_g: weightOf(lines.filter(({ line }) => line.role === "salt")),
		evaporated_l,
		absorbed_l: drunkBack(recipe, chain) + drunkByPulses(lines),
		minutes,
	});
}

function weightOf(lines: readonly PlanLine[]): number {
	return lines.reduce((sum, { amount_g }) => sum + (amount_g ?? 0), 0);
}

function inPan({ line }: PlanLine): boolean {
	return line.role === "vegetable" && !line.apart;
}

/** Litres of meat stock among the liquids. */
function stockOf(lines: readonly PlanLine[]): number {
	const stocks = lines.filter(
		({ line, ingredient }) =>
			line.role === "liquid" && ingredient.category === "stock" && !ingredient.origins.includes("plant"),
	);
	return stocks.reduce((sum, { measure_ml }) => sum + (measure_ml ?? 0), 0) / 1000;
}

function drunkBack(recipe: Recipe, chain: YieldChain): number {
	return recipe.schools?.service === "madeAhead" ? chain.cooked_kg * DRUNK_BACK : 0;
}

function drunkByPulses(lines: readonly PlanLine[]): number {
	const dry = lines.filter(
		({ line, ingredient }) =>
			(ingredient.category === "pulse" || ingredient.category === "grain") &&
			line.group === "base" &&
			!line.apart,
	);
	return (weightOf(dry) / 1000) * PULSE_DRINKS_L_PER_KG;
}

/**
 * The sauce wanted from the liquid there is, in the kitchen's own pot.
 *
 * @see model, section G
 */
export function planSauce(
	account: LiquidAccount | null,
	wanted_l: number,
	lines: readonly PlanLine[],
	kitchen: Kitchen,
): PlanSauce | null {
	if (!account) return null;
	const salted = lines.some(({ line }) => line.role === "salt");
	const { low, high } = kitchen.saltBand_pct;
	const finish = (count: number, diameter_mm: number) =>
		sauceFrom(
			account,
			wanted_l,
			{ diameter_mm, power_kW: kitchen.hobPower_kW, count },
			dredgedFlour(lines),
			salted ? (low + high) / 2 : null,
		);
	// How much is taken does not hang on the pots, so it says which pots are needed.
	const { take_l } = finish(1, ANY_POT_MM);
	const pots = saucePots(Math.max(take_l, wanted_l), kitchen);
	return { ...finish(pots.count, pots.diameter_mm), pot: pots.pot, pots: pots.count };
}

/** The pots that boil it down quickest: the widest, as many as it takes, each on its burner. */
function saucePots(
	litres: number,
	{ pans, burners }: Pick<Kitchen, "pans" | "burners">,
): { pot: PanType | null; count: number; diameter_mm: number } {
	const kinds = pans.flatMap((pot) => {
		if (!("round" in pot.shape)) return [];
		const { diameter_mm, height_mm } = pot.shape.round;
		const count = Math.max(1, Math.ceil(litres / volumeBelow(pot.shape, height_mm * POT_FULL)));
		return count <= Math.min(pot.stock, burners) ? [{ pot, count, diameter_mm }] : [];
	});
	const [best] = kinds.sort((a, b) => a.count - b.count || b.diameter_mm - a.diameter_mm);
	return best ?? { pot: null, count: 1, diameter_mm: ANY_POT_MM };
}

/** Flour that is in the sauce already, from dredging or from the vegetables, g. */
export function dredgedFlour(lines: readonly PlanLine[]): number {
	return weightOf(
		lines.filter(({ ingredient, line }) => ingredient.category === "thickener" && line.role === "vegetable"),
	);
}
