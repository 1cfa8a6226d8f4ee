import equal from "fast-deep-equal";
import type { WorkedDish } from "#core/day";
import { vesselsFor } from "#core/kitchen";
import { fromBase, threeDigits } from "#core/quantity";
import { heatOf } from "#core/recipe";
import { keepsBy } from "#core/records";
import { wallClock } from "#core/time";
import type { PlaceKey } from "#core/trade";
import type { DishWithRecipe, PanTypeRow, Sitting } from "#db";
import { type Making, type PlaceView, placesOf, tasksOf } from "../places/index.ts";
import { pansWords } from "../places/words.ts";
import type { Typed, Wrong } from "../ui/forms/form.ts";
import { chillTyped, cookTyped, lineTyped, swapsTyped, usesTyped, wishesTyped } from "../ui/forms/settled.ts";
import type { TableTrial } from "../ui/forms/tableTrial.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import type { WorkedRow, WorkedTable } from "../ui/server/worked.server.ts";
import { allergenView } from "../ui/words/allergenView.ts";
import { cautionsOf } from "../ui/words/cautions.ts";
import { isSoon, percent, percentTyped, type Reading } from "../ui/words/reading.ts";
import { versionWords } from "../ui/words/stateWords.ts";
import { uptakeTyped } from "../ui/words/uptakeTyped.ts";
import { warningsNow } from "../ui/words/warningsNow.ts";
import { warningWords } from "../ui/words/warningWords.ts";
import { costsOthers } from "./costsOthers.ts";
import { detailOf } from "./detail.ts";
import { missedAt } from "./missedAt.ts";

/** A place with the figure it had before the trial, where that was another. */
export interface RipplingPlace extends PlaceView {
	/** The limit that it misses, in a word; null where it meets all. */
	readonly misses: string | null;
	readonly was?: { readonly figure?: string; readonly clock?: string };
}

export interface LongTableGiven {
	readonly visit: HouseVisit;
	/** The sitting in its day as it is stored. */
	readonly stands: WorkedTable;
	/** The same with what is tried; as it is stored where nothing is. */
	readonly now: WorkedTable;
	readonly dishId: string;
	readonly panTypes: readonly PanTypeRow[];
	readonly place: string | null;
	/** The control's figures, when they are tried and not yet taken. */
	readonly trial: TableTrial | null;
	/** The dish with something settled otherwise, where it stands. */
	readonly figuresWith: Making["tried"];
	readonly typed: Typed | null;
	readonly wrong: Wrong;
	/** What came of the main, as it is typed. */
	readonly came: string;
}

/** The long table of one dish, ready to show. */
export function longTableView(given: LongTableGiven) {
	const { visit, stands, now, dishId, trial } = given;
	const { reading } = visit;
	const stored = dishIn(stands, dishId);
	const tried = dishIn(now, dishId);
	const serviceAt = now.sitting.serviceAt;
	const head = {
		sitting: {
			id: stands.sitting.id,
			name: stands.sitting.name,
			room: stands.sitting.room,
			version: stands.sitting.version,
			when: `${reading.day(serviceAt)} ${reading.time(serviceAt)}`,
			others: stands.rows.length - 1,
		},
		dish: {
			id: stored.dish.id,
			name: stored.dish.recipe.name,
			recipeId: stored.dish.recipeId,
			number: stored.dish.number,
			version: versionWords(stored.dish),
		},
		service: {
			time: wallClock(serviceAt, reading.timeZone).time,
			day: reading.day(serviceAt),
			was: serviceWas(serviceAt, stands.sitting.serviceAt, reading),
		},
		day: `/day/${now.on.date}`,
		control: controlView(given, tried),
		wrong: given.wrong,
		changed: trial !== null && isOther(stored.dish, stands.sitting, trial),
		costs: now === stands ? [] : costsOthers(stands, now, dishId, reading),
	};
	if (!tried.plan) return { ...head, refused: tried.refused ?? "", table: null };
	return { ...head, refused: null, table: tableView(given, tried, tried.plan, stored.plan) };
}

/** When it was to be served, where that is tried otherwise: "19:30", with its day where that is another. */
function serviceWas(tried: number, stored: number, reading: Reading): string | null {
	if (tried === stored) return null;
	const time = reading.time(stored);
	return reading.day(tried) === reading.day(stored) ? time : `${reading.day(stored)} ${time}`;
}

export type LongTableView = ReturnType<typeof longTableView>;

