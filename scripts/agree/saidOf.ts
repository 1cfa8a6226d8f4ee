import { byProductsOf, type OrderRow, orderList, tastingsOf } from "#core/dish";
import { GASTRONORM } from "#core/pans";
import { comesUpTo, KILL_TABLES } from "#core/safety";
import { COLOUR_C } from "#core/sear";
import { MINUTE_MS } from "#core/time";
import type { WorkedDate, WorkedSitting } from "../../app/ui/server/worked.server.ts";
import { Said } from "./Said.ts";

type Worked = NonNullable<WorkedSitting["rows"][number]["plan"]>;

/** Every number of one dish, and of the sitting and the house it stands in. */
export function saidOf(date: WorkedDate, sitting: WorkedSitting, dish: string): Said {
	const row = sitting.rows.find((one) => one.dish.id === dish);
	const said = new Said();
	addHouse(said, date, sitting);
	if (row) addDish(said, row, sitting);
	return said;
}

/** Every number of some dates. */
export function saidIn(dates: readonly WorkedDate[]): Said {
	const said = new Said();
	for (const date of dates) {
		for (const sitting of date.sittings) {
			addHouse(said, date, sitting);
			for (const row of sitting.rows) addDish(said, row, sitting);
		}
	}
	return said;
}

function addHouse(
	said: Said,
	{ day, told, issue }: WorkedDate,
	{ sitting, kitchen, rows, batches }: WorkedSitting,
) {
	const { policy, equipment, known } = kitchen;
	const packs = [...known.byId.values()].map(({ pack_g, density_g_per_ml }) => ({
		ml: (pack_g ?? 0) / (density_g_per_ml ?? 1),
	}));
	const { code } = policy;
	said.add({ hot_C: comesUpTo(code), kill: KILL_TABLES[code.kill] });
	said.add({ packs, pans_mm: Object.values(GASTRONORM), plates_mm: PLATES_MM });
	for (const text of wordsIn(sitting)) said.addWords(text);
	said.add({ ...day, dishes: null, told, issued: issue?.at, sitting, policy, equipment, known, batches });
	const planned = rows.flatMap(({ plan }) =>
		plan ? [{ name: plan.recipe.name, recipe: plan.recipe, plan }] : [],
	);
	for (const some of [planned, ...planned.map((one) => [one])]) {
		said.add(orderList(some, known.preparations, known.byId).map(inLitresToo));
	}
}

function addDish(
	said: Said,
	{ plan, card, dish }: WorkedSitting["rows"][number],
	{ kitchen }: WorkedSitting,
) {
	said.add({ card, dish, colour: { set_C: COLOUR_C } });
	for (const text of wordsIn(card)) said.addWords(text);
	if (!plan) return;
	said.add(plan).add(tastingsOf(plan)).add(onceMore(plan));
	// Their dates are no numbers with a unit.
	const left = byProductsOf(plan, { timeZone: kitchen.policy.timeZone, keeps_days: 1 });
	said.add(left.map(({ kind, kg, ...one }) => ({ ...one, kg, ...(kind === "liquid" ? { l: kg } : {}) })));
}

/** What is bought by volume is told by the litre. */
function inLitresToo(row: OrderRow) {
	const density = row.ingredient.density_g_per_ml ?? 1;
	const { asPurchased_kg, order_kg, here_kg } = row;
	return { ...row, litres: [asPurchased_kg, order_kg, here_kg].map((kg) => kg / density) };
}

/** All that somebody wrote of a card. */
export function wordsIn(value: unknown): string[] {
	if (typeof value === "string") return [value];
	return typeof value === "object" && value !== null ? Object.values(value).flatMap(wordsIn) : [];
}

/** What follows from the figures of a dish by one step, worked out here once more. */
function onceMore({ recipe, order, chain, lines, liquid, braise, chill, reheat, tasks }: Worked) {
	const { order_kg } = chain;
	const { weight_g } = recipe.piece;
	const lifts = [...tasks.filter(({ place }) => place === "rest").map(({ start }) => start), order.serviceAt];
	const doors = tasks.filter(({ figures }) => figures.group !== undefined).map(({ start }) => start);
	const later = (starts: readonly number[], minutes: readonly number[]) =>
		starts.flatMap((at) => minutes.map((after) => shownAs(at, after)));
	const braised = (braise?.groups ?? []).flatMap(({ id, braised: { marks }, tender_min }) => {
		const starts = tasks.filter(({ figures }) => figures.group === id).map(({ start }) => start);
		return later(starts, [tender_min, ...Object.values(marks)].flatMap(minutesOf));
	});
	const startsAt = (place: string) => tasks.filter((task) => task.place === place).map(({ start }) => start);
	return {
		spare_kg: (order_kg ?? Number.NaN) - chain.asPurchased_kg,
		lost_kg: chain.trimmed_kg - chain.cooked_kg,
		bone_kg: chain.trimmed_kg * (recipe.losses.boneShare ?? 0),
		pieces_g: [PIECE_SPREAD, CUT_SPREAD].flatMap((by) => [(1 - by) * weight_g, (1 + by) * weight_g]),
		straight_g: lines.map(({ straight }) => straight ?? 0),
		saltEnds_g: [liquid?.cooked_kg ?? 0, liquid?.vegetables_kg ?? 0, liquid?.left_l ?? 0].map(
			(kg) => kg * 10 * (liquid?.salt_pct ?? 0),
		),
		salt_g: (liquid?.salt.from ?? []).map(({ g }) => g),
		tooDeep_mm: (chill?.way.depth_mm ?? Number.NaN) - (chill?.deepest_mm ?? Number.NaN),
		// What is first asked of another start: how long there is from so much later than the door.
		fromLater_min: lifts.flatMap((lift) => doors.map((door) => (lift - door) / MINUTE_MS - LATER_MIN)),
		braised,
		chilled: later(
			startsAt("chill"),
			Object.values(chill?.way.clock ?? {}).filter((minute) => minute !== null),
		).concat(
			later(
				startsAt("chill"),
				(chill?.way.limits ?? []).flatMap(({ reach, within_min }) => [
					...Object.values(reach).filter((one) => typeof one === "number"),
					(chill?.way.clock.begins_min ?? 0) + within_min,
				]),
			),
		),
		reheated: later(startsAt("reheat"), [...minutesOf(reheat?.minutes), reheat?.planned_min ?? 0]),
	};
}

/** By so much the pieces of a pan may differ, as a share. */
const PIECE_SPREAD = 0.04;
/** And those that a butcher cuts. */
const CUT_SPREAD = 0.1;
const LATER_MIN = 20;
/** As plates, platters and boxes are drawn. */
const PLATES_MM = [270, 460, 320, 180, 130];
const FIVE_MS = 5 * MINUTE_MS;

/** So many minutes after an instant: to the minute, and to the five minutes of the clock and of the wait. */
function shownAs(at: number, minutes: number): number[] {
	const later = at + minutes * MINUTE_MS;
	const five = (ms: number) => Math.round(ms / FIVE_MS) * FIVE_MS;
	return [Math.round(later / MINUTE_MS) * MINUTE_MS, five(later), at + five(minutes * MINUTE_MS)];
}

function minutesOf(
	range: Partial<Readonly<Record<"low" | "likely" | "high", number | null>>> | null | undefined,
): number[] {
	return [range?.low, range?.likely, range?.high].flatMap((minutes) => minutes ?? []);
}
