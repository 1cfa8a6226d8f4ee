import { type BraiseCurve, braiseCurve, type CutSize, stillToGo, type WaysAsked } from "#core/braise";
import { sidesOf } from "#core/heat";
import { depthOf, rimOf, smallerPiece } from "#core/pans";
import type { Kitchen, Plan, PlanBraise } from "#core/plan";
import type { Recipe } from "#core/recipe";
import { HOUSE_CODES } from "#core/safety";
import { durationWords } from "#core/time";
import { LIDS } from "#core/trade";
import { isByPiece } from "#core/yields";
import type { CurveMoment } from "../ui/BraiseCurve.tsx";
import type { OvenDrawing } from "../ui/drawings.ts";
import { labAddress } from "../ui/labAddress.ts";
import { percent, type Reading } from "../ui/reading.ts";
import type { SumsFor } from "./arithmetic.ts";

/** The braise of the fullest pan against the clock, with what to do when it is early or late. */
export interface BraiseView {
	readonly drawing: BraiseDrawing | null;
	readonly ovens: readonly OvenDrawing[];
	readonly checks: readonly Check[];
}

export interface BraiseDrawing {
	readonly curve: BraiseCurve;
	readonly words: string;
	/** Instant of the oven door, and the house's clock. */
	readonly inAt: number;
	readonly liftAt: number;
	readonly timeZone: string;
	readonly units: Reading["units"];
	readonly end_min: number;
	readonly moments: readonly CurveMoment[];
	readonly ways: WaysAsked;
	readonly lab: string;
}

/** One line of the check sheet. */
export interface Check {
	readonly when: string;
	readonly what: string;
	readonly text: string;
}

export function braiseView(given: SumsFor): BraiseView {
	const { plan, recipe, kitchen, reading } = given;
	const { braise } = plan;
	return {
		drawing: braise ? drawingOf(given, braise) : null,
		ovens: ovenDrawings(given),
		checks: checksOf(recipe, plan, kitchen, reading),
	};
}

const MINUTE_MS = 60_000;
/** Nobody works to 18:01. */
const STEP_MIN = 5;

function drawingOf({ plan, recipe, kitchen, reading }: SumsFor, braise: PlanBraise): BraiseDrawing {
	const { clock } = plan;
	const minute = (at: number) => (at - clock.in) / MINUTE_MS;
	const serve_min = minute(clock.serve);
	const end_min = Math.max(serve_min, braise.tender_min.high) + 10;
	return {
		curve: braiseCurve(braise.braised, end_min),
		words: curveWords(plan, braise, reading),
		inAt: clock.in,
		liftAt: clock.rest,
		timeZone: reading.timeZone,
		units: reading.units,
		end_min,
		moments: [
			{ minute: minute(clock.rest), words: "lift" },
			{ minute: serve_min, words: "serve" },
		],
		ways: waysOf(recipe, plan, braise, kitchen),
		lab: labAddress([braise.given]),
	};
}

function curveWords({ clock }: Plan, { tender_min, braised }: PlanBraise, reading: Reading): string {
	const { likely } = braised;
	const core_C = likely.points.findLast(({ minute }) => minute <= tender_min.likely)?.core_C ?? 0;
	return `In ${reading.clock(clock.in)}. Tender ${reading.clock(clock.tender.low)} to ${reading.clock(clock.tender.high)}, likely ${reading.clock(clock.tender.likely)}, when the centre is at ${reading.temperature(core_C)} and ${reading.volume(braised.liquidLeft_l)} is left in the fullest pan. Lift ${reading.clock(clock.rest)}. Serve ${reading.clock(clock.serve)}.`;
}

/** The hottest that a covered braise is set to, °C: above it only the rim scorches. */
const HOTTEST_C = 200;

function waysOf(recipe: Recipe, plan: Plan, braise: PlanBraise, kitchen: Kitchen): WaysAsked {
	const ovens = plan.ovens.loads.map(({ oven }) => oven);
	const least = ovens.map(({ min_C }) => min_C);
	const most = ovens.map(({ max_C }) => max_C);
	return {
		given: braise.given,
		pans: plan.pans.pans.length,
		ovens: Math.max(1, ovens.length),
		lids: ["lid", "foil", "paper"],
		sizes: sizesOf(recipe),
		oven_C: { low: Math.max(80, ...least), high: Math.min(HOTTEST_C, ...most) },
		confidence: kitchen.confidence,
		wanted_min: (plan.clock.rest - plan.clock.in) / MINUTE_MS,
	};
}

