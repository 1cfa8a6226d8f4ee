import type { OvenFit } from "../ovens/index.ts";
import { type ChosenPan, type PanChoice, type PanWarning, pieceThickness } from "../pans/index.ts";
import { takeQuantity, toBase } from "../quantity/index.ts";
import type { PlaceKey, Recipe } from "../recipe/index.ts";
import { type Clock, minuteOfDay } from "../schedule/index.ts";
import type { Kitchen } from "./Kitchen.ts";
import type { PlanLine } from "./planLines.ts";
import type { BatchSize } from "./sizeOfBatch.ts";

/** What the chef has to know before it is too late, with its figures. */
export type PlanWarning = { readonly place: PlaceKey } & (
	| { readonly code: "tooFewFromMeat" | "tooFewFromPans"; readonly makes: number; readonly wanted: number }
	| { readonly code: "noPan" | "bedReachesLine" | "beforeOpening" | "noSearPan" }
	| { readonly code: "panStock"; readonly unplaced: number }
	| { readonly code: "overfull"; readonly dip_mm: number; readonly headspace_mm: number }
	| {
			readonly code: "heavy";
			readonly pans: number;
			readonly of: number;
			readonly heaviest_kg: number;
			readonly limit_kg: number;
	  }
	| { readonly code: "tallPiece"; readonly over_mm: number }
	| { readonly code: "ovenSpace"; readonly without: number; readonly of: number }
	| { readonly code: "noOven"; readonly low_C: number; readonly high_C: number }
	| { readonly code: "ratio"; readonly pans_l: number; readonly card_l: number }
	| { readonly code: "sauceShort"; readonly wanted_l: number; readonly there_l: number }
	| { readonly code: "saltOver"; readonly end_pct: number; readonly high_pct: number }
	| { readonly code: "saltUnder"; readonly end_pct: number; readonly low_pct: number }
	| { readonly code: "pieceSize"; readonly said_g: number; readonly piece_g: number }
	| {
			readonly code: "thickness";
			readonly thickness_mm: number;
			readonly low_mm: number;
			readonly high_mm: number;
	  }
	| { readonly code: "marinatedTooLong"; readonly minutes: number; readonly longest_min: number }
);

/** The pans' litres may differ from the card's ratio by this share before it is said. */
const RATIO_GAP = 0.25;

interface Planned {
	readonly size: BatchSize;
	readonly pans: PanChoice;
	readonly ovens: OvenFit;
	readonly lines: readonly PlanLine[];
	readonly clock: Clock;
	readonly searNeeded: boolean;
	readonly sauce_l: number;
	readonly salt_pct: number | null;
}

/** Everything that stands in the way of the plan, or is worth a second look. */
export function planWarnings(recipe: Recipe, kitchen: Kitchen, planned: Planned): PlanWarning[] {
	return [
		...sizeWarnings(planned.size),
		...stockWarnings(planned.pans),
		...panWarnings(kitchen, planned.pans.pans),
		...ovenWarnings(recipe, planned.pans, planned.ovens),
		...liquidWarnings(planned.pans, planned.lines),
		...sauceWarnings(recipe, kitchen, planned),
		...pieceWarnings(recipe),
		...clockWarnings(recipe, kitchen, planned.clock),
		...(planned.searNeeded && !kitchen.searPan ? [{ code: "noSearPan", place: "sear" } as const] : []),
	];
}

function sizeWarnings({ chain, wanted, setBy }: BatchSize): PlanWarning[] {
	if (chain.portions >= wanted) return [];
	const code = setBy === "meat" ? "tooFewFromMeat" : "tooFewFromPans";
	return [{ code, place: "buy", makes: chain.portions, wanted }];
}

function stockWarnings({ pans, unplaced }: PanChoice): PlanWarning[] {
	if (pans.length === 0) return [{ code: "noPan", place: "panUp" }];
	return unplaced > 0 ? [{ code: "panStock", place: "panUp", unplaced }] : [];
}

