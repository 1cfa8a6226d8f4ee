import { groupBy } from "es-toolkit";
import type { Beliefs } from "../beliefs/index.ts";
import {
	type Braised,
	type BraiseGiven,
	braise,
	CALIBRATED,
	type ColdestAsked,
	LONGEST_MIN,
	leftAt,
	likelyMinutes,
	minutesToBeSure,
	reached,
	type Simulated,
	simulate,
	steamAt,
	tenderRange,
	usualPan,
} from "../braise/index.ts";
import { must } from "../check/index.ts";
import { sidesOf } from "../heat/index.ts";
import type { HousePolicy } from "../kitchen/index.ts";
import { memoise } from "../memoise/index.ts";
import { airOf, type Oven, type OvenAir, POWER_REACHES, windOf } from "../ovens/index.ts";
import {
	type ChosenPan,
	depthOf,
	floorArea,
	type PanChoice,
	type PanType,
	POURED_FILL,
	volumeBelow,
} from "../pans/index.ts";
import type { Range } from "../quantity/index.ts";
import { heatOf, inPan, type Recipe } from "../recipe/index.ts";
import { comesUpTo, type HouseCode, KILL_TABLES, type Verdict, verdictOfReach } from "../safety/index.ts";
import type { Lid } from "../trade/index.ts";
import { joinsLate } from "./panLines.ts";
import type { PlanColour } from "./planColour.ts";
import type { PlanLine } from "./planLines.ts";
import { weightOf } from "./planLiquid.ts";
import { secondLine } from "./secondMain.ts";
import type { PanGroup, Standing, Stands } from "./standing.ts";

/** Pans of one kind that are in one oven at once: they heat alike, the fullest last. */
export interface BraiseGroup {
	/** Of its load, the kind of pan, and the filling where another follows; never of an oven. */
	readonly id: string;
	/** Which filling of the pans: 1 the first. */
	readonly go: number;
	/** Null where there is no rung for them. */
	readonly oven: Oven | null;
	readonly set_C: number;
	readonly type: PanType;
	/** The fullest first. */
	readonly pans: readonly ChosenPan[];
	readonly rungs: number;
	/** The fullest of them, from the oven door to the four marks. */
	readonly given: BraiseGiven;
	readonly braised: Braised;
	/** The second main from when it joins to fork-tender; null where there is none. */
	readonly second_min: Range | null;
	/** What the second main is given, so that it is as surely tender; to the five minutes. */
	readonly secondAllowed_min: number;
	/** From the oven door to fork-tender. */
	readonly tender_min: Range;
	/** What they are given, so that they are tender as surely as the house wants; whole minutes. */
	readonly allowed_min: number;
	/** How its coldest point stands to the house code on its way up, and to its table at the lift; null where nobody asked. */
	readonly verdicts: Readonly<Record<"comingUp" | "killed", Verdict>> | null;
}

/** How the dish comes to be tender: each oven load and kind of pan has its own heat, the slowest decides. */
export interface PlanBraise {
	/** The slowest first: it goes in first. */
	readonly groups: readonly BraiseGroup[];
	readonly slowest: BraiseGroup;
	/** What all pans together give off until they are likely tender, litres. */
	readonly evaporated_l: number;
}

export interface Braising {
	readonly recipe: Recipe;
	readonly pans: PanChoice;
	readonly groups: readonly PanGroup[];
	readonly standing: Standing;
	readonly lines: readonly PlanLine[];
	/** How the pieces were coloured: out of the oven they come warm. */
	readonly colour: PlanColour | null;
	readonly policy: HousePolicy;
	/** Of one burner, what reaches the pot. */
	readonly hobPower_kW: number;
	readonly beliefs: Beliefs;
	/** How it is found out how long a pan takes. */
	readonly tenderOf: TenderOf;
}

/** How a pan comes to be tender, and the range of its minutes. */
export interface FoundTender {
	readonly braised: Braised;
	readonly range: Range;
}
export type TenderOf = (given: BraiseGiven, recipe: Recipe, beliefs: Beliefs, code: HouseCode) => FoundTender;

