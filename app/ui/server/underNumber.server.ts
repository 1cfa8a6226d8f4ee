import { changeWords, type IssuedSitting } from "#core/day";
import type { Database, DayIssueRow } from "#db";
import { counted, type Reading } from "../words/reading.ts";
import { type FrozenDate, frozenDate } from "./frozen.server.ts";
import { foundOr404 } from "./visit.ts";
import { type WorkedDate, type WorkedSitting, workedDates } from "./worked.server.ts";

/** A number that a paper is asked for under, with what is another now. */
export interface UnderNumber extends FrozenDate {
	/** "Since No. 1: 170 covers, was 140."; empty where nothing is. */
	readonly since: string;
}

/** What a paper's address asks for: "?number=3". */
function numberAsked(search: string): number | null {
	const typed = new URLSearchParams(search).get("number") ?? "";
	return /^[1-9]\d{0,8}$/.test(typed) ? Number(typed) : null;
}

/** The number that a paper's address asks for; null where it asks for the day as it stands. */
export async function underNumber(
	db: Database,
	search: string,
	reading: Reading,
): Promise<UnderNumber | null> {
	const number = numberAsked(search);
	if (number === null) return null;
	const frozen = await foundOr404(frozenDate(db, number), "number");
	const { date } = frozen.issue;
	const [on] = await workedDates(db, date, date);
	const changes = on ? sinceIssue(on, frozen.issue, reading) : ["nothing is served on this day any more"];
	return { ...frozen, since: listed(`Since No. ${number}`, changes) };
}

/** What of a day as it stands is another than in its newest number: "After No. 1: 170 covers, was 140." */
export function afterNumber(on: WorkedDate, reading: Reading): string {
	return on.issue ? listed(`After No. ${on.issue.number}`, sinceIssue(on, on.issue, reading)) : "";
}

/** Why a paper of a number from before has no figures. */
export function withoutFigures({ number }: DayIssueRow): string {
	return `No. ${number} keeps what it was made from and where it was placed, not its figures. Issue the day again to freeze them.`;
}

function listed(head: string, changes: readonly string[]): string {
	return changes.length === 0 ? "" : `${head}: ${changes.join("; ")}.`;
}

/**
 * What is another now than when a day was issued, a thing each: "170 covers, was 140".
 *
 * @returns nothing where it stands as it was issued
 */
function sinceIssue(on: WorkedDate, { number, at, doc }: DayIssueRow, reading: Reading): string[] {
	if (on.asIssued && on.issue?.number === number) return [];
	const now = new Map(on.sittings.map((one) => [one.sitting.id, one]));
	const was = new Set(doc.sittings.map(({ id }) => id));
	const several = doc.sittings.length > 1;
	const named = (name: string, words: string) => (several ? `${name}: ${words}` : words);
	const changes = [
		...doc.sittings.flatMap((then) => {
			const one = now.get(then.id);
			if (!one) return [`${then.name} is off`];
			return sittingChanges(then, one, reading).map((words) => named(then.name, words));
		}),
		...on.sittings
			.filter(({ sitting: { id } }) => !was.has(id))
			.map(({ sitting: { name } }) => `${name} is new`),
		...on.told
			.filter((told) => told.at > at)
			.map(({ change }) =>
				changeWords(change, {
					day: on.day,
					sittings: on.given().sittings,
					timeZone: reading.timeZone,
					clockHours: reading.clockHours,
					temperature: reading.temperature,
				}),
			),
	];
	return changes.length > 0 ? changes : ["something of the kitchen, its people or another day has changed"];
}

function sittingChanges(then: IssuedSitting, { sitting, rows }: WorkedSitting, reading: Reading): string[] {
	const clock = reading.time;
	const dishes = new Map(rows.map((row) => [row.dish.id, row]));
	const before = new Set(then.dishes.map(({ id }) => id));
	const sameCovers = sitting.covers === then.covers;
	return [
		...(sameCovers
			? []
			: [`${counted(sitting.covers, "cover")}, was ${then.covers.toLocaleString("en-GB")}`]),
		...(sitting.serviceAt === then.serviceAt
			? []
			: [`service ${clock(sitting.serviceAt)}, was ${clock(then.serviceAt)}`]),
		...then.dishes.flatMap((dish) => {
			const row = dishes.get(dish.id);
			if (!row) return [`${dish.name} is off`];
			const portions = row.plan?.chain.portions;
			return [
				...(row.dish.number === dish.number
					? []
					: [`${dish.name} by card no. ${row.dish.number}, was no. ${dish.number}`]),
				...(portions === undefined ? [`${dish.name} has no plan now`] : []),
				...(sameCovers && portions !== undefined && portions !== dish.portions
					? [`${dish.name}: ${counted(portions, "portion")}, was ${dish.portions.toLocaleString("en-GB")}`]
					: []),
			];
		}),
		...rows.filter(({ dish }) => !before.has(dish.id)).map(({ dish }) => `${dish.recipe.name} is new`),
	];
}
