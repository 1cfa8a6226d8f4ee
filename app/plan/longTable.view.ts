import equal from "fast-deep-equal";
import { type Kitchen, vesselsFor } from "#core/kitchen";
import { type Plan, startAt, taskAt } from "#core/plan";
import { threeDigits } from "#core/quantity";
import { heatOf, isInOven } from "#core/recipe";
import { cookedRecipe, sharedOut } from "#core/sitting";
import type { PlacedTask } from "#core/tasks";
import { wallClock } from "#core/time";
import type { PlaceKey } from "#core/trade";
import type { DishWithRecipe, PanTypeRow, Sitting } from "#db";
import { type Making, type PlaceView, placesOf, tasksOf } from "../places/index.ts";
import { pansWords } from "../places/words.ts";
import type { Typed, Wrong } from "../ui/forms/form.ts";
import { chillTyped, cookTyped, lineTyped, swapsTyped, usesTyped, wishesTyped } from "../ui/forms/settled.ts";
import { planDishes } from "../ui/server/planned.server.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { allergenView } from "../ui/words/allergenView.ts";
import { cautionsOf } from "../ui/words/cautions.ts";
import { isSoon, percent, percentTyped, type Reading } from "../ui/words/reading.ts";
import { versionWords } from "../ui/words/stateWords.ts";
import { uptakeTyped } from "../ui/words/uptakeTyped.ts";
import { warningWords } from "../ui/words/warningWords.ts";
import { detailOf } from "./detail.ts";
import type { Trial } from "./trial.ts";

/** A place with the figure it had before the trial, where that was another. */
export interface RipplingPlace extends PlaceView {
	readonly was?: { readonly figure?: string; readonly clock?: string };
}

export interface LongTableGiven {
	readonly visit: HouseVisit;
	readonly kitchen: Kitchen;
	readonly sitting: Sitting;
	readonly dishes: readonly DishWithRecipe[];
	readonly dishId: string;
	readonly panTypes: readonly PanTypeRow[];
	readonly place: string | null;
	/** The control's figures, when they are tried and not yet taken. */
	readonly trial: Trial | null;
	/** The dish as it stands in its whole day; null on trial, and where it is called off. */
	readonly inDay: Plan | null;
	readonly typed: Typed | null;
	readonly wrong: Wrong;
	/** What came of the main, as it is typed. */
	readonly came: string;
}

/** The long table of one dish, ready to show. */
export function longTableView(given: LongTableGiven) {
	const { visit, sitting, trial } = given;
	const { reading } = visit;
	const stored = dishIn(given.dishes, given.dishId);
	const tried = trial ? { ...stored, ...trial.dish } : stored;
	const triedSitting = trial ? { ...sitting, ...trial.sitting } : sitting;
	const before = planOne(given, stored, sitting);
	const now = trial ? planOne(given, tried, triedSitting) : before;
	const head = {
		sitting: {
			id: sitting.id,
			name: sitting.name,
			room: sitting.room,
			version: sitting.version,
			when: `${reading.day(triedSitting.serviceAt)} ${wallClock(triedSitting.serviceAt, reading.timeZone).time}`,
			others: given.dishes.length - 1,
		},
		dish: {
			id: stored.id,
			name: stored.recipe.name,
			recipeId: stored.recipeId,
			number: stored.number,
			version: versionWords(stored),
		},
		service: {
			time: wallClock(triedSitting.serviceAt, reading.timeZone).time,
			day: reading.day(triedSitting.serviceAt),
			was: serviceWas(triedSitting.serviceAt, sitting.serviceAt, reading),
		},
		control: controlView(given, tried, triedSitting, now.plan),
		wrong: given.wrong,
		changed: trial !== null && isOther(stored, sitting, trial),
	};
	if (!now.plan) return { ...head, refused: now.refused ?? "", table: null };
	return { ...head, refused: null, table: tableView(given, tried, now.plan, before.plan) };
}

/** When it was to be served, where that is tried otherwise: "19:30", with its day where that is another. */
function serviceWas(tried: number, stored: number, reading: Reading): string | null {
	if (tried === stored) return null;
	const { time } = wallClock(stored, reading.timeZone);
	return reading.day(tried) === reading.day(stored) ? time : `${reading.day(stored)} ${time}`;
}

export type LongTableView = ReturnType<typeof longTableView>;

function dishIn(dishes: readonly DishWithRecipe[], id: string): DishWithRecipe {
	const dish = dishes.find((candidate) => candidate.id === id);
	if (!dish) throw new Error(`no dish ${id} on the sitting`);
	return dish;
}

