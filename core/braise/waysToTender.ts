import type { PieceSides } from "../heat/index.ts";
import type { Range } from "../quantity/index.ts";
import type { Lid } from "../trade/index.ts";
import type { BraiseGiven } from "./BraiseGiven.ts";
import { type Braised, braise, LONGEST_MIN, tenderRange } from "./braise.ts";
import { heatAt, steamAt } from "./Course.ts";
import { minutesToBeSure } from "./confidence.ts";
import { type OvenEnergy, ovenEnergy } from "./energy.ts";
import { likelyMinutes } from "./likelyMinutes.ts";

/** A piece as the butcher can cut it: whole, or in so many parts. */
export interface CutSize {
	readonly parts: number;
	readonly sides: PieceSides;
}

export interface WaysAsked {
	readonly given: BraiseGiven;
	/** Pans like it, and the ovens they stand in. */
	readonly pans: number;
	readonly ovens: number;
	readonly lids: readonly Lid[];
	readonly sizes: readonly CutSize[];
	/** What the ovens can be set to, °C. */
	readonly oven_C: { readonly low: number; readonly high: number };
	/** How sure it has to be tender, a share of days. */
	readonly confidence: number;
	/** Minutes there are from the oven door to the lift. */
	readonly wanted_min: number;
}

/** One way to have it tender, with what it costs. */
export interface WayToTender {
	readonly oven_C: number;
	readonly lid: Lid;
	readonly parts: number;
	readonly tender_min: Range;
	/** Minutes it has to be given to be as sure as is asked. */
	readonly sure_min: number;
	readonly inTime: boolean;
	/** From fork-tender to falling apart: how long the pans may stand. */
	readonly window_min: number;
	/** Left in the fullest pan when it is likely tender, litres. */
	readonly left_l: number;
	/** Gone from all pans by then, litres. */
	readonly steam_l: number;
	readonly energy: OvenEnergy;
	readonly dry: boolean;
}

/** Ovens are set to tens of degrees. */
const STEP_C = 10;

/**
 * For each lid and each size of piece the coolest oven that has it tender in the time there is;
 * where none has, the coolest that is hardly slower than the hottest.
 *
 * @returns the ways that are in time first, among them those that change least
 * @throws {Error} when the given pan does not stand in an oven
 */
export function waysToTender(asked: WaysAsked): WayToTender[] {
	const ways = asked.sizes.flatMap((size) => asked.lids.map((lid) => coolest(asked, size, lid)));
	return ways.sort(
		(a, b) =>
			Number(b.inTime) - Number(a.inTime) ||
			Number(a.dry) - Number(b.dry) ||
			effort(asked, a) - effort(asked, b) ||
			a.sure_min - b.sure_min,
	);
}

/** Every lid and size at the oven's own setting: when each has to go in. */
export function waysAtOven(asked: WaysAsked): WayToTender[] {
	const { heat } = asked.given;
	if (!("set_C" in heat)) throw new Error("only a pan in an oven has ways to choose from");
	return asked.sizes.flatMap((size) => asked.lids.map((lid) => wayAt(asked, size, lid, heat.set_C)));
}

/** A butcher's cut and another lid are more to ask than the oven's dial. */
function effort({ given }: WaysAsked, { parts, lid, oven_C }: WayToTender): number {
	const dial = "set_C" in given.heat ? Math.abs(given.heat.set_C - oven_C) / STEP_C : 0;
	return Math.log2(parts) * 4 + (lid === given.lid ? 0 : 2) + dial;
}

function coolest(asked: WaysAsked, size: CutSize, lid: Lid): WayToTender {
	const settings = ovenSettings(asked);
	const hottest_C = settings.at(-1) as number;
	const likelyAt = (oven_C: number) => likelyMinutes(changed(asked.given, size, lid, oven_C));
	const best_min = likelyAt(hottest_C);
	const wanted_min = Math.max(asked.wanted_min / sureRatio(asked), best_min * HARDLY_SLOWER);
	// Hotter is never slower: the first setting that is in time is found by halving.
	let low = 0;
	let high = settings.length - 1;
	while (low < high) {
		const middle = (low + high) >> 1;
		if (likelyAt(settings[middle] as number) <= wanted_min) high = middle;
		else low = middle + 1;
	}
	// The search went by the likely time; the whole range may ask for a step more.
	let way = wayAt(asked, size, lid, settings[low] as number);
	while (!way.inTime && best_min < asked.wanted_min && low < settings.length - 1) {
		low += 1;
		way = wayAt(asked, size, lid, settings[low] as number);
	}
	return way;
}

/** Once the liquid boils a hotter oven gains next to nothing: within this it is not worth the dial. */
const HARDLY_SLOWER = 1.03;

function ovenSettings({ oven_C: { low, high } }: WaysAsked): number[] {
	const first = Math.ceil(low / STEP_C);
	const count = Math.max(1, Math.floor(high / STEP_C) - first + 1);
	return Array.from({ length: count }, (_, step) => (first + step) * STEP_C);
}

/** How much more than the likely time the pan as it is has to be given. */
function sureRatio({ given, confidence }: WaysAsked): number {
	const tender = braise(given).marks.forkTender;
	return tender ? minutesToBeSure(tender, confidence) / tender.likely : 1;
}

function changed(given: BraiseGiven, size: CutSize, lid: Lid, oven_C: number): BraiseGiven {
	const kind = given.heat.kind === "stillOven" ? "stillOven" : "fanOven";
	return { ...given, sides: size.sides, lid, heat: { kind, set_C: oven_C } };
}

function wayAt(asked: WaysAsked, size: CutSize, lid: Lid, oven_C: number): WayToTender {
	const given = changed(asked.given, size, lid, oven_C);
	const braised = braise(given);
	const tender_min = tenderRange(braised);
	const sure_min = minutesToBeSure(tender_min, asked.confidence);
	const { likely } = tender_min;
	return {
		oven_C,
		lid,
		parts: size.parts,
		tender_min,
		sure_min,
		inTime: sure_min <= asked.wanted_min,
		window_min: (braised.marks.fallingApart?.likely ?? LONGEST_MIN) - likely,
		left_l: braised.liquidLeft_l,
		steam_l: steamAt(braised.likely, likely) * asked.pans,
		energy: ovenEnergy(heatAt(braised.likely, likely) * asked.pans, oven_C, likely, asked.ovens),
		dry: isDryBefore(braised, sure_min),
	};
}

function isDryBefore({ dryAt_min }: Braised, minute: number): boolean {
	return dryAt_min !== null && dryAt_min <= minute;
}
