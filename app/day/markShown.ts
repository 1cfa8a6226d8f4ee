import { markOf, shownMark } from "#core/day";
import type { DatesShown } from "../ui/server/worked.server.ts";

/** What a day was made from, as it stands on its papers: of a day on which nothing is served, all that goes on in it. */
export function markShown({ served, all }: Pick<DatesShown, "served" | "all">): string {
	const [own] = served;
	return shownMark(own ? own.mark : markOf(all.map(({ mark }) => mark)));
}

/** What a mark that was typed from a paper says of it; null where none was typed. */
export interface MarkAnswer {
	readonly typed: string;
	readonly says: string;
}

/** Whether a paper is still true, by the mark that stands on it. */
export function markAnswer(typed: string, shown: Pick<DatesShown, "served" | "all">): MarkAnswer | null {
	const given = typed.replace(/\s/g, "").toUpperCase().slice(0, 12);
	if (given === "") return null;
	if (given === markShown(shown))
		return { typed: given, says: "Still true: nothing of this day has changed." };
	const [own] = shown.served;
	const since = own?.issue ? ` What moved since No. ${own.issue.number} stands below.` : "";
	return { typed: given, says: `▲ Not as it was printed: print it again.${since}` };
}
