import type { LiquidAccount } from "../liquid/index.ts";
import type { OvenFit } from "../ovens/index.ts";
import type { PanChoice } from "../pans/index.ts";
import { takeQuantity, toBase } from "../quantity/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { SEAR_GAP_MM } from "../sear/index.ts";
import type { Clock } from "../tasks/index.ts";
import { minuteOfDay } from "../time/index.ts";
import type { Kitchen } from "./Kitchen.ts";
import { liquidWarnings } from "./liquidWarnings.ts";
import type { PlanWarning } from "./PlanWarning.ts";
import { panWarnings } from "./panWarnings.ts";
import type { PlanBraise } from "./planBraise.ts";
import type { PlanColour } from "./planColour.ts";
import type { PlanLine } from "./planLines.ts";
import type { PlanSauce } from "./planLiquid.ts";
import type { BatchSize } from "./sizeOfBatch.ts";

interface Planned {
	readonly size: BatchSize;
	readonly pans: PanChoice;
	readonly ovens: OvenFit;
	readonly lines: readonly PlanLine[];
	readonly clock: Clock;
	readonly colour: PlanColour | null;
	readonly braise: PlanBraise | null;
	readonly liquid: LiquidAccount | null;
	readonly sauce: PlanSauce | null;
	readonly salt_pct: number | null;
	readonly elsewhere: ReadonlyMap<string, number>;
	readonly wished: ReadonlyMap<string, number>;
}

/** Everything that stands in the way of the plan, or is worth a second look. */
export function planWarnings(recipe: Recipe, kitchen: Kitchen, planned: Planned): PlanWarning[] {
	return [
		...sizeWarnings(planned.size),
		...panWarnings(recipe, kitchen, planned.pans, planned.elsewhere, planned.wished),
		...ovenWarnings(recipe, planned.pans, planned.ovens),
		...tenderWarnings(planned.braise),
		...liquidWarnings(recipe, kitchen, planned),
		...pieceWarnings(recipe),
		...clockWarnings(recipe, kitchen, planned.clock),
		...colourWarnings(recipe, planned.colour),
	];
}

/** The way that is taken cannot be done, or its loads would be crowded. */
function colourWarnings({ sear }: Recipe, colour: PlanColour | null): PlanWarning[] {
	if (!colour || !sear) return [];
	if (colour.way === "oven") return colour.oven ? [] : [{ code: "noColourOven", place: "sear" }];
	if (!colour.pan) return [{ code: "noSearPan", place: "sear" }];
	if (sear.gap_mm >= SEAR_GAP_MM || colour.pan.loads === 1 || !colour.spaced) return [];
	const { perLoad, loads } = colour.spaced;
	if (loads === colour.pan.loads) return [];
	return [{ code: "crowded", place: "sear", gap_mm: sear.gap_mm, wanted_mm: SEAR_GAP_MM, perLoad, loads }];
}

function sizeWarnings({ chain, wanted, setBy }: BatchSize): PlanWarning[] {
	if (chain.portions >= wanted) return [];
	const code = setBy === "meat" ? "tooFewFromMeat" : "tooFewFromPans";
	return [{ code, place: "buy", makes: chain.portions, wanted }];
}

function ovenWarnings(recipe: Recipe, { pans }: PanChoice, ovens: OvenFit): PlanWarning[] {
	if (pans.length === 0 || ovens.without === 0) return [];
	const { low, high } = recipe.braise.oven_C;
	if (ovens.loads.length === 0) return [{ code: "noOven", place: "braise", low_C: low, high_C: high }];
	return [{ code: "ovenSpace", place: "braise", without: ovens.without, of: pans.length }];
}

/** A pan that never gets there, and one that boils dry before it does. */
function tenderWarnings(braise: PlanBraise | null): PlanWarning[] {
	if (!braise) return [];
	const { marks, dryAt_min } = braise.braised;
	if (dryAt_min !== null && dryAt_min <= braise.tender_min.high) {
		return [{ code: "boilsDry", place: "braise", at_min: dryAt_min }];
	}
	return marks.forkTender ? [] : [{ code: "neverTender", place: "braise" }];
}

function clockWarnings(recipe: Recipe, kitchen: Kitchen, clock: Clock): PlanWarning[] {
	const found: PlanWarning[] = [];
	const minute = minuteOfDay(clock.sear, kitchen.timeZone);
	const { opens_min, closes_min } = kitchen.hours;
	if (minute < opens_min || minute >= closes_min) found.push({ code: "beforeOpening", place: "sear" });
	if (recipe.marinate && clock.marinate !== undefined) {
		const minutes = (clock.sear - clock.marinate) / 60_000;
		const { longest_min } = recipe.marinate;
		if (minutes > longest_min)
			found.push({ code: "marinatedTooLong", place: "marinate", minutes, longest_min });
	}
	return found;
}

/** Share by which the line and the piece may differ before it is said. */
const PIECE_GAP = 0.1;

function pieceWarnings({ lines, piece }: Recipe): PlanWarning[] {
	const found: PlanWarning[] = [];
	const said_g = pieceSaid(lines.find((line) => line.role === "main")?.preparation);
	if (said_g !== null && Math.abs(said_g / piece.weight_g - 1) > PIECE_GAP) {
		found.push({ code: "pieceSize", place: "trim", said_g, piece_g: piece.weight_g });
	}
	return found;
}

/** Weight of a piece as the main line says it: "300 g pieces", "pieces of 258 g". */
function pieceSaid(preparation = ""): number | null {
	const said = /([\d.,]+\s*(?:g|kg|oz|lb))\s+pieces?|pieces?\s+of\s+([\d.,]+\s*(?:g|kg|oz|lb))/i.exec(
		preparation,
	);
	const taken = said ? takeQuantity(said[1] ?? said[2] ?? "") : undefined;
	return taken ? toBase(taken.quantity.amount, taken.quantity.unit) : null;
}
