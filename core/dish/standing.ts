import { groupBy } from "es-toolkit";
import type { ChillBeside } from "../chill/index.ts";
import { simmerAt } from "../heat/index.ts";
import type { HousePolicy } from "../kitchen/index.ts";
import { fitOvens, type Oven, type OvenFit, type OvenLoad, rungsIn } from "../ovens/index.ts";
import type { ChosenPan, PanChoice, PanType } from "../pans/index.ts";
import { heatOf, isInOven, type Recipe } from "../recipe/index.ts";
import type { Task } from "../tasks/index.ts";
import { countByType } from "./countByType.ts";

/** Pans of one kind that go in together, into whichever oven it is. */
export interface PanGroup {
	/** Of its load, its kind of pan and its filling; never of an oven. */
	readonly id: string;
	/** Which filling of the pans: 1 the first. */
	readonly go: number;
	readonly type: PanType;
	readonly count: number;
}

/** Where a group of pans stands, and how hot. */
export interface Stands {
	/** Null where no oven has room for them, and on every other heat. */
	readonly oven: Oven | null;
	readonly set_C: number;
	readonly rungs: number;
	/** Pans that share the oven's power, its own among them. */
	readonly inside: number;
	/** What it is given in a placed day, minutes; as surely tender as the house wants where it is left out. */
	readonly given_min?: number;
	/** What else is cooled there with it, where it is a chiller. */
	readonly beside?: readonly ChillBeside[];
	/** What stands there, where it is not a group of its own: what is made hot again. */
	readonly pans?: readonly { readonly type: PanType; readonly count: number }[];
}

/** Pans that are given so many minutes more or fewer than their heat asks keep them: it lies in their range. */
export const LEFT_MIN = 5;

/**
 * Where everything of a dish stands that shares an oven's heat or a chiller's cold: groups by their
 * ids, what is made hot again by its wave, what is cooled under one name.
 */
export type Standing = ReadonlyMap<string, Stands>;

/** Under what the trays of a dish stand. */
export const COLOURING = "colouring";
/** Under what it stands while it is cooled. */
export const CHILLING = "chilling";
const REHEATING = "reheating";

/** Under what a wave stands that is made hot again. */
export function reheatingOf(task: string): string {
	return `${REHEATING} ${task}`;
}

/** Under what a task stands that an oven heats; null where nothing of its dish depends on the oven. */
export function standsAs({ id, part, figures }: Pick<Task, "id" | "part" | "figures">): string | null {
	if (part === "colour") return COLOURING;
	if (part === "reheat") return reheatingOf(id);
	return part === "oven" && figures.group !== undefined ? String(figures.group) : null;
}

/** Where a dish is made hot again; of several waves the coolest, which takes longest. */
export function reheatedIn(standing: Standing): Stands | null {
	const waves = [...standing].filter(([id]) => id.startsWith(`${REHEATING} `)).map(([, stands]) => stands);
	return waves.reduce<Stands | null>((slow, one) => (slow && slow.set_C <= one.set_C ? slow : one), null);
}

/** The ovens of what is made hot again, as they are drawn; none where it has not been placed. */
export function reheatingLoads(standing: Standing): OvenLoad[] {
	return [...standing].flatMap(([id, { oven, set_C, rungs, pans }]) =>
		oven && pans && id.startsWith(`${REHEATING} `)
			? [{ oven, set_C, pans, rungsTaken: rungs, partFree: [] }]
			: [],
	);
}

/** The groups of a dish's pans, and where they would stand as its card asks. */
export interface Split {
	readonly groups: readonly PanGroup[];
	readonly usual: Standing;
	readonly fit: OvenFit;
}

/** What stands on the hob, in a cooker or in a bath takes no oven. */
const NO_OVENS: OvenFit = { loads: [], without: 0, held: [] };

/**
 * The pans of a dish parted into what goes into one oven together.
 *
 * @param ovens with what other dishes have put into them
 * @param empty the same ovens without it: what finds no room beside the others goes in after them
 */
export function splitOf(
	recipe: Recipe,
	pans: PanChoice,
	ovens: readonly Oven[],
	empty: readonly Oven[],
	policy: HousePolicy,
): Split {
	const inOven = isInOven(recipe);
	const fit = inOven ? fitOvens(countByType(pans), ovens, recipe.braise.oven_C) : NO_OVENS;
	const goes = Object.values(groupBy(pans.pans, ({ go }) => go));
	const parts = goes.flatMap((inGo) => (inOven ? partsOf(inGo, fit.loads, empty, recipe) : wholeOf(inGo)));
	const usual = new Map<string, Stands>();
	const groups = parts.map(({ load, at, of, type, count, go }): PanGroup => {
		const id = `${of === 1 ? "" : `${at}.`}${type.id}${go < pans.goes ? `.go${go}` : ""}`;
		usual.set(id, standsIn(load, count, recipe, policy));
		return { id, go, type, count };
	});
	return { groups, usual, fit };
}