/** With all that is not known tried at both ends: what a dish is shown and given by. */
export const tenderByRange: TenderOf = (given, { cut }, beliefs, code) => {
	const coldest = { hot_C: comesUpTo(code), kill: KILL_TABLES[code.kill] };
	const braised = braiseOf(given, beliefs.minutes[cut], coldest);
	return { braised, range: tenderRange(braised) };
};

/**
 * The likely course alone, with the range of the usual pan in proportion: an estimate that chooses an
 * oven, never one that is shown.
 */
export const tenderLikely: TenderOf = (given, recipe, beliefs) => {
	const { course, likely } = likelyCourse(given, beliefs.minutes[recipe.cut]);
	const usual = usualTender(recipe, beliefs);
	const ratio = likely / usual.likely;
	const range = { low: usual.low * ratio, likely, high: usual.high * ratio };
	const braised: Braised = {
		marks: { sliceable: null, forkTender: range, shredding: null, fallingApart: null },
		liquidLeft_l: leftAt(course, likely),
		dryAt_min: course.dryAt_min,
		peakLiquid_C: course.peakLiquid_C,
		likely: course,
		coldest: null,
		heat: given.heat.kind,
		sensitivities: [],
		modelSpread: 0,
	};
	return { braised, range };
};

/**
 * The braise of the dish: every oven load and kind of pan by its own fullest pan.
 *
 * @returns null when there is no pan for it
 * @see model, section E
 */
export function planBraise(braising: Braising): PlanBraise | null {
	const { pans, beliefs } = braising;
	if (pans.pans.length === 0) return null;
	const groups = inGroups(braising)
		.map((group) => groupOf(group, braising))
		.sort((a, b) => b.allowed_min - a.allowed_min || a.id.localeCompare(b.id));
	const [slowest] = groups;
	if (!slowest) return null;
	const evaporated_l =
		groups.reduce((sum, group) => sum + steamOfGroup(group, beliefs), 0) * beliefs.liquid.evaporation;
	return { groups, slowest, evaporated_l };
}

function steamOfGroup(
	{ pans, given, braised, tender_min, allowed_min }: BraiseGroup,
	beliefs: Beliefs,
): number {
	const steaming = {
		pans,
		given,
		steams: braised.likely,
		tender_min: tender_min.likely,
		until_min: allowed_min,
	};
	return steamOf(steaming, beliefs);
}

/**
 * What all pans together give off until they are likely tender, litres: likely alone, without the
 * range, for what is poured is decided before anything else is known. 0 without a pan.
 */
export function steamBefore(braising: Braising): number {
	const { recipe, pans, beliefs } = braising;
	if (pans.pans.length === 0) return 0;
	// Where the cover comes off at the end, its minute follows from the whole range.
	if (recipe.braise.uncovered_min !== undefined) return planBraise(braising)?.evaporated_l ?? 0;
	const litres = inGroups(braising).map((group) => {
		const { joined: given } = heatedPan(group, must(braising.standing, group.id, "group of pans"), braising);
		const { course, likely } = likelyCourse(given, beliefs.minutes[recipe.cut]);
		return steamOf(
			{ pans: group.pans, given, steams: course, tender_min: likely, until_min: likely },
			beliefs,
		);
	});
	return litres.reduce((sum, one) => sum + one, 0) * beliefs.liquid.evaporation;
}

const courseMemo = memoise<string, { readonly course: Simulated; readonly likely: number }>(1000);

/** How a pan likely goes on until it is tender. */
function likelyCourse(given: BraiseGiven, { times }: Beliefs["minutes"][Recipe["cut"]]) {
	return courseMemo(JSON.stringify([given, times]), () => {
		const until = CALIBRATED.marks.forkTender;
		const course = simulate(given, { minutes: LONGEST_MIN, until: until * BEYOND, every_min: LONGEST_MIN });
		const likely = (reached(course, until) ?? LONGEST_MIN) * times;
		return { course, likely };
	});
}

/** So far past the mark a course goes on: a kitchen's own log may give it a little longer. */
const BEYOND = 1.5;

