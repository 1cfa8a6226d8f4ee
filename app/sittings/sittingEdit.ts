import isEqual from "fast-deep-equal";
import { newDish, type SittingDish, sharedOut } from "#core/sitting";
import type { Sitting, StoredEvent } from "#db";
import type { SittingRead } from "./readSittingForm.ts";

/** What was typed on the page, and what its button asks for. */
export interface SittingAsked extends Pick<SittingRead, "intent" | "subject"> {
	readonly details: Partial<SittingRead["details"]>;
	readonly shares: ReadonlyMap<string, Partial<Pick<SittingDish, "uptake" | "share" | "spare">>>;
	/** The dish to add: its own id, so that what is sent twice is added once, and its recipe version. */
	readonly added: { readonly id: string; readonly recipeVersionId: string } | null;
	/** The version to bring a dish to. */
	readonly renewed: string | null;
	/** A dish that was taken off, as it was, and where it stood. */
	readonly putBack: Removed | null;
}

/** A dish that was taken off. */
export interface Removed {
	readonly dish: SittingDish;
	readonly position: number;
	readonly who: string;
	readonly at: number;
}

/** The sitting as the page asks for it. */
export function editedSitting(now: Sitting, asked: SittingAsked): Sitting {
	const { intent, subject, details, shares, added, renewed, putBack } = asked;
	const dishes = now.dishes
		.filter(({ id }) => !(intent === "remove" && id === subject))
		.map((dish) => ({ ...dish, ...shares.get(dish.id) }))
		.map((dish) => (renewed && dish.id === subject ? { ...dish, recipeVersionId: renewed } : dish));
	const isOn = (id: string) => dishes.some((dish) => dish.id === id);
	if (added && !isOn(added.id)) dishes.push(newDish(added.id, added.recipeVersionId, 1, 0.05));
	if (putBack && !isOn(putBack.dish.id)) dishes.splice(putBack.position, 0, putBack.dish);
	return {
		...now,
		...details,
		...(intent === "callOff" ? { calledOff: !now.calledOff } : {}),
		dishes: sharedOut(details.covers ?? now.covers, dishes),
	};
}

/**
 * What was asked, put onto what has changed since the page was made: a field that the page only
 * showed stays as it is now, one that was typed is kept.
 *
 * @returns null where both have changed the same field, each to something else: that is for a person
 */
export function ontoChanged(asked: SittingAsked, events: readonly StoredEvent[]): SittingAsked | null {
	const since = changedSince(events);
	// The button turns it round: pressed again, it would undo what was just done.
	if (asked.intent === "callOff" && since.has("calledOff")) return null;
	const details: Record<string, unknown> = { ...asked.details };
	const shares = new Map(
		[...asked.shares].map(([id, share]) => [id, { ...share } as Record<string, unknown>]),
	);
	for (const [field, { before, now }] of since) {
		const [dishes, id = "", name = ""] = field.split(".");
		const typed = dishes === "dishes" ? shares.get(id) : details;
		const own = dishes === "dishes" ? name : field;
		if (!typed || !(own in typed) || isEqual(typed[own], now)) continue;
		if (!isEqual(typed[own], before)) return null;
		delete typed[own];
	}
	return { ...asked, details, shares };
}

function changedSince(events: readonly StoredEvent[]) {
	const since = new Map<string, { readonly before: unknown; readonly now: unknown }>();
	for (const { field, from, to } of events.flatMap(({ changes }) => changes)) {
		since.set(field, { before: since.has(field) ? since.get(field)?.before : from, now: to });
	}
	return since;
}

/** Dishes that these events took off and that are not on the sitting, the latest first. */
export function removedDishes(
	{ dishes }: Pick<Sitting, "dishes">,
	events: readonly StoredEvent[],
): Removed[] {
	const on = new Set(dishes.map(({ id }) => id));
	const removed = new Map<string, Removed>();
	for (const { changes, who, at } of events) {
		const gone = changes.filter(({ field, to }) => field.endsWith(".recipeVersionId") && to === null);
		for (const [, id = ""] of gone.map(({ field }) => field.split("."))) {
			if (on.has(id)) continue;
			const { position = 0, ...dish } = Object.fromEntries(
				changes.flatMap(({ field, from }) => {
					const [dishes_, of, name = ""] = field.split(".");
					return dishes_ === "dishes" && of === id ? [[name, from]] : [];
				}),
			);
			removed.set(id, {
				dish: { ...EMPTY, ...dish, id } as SittingDish,
				position: Number(position),
				who,
				at,
			});
		}
	}
	return [...removed.values()].reverse();
}

/** What a record leaves out is what it always was. */
const EMPTY = newDish("", "", 1, 0);