/** Some pans of one kind and one filling, in which load of how many. */
interface Part {
	readonly load: OvenLoad | null;
	readonly at: number;
	readonly of: number;
	readonly type: PanType;
	readonly count: number;
	readonly go: number;
}

function wholeOf(pans: readonly ChosenPan[]): Part[] {
	const go = pans[0]?.go ?? 1;
	return countByType({ pans }).map((alike) => ({ ...alike, load: null, at: 1, of: 1, go }));
}

/** One filling of the pans, load by load; what finds no room in any is parted by the empty ovens. */
function partsOf(
	pans: readonly ChosenPan[],
	loads: readonly OvenLoad[],
	empty: readonly Oven[],
	{ braise: { oven_C } }: Recipe,
): Part[] {
	const left = new Map(countByType({ pans }).map(({ type, count }) => [type.id, { type, count }]));
	const taken: { load: OvenLoad | null; pans: { type: PanType; count: number }[] }[] = [];
	const take = (load: OvenLoad, isThere: boolean) => {
		const some = load.pans.flatMap(({ type, count }) => {
			const here = left.get(type.id);
			const most = Math.min(count, here?.count ?? 0);
			if (!here || most === 0) return [];
			here.count -= most;
			return [{ type, count: most }];
		});
		if (some.length > 0) taken.push({ load: isThere ? load : null, pans: some });
		return some.length > 0;
	};
	for (const load of loads) take(load, true);
	for (let more = true; more; ) {
		const rest = [...left.values()].filter(({ count }) => count > 0);
		more =
			rest.length > 0 &&
			fitOvens(rest, empty, oven_C)
				.loads.map((load) => take(load, false))
				.includes(true);
	}
	const nowhere = [...left.values()].filter(({ count }) => count > 0);
	if (nowhere.length > 0) taken.push({ load: null, pans: nowhere });
	const go = pans[0]?.go ?? 1;
	return taken.flatMap(({ load, pans: some }, index) =>
		some.map((part) => ({ ...part, load, at: index + 1, of: taken.length, go })),
	);
}

function standsIn(load: OvenLoad | null, count: number, recipe: Recipe, policy: HousePolicy): Stands {
	if (!load) return { oven: null, set_C: setWithout(recipe, policy), rungs: 0, inside: count };
	const inLoad = load.pans.reduce((sum, pans) => sum + pans.count, 0);
	return {
		oven: load.oven,
		set_C: load.set_C,
		rungs: (load.rungsTaken * count) / Math.max(1, inLoad),
		inside: inLoad + (load.oven.alsoInside ?? 0),
	};
}

/** What a vessel is set to that stands in no oven, °C: its cooker or bath; the simmer of the hob. */
function setWithout(recipe: Recipe, { altitude_m }: HousePolicy): number {
	return heatOf(recipe) === "hob" ? Math.round(simmerAt(altitude_m)) : recipe.braise.oven_C.set;
}

/** The loads of some groups where they stand: those of one oven at one temperature are one. */
export function loadsOf({ groups, usual: asked, fit: usual }: Split, standing: Standing): OvenFit {
	if (groups.every(({ id }) => standing.get(id) === asked.get(id))) return usual;
	const stood = groups.flatMap((group) => {
		const stands = standing.get(group.id);
		return stands?.oven ? [{ group, oven: stands.oven, set_C: stands.set_C }] : [];
	});
	const byOven = Object.values(groupBy(stood, ({ oven, set_C, group }) => `${oven.id} ${set_C} ${group.go}`));
	// Fillings follow each other into the same rungs: the fullest says how many are taken.
	const loads = byOven.flatMap((some): OvenLoad[] => {
		const [first] = some;
		if (!first) return [];
		const { oven, set_C } = first;
		const pans = some.map(({ group: { type, count } }) => ({ type, count }));
		return [{ oven, set_C, pans, rungsTaken: rungsIn(oven, pans) ?? oven.rungs, partFree: [] }];
	});
	const inside = stood.reduce((sum, { group }) => sum + group.count, 0);
	const all = groups.reduce((sum, { count }) => sum + count, 0);
	return {
		loads: Object.values(groupBy(loads, ({ oven, set_C }) => `${oven.id} ${set_C}`)).map((alike) =>
			alike.reduce((most, load) => (load.rungsTaken > most.rungsTaken ? load : most)),
		),
		without: usual === NO_OVENS ? 0 : all - inside,
		held: usual.held,
	};
}
