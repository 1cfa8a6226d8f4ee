import { type Static, Type } from "@sinclair/typebox";
import { Count, Covers, oneOf, Refusal, refuse } from "#core/check";
import { parseWeight, type UnitSystem } from "#core/quantity";
import { fromWallClock } from "#core/time";
import type { DishWithRecipe, Sitting } from "#db";
import { type FormRead, readForm, typedIn, wrongOf } from "../ui/forms/form.ts";
import { readLine, readWishes } from "../ui/forms/settled.ts";

/** What the long table's own control can change, as it is typed. */
const TrialForm = Type.Object({
	covers: Covers,
	uptake: Type.Number({ exclusiveMinimum: 0, maximum: 100, allowed: "a percentage above 0 and up to 100" }),
	spare: Type.Number({ minimum: 0, maximum: 100, allowed: "a percentage from 0 to 100" }),
	date: Type.String({ allowed: "a day such as 2026-11-28" }),
	time: Type.String({ allowed: "a time such as 19:30" }),
	basis: oneOf(["covers", "onHand", "pans"] as const),
	onHand: Type.Optional(Type.String({ maxLength: 40, allowed: "a weight such as 17.4 kg" })),
	pans: Type.Optional(Count),
	panType: Type.Optional(Type.String({ maxLength: 40 })),
	wishes: Type.Optional(Type.String({ maxLength: 2000 })),
	line: Type.Optional(Type.String({ maxLength: 40 })),
	colour: Type.Optional(oneOf(["", "pan", "oven"] as const)),
});

/** The sitting and the dish with the control's figures in. */
export interface Trial {
	readonly sitting: Pick<Sitting, "serviceAt" | "covers">;
	readonly dish: Pick<
		DishWithRecipe,
		"uptake" | "spare" | "basis" | "onHand_g" | "panCount" | "panTypeId" | "panWishes" | "line" | "colour"
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
): FormRead<Trial> {
	const read = readForm(TrialForm, form);
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

function trialOf(typed: Static<typeof TrialForm>, timeZone: string, units: UnitSystem): Trial {
	const serviceAt = fromWallClock(typed.date, typed.time, timeZone);
	if (serviceAt === undefined) {
		throw refuse("time", `${typed.date} ${typed.time} was given; a day and a time such as 19:30 are allowed`);
	}
	return {
		sitting: { covers: typed.covers, serviceAt },
		dish: {
			uptake: typed.uptake / 100,
			spare: typed.spare / 100,
			basis: typed.basis,
			onHand_g:
				typed.basis === "onHand" ? Math.round(parseWeight(typed.onHand ?? "", "onHand", units)) : null,
			panCount: typed.basis === "pans" ? pansGiven(typed.pans) : null,
			panTypeId: typed.panType || null,
			panWishes: readWishes(typed.wishes ?? ""),
			line: readLine(typed.line ?? ""),
			colour: typed.colour || null,
		},
	};
}

function pansGiven(pans: number | undefined): number {
	if (pans === undefined) throw refuse("pans", "is missing; a whole number of pans from 1 is needed");
	return pans;
}
