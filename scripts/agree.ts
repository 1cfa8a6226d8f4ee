import { readFileSync } from "node:fs";
import { seeded, shuffled } from "#core/random";
import { newDish } from "#core/sitting";
import { DAY_MS, fromWallClock, laterDay, wallClock } from "#core/time";
import {
	addSitting,
	readBook,
	readHouse,
	readOvens,
	readSittings,
	type Sitting,
	type Store,
	tellDayChanges,
} from "#db";
import {
	chillTyped,
	cookTyped,
	lineTyped,
	swapsTyped,
	usesTyped,
	wishesTyped,
} from "../app/ui/forms/settled.ts";
import { readTrial, withTrial } from "../app/ui/forms/tableTrial.ts";
import { type DatesShown, datesShown } from "../app/ui/server/worked.server.ts";
import { percentTyped } from "../app/ui/words/reading.ts";
import { House } from "../e2e/house.ts";
import { readConfig } from "../server/config.ts";
import { openStore } from "../server/openStore.ts";
import { differencesIn } from "./agree/differences.ts";
import { agreeOnFiles } from "./agree/files.ts";
import { readScreen } from "./agree/readScreen.ts";
import { type Truth, truthOf } from "./agree/Truth.ts";

/**
 * `npm run agree`: opens the screens, papers and files of the demo's days and holds every figure that
 * says what it is against the placed day. Fails where two differ, or where more numbers say nothing
 * of themselves than `scripts/agree/outside.json` allows: that may only fall.
 */

/** So many numbers with a unit may say nothing of themselves, by kind of page. */
const ALLOWED: Readonly<Record<string, number>> = JSON.parse(
	readFileSync(new URL("agree/outside.json", import.meta.url), "utf8"),
);

/** Of everything that is drawn here. */
const SEED = 20_261_201;
const HOUR_MS = 3_600_000;

const house = new House();
house.seed();
await house.start();
const differences: string[] = [];
const outside = new Map<string, number>();
let figures = 0;
try {
	const store = await openStore(
		readConfig({ ...process.env, WT_DATA: house.data, DATABASE_URL: `file:${house.database}` }),
	);
	const now = Date.now();
	const { timeZone } = await readHouse(store.db);
	const dateOf = (at: number) => wallClock(at, timeZone).date;
	const [from, to] = [dateOf(now), laterDay(dateOf(now), 14)];
	await addGenerated(store, fromWallClock(laterDay(from, 9), "19:00", timeZone) ?? now);
	const stored = async () =>
		(await readSittings(store.db, now, now + 15 * DAY_MS)).filter(
			({ dishes, calledOff }) => dishes.length > 0 && !calledOff,
		);
	const shown = await datesShown(store.db, from, to);
	const sittings = await stored();
	await holdAgainst(truthOf(shown, timeZone), pagesOf(shown, sittings));
	differences.push(...(await agreeOnFiles(house.url, shown)));
	await onTrial(store, sittings, timeZone);
	await afterTold(store, sittings, timeZone);
	await store.close();
} finally {
	await house.stop();
}

const over = [...outside].filter(([kind, count]) => count > (ALLOWED[kind] ?? 0));
for (const one of differences) console.log(`DIFFERS ${one}`);
for (const [kind, count] of outside) console.log(`${kind}: ${count} numbers say nothing of themselves`);
for (const [kind, count] of over) {
	console.log(`FAIL ${kind}: ${count} numbers say nothing of themselves, ${ALLOWED[kind] ?? 0} are allowed`);
}
console.log(`${figures} figures held against their day, ${differences.length} differ`);
process.exitCode = differences.length > 0 || over.length > 0 || figures === 0 ? 1 : 0;

/** A sitting of a few dishes of the book, drawn from the seed of all tests. */
async function addGenerated(store: Store, serviceAt: number): Promise<void> {
	const random = seeded(SEED);
	const drawn = shuffled(await readBook(store.db), random).slice(0, 3);
	const details = {
		name: "Drawn supper",
		room: "Hall",
		serviceAt,
		covers: 40 + Math.floor(random() * 120),
		hands: 3,
		note: "",
	};
	await addSitting(
		store,
		"agree",
		details,
		drawn.map(({ id }, index) => newDish(`drawn-${index}`, id, 1 / 3, 0.05)),
	);
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
		await holdAgainst(
			truthOf(tried, timeZone),
			["", "/sheet"].map((paper) => [`on trial${paper}`, `${table}${paper}?${search}`] as const),
		);
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
	await tellDayChanges(store, "agree", date, [away]);
	const told = await datesShown(store.db, date, date);
	await holdAgainst(
		truthOf(told, timeZone),
		pagesOf(told, [sitting]).filter(([kind]) => kind !== "today"),
	);
	differences.push(...(await agreeOnFiles(house.url, told)));
	const inside = told.day.tasks.filter(({ uses }) =>
		uses.some(({ equipment, from, to }) => equipment === oven.id && from < away.to && to > away.from),
	);
	for (const { id } of inside) differences.push(`${id} stands in the ${oven.name} while it is away`);
}

/** Every address of some days, by its kind. */
function pagesOf(
	{ served }: DatesShown,
	sittings: readonly { readonly id: string; readonly dishes: readonly { readonly id: string }[] }[],
): (readonly [kind: string, address: string])[] {
	const tables = sittings.flatMap(({ id, dishes }) =>
		dishes.map((dish) => `/sittings/${id}/dishes/${dish.id}`),
	);
	const places = ["buy", "trim", "sear", "build", "panUp", "braise", "sauce", "reheat", "chill", "plate"];
	return [
		["today", "/"],
		...served.flatMap(({ date }) => [
			["day", `/day/${date}`] as const,
			["day sheet", `/day/${date}/paper`] as const,
		]),
		...sittings.flatMap(({ id }) => [
			["sitting", `/sittings/${id}`] as const,
			["order sheet", `/sittings/${id}/order`] as const,
		]),
		...tables.flatMap((table) => [
			...places.map((place) => ["long table", `${table}?place=${place}`] as const),
			["sheet", `${table}/sheet`] as const,
			["labels", `${table}/labels`] as const,
			["cutting note", `${table}/cutting`] as const,
		]),
	];
}

async function holdAgainst(truth: Truth, pages: readonly (readonly [string, string])[]): Promise<void> {
	differences.push(...truth.wrong);
	for (const [kind, address] of pages) {
		const answer = await fetch(`${house.url}${address}`);
		if (!answer.ok) {
			differences.push(`${address} is answered with ${answer.status}`);
			continue;
		}
		const screen = readScreen(await answer.text());
		figures += screen.figures.length;
		outside.set(kind, (outside.get(kind) ?? 0) + screen.outside.length);
		differences.push(...differencesIn(screen.figures, truth).map((one) => `${address}: ${one}`));
	}
}
