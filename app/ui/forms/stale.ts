import { ingredientFieldWords } from "#core/exchange";
import { DIETS, type DietCount } from "#core/recipe";
import type { Stale, StoredEvent } from "#db";
import type { Reading } from "../words/reading.ts";

/** What somebody else changed in between, in words. */
export interface StaleView {
	/** The version that is stored now; saving again goes on top of it. */
	readonly version: number;
	readonly changes: readonly { readonly who: string; readonly at: string; readonly what: string }[];
}

export function staleView(stale: Stale, reading: Reading): StaleView {
	return {
		version: stale.version,
		changes: stale.events.flatMap((event) =>
			event.changes.map((change) => ({
				who: event.who,
				at: reading.clock(event.at),
				what: changeWords(change, reading),
			})),
		),
	};
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
	scaleStep_g: "what the scales read to",
	saltHigh_pct: "most salt",
};

function changeWords({ field, from, to }: StoredEvent["changes"][number], reading: Reading): string {
	const last = field.split(".").at(-1) ?? field;
	const name = FIELD_WORDS[last] ?? ingredientFieldWords(last);
	const dish = field.startsWith("dishes.") ? "a dish, " : "";
	return `${dish}${name}: ${valueWords(last, from, reading)} → ${valueWords(last, to, reading)}`;
}

function valueWords(field: string, value: unknown, reading: Reading): string {
	if (value === null || value === "") return "none";
	if (field === "serviceAt" && typeof value === "number") return reading.clock(value);
	if ((field === "uptake" || field === "spare") && typeof value === "number")
		return `${Math.round(value * 100)} %`;
	if (field.endsWith("_g") && typeof value === "number") return reading.mass(value / 1000);
	if (Array.isArray(value)) return listWords(value);
	if (typeof value === "boolean") return value ? "yes" : "no";
	return String(value);
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
