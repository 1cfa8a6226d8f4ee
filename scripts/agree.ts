import { seeded, shuffled } from "#core/random";
import { newDish } from "#core/sitting";
import { DAY_MS, fromWallClock, HOUR_MS, laterDay, wallClock } from "#core/time";
import {
	addSitting,
	changeEquipment,
	issueDay,
	readBook,
	readHouse,
	readLots,
	readLotsLeft,
	readOvens,
	readSitting,
	readSittings,
	type Sitting,
	type Store,
	tellDayChanges,
} from "#db";
import { issuedDay } from "../app/day/issued.ts";
import { workedOutAgain } from "../app/places/workedOutAgain.testing.ts";
import {
	chillTyped,
	cookTyped,
	lineTyped,
	swapsTyped,
	usesTyped,
	wishesTyped,
} from "../app/ui/forms/settled.ts";
import { readTrial, withTrial } from "../app/ui/forms/tableTrial.ts";
import { lotsNow } from "../app/ui/server/lotsNow.ts";
import { type DatesShown, datesShown } from "../app/ui/server/worked.server.ts";
import { writtenDate } from "../app/ui/server/writtenDate.ts";
import { percentTyped } from "../app/ui/words/reading.ts";
import { House } from "../e2e/house.ts";
import { readConfig } from "../server/config.ts";
import { openStore } from "../server/openStore.ts";
import { differencesIn } from "./agree/differences.ts";
import { agreeOnFiles, agreeOnOrder, agreeOnPdf } from "./agree/files.ts";
import { readScreen } from "./agree/readScreen.ts";
import { agreeOnWatches, drawWatches } from "./agree/records.ts";
import { notSaidIn, Said } from "./agree/Said.ts";
import { saidIn, saidOf, wordsIn } from "./agree/saidOf.ts";
import { truthOf } from "./agree/Truth.ts";

/**
 * `npm run agree`: opens the screens, papers and files of the demo's days and holds every figure that
 * says what it is against the placed day, works every sum out again from its words, and looks for every
 * other number with a unit among those that the day, its cards and its house have: a number that a page
 * made up by itself is none of them. Fails where two differ, and where a number is nobody's.
 */

/** Of everything that is drawn here. */
const SEED = 20_261_201;
/** The demo's days. */
const FORTNIGHT = 15;
/** Further weeks that are drawn: three where this runs by itself. */
const WEEKS = Number(process.env.WT_AGREE_WEEKS ?? 3);

/** When a paper was printed, and how long it is from now to the next start, are no figures of a day. */
const OF_THE_MINUTE = /printed \w+ \d+ \w+ \d+:\d+|Next to start, in \d+ (?:min|h)(?: \d+)?/;

/** Houses elsewhere, and of other units: the same records are told there. */
const ELSEWHERE = [
	{ timeZone: "Pacific/Auckland", units: "us" },
	{ timeZone: "America/St_Johns", units: "metric" },
] as const;

const house = new House();
house.seed();
await house.start();
const differences: string[] = [];
/** Numbers with a unit that are none of those that the day, its cards and its house have. */
const nobodySaid: string[] = [];
const held = { figures: 0, sums: 0, texts: 0, amounts: 0, labels: 0, watches: 0 };
try {
	const store = await openStore(
		readConfig({ ...process.env, WT_DATA: house.data, DATABASE_URL: `file:${house.database}` }),
	);
	const now = Date.now();
	const { timeZone } = await readHouse(store.db);
	const dateOf = (at: number) => wallClock(at, timeZone).date;
	const [from, to] = [dateOf(now), laterDay(dateOf(now), 14)];
	const random = seeded(SEED);
	const draw = (day: number, time: string) =>
		addDrawn(store, random, fromWallClock(laterDay(from, day), time, timeZone) ?? Number.NaN);
	await draw(9, "19:00");
	const stored = async () =>
		(await readSittings(store.db, now, now + 15 * DAY_MS)).filter(
			({ dishes, calledOff }) => dishes.length > 0 && !calledOff,
		);
	const shown = await datesShown(store.db, from, to);
	const sittings = await stored();
	await holdAgainst(shown, pagesOf(shown, sittings), timeZone);
	differences.push(...(await agreeOnFiles(house.url, shown)));
	await onOtherPapers(store, shown, sittings, timeZone);
	await onRecords(store, random);
	for (let week = 0; week < WEEKS; week += 1) {
		const first = FORTNIGHT + week * 7;
		const drawn = [
			await draw(first + 1, "12:30"),
			await draw(first + 1, "19:00"),
			await draw(first + 4, "18:00"),
		];
		const seven = await datesShown(store.db, laterDay(from, first), laterDay(from, first + 6));
		const pages = pagesOf(seven, drawn).filter(({ kind }) => kind !== "today");
		await holdAgainst(seven, pages, timeZone);
		differences.push(...(await agreeOnFiles(house.url, seven)));
	}
	await onTrial(store, sittings, timeZone);
	await afterTold(store, sittings, timeZone);
	await onRecordsElsewhere(store);
	await store.close();
} finally {
	await house.stop();
}

