import { mapValues } from "es-toolkit";
import { COUPLING_SPREAD, HEAT_SPREAD_C, type HeatKind, thicker } from "../heat/index.ts";
import type { Range } from "../quantity/index.ts";
import type { ReachRange } from "../safety/index.ts";
import type { Cut } from "../trade/index.ts";
import type { BraiseGiven } from "./BraiseGiven.ts";
import type { ColdestAsked, ColdestReached } from "./Coldest.ts";
import { leftAt, reached } from "./Course.ts";
import { CALIBRATED } from "./calibrated.ts";
import { RANGE_END } from "./confidence.ts";
import { CUT_GROUPS } from "./cutFactors.ts";
import { type Simulated, type SimulateOptions, simulate } from "./simulate.ts";
import { MARKS, type Mark } from "./tenderness.ts";

/** How far pieces, animals, lids and pans stray from what is said, as the ends of an 80 % range. */
export const THICKNESS_SPREAD = 0.15;
export const CUT_SPREAD = 0.2;
/** What a lid lets out: how well it sits. A factor. */
export const LEAK_SPREAD = 2;

/** How far past the last mark that is asked a run goes on. */
const BEYOND = 1.02;

/** Longest that is looked ahead, minutes: two days. */
export const LONGEST_MIN = 2880;

/** What may be other than it was said, and what that does. */
export interface Sensitivity {
	readonly what: "thickness" | "oven" | "cut" | "pan" | "lid";
	/** Minutes to fork-tender at both ends of its spread. */
	readonly low_min: number;
	readonly high_min: number;
}

export interface Braised {
	readonly marks: Readonly<Record<Mark, Range | null>>;
	/** Litres left when it is fork-tender; at the end where it never is. */
	readonly liquidLeft_l: number;
	readonly dryAt_min: number | null;
	readonly peakLiquid_C: number;
	readonly likely: Simulated;
	/** When its coldest point has come up, and has had its kill; null where nobody asked. */
	readonly coldest: Readonly<Record<"hot" | "killed", ReachRange>> | null;
	/** What heated it. */
	readonly heat: HeatKind;
	/** The most telling first. */
	readonly sensitivities: readonly Sensitivity[];
	/** Spread of the model's own error for this cut, σ of the logarithm of the minutes. */
	readonly modelSpread: number;
}

export interface BraiseOptions {
	/** Whether the likely course tells every layer of the meat. */
	readonly layers?: boolean;
	/** How it is known to soften; the shipped constants unless a kitchen's log says otherwise. */
	readonly tenderness?: Tenderness;
	/** What is asked of the coldest point of the pan. */
	readonly coldest?: ColdestAsked;
}

/** What is believed of tenderness besides the heat: how far it may be out. */
export interface Tenderness {
	/** A factor on the minutes that the kitchen's own log gives; 1 without one. */
	readonly times: number;
	/** σ of the logarithm that stays. */
	readonly spread: number;
}

/**
 * From the pan to the four marks, with ranges from what is not known for certain: how thick the
 * pieces are, how hot the oven really is, how tough the animal was, how well pan and lid sit,
 * and how far the model itself is out. Each is tried at both ends and their effects are added
 * as independent ones.
 *
 * @returns a mark is null when it is not reached within two days
 * @see model, sections E and J
 */
export function braise(
	given: BraiseGiven,
	{ layers = false, tenderness, coldest }: BraiseOptions = {},
): Braised {
	const last = CALIBRATED.marks.fallingApart * BEYOND;
	const asked = coldest ? { coldest } : {};
	const likely = simulate(given, { minutes: LONGEST_MIN, until: last / (1 - CUT_SPREAD), layers, ...asked });
	const ends = endsOf(given, likely, last, asked);
	const { times, spread: modelSpread } = tenderness ?? { times: 1, spread: modelSpreadOf(given) };
	const forkTender_min = reached(likely, CALIBRATED.marks.forkTender);
	return {
		marks: Object.fromEntries(
			MARKS.map((mark) => [mark, rangeOf(mark, likely, ends, modelSpread, times)]),
		) as Braised["marks"],
		liquidLeft_l: leftAt(likely, (forkTender_min ?? likely.points.at(-1)?.minute ?? 0) * times),
		dryAt_min: likely.dryAt_min,
		peakLiquid_C: likely.peakLiquid_C,
		likely,
		coldest: coldest
			? { hot: latestOf(likely, ends, "hot_min"), killed: latestOf(likely, ends, "killed_min") }
			: null,
		heat: given.heat.kind,
		sensitivities: sensitivitiesOf(likely, ends),
		modelSpread,
	};
}

/**
 * The marks that are reached before the pan runs dry: dry, it is another dish, and no minutes are promised.
 *
 * @returns a mark is null where it is likely reached later, or never
 */
export function promisedMarks({ marks, dryAt_min }: Pick<Braised, "marks" | "dryAt_min">): Braised["marks"] {
	if (dryAt_min === null) return marks;
	return mapValues(marks, (range) => (range !== null && range.likely <= dryAt_min ? range : null));
}

/** How far a cut may be from its group where no practice of its own tells, σ of the logarithm: as groups differ among themselves. */
const UNSEEN_SPREAD = 0.15;

/** Whether practice of this cut itself is in the fit; another goes by its group, and its range is wider. */
export function hasPractice(cut: Cut): boolean {
	return (CALIBRATED.seen as readonly Cut[]).includes(cut);
}

