import { ofKind } from "#core/records";
import { laterDay, wallClock } from "#core/time";
import { COURSES } from "#core/watch";
import { type Database, readKind, readSittings, withRecipes } from "#db";
import type { HouseVisit } from "../ui/server/visit.ts";
import type { SheetOf } from "./sheetKinds.ts";
import { periodOf, type WatchTold, watchesTold } from "./sheetPage.ts";
import { COURSE_WORDS } from "./watch.view.ts";

/** Something that ought to be in the record and is not. */
export interface Missing {
	readonly date: string;
	readonly words: string;
	readonly to: string;
}

/** Longer than this no pan is cooled or heated: somebody has forgotten to end it, ms. */
const LONGEST_MS = 24 * 3_600_000;

/** Day by day what is missing in the records of a period. */
export async function missingPage(visit: HouseVisit, given: SheetOf) {
	const { store, reading, house } = visit;
	const [from, to] = periodOf(visit, given);
	const until = Math.min(to, reading.now);
	const dayOf = (at: number) => wallClock(at, house.timeZone).date;
	const [told, unmade] = await Promise.all([
		watchesTold(store.db, [from, until], COURSES, reading.now),
		notMade(store.db, from, until, dayOf),
	]);
	const missing = [...told.flatMap((one) => missingOf(one, reading.now, dayOf)), ...unmade];
	const today = dayOf(reading.now);
	const days: { date: string; words: string; count: number; isAhead: boolean }[] = [];
	for (let date = given.from; date <= given.to && days.length < MOST_DAYS; date = laterDay(date, 1)) {
		const count = missing.filter((one) => one.date === date).length;
		days.push({ date, words: reading.date(date), count, isAhead: date > today });
	}
	return {
		days,
		missing: missing
			.sort((a, b) => a.date.localeCompare(b.date))
			.map((one) => ({ ...one, day: reading.date(one.date) })),
	};
}

type DayOf = (at: number) => string;

/** What is missing of a pan that is, or was, watched. */
function missingOf({ now: watch, lot }: WatchTold, now: number, dayOf: DayOf): Missing[] {
	const { entry, points, outcome, endedAt, actions } = watch;
	const { doc, at } = entry;
	const dish = ofKind(lot, "lot")[0]?.doc.dish ?? "";
	const isRead = points.length > 0;
	const whys = [
		...(isRead ? [] : ["no reading"]),
		...(outcome === "missed" && actions.length === 0 ? ["missed, and nothing done about it"] : []),
		...(isRead && outcome === "notKnown" ? ["nothing that counts was read"] : []),
		...(endedAt === null && now - at > LONGEST_MS ? ["never ended"] : []),
	];
	return whys.map((why) => ({
		date: dayOf(at),
		to: `/records/lots/${doc.lot}?watch=${doc.watch}`,
		words: `${dish}, pan ${doc.tag}, ${COURSE_WORDS[doc.course].name.toLowerCase()}: ${why}`,
	}));
}

/** Dishes that were served and of which nothing was written. */
async function notMade(db: Database, from: number, until: number, dayOf: DayOf): Promise<Missing[]> {
	const [sittings, lots] = await Promise.all([
		readSittings(db, from, until),
		readKind(db, "lot", from - MADE_AHEAD_MS, until),
	]);
	const held = sittings.filter(({ calledOff }) => !calledOff);
	const dishes = await withRecipes(
		db,
		held.flatMap((sitting) => sitting.dishes),
	);
	const names = new Map(dishes.map(({ id, recipe }) => [id, recipe.name]));
	const made = new Set(lots.map(({ doc }) => doc.dishId));
	return held.flatMap((sitting) =>
		sitting.dishes
			.filter(({ id }) => !made.has(id))
			.map(({ id }) => ({
				date: dayOf(sitting.serviceAt),
				to: `/records/lots/new?sitting=${sitting.id}&dish=${id}`,
				words: `${names.get(id) ?? ""}, ${sitting.name}: no lot, no temperatures`,
			})),
	);
}

/** Food is made ahead by so much at the most, ms. */
const MADE_AHEAD_MS = 5 * LONGEST_MS;

const MOST_DAYS = 62;
