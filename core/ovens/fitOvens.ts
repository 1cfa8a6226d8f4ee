import { GASTRONORM, type GastronormSize, type PanType, rungsHigh, shelfShare } from "../pans/index.ts";

export const OVEN_KINDS = { stillOven: "still", fanOven: "fan" } as const;
export type OvenKind = keyof typeof OVEN_KINDS;

/** How hard an oven's fan blows, where it can be set or is known. */
export const FAN_SPEEDS = ["slow", "usual", "fast"] as const;
export type FanSpeed = (typeof FAN_SPEEDS)[number];

export interface Oven {
	readonly id: string;
	readonly name: string;
	readonly kind: OvenKind;
	/** Rungs from bottom to top. */
	readonly rungs: number;
	/** Distance from rung to rung, mm. */
	readonly pitch_mm: number;
	readonly shelf: GastronormSize;
	readonly min_C: number;
	readonly max_C: number;
	/** On its rating plate, W; null where it is not known and there is always enough. */
	readonly power_w?: number | null;
	/** How much hotter its air is than it says, K; colder where negative. */
	readonly runsHot_K?: number;
	readonly fan?: FanSpeed;
	/** How often it is opened to look, times an hour; null where it is as usual. */
	readonly opened_h?: number | null;
	/** Pans of other dishes that stand in it already. */
	readonly alsoInside?: number;
	/** Levels of other dishes with room beside their pans. */
	readonly partFree?: readonly PartFree[];
	/** Who has taken rungs of it, in turn. */
	readonly heldBy?: readonly HeldRungs[];
}

/** A level that is not full: so many rungs high, and so much of a gastronorm 1/1 shelf that is free. */
export interface PartFree {
	readonly high: number;
	readonly share: number;
}

/** Rungs that a dish has taken of an oven. */
export interface HeldRungs {
	readonly oven: string;
	readonly dish: string;
	readonly rungs: number;
	readonly set_C: number;
}

/** Share of an oven's power that reaches its pans when it is full on; the rest heats the house. General practice. */
export const POWER_REACHES = 0.75;

export interface OvenLoad {
	readonly oven: Oven;
	readonly set_C: number;
	/** Pans in it by kind. */
	readonly pans: readonly { readonly type: PanType; readonly count: number }[];
	readonly rungsTaken: number;
	/** Levels that are left with room beside the pans, those of other dishes too. */
	readonly partFree: readonly PartFree[];
}

export interface OvenFit {
	readonly loads: readonly OvenLoad[];
	/** Pans for which there is no rung. */
	readonly without: number;
	/** Who has taken rungs of these ovens before. */
	readonly held: readonly HeldRungs[];
}

/**
 * Pans put into ovens that reach the dish's temperature: one oven when one holds them
 * all, the smallest such; otherwise the largest first. A deep pan takes the rungs
 * above it; two half pans share a rung, also a half pan and another dish's that is no higher.
 */
export function fitOvens(
	pans: readonly { readonly type: PanType; readonly count: number }[],
	ovens: readonly Oven[],
	oven_C: { readonly low: number; readonly set: number; readonly high: number },
): OvenFit {
	const reaching = ovens
		.map((oven) => ({ oven, set_C: setting(oven, oven_C) }))
		.filter((choice): choice is { oven: Oven; set_C: number } => choice.set_C !== undefined)
		.sort((a, b) => room(a.oven) - room(b.oven));
	const held = ovens.flatMap(({ heldBy = [] }) => heldBy);
	const wanted = pans.reduce((sum, { count }) => sum + count, 0);
	for (const choice of reaching) {
		const load = fillOven(choice.oven, choice.set_C, pans);
		if (countOf(load) === wanted) return { loads: [load], without: 0, held };
	}
	return { ...spreadOver([...reaching].reverse(), pans), held };
}

function spreadOver(
	ovens: readonly { oven: Oven; set_C: number }[],
	pans: readonly { readonly type: PanType; readonly count: number }[],
): Omit<OvenFit, "held"> {
	const loads: OvenLoad[] = [];
	let left = [...pans];
	for (const { oven, set_C } of ovens) {
		const load = fillOven(oven, set_C, left);
		if (countOf(load) === 0) continue;
		loads.push(load);
		left = left.map(({ type, count }) => ({
			type,
			count: count - (load.pans.find((pan) => pan.type.id === type.id)?.count ?? 0),
		}));
	}
	return { loads, without: left.reduce((sum, { count }) => sum + count, 0) };
}

function setting(oven: Oven, range: { low: number; set: number; high: number }): number | undefined {
	if (oven.max_C < range.low || oven.min_C > range.high) return undefined;
	return Math.min(Math.max(range.set, oven.min_C), oven.max_C);
}

function room(oven: Oven): number {
	return oven.rungs * GASTRONORM[oven.shelf].shareOfOne;
}

function countOf(load: OvenLoad): number {
	return load.pans.reduce((sum, { count }) => sum + count, 0);
}

function fillOven(
	oven: Oven,
	set_C: number,
	pans: readonly { readonly type: PanType; readonly count: number }[],
): OvenLoad {
	const shelf = GASTRONORM[oven.shelf].shareOfOne;
	let rungsTaken = 0;
	let partFree = [...(oven.partFree ?? [])];
	const inside: { type: PanType; count: number }[] = [];
	for (const { type, count } of pans) {
		const share = shelfShare(type.shape);
		const perLevel = wholeIn(shelf, share);
		if (perLevel === 0 || count === 0) continue;
		const high = rungsHigh(type.shape, oven.pitch_mm);
		const beside = putBeside(partFree, count, share, high);
		partFree = beside.partFree;
		const left = count - beside.placed;
		const free = Math.max(0, oven.rungs - rungsTaken);
		const levels = Math.min(Math.floor(free / high), Math.ceil(left / perLevel));
		const placed = Math.min(left, levels * perLevel);
		rungsTaken += levels * high;
		const over = levels * shelf - placed * share;
		if (over > SLIVER) partFree.push({ high, share: over });
		if (beside.placed + placed > 0) inside.push({ type, count: beside.placed + placed });
	}
	return { oven, set_C, pans: inside, rungsTaken, partFree };
}

/**
 * Rungs that pans take of an oven that they have to themselves: two half pans share a level.
 *
 * @returns null where one of them is larger than the shelf, or there are not so many rungs
 */
export function rungsIn(
	{ shelf, pitch_mm, rungs }: Pick<Oven, "shelf" | "pitch_mm" | "rungs">,
	pans: readonly { readonly type: PanType; readonly count: number }[],
): number | null {
	let taken = 0;
	for (const { type, count } of pans) {
		const perLevel = wholeIn(GASTRONORM[shelf].shareOfOne, shelfShare(type.shape));
		if (perLevel === 0) return null;
		taken += Math.ceil(count / perLevel) * rungsHigh(type.shape, pitch_mm);
	}
	return taken <= rungs ? taken : null;
}

/** Less than this of a shelf takes no pan. */
const SLIVER = 1e-6;

function wholeIn(room: number, share: number): number {
	return Math.floor(room / share + 1e-9);
}

/** Pans that stand beside others on a level that is high enough. */
function putBeside(levels: readonly PartFree[], count: number, share: number, high: number) {
	let placed = 0;
	const partFree = levels.flatMap((level) => {
		const more = level.high < high ? 0 : Math.min(count - placed, wholeIn(level.share, share));
		placed += more;
		const left = level.share - more * share;
		return left > SLIVER ? [{ high: level.high, share: left }] : [];
	});
	return { placed, partFree };
}
