import { groupBy } from "es-toolkit";
import type { Beliefs } from "../beliefs/index.ts";
import { minutesToBeSure } from "../braise/index.ts";
import { must } from "../check/index.ts";
import type { HousePolicy, Kitchen } from "../kitchen/index.ts";
import { memoise } from "../memoise/index.ts";
import { airKey, type Oven } from "../ovens/index.ts";
import type { PanChoice } from "../pans/index.ts";
import { isInOven } from "../recipe/index.ts";
import type { MinutesIn, Task } from "../tasks/index.ts";
import { dishTasks } from "./dishTasks.ts";
import type { PansElsewhere } from "./heldPans.ts";
import type { PlanFigures } from "./Plan.ts";
import { type BraiseGroup, minutesInOven, temperaturesIn, tenderLikely } from "./planBraise.ts";
import { colourOf, figuresAt, type PannedDish } from "./planDish.ts";
import type { SizedDish } from "./SizedDish.ts";
import { equipmentFor } from "./sizeDish.ts";
import { LEFT_MIN, type Standing, type Stands, splitOf } from "./standing.ts";

/**
 * What one dish asks of a kitchen: size, pieces, pans, amounts, and what follows in each oven and at
 * each temperature. It knows no clock, and stands in no oven until `core/day` has placed it.
 *
 * @see model, section K
 */
export interface DishNeeds {
	readonly dish: PannedDish;
	/** Where its pans would stand as the card asks; a dish that stands on no sitting is read from it. */
	readonly usual: Standing;
	/** All figures where everything that an oven heats stands so; worked out once for each. */
	at(standing: Standing): PlanFigures;
	/** About the same before it stands anywhere: what an oven is chosen by, and what is shown nowhere. */
	estimated(): PlanFigures;
	/**
	 * All that it asks of the kitchen where its groups may stand anywhere that suits them.
	 *
	 * @param stood where they stand in a day that is being worked to: what they take there is exact
	 */
	tasks(stood?: Standing): readonly Task[];
	/** The same where they stand so, each task with the minutes and amounts that follow. */
	tasksAt(standing: Standing): readonly Task[];
	/** The same places; what was given there before is kept only where it is as good as what its heat asks. */
	settled(standing: Standing): Standing;
}

/** What a dish gets of the kitchen beside the other dishes of its sitting. */
export interface Given {
	readonly pans: PanChoice;
	/** Which pans the other dishes of the sitting have. */
	readonly elsewhere: PansElsewhere;
	/** The ovens with what other dishes would put into them: they say how its pans are parted. */
	readonly ovens: readonly Oven[];
}

/** So many ways of standing are remembered of one dish. */
const MOST_KEPT = 24;

/** What a sized dish asks of a kitchen in the pans it was given. */
export function needsOf(sized: SizedDish, given: Given, house: Kitchen, beliefs: Beliefs): DishNeeds {
	const { recipe } = sized;
	const kitchen = { ...house, equipment: equipmentFor(recipe, house) };
	const split = splitOf(recipe, given.pans, given.ovens, house.equipment.ovens, kitchen.policy);
	const dish: PannedDish = {
		...sized,
		pans: given.pans,
		elsewhere: given.elsewhere,
		split,
		colour: colourOf(sized, kitchen, beliefs),
		kitchen,
		beliefs,
	};
	const figures = memoise<string, PlanFigures>(MOST_KEPT);
	const filled = (standing: Standing): Standing => new Map([...split.usual, ...standing]);
	const at = (standing: Standing) =>
		figures(keyOf(filled(standing)), () => figuresAt(dish, filled(standing)));
	// What stands in an oven is estimated until it stands there; all else is known at once.
	const estimates = memoise<string, PlanFigures>(1);
	const estimated = () =>
		isInOven(recipe) ? estimates("", () => figuresAt(dish, split.usual, tenderLikely)) : at(NOWHERE);
	const tasksIn = (
		{ chain, ...out }: PlanFigures,
		standing: Standing,
		minutesOf: (group: string) => readonly MinutesIn[],
	) => dishTasks({ ...out, portions: chain.portions, kitchen, beliefs, standing, minutesOf });
	return {
		dish,
		usual: split.usual,
		at,
		estimated,
		tasks: (stood = NOWHERE) =>
			tasksIn(estimated(), NOWHERE, (group) => everywhere(dish, estimated(), group, { at, stood })),
		tasksAt: (standing) =>
			tasksIn(at(standing), standing, (group) => {
				const { set_C, given_min } = must(filled(standing), group, "group of pans");
				const braised = at(standing).braise?.groups.find(({ id }) => id === group);
				if (!braised) return [];
				return [{ ...timesOf(braised, set_C), ...(given_min === undefined ? {} : { given_min }) }];
			}),
		settled: (standing) => settledAt(standing, at, kitchen.policy),
	};
}