/** Plans the whole sitting, since its dishes share pans and ovens, and gives the one. */
function planOne({ dishes, kitchen }: LongTableGiven, dish: DishWithRecipe, sitting: Sitting) {
	const all = dishes.map((other) => (other.id === dish.id ? dish : other));
	const planned = planDishes(sharedOut(sitting.covers, all), sitting, kitchen).rows.find(
		(row) => row.dish.id === dish.id,
	);
	return { plan: planned?.plan, refused: planned?.refused };
}

function isOther(dish: DishWithRecipe, sitting: Sitting, trial: Trial): boolean {
	return (
		Object.entries(trial.dish).some(([field, value]) => !equal(dish[field as keyof Trial["dish"]], value)) ||
		trial.sitting.covers !== sitting.covers ||
		trial.sitting.serviceAt !== sitting.serviceAt
	);
}

function controlView(given: LongTableGiven, dish: DishWithRecipe, sitting: Sitting, plan: Plan | undefined) {
	const { reading } = given.visit;
	const { date, time } = wallClock(sitting.serviceAt, reading.timeZone);
	const kinds = new Set(vesselsFor(heatOf(cookedRecipe(dish)), given.kitchen.equipment).map(({ id }) => id));
	const unit = reading.units === "us" ? "lb" : "kg";
	const kg = dish.onHand_g === null ? plan?.chain.asPurchased_kg : dish.onHand_g / 1000;
	const onHand =
		kg === undefined
			? ""
			: `${threeDigits(reading.units === "us" ? kg / 0.45359237 : kg).replace(",", "")} ${unit}`;
	const stored = {
		covers: String(sitting.covers),
		uptake: uptakeTyped(dish),
		spare: percentTyped(dish.spare),
		date,
		time,
		basis: dish.basis,
		onHand,
		pans: String(dish.panCount ?? plan?.pans.pans.length ?? 1),
		panType: dish.panTypeId ?? "",
		wishes: wishesTyped(dish.panWishes),
		line: lineTyped(dish.line),
		colour: dish.colour ?? "",
		chill: chillTyped(dish.chill),
		cook: cookTyped(dish.cook),
		swaps: swapsTyped(dish.swaps),
		byProducts: usesTyped(dish.byProducts),
		ahead: dish.ahead === null ? "" : dish.ahead ? "yes" : "no",
	};
	return {
		typed: { ...stored, ...given.typed },
		/** Beside the uptake, where it is a per cent. */
		uptakeAfter: dish.share === null ? "%" : undefined,
		unit,
		segments: [
			{
				basis: "covers" as const,
				label: "From covers",
				figure: plan
					? `${sitting.covers} × ${percent(dish.uptake)} + ${percent(dish.spare)} = ${plan.wanted}`
					: `${sitting.covers} covers`,
			},
			{ basis: "onHand" as const, label: "Weight on hand", figure: onHand },
			{ basis: "pans" as const, label: "Pans", figure: stored.pans },
		],
		panTypes: given.panTypes
			.filter((pan) => kinds.has(pan.id))
			.map(({ id, name, stock }) => ({ id, name, stock })),
	};
}

function tableView(given: LongTableGiven, dish: DishWithRecipe, plan: Plan, before: Plan | undefined) {
	const { reading, house } = given.visit;
	const { kitchen } = given;
	const places = rippling(plan, before, given);
	const chosen = places.find(({ key }) => key === given.place) ?? places.find(({ key }) => key === "panUp");
	const selected: PlaceKey = chosen?.key ?? "buy";
	const cardLine = dish.line === null ? null : dishIn(given.dishes, given.dishId).recipe.braise.line;
	return {
		next: nextOf(given.inDay ?? plan, given),
		inDay: given.inDay && inDayView(given.inDay, plan, selected, reading),
		places,
		selected,
		detail: detailOf(selected, {
			plan,
			kitchen,
			reading,
			cardLine,
			cook: dish.cook,
			making: makingOf(given, dish),
		}),
		yieldBar: yieldBarView(plan, given),
		warnings: plan.warnings.map((warning) => ({ place: warning.place, ...warningWords(warning, reading) })),
		brings: broughtBy(plan, before, reading),
		allergens: allergenView(plan.allergens, house.allergenList),
		cautions: cautionsOf(plan, kitchen.policy.code, kitchen.policy.liftLimit_kg, reading),
	};
}

/** What a trial brings that was not so before, the worst first. */
function broughtBy(plan: Plan, before: Plan | undefined, reading: Reading): string[] {
	if (before === plan) return [];
	const said = (of: Plan) => of.warnings.map((warning) => warningWords(warning, reading).says);
	const old = new Set(before ? said(before) : []);
	return said(plan).filter((words) => !old.has(words));
}

/** What can be settled of what the dish is made of. */
function makingOf(given: LongTableGiven, dish: DishWithRecipe): Making {
	const { house } = given.visit;
	const sitting = given.trial ? { ...given.sitting, ...given.trial.sitting } : given.sitting;
	return {
		card: dish.recipe,
		swaps: dish.swaps,
		byProducts: dish.byProducts,
		cook: dish.cook,
		came: given.came,
		tried: (other) => planOne(given, { ...dish, ...other }, sitting).plan,
		rule: { timeZone: house.timeZone, keeps_days: house.chilled_days },
		worth: house.byProductWorth,
		currency: house.currency,
	};
}

