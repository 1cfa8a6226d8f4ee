import type { Kitchen } from "../kitchen/index.ts";
import { minutesBefore } from "../time/index.ts";
import { type Cause, causesOf } from "./causesOf.ts";
import type { Day, DayGiven, DayTask } from "./Day.ts";
import { BraiseDegrees, type DayChange } from "./DayChange.ts";
import { BURNERS } from "./equipmentOf.ts";

/** More of what nobody lends for a day: a rung, a burner, room in a fridge. */
export interface MoreRoom {
	readonly kind: "room";
	readonly equipment: string;
	readonly more: number;
}

/** What may free a day. */
export type Remedy = DayChange | MoreRoom;

/** Other temperatures that are tried for a braise, °C away from its card's. */
const OTHER_HEATS_C = [10, 20, -10, -20] as const;

/** What may be tried to free a day of its causes, each once. */
export function remediesFor(
	day: Day,
	{ kitchen, sittings }: DayGiven,
	ahead: ReadonlyMap<string, boolean>,
): Remedy[] {
	const causes = causesOf(day);
	const open = new Set(day.tasks.filter(({ fixed }) => !fixed).map((task) => task.for));
	const plans = sittings
		.flatMap((sitting) => sitting.dishes)
		.map(({ dish }) => dish)
		.filter(({ order }) => open.has(order.id));
	const dishes = plans.map(({ order, recipe }) => ({ id: order.id, oven_C: recipe.braise.oven_C }));
	const wantsOven = causes.some(
		({ unmet: { because } }) => because !== "tooFew" && because !== "nobody" && because !== "noPan",
	);
	const found: Remedy[] = [
		...causes.flatMap((cause) => thingsFor(cause, day, kitchen)),
		...dishes.map(({ id }): Remedy => ({ kind: "ahead", for: id, ahead: !(ahead.get(id) ?? false) })),
		...(wantsOven
			? [
					...dishes.flatMap(({ id, oven_C }) => heatsFor(id, oven_C)),
					...kitchen.equipment.ovens.map(({ id }): Remedy => ({ kind: "room", equipment: id, more: 1 })),
				]
			: []),
	];
	return [...new Map(found.map((one) => [JSON.stringify(one), one])).values()];
}

function heatsFor(dish: string, { low, high }: { readonly low: number; readonly high: number }): Remedy[] {
	const { minimum = low, maximum = high } = BraiseDegrees;
	return OTHER_HEATS_C.map((by) => (by > 0 ? high + by : low + by))
		.filter((set_C) => set_C >= minimum && set_C <= maximum)
		.map((set_C) => ({ kind: "heat", for: dish, set_C }));
}

/** So much sooner come helpers who are fewer than the tasks ask for at once, minutes. */
const SOONER_MIN = 60;

/** More of the very thing that is missing. */
function thingsFor({ unmet, tasks }: Cause, day: Day, kitchen: Kitchen): Remedy[] {
	if (unmet.because === "nobody") {
		const { from, to } = spanOf(tasks, day.tasks, unmet);
		const all = Math.ceil(unmet.short);
		// Fewer are enough where they come sooner and do one thing after the other.
		const sooner = minutesBefore(from, SOONER_MIN);
		const fewer = [...new Set([1, Math.ceil(all / 2)])].filter((count) => count < all);
		return [
			{ kind: "helped", count: all, from, to },
			...fewer.map((count): Remedy => ({ kind: "helped", count, from: sooner, to })),
		];
	}
	if (unmet.because === "noPan") {
		const { typeId, count } = unmet.pans;
		return [{ kind: "borrowed", equipment: typeId, count }];
	}
	if (unmet.because === "noOven") {
		return kitchen.equipment.ovens.map(({ id }) => ({ kind: "room", equipment: id, more: unmet.rungs }));
	}
	if (unmet.because !== "tooFew") return [];
	const { pans, pots, searPans, trays, cookers = [] } = kitchen.equipment;
	const more = Math.ceil(unmet.short);
	const isLent = [...pans, ...pots, ...searPans, ...trays, ...cookers].some(
		({ id }) => id === unmet.equipment,
	);
	return [
		isLent
			? { kind: "borrowed", equipment: unmet.equipment, count: more }
			: { kind: "room", equipment: unmet.equipment, more },
	];
}

/** From the first to the last of some tasks. */
function spanOf(
	ids: readonly string[],
	tasks: readonly DayTask[],
	{ from, to }: { readonly from: number; readonly to: number },
): { from: number; to: number } {
	const some = tasks.filter(({ id }) => ids.includes(id));
	return {
		from: Math.min(from, ...some.map(({ start }) => start)),
		to: Math.max(to, ...some.map(({ end }) => end)),
	};
}

/** A day's kitchen with more room in it. */
export function withRoom(given: DayGiven, remedies: readonly Remedy[]): DayGiven {
	const rooms = remedies.filter((one): one is MoreRoom => one.kind === "room");
	if (rooms.length === 0) return given;
	const more = (id: string) => rooms.reduce((sum, room) => sum + (room.equipment === id ? room.more : 0), 0);
	const { equipment } = given.kitchen;
	return {
		...given,
		places: given.places.map((place) => ({ ...place, capacity: place.capacity + more(place.id) })),
		kitchen: {
			...given.kitchen,
			equipment: {
				...equipment,
				burners: equipment.burners + more(BURNERS),
				ovens: equipment.ovens.map((oven) => ({ ...oven, rungs: oven.rungs + more(oven.id) })),
			},
		},
	};
}

/** Those of some remedies that can be told of a day. */
export function changesIn(remedies: readonly Remedy[]): DayChange[] {
	return remedies.filter((one): one is DayChange => one.kind !== "room");
}
