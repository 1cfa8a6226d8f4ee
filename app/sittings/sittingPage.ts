import type { GuestSizes } from "#core/sitting";
import { wallClock } from "#core/time";
import { namesOfVersions, newId, readBook, readHouseCodes, readKitchen, readSitting } from "#db";
import { tasksOf } from "../places/index.ts";
import { codeChoices } from "../ui/server/codeChoices.ts";
import { inCodeOf } from "../ui/server/needs.server.ts";
import { lastEvents } from "../ui/server/sittingNames.ts";
import { foundOr404, type HouseVisit } from "../ui/server/visit.ts";
import { workedSitting } from "../ui/server/worked.server.ts";
import { counted, percentTyped } from "../ui/words/reading.ts";
import { dayLineView } from "./dayLine.view.ts";
import { dietViews } from "./dietViews.ts";
import { dishView } from "./dishView.ts";
import { missingWords, outsideHoursWords } from "./missingWords.ts";
import { removedDishes } from "./sittingEdit.ts";

/** Guests who do not eat one portion, as they are typed; nothing where all are alike. */
function guestsTyped(guests: GuestSizes | null): Record<string, string> {
	if (guests === null) return {};
	const { half, oneAndHalf, seconds } = guests;
	const or = (count: number) => (count === 0 ? "" : String(count));
	return { half: or(half), oneAndHalf: or(oneAndHalf), seconds: seconds === 0 ? "" : percentTyped(seconds) };
}

/** One sitting with its dishes, planned, and what may be put on it. */
export async function sittingPage(
	{ store, reading: anyDay, house }: HouseVisit,
	{ id }: { readonly id: string },
) {
	const sitting = await foundOr404(readSitting(store.db, id), "sitting");
	const reading = anyDay.towards(sitting.serviceAt);
	const [worked, book] = await Promise.all([workedSitting(store.db, sitting), readBook(store.db)]);
	const { rows = [], batches = [], on } = worked ?? {};
	const kitchen =
		worked?.kitchen ?? inCodeOf(await readKitchen(store.db, []), sitting, await readHouseCodes(store.db));
	const events = await lastEvents(store.db, sitting);
	const removed = removedDishes(sitting, events);
	const names = await namesOfVersions(
		store.db,
		removed.map(({ dish }) => dish.recipeVersionId),
	);
	const standards = new Map(book.map(({ recipeId, number }) => [recipeId, number]));
	const { date, time } = wallClock(sitting.serviceAt, house.timeZone);
	const first = rows
		.flatMap(({ dish, plan }) =>
			plan ? tasksOf({ plan, kitchen, reading }).map((task) => ({ ...task, dish })) : [],
		)
		.sort((a, b) => a.at - b.at)[0];
	return {
		id: sitting.id,
		version: sitting.version,
		/** The next dish that is added gets this, so that what is sent twice is added once. */
		newId: newId(),
		removed: removed.map(({ dish, who, at }) => ({
			id: dish.id,
			says: `${names.get(dish.recipeVersionId)?.name ?? "A dish"} was taken off by ${who}, ${reading.clock(at)}.`,
		})),
		name: sitting.name,
		date,
		calledOff: sitting.calledOff,
		note: sitting.note,
		when: `${reading.day(sitting.serviceAt)} ${time}`,
		where: `${sitting.room ? `${sitting.room}, ` : ""}${counted(sitting.covers, "cover")}, ${counted(sitting.hands, "cook")}`,
		first: first ? { clock: reading.clock(first.at), task: first.words, dish: first.dish.recipe.name } : null,
		taken: Math.round(sitting.dishes.reduce((sum, dish) => sum + dish.uptake, 0) * 100),
		dishes: rows.map((row) => dishView(row, sitting.serviceAt, kitchen, reading, standards)),
		dayLine: dayLineView(rows, sitting.serviceAt, reading),
		/** What its day can not have for it, with all that is served on it. */
		missing: [
			...(on && !sitting.calledOff ? missingWords(id, on.day, reading) : []),
			...outsideHoursWords(batches, kitchen.policy, reading),
		],
		diets: dietViews(sitting.diets, rows),
		typed: {
			name: sitting.name,
			room: sitting.room,
			date,
			time,
			covers: String(sitting.covers),
			hands: String(sitting.hands),
			note: sitting.note,
			houseCode: sitting.houseCode ?? "",
			codeReason: sitting.codeReason,
			carry_min: sitting.carry === null ? "" : String(sitting.carry.minutes),
			carryAir_C: sitting.carry === null ? "" : String(sitting.carry.air_C),
			carryPacked_C: sitting.carry?.packed_C === undefined ? "" : String(sitting.carry.packed_C),
			carryOpened: sitting.carry?.openings ? String(sitting.carry.openings) : "",
			carryHot: sitting.carry === null ? "" : sitting.carry.hot ? "hot" : "cold",
			...guestsTyped(sitting.guests),
			...Object.fromEntries(sitting.diets.map(({ diet, covers }) => [`diet.${diet}`, String(covers)])),
		},
		codes: await codeChoices(store.db),
		ownCode:
			sitting.houseCode === null ? null : `Works to “${kitchen.policy.code.name}”: ${sitting.codeReason}`,
		book: book.map(({ recipeId, doc, state }) => ({
			id: recipeId,
			name: state === "tested" ? `${doc.name} (in test)` : doc.name,
		})),
	};
}