function dishIn({ rows }: WorkedTable, id: string): WorkedRow {
	const found = rows.find(({ dish }) => dish.id === id);
	if (!found) throw new Error(`no dish ${id} on the sitting`);
	return found;
}

function isOther(dish: DishWithRecipe, sitting: Sitting, trial: TableTrial): boolean {
	return (
		Object.entries(trial.dish).some(
			([field, value]) => !equal(dish[field as keyof TableTrial["dish"]], value),
		) ||
		trial.sitting.covers !== sitting.covers ||
		trial.sitting.serviceAt !== sitting.serviceAt
	);
}

function controlView(given: LongTableGiven, { dish, plan }: WorkedRow) {
	const { reading } = given.visit;
	const { sitting, kitchen } = given.now;
	const { date, time } = wallClock(sitting.serviceAt, reading.timeZone);
	const kinds = new Set(vesselsFor(heatOf(dish.recipe), kitchen.equipment).map(({ id }) => id));
	const unit = reading.units === "us" ? "lb" : "kg";
	const kg = dish.onHand_g === null ? plan?.chain.asPurchased_kg : dish.onHand_g / 1000;
	const onHand =
		kg === undefined
			? ""
			: `${threeDigits(reading.units === "us" ? fromBase(kg * 1000, "lb") : kg).replace(",", "")} ${unit}`;
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

function tableView(
	given: LongTableGiven,
	{ dish, card }: WorkedRow,
	plan: WorkedDish,
	before: WorkedDish | undefined,
) {
	const { reading, house } = given.visit;
	const { kitchen } = given.now;
	const places = rippling(plan, before, given);
	const chosen = places.find(({ key }) => key === given.place) ?? places.find(({ key }) => key === "panUp");
	const selected: PlaceKey = chosen?.key ?? "buy";
	const cardLine = dish.line === null ? null : card.braise.line;
	return {
		next: nextOf(plan, given),
		places,
		selected,
		detail: detailOf(selected, {
			plan,
			kitchen,
			reading,
			cardLine,
			cook: dish.cook,
			making: makingOf(given, { dish, card }),
		}),
		yieldBar: yieldBarView(plan, given),
		warnings: warningsNow(plan, kitchen, reading).map((warning) => ({
			place: warning.place,
			...warningWords(warning, reading),
		})),
		brings: broughtBy(plan, before, reading),
		allergens: allergenView(plan.allergens, house.allergenList),
		cautions: cautionsOf(plan, kitchen.policy.code, kitchen.policy.liftLimit_kg, reading),
	};
}

/** What a trial brings that was not so before, the worst first. */
function broughtBy(plan: WorkedDish, before: WorkedDish | undefined, reading: Reading): string[] {
	if (before === plan) return [];
	const said = (of: WorkedDish) => of.warnings.map((warning) => warningWords(warning, reading).says);
	const old = new Set(before ? said(before) : []);
	return said(plan).filter((words) => !old.has(words));
}

/** What can be settled of what the dish is made of. */
function makingOf(given: LongTableGiven, { dish, card }: Pick<WorkedRow, "dish" | "card">): Making {
	const { house } = given.visit;
	return {
		card,
		swaps: dish.swaps,
		byProducts: dish.byProducts,
		cook: dish.cook,
		came: given.came,
		tried: given.figuresWith,
		rule: {
			timeZone: house.timeZone,
			keeps_days: keepsBy(house, given.now.kitchen.policy.code.life).chilled_days,
		},
		worth: house.byProductWorth,
		currency: house.currency,
	};
}

/** What comes next of the dish, for whoever stands at the stove with a telephone: when, what, in which pans. */
function nextOf(plan: WorkedDish, { visit, now: { kitchen } }: LongTableGiven) {
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

function rippling(
	plan: WorkedDish,
	before: WorkedDish | undefined,
	{ visit, now: { kitchen } }: LongTableGiven,
): RipplingPlace[] {
	const { reading } = visit;
	const warnings = warningsNow(plan, kitchen, reading);
	const places = placesOf({ plan, kitchen, reading }).map((place) => ({
		...place,
		misses: missedAt(place.key, warnings),
	}));
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
function yieldBarView(plan: WorkedDish, { visit }: LongTableGiven) {
	const { losses, portion } = plan.recipe;
	const { mass, units } = visit.reading;
	const { asPurchased_kg, trimmed_kg, cooked_kg, portions } = plan.chain;
	const boned = trimmed_kg * (1 - (losses.boneShare ?? 0));
	const parts = [
		{ key: "trim", name: "trim", kg: plan.sums.trim.result.value },
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
