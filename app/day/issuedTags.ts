import type { DatesShown, WorkedDate } from "../ui/server/worked.server.ts";

/** The letters that the dishes of a day were issued with. */
export function issuedTags({ served }: Pick<DatesShown, "served">): ReadonlyMap<string, string> {
	return new Map(served.flatMap(tagsIssued));
}

/** The same of one date, dish and letter. */
export function tagsIssued({ issue }: Pick<WorkedDate, "issue">): [string, string][] {
	const dishes = issue?.doc.sittings.flatMap((sitting) => sitting.dishes) ?? [];
	return dishes.map(({ id, tag }): [string, string] => [id, tag]);
}
