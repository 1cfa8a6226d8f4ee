import { asTable } from "../exchange/index.ts";
import type { DayFile } from "./dayJson.ts";

/**
 * The tasks of a day as a table, UTF-8 with a heading: a row for each thing that a task has in
 * hand, and one for a task with empty hands.
 */
export function dayCsv({ tasks, equipment }: DayFile): string {
	const names = new Map(equipment.map(({ id, name }) => [id, name]));
	const rows = tasks.flatMap(({ uses, ...task }) => {
		const own = [task.start, task.end, task.name, task.place, task.sitting, task.id];
		if (uses.length === 0) return [[...own, "", "", "", "", ""]];
		return uses.map(({ equipment: id, amount, set_C, from, to }) => [
			...own,
			names.get(id) ?? id,
			amount,
			set_C ?? "",
			from,
			to,
		]);
	});
	return asTable(COLUMNS, rows);
}

const COLUMNS = [
	"start",
	"end",
	"task",
	"place",
	"sitting",
	"id",
	"has",
	"amount",
	"set_C",
	"from",
	"to",
] as const;
