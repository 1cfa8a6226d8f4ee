import type { HousePolicy } from "#core/kitchen";
import type { BookedTwice, PreparedBatch } from "#core/plan";
import { isOpen } from "#core/time";
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

/** What is made in the house and would have to start while the kitchen is closed. */
export function outsideHoursWords(
	batches: readonly PreparedBatch[],
	{ timeZone, hours }: Pick<HousePolicy, "timeZone" | "hours">,
	reading: Reading,
): string[] {
	return batches.flatMap(({ name, tasks }) =>
		tasks
			.filter(({ start }) => !isOpen(start, timeZone, hours))
			.map(
				({ start }) => `${name} would have to start at ${reading.clock(start)}, outside the kitchen's hours.`,
			),
	);
}
