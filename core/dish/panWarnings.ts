import { maxBy, sumBy } from "es-toolkit";
import { type Kitchen, ownHeatOf, vesselsFor } from "../kitchen/index.ts";
import {
	type ChosenPan,
	depthOf,
	heightOf,
	lineUp,
	type PanChoice,
	type PanWarning,
	volumeBelow,
} from "../pans/index.ts";
import { heatOf, isInOven, type Recipe } from "../recipe/index.ts";
import type { PlacedTask } from "../tasks/index.ts";
import type { HeatWay } from "../trade/index.ts";
import { countByType } from "./countByType.ts";
import { type PansElsewhere, pansHeld } from "./heldPans.ts";
import type { PlanWarning, StockUse } from "./PlanWarning.ts";

/** A pan filled to less than this share is called half empty. */
const HALF_EMPTY = 0.6;
/** Pieces may stand this much further out of the liquid than their school before it is said, mm. */
const STANDS_OUT_MM = 2;

/**
 * What is wrong with the pans of a dish, with the figures that limit.
 *
 * @param elsewhere which pans the other dishes of the sitting have
 * @param late_l    what joins all pans late, litres
 */
export function panWarnings(
	recipe: Recipe,
	kitchen: Kitchen,
	choice: PanChoice,
	elsewhere: PansElsewhere,
	wished: ReadonlyMap<string, number>,
	late_l: number,
): PlanWarning[] {
	return [
		...stockWarnings(recipe, kitchen, choice, elsewhere),
		...burnerWarnings(recipe, kitchen, choice),
		...wishWarnings(heatOf(recipe), kitchen, choice, elsewhere, wished),
		...limitWarnings(kitchen, choice.pans),
		...fillWarnings(recipe, choice),
		...lateWarnings(kitchen, choice.pans, late_l),
	];
}

function stockWarnings(
	recipe: Recipe,
	kitchen: Kitchen,
	choice: PanChoice,
	elsewhere: PansElsewhere,
): PlanWarning[] {
	const heat = heatOf(recipe);
	if (choice.pans.length === 0)
		return [heat === "oven" ? { code: "noPan", place: "panUp" } : { code: "noVessel", place: "panUp", heat }];
	if (choice.unplaced === 0) return [];
	const kinds = kindsInUse(heat, kitchen, choice, elsewhere);
	return [{ code: "panStock", place: "panUp", unplaced: choice.unplaced, kinds }];
}

/** Pots of one filling that stand on burners at once. */
function burnerWarnings(recipe: Recipe, { equipment }: Kitchen, { pans }: PanChoice): PlanWarning[] {
	if (isInOven(recipe)) return [];
	const wanted = pans.filter(({ go, type }) => go === 1 && !ownHeatOf(type.id, equipment)).length;
	const { burners } = equipment;
	return wanted > burners ? [{ code: "burnersShort", place: "braise", wanted, burners }] : [];
}

function kindsInUse(
	heat: HeatWay,
	kitchen: Kitchen,
	choice: PanChoice,
	elsewhere: PansElsewhere,
): StockUse[] {
	return usesOf(heat, kitchen, choice, elsewhere).filter(
		({ here, elsewhere: there }) => here + pansHeld(there) > 0,
	);
}

/** Pans that are filled more than once, and how long the first filling waits for the last. */
export function goesWarnings(
	recipe: Recipe,
	kitchen: Kitchen,
	choice: PanChoice,
	elsewhere: PansElsewhere,
	tasks: readonly PlacedTask[],
): PlanWarning[] {
	const { goes, pans } = choice;
	if (goes === 1) return [];
	const pieces = sumBy(pans, (pan) => pan.pieces);
	const atOnce = sumBy(
		pans.filter(({ go }) => go === 1),
		(pan) => pan.pieces,
	);
	const holds = tasks.filter(({ part, fills }) => part === "hold" && fills);
	const held_min = Math.max(...holds.map(({ start, end }) => (end - start) / 60_000));
	const kinds = kindsInUse(heatOf(recipe), kitchen, choice, elsewhere);
	return [{ code: "inGoes", place: "panUp", goes, atOnce, pieces, held_min, kinds }];
}