/** As the butcher can cut it; what is served by the piece stays whole. */
function sizesOf({ piece, portion }: Recipe): CutSize[] {
	const halvings = isByPiece(portion) ? [0] : [0, 1, 2];
	return halvings.map((times) => ({ parts: 2 ** times, sides: sidesOf(smallerPiece(piece, times)) }));
}

/** What is felt for, and what is done when it is early or late. */
export function checksOf(
	recipe: Recipe,
	{ clock, braise_min, braise }: Plan,
	kitchen: Kitchen,
	reading: Reading,
): Check[] {
	if (!braise) return [];
	const { marks, peakLiquid_C } = braise.braised;
	const after = (minutes: number) => clock.in + Math.round(minutes / STEP_MIN) * STEP_MIN * MINUTE_MS;
	const at = (instant: number) => reading.clockAfter(instant, clock.in);
	const lift_min = (clock.rest - clock.in) / MINUTE_MS;
	const pulls = stillToGo(braise_min, braise_min.likely);
	const late = stillToGo(braise_min, lift_min);
	const bone = recipe.losses.boneShare ? " The bone turns in its place." : "";
	const holdHot = reading.temperature(HOUSE_CODES[kitchen.houseCode].holdHot_C);
	const early = marks.shredding
		? `It shreds from about ${at(after(marks.shredding.likely))}${marks.fallingApart ? `, falls apart from about ${at(after(marks.fallingApart.likely))}` : ""}. `
		: "";
	return [
		{
			when: at(clock.tender.low),
			what: "Check first",
			text: `Probe the thickest piece of the fullest pan. It is tender when the probe slides in and comes out with no pull.${bone} Close the cover again at once.`,
		},
		{
			when: at(clock.tender.likely),
			what: "Likely tender",
			text: `If it still pulls here, half of such days want ${minutesMore(pulls.likely_min)} more, nine in ten ${minutesMore(pulls.high_min)}.`,
		},
		{
			when: "Early",
			what: "Tender before it is wanted",
			text: `${early}Turn the oven down and leave the pans covered; keep them above ${holdHot}, the house code's hot hold, or lift and cool them as the code says.`,
		},
		{
			when: at(clock.rest),
			what: "If not tender by then",
			text: `Half of such days want ${minutesMore(late.likely_min)} more, nine in ten ${minutesMore(late.high_min)}. Ladle off liquid and start the sauce; slice the pieces that are ready, put the others back. ${hotterWords(peakLiquid_C)}`,
		},
	];
}

function minutesMore(minutes: number): string {
	return durationWords(Math.max(STEP_MIN, Math.round(minutes / STEP_MIN) * STEP_MIN));
}

/** Near the boil, °C: the liquid has nothing to gain. */
const NEAR_BOIL_C = 98;

function hotterWords(peak_C: number): string {
	return peak_C >= NEAR_BOIL_C
		? "A hotter oven gains nothing: the liquid boils already."
		: "Turned up, the liquid comes nearer to the boil and gains some of it.";
}

function ovenDrawings({ plan, recipe, reading }: SumsFor): OvenDrawing[] {
	return plan.ovens.loads.map((load) => ({
		name: load.oven.name,
		rungs: load.oven.rungs,
		pitch_mm: load.oven.pitch_mm,
		wide: load.oven.shelf,
		set: reading.temperature(load.set_C),
		set_C: load.set_C,
		pans: load.pans.map(({ type, count }) => ({
			name: type.name,
			count,
			depth_mm: depthOf(type.shape),
			length_mm: rimOf(type.shape).length_mm,
			width_mm: rimOf(type.shape).width_mm,
		})),
		words: `${load.oven.name} at ${reading.temperature(load.set_C)}, ${LIDS[recipe.braise.lid]}: ${load.pans.map(({ type, count }) => `${count} × ${type.name}`).join(", ")}; ${load.rungsTaken} of ${load.oven.rungs} rungs taken. ${percent(load.rungsTaken / load.oven.rungs)} full. ${recipe.name}.`,
	}));
}
