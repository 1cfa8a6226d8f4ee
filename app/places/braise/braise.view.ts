import { sumBy } from "es-toolkit";
import { type BraiseCurve, braiseCurve, type CutSize, type WaysAsked } from "#core/braise";
import type { WorkedDish } from "#core/day";
import {
	type BraiseGroup,
	countByType,
	dryBeforeTender,
	lastStartAt,
	lastTender,
	minutesOnHeat,
} from "#core/dish";
import { sidesOf } from "#core/heat";
import { type HousePolicy, vesselsFor } from "#core/kitchen";
import { smallerPiece } from "#core/pans";
import { heatOf, isInOven, type Recipe } from "#core/recipe";
import { type CookChoice, PARTS } from "#core/sitting";
import { type ClockHours, MINUTE_MS } from "#core/time";
import { HEAT_WAYS, type HeatWay } from "#core/trade";
import { isByPiece } from "#core/yields";
import type { CurveHold, CurveMoment } from "../../ui/drawings/BraiseCurve.tsx";
import type { OvenDrawing, OvenPans } from "../../ui/drawings/drawings.ts";
import { ovenPans } from "../../ui/drawings/ovenPans.ts";
import { labAddress } from "../../ui/forms/labAddress.ts";
import { cookWords } from "../../ui/words/cookWords.ts";
import type { Reading } from "../../ui/words/reading.ts";
import { ovensOf } from "../ovensOf.ts";
import type { TableGiven } from "../Place.ts";
import { type Check, checksOf } from "./checks.ts";

/** The braise of the fullest pan against the clock, with what to do when it is early or late. */
export interface BraiseView {
	readonly drawing: BraiseDrawing | null;
	readonly ovens: readonly OvenDrawing[];
	readonly onFloor: readonly OvenPans[];
	readonly checks: readonly Check[];
	/** What the sitting has settled beside its card, in words; null where the card holds. */
	readonly settled: string | null;
}

export interface BraiseDrawing {
	readonly curve: BraiseCurve;
	readonly words: string;
	/** Instant of the oven door, and the house's clock. */
	readonly inAt: number;
	readonly liftAt: number;
	readonly timeZone: string;
	readonly clockHours: ClockHours;
	readonly units: Reading["units"];
	readonly end_min: number;
	readonly moments: readonly CurveMoment[];
	/** From the lift to the plate, where that is the same day. */
	readonly hold: CurveHold | null;
	/** Null where it does not stand in an oven. */
	readonly ways: WaysAsked | null;
	/** Other heats for which the kitchen has something to put it in, and about how long each takes, minutes. */
	readonly heats: readonly { readonly heat: HeatWay; readonly minutes: number }[];
	/** As it is settled already. */
	readonly cook: CookChoice | null;
	readonly lab: string;
}

export function braiseView(given: TableGiven): BraiseView {
	const { plan } = given;
	const { braise } = plan;
	return {
		drawing: braise ? drawingOf(given, lastTender(plan, plan.tasks).group ?? braise.slowest) : null,
		ovens: ovensOf(given),
		onFloor: isInOven(plan.recipe) ? onFloorOf(plan) : [],
		checks: checksOf(given),
		settled: given.cook ? cookWords(given.cook, given.reading.temperature) : null,
	};
}

/** Served within so long of the lift, it is one curve, minutes. */
const SAME_DAY_MIN = 360;