function panWarnings(kitchen: Kitchen, pans: readonly ChosenPan[]): PlanWarning[] {
	const flagged = (code: PanWarning) => pans.filter((pan) => pan.warnings.includes(code));
	const found: PlanWarning[] = [];
	const [overfull] = flagged("overfull");
	if (overfull) {
		const { headspace_mm } = kitchen;
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
			limit_kg: kitchen.liftLimit_kg,
		});
	}
	const [tall] = flagged("tallPiece");
	if (tall) found.push({ code: "tallPiece", place: "panUp", over_mm: tall.pieceOver_mm });
	return found;
}

function ovenWarnings(recipe: Recipe, { pans }: PanChoice, ovens: OvenFit): PlanWarning[] {
	if (pans.length === 0 || ovens.without === 0) return [];
	const { low, high } = recipe.braise.oven_C;
	if (ovens.loads.length === 0) return [{ code: "noOven", place: "braise", low_C: low, high_C: high }];
	return [{ code: "ovenSpace", place: "braise", without: ovens.without, of: pans.length }];
}

function liquidWarnings(pans: PanChoice, lines: readonly PlanLine[]): PlanWarning[] {
	const card_ml = lines.reduce((sum, { card_ml, line }) => sum + (card_ml ?? 0) * (line.reducedTo ?? 1), 0);
	if (pans.pans.length === 0 || card_ml === 0) return [];
	if (pans.liquid_l === 0) return [{ code: "bedReachesLine", place: "panUp" }];
	const card_l = card_ml / 1000;
	if (Math.abs(pans.liquid_l / card_l - 1) <= RATIO_GAP) return [];
	return [{ code: "ratio", place: "build", pans_l: pans.liquid_l, card_l }];
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

/** What there is to make sauce from: what is poured, and what the meat gives up in cooking. */
function sauceWarnings(recipe: Recipe, kitchen: Kitchen, planned: Planned): PlanWarning[] {
	const { size, pans, sauce_l, salt_pct } = planned;
	const found: PlanWarning[] = [];
	const boned_kg = size.chain.trimmed_kg * (1 - (recipe.losses.boneShare ?? 0));
	const there_l = pans.liquid_l + Math.max(0, boned_kg - size.chain.cooked_kg);
	if (pans.pans.length > 0 && sauce_l > there_l) {
		found.push({ code: "sauceShort", place: "sauce", wanted_l: sauce_l, there_l });
	}
	if (salt_pct === null) return found;
	const { low, high } = kitchen.saltBand_pct;
	if (salt_pct > high) found.push({ code: "saltOver", place: "sauce", end_pct: salt_pct, high_pct: high });
	if (salt_pct < low / 2) found.push({ code: "saltUnder", place: "sauce", end_pct: salt_pct, low_pct: low });
	return found;
}

/** Thickness for which the table of minutes is written, mm, with what still passes for it. */
const TABLE_MM = { low: 28, high: 80 };
/** Share by which the line and the piece may differ before it is said. */
const PIECE_GAP = 0.1;

function pieceWarnings({ lines, piece, cut }: Recipe): PlanWarning[] {
	const found: PlanWarning[] = [];
	const said_g = pieceSaid(lines.find((line) => line.role === "main")?.preparation);
	if (said_g !== null && Math.abs(said_g / piece.weight_g - 1) > PIECE_GAP) {
		found.push({ code: "pieceSize", place: "trim", said_g, piece_g: piece.weight_g });
	}
	const thickness_mm = pieceThickness(piece);
	const asBought = cut === "squid";
	if (!asBought && (thickness_mm < TABLE_MM.low || thickness_mm > TABLE_MM.high)) {
		found.push({
			code: "thickness",
			place: "braise",
			thickness_mm,
			low_mm: TABLE_MM.low,
			high_mm: TABLE_MM.high,
		});
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
