import type { Static } from "@sinclair/typebox";
import { Refusal, refuse } from "#core/check";
import { parseWeight, type UnitSystem } from "#core/quantity";
import { readUptake, sharedOut, TrialEntry } from "#core/sitting";
import { fromWallClock } from "#core/time";
import type { DishWithRecipe, Sitting } from "#db";
import { type FormRead, readForm, typedIn, wrongOf } from "./form.ts";
import { readChill, readCook, readLine, readSwaps, readUses, readWishes } from "./settled.ts";

/** The sitting and the dish with the control's figures in. */
export interface TableTrial {
	readonly sitting: Pick<Sitting, "serviceAt" | "covers">;
	readonly dish: Pick<
		DishWithRecipe,
		| "uptake"
		| "share"
		| "spare"
		| "basis"
		| "onHand_g"
		| "panCount"
		| "panTypeId"
		| "panWishes"
		| "line"
		| "colour"
		| "ahead"
		| "chill"
		| "cook"
		| "swaps"
		| "byProducts"
	>;
}

/**
 * Reads the control from a form or an address.
 *
 * @param units a bare number for the weight on hand is kg, or lb where the reader has US units
 */
export function readTrial(
	form: FormData | URLSearchParams,
	timeZone: string,
	units: UnitSystem,
): FormRead<TableTrial> {
	const read = readForm(TrialEntry, form);
	if ("wrong" in read) return read;
	try {
		return { value: trialOf(read.value, timeZone, units) };
	} catch (error) {
		if (error instanceof Refusal) return { typed: typedIn(form), wrong: wrongOf(error) };
		throw error;
	}
}

/** Whether an address carries a trial at all. */
export function hasTrial(parameters: URLSearchParams): boolean {
	return parameters.has("basis");
}

function trialOf(typed: Static<typeof TrialEntry>, timeZone: string, units: UnitSystem): TableTrial {
	const serviceAt = fromWallClock(typed.date, typed.time, timeZone);
	if (serviceAt === undefined) {
		throw refuse("time", `${typed.date} ${typed.time} was given; a day and a time such as 19:30 are allowed`);
	}
	return {
		sitting: { covers: typed.covers, serviceAt },
		dish: {
			...readUptake(typed.uptake, typed.covers),
			spare: typed.spare / 100,
			basis: typed.basis,
			onHand_g:
				typed.basis === "onHand" ? Math.round(parseWeight(typed.onHand ?? "", "onHand", units)) : null,
			panCount: typed.basis === "pans" ? pansGiven(typed.pans) : null,
			panTypeId: typed.panType || null,
			panWishes: readWishes(typed.wishes ?? ""),
			line: readLine(typed.line ?? ""),
			colour: typed.colour || null,
			ahead: typed.ahead ? typed.ahead === "yes" : null,
			chill: readChill(typed.chill ?? ""),
			cook: readCook(typed.cook ?? ""),
			swaps: readSwaps(typed.swaps ?? ""),
			byProducts: readUses(typed.byProducts ?? ""),
		},
	};
}

function pansGiven(pans: number | undefined): number {
	if (pans === undefined) throw refuse("pans", "is missing; a whole number of pans from 1 is needed");
	return pans;
}

/** A sitting with a trial of one of its dishes: tried and taken alike. */
export function withTrial<S extends Sitting>(now: S, dishId: string, { sitting, dish }: TableTrial): S {
	const dishes = now.dishes.map((other) => (other.id === dishId ? { ...other, ...dish } : other));
	return { ...now, ...sitting, dishes: sharedOut(sitting.covers, dishes) };
}
