import { data } from "react-router";
import type { SittingOfDay, WorkedDay } from "#core/day";
import type { Kitchen } from "#core/kitchen";
import type { DayIssueRow } from "#db";
import { dishOnPaper } from "../papers/dishOnPaper.ts";
import { orderPage } from "../papers/orderPage.ts";
import { cuttingOf, labelsOf, sheetOf } from "../papers/paperPages.ts";
import {
	afterNumber,
	type UnderNumber,
	underNumber,
	withoutFigures,
} from "../ui/server/underNumber.server.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { type DatesShown, datesShown, type WorkedSitting } from "../ui/server/worked.server.ts";
import { dayView, dishesIn, shownOf, tagsOf, tagsShown } from "./day.view.ts";
import { tagsIssued } from "./issuedTags.ts";
import { markShown } from "./markShown.ts";
import { type MoveView, movesOf } from "./replan.view.ts";

/** Which day, and under what number, as the address says it: "?number=3". */
export interface DayAsked {
	readonly date: string;
	readonly search?: string;
}

/** The day on paper: everybody's list, under its number. @returns null where nothing is served on it */
export async function dayPaperPage(visit: HouseVisit, asked: DayAsked) {
	const onPaper = await dayOnPaper(visit, asked);
	return onPaper && onPaper.slice.tasks.length > 0 ? daySheet(visit, asked.date, onPaper) : null;
}

/** What the papers of a day are written from: the day as it stands, or as it was issued under a number. */
interface DayOnPaper {
	readonly slice: WorkedDay;
	readonly kitchen: Kitchen;
	readonly services: readonly Pick<SittingOfDay, "id" | "name" | "serviceAt">[];
	readonly tags: ReadonlyMap<string, string>;
	readonly sittings: readonly WorkedSitting[];
	readonly issue: DayIssueRow | null;
	/** Beside when it was printed: ", mark 7KX2M9QP". */
	readonly stamp: string;
	/** What is another than in the number that it names; empty where nothing is. */
	readonly since: string;
	readonly differs: readonly MoveView[];
}

async function dayOnPaper(visit: HouseVisit, { date, search = "" }: DayAsked): Promise<DayOnPaper | null> {
	const { store, reading } = visit;
	const under = await underNumber(store.db, search, reading);
	if (under) return under.issue.date === date ? issuedOnPaper(under) : null;
	const shown = await datesShown(store.db, date, date);
	return shown.slice.tasks.length === 0 ? null : standingOnPaper(visit, shown);
}

function standingOnPaper({ reading }: HouseVisit, shown: DatesShown): DayOnPaper {
	const [own] = shown.served;
	const issue = own?.issue ?? null;
	const { day, kitchen, sittings: services } = shownOf(shown);
	const names = {
		day: shown.day,
		sittings: shown.all.flatMap(({ given }) => given().sittings),
		timeZone: reading.timeZone,
		temperature: reading.temperature,
	};
	const changes = (own?.told ?? []).map(({ change }) => change);
	return {
		...{ slice: day, kitchen, services, issue },
		tags: tagsShown(shown),
		sittings: shown.served.flatMap(({ sittings }) => sittings),
		stamp: `, mark ${markShown(shown)}`,
		since: own ? afterNumber(own, reading) : "",
		differs: own && issue ? movesOf(issue.doc.day, own.day, changes, names) : [],
	};
}

/** What a number covers: what is served on its date, with all that is done for it. */
function issuedOnPaper({ issue, figures, since }: UnderNumber): DayOnPaper {
	if (!figures) throw data({ said: withoutFigures(issue) }, { status: 404 });
	const { day, sittings } = figures;
	const [first] = sittings;
	if (!first) throw data({ said: `No. ${issue.number} has no sitting.` }, { status: 404 });
	return {
		slice: day,
		kitchen: first.kitchen,
		services: sittings.map(({ sitting: { id, name, serviceAt } }) => ({ id, name, serviceAt })),
		tags: tagsOf(dishesIn([{ sittings }]), new Map(tagsIssued({ issue }))),
		...{ sittings, issue, since, stamp: ", as it was issued", differs: [] },
	};
}

export type DaySheet = ReturnType<typeof daySheet>;

function daySheet({ reading, house, preferences }: HouseVisit, date: string, onPaper: DayOnPaper) {
	const { slice: day, kitchen, services, tags, issue, stamp, since, differs } = onPaper;
	// Nothing is carried on paper.
	const view = dayView({ day, kitchen, sittings: services, reading, date, liftables: [], tags });
	return {
		date,
		title: view.title,
		paper: preferences.paper,
		house: house.name,
		printed: `${reading.day(reading.now)} ${reading.time(reading.now)}${stamp}`,
		services: view.services.map(({ name, clock }) => `${name} ${clock}`),
		dishes: view.dishes,
		number: issue?.number ?? null,
		issued: issue ? `${issue.who}, ${reading.clock(issue.at)}` : "",
		since,
		differs,
		unmet: view.unmet,
		people: view.people,
		nobodys: view.nobodys,
	};
}

/**
 * All papers of a day, or of one sitting of it, in the order in which they are handed out.
 *
 * @returns null where nothing is served
 */
export async function dayPapersPage(
	visit: HouseVisit,
	{ date, sitting, search = "" }: DayAsked & { readonly sitting: string | null },
) {
	const onPaper = await dayOnPaper(visit, { date, search });
	if (!onPaper) return null;
	const served = onPaper.sittings.filter(({ sitting: { id } }) => sitting === null || id === sitting);
	if (served.length === 0) return null;
	const papers = served.map(async ({ sitting: { id, name }, rows }) => ({
		id,
		name,
		order: await orderPage(visit, { id, search: search }),
		dishes: await Promise.all(
			rows.map(async ({ dish }) => {
				const onPaper = await dishOnPaper(visit, { sittingId: id, dishId: dish.id, search: search });
				return {
					id: dish.id,
					sheet: sheetOf(onPaper),
					cutting: cuttingOf(onPaper),
					labels: labelsOf(onPaper),
				};
			}),
		),
	}));
	return { day: daySheet(visit, date, onPaper), sittings: await Promise.all(papers) };
}
