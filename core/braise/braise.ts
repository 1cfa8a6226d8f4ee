import type { Range } from "../quantity/index.ts";
import type { BraiseGiven, Heat } from "./BraiseGiven.ts";
import { CALIBRATED } from "./calibrated.ts";
import { type Simulated, simulate } from "./simulate.ts";
import { MARKS, type Mark } from "./tenderness.ts";

/** How far pieces, ovens and animals stray from what is said, as the ends of an 80 % range. */
export const THICKNESS_SPREAD = 0.15;
export const CUT_SPREAD = 0.2;
/** °C, by how well the temperature is held. */
export const HEAT_SPREAD_C: Readonly<Record<Heat["kind"], number>> = {
	stillOven: 8,
	fanOven: 8,
	hob: 2,
	waterBath: 1,
	pressure: 2,
	slowCooker: 4,
};

/** Longest that is looked ahead, minutes: two days. */
export const LONGEST_MIN = 2880;

/** What may be other than it was said, and what that does. */
export interface Sensitivity {
	readonly what: "thickness" | "oven" | "cut";
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
	/** The most telling first. */
	readonly sensitivities: readonly Sensitivity[];
}

export interface BraiseOptions {
	/** Whether the likely course tells every layer of the meat. */
	readonly layers?: boolean;
}

/**
 * From the pan to the four marks, with ranges from what is not known for certain: how thick the
 * pieces are, how hot the oven really is, how tough the animal was. Each is tried at both ends
 * and their effects are added as independent ones.
 *
 * @returns a mark is null when it is not reached within two days
 * @see model, section E
 */
export function braise(given: BraiseGiven, { layers = false }: BraiseOptions = {}): Braised {
	const until = (CALIBRATED.marks.fallingApart / (1 - CUT_SPREAD)) * 1.02;
	const likely = simulate(given, { minutes: LONGEST_MIN, until, layers });
	const ends = endsOf(given, likely, until);
	const forkTender_min = likely.reached(CALIBRATED.marks.forkTender);
	return {
		marks: Object.fromEntries(MARKS.map((mark) => [mark, rangeOf(mark, likely, ends)])) as Braised["marks"],
		liquidLeft_l: likely.leftAt(forkTender_min ?? likely.points.at(-1)?.minute ?? 0),
		dryAt_min: likely.dryAt_min,
		peakLiquid_C: likely.peakLiquid_C,
		likely,
		sensitivities: sensitivitiesOf(likely, ends),
	};
}

/** Both ends of what is not known; `toughness` divides the softening that is asked. */
interface Ends {
	readonly what: Sensitivity["what"];
	readonly low: Simulated;
	readonly high: Simulated;
	readonly lowFactor: number;
	readonly highFactor: number;
}

function endsOf(given: BraiseGiven, likely: Simulated, until: number): Ends[] {
	const run = (changed: Partial<BraiseGiven>) =>
		simulate({ ...given, ...changed }, { minutes: LONGEST_MIN, until, every_min: Number.POSITIVE_INFINITY });
	return [
		{
			what: "thickness",
			low: run({ thickness_mm: given.thickness_mm * (1 - THICKNESS_SPREAD) }),
			high: run({ thickness_mm: given.thickness_mm * (1 + THICKNESS_SPREAD) }),
			lowFactor: 1,
			highFactor: 1,
		},
		{
			what: "oven",
			low: run(warmer(given, HEAT_SPREAD_C[given.heat.kind])),
			high: run(warmer(given, -HEAT_SPREAD_C[given.heat.kind])),
			lowFactor: 1,
			highFactor: 1,
		},
		{ what: "cut", low: likely, high: likely, lowFactor: 1 + CUT_SPREAD, highFactor: 1 - CUT_SPREAD },
	];
}

function warmer({ heat, resets = [] }: BraiseGiven, by_C: number): Partial<BraiseGiven> {
	if (!("set_C" in heat)) return {};
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
function rangeOf(mark: Mark, likely: Simulated, ends: readonly Ends[]): Range | null {
	const wanted = CALIBRATED.marks[mark];
	const middle = likely.reached(wanted);
	if (middle === null) return null;
	let sooner = 0;
	let later = 0;
	for (const { low, high, lowFactor, highFactor } of ends) {
		const early = low.reached(wanted / lowFactor) ?? middle;
		const late = high.reached(wanted / highFactor) ?? LONGEST_MIN;
		sooner += Math.log(Math.min(1, early / middle)) ** 2;
		later += Math.log(Math.max(1, late / middle)) ** 2;
	}
	return {
		low: middle * Math.exp(-Math.sqrt(sooner)),
		likely: middle,
		high: middle * Math.exp(Math.sqrt(later)),
	};
}

function sensitivitiesOf(likely: Simulated, ends: readonly Ends[]): Sensitivity[] {
	const wanted = CALIBRATED.marks.forkTender;
	const middle = likely.reached(wanted);
	if (middle === null) return [];
	return ends
		.map(({ what, low, high, lowFactor, highFactor }) => ({
			what,
			low_min: low.reached(wanted / lowFactor) ?? middle,
			high_min: high.reached(wanted / highFactor) ?? LONGEST_MIN,
		}))
		.sort((a, b) => b.high_min - b.low_min - (a.high_min - a.low_min));
}
