import { sumBy } from "es-toolkit";
import type { Beliefs } from "../beliefs/index.ts";
import { afterStraining, type LiquidAccount, liquidAccount, type VegetablesAfter } from "../liquid/index.ts";
import type { PanChoice } from "../pans/index.ts";
import { CATEGORIES, inPan, type Recipe } from "../recipe/index.ts";
import { add, figure, multiply, subtract, type Working, working } from "../workings/index.ts";
import type { YieldChain } from "../yields/index.ts";
import { goesIntoPan, joinsLate, liesUnderMeat, takesRoom } from "./panLines.ts";
import type { PlanColour } from "./planColour.ts";
import type { PlanLine } from "./planLines.ts";
import { type Meat, secondMeat } from "./secondMain.ts";

/** What a line brings of salt. */
export interface SaltFrom {
	readonly name: string;
	readonly g: number;
	/** Whether it is something else than salt that brings it and is made elsewhere. */
	readonly hidden: boolean;
}

/** Salt that goes into the pan, line by line, the most first. */
export interface PlanSalt {
	readonly g: number;
	/** How it came to that; null where nothing in it is salt. */
	readonly sum: Working | null;
	/** What finishes the sauce brings more of it, g. */
	readonly finish_g: number;
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
	/** How their water came to what it is; null where none gives any. */
	readonly waterSum: Working | null;
	readonly juice: Juice;
}

interface Batch {
	readonly chain: YieldChain;
	readonly pans: PanChoice;
	readonly lines: readonly PlanLine[];
	readonly minutes: number;
	/** What all pans give off in that time. */
	readonly evaporated_l: number;
	/** How the pieces were coloured; null where they were not. */
	readonly colour: PlanColour | null;
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
	{ chain, pans, lines, minutes, evaporated_l, colour, beliefs }: Batch,
): PlanLiquid | null {
	if (pans.pans.length === 0) return null;
	const believed = beliefs.liquid;
	const meats = meatsOf(recipe, chain, lines);
	const juice = juiceOf(meats, colour, beliefs);
	const searFat_kg = weightOf(lines.filter(({ line }) => line.role === "searFat")) / 1000;
	const inIt = lines.filter((line) => goesIntoPan(line) && line.line.role !== "liquid");
	const waterFrom = waterOf(inIt);
	const waterSum = waterWorking(waterFrom);
	const salt = saltOf(lines);
	const account = liquidAccount({
		poured_l: pans.liquid_l + lateLiquid_l(lines),
		vegetables_kg: weightOf(inIt.filter(({ ingredient }) => takesRoom(ingredient))) / 1000,
		fromVegetables_l: waterSum?.result.value ?? 0,
		cooked_kg: sumBy(meats, ({ cooked_kg }) => cooked_kg),
		juice_l: juice.juice_l,
		fat_kg: juice.fat_kg,
		gelatin_g: sumBy(meats, ({ cut, raw_kg }) => raw_kg * beliefs.gives[cut].gelatin * 1000),
		fatPoured_kg: searFat_kg * believed.searFatKept,
		gelatinPoured_g: stockGelatin_g(lines),
		salt_g: salt.g,
		evaporated_l,
		absorbed_l: absorbed_l(recipe, meats, lines, beliefs),
		minutes,
		...strainedOf(recipe, inIt),
	});
	return { ...account, salt, waterFrom, waterSum, juice };
}

/** The meat of each main without its bone, the first main's first. */
function meatsOf(
	recipe: Recipe,
	{ trimmed_kg, cooked_kg }: YieldChain,
	lines: readonly InPan[],
): [Meat, ...Meat[]] {
	const { cut, losses } = recipe;
	const raw_kg = trimmed_kg * (1 - (losses.boneShare ?? 0));
	return [{ cut, raw_kg, cooked_kg }, ...secondMeat(recipe, lines)];
}

/** Where the cooking loss of the meat goes. Masses kg, water as litres. */
export interface Juice {
	readonly loss_kg: number;
	/** Share of it that ends in the pan. */
	readonly share: number;
	/** Fat in the pan, and fat poured off at searing. */
	readonly fat_kg: number;
	readonly searing_kg: number;
	/** Dried on in the oven where the pieces were coloured there. */
	readonly dried_l: number;
	readonly juice_l: number;
	/** How that came to what it is. */
	readonly sum: Working;
}