/** The fit's own uncertainty of the group and what no constant explains, together. */
export function modelSpreadOf({ cut }: Pick<BraiseGiven, "cut">): number {
	const { model, groups } = CALIBRATED.spreads;
	return Math.hypot(model, groups[CUT_GROUPS[cut]], hasPractice(cut) ? 0 : UNSEEN_SPREAD);
}

/** Both ends of what is not known; the factors divide the softening that is asked. */
interface Ends {
	readonly what: Sensitivity["what"];
	readonly low: Simulated;
	readonly high: Simulated;
	readonly lowFactor: number;
	readonly highFactor: number;
}

function endsOf(
	given: BraiseGiven,
	likely: Simulated,
	until: number,
	asked: Pick<SimulateOptions, "coldest">,
): Ends[] {
	const { sides, coupling = 1, leak = 1 } = given;
	const run = (changed: Partial<BraiseGiven>) =>
		simulate(
			{ ...given, ...changed },
			{ minutes: LONGEST_MIN, until, every_min: Number.POSITIVE_INFINITY, ...asked },
		);
	const ends = (
		what: Sensitivity["what"],
		sooner: Partial<BraiseGiven>,
		later: Partial<BraiseGiven>,
	): Ends => ({ what, low: run(sooner), high: run(later), lowFactor: 1, highFactor: 1 });
	const spread_C = HEAT_SPREAD_C[given.heat.kind];
	return [
		ends(
			"thickness",
			{ sides: thicker(sides, 1 - THICKNESS_SPREAD) },
			{ sides: thicker(sides, 1 + THICKNESS_SPREAD) },
		),
		ends("oven", warmer(given, spread_C), warmer(given, -spread_C)),
		{ what: "cut", low: likely, high: likely, lowFactor: 1 + CUT_SPREAD, highFactor: 1 - CUT_SPREAD },
		...(isInOven(given)
			? [
					ends(
						"pan",
						{ coupling: coupling * (1 + COUPLING_SPREAD) },
						{ coupling: coupling / (1 + COUPLING_SPREAD) },
					),
				]
			: []),
		...(leaks(given) ? [ends("lid", { leak: leak / LEAK_SPREAD }, { leak: leak * LEAK_SPREAD })] : []),
	];
}

function isInOven({ heat }: BraiseGiven): boolean {
	return heat.kind === "stillOven" || heat.kind === "fanOven";
}

/** An open pan has no lid that could sit badly, and under pressure none may. */
function leaks({ lid, heat }: BraiseGiven): boolean {
	return isInOven({ heat } as BraiseGiven) && lid !== "open" && lid !== "sealed";
}

export function warmer({ heat, resets = [] }: BraiseGiven, by_C: number): Partial<BraiseGiven> {
	if (heat.kind === "hob") return { heat: { ...heat, off_K: (heat.off_K ?? 0) + by_C } };
	return {
		heat: { ...heat, set_C: heat.set_C + by_C },
		resets: resets.map((reset) => ({ ...reset, set_C: reset.set_C + by_C })),
	};
}

/** To fork-tender; as long as is looked ahead where it never is. */
export function tenderRange({ marks }: Braised): Range {
	return marks.forkTender ?? { low: LONGEST_MIN, likely: LONGEST_MIN, high: LONGEST_MIN };
}

/** Effects as shares of the likely time, added as independent ones are: by their squares. */
function rangeOf(
	mark: Mark,
	likely: Simulated,
	ends: readonly Ends[],
	modelSpread: number,
	times: number,
): Range | null {
	const wanted = CALIBRATED.marks[mark];
	const middle = reached(likely, wanted);
	if (middle === null) return null;
	const own = (modelSpread * RANGE_END) ** 2;
	let sooner = own;
	let later = own;
	for (const { low, high, lowFactor, highFactor } of ends) {
		const early = reached(low, wanted / lowFactor) ?? middle;
		const late = reached(high, wanted / highFactor) ?? LONGEST_MIN;
		sooner += Math.log(Math.min(1, early / middle)) ** 2;
		later += Math.log(Math.max(1, late / middle)) ** 2;
	}
	return {
		low: middle * times * Math.exp(-Math.sqrt(sooner)),
		likely: middle * times,
		high: middle * times * Math.exp(Math.sqrt(later)),
	};
}

/** When it is likely so, and how late it may be: what is not known puts it off as independent causes do. */
function latestOf(likely: Simulated, ends: readonly Ends[], what: keyof ColdestReached): ReachRange {
	const middle = likely.coldest?.[what] ?? null;
	if (middle === null) return { likely: "never", latest: "never" };
	if (middle === 0) return { likely: "already", latest: "already" };
	let later = 0;
	for (const { high } of ends) {
		const late = high.coldest?.[what] ?? null;
		if (late === null) return { likely: middle, latest: "never" };
		later += Math.log(Math.max(1, late / middle)) ** 2;
	}
	return { likely: middle, latest: middle * Math.exp(Math.sqrt(later)) };
}

function sensitivitiesOf(likely: Simulated, ends: readonly Ends[]): Sensitivity[] {
	const wanted = CALIBRATED.marks.forkTender;
	const middle = reached(likely, wanted);
	if (middle === null) return [];
	return ends
		.map(({ what, low, high, lowFactor, highFactor }) => ({
			what,
			low_min: reached(low, wanted / lowFactor) ?? middle,
			high_min: reached(high, wanted / highFactor) ?? LONGEST_MIN,
		}))
		.sort((a, b) => b.high_min - b.low_min - (a.high_min - a.low_min));
}
