import { type Equipment, heatsItself, type Kitchen, ownHeatOf, type Vessel } from "../kitchen/index.ts";
import type { PanChoice } from "../pans/index.ts";
import { isInOven, type Recipe } from "../recipe/index.ts";
import { COLOUR_C } from "../sear/index.ts";
import { exactly, type Need, type Task, type TaskMinutes, taskMinutes } from "../tasks/index.ts";
import { countByType } from "./countByType.ts";
import { beforeSear, lagAfterMarinade } from "./marinadeTask.ts";
import { joinsLate } from "./panLines.ts";
import { type BraiseGroup, isSecondSlower } from "./planBraise.ts";
import { type PlanColour, searTaken } from "./planColour.ts";
import { secondLine } from "./secondMain.ts";
import { COLOURING } from "./standing.ts";
import { after, cooks, type Go, type Namer, named, shareOf, waits } from "./taskNamer.ts";
import type { WorkedOut } from "./WorkedOut.ts";

/** One cook's minutes to empty and wash the pans of a filling before they are filled again. General practice. */
export const EMPTIED_AND_WASHED_MIN = 20;

/** What one filling of the pans asks, up to the lift. */
export interface GoTasks extends Go {
	readonly made: Namer;
	/** Share of the dish that is in it. */
	readonly share: number;
	readonly tasks: readonly Task[];
	readonly lift: Task;
}

/**
 * One filling of the pans, from the searing pan to the lift.
 *
 * @param emptied after what the pans of the filling before it are empty; none before the first
 */
export function goTasks(out: WorkedOut, of: Go, emptied: string | null): GoTasks {
	const { recipe, order, work, pans } = out;
	const made = named(order.id, of);
	const share = shareInGo(pans, of.go);
	const colour = colourTask(out, made, share);
	const build = made("build", "work", {
		minutes: shareOf(taskMinutes(work.places.build, order.hands), share),
		after: [
			recipe.sear
				? after(made.id("sear"))
				: after(named(order.id).id(beforeSear(recipe)), lagAfterMarinade(recipe, true)),
		],
		needs: [...cooks(order.hands), { kind: "burners", count: 1 }],
	});
	const panUp = made("panUp", "work", {
		minutes: shareOf(taskMinutes(work.places.panUp, order.hands), share),
		after: [
			after(build.id),
			...(emptied === null ? [] : [after(emptied, { least_min: EMPTIED_AND_WASHED_MIN })]),
		],
		needs: [...cooks(order.hands), ...pansNeeded(pans, out.kitchen)],
	});
	const braising = braiseTasks(out, made, of);
	const late = [...secondTasks(out, made, share), ...lateTasks(out, made, share)];
	const lift = made("rest", "lift", {
		idPart: "lift",
		after: [
			...braising.map(({ id }) => after(id)),
			...late.map(({ id, figures: { before_min } }) =>
				after(id, { least_min: Number(before_min), most_min: Number(before_min) }),
			),
		],
	});
	return { ...of, made, share, tasks: [...colour, build, panUp, ...braising, ...late, lift], lift };
}

/** Share of a dish that is in one filling of its pans: 1 where there is one. */
export function shareInGo({ pans, goes }: PanChoice, go: number): number {
	if (goes === 1) return 1;
	const pieces = (some: typeof pans) => some.reduce((sum, pan) => sum + pan.pieces, 0);
	return pieces(pans.filter((pan) => pan.go === go)) / pieces(pans);
}

function colourTask(
	{ recipe, order, colour, work, kitchen, standing }: WorkedOut,
	made: Namer,
	share: number,
): Task[] {
	if (!recipe.sear || !colour) return [];
	const before = after(named(order.id).id(beforeSear(recipe)), lagAfterMarinade(recipe, true));
	const minutes: TaskMinutes = {
		handsOn: exactly(work.colour_min),
		waiting: exactly(0),
		planned: work.colour_min,
	};
	return [
		made("sear", "colour", {
			minutes: shareOf(minutes, share),
			after: [before],
			needs: [...cooks(order.hands), ...colourNeeds(colour, kitchen.equipment, standing.has(COLOURING))],
		}),
	];
}