for (const one of differences) console.log(`DIFFERS ${one}`);
for (const one of nobodySaid) console.log(`NOBODY SAID ${one}`);
console.log(
	`${held.figures} figures, ${held.sums} sums, ${held.texts} texts, ${held.amounts} amounts of workbooks, labels of ${held.labels} lots and ${held.watches} watches held against their day: ${differences.length} differ, ${nobodySaid.length} numbers are nobody's`,
);
const isHeld = Object.values(held).every((count) => count > 0);
process.exitCode = differences.length + nobodySaid.length > 0 || !isHeld ? 1 : 0;

/** A sitting of a few dishes of the book. */
async function addDrawn(store: Store, random: () => number, serviceAt: number): Promise<Sitting> {
	const drawn = shuffled(await readBook(store.db), random).slice(0, 3);
	const details = {
		name: "Drawn sitting",
		room: "Hall",
		serviceAt,
		covers: 40 + Math.floor(random() * 120),
		hands: 3,
		note: "",
	};
	const id = await addSitting(
		store,
		"agree",
		details,
		drawn.map(({ id: recipe }, index) =>
			newDish(`drawn-${serviceAt / HOUR_MS}-${index}`, recipe, 1 / 3, 0.05),
		),
	);
	return readSitting(store.db, id);
}

/** Workbooks of orders, and labels of lots as a PDF. */
async function onOtherPapers(
	store: Store,
	{ all }: DatesShown,
	sittings: readonly Sitting[],
	timeZone: string,
): Promise<void> {
	const said = saidIn(all);
	for (const { id } of sittings) {
		const { found, amounts } = await agreeOnOrder(house.url, id, said);
		held.amounts += amounts;
		nobodySaid.push(...found);
	}
	for (const lot of await readLotsLeft(store.db, 0)) {
		const entries = await readLots(store.db, [lot]);
		const now = await lotsNow(store.db, [lot], { ...(await readHouse(store.db)), now: Date.now() });
		const written = new Said().add([entries, now.map(({ now: folded }) => folded)]);
		for (const text of wordsIn(entries)) written.addWords(text);
		nobodySaid.push(...(await agreeOnPdf(house.url, `/records/lots/${lot}/labels.pdf`, written, timeZone)));
		held.labels += 1;
	}
}

/** Watches of yesterday that are drawn, and every watch of a lot that is left, on their pages, sheets and files. */
async function onRecords(store: Store, random: () => number): Promise<void> {
	await drawWatches(store, random, Date.now() - DAY_MS);
	await holdWatches(store);
}

/** The same records in a house of another zone and of other units. */
async function onRecordsElsewhere(store: Store): Promise<void> {
	for (const place of ELSEWHERE) {
		const { id, version } = await readHouse(store.db);
		await changeEquipment(store, "house", id, version, "agree", place);
		await holdWatches(store);
	}
}

async function holdWatches(store: Store): Promise<void> {
	const { timeZone, units } = await readHouse(store.db);
	for (const lot of await readLotsLeft(store.db, 0)) {
		const { found, count } = await agreeOnWatches(store, house.url, lot, { timeZone, units });
		differences.push(...found);
		held.watches += count;
	}
}

/** Every dish tried for other covers, at its own address, against the day as it would be. */
async function onTrial(store: Store, sittings: readonly Sitting[], timeZone: string): Promise<void> {
	for (const sitting of sittings) {
		const [dish] = sitting.dishes;
		if (dish?.basis !== "covers" || dish.share !== null) continue;
		const covers = sitting.covers + 25;
		const { date, time } = wallClock(sitting.serviceAt, timeZone);
		const search = new URLSearchParams({
			...{ basis: "covers", covers: String(covers), uptake: percentTyped(dish.uptake) },
			...{
				spare: percentTyped(dish.spare),
				date,
				time,
				ahead: dish.ahead === null ? "" : dish.ahead ? "yes" : "no",
			},
			...{ wishes: wishesTyped(dish.panWishes), line: lineTyped(dish.line), colour: dish.colour ?? "" },
			...{ chill: chillTyped(dish.chill), cook: cookTyped(dish.cook), swaps: swapsTyped(dish.swaps) },
			...{ panType: dish.panTypeId ?? "", byProducts: usesTyped(dish.byProducts) },
		});
		const read = readTrial(search, timeZone, "metric");
		if (!("value" in read)) throw new Error(`what is tried with ${dish.id} can not be read`);
		const trial = { now: Date.now(), sitting: withTrial(sitting, dish.id, read.value) };
		const tried = await datesShown(store.db, date, date, trial);
		const table = `/sittings/${sitting.id}/dishes/${dish.id}`;
		const pages = ["", "/sheet"].map((paper) => ({
			kind: `on trial${paper}`,
			address: `${table}${paper}?${search}`,
			dish: dish.id,
		}));
		await holdAgainst(tried, pages, timeZone, await datesShown(store.db, date, date));
	}
}