function drawingOf({ plan, kitchen, reading, cook = null }: TableGiven, braise: BraiseGroup): BraiseDrawing {
	const { start: into } = lastTender(plan, plan.tasks);
	const lift = lastStartAt(plan, "rest");
	const minute = (at: number) => (at - into) / MINUTE_MS;
	const lift_min = minute(lift);
	const serve_min = minute(plan.order.serviceAt);
	// What is served on a later day is drawn until it is lifted.
	const isServed = serve_min - lift_min < SAME_DAY_MIN;
	const end_min = Math.max(isServed ? serve_min : lift_min, braise.tender_min.high) + 10;
	return {
		curve: braiseCurve(braise.braised, end_min),
		words: curveWords(plan, braise, reading),
		inAt: into,
		liftAt: lift,
		timeZone: reading.timeZone,
		clockHours: reading.clockHours,
		units: reading.units,
		end_min,
		moments: [
			{ minute: lift_min, words: "lift" },
			...(isServed ? [{ minute: serve_min, words: "serve", isService: true }] : []),
		],
		hold: isServed
			? { from_min: lift_min, to_min: serve_min, words: waitWords(plan, serve_min - lift_min, reading) }
			: null,
		ways: isInOven(plan.recipe) ? waysOf(plan, braise, kitchen.policy, cook?.parts ?? 1) : null,
		heats: HEAT_WAYS.filter(
			(heat) => heat !== heatOf(plan.recipe) && vesselsFor(heat, kitchen.equipment).length > 0,
		).map((heat) => ({
			heat,
			minutes: minutesOnHeat(braise, heat, plan.recipe, kitchen.policy.altitude_m),
		})),
		cook,
		lab: labAddress([braise.given]),
	};
}

/** Longer than this it is kept hot on purpose, minutes. */
const REST_MIN = 30;

/** How it waits for its plates. */
function waitWords({ hold }: WorkedDish, wait_min: number, { temperature }: Reading): string[] {
	return hold && wait_min > REST_MIN ? ["hold", temperature(hold.held_C)] : ["rest"];
}

function curveWords(plan: WorkedDish, { tender_min, braised }: BraiseGroup, reading: Reading): string {
	const { tender, order } = plan;
	const dry = dryBeforeTender(plan, plan.tasks);
	if (dry !== null) {
		return `In ${reading.clock(lastTender(plan, plan.tasks).start)}. Dry at ${reading.clock(dry)}, before it is tender: no time holds.`;
	}
	const { likely } = braised;
	const core_C = likely.points.findLast(({ minute }) => minute <= tender_min.likely)?.core_C ?? 0;
	return `In ${reading.clock(lastTender(plan, plan.tasks).start)}. Tender ${reading.clock(tender.low)} to ${reading.clock(tender.high)}, likely ${reading.clock(tender.likely)}, when the centre is at ${reading.temperature(core_C)} and ${reading.volume(braised.liquidLeft_l)} is left in the fullest pan. Lift ${reading.clock(lastStartAt(plan, "rest"))}. Serve ${reading.clock(order.serviceAt)}.`;
}

/** The hottest that a covered braise is set to, °C: above it only the rim scorches. */
const HOTTEST_C = 200;

function waysOf(plan: WorkedDish, braise: BraiseGroup, policy: HousePolicy, parts: number): WaysAsked {
	const ovens = plan.ovens.loads.map(({ oven }) => oven);
	const least = ovens.map(({ min_C }) => min_C);
	const most = ovens.map(({ max_C }) => max_C);
	return {
		given: braise.given,
		pans: sumBy(countByType(plan.pans), ({ count }) => count),
		ovens: Math.max(1, ovens.length),
		lids: ["lid", "foil", "paper"],
		sizes: sizesOf(plan.recipe, parts),
		oven_C: { low: Math.max(80, ...least), high: Math.min(HOTTEST_C, ...most) },
		confidence: policy.confidence,
		wanted_min: (lastStartAt(plan, "rest") - lastTender(plan, plan.tasks).start) / MINUTE_MS,
	};
}

/** A piece is cut into so many at the most. */
const MOST_PARTS = Math.max(...PARTS);

/** As the butcher can still cut it; what is served by the piece stays whole. */
function sizesOf({ piece, portion }: Recipe, parts: number): CutSize[] {
	const halvings = isByPiece(portion) ? [0] : [0, 1, 2].filter((times) => parts * 2 ** times <= MOST_PARTS);
	return halvings.map((times) => ({ parts: 2 ** times, sides: sidesOf(smallerPiece(piece, times)) }));
}

/** The pans for which there is no rung. */
function onFloorOf({ braise }: WorkedDish): OvenPans[] {
	const without = braise?.groups.filter(({ oven }) => oven === null) ?? [];
	return without.map(({ type, pans }) => ovenPans(type.shape, pans.length, "1/1"));
}
