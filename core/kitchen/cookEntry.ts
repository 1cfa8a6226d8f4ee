import { type Static, Type } from "@sinclair/typebox";
import { Name, oneOf, refuse, TimeOfDay } from "../check/index.ts";
import type { TaskPlace } from "../tasks/index.ts";
import { workingDay } from "./workingDay.ts";

/** What somebody can be asked to do, by the places of the table; none: everything. */
export const KINDS_OF_WORK: Readonly<
	Record<WorkKey, { readonly words: string; readonly does: readonly TaskPlace[] }>
> = {
	everything: { words: "everything", does: [] },
	preparation: {
		words: "preparation: cutting, marinating, filling pans",
		does: ["buy", "trim", "marinate", "build", "panUp", "make"],
	},
	stove: {
		words: "stove and ovens: searing, sauces, pans in and out",
		does: ["sear", "build", "panUp", "braise", "rest", "chill", "reheat", "sauce", "hold", "make"],
	},
	plates: { words: "plates and boxes", does: ["plate", "hold", "carry"] },
};
export const WORK_KEYS = ["everything", "preparation", "stove", "plates"] as const;
export type WorkKey = (typeof WORK_KEYS)[number];

/** The kind of work that is kept as some places: the one that has all of them, from its first on. */
export function workOf(does: readonly TaskPlace[]): WorkKey {
	const isOf = (key: WorkKey) => {
		const known = KINDS_OF_WORK[key].does;
		return does[0] === known[0] && does.every((place) => known.includes(place));
	};
	return WORK_KEYS.find(isOf) ?? "everything";
}

/** All that somebody does who was given a kind of work when it had fewer places. */
export function doesNow(does: readonly TaskPlace[]): readonly TaskPlace[] {
	return KINDS_OF_WORK[workOf(does)].does;
}

/** Somebody who works here, as they are typed. */
export const CookEntry = Type.Object({
	name: Name,
	opens: TimeOfDay,
	closes: TimeOfDay,
	work: oneOf(WORK_KEYS),
});
export type CookEntry = Static<typeof CookEntry>;

/** The same as it is kept. @throws {Refusal} when the day would end as it begins */
export function cookFields({ name, opens, closes, work }: CookEntry) {
	const hours = workingDay(opens, closes);
	if (!hours) throw refuse("closes", `${closes} was given; another time than ${opens} is allowed`);
	return { name, ...hours, does: [...KINDS_OF_WORK[work].does] };
}