function colourNeeds(colour: PlanColour, equipment: Equipment, stays: boolean): Need[] {
	const { way, oven } = colour;
	if (way === "oven" && oven) {
		const trays = Math.min(oven.trays, oven.atOnce);
		const minutes = exactly(oven.minutes);
		return [
			{ kind: "tray", typeId: oven.tray.id, count: trays },
			{
				kind: "rungs",
				ovenId: oven.oven.id,
				pans: [{ typeId: oven.tray.id, count: trays }],
				rungs: trays,
				set_C: COLOUR_C,
				temperature_C: { low: COLOUR_C, high: oven.oven.max_C },
				minutesAt: [{ set_C: COLOUR_C, minutes }],
				...(stays ? { stays } : {}),
			},
		];
	}
	const pan = searTaken(colour);
	if (!pan) return [];
	const { vessel, burners } = pan;
	return [...burnersFor(vessel, burners), vesselNeeded(vessel.id, burners, equipment)];
}

/** What heats itself takes no burner. */
export function burnersFor(vessel: Vessel, count: number): Need[] {
	return heatsItself(vessel) ? [] : [{ kind: "burners", count }];
}

export function pansNeeded(pans: PanChoice, { equipment }: Pick<Kitchen, "equipment">): Need[] {
	return countByType(pans).map(({ type, count }) => vesselNeeded(type.id, count, equipment));
}

/** So many of a kind of pan, pot or cooker, wherever the kitchen counts it. */
export function vesselNeeded(typeId: string, count: number, { pans, searPans }: Equipment): Need {
	const isOf = (kinds: readonly { readonly id: string }[]) => kinds.some(({ id }) => id === typeId);
	return { kind: isOf(pans) ? "pan" : isOf(searPans) ? "searPan" : "pot", typeId, count };
}

/** Vessels over heat: themselves, and burners for those that have none of their own. */
export function heatedVessels(
	vessels: readonly { readonly typeId: string; readonly count: number }[],
	equipment: Equipment,
): Need[] {
	return vessels.flatMap(({ typeId, count }): Need[] => [
		vesselNeeded(typeId, count, equipment),
		...(ownHeatOf(typeId, equipment) ? [] : [{ kind: "burners" as const, count }]),
	]);
}

function braiseTasks(out: WorkedOut, made: Namer, { go }: Go): Task[] {
	const { braise, braise_min, allowed_min, recipe, order } = out;
	const before = [after(made.id("panUp"))];
	if (!braise) {
		return [made("braise", "oven", { minutes: waits(allowed_min, braise_min), after: before })];
	}
	const groups = braise.groups.filter((group) => group.go === go);
	return groups.map((group) => ({
		...made("braise", "oven", {
			figures: { set_C: group.set_C, pans: group.pans.length, group: group.id },
			minutes: waits(group.allowed_min, group.tender_min),
			after: before,
			needs: heatNeeded(group, recipe, out),
		}),
		// The group has the number of its filling in its own name.
		id: named(order.id).id(`braise/${group.id}`),
	}));
}

function heatNeeded(group: BraiseGroup, recipe: Recipe, { kitchen, standing, minutesOf }: WorkedOut): Need[] {
	const pans = [{ typeId: group.type.id, count: group.pans.length }];
	if (!isInOven(recipe)) return heatedVessels(pans, kitchen.equipment);
	const { low, high } = recipe.braise.oven_C;
	return [
		{ kind: "pan", ...(pans[0] as { typeId: string; count: number }) },
		{
			kind: "rungs",
			ovenId: group.oven?.id ?? null,
			pans,
			rungs: group.rungs,
			set_C: group.set_C,
			temperature_C: { low, high },
			minutesAt: minutesOf(group.id),
			...(standing.get(group.id)?.oven ? { stays: true } : {}),
		},
	];
}

/** The second main joins so long before the lift that both are tender then; with the first where it is the slower. */
function secondTasks({ lines, braise }: WorkedOut, made: Namer, share: number): Task[] {
	const own = secondLine(lines);
	if (!own || !braise || isSecondSlower(braise.slowest)) return [];
	return [
		made("braise", "late", {
			idPart: "second",
			figures: {
				ingredient: own.ingredient.name,
				grams: (own.amount_g ?? 0) * share,
				before_min: braise.slowest.secondAllowed_min,
			},
		}),
	];
}

/** What joins the pan before the end: so many minutes before the lift, neither sooner nor later. */
function lateTasks({ lines, recipe }: WorkedOut, made: Namer, share: number): Task[] {
	return lines.filter(joinsLate).map(({ ingredient, line, amount_g }) =>
		made("braise", "late", {
			idPart: `late/${ingredient.id}/${recipe.lines.indexOf(line)}`,
			figures: {
				ingredient: ingredient.name,
				grams: (amount_g ?? 0) * share,
				before_min: line.late_min ?? 0,
			},
		}),
	);
}
