import type { Beliefs } from "../beliefs/index.ts";
import { type Equipment, searPanOf, tiltingPanOf, type Vessel } from "../kitchen/index.ts";
import { piecesPerPan } from "../pans/index.ts";
import type { Recipe } from "../recipe/index.ts";
import {
	BURNERS_A_COOK,
	CROWDED_MM,
	colourInOven,
	FILM_MM,
	HANDLING_S,
	type OvenColouring,
	SEAR_GAP_MM,
	type SearPlan,
	searPlan,
	TOP_UP_ML,
} from "../sear/index.ts";
import { figure, multiply, type Working, working } from "../workings/index.ts";
import type { ColourWay, DishOrder } from "./DishOrder.ts";
import type { BatchSize } from "./sizeOfBatch.ts";

/** Searing in one kind of pan. */
export interface PanColour extends SearPlan {
	readonly vessel: Vessel;
}

/** How the pieces get their colour: every way worked out, and the one the plan takes. */
export interface PlanColour {
	readonly way: ColourWay;
	/** On the burners of the hob; null when there is no pan for it. */
	readonly pan: PanColour | null;
	/** The pan with the gap that lets the steam out, where the card crowds it. */
	readonly spaced: PanColour | null;
	/** In the tilting pan; null when there is none. */
	readonly tilting: PanColour | null;
	/** Null when there are no trays, or no oven is hot enough. */
	readonly oven: OvenColouring | null;
	/** Wall minutes and fat of the way that is taken; none when it cannot be done. */
	readonly minutes: number;
	readonly fat_g: number | null;
	/** Fat that skin and fat side give off while they are seared, kg; it is poured off and kept. */
	readonly givenOff_kg: number;
	/** How that came to what it is. */
	readonly sums: { readonly givenOff: Working };
}

/** More loads than this are searing for its own sake: the tilting pan or trays come first. @see model, section D */
export const MOST_LOADS = 25;
/** Pieces that one cook lays and turns in a tilting pan before the first are done. General practice. */
export const TILTING_PIECES = 46;

/**
 * Colouring on the hob, in the tilting pan and in the oven, compared. The order's own choice
 * holds; otherwise the hob, unless it takes too many loads or has no pan.
 *
 * @returns null when the dish is not coloured at all
 * @see model, section D
 */
export function planColour(
	recipe: Recipe,
	order: DishOrder,
	equipment: Equipment,
	{ pieces, chain }: Pick<BatchSize, "pieces" | "chain">,
	floured: boolean,
	beliefs: Beliefs,
): PlanColour | null {
	if (!recipe.sear) return null;
	const { sear, piece } = recipe;
	const ownFat = beliefs.gives[recipe.cut].searing;
	const fat = ownFat > 0 ? { film_mm: 0, topUp_ml: 0 } : { film_mm: FILM_MM, topUp_ml: TOP_UP_ML };
	const inVessel = (
		vessel: Vessel | undefined,
		way: { burners: number; gap_mm: number; mostPerLoad?: number },
	) => {
		if (!vessel || way.burners < 1 || piecesPerPan(vessel.shape, piece, way.gap_mm) === 0) return null;
		const plan = searPlan(
			vessel.shape,
			piece,
			pieces,
			{ ...sear, ...fat, handling_s: HANDLING_S, ...way },
			floured,
		);
		return { ...plan, vessel };
	};
	const hob = searPanOf(equipment);
	const burners = Math.min(equipment.burners, order.hands * BURNERS_A_COOK, hob?.stock ?? 0);
	const pan = inVessel(hob, { burners, gap_mm: sear.gap_mm });
	const spaced = sear.gap_mm < CROWDED_MM ? inVessel(hob, { burners, gap_mm: SEAR_GAP_MM }) : null;
	const tilting = inVessel(tiltingPanOf(equipment), {
		burners: 1,
		gap_mm: sear.gap_mm,
		mostPerLoad: TILTING_PIECES,
	});
	const oven = colourInOven(piece, pieces, equipment.trays, equipment.ovens);
	const onTrays = recipe.schools?.colour === "oven" && oven !== null;
	const way = order.colour ?? (onTrays ? "oven" : usualWay(pan, tilting, oven));
	const taken = { pan, tilting, oven }[way];
	const raw_kg = chain.trimmed_kg * (1 - (recipe.losses.boneShare ?? 0));
	const givenOff = working(
		"fatPouredOff",
		multiply(figure(raw_kg, "kg", "rawMeat"), figure(ownFat, "share", "givenAtSearing")),
		"kg",
	);
	return {
		way,
		pan,
		spaced,
		tilting,
		oven,
		minutes: taken?.minutes ?? 0,
		fat_g: taken === null ? null : way === "oven" ? 0 : (taken as SearPlan).fat_g,
		givenOff_kg: givenOff.result.value,
		sums: { givenOff },
	};
}

function usualWay(pan: SearPlan | null, tilting: SearPlan | null, oven: OvenColouring | null): ColourWay {
	if (pan && pan.loads <= MOST_LOADS) return "pan";
	const quicker = tilting && oven ? (tilting.minutes <= oven.minutes ? "tilting" : "oven") : null;
	return quicker ?? (tilting ? "tilting" : oven ? "oven" : "pan");
}

/** The searing that is taken, where it is done in a pan. */
export function searTaken({ way, pan, tilting }: PlanColour): PanColour | null {
	if (way === "oven") return null;
	return way === "tilting" ? tilting : pan;
}
