import { causesOf, type Day, taskName, unmetWords, type WorkedBatch } from "#core/day";
import type { HousePolicy } from "#core/kitchen";
import { isOpen } from "#core/time";
import type { Reading } from "../ui/words/reading.ts";

/** What a sitting goes without in its day, each with the tasks that go without it. */
export function missingWords(sitting: string, day: Day, reading: Reading): string[] {
	const own = new Map(day.tasks.filter((task) => task.sitting === sitting).map((task) => [task.id, task]));
	return causesOf(day).flatMap(({ unmet, tasks }) => {
		const names = tasks.flatMap((id) => {
			const task = own.get(id);
			return task ? [taskName(task)] : [];
		});
		if (names.length === 0) return [];
		const { because } = unmetWords(unmet, day, reading);
		return [`${because.charAt(0).toUpperCase()}${because.slice(1)}, for ${names.join("; ")}.`];
	});
}

/** What is made in the house and would have to start while the kitchen is closed. */
export function outsideHoursWords(
	batches: readonly WorkedBatch[],
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