function wishWarnings(
	heat: HeatWay,
	kitchen: Kitchen,
	choice: PanChoice,
	elsewhere: PansElsewhere,
	wished: ReadonlyMap<string, number>,
): PlanWarning[] {
	const kinds = usesOf(heat, kitchen, choice, elsewhere).filter(
		({ here, elsewhere: there, stock, id }) =>
			(wished.get(id) ?? 0) > here && here + pansHeld(there) >= stock,
	);
	return kinds.length > 0 ? [{ code: "wishBeyondStock", place: "panUp", kinds }] : [];
}

function usesOf(
	heat: HeatWay,
	{ equipment }: Kitchen,
	choice: PanChoice,
	elsewhere: PansElsewhere,
): (StockUse & { readonly id: string })[] {
	const had = countByType(choice);
	return vesselsFor(heat, equipment).map(({ id, name, stock }) => ({
		id,
		name,
		stock,
		here: had.find(({ type }) => type.id === id)?.count ?? 0,
		elsewhere: elsewhere.get(id) ?? [],
	}));
}

function limitWarnings(kitchen: Kitchen, pans: readonly ChosenPan[]): PlanWarning[] {
	const flagged = (code: PanWarning) => pans.filter((pan) => pan.warnings.includes(code));
	const found: PlanWarning[] = [];
	const [overfull] = flagged("overfull");
	if (overfull) {
		const { headspace_mm } = kitchen.policy;
		found.push({ code: "overfull", place: "panUp", dip_mm: overfull.dip_mm, headspace_mm });
	}
	const heavy = flagged("heavy");
	if (heavy.length > 0) {
		found.push({
			code: "heavy",
			place: "panUp",
			pans: heavy.length,
			of: pans.length,
			heaviest_kg: Math.max(...heavy.map((pan) => pan.lifted_kg)),
			limit_kg: kitchen.policy.liftLimit_kg,
		});
	}
	const [tall] = flagged("tallPiece");
	if (tall) found.push({ code: "tallPiece", place: "panUp", over_mm: tall.pieceOver_mm });
	return found;
}

/** What joins late takes its room then: a pan that was right may be over-full. */
function lateWarnings({ policy }: Kitchen, pans: readonly ChosenPan[], late_l: number): PlanWarning[] {
	const pieces = pans.reduce((sum, pan) => sum + pan.pieces, 0);
	const rises = pans.map((pan) => {
		const { shape } = pan.type;
		const stands_l = volumeBelow(shape, Math.min(pan.line_mm, depthOf(shape)));
		const then_mm = heightOf(shape, stands_l + (late_l * pan.pieces) / pieces);
		return depthOf(shape) - then_mm;
	});
	const dip_mm = Math.min(...rises);
	const was = pans.some(({ warnings }) => warnings.includes("overfull"));
	if (late_l === 0 || pans.length === 0 || was || dip_mm >= policy.headspace_mm) return [];
	return [{ code: "overfullLate", place: "braise", dip_mm, headspace_mm: policy.headspace_mm }];
}

function fillWarnings({ braise }: Recipe, { pans, goes }: PanChoice): PlanWarning[] {
	const found: PlanWarning[] = [];
	const slack = pans.find(({ pieces, capacity }) => pieces < capacity * HALF_EMPTY);
	if (slack && goes === 1) {
		const { type, pieces, capacity } = slack;
		found.push({ code: "halfEmpty", place: "panUp", name: type.name, pieces, holds: capacity });
	}
	const stands = (pan: ChosenPan) =>
		pan.bed_mm + pan.pile_mm - Math.min(pan.line_mm, depthOf(pan.type.shape));
	const highest = maxBy(pans, stands);
	if (!highest) return found;
	const school_mm = Math.max(0, highest.pile_mm - lineUp(highest.pile_mm, braise.line));
	const stands_mm = stands(highest);
	if (stands_mm > school_mm + STANDS_OUT_MM) {
		found.push({ code: "aboveLine", place: "panUp", stands_mm, school_mm });
	}
	return found;
}
