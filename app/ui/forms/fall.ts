import { groupBy } from "es-toolkit";
import { ALLERGENS, type Fall } from "#core/recipe";
import type { AllergensFall, Confirmed, Lowered } from "#db";
import { counted } from "../words/reading.ts";
import type { Typed } from "./form.ts";

/** Of what less would be declared than before, for somebody who has to put a name under it. */
export interface FallView {
	readonly mark: string;
	readonly groups: readonly {
		/** "14 dishes of the book" */
		readonly title: string;
		readonly rows: readonly { readonly key: string; readonly name: string; readonly words: string }[];
		/** How many more there are. */
		readonly more: number;
	}[];
}

/** The most pressing first: what is made already, what is planned, what is in the book. */
const KINDS: readonly (readonly [Lowered["kind"], one: string, many: string])[] = [
	["lot", "lot that is made", "lots that are made"],
	["sitting", "dish of a sitting", "dishes of sittings"],
	["dish", "dish of the book", "dishes of the book"],
	["preparation", "preparation", "preparations"],
	["ingredient", "ingredient", "ingredients"],
	["house", "list of the house", "lists of the house"],
];

/** Rows of one kind that somebody reads. */
const MOST_ROWS = 40;

export function fallView({ lowered, mark }: Pick<AllergensFall, "lowered" | "mark">): FallView {
	const byKind = groupBy(lowered, ({ kind }) => kind);
	return {
		mark,
		groups: KINDS.flatMap(([kind, one, many]) => {
			const own = byKind[kind] ?? [];
			if (own.length === 0) return [];
			const rows = own.slice(0, MOST_ROWS).map(({ id, name, where, falls }) => ({
				key: `${kind} ${id}`,
				name: kind === "lot" ? `Lot ${id}, ${name}` : where ? `${name}, ${where}` : name,
				words: fallWords(falls),
			}));
			return [{ title: counted(own.length, one, many), rows, more: own.length - rows.length }];
		}),
	};
}

const PRESENCE_WORDS = {
	contains: "contains",
	mayContain: "may contain",
	notKnown: "not known",
	free: "free of it",
} as const;

/** "celery: contains → free of it" */
export function fallWords(falls: readonly Fall[]): string {
	return falls
		.map(
			({ allergen, from, to }) =>
				`${ALLERGENS[allergen]}: ${PRESENCE_WORDS[from]} → ${PRESENCE_WORDS[to ?? "free"]}`,
		)
		.join("; ");
}

/** The name that was put under what falls; undefined where nothing was. */
export function confirmedIn({ confirmMark = "", confirmedBy = "" }: Typed): Confirmed | undefined {
	return confirmMark === "" ? undefined : { mark: confirmMark, by: confirmedBy.slice(0, 80) };
}