/** Juice is three quarters of the cooking loss, less its fat; only the first main is coloured. @see model, section F */
function juiceOf(
	meats: readonly [Meat, ...Meat[]],
	colour: Pick<PlanColour, "way" | "givenOff_kg"> | null,
	{ gives, liquid }: Beliefs,
): Juice {
	const loss_kg = sumBy(meats, ({ raw_kg, cooked_kg }) => Math.max(0, raw_kg - cooked_kg));
	const inPan_kg = loss_kg * liquid.juiceOfLoss;
	const fat_kg = Math.min(
		sumBy(meats, ({ cut, raw_kg }) => raw_kg * gives[cut].fat),
		inPan_kg,
	);
	const searing_kg = Math.min(colour?.givenOff_kg ?? 0, inPan_kg - fat_kg);
	const [{ raw_kg }] = meats;
	const dried_l =
		colour?.way === "oven" ? Math.min(raw_kg * liquid.juiceOnTrays, inPan_kg - fat_kg - searing_kg) : 0;
	const sum = working(
		"outOfTheMeat",
		subtract(
			multiply(figure(loss_kg, "kg", "lostByMeat"), figure(liquid.juiceOfLoss, "share", "inThePan")),
			figure(fat_kg, "kg", "itsFat"),
			...(searing_kg > 0 ? [figure(searing_kg, "kg", "fatAtSearing")] : []),
			...(dried_l > 0 ? [figure(dried_l, "kg", "driedOnTrays")] : []),
		),
		"l",
	);
	return { loss_kg, share: liquid.juiceOfLoss, fat_kg, searing_kg, dried_l, juice_l: sum.result.value, sum };
}

/** What the meat drinks back on cooling, and what grains and pulses in the pan take up, litres. */
function absorbed_l(
	recipe: Recipe,
	meats: readonly Meat[],
	lines: readonly InPan[],
	{ liquid }: Beliefs,
): number {
	const drinks_kg = isMadeAhead(recipe) ? sumBy(meats, ({ cooked_kg }) => cooked_kg) : 0;
	return drinks_kg * liquid.drunkBack + dryPulses_kg(lines) * liquid.pulsesDrink_l_per_kg;
}

/** What the liquid of a dish comes to without a drop poured, litres; below nothing where the dish drinks more. */
export function ownLiquid_l(
	recipe: Recipe,
	chain: YieldChain,
	lines: readonly InPan[],
	colour: Pick<PlanColour, "way" | "givenOff_kg"> | null,
	beliefs: Beliefs,
): number {
	const inIt = lines.filter((line) => goesIntoPan(line) && line.line.role !== "liquid");
	const water_l = waterWorking(waterOf(inIt))?.result.value ?? 0;
	const meats = meatsOf(recipe, chain, lines);
	const { juice_l } = juiceOf(meats, colour, beliefs);
	const { carried_l, puree_l } = strainedOf(recipe, inIt);
	const drinks_l = absorbed_l(recipe, meats, lines, beliefs) + carried_l;
	return juice_l + water_l + puree_l + lateLiquid_l(lines) - drinks_l;
}

/** What the vegetables that were in the pan from the start carry off or add; what joins late is served. */
function strainedOf(recipe: Recipe, inIt: readonly InPan[]): ReturnType<typeof afterStraining> {
	const early = inIt.filter((line) => liesUnderMeat(line));
	const raw_kg = weightOf(early) / 1000;
	const water_kg = waterOf(early).reduce((sum, { kg, share }) => sum + kg * share, 0);
	return afterStraining(raw_kg - water_kg, vegetablesAfter(recipe));
}

/** What the card's school does with the vegetables of the pan; those cooked apart are not in it. */
export function vegetablesAfter({ schools }: Recipe): VegetablesAfter {
	const answer = schools?.vegetables;
	return answer === undefined || answer === "apart" ? "kept" : answer;
}

/** A line with what there is of it, as far as its weight matters. */
export type InPan = Pick<PlanLine, "line" | "ingredient" | "amount_g" | "measure_ml">;

/** Whether the dish is cooked on a day before it is served. */
export function isMadeAhead({ schools }: Recipe): boolean {
	return schools?.service === "madeAhead";
}

