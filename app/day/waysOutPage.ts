import {
	type BestOrder,
	changesIn,
	changeWords,
	type DayNames,
	type Remedy,
	remediesFor,
	type WayOut,
	waysOut,
} from "#core/day";
import { isMadeAhead } from "#core/dish";
import { durationWords } from "#core/time";
import type { Told } from "#server";
import type { HouseVisit } from "../ui/server/visit.ts";
import { remediedDate, workedDates } from "../ui/server/worked.server.ts";
import { counted } from "../ui/words/reading.ts";
import { betterOrder } from "./betterOrder.server.ts";
import { trialAddress } from "./tell.ts";
import { NOTHING_MISSING, type WayOutView, type WaysOutView } from "./waysOut.ts";

/** What would free a day of what it goes without: the smallest sets of changes, each tried. */
export async function waysOutPage(
	{ store, reading }: HouseVisit,
	{ date }: { readonly date: string },
	told: Told,
): Promise<WaysOutView> {
	const [own] = await workedDates(store.db, date, date);
	if (!own || own.day.unmet.length === 0) return NOTHING_MISSING;
	const { day } = own;
	const given = own.given();
	const better = await betterOrder(store.db, own, reading.now, told);
	const ahead = new Map([...day.dishes].map(([id, { recipe }]) => [id, isMadeAhead(recipe)]));
	const place = (remedies: readonly Remedy[]) => remediedDate(store.db, date, remedies, reading.now);
	const found = await waysOut(day, remediesFor(day, given, ahead), place, told);
	const names: DayNames = {
		day,
		sittings: given.sittings,
		timeZone: reading.timeZone,
		clockHours: reading.clockHours,
		temperature: reading.temperature,
	};
	// An order that frees all of it asks for nothing; one that only helps stands after what frees more.
	const inOrder = better ? [orderWay(better, date)] : [];
	const isEnough = better?.missing_min === 0;
	return {
		says: saysOf(found.ways, found.proven, found.tried),
		ways: [
			...(isEnough ? inOrder : []),
			...found.ways.map((way) => ({
				id: JSON.stringify(way.remedies),
				words: way.remedies.map((remedy) => remedyWords(remedy, names)).join(", and "),
				frees: freesWords(way, day.waiting_rung_min),
				to: way.remedies.some(({ kind }) => kind === "room")
					? null
					: trialAddress(date, changesIn(way.remedies)),
			})),
			...(isEnough ? [] : inOrder),
		],
	};
}

/** The same dishes placed in another order: nobody has to arrange anything for it. */
function orderWay({ order, missing_min, was_min, of }: BestOrder, date: string): WayOutView {
	return {
		id: `order ${order}`,
		words: `The dishes placed in another order, the best of ${of}`,
		frees:
			missing_min === 0
				? "frees all of it"
				: `goes without ${durationWords(missing_min)} of work and things, was ${durationWords(was_min)}`,
		to: trialAddress(date, [{ kind: "order", order }]),
	};
}

function saysOf(ways: readonly WayOut[], proven: boolean, tried: number): string {
	const looked = `${counted(tried, "day")} tried.`;
	const [first] = ways;
	if (!first) return `Nothing that was tried helps: fewer covers, or another day. ${looked}`;
	const { length } = first.remedies;
	if (first.left > 0) return `No change that was tried frees all of it; these help most. ${looked}`;
	if (length === 1) return `One change is enough; each of these frees all of it. ${looked}`;
	const together = `${length === 2 ? "two" : length} together`;
	return proven
		? `No single change frees all of it; ${together} do. ${looked}`
		: `No single change that was tried frees all of it; ${together} do. ${looked}`;
}

function freesWords({ left, late_min, waiting_rung_min }: WayOut, waited: number): string {
	const leaves = left === 0 ? "frees all of it" : `leaves ${counted(left, "thing")} short`;
	const late = late_min > 0 ? `, ${durationWords(late_min)} late` : "";
	const waits = Math.round(waiting_rung_min);
	const was = Math.round(waited);
	const waiting =
		waits === was ? "" : `; ${counted(waits, "rung-minute")} of waiting, was ${was.toLocaleString("en-GB")}`;
	return `${leaves}${late}${waiting}`;
}

function remedyWords(remedy: Remedy, names: DayNames): string {
	if (remedy.kind !== "room") return changeWords(remedy, names);
	const thing = names.day.equipment.find(({ id }) => id === remedy.equipment);
	const name = thing?.name ?? remedy.equipment;
	switch (thing?.kind) {
		case "oven":
			return `${counted(remedy.more, "rung")} more in the ${name}`;
		case "fridge":
			return `${remedy.more} l more room in the ${name}`;
		case "chiller":
			return `room for ${counted(remedy.more, "pan")} more in the ${name}`;
		case "box":
			return `${counted(remedy.more, "box", "boxes")} more of ${name}`;
		case "warmer":
			return `room for ${counted(remedy.more, "plate")} more in the ${name}`;
		default:
			return `${remedy.more} more ${name.toLowerCase()}`;
	}
}