const NOWHERE: Standing = new Map();

/** No less than the second main wants, where it is the slower. */
function timesOf({ tender_min, secondAllowed_min }: BraiseGroup, set_C: number): MinutesIn {
	return { set_C, minutes: tender_min, ...(secondAllowed_min > 0 ? { least_min: secondAllowed_min } : {}) };
}

/** Minutes that were given before stay where they are near what the heat asks; elsewhere that is asked anew. */
function settledAt(standing: Standing, at: DishNeeds["at"], { confidence }: HousePolicy): Standing {
	const asked = new Map(
		[...standing].map(([id, { given_min: _, ...stands }]): [string, Stands] => [id, stands]),
	);
	const groups = at(asked).braise?.groups ?? [];
	return new Map(
		[...asked].map(([id, stands]): [string, Stands] => {
			const group = groups.find((one) => one.id === id);
			const given_min = standing.get(id)?.given_min;
			if (!group || given_min === undefined) return [id, stands];
			const sure = Math.max(group.secondAllowed_min, minutesToBeSure(group.tender_min, confidence));
			const isNear = Math.abs(Math.ceil(sure) - given_min) <= LEFT_MIN;
			return [id, isNear ? { ...stands, given_min } : stands];
		}),
	);
}

function keyOf(standing: Standing): string {
	const words = ([id, { oven, set_C, rungs, inside, given_min, beside = [] }]: [string, Stands]) =>
		[id, oven?.id ?? "", set_C, rungs, inside, given_min ?? "", JSON.stringify(beside)].join(" ");
	return [...standing].map(words).sort().join("; ");
}

/** Ovens that heat alike: of one kind and air, with as much power. */
function alike(ovens: readonly Oven[]): Oven[][] {
	return Object.values(groupBy(ovens, (oven) => `${airKey(oven)} ${oven.power_w ?? ""}`));
}

/**
 * What a group takes in each oven that the kitchen has, at each temperature that suits it, poured as
 * its dish would be there; exactly so where it stands already.
 */
function everywhere(
	dish: PannedDish,
	{ braise }: PlanFigures,
	id: string,
	{ at, stood }: { readonly at: DishNeeds["at"]; readonly stood: Standing },
): MinutesIn[] {
	const group = braise?.groups.find((one) => one.id === id);
	if (!group) return [];
	const { recipe, kitchen, beliefs } = dish;
	if (!isInOven(recipe)) return [timesOf(group, group.set_C)];
	const exact = exactly(at, id, stood);
	const estimated = alike(kitchen.equipment.ovens).flatMap((some) => {
		const [one] = some;
		if (!one) return [];
		const reach = {
			min_C: Math.min(...some.map(({ min_C }) => min_C)),
			max_C: Math.max(...some.map(({ max_C }) => max_C)),
		};
		const isUsual = some.some((oven) => oven.id === group.oven?.id);
		return temperaturesIn(recipe, reach, group.set_C).map((set_C): MinutesIn => {
			const minutes =
				set_C === group.set_C && isUsual ? group.tender_min : minutesInOven(group, one, set_C, beliefs);
			const ovens = some
				.map((oven) => oven.id)
				.filter((oven) => oven !== exact?.ovens?.[0] || set_C !== exact.set_C);
			return { ...timesOf(group, set_C), minutes, ovens };
		});
	});
	return [...(exact ? [exact] : []), ...estimated.filter(({ ovens = [] }) => ovens.length > 0)];
}

/** What a group takes where it stands, with all that shares its oven. */
function exactly(at: DishNeeds["at"], id: string, settled: Standing): MinutesIn | null {
	const stands = settled.get(id);
	if (!stands?.oven) return null;
	const group = at(settled).braise?.groups.find((one) => one.id === id);
	if (!group) return null;
	const { given_min, oven } = stands;
	return {
		...timesOf(group, stands.set_C),
		ovens: [oven.id],
		...(given_min === undefined ? {} : { given_min }),
	};
}
