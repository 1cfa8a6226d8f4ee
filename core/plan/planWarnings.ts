import type { OvenFit } from "../ovens/index.ts";
import { type PanChoice, type PanType, shelfShare } from "../pans/index.ts";
import type { PlaceKey, Recipe } from "../recipe/index.ts";
import { type Clock, minuteOfDay } from "../schedule/index.ts";
import type { Kitchen } from "./Kitchen.ts";
import type { PlanLine } from "./planLines.ts";
import type { BatchSize } from "./sizeOfBatch.ts";

export interface PlanWarning {
	readonly code:
		| "panStock"
		| "noPan"
		| "overfull"
		| "heavy"
		| "tallPiece"
		| "ovenSpace"
		| "noOven"
		| "tooFew"
		| "ratio"
		| "bedReachesLine"
		| "beforeOpening"
		| "marinatedTooLong"
		| "noSearPan";
	/** Where it shows on the long table. */
	readonly place: PlaceKey;
	/** What is so, with its figures. */
	readonly says: string;
	/** The usual remedy. */
	readonly remedy: string;
}

/** The pans' litres may differ from the card's ratio by this share before it is said. */
const RATIO_GAP = 0.25;

interface Planned {
	readonly size: BatchSize;
	readonly pans: PanChoice;
	readonly ovens: OvenFit;
	readonly lines: readonly PlanLine[];
	readonly clock: Clock;
	readonly searNeeded: boolean;
}

/** Everything the chef has to know before it is too late, with the usual remedy. */
export function planWarnings(
	recipe: Recipe,
	kitchen: Kitchen,
	planned: Planned,
): PlanWarning[] {
	return [
		...sizeWarnings(planned.size),
		...panWarnings(kitchen, planned.pans),
		...ovenWarnings(recipe, planned.pans, planned.ovens),
		...liquidWarnings(planned.pans, planned.lines),
		...clockWarnings(recipe, kitchen, planned.clock),
		...(planned.searNeeded && !kitchen.searPan
			? [warning("noSearPan", "sear", "The kitchen has no searing pan.", "Choose one under Kitchen; until then searing takes no time in the clock.")]
			: []),
	];
}

function warning(code: PlanWarning["code"], place: PlaceKey, says: string, remedy: string): PlanWarning {
	return { code, place, says, remedy };
}

function sizeWarnings({ chain, wanted, setBy }: BatchSize): PlanWarning[] {
	const short = wanted - chain.portions;
	if (short <= 0) return [];
	const what = setBy === "meat" ? "The weight on hand" : "That number of pans";
	return [
		warning(
			"tooFew",
			"buy",
			`${what} makes ${chain.portions} portions; ${wanted} are wanted, ${short} short.`,
			setBy === "meat" ? "Buy more, or offer another dish for the rest." : "Take more pans, or a deeper kind.",
		),
	];
}

function panWarnings(kitchen: Kitchen, pans: PanChoice): PlanWarning[] {
	const found: PlanWarning[] = [];
	if (pans.pans.length === 0) {
		found.push(
			warning("noPan", "panUp", "No pan in stock takes these pieces.", "Cut smaller, free the pan for this dish, or add one under Kitchen."),
		);
	} else if (pans.unplaced > 0) {
		found.push(
			warning("panStock", "panUp", `${pans.unplaced} pieces have no pan: the stock is used up.`, "Borrow pans, cook in two goes, or let another kind of pan be used."),
		);
	}
	const flagged = (code: "overfull" | "heavy" | "tallPiece") =>
		pans.pans.filter((pan) => pan.warnings.includes(code));
	const [overfull] = flagged("overfull");
	if (overfull) {
		found.push(
			warning("overfull", "panUp", `The line leaves ${Math.round(overfull.dip_mm)} mm to the rim; ${kitchen.headspace_mm} mm is wanted.`, "Use a deeper pan, a lower line, or fewer vegetables under the meat."),
		);
	}
	const heavy = flagged("heavy");
	if (heavy.length > 0) {
		const most = Math.max(...heavy.map((pan) => pan.lifted_kg));
		found.push(
			warning("heavy", "panUp", `${heavy.length} of ${pans.pans.length} pans weigh up to ${most.toFixed(1)} kg, over the ${kitchen.liftLimit_kg} kg limit for one.`, "Two carry, pour at the oven, or use smaller pans."),
		);
	}
	if (flagged("tallPiece").length > 0) {
		found.push(
			warning("tallPiece", "panUp", "The pieces stand into the headspace under the lid.", "Use a deeper pan or cut them lower."),
		);
	}
	return found;
}

function ovenWarnings(recipe: Recipe, pans: PanChoice, ovens: OvenFit): PlanWarning[] {
	if (pans.pans.length === 0 || ovens.without === 0) return [];
	const { low, high } = recipe.braise.oven_C;
	if (ovens.loads.length === 0) {
		const widest = widestPan(pans.pans.map((pan) => pan.type));
		return [
			warning("noOven", "braise", `No oven takes ${widest} at ${low} to ${high} °C.`, "Choose another pan, or correct the oven's range under Kitchen."),
		];
	}
	return [
		warning("ovenSpace", "braise", `${ovens.without} of ${pans.pans.length} pans have no rung.`, "Cook in two goes, use flatter pans, or move another dish."),
	];
}

function widestPan(types: readonly PanType[]): string {
	const [first] = [...types].sort((a, b) => shelfShare(b.shape) - shelfShare(a.shape));
	return first?.name ?? "the pans";
}

function liquidWarnings(pans: PanChoice, lines: readonly PlanLine[]): PlanWarning[] {
	const card_l = lines.reduce((sum, line) => sum + (line.card_ml ?? 0) * (line.line.reducedTo ?? 1), 0) / 1000;
	if (pans.pans.length === 0 || card_l === 0) return [];
	if (pans.liquid_l === 0) {
		return [
			warning("bedReachesLine", "panUp", "Meat and vegetables alone reach the line.", "Raise the line, or put fewer vegetables under the meat."),
		];
	}
	const ratio = pans.liquid_l / card_l;
	if (Math.abs(ratio - 1) <= RATIO_GAP) return [];
	const more = ratio > 1;
	return [
		warning(
			"ratio",
			"build",
			`The pans take ${pans.liquid_l.toFixed(1)} l; the card's ratio would give ${card_l.toFixed(1)} l.`,
			more ? "Expect a weaker sauce: reduce longer, or lay the pieces closer." : "Expect a stronger, shorter sauce: taste for salt before it reduces.",
		),
	];
}

function clockWarnings(recipe: Recipe, kitchen: Kitchen, clock: Clock): PlanWarning[] {
	const found: PlanWarning[] = [];
	const first = clock.sear;
	const minute = minuteOfDay(first, kitchen.timeZone);
	if (minute < kitchen.hours.opens_min || minute >= kitchen.hours.closes_min) {
		found.push(
			warning("beforeOpening", "sear", "Searing starts outside the kitchen's hours.", "Put on more hands, choose a quicker oven, or cook the day before."),
		);
	}
	if (recipe.marinate && clock.marinate !== undefined && clock.drain !== undefined) {
		const minutes = (clock.drain - clock.marinate) / 60_000;
		if (minutes > recipe.marinate.longest_min) {
			found.push(
				warning("marinatedTooLong", "marinate", `It would lie ${Math.round(minutes / 60)} h in the marinade; ${Math.round(recipe.marinate.longest_min / 60)} h is the most.`, "Start later with a second pair of hands; too long turns it woolly."),
			);
		}
	}
	return found;
}
