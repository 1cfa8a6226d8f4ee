import type { Remedy } from "#core/liquid";
import { depthOf, floorArea, insideAt, rimOf } from "#core/pans";
import type { UnitSystem } from "#core/quantity";
import { durationWords } from "#core/time";
import { perCent, type Reading } from "../../ui/words/reading.ts";
import type { PlaceGiven } from "../Place.ts";

/** The pot in which the sauce is finished, as the page draws it and reckons with it. */
export interface PotView {
	readonly units: UnitSystem;
	readonly name: string;
	/** Across, floor of one, and height. */
	readonly across_mm: number;
	readonly floor_m2: number;
	readonly height_mm: number;
	readonly power_kW: number;
	/** How many of it stand side by side, and how often they are filled; the litres are of all together. */
	readonly count: number;
	readonly goes: number;
	/** What is taken of the liquid; the rest is kept. */
	readonly take_l: number;
	readonly wanted_l: number;
	readonly fat_mm: number;
	/** Salt of the liquid before reducing, %; null when no line is salt. */
	readonly salt_pct: number | null;
	readonly band_pct: { readonly low: number; readonly high: number };
	readonly portions: number;
	readonly remedies: readonly RemedyView[];
}

export interface RemedyView {
	readonly name: string;
	readonly says: string;
	readonly glutenFree: boolean;
}

export function potView({ plan, kitchen: { equipment, policy }, reading }: PlaceGiven): PotView | undefined {
	const { sauce, liquid } = plan;
	if (!sauce?.pot || !liquid) return undefined;
	const { shape, heat_kW } = sauce.pot;
	return {
		units: reading.units,
		name: sauce.pot.name,
		across_mm: insideAt(shape, 0).kind === "circle" ? rimOf(shape).width_mm : rimOf(shape).length_mm,
		floor_m2: floorArea(shape) / 1e6,
		height_mm: depthOf(shape),
		power_kW: heat_kW ?? equipment.hobPower_kW,
		count: sauce.pots,
		goes: sauce.goes,
		take_l: sauce.take_l,
		wanted_l: sauce.wanted_l,
		fat_mm: sauce.fat_mm,
		salt_pct: plan.salt_pct === null ? null : liquid.salt_pct,
		band_pct: policy.saltBand_pct,
		portions: plan.chain.portions,
		remedies: sauce.remedies.map((remedy) => remedyView(remedy, reading)),
	};
}

/** One way from the liquid there is to the sauce that is wanted, with its amounts. */
export function remedyView(remedy: Remedy, reading: Reading): RemedyView {
	return { ...remedyWords(remedy, reading), glutenFree: remedy.glutenFree };
}

function remedyWords(remedy: Remedy, reading: Reading): { name: string; says: string } {
	const grams = (weight: number) => reading.mass(weight / 1000);
	switch (remedy.kind) {
		case "reduce": {
			const pace = remedy.limitedBy === "surface" ? "the width of the pot" : "the burner";
			return {
				name: "Reduce",
				says: `to ${reading.volume(remedy.to_l)}, ${reading.length(remedy.mark_mm)} on the stick, about ${durationWords(remedy.minutes)}; ${pace} sets the pace`,
			};
		}
		case "thin":
			return { name: "Thin", says: `${reading.volume(remedy.stock_l)} of unsalted stock, at the boil` };
		case "starch":
			return {
				name: "Starch slurry",
				says: `${grams(remedy.starch_g)} in ${grams(remedy.water_g)} of cold water, in thirds of ${grams(remedy.thirds_g)}, each boiled before the next`,
			};
		case "roux":
			return { name: "Roux", says: `${grams(remedy.flour_g)} of flour and ${grams(remedy.fat_g)} of fat` };
		case "kneadedButter":
			return {
				name: "Kneaded butter",
				says: `${grams(remedy.flour_g)} of flour and ${grams(remedy.fat_g)} of butter, at the last minute`,
			};
		case "puree":
			return {
				name: "Purée",
				says: `${reading.mass(remedy.vegetables_kg)} of the vegetables${remedy.enough ? "" : "; the pans hold fewer, so it stays thin"}`,
			};
		case "acid":
			return {
				name: "Too rich",
				says: `${reading.volume(remedy.ml / 1000)} of vinegar or juice to begin with, then by taste`,
			};
	}
}

/** "0.94 %" */
export function saltWords(pct: number): string {
	return perCent(pct);
}