/** The pans of each group, the fullest of a kind in the first. */
function inGroups({
	pans,
	groups,
}: Pick<Braising, "pans" | "groups">): (PanGroup & { readonly pans: readonly ChosenPan[] })[] {
	const left = groupBy(pans.pans, ({ type, go }) => `${go} ${type.id}`);
	return groups.map((group) => ({
		...group,
		pans: (left[`${group.go} ${group.type.id}`] ?? []).splice(0, group.count),
	}));
}

type Filled = ReturnType<typeof inGroups>[number];

function groupOf(group: Filled, braising: Braising): BraiseGroup {
	const { recipe, policy, beliefs } = braising;
	const { id, go, type, pans } = group;
	const stands = must(braising.standing, id, "group of pans");
	const { joined, second } = heatedPan(group, stands, braising);
	const { given, braised, tender_min, sure_min } = uncoveredAtEnd(joined, recipe, (tried) => {
		const { braised: found, range } = braising.tenderOf(tried, recipe, beliefs, policy.code);
		const sure = Math.ceil(minutesToBeSure(range, policy.confidence));
		return { given: tried, braised: found, tender_min: range, sure_min: sure };
	});
	const secondAllowed_min = second ? toFive(minutesToBeSure(second.tender_min, policy.confidence)) : 0;
	// Where the second main is the slower, it is in from the start and says when both are lifted.
	const allowed_min = stands.given_min ?? Math.max(sure_min, secondAllowed_min);
	return {
		id,
		go,
		oven: stands.oven,
		set_C: stands.set_C,
		type,
		pans,
		rungs: stands.rungs,
		given,
		braised,
		second_min: second?.tender_min ?? null,
		tender_min,
		secondAllowed_min,
		allowed_min,
		verdicts: verdictsOf(braised, allowed_min, policy.code),
	};
}

function verdictsOf(
	{ coldest }: Braised,
	allowed_min: number,
	{ comingUp_min }: HouseCode,
): BraiseGroup["verdicts"] {
	if (!coldest) return null;
	return {
		comingUp: verdictOfReach(coldest.hot, comingUp_min),
		killed: verdictOfReach(coldest.killed, allowed_min),
	};
}

/** The fullest pan of a group where it stands, with all that joins it. */
function heatedPan({ pans }: Filled, stands: Stands, braising: Braising) {
	const { recipe, lines, beliefs } = braising;
	const fullest = pans[0] as ChosenPan;
	const all = braising.pans.pans.reduce((sum, pan) => sum + pan.pieces, 0);
	const alone = givenOf(braising, fullest, stands);
	const share = fullest.pieces / all;
	const second = secondIn(alone, recipe, lines, share, beliefs);
	return { joined: withLate(withTopping(alone, lines, share), lines, share, beliefs, second), second };
}

/** The clock is kept to the five minutes: the longer. */
function toFive(minutes: number): number {
	return Math.ceil(minutes / 5) * 5;
}

/** Whether the second main takes longer than the first: it is in from the start and says when both are lifted. */
export function isSecondSlower({
	secondAllowed_min,
	allowed_min,
}: Pick<BraiseGroup, "secondAllowed_min" | "allowed_min">): boolean {
	return secondAllowed_min >= allowed_min;
}

/** The second main's share of a pan, and how long it takes there. */
interface SecondIn {
	readonly kg: number;
	readonly cookingLoss: number;
	readonly tender_min: Range;
}

/** Meat holds heat like so much water, a share of its weight; for what is hot already when the second main joins. */
const MEAT_AS_WATER = 0.85;

/** The second main goes into a pan that simmers, with all the first main already hot in it. */
function secondIn(
	given: BraiseGiven,
	recipe: Recipe,
	lines: readonly PlanLine[],
	share: number,
	beliefs: Beliefs,
): SecondIn | null {
	const { second } = recipe;
	const own = secondLine(lines);
	if (!second || !own?.amount_g) return null;
	const { cut, losses, piece } = second;
	const kg = (own.amount_g / 1000) * share;
	const { resets: _, additions: __, lids: ___, ...pan } = given;
	const alone: BraiseGiven = {
		...pan,
		heat: "set_C" in pan.heat && given.resets?.[0] ? { ...pan.heat, set_C: given.resets[0].set_C } : pan.heat,
		cut,
		sides: sidesOf(piece),
		boneShare: losses.boneShare ?? 0,
		cookingLoss: losses.cookingLoss,
		meat_kg: kg,
		liquid_l: given.liquid_l + given.meat_kg * MEAT_AS_WATER,
		start: { meat_C: beliefs.starts.piece_C, liquid_C: given.start.liquid_C },
	};
	return {
		kg,
		cookingLoss: losses.cookingLoss,
		tender_min: tenderRange(braiseOf(alone, beliefs.minutes[cut])),
	};
}

