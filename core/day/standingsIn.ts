import { CHILLING, type Standing, type Stands, standsAs } from "../dish/index.ts";
import type { Oven } from "../ovens/index.ts";
import type { Task } from "../tasks/index.ts";
import { MINUTE_MS } from "../time/index.ts";
import { besideIn, type Chilled, chillsIn } from "./chillsIn.ts";
import type { Day, DayGiven, DayTask, Use } from "./Day.ts";
import type { DishWork, SittingWork } from "./tasksOf.ts";

/** Where everything of each dish stands in a placed day that shares an oven's heat or a chiller's cold, by the id of the dish. */
export function standingsIn(
	day: Pick<Day, "tasks">,
	work: readonly SittingWork[],
	{ kitchen: { equipment }, held }: DayGiven,
): ReadonlyMap<string, Standing> {
	const ovens = new Map(equipment.ovens.map((oven) => [oven.id, oven]));
	const placed = new Map(day.tasks.map((task) => [task.id, task]));
	const inOven = inOvensOf(day, ovens);
	const standsOf = (task: Task, usual: Standing): [string, Stands][] => {
		const key = standsAs(task);
		const stood = placed.get(task.id);
		if (key === null || !stood || stood.inOven.length === 0) return [];
		const use = stood.uses.findLast(({ equipment: id }) => ovens.has(id));
		const oven = use && ovens.get(use.equipment);
		if (use?.set_C === undefined || !oven) {
			const asked = usual.get(key);
			return asked ? [[key, { ...asked, oven: null, rungs: 0 }]] : [];
		}
		const stands = {
			oven,
			set_C: use.set_C,
			rungs: use.amount,
			inside: insideWith(stood, use, inOven),
			given_min: (stood.end - stood.start) / MINUTE_MS,
		};
		return [[key, task.part === "reheat" ? { ...stands, pans: pansOf(stood, equipment.pans) } : stands]];
	};
	const dishes = work.flatMap((sitting) => sitting.dishes);
	const figures = new Map(dishes.map((one) => [one.needs.dish.order.id, one.figures]));
	const chills = chillsIn(day, figures, held);
	return new Map(
		dishes.map((one): [string, Standing] => {
			const { dish, usual } = one.needs;
			const stands = one.tasks.flatMap((task) => standsOf(task, usual));
			return [dish.order.id, new Map([...stands, ...chilledIn(one, placed, chills)])];
		}),
	);
}

/** Where a dish is cooled, with what stands beside it; nothing where it has its cold to itself. */
function chilledIn(
	{ needs: { dish }, figures: { chill, work }, tasks }: DishWork,
	placed: ReadonlyMap<string, DayTask>,
	chills: readonly Chilled[],
): [string, Stands][] {
	const beside = besideIn(chills, dish.order.id);
	const task = tasks.find(({ part }) => part === "chill");
	const stood = task && placed.get(task.id);
	if (!chill || !stood || beside.length === 0) return [];
	const byHand_min = work.chill_min - chill.planned_min;
	const given_min = (stood.end - stood.start) / MINUTE_MS - byHand_min;
	return [[CHILLING, { oven: null, set_C: 0, rungs: 0, inside: 0, beside, given_min }]];
}

interface InOven extends Use {
	readonly pans: number;
}

function inOvensOf({ tasks }: Pick<Day, "tasks">, ovens: ReadonlyMap<string, Oven>): InOven[] {
	return tasks.flatMap(({ uses, inOven }) =>
		uses
			.filter(({ equipment }) => ovens.has(equipment))
			.map((use) => ({ ...use, pans: inOven.reduce((sum, { count }) => sum + count, 0) })),
	);
}

/** The most pans that are in an oven at once while some of them are: they share its power. */
function insideWith({ inOven }: DayTask, use: Use, all: readonly InOven[]): number {
	const meet = all.filter(
		({ equipment, from, to }) => equipment === use.equipment && from < use.to && to > use.from,
	);
	const at = (moment: number) =>
		meet.reduce((sum, { from, to, pans }) => (from <= moment && to > moment ? sum + pans : sum), 0);
	const own = inOven.reduce((sum, { count }) => sum + count, 0);
	return Math.max(own, ...meet.map(({ from }) => at(Math.max(from, use.from))));
}

function pansOf<Type extends { readonly id: string }>({ inOven }: DayTask, types: readonly Type[]) {
	return inOven.flatMap(({ typeId, count }) => {
		const type = types.find(({ id }) => id === typeId);
		return type ? [{ type, count }] : [];
	});
}
