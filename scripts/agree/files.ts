import ExcelJS from "exceljs";
import ICAL from "ical.js";
import Papa from "papaparse";
import type { DatesShown } from "../../app/ui/server/worked.server.ts";
import { linesOf } from "../../e2e/linesOf.ts";

import { notSaidIn, type Said } from "./Said.ts";

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

/** Amounts of a workbook are rounded to the gram, kg. */
const HALF_A_GRAM = 0.00051;
/** Columns of the order that are amounts, and what they are measured in. */
const AMOUNTS = [
	["Needed, kg", "kg"],
	["Pack, kg", "kg"],
	["Order, kg", "kg"],
	["Order, l", "l"],
] as const;

/** Amounts of the workbook of an order that are none of its day's. @returns those, and how many there are */
export async function agreeOnOrder(url: string, sitting: string, said: Said) {
	const address = `/sittings/${sitting}/order.xlsx`;
	const book = new ExcelJS.Workbook();
	await book.xlsx.load(await (await fetch(url + address)).arrayBuffer());
	const found: string[] = [];
	let amounts = 0;
	const sheet = book.worksheets[0];
	const headers = sheet?.getRow(1).values as string[] | undefined;
	sheet?.eachRow((row, index) => {
		for (const [header, measure] of AMOUNTS) {
			const column = headers?.indexOf(header) ?? -1;
			const { value } = index === 1 || column < 0 ? { value: null } : row.getCell(column);
			if (typeof value !== "number") continue;
			amounts += 1;
			if (!said.has(measure, value, HALF_A_GRAM))
				found.push(`${address}: ${header} is ${value} in row ${index}`);
		}
	});
	return { found, amounts };
}

/** Numbers of a paper as a PDF that are none of those said. */
export async function agreeOnPdf(
	url: string,
	address: string,
	said: Said,
	timeZone: string,
): Promise<string[]> {
	const { text } = await linesOf(Buffer.from(await (await fetch(url + address)).arrayBuffer()));
	return notSaidIn(text, said, timeZone).map((one) => `${address}: ${one} in “${text.slice(0, 90)}”`);
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
