import { sumBy } from "es-toolkit";
import { minutesToBeSure } from "../braise/index.ts";
import {
	type ChillBeside,
	type ChillClockOf,
	type ChillGiven,
	type ChillLoad,
	type ChillTimes,
	chilling,
	chillTimes,
	clockBegins,
	deepestFor,
	ICED_WATER_C,
	minutesTo,
	ratedChiller,
} from "../chill/index.ts";
import type { Cooler, Equipment, HousePolicy } from "../kitchen/index.ts";
import { memoise } from "../memoise/index.ts";
import {
	type ChosenPan,
	depthOf,
	floorArea,
	type PanChoice,
	type PanType,
	pieceHeight,
} from "../pans/index.ts";
import type { Range } from "../quantity/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { type HouseCode, type Reach, type Verdict, verdictOfReach } from "../safety/index.ts";
import { countByType } from "./countByType.ts";
import { type ChillChoice, MOST_PARTS } from "./DishOrder.ts";
import { type PieceWay, pieceWays } from "./pieceCooling.ts";
import { LEFT_MIN } from "./standing.ts";

/** One limit of the house code while cooling, and how the dish stands to it. */
export interface ChillLimit {
	readonly from_C: number | null;
	readonly to_C: number;
	readonly within_min: number;
	/** When it is so cold, on the code's clock: as soon as it may, as it likely is, and at the latest. */
	readonly reach: Readonly<Record<"low" | "likely" | "high", Reach>>;
	readonly verdict: Verdict;
}

/** One way of cooling a dish with what the kitchen has. */
export interface ChillWay extends Omit<ChillChoice, "coolerId"> {
	readonly cooler: Cooler;
	/** Of the food in the deepest pan, mm. */
	readonly depth_mm: number;
	/** Pans that stand in the cooler, and those of them beside its own. */
	readonly pans: number;
	readonly morePans: readonly { readonly typeId: string; readonly count: number }[];
	/** What is cooled, as the curve is drawn from it. */
	readonly given: ChillGiven;
	readonly limits: readonly ChillLimit[];
	/** When the code's clock begins, minutes in the cooler: by the point that it names, and by the first and the warmest. */
	readonly clock: ChillClock;
	/** From in the cooler until the last limit; null where it never gets there. */
	readonly minutes: Range | null;
}

/** Minutes in the cooler, as is likely; null where the food is never so cold. */
export interface ChillClock {
	readonly begins_min: number;
	readonly firstPoint_min: number | null;
	readonly warmest_min: number | null;
}

export interface PlanChill {
	readonly way: ChillWay;
	/** What is planned for it, as surely as the house wants, whole minutes. */
	readonly planned_min: number;
	/** The greatest depth that meets every limit in there, mm; null where none does. */
	readonly deepest_mm: number | null;
	/** Other ways that are colder sooner, with the kitchen's own things: those that meet the limits first. */
	readonly others: readonly ChillWay[];
	/** Joints cooled by themselves, where no way in their pans meets the limits: those that meet them first. */
	readonly pieces: readonly PieceWay[];
}

/** Out of the oven, lid off, °C. General practice. */
export const LIFTED_C = 88;
/** The kitchen's air, °C. */
export const KITCHEN_C = 22;

interface Cooling {
	readonly recipe: Recipe;
	readonly pans: PanChoice;
	readonly equipment: Equipment;
	readonly policy: HousePolicy;
	readonly choice: ChillChoice | null;
	/** What else stands in the cooler that it was placed in. */
	readonly beside?: readonly ChillBeside[];
	/** What it is given in a placed day, minutes. */
	readonly given_min?: number;
}

/**
 * How a dish is cooled that is made ahead: in the way that was settled, else whole in the coldest
 * wind there is.
 *
 * @returns null where the kitchen counts nothing that cools, or the dish has no pan
 * @see model, section H
 */
export function planChill(cooling: Cooling): PlanChill | null {
	const { equipment, policy, choice } = cooling;
	const coolers = coolersOf(equipment);
	const cooler = coolers.find(({ id }) => id === choice?.coolerId) ?? coolers[0];
	if (!cooler || cooling.pans.pans.length === 0) return null;
	const way = wayOf(cooling, cooler, choice?.parts ?? 1, choice?.ice ?? false);
	const sure_min = Math.ceil(way.minutes ? minutesToBeSure(way.minutes, policy.confidence) : NEVER_MIN);
	const { given_min = sure_min } = cooling;
	// What a placed day gives it stands where it is as good as what it asks: the rest lies in its range.
	const planned_min = Math.abs(sure_min - given_min) <= LEFT_MIN ? given_min : sure_min;
	const others = isAllMet(way) ? [] : othersThan(cooling, coolers, way);
	const isMet = [way, ...others].some(isAllMet);
	return {
		way,
		planned_min,
		deepest_mm: deepestIn(way, policy.code),
		others,
		pieces: isMet ? [] : pieceWays(cooling.recipe, coolers[0] ?? cooler, policy.code, LIFTED_C),
	};
}

