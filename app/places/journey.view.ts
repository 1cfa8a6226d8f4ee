import type { WorkedDish } from "#core/day";
import { type DishJourney, heldVerdict, journeyOf, lastTaskAt } from "#core/dish";
import type { Kitchen } from "#core/kitchen";
import { comesUpTo, KILL_TABLES, type Verdict } from "#core/safety";
import { durationWords, MINUTE_MS } from "#core/time";
import type { JourneyDrawing } from "../ui/drawings/JourneyCurve.tsx";
import type { Reading } from "../ui/words/reading.ts";
import { reachWords, VERDICT_WORDS } from "../ui/words/verdictWords.ts";
import { type JourneyDrawn, journeyDrawing } from "./journeyDrawing.ts";

/** One limit on the way, as it is marked in the drawing and told beside it. */
export interface JourneyLimit {
	readonly mark: string;
	readonly words: string;
	readonly verdict: Verdict;
}

/** The whole way of a dish in one picture, with its limits. */
export interface JourneyView {
	readonly drawing: JourneyDrawing;
	readonly limits: readonly JourneyLimit[];
	/** What may grow from the bench to the plate. */
	readonly growth: string;
}

interface JourneyGiven {
	readonly plan: WorkedDish;
	readonly kitchen: Pick<Kitchen, "policy">;
	readonly reading: Reading;
}

/** It stands on a sheet that has two pages. */
const PLOT_PX = 100;
export function journeyView(given: JourneyGiven): JourneyView | null {
	const { plan, kitchen, reading } = given;
	const walked = journeyOf(plan, kitchen.policy);
	if (!walked) return null;
	const limits = limitsOf(given).map((limit, index) => ({ ...limit, mark: String(index + 1) }));
	return {
		drawing: { ...journeyDrawing(drawnOf(walked, limits), reading), plot_px: PLOT_PX },
		limits: limits.map(({ mark, words, verdict }) => ({
			mark,
			words: `${words}: ${VERDICT_WORDS[verdict]}`,
			verdict,
		})),
		growth: growthWords(walked),
	};
}

/** "From the bench to the plate the usual spore-former grows likely 1.2 times, up to 6 times. A warning only." */
export function growthWords({ growth }: Pick<DishJourney, "growth">): string {
	return `From the bench to the plate the usual spore-former likely grows ${growthRange(growth)}. A warning only.`;
}

/** "1.2 times, up to 6 times" */
export function growthRange(growth: DishJourney["growth"]): string {
	const likely = timesWords(growth.likely);
	const most = timesWords(growth.high);
	return most === likely ? likely : `${likely}, up to ${most}`;
}

/** Powers of ten as times: "6 times" */
function timesWords(powers: number): string {
	const times = 10 ** powers;
	if (times < 1.2) return "hardly at all";
	if (times >= 1000) return "over 1,000 times";
	return `${times < 10 ? times.toFixed(1) : String(Math.round(times))} times`;
}

interface Limit {
	/** When it has to be so warm, instant. */
	readonly at: number;
	readonly C: number;
	readonly words: string;
	readonly verdict: Verdict;
}

function limitsOf({ plan, kitchen: { policy }, reading }: JourneyGiven): Limit[] {
	return [
		...heatLimits(plan, policy, reading),
		...chillLimits(plan, reading),
		...reheatLimits(plan, reading),
		...holdLimits(plan, reading),
		...carryLimits(plan, reading),
	];
}

function heatLimits(
	{ braise, tasks }: WorkedDish,
	{ code }: Kitchen["policy"],
	{ temperature }: Reading,
): Limit[] {
	const slowest = braise?.slowest;
	const coldest = slowest?.braised.coldest;
	const into = tasks.find(({ part, figures }) => part === "oven" && figures.group === slowest?.id);
	if (!slowest?.verdicts || !coldest || !into) return [];
	const C = comesUpTo(code);
	const table = KILL_TABLES[code.kill];
	const lift = into.start + slowest.allowed_min * MINUTE_MS;
	return [
		{
			at: Math.min(lift, into.start + code.comingUp_min * MINUTE_MS),
			C,
			words: `Coming up, ${temperature(C)} at its coldest within ${durationWords(code.comingUp_min)}: ${reachWords(coldest.hot.likely)}`,
			verdict: slowest.verdicts.comingUp,
		},
		{
			at: lift,
			C: table.ref_C,
			words: `As much as ${durationWords(table.minutes)} at ${temperature(table.ref_C)} by the lift: ${reachWords(coldest.killed.likely)}`,
			verdict: slowest.verdicts.killed,
		},
	];
}

function chillLimits(plan: WorkedDish, { temperature }: Reading): Limit[] {
	const way = plan.chill?.way;
	const into = lastTaskAt(plan, "chill", "chill");
	if (!way || !into) return [];
	const began = into.start + way.clock.begins_min * MINUTE_MS;
	return way.limits.map(({ to_C, within_min, reach, verdict }) => ({
		at: began + within_min * MINUTE_MS,
		C: to_C,
		words: `Cooling, ${temperature(to_C)} at its warmest within ${durationWords(within_min)}: ${reachWords(reach.likely)}`,
		verdict,
	}));
}

function reheatLimits(plan: WorkedDish, { temperature }: Reading): Limit[] {
	const again = lastTaskAt(plan, "reheat", "reheat");
	if (!plan.reheat || !again) return [];
	const { core_C, within_min, minutes, verdict } = plan.reheat;
	const within = within_min === null ? "" : ` within ${durationWords(within_min)}`;
	return [
		{
			at: within_min === null ? again.end : again.start + within_min * MINUTE_MS,
			C: core_C,
			words: `Made hot, ${temperature(core_C)} at its coldest${within}: ${reachWords(minutes.likely)}`,
			verdict: verdict ?? "met",
		},
	];
}

function holdLimits(
	{ hold, hold_min, wait_min, work, order }: WorkedDish,
	{ temperature }: Reading,
): Limit[] {
	if (!hold) return [];
	const unheated =
		hold_min > 0 || hold.unheated.likely === "notKnown"
			? ""
			: `: without heat ${reachWords(hold.unheated.likely)}`;
	return [
		{
			at: order.serviceAt,
			C: hold.limit_C,
			words: `Hot to the last plate, ${temperature(hold.limit_C)}${unheated}`,
			verdict: heldVerdict(hold, hold_min > 0, wait_min + work.places.plate.wall_min),
		},
	];
}

function carryLimits({ carry, tasks }: WorkedDish, { temperature }: Reading): Limit[] {
	const road = tasks.find(({ part }) => part === "carry");
	if (!carry || !road) return [];
	return [
		{
			at: road.start + carry.choice.minutes * MINUTE_MS,
			C: carry.limit_C,
			words: `On the road, ${temperature(carry.limit_C)} or ${carry.choice.hot ? "above" : "below"}: arrives at ${temperature(carry.arrives_C)}`,
			verdict: carry.verdict,
		},
	];
}

function drawnOf(
	{ stages, course }: DishJourney,
	limits: readonly (Limit & { readonly mark: string })[],
): JourneyDrawn {
	const began = stages[0]?.from ?? 0;
	return {
		stages,
		band: course.map(({ minute, ...ends }) => ({ ...ends, at: began + minute * MINUTE_MS })),
		limits: limits.map(({ verdict, ...limit }) => ({ ...limit, isMet: verdict === "met" })),
	};
}