/** Where the whole day has the dish, where that is another time than it would have the kitchen to itself. */
function inDayView(inDay: Plan, alone: Plan, selected: PlaceKey, reading: Reading) {
	const isAgain = selected === "reheat";
	const into = isAgain ? taskAt(inDay, "reheat", "reheat") : taskAt(inDay, "braise", "oven");
	if (!into || into.start === startAt(alone, isAgain ? "reheat" : "braise")) return null;
	const clock = reading.clockAfter(into.start, inDay.order.serviceAt);
	const goes = isInOven(inDay.recipe)
		? `it goes into ${isAgain ? "an oven again" : ovenWords(inDay, into, reading)}`
		: `it goes on${isAgain ? " again" : ""}`;
	return {
		to: `/day/${wallClock(inDay.order.serviceAt, reading.timeZone).date}`,
		words: `With all else of the day ${goes} at ${clock}, as its sheets say. Here it has the kitchen to itself.`,
	};
}

/** "the North oven, 150 °C," */
function ovenWords({ braise }: Plan, { figures }: PlacedTask, { temperature }: Reading): string {
	const group = braise?.groups.find(({ id }) => id === figures.group);
	return group?.oven ? `the ${group.oven.name}, ${temperature(group.set_C)},` : "an oven";
}

/** What comes next of the dish, for whoever stands at the stove with a telephone: when, what, in which pans. */
function nextOf(plan: Plan, { visit, kitchen }: LongTableGiven) {
	const { reading } = visit;
	const tasks = tasksOf({ plan, kitchen, reading });
	const next = tasks.find(({ at }) => at >= reading.now);
	if (!next) return null;
	return {
		clock: reading.clock(next.at),
		words: next.words,
		pans: pansWords(plan),
		isSoon: isSoon(next.at, reading),
	};
}

function rippling(plan: Plan, before: Plan | undefined, { visit, kitchen }: LongTableGiven): RipplingPlace[] {
	const { reading } = visit;
	const places = placesOf({ plan, kitchen, reading });
	if (!before || before === plan) return places;
	const old = new Map(placesOf({ plan: before, kitchen, reading }).map((place) => [place.key, place]));
	return places.map((place) => {
		const was = old.get(place.key);
		const figure =
			was && was.figure !== place.figure ? { figure: withoutUnit(was.figure, place.figure) } : {};
		const clock =
			was && was.clock !== place.clock
				? { clock: was.day === place.day ? withoutWord(was.time, place.time) : was.clock }
				: {};
		return "figure" in figure || "clock" in clock ? { ...place, was: { ...figure, ...clock } } : place;
	});
}

/** "24" beside "27 kg": its unit stands there already. */
function withoutUnit(was: string, now: string): string {
	const [, figure, unit] = /^([\d.,]+) (.+)$/.exec(was) ?? [];
	return figure !== undefined && now.endsWith(` ${unit}`) ? figure : was;
}

/** "14:30" beside "in 14:00": what the clock is of stands there already. */
function withoutWord(was: string, now: string): string {
	const [, word = "", clock = was] = /^(\D+ )(\d.*)$/.exec(was) ?? [];
	return now.startsWith(word) ? clock : was;
}

/** The bar that loses weight from the purchase to the plate. */
function yieldBarView(plan: Plan, { visit }: LongTableGiven) {
	const { losses, portion } = plan.recipe;
	const { mass, units } = visit.reading;
	const { asPurchased_kg, trimmed_kg, cooked_kg, portions } = plan.chain;
	const boned = trimmed_kg * (1 - (losses.boneShare ?? 0));
	const parts = [
		{ key: "trim", name: "trim", kg: asPurchased_kg - trimmed_kg },
		{ key: "bone", name: "bone", kg: trimmed_kg - boned },
		{ key: "cookingLoss", name: "cooking loss", kg: boned - cooked_kg },
		{ key: "cooked", name: "cooked", kg: cooked_kg },
	] as const;
	return {
		bought: mass(asPurchased_kg),
		bought_kg: asPurchased_kg,
		unit: units === "us" ? ("lb" as const) : ("kg" as const),
		portions,
		onPlates:
			"portion_g" in portion
				? `${portions} × ${mass(portion.portion_g / 1000)}`
				: `${portions} × ${portion.piecesPerPortion} piece`,
		parts: parts
			.filter(({ kg }) => kg > 0.0005)
			.map(({ key, name, kg }) => ({ key, words: `${name} ${mass(kg)}`, share: kg / asPurchased_kg })),
	};
}