const deepestMemo = memoise<string, { readonly mm: number | null }>(100);

function deepestIn({ given }: ChillWay, code: HouseCode): number | null {
	const { depth_mm: _, ...asked } = given;
	const clock = clockOf(given, code);
	const { to } = code.cooling;
	return deepestMemo(JSON.stringify([asked, to, clock]), () => ({ mm: deepestFor(asked, to, "low", clock) }))
		.mm;
}

/** What never gets cold enough is planned until somebody has to have looked, minutes. */
const NEVER_MIN = 6 * 60;

function coolersOf({ coolers = [] }: Equipment): Cooler[] {
	return [...coolers].sort(coldestFirst);
}

/** Wind before still air, then the colder. */
function coldestFirst(a: Cooler, b: Cooler): number {
	return (
		Number(a.kind === "fridge") - Number(b.kind === "fridge") || a.air_C - b.air_C || a.id.localeCompare(b.id)
	);
}

export function isAllMet({ limits }: Pick<ChillWay, "limits">): boolean {
	return limits.every(({ verdict }) => verdict === "met");
}

/** So many other ways are told, of so many that are worked out to their ends. */
const MOST_OTHERS = 5;
const MOST_TRIED = 8;

/**
 * Every other way that the kitchen's own things allow and that is colder sooner: those that meet
 * the limits first, the least trouble first, then the quickest.
 */
function othersThan(cooling: Cooling, coolers: readonly Cooler[], now: ChillWay): ChillWay[] {
	const now_min = now.minutes?.likely ?? Number.POSITIVE_INFINITY;
	const possible = coolers.flatMap((cooler) =>
		partsFor(cooling).flatMap((parts) =>
			[false, true]
				.filter((ice) => !ice || cooler.kind === "fridge")
				.map((ice) => ({ cooler, parts, ice, likely_min: likelyIn(cooling, cooler, parts, ice, now_min) })),
		),
	);
	const sooner = possible
		.filter(({ likely_min }) => likely_min < now_min)
		.sort((one, other) => one.likely_min - other.likely_min)
		.slice(0, MOST_TRIED);
	const tried = sooner.map(({ cooler, parts, ice }) => wayOf(cooling, cooler, parts, ice));
	const trouble = (way: ChillWay) =>
		2 * (way.parts - now.parts) + Number(way.ice !== now.ice) + Number(way.cooler.id !== now.cooler.id);
	const minutes = (way: ChillWay) => way.minutes?.likely ?? Number.POSITIVE_INFINITY;
	const bestFirst = (a: ChillWay, b: ChillWay) =>
		Number(isAllMet(b)) - Number(isAllMet(a)) ||
		(isAllMet(a) ? trouble(a) - trouble(b) : minutes(a) - minutes(b)) ||
		a.cooler.id.localeCompare(b.cooler.id);
	return tried.sort(bestFirst).slice(0, MOST_OTHERS);
}

const PARTS = Array.from({ length: MOST_PARTS }, (_, index) => index + 1);

/** Into how many each pan can be parted: there are pans for it, and it lies shallower than in fewer. */
function partsFor({ recipe, pans, equipment }: Cooling): number[] {
	const depth_mm = (parts: number) => spreadDepth(deepestOf(pans), parts, recipe);
	return PARTS.filter(
		(parts) =>
			parts === 1 ||
			(depth_mm(parts) < depth_mm(parts - 1) && spreadOver(pans, equipment.pans, parts) !== null),
	);
}

/** How deep the food lies in the deepest pan of the first filling, mm. */
function deepestOf({ pans }: PanChoice): number {
	return Math.max(...pans.filter(({ go }) => go === 1).map((pan) => depthOfFood(pan)));
}

/**
 * The pans beside its own over which the food of a dish is spread, so that it lies so many times as
 * shallow: of its own kinds first, then others, the widest first.
 *
 * @returns null where those that are left have not floor enough
 */