/** A topping is in from the start: it has to become hot, and gives the liquid nothing. */
function withTopping(given: BraiseGiven, lines: readonly PlanLine[], share: number): BraiseGiven {
	const grams = weightOf(lines.filter(({ line }) => line.role === "topping"));
	if (grams === 0) return given;
	const topping = { at_min: 0, kg: (grams / 1000) * share, temp_C: TOPPING_C, water: LATE_WATER, gives: 0 };
	return { ...given, additions: [...(given.additions ?? []), topping] };
}

/** Sliced roots come from the cold, °C. */
const TOPPING_C = 8;

/** Pans that heat alike, with how their fullest steams. */
interface Steaming {
	readonly pans: readonly ChosenPan[];
	readonly given: BraiseGiven;
	readonly steams: Simulated;
	readonly tender_min: number;
	/** Until when an open pan goes on giving off steam: until it is lifted. */
	readonly until_min: number;
}

/** What all pans of a group give off: as the fullest does, by their surfaces, and at every look under the cover. */
function steamOf({ pans, steams, tender_min, given, until_min }: Steaming, { liquid }: Beliefs): number {
	const floor = ({ type }: ChosenPan) => floorArea(type.shape);
	const floors = pans.reduce((sum, pan) => sum + floor(pan), 0);
	const shut_l =
		(steamAt(steams, given.lids === undefined ? tender_min : until_min) * floors) /
		floor(pans[0] as ChosenPan);
	// What steams off a bath is not the dish's own; a pressure pot is not opened on the way.
	if (given.heat.kind === "waterBath") return 0;
	if (given.lid === "open" || given.heat.kind === "pressure") return shut_l;
	const looks = (tender_min / 60) * liquid.looksAnHour;
	return shut_l + looks * liquid.steamAtLook_l_per_m2 * (floors / 1e6);
}

/** Water in what joins late, as a share of its weight, for the heat it takes. */
const LATE_WATER = 0.9;

/**
 * The pan with what joins it before the end: cold until then, not in it from the start.
 *
 * @param share of the dish that is in this pan
 */
function withLate(
	given: BraiseGiven,
	lines: readonly PlanLine[],
	share: number,
	beliefs: Beliefs,
	second: SecondIn | null,
): BraiseGiven {
	const late = lines.filter((line) => joinsLate(line) && line.amount_g);
	if (late.length === 0 && !second) return given;
	const end_min = likelyOf(given);
	const meat = second
		? [
				{
					at_min: Math.max(0, end_min - second.tender_min.likely),
					kg: second.kg,
					temp_C: beliefs.starts.piece_C,
					water: MEAT_WATER,
					gives: second.cookingLoss * beliefs.liquid.juiceOfLoss,
				},
			]
		: [];
	const additions = late.map(({ line, ingredient, amount_g }) => ({
		at_min: Math.max(0, end_min - (line.late_min ?? 0)),
		kg: ((amount_g ?? 0) / 1000) * share,
		temp_C: beliefs.starts.late_C,
		water: LATE_WATER,
		gives: line.role === "liquid" ? 1 : inPan(ingredient).givesWater,
	}));
	return { ...given, additions: [...(given.additions ?? []), ...meat, ...additions] };
}

/** Water of raw meat, a share of its weight. */
const MEAT_WATER = 0.7;

/** A pan as it was tried, and how long it takes. */
interface Tried extends Pick<BraiseGroup, "given" | "braised" | "tender_min"> {
	readonly sure_min: number;
}

