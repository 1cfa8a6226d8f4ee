import ICAL from "ical.js";
import Papa from "papaparse";
import type { DatesShown } from "../../app/ui/server/worked.server.ts";

interface FileTask {
	readonly id: string;
	readonly start: string;
	readonly end: string;
	readonly uses: readonly { readonly equipment: string; readonly set_C?: number }[];
}

/** What the files of a day say that the day does not, or do not say that it does: JSON, CSV and calendar. */
export async function agreeOnFiles(url: string, { served }: DatesShown): Promise<string[]> {
	const found: string[] = [];
	for (const { date, day } of served) {
		const text = async (kind: string) => (await fetch(`${url}/day/${date}/day.${kind}`)).text();
		const file = JSON.parse(await text("json")) as { readonly tasks: readonly FileTask[] };
		const tasks = new Map(file.tasks.map((task) => [task.id, task]));
		for (const task of day.tasks) {
			const said = tasks.get(task.id);
			const named = `/day/${date}/day.json: ${task.id}`;
			if (!said) found.push(`${named} is missing`);
			else if (Date.parse(said.start) !== task.start || Date.parse(said.end) !== task.end)
				found.push(`${named} stands from ${said.start} to ${said.end}`);
			else if (ovensOf(said.uses) !== ovensOf(task.uses)) found.push(`${named} has ${ovensOf(said.uses)}`);
		}
		found.push(...inTable(await text("csv"), date, tasks), ...inCalendar(await text("ics"), date, tasks));
	}
	return found;
}

function ovensOf(uses: FileTask["uses"]): string {
	return uses
		.filter(({ set_C }) => set_C !== undefined)
		.map(({ equipment, set_C }) => `${equipment} ${set_C}`)
		.join(", ");
}

function inTable(csv: string, date: string, tasks: ReadonlyMap<string, FileTask>): string[] {
	const { data } = Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, ""), {
		header: true,
		skipEmptyLines: true,
	});
	return data.flatMap((row) => {
		const task = tasks.get(row.id ?? "");
		const named = `/day/${date}/day.csv: ${row.id}`;
		if (!task) return [`${named} is not in the day`];
		return row.start === task.start && row.end === task.end
			? []
			: [`${named} stands from ${row.start} to ${row.end}`];
	});
}

function inCalendar(ics: string, date: string, tasks: ReadonlyMap<string, FileTask>): string[] {
	const events = new ICAL.Component(ICAL.parse(ics)).getAllSubcomponents("vevent");
	return events.flatMap((event) => {
		const { uid, startDate } = new ICAL.Event(event);
		const task = tasks.get(uid.replace(/@wide-table$/, ""));
		const named = `/day/${date}/day.ics: ${uid}`;
		if (!task) return [`${named} is not in the day`];
		return startDate.toJSDate().getTime() === Date.parse(task.start) ? [] : [`${named} starts ${startDate}`];
	});
}
