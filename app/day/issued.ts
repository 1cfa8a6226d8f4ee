import type { IssuedDay } from "#core/day";
import type { PlacedDay } from "../ui/server/placedDay.server.ts";
import { tagsOf } from "./day.view.ts";

/** The letters that the dishes of a day were issued with. */
export function issuedTags({ issue }: Pick<PlacedDay, "issue">): ReadonlyMap<string, string> {
	const dishes = issue?.doc.sittings.flatMap((sitting) => sitting.dishes) ?? [];
	return new Map(dishes.map(({ id, tag }) => [id, tag]));
}

/** A day with all that it was made from, as it is frozen. */
export function issuedDay(placed: PlacedDay): IssuedDay {
	const { day, told, planned, given } = placed;
	const tags = tagsOf(day.tasks, issuedTags(placed));
	const nameOf = (id: string) => given.kitchen.equipment.pans.find((pan) => pan.id === id)?.name ?? id;
	return {
		day,
		changes: told.map(({ change }) => change),
		sittings: planned.map(({ sitting, rows }) => ({
			id: sitting.id,
			name: sitting.name,
			serviceAt: sitting.serviceAt,
			covers: sitting.covers,
			dishes: rows.flatMap(({ dish, plan }) => {
				if (!plan) return [];
				const filled = day.tasks.find(({ for: id, place }) => id === dish.id && place === "panUp");
				const pans = (filled?.uses ?? []).filter(({ equipment }) =>
					day.equipment.some(({ id, kind }) => id === equipment && kind === "pan"),
				);
				return [
					{
						id: dish.id,
						name: dish.recipe.name,
						tag: tags.get(dish.id) ?? "",
						recipe: dish.recipeId,
						number: dish.number,
						portions: plan.chain.portions,
						pans: pans.map(({ equipment, amount }) => ({
							typeId: equipment,
							name: nameOf(equipment),
							count: amount,
						})),
					},
				];
			}),
		})),
	};
}