/** The lift moves later as the open pan cools, and the cover comes off later with it: so often it is asked again. */
const ASKED_AGAIN = 3;

/** The cover off for the last minutes before the lift, to glaze or to brown. */
function uncoveredAtEnd(
	given: BraiseGiven,
	{ braise: { uncovered_min } }: Recipe,
	tried: (given: BraiseGiven) => Tried,
): Tried {
	let answer = tried(given);
	if (uncovered_min === undefined || given.lid === "open") return answer;
	for (let asked = 0; asked < ASKED_AGAIN; asked += 1) {
		const at_min = Math.max(0, answer.sure_min - uncovered_min);
		answer = tried({ ...given, lids: [{ at_min, lid: "open" }] });
	}
	return answer;
}

/** From the oven door to fork-tender in a usual pan, for a dish that has none. */
export function usualTender({ cut, piece, losses }: Recipe, beliefs: Beliefs): Range {
	return tenderRange(braiseOf(usualPan(cut, piece, losses.boneShare), beliefs.minutes[cut]));
}

/** Ovens are set to tens of degrees. */
const STEP_C = 10;

/** Tens of degrees that a card allows in an oven, and what it is set to where that is none. */
export function temperaturesIn(
	{ braise: { oven_C } }: Recipe,
	{ min_C, max_C }: Pick<Oven, "min_C" | "max_C">,
	also_C: number,
): number[] {
	const low_C = Math.max(oven_C.low, min_C);
	const high_C = Math.min(oven_C.high, max_C);
	const steps = new Set(also_C >= low_C && also_C <= high_C ? [also_C] : []);
	for (let C = Math.ceil(low_C / STEP_C) * STEP_C; C <= high_C; C += STEP_C) steps.add(C);
	return [...steps].sort((a, b) => a - b);
}

/**
 * What a group takes in an oven at some temperature, poured as it is: the likely minutes from the
 * heat, their range in the proportions of where it stands.
 */
export function minutesInOven(
	{ given, tender_min, pans, oven: stood }: Pick<BraiseGroup, "given" | "tender_min" | "pans" | "oven">,
	oven: Oven,
	set_C: number,
	beliefs: Beliefs,
): Range {
	const { oven: _, ...pan } = given;
	const there = { ...inOvenAt(pan, stood, oven, set_C), ...sharedPower(oven, pans.length) };
	const likely = likelyOf(there) * beliefs.minutes[given.cut].times;
	const ratio = likely / tender_min.likely;
	return { low: tender_min.low * ratio, likely, high: tender_min.high * ratio };
}

function givenOf(
	{ recipe, colour, policy, beliefs, hobPower_kW }: Braising,
	pan: ChosenPan,
	{ oven, set_C, inside }: Stands,
): BraiseGiven {
	const { boneShare = 0, cookingLoss } = recipe.losses;
	return {
		cut: recipe.cut,
		sides: sidesOf(recipe.piece),
		boneShare,
		meat_kg: (pan.pieces * recipe.piece.weight_g) / 1000,
		liquid_l: Math.max(A_DROP_L, heatOf(recipe) === "bath" ? bathWater(pan) : pan.liquid_l),
		vegetables_kg: pan.bed.weight_kg,
		pan: pan.type.shape,
		lid: coverIn(recipe),
		...heatedBy(recipe, oven ?? ANY_OVEN, set_C),
		...(oven && windOf(oven) !== 1 ? { coupling: windOf(oven) } : {}),
		...flameOf(recipe, pan.type, hobPower_kW),
		start: {
			meat_C: colour?.way === "oven" ? beliefs.starts.pieceFromTrays_C : beliefs.starts.piece_C,
			// A bath is hot before the bags go in.
			liquid_C: heatOf(recipe) === "bath" ? set_C : beliefs.starts.liquid_C,
		},
		...(oven ? sharedPower(oven, inside) : {}),
		...(policy.altitude_m === 0 ? {} : { altitude_m: policy.altitude_m }),
		cookingLoss,
	};
}

/** Bags and pressure pots are shut, whatever lies on the card's pan. */
function coverIn(recipe: Recipe): Lid {
	const heat = heatOf(recipe);
	return heat === "pressure" || heat === "bath" ? "sealed" : recipe.braise.lid;
}

