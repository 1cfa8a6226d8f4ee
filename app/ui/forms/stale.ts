import type { ChillChoice } from "#core/dish";
import { ingredientFieldWords } from "#core/exchange";
import { type LiquidLine, lineWords, type PanWish } from "#core/pans";
import { DIETS, type DietCount } from "#core/recipe";
import type { CookChoice } from "#core/sitting";
import type { Stale, StoredEvent } from "#db";
import { cookWords } from "../words/cookWords.ts";
import type { Reading } from "../words/reading.ts";

/** What somebody else changed in between, in words. */
export interface StaleView {
	/** The version that is stored now; saving again goes on top of it. */
	readonly version: number;
	readonly changes: readonly { readonly who: string; readonly at: string; readonly what: string }[];
}

/**
 * @param names what short names in the record mean: dishes, versions of recipes, kinds of pans
 */
export function staleView(
	stale: Stale,
	reading: Reading,
	names: ReadonlyMap<string, string> = new Map(),
): StaleView {
	return {
		version: stale.version,
		changes: stale.events.flatMap((event) =>
			shownChanges(event.changes).map((change) => ({
				who: event.who,
				at: reading.clock(event.at),
				what: changeWords(change, reading, names),
			})),
		),
	};
}

type Changed = StoredEvent["changes"][number];

/** A dish that came or went is one change, and not one for each of its fields. */
function shownChanges(changes: readonly Changed[]): Changed[] {
	const whole = new Set(
		changes.flatMap(({ field, from, to }) => {
			const [, dish, name] = field.split(".");
			return name === "recipeVersionId" && (from === null || to === null) ? [dish] : [];
		}),
	);
	return changes.filter(({ field }) => {
		const [dishes, dish, name] = field.split(".");
		return dishes !== "dishes" || (name !== "position" && (!whole.has(dish) || name === "recipeVersionId"));
	});
}

/** Stored fields in a chef's words. */
const FIELD_WORDS: Readonly<Record<string, string>> = {
	serviceAt: "service",
	onHand_g: "weight on hand",
	panCount: "number of pans",
	panTypeId: "kind of pan",
	panWishes: "pans settled",
	line: "liquid line",
	colour: "colouring",
	ahead: "the day it is cooked",
	chill: "how it is cooled",
	cook: "how it is made tender",
	air_C: "its air",
	recipeVersionId: "standard",
	calledOff: "called off",
	depth_mm: "depth",
	length_mm: "length",
	width_mm: "width",
	diameter_mm: "diameter",
	pitch_mm: "distance between rungs",
	power_w: "power",
	min_C: "coolest",
	max_C: "hottest",
	opens_min: "opening",
	closes_min: "closing",
	headspace_mm: "headspace",
	liftLimit_g: "carrying limit",
	timeZone: "time zone",
	houseCode: "house code",
	searPanId: "searing pan",
	basis: "what it is scaled from",
	diets: "guests by diet",
	allergenList: "list of allergens",
	saltLow_pct: "least salt",
	confidence_pct: "how sure to be tender in time",
	altitude_m: "height above the sea",
	chilled_days: "days chilled",
	frozen_days: "days frozen",
	opened_days: "days opened",
	scaleStep_g: "what the scales read to",
	saltHigh_pct: "most salt",
};

function changeWords(
	{ field, from, to }: Changed,
	reading: Reading,
	names: ReadonlyMap<string, string>,
): string {
	const last = field.split(".").at(-1) ?? field;
	if (field.startsWith("dishes.")) {
		const dish = names.get(field.split(".")[1] ?? "") ?? "a dish";
		if (last === "recipeVersionId" && from === null) return `${dish}: put on`;
		if (last === "recipeVersionId" && to === null) return `${dish}: taken off`;
		return `${dish}, ${figureWords(last, from, to, reading, names)}`;
	}
	return figureWords(last, from, to, reading, names);
}

function figureWords(
	field: string,
	from: unknown,
	to: unknown,
	reading: Reading,
	names: ReadonlyMap<string, string>,
): string {
	const words = (value: unknown) => valueWords(field, value, reading, names);
	return `${FIELD_WORDS[field] ?? ingredientFieldWords(field)}: ${words(from)} → ${words(to)}`;
}

/** Fields that hold a short name; one that nobody knows any more is only said to have changed. */
const NAMED: ReadonlySet<string> = new Set(["recipeVersionId", "panTypeId", "searPanId"]);

function valueWords(
	field: string,
	value: unknown,
	reading: Reading,
	names: ReadonlyMap<string, string>,
): string {
	if (field === "ahead")
		return value === null ? "as the card says" : value ? "the day before" : "the same day";
	if (value === null || value === "") return "none";
	if (NAMED.has(field)) return names.get(String(value)) ?? "another";
	const own = OWN_WORDS[field];
	if (own) return own(value as never, reading, names);
	if (field.endsWith("_g") && typeof value === "number") return reading.mass(value / 1000);
	return plainWords(value);
}

function plainWords(value: unknown): string {
	if (Array.isArray(value)) return listWords(value);
	if (typeof value === "boolean") return value ? "yes" : "no";
	return typeof value === "object" ? "another" : String(value);
}

type Say<T> = (value: T, reading: Reading, names: ReadonlyMap<string, string>) => string;

/** Fields whose values are said in a way of their own. */
const OWN_WORDS: Readonly<Record<string, Say<never> | undefined>> = {
	ahead: (ahead: boolean) => (ahead ? "the day before" : "the same day"),
	panWishes: (wishes: readonly PanWish[], _reading, names) => wishesWords(wishes, names),
	line: (line: LiquidLine) => lineWords(line),
	chill: ({ parts, ice }: ChillChoice) =>
		[parts === 1 ? "whole" : `each pan over ${parts}`, ...(ice ? ["in iced water"] : [])].join(", "),
	cook: (cook: CookChoice, reading) => cookWords(cook, reading.temperature),
	basis: (basis: string) => BASIS_WORDS[basis] ?? basis,
	colour: (way: string) => COLOUR_WORDS[way] ?? way,
	serviceAt: (at: number, reading) => reading.clock(at),
	uptake: (share: number) => `${Math.round(share * 100)} %`,
	spare: (share: number) => `${Math.round(share * 100)} %`,
};

const BASIS_WORDS: Readonly<Record<string, string>> = {
	covers: "covers",
	onHand: "weight on hand",
	pans: "a number of pans",
};
const COLOUR_WORDS: Readonly<Record<string, string>> = {
	pan: "in the pan",
	tilting: "in the tilting pan",
	oven: "on trays in the oven",
};

function wishesWords(wishes: readonly PanWish[], names: ReadonlyMap<string, string>): string {
	if (wishes.length === 0) return "none";
	return wishes.map(({ typeId, count }) => `${count} × ${names.get(typeId) ?? "a kind of pan"}`).join(", ");
}

/** A list as words; guests by diet as "6 no gluten". */
function listWords(values: readonly unknown[]): string {
	if (values.length === 0) return "none";
	const words = (value: unknown) =>
		isDietCount(value) ? `${value.covers} ${DIETS[value.diet].words}` : String(value);
	return values.map(words).join(", ");
}

function isDietCount(value: unknown): value is DietCount {
	return typeof value === "object" && value !== null && "diet" in value && "covers" in value;
}
