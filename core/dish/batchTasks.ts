import type { Kitchen, Vessel } from "../kitchen/index.ts";
import { wholeUp } from "../quantity/index.ts";
import type { Preparation, RecipeStep } from "../recipe/index.ts";
import { AT_ANY_TIME, exactly, type Need, type Task, taskMinutes, workMinutes } from "../tasks/index.ts";
import { after, cooks } from "./taskNamer.ts";

/** A pot of the kitchen, and how often it is filled. */
export interface PotTaken {
	readonly vessel: Vessel;
	readonly goes: number;
}

/** What one batch of something made in the house is, for its tasks. */
export interface BatchWanted {
	readonly id: string;
	readonly preparation: Preparation;
	readonly grams: number;
	readonly factor: number;
	readonly hands: number;
	/** The pot it is cooked in; null where it is in none. */
	readonly pot: PotTaken | null;
	/** Whether that has heat of its own. */
	readonly ownHeat: boolean;
}

/** Steps that are done in one go. */
interface Stage {
	readonly part: "soak" | "make" | "finish";
	readonly steps: readonly RecipeStep[];
}

/** What is soaked, what is made, and what is done at the very last; stages without a step are none. */
function stagesOf({ steps }: Preparation): Stage[] {
	const stages: Stage[] = [
		{ part: "soak", steps: steps.filter(({ when }) => when === "dayBefore") },
		{ part: "make", steps: steps.filter(({ when }) => when === undefined) },
		{ part: "finish", steps: steps.filter(({ when }) => when === "last") },
	];
	const worked = stages.filter(({ steps: some }) => some.length > 0);
	return worked.length > 0 ? worked : [{ part: "make", steps: [] }];
}

/** The tasks of a batch in their order: the last of them is when it is ready. */
export function batchTasks(batch: BatchWanted, { equipment }: Kitchen): Task[] {
	const tasks: Task[] = [];
	for (const { part, steps } of stagesOf(batch.preparation)) {
		const before = tasks.at(-1);
		const { id, hands, factor, grams, preparation } = batch;
		const minutes = taskMinutes(workMinutes(steps, { factor }, hands), hands);
		tasks.push({
			id: `${id}/${part}`,
			for: id,
			place: "make",
			part,
			figures: { grams, name: preparation.name },
			minutes,
			after: before ? [after(before.id)] : [],
			needs: [
				...cooks(1),
				...hobNeeds(batch, steps),
				...ovenNeeds(batch, steps, minutes.planned, equipment.trays[0]?.id),
			],
			window: { ...AT_ANY_TIME, withinHours: true, dayBefore: part === "soak" },
		});
	}
	return tasks;
}

/** Burners and the pot, where something of it is on the hob; a card that says nothing of heat takes them throughout. */
function hobNeeds({ preparation, pot, ownHeat }: BatchWanted, steps: readonly RecipeStep[]): Need[] {
	const says = preparation.steps.some(({ heat }) => heat !== undefined);
	if (says && !steps.some(({ heat }) => heat === "burner")) return [];
	return [
		...(ownHeat ? [] : [{ kind: "burners" as const, count: 1 }]),
		...(pot ? [{ kind: "pot" as const, typeId: pot.vessel.id, count: 1 }] : []),
	];
}

/** A tray takes so much, kg. General practice. */
const TRAY_KG = 3;
/** Where a step in the oven says no temperature, °C; and how far from it will do. */
const USUAL_C = 180;
const NEAR_C = 10;

/** Trays on rungs for what is done in the oven. */
function ovenNeeds(
	{ grams }: BatchWanted,
	steps: readonly RecipeStep[],
	planned_min: number,
	trayId: string | undefined,
): Need[] {
	const inOven = steps.filter(({ heat }) => heat === "oven");
	if (inOven.length === 0 || trayId === undefined) return [];
	const count = Math.max(1, wholeUp(grams / 1000 / TRAY_KG));
	const set_C = inOven.find(({ temperature_C }) => temperature_C !== undefined)?.temperature_C ?? USUAL_C;
	return [
		{ kind: "tray", typeId: trayId, count },
		{
			kind: "rungs",
			ovenId: null,
			pans: [{ typeId: trayId, count }],
			rungs: count,
			set_C,
			temperature_C: { low: set_C - NEAR_C, high: set_C + NEAR_C },
			minutesAt: [{ set_C, minutes: exactly(planned_min) }],
		},
	];
}
