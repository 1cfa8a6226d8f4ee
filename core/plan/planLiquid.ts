import type { Beliefs } from "../beliefs/index.ts";
import { type LiquidAccount, liquidAccount } from "../liquid/index.ts";
import type { PanChoice } from "../pans/index.ts";
import { inPan, type Recipe } from "../recipe/index.ts";
import type { YieldChain } from "../yields/index.ts";
import { goesIntoPan, joinsLate, takesRoom } from "./panLines.ts";
import type { PlanLine } from "./planLines.ts";

/** What a line brings of salt. */
export interface SaltFrom {
	readonly name: string;
	readonly g: number;
}

/** Salt that goes into the pan, line by line, the most first. */
export interface PlanSalt {
	readonly g: number;
	readonly from: readonly SaltFrom[];
}

/** What a line gives to the liquid in water. */
export interface WaterFrom {
	readonly name: string;
	readonly kg: number;
	readonly share: number;
}

export interface PlanLiquid extends LiquidAccount {
	readonly salt: PlanSalt;
	/** Vegetables and fruit that give their water, the most first. */
	readonly waterFrom: readonly WaterFrom[];
}

interface Batch {
	readonly chain: YieldChain;
	readonly pans: PanChoice;
	readonly lines: readonly PlanLine[];
	readonly minutes: number;
	/** What all pans give off in that time. */
	readonly evaporated_l: number;
	readonly beliefs: Beliefs;
}

/**
 * The account of the liquid of the whole dish when it is lifted.
 *
 * @returns null when there is no pan for it
 * @see model, section F
 */
export function planLiquid(
	recipe: Recipe,
	{ chain, pans, lines, minutes, evaporated_l, beliefs }: Batch,
): PlanLiquid | null {
	if (pans.pans.length === 0) return null;
	const believed = beliefs.liquid;
	const raw_kg = chain.trimmed_kg * (1 - (recipe.losses.boneShare ?? 0));
	const gives = beliefs.gives[recipe.cut];
	const searFat_kg = weightOf(lines.filter(({ line }) => line.role === "searFat")) / 1000;
	const inIt = lines.filter((line) => goesIntoPan(line) && line.line.role !== "liquid");
	const waterFrom = waterOf(inIt);
	const salt = saltOf(lines);
	const account = liquidAccount({
		poured_l: pans.liquid_l + lateLiquid_l(lines),
		vegetables_kg: weightOf(inIt.filter(({ ingredient }) => takesRoom(ingredient))) / 1000,
		fromVegetables_l: waterFrom.reduce((sum, { kg, share }) => sum + kg * share, 0),
		raw_kg,
		cooked_kg: chain.cooked_kg,
		fat_kg: Math.min(raw_kg * gives.fat, Math.max(0, raw_kg - chain.cooked_kg)),
		gelatin_g: raw_kg * gives.gelatin * 1000,
		fatPoured_kg: searFat_kg * believed.searFatKept,
		gelatinPoured_g: stock_l(lines) * believed.stockGelatin_g_per_l,
		salt_g: salt.g,
		evaporated_l,
		absorbed_l:
			(isMadeAhead(recipe) ? chain.cooked_kg * believed.drunkBack : 0) +
			dryPulses_kg(lines) * believed.pulsesDrink_l_per_kg,
		minutes,
	});
	return { ...account, salt, waterFrom };
}

/** Whether the dish is cooked on a day before it is served. */
export function isMadeAhead({ schools }: Recipe): boolean {
	return schools?.service === "madeAhead";
}

export function weightOf(lines: readonly PlanLine[]): number {
	return lines.reduce((sum, { amount_g }) => sum + (amount_g ?? 0), 0);
}

function waterOf(lines: readonly PlanLine[]): WaterFrom[] {
	return lines
		.map(({ ingredient, amount_g }) => ({
			name: ingredient.name,
			kg: (amount_g ?? 0) / 1000,
			share: inPan(ingredient).givesWater,
		}))
		.filter(({ kg, share }) => kg * share > 0)
		.sort((a, b) => b.kg * b.share - a.kg * a.share);
}

/** Salt of everything that goes into the pan, the liquids and the salt itself among it. */
function saltOf(lines: readonly PlanLine[]): PlanSalt {
	const from = lines
		.filter((line) => goesIntoPan(line) || isSaltOnMeat(line))
		.map(({ ingredient, amount_g }) => ({
			name: ingredient.name,
			g: ((amount_g ?? 0) * inPan(ingredient).salt_pct) / 100,
		}))
		.filter(({ g }) => g > 0)
		.sort((a, b) => b.g - a.g);
	return { g: from.reduce((sum, { g }) => sum + g, 0), from };
}

function isSaltOnMeat({ line }: PlanLine): boolean {
	return line.role === "salt" && !line.apart && line.group !== "side" && line.group !== "garnish";
}

/** Liquids that join late, beside those that the pans are filled with. */
function lateLiquid_l(lines: readonly PlanLine[]): number {
	const late = lines.filter((line) => joinsLate(line) && line.line.role === "liquid");
	return late.reduce((sum, { measure_ml }) => sum + (measure_ml ?? 0), 0) / 1000;
}

/** Litres of meat stock among the liquids. */
function stock_l(lines: readonly PlanLine[]): number {
	const stocks = lines.filter(
		({ line, ingredient }) =>
			line.role === "liquid" && ingredient.category === "stock" && !ingredient.origins.includes("plant"),
	);
	return stocks.reduce((sum, { measure_ml }) => sum + (measure_ml ?? 0), 0) / 1000;
}

function dryPulses_kg(lines: readonly PlanLine[]): number {
	const dry = lines.filter(
		(line) =>
			(line.ingredient.category === "pulse" || line.ingredient.category === "grain") && goesIntoPan(line),
	);
	return weightOf(dry) / 1000;
}

/** Flour that is in the sauce already, from dredging or from the vegetables, g. */
export function dredgedFlour(lines: readonly PlanLine[]): number {
	return weightOf(
		lines.filter(({ ingredient, line }) => ingredient.category === "thickener" && line.role === "vegetable"),
	);
}
