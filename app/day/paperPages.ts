import { dishOnPaper } from "../papers/dishOnPaper.ts";
import { orderPage } from "../papers/orderPage.ts";
import { cuttingOf, labelsOf, sheetOf } from "../papers/paperPages.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { type DatesShown, datesShown } from "../ui/server/worked.server.ts";
import { dayView, shownOf, tagsShown } from "./day.view.ts";
import { markShown } from "./markShown.ts";
import { movesOf } from "./replan.view.ts";

/** The day on paper: everybody's list, under its number. @returns null where nothing is served on it */
export async function dayPaperPage(visit: HouseVisit, { date }: { readonly date: string }) {
	const shown = await datesShown(visit.store.db, date, date);
	return shown.slice.tasks.length === 0 ? null : daySheet(visit, date, shown);
}

export type DaySheet = ReturnType<typeof daySheet>;

function daySheet({ reading, house, preferences }: HouseVisit, date: string, shown: DatesShown) {
	const [own] = shown.served;
	const issue = own?.issue ?? null;
	const view = dayView({
		...shownOf(shown),
		reading,
		date,
		// Nothing is carried on paper.
		liftables: [],
		tags: tagsShown(shown),
	});
	const names = {
		day: shown.day,
		sittings: shown.all.flatMap(({ given }) => given.sittings),
		timeZone: reading.timeZone,
		temperature: reading.temperature,
	};
	const changes = (own?.told ?? []).map(({ change }) => change);
	return {
		date,
		title: view.title,
		paper: preferences.paper,
		house: house.name,
		printed: `${reading.day(reading.now)} ${reading.time(reading.now)}`,
		services: view.services.map(({ name, clock }) => `${name} ${clock}`),
		dishes: view.dishes,
		number: issue?.number ?? null,
		issued: issue ? `${issue.who}, ${reading.clock(issue.at)}` : "",
		mark: markShown(shown),
		differs: own && issue ? movesOf(issue.doc.day, own.day, changes, names) : [],
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
	{ date, sitting }: { readonly date: string; readonly sitting: string | null },
) {
	const shown = await datesShown(visit.store.db, date, date);
	const sittings = shown.served.flatMap((one) => one.sittings);
	const served = sittings.filter(({ sitting: { id } }) => sitting === null || id === sitting);
	if (served.length === 0) return null;
	const papers = served.map(async ({ sitting: { id, name }, rows }) => ({
		id,
		name,
		order: await orderPage(visit, { id }),
		dishes: await Promise.all(
			rows.map(async ({ dish }) => {
				const onPaper = await dishOnPaper(visit, { sittingId: id, dishId: dish.id });
				return {
					id: dish.id,
					sheet: sheetOf(onPaper),
					cutting: cuttingOf(onPaper),
					labels: labelsOf(onPaper),
				};
			}),
		),
	}));
	return { day: daySheet(visit, date, shown), sittings: await Promise.all(papers) };
}
