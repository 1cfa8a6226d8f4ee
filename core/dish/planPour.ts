import type { Beliefs } from "../beliefs/index.ts";
import type { Kitchen } from "../kitchen/index.ts";
import {
	type ChosenPan,
	type Layers,
	LEAST_LINE,
	type LiquidLine,
	lineForLitres,
	type PanChoice,
	pouring,
} from "../pans/index.ts";
import { asScaleLine, ingredientOf, type Recipe } from "../recipe/index.ts";
import {
	add,
	divide,
	figure,
	least,
	lessShare,
	most,
	subtract,
	type Working,
	working,
} from "../workings/index.ts";
import type { YieldChain } from "../yields/index.ts";
import type { DishOrder } from "./DishOrder.ts";
import type { PlanColour } from "./planColour.ts";
import { boiledDown } from "./planLines.ts";
import { type InPan, ownLiquid_l } from "./planLiquid.ts";
import { cardReduces, finishedSauce } from "./planSauce.ts";
import type { SizedDish } from "./SizedDish.ts";

/** How much is poured, and what decides it: three figures, and the one that holds. */
export interface PlanPour {
	/** What the sauce asks, litres. */
	readonly forSauce_l: number;
	/** What stands a third up the pieces, and what stands at the card's line or the chef's. */
	readonly least_l: number;
	readonly most_l: number;
	/** What lines that are boiled down first bring in any case. */
	readonly fixed_l: number;
	readonly poured_l: number;
	readonly decidedBy: "sauce" | "least" | "line" | "chef" | "wine";
	/** The line that is poured to, and the highest it might: the card's, or the chef's own. */
	readonly line: LiquidLine;
	readonly cardLine: LiquidLine;
	/** Behind what the sauce asks: litres taken for it, steam reckoned with, and what the dish gives itself. */
	readonly asked_l: number;
	readonly steam_l: number;
	readonly own_l: number;
	/** How they came to what they are; what is poured by the chef's own line has no sum. */
	readonly sums: { readonly asked: Working; readonly forSauce: Working; readonly toPour: Working | null };
}

/** Litres of steam that a kilo of meat in a covered pan loses in an hour: 0.15 to 0.25 for a pan of five kilos. */
const STEAM_L_PER_KG_H = 0.04;

/**
 * Litres that are wanted for all pieces before there are pans: what the sauce asks, with the usual
 * steam. The pans are chosen with it.
 *
 * @returns undefined where the chef's own line is poured whatever it comes to
 */
export function wantedBeforePans(
	recipe: Recipe,
	order: DishOrder,
	chain: YieldChain,
	factor: number,
	tender_min: number,
	kitchen: Kitchen,
	beliefs: Beliefs,
): number | undefined {
	if (order.lineSettled) return undefined;
	const lines = recipe.lines.map((line): InPan => {
		const ingredient = ingredientOf(line, kitchen.known.byId);
		const amount_g = (asScaleLine(line, ingredient).amount_g ?? 0) * factor;
		return { line, ingredient, amount_g, measure_ml: line.role === "liquid" ? amount_g : null };
	});
	const steam_l = STEAM_L_PER_KG_H * chain.trimmed_kg * (tender_min / 60);
	return forSauce(recipe, chain, lines, null, steam_l, beliefs).forSauce_l;
}

/** What the sauce asks to be poured: taken for it, and steam, less what the dish gives itself. @see model, section B */
function forSauce(
	recipe: Recipe,
	chain: YieldChain,
	lines: readonly InPan[],
	colour: Pick<PlanColour, "way" | "givenOff_kg"> | null,
	steam_l: number,
	beliefs: Beliefs,
): ForSauce {
	const sauce = finishedSauce(recipe, chain);
	const own_l = ownLiquid_l(recipe, chain, lines, colour, beliefs);
	const asked = working(
		"takenForIt",
		divide({ ...sauce.result, what: "sauce" }, lessShare(cardReduces(recipe, lines), "boiledAway")),
		"l",
	);
	const forIt = working(
		"forSauce",
		most(
			subtract(add(asked.result, figure(steam_l, "l", "steam")), figure(own_l, "l", "givenByItself")),
			figure(0, "l"),
		),
		"l",
	);
	return {
		...{ own_l, steam_l, asked_l: asked.result.value, forSauce_l: forIt.result.value },
		sums: { asked, forSauce: forIt },
	};
}