export function weightOf(lines: readonly Pick<PlanLine, "amount_g">[]): number {
	return lines.reduce((sum, { amount_g }) => sum + (amount_g ?? 0), 0);
}

function waterOf(lines: readonly InPan[]): WaterFrom[] {
	return lines
		.map(({ ingredient, amount_g }) => ({
			name: ingredient.name,
			kg: (amount_g ?? 0) / 1000,
			share: inPan(ingredient).givesWater,
		}))
		.filter(({ kg, share }) => kg * share > 0)
		.sort((a, b) => b.kg * b.share - a.kg * a.share);
}

/** The water that vegetables and fruit give, all together. */
function waterWorking(from: readonly WaterFrom[]): Working | null {
	if (from.length === 0) return null;
	const terms = from.map(({ name, kg, share }) =>
		multiply(figure(kg, "kg", `name:${name}`), figure(share, "share")),
	);
	return working("fromVegetables", add(...terms), "l");
}

/** Salt of everything that goes into the pan: what is braised, the liquids, and the salt itself. */
function saltOf(lines: readonly PlanLine[]): PlanSalt {
	const from = lines
		.filter((line) => goesIntoPan(line) || isMain(line) || isSaltOnMeat(line))
		.map((line) => ({ name: line.ingredient.name, g: saltIn(line), hidden: isHidden(line) }))
		.filter(({ g }) => g > 0)
		.sort((a, b) => b.g - a.g);
	const finish = lines.filter(({ line }) => line.group === "finish" && line.role !== "salt");
	const sum =
		from.length === 0
			? null
			: working("saltIn", add(...from.map(({ name, g }) => figure(g / 1000, "kg", `name:${name}`))), "kg");
	return {
		g: (sum?.result.value ?? 0) * 1000,
		sum,
		finish_g: finish.reduce((sum, line) => sum + saltIn(line), 0),
		from,
	};
}

function saltIn(line: PlanLine): number {
	const { ingredient, amount_g } = line;
	const { origin, salt_pct } = CATEGORIES[ingredient.category];
	// Fresh meat keeps its own salt, and cards salt it beside that; what comes from the sea gives it up. General practice.
	const fresh_pct = isMain(line) && origin === "meat" ? salt_pct : 0;
	return ((amount_g ?? 0) * Math.max(0, inPan(ingredient).salt_pct - fresh_pct)) / 100;
}

/** Salt in 100 g from which a thing counts as salted, g. */
const SALTED_PCT = 1;

/** Soy, cured meat, miso, bought stock: salt that is easily given twice. */
function isHidden({ ingredient }: PlanLine): boolean {
	if (ingredient.category === "salt") return false;
	const bought = ingredient.category === "stock" && ingredient.made === null;
	return bought || inPan(ingredient).salt_pct >= SALTED_PCT;
}

function isMain({ line }: PlanLine): boolean {
	return line.role === "main";
}

function isSaltOnMeat({ line }: PlanLine): boolean {
	return line.role === "salt" && !line.apart && line.group !== "side" && line.group !== "garnish";
}

/** Liquids that join late, beside those that the pans are filled with. */
function lateLiquid_l(lines: readonly InPan[]): number {
	const late = lines.filter((line) => joinsLate(line) && line.line.role === "liquid");
	return late.reduce((sum, { measure_ml }) => sum + (measure_ml ?? 0), 0) / 1000;
}

/** Gelatin that stocks bring, each as much as it has, g. @see model, section L */
function stockGelatin_g(lines: readonly PlanLine[]): number {
	return lines.reduce(
		(sum, { ingredient, measure_ml }) => sum + ((measure_ml ?? 0) / 1000) * inPan(ingredient).gelatin_g_per_l,
		0,
	);
}

function dryPulses_kg(lines: readonly InPan[]): number {
	const dry = lines.filter(
		(line) =>
			(line.ingredient.category === "pulse" || line.ingredient.category === "grain") && goesIntoPan(line),
	);
	return weightOf(dry) / 1000;
}

/** Flour that is in the sauce already, from dredging or from the vegetables, g. */
export function dredgedFlour(lines: readonly InPan[]): number {
	return weightOf(
		lines.filter(({ ingredient, line }) => ingredient.category === "thickener" && line.role === "vegetable"),
	);
}