export function spreadOver(
	pans: PanChoice,
	stock: readonly PanType[],
	parts: number,
): { readonly typeId: string; readonly count: number }[] | null {
	const own = countByType(pans);
	const isOwn = ({ id }: PanType) => own.some(({ type }) => type.id === id);
	const taken = (id: string) => own.find(({ type }) => type.id === id)?.count ?? 0;
	let wanted_m2 = (parts - 1) * own.reduce((sum, { type, count }) => sum + count * floor_m2(type), 0);
	const more: { typeId: string; count: number }[] = [];
	const first = [...stock].sort(
		(a, b) => Number(isOwn(b)) - Number(isOwn(a)) || floor_m2(b) - floor_m2(a) || a.id.localeCompare(b.id),
	);
	for (const type of first) {
		const count = Math.min(type.stock - taken(type.id), Math.ceil(wanted_m2 / floor_m2(type) - 1e-6));
		if (count <= 0) continue;
		more.push({ typeId: type.id, count });
		wanted_m2 -= count * floor_m2(type);
	}
	return wanted_m2 > 1e-6 ? null : more;
}

function floor_m2({ shape }: PanType): number {
	return floorArea(shape) / 1e6;
}

const wayMemo = memoise<string, ChillWay>(400);

function wayOf(cooling: Cooling, cooler: Cooler, parts: number, ice: boolean): ChillWay {
	const { code } = cooling.policy;
	const standing = standingIn(cooling, cooler, parts, ice);
	return wayMemo(JSON.stringify([standing, code]), () => worked(standing, code));
}

/** What a dish asks of the power of its chiller; null where that has power without end. */
export function chillLoad({ way: { given } }: PlanChill): ChillLoad | null {
	const { chiller, beside: _, medium: __, medium_C: ___, film_W_per_M2K: ____, ...load } = given;
	return chiller ? { ...load, area_m2: chiller.area_m2 } : null;
}

/** No food is cooled or heated shallower than this, mm. */
const LEAST_MM = 5;

/** How deep food lies over so many times as many pans, mm: never shallower than its pieces. */
export function spreadDepth(deep_mm: number, parts: number, { piece }: Pick<Recipe, "piece">): number {
	const piece_mm = Math.min(deep_mm, pieceHeight(piece));
	return Math.round(Math.max(LEAST_MM, piece_mm, deep_mm / parts));
}

/** How deep the food lies in a pan: to its line, or to the top of its pieces, and never above the rim, mm. */
export function depthOfFood({ type, joined_mm, bed_mm, pile_mm, over }: ChosenPan): number {
	return Math.min(depthOf(type.shape), Math.max(joined_mm, bed_mm + pile_mm) + over.topping_mm);
}

/** How the food of a dish stands in a cooler. */
interface Standing extends Pick<ChillWay, "cooler" | "parts" | "ice" | "depth_mm" | "pans" | "morePans"> {
	readonly area_m2: number;
	readonly beside: readonly ChillBeside[];
}

function standingIn(
	{ recipe, pans, equipment, choice, beside = [] }: Cooling,
	cooler: Cooler,
	parts: number,
	ice: boolean,
): Standing {
	const own = cooler.id === choice?.coolerId || (!choice && cooler.id === coolersOf(equipment)[0]?.id);
	const atOnce = pans.pans.filter(({ go }) => go === 1);
	const deep_mm = deepestOf(pans);
	const depth_mm = spreadDepth(deep_mm, parts, recipe);
	// Its pieces may not let it lie as shallow as the pans would.
	const floors = Math.max(1, deep_mm / depth_mm);
	const morePans = spreadOver(pans, equipment.pans, floors) ?? [];
	return {
		cooler,
		parts,
		ice,
		depth_mm,
		pans: atOnce.length + sumBy(morePans, ({ count }) => count),
		morePans,
		area_m2: atOnce.reduce((sum, { type }) => sum + floor_m2(type), 0) * floors,
		// In another cooler it would stand by itself.
		beside: own ? beside : [],
	};
}

const likelyMemo = memoise<string, number>(400);

/** Minutes until the code's coldest, likely and without its range; no end where that is later than asked. */
function likelyIn(cooling: Cooling, cooler: Cooler, parts: number, ice: boolean, most_min: number): number {
	const { code } = cooling.policy;
	const standing = standingIn(cooling, cooler, parts, ice);
	const coldest_C = Math.min(...code.cooling.to.map(({ to_C }) => to_C));
	return likelyMemo(JSON.stringify([standing, code, most_min]), () => {
		const [minutes] = minutesTo(givenFor(standing, code), [coldest_C], "likely", most_min);
		return minutes ?? Number.POSITIVE_INFINITY;
	});
}

