import type { Day, IssuedDay } from "#core/day";
import type { WorkedDate } from "../ui/server/worked.server.ts";
import { dishesIn, tagsOf } from "./day.view.ts";
import { tagsIssued } from "./issuedTags.ts";

/**
 * A day with all that it was made from, as it is frozen.
 *
 * @param at when it is issued, ms since 1970 UTC
 */
export function issuedDay(date: WorkedDate, at: number): IssuedDay {
	const { day, sittings } = date;
	const given = date.given();
	const tags = tagsOf(dishesIn([date]), new Map(tagsIssued(date)));
	const nameOf = (id: string) => given.kitchen.equipment.pans.find((pan) => pan.id === id)?.name ?? id;
	const { from, to, equipment, tasks, late_min, waiting_rung_min, bound_waiting_rung_min, unmet } = day;
	const placed: Day = {
		from,
		to,
		equipment,
		tasks,
		late_min,
		waiting_rung_min,
		bound_waiting_rung_min,
		unmet,
	};
	return {
		made: date.made(at),
		day: placed,
		changes: [...(given.changes ?? [])],
		sittings: sittings.map(({ sitting, rows }) => ({
			id: sitting.id,
			name: sitting.name,
			serviceAt: sitting.serviceAt,
			covers: sitting.covers,
			dishes: rows.flatMap(({ dish, plan }) => {
				if (!plan) return [];
				const filled = tasks.find(({ for: id, place }) => id === dish.id && place === "panUp");
				const pans = (filled?.uses ?? []).filter(({ equipment: used }) =>
					equipment.some(({ id, kind }) => id === used && kind === "pan"),
				);
				return [
					{
						id: dish.id,
						name: dish.recipe.name,
						tag: tags.get(dish.id) ?? "",
						recipe: dish.recipeId,
						number: dish.number,
						portions: plan.chain.portions,
						pans: pans.map(({ equipment: used, amount }) => ({
							typeId: used,
							name: nameOf(used),
							count: amount,
						})),
					},
				];
			}),
		})),
	};
}
