import type { BookedTwice } from "#core/plan";
import { counted, type Reading } from "../ui/words/reading.ts";

/** "18:40 to 19:05: 5 burners wanted, 3 there: Goat shoulder and Mutton neck" */
export function clashWords(
	{ kind, name, wanted, there, from, to, by }: BookedTwice,
	reading: Reading,
): string {
	const thing = { cooks: "cook", burners: "burner", pot: name ?? "pot", searPan: name ?? "searing pan" }[
		kind
	];
	const what = name === null ? counted(wanted, thing) : `${wanted} × ${thing}`;
	return `${reading.clock(from)} to ${reading.time(to)}: ${what} wanted, ${there} there. ${by.join(" and ")}.`;
}