function givenFor({ cooler, depth_mm, ice, area_m2, beside }: Standing, { cooling }: HouseCode): ChillGiven {
	return {
		depth_mm,
		start_C: afterStanding(depth_mm, cooling.standing_min),
		medium: cooler.kind === "chiller" ? "blast" : "walkIn",
		medium_C: cooler.air_C,
		consistency: "stew",
		...poweredBy(cooler, area_m2, beside),
		...(ice ? { foot: { medium: "iceWater" as const, C: ICED_WATER_C } } : {}),
	};
}

/** What its machine can do: by its plate, or by its watts alone; without end where nobody has read either. */
function poweredBy(
	{ kind, air_C, power_kW, rated_kg }: Cooler,
	area_m2: number,
	beside: readonly ChillBeside[],
): Pick<ChillGiven, "film_W_per_M2K" | "chiller" | "beside"> {
	const rated = kind === "chiller" && rated_kg !== null ? ratedChiller(air_C, rated_kg) : null;
	const power_W = rated?.power_W ?? (power_kW === null ? null : power_kW * 1000);
	if (power_W === null) return {};
	return {
		...(rated ? { film_W_per_M2K: rated.film_W_per_M2K } : {}),
		chiller: { power_W, area_m2 },
		...(beside.length > 0 ? { beside } : {}),
	};
}

function worked(standing: Standing, code: HouseCode): ChillWay {
	const { area_m2: _, beside: __, ...stands } = standing;
	const { from_C, to } = code.cooling;
	const given = givenFor(standing, code);
	const reached = chillTimes(
		given,
		to.map(({ to_C }) => to_C),
	);
	const began = begins(given, clockOf(given, code));
	const limits = to.map(({ to_C, within_min }, index): ChillLimit => {
		const reach = sinceBegan(reached[index] as ChillTimes, began);
		const verdict = verdictOfReach({ likely: reach.likely, latest: reach.high }, within_min);
		return { from_C, to_C, within_min, reach, verdict };
	});
	const clock = {
		begins_min: began.likely ?? 0,
		firstPoint_min: clockBegins(given, { ...clockOf(given, code), point: "firstPoint" }, "likely"),
		warmest_min: clockBegins(given, { ...clockOf(given, code), point: "warmest" }, "likely"),
	};
	return { ...stands, given, limits, clock, minutes: rangeOf(reached.at(-1)) };
}

/** What begins the code's clock: at once where food is no warmer than it says. */
function clockOf(
	{ start_C }: ChillGiven,
	{ cooling: { from_C, clock = "firstPoint" } }: HouseCode,
): ChillClockOf {
	return { C: from_C !== null && from_C < start_C ? from_C : start_C, point: clock };
}

/** When it begins: soonest where heat moves best, as everything is. */
function begins(given: ChillGiven, clock: ChillClockOf): ChillTimes {
	const at = (which: "low" | "likely" | "high") => clockBegins(given, clock, which);
	return { low: at("high"), likely: at("likely"), high: at("low") };
}

/** How warm it still is in the mean when it has stood for as long as the code lets it. */
function afterStanding(depth_mm: number, minutes: number): number {
	if (minutes === 0) return LIFTED_C;
	const standing: ChillGiven = {
		depth_mm,
		start_C: LIFTED_C,
		medium: "walkIn",
		medium_C: KITCHEN_C,
		consistency: "stew",
	};
	for (const { minute, mean_C } of chilling(standing, KITCHEN_C))
		if (minute >= minutes) return Math.round(mean_C);
	return LIFTED_C;
}

function sinceBegan(reached: ChillTimes, began: ChillTimes): ChillLimit["reach"] {
	const since = (end: "low" | "likely" | "high"): Reach => {
		const minutes = reached[end];
		if (minutes === null) return "never";
		return minutes > 0 ? minutes - (began[end] ?? 0) : "already";
	};
	return { low: since("low"), likely: since("likely"), high: since("high") };
}

function rangeOf(times: ChillTimes | undefined): Range | null {
	if (!times || times.low === null || times.likely === null || times.high === null) return null;
	return { low: times.low, likely: times.likely, high: times.high };
}