interface ForSauce extends Pick<PlanPour, "asked_l" | "own_l" | "steam_l" | "forSauce_l"> {
	readonly sums: Pick<PlanPour["sums"], "asked" | "forSauce">;
}

/**
 * How much is poured into the pans of a dish: what the sauce asks, at least a third up the piece,
 * at most to the line; a line that the chef has settled is poured as it is.
 *
 * @param steam_l what the pans give off until they are tender
 * @returns null when there is no pan
 */
export function planPour(
	{ recipe, order, load, size }: SizedDish,
	pans: PanChoice,
	lines: readonly InPan[],
	colour: PlanColour | null,
	steam_l: number,
	beliefs: Beliefs,
): PlanPour | null {
	if (pans.pans.length === 0) return null;
	const { line, piece, layers = 1 } = load;
	const litresAt = (at: LiquidLine) => pouredAt(pans.pans, at, load, layers);
	const most_l = litresAt(line);
	const least_l = Math.min(most_l, litresAt(LEAST_LINE));
	const fixed_l = boiledDown_l(lines);
	const asked = forSauce(recipe, size.chain, lines, colour, steam_l, beliefs);
	const pour = { ...asked, most_l, least_l, fixed_l, cardLine: line };
	if (order.lineSettled) {
		return { ...pour, poured_l: most_l, decidedBy: "chef", line, sums: { ...asked.sums, toPour: null } };
	}
	const needed = most(
		figure(asked.forSauce_l, "l", "forTheSauce"),
		figure(least_l, "l", "thirdUp"),
		...(fixed_l > 0 ? [figure(fixed_l, "l", "boiledDownWine")] : []),
	);
	const toPour = working("toPour", least(needed, figure(most_l, "l", "toTheLine")), "l");
	const wanted_l = toPour.result.value;
	const poured = lineForLitres(litresAt, wanted_l, piece, line, layers);
	const decided = [
		["line", most_l],
		["least", least_l],
		["sauce", asked.forSauce_l],
		["wine", fixed_l],
	] as const;
	const [decidedBy] = decided.find(([, litres]) => litres === wanted_l) ?? decided[2];
	return { ...pour, poured_l: litresAt(poured), decidedBy, line: poured, sums: { ...asked.sums, toPour } };
}

/** A line that gives more than so many times its sauce is more than the card needs. @see model, section B */
const TOO_MUCH = 2;

/** What a card's line gives when the meat is lifted, where that is more than twice its sauce; null where it is not. */
export function lineGivesTooMuch({
	pour,
	sauce_l,
}: {
	readonly pour: PlanPour | null;
	readonly sauce_l: number;
}): { readonly gives_l: number; readonly sauce_l: number } | null {
	if (!pour || sauce_l === 0 || pour.most_l <= pour.least_l) return null;
	const gives_l = pour.most_l + pour.own_l - pour.steam_l;
	return gives_l > TOO_MUCH * sauce_l ? { gives_l, sauce_l } : null;
}

function boiledDown_l(lines: readonly InPan[]): number {
	return lines.reduce((sum, line) => sum + (boiledDown(line)?.result.value ?? 0), 0);
}

function pouredAt(
	pans: readonly ChosenPan[],
	line: LiquidLine,
	{ piece }: SizedDish["load"],
	layers: Layers,
): number {
	let sum = 0;
	let last: { readonly pan: ChosenPan; readonly litres: number } | null = null;
	for (const pan of pans) {
		// Pans of a kind with as many pieces stand beside each other.
		if (!last || last.pan.type !== pan.type || last.pan.pieces !== pan.pieces) {
			last = { pan, litres: pouring(pan.type.shape, piece, pan.pieces, pan.bed, layers)(line) };
		}
		sum += last.litres;
	}
	return sum;
}