/** An oven told away in an afternoon, and all screens of that day after it. */
async function afterTold(store: Store, sittings: readonly Sitting[], timeZone: string): Promise<void> {
	const [sitting] = sittings.slice(1);
	const [oven] = await readOvens(store.db);
	if (!sitting || !oven) return;
	const { date } = wallClock(sitting.serviceAt, timeZone);
	const away = {
		kind: "away" as const,
		equipment: oven.id,
		from: sitting.serviceAt - 9 * HOUR_MS,
		to: sitting.serviceAt,
	};
	const issued = await datesShown(store.db, date, date);
	const [own] = issued.served;
	if (!own) return;
	const number = await issueDay(store, "agree", date, issuedDay(own, Date.now()), writtenDate(own));
	await tellDayChanges(store, "agree", date, [away]);
	const told = await datesShown(store.db, date, date);
	await holdAgainst(issued, papersUnder(number, date, sitting), timeZone, told);
	await holdAgainst(
		told,
		pagesOf(told, [sitting]).filter(({ kind }) => kind !== "today"),
		timeZone,
		issued,
	);
	differences.push(...(await agreeOnFiles(house.url, told)));
	const inside = told.day.tasks.filter(({ uses }) =>
		uses.some(({ equipment, from, to }) => equipment === oven.id && from < away.to && to > away.from),
	);
	for (const { id } of inside) differences.push(`${id} stands in the ${oven.name} while it is away`);
}

/** Papers that print what a number covers, whatever was told since. */
function papersUnder(number: number, date: string, { id, dishes }: Sitting): Page[] {
	const tables = dishes.map((dish) => `/sittings/${id}/dishes/${dish.id}`);
	return [
		{ kind: "day sheet of a number", address: `/day/${date}/paper?number=${number}` },
		{ kind: "order sheet of a number", address: `/sittings/${id}/order?number=${number}` },
		...tables.flatMap((table) =>
			["sheet", "labels", "cutting"].map((paper) => ({
				kind: `${paper} of a number`,
				address: `${table}/${paper}?number=${number}`,
			})),
		),
	];
}

/** A page of the house, and whose figures it shows: one dish's, or those of all that is shown. */
interface Page {
	readonly kind: string;
	readonly address: string;
	readonly dish?: string;
}

/** Every address of some days. */
function pagesOf(
	{ served }: DatesShown,
	sittings: readonly { readonly id: string; readonly dishes: readonly { readonly id: string }[] }[],
): Page[] {
	const places = ["buy", "trim", "sear", "build", "panUp", "braise", "sauce", "reheat", "chill", "plate"];
	return [
		{ kind: "today", address: "/" },
		...served.flatMap(({ date }) => [
			{ kind: "day", address: `/day/${date}` },
			{ kind: "day sheet", address: `/day/${date}/paper` },
		]),
		...sittings.flatMap(({ id, dishes }) => [
			{ kind: "sitting", address: `/sittings/${id}` },
			{ kind: "order sheet", address: `/sittings/${id}/order` },
			...dishes.flatMap(({ id: dish }) => {
				const table = `/sittings/${id}/dishes/${dish}`;
				return [
					...places.map((place) => ({ kind: "long table", address: `${table}?place=${place}`, dish })),
					{ kind: "sheet", address: `${table}/sheet`, dish },
					{ kind: "labels", address: `${table}/labels`, dish },
					{ kind: "cutting note", address: `${table}/cutting`, dish },
				];
			}),
		]),
	];
}

/** @param before the days as they stand, where what is shown is on trial: pages tell what was */
async function holdAgainst(
	shown: DatesShown,
	pages: readonly Page[],
	timeZone: string,
	before?: DatesShown,
): Promise<void> {
	const truth = truthOf(shown, timeZone);
	differences.push(...truth.wrong);
	const ofAll = saidIn([...shown.all, ...(before?.all ?? [])]);
	const ofDish = new Map(
		shown.all.flatMap((date) =>
			date.sittings.flatMap((sitting) =>
				sitting.rows.map(({ dish: { id } }) => [id, saidOf(date, sitting, id)] as const),
			),
		),
	);
	for (const { kind, address, dish } of pages) {
		const answer = await fetch(`${house.url}${address}`);
		if (!answer.ok) {
			differences.push(`${address} is answered with ${answer.status}`);
			continue;
		}
		const { figures, sums, texts } = readScreen(await answer.text());
		const said = dish === undefined || before ? ofAll : (ofDish.get(dish) ?? ofAll);
		const unsaid = texts.flatMap((text) =>
			notSaidIn(text.replace(OF_THE_MINUTE, ""), said, timeZone).map(
				(one) => `${kind}, ${address}: ${one} in “${text.slice(0, 90)}”`,
			),
		);
		held.figures += figures.length;
		held.sums += sums.length;
		held.texts += texts.length;
		nobodySaid.push(...unsaid);
		differences.push(
			...differencesIn(figures, truth).map((one) => `${address}: ${one}`),
			...sums.filter(isOff).map(({ working, result }) => `${address}: ${working} is not ${result}`),
		);
	}
}

/** Whether a sum, worked out from its words, is not what stands there. */
function isOff(sum: { readonly working: string; readonly result: string }): boolean {
	const again = workedOutAgain(sum);
	return again !== null && again.off > again.slack;
}