/** The heat of a dish; an oven that starts hot is set down after so many minutes. */
function heatedBy(recipe: Recipe, oven: OvenAir, set_C: number): Pick<BraiseGiven, "heat" | "resets"> {
	const { hotStart } = recipe.braise;
	switch (heatOf(recipe)) {
		case "hob":
			return { heat: { kind: "hob", simmer: true } };
		case "slowCooker":
			return { heat: { kind: "slowCooker", set_C } };
		case "pressure":
			return { heat: { kind: "pressure", set_C } };
		case "bath":
			return { heat: { kind: "waterBath", set_C } };
		case "oven":
			if (!hotStart) return { heat: { kind: oven.kind, set_C: airOf(oven, set_C) } };
			return {
				heat: { kind: oven.kind, set_C: airOf(oven, hotStart.set_C) },
				resets: [{ at_min: hotStart.minutes, set_C: airOf(oven, set_C) }],
			};
	}
}

/** The same pan in another oven at another temperature: a hot start is set as before. */
function inOvenAt(given: BraiseGiven, stood: OvenAir | null, oven: OvenAir, set_C: number): BraiseGiven {
	const { coupling: _, ...pan } = given;
	const there = { ...pan, ...(windOf(oven) === 1 ? {} : { coupling: windOf(oven) }) };
	const { kind } = oven;
	const air_C = airOf(oven, set_C);
	if (!given.resets || !("set_C" in given.heat)) return { ...there, heat: { kind, set_C: air_C } };
	const hotter_K = airOf(oven, 0) - airOf(stood ?? ANY_OVEN, 0);
	return {
		...there,
		heat: { kind, set_C: given.heat.set_C + hotter_K },
		resets: given.resets.map((reset) => ({ ...reset, set_C: air_C })),
	};
}

/** Where nobody has said in which. */
const ANY_OVEN: OvenAir = { kind: "fanOven" };

/** What heats a pot or a cooker: its own heat, or a burner of the hob. */
function flameOf(recipe: Recipe, { heat_kW }: PanType, hobPower_kW: number): Pick<BraiseGiven, "flame_kW"> {
	const heat = heatOf(recipe);
	if (heat_kW !== undefined) return { flame_kW: heat_kW };
	return heat === "hob" || heat === "pressure" ? { flame_kW: hobPower_kW } : {};
}

/** Water that stands round the bags of a bath, l. */
function bathWater({ type, pile_mm, pieces, bed }: ChosenPan): number {
	const top_mm = Math.min(depthOf(type.shape), pile_mm + OVER_BAGS_MM);
	const bags_l = pile_mm > 0 ? POURED_FILL * volumeBelow(type.shape, pile_mm) : 0;
	return pieces + bed.volume_l > 0 ? volumeBelow(type.shape, top_mm) - bags_l : 0;
}

/** Bags lie so far under the water of their bath, mm. */
const OVER_BAGS_MM = 30;

/** The oven's power among all that stands in it, where its rating plate was read. */
export function sharedPower({ power_w }: Oven, inside: number): Pick<BraiseGiven, "oven"> {
	if (!power_w) return {};
	return { oven: { power_kW: (power_w / 1000) * POWER_REACHES, pans: Math.max(1, inside) } };
}

/** Meat and bed alone may reach the line; the pan is never quite without liquid. */
const A_DROP_L = 0.05;

/** The same pan is asked for again with every look at the plan. */
const braisedMemo = memoise<string, Braised>(500);
const likelyMemo = memoise<string, number>(2000);

function braiseOf(
	given: BraiseGiven,
	tenderness: Beliefs["minutes"][Recipe["cut"]],
	coldest?: ColdestAsked,
): Braised {
	return braisedMemo(JSON.stringify([given, tenderness, coldest]), () =>
		braise(given, { tenderness, ...(coldest ? { coldest } : {}) }),
	);
}

function likelyOf(given: BraiseGiven): number {
	return likelyMemo(JSON.stringify(given), () => likelyMinutes(given));
}
