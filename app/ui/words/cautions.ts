import { type Hazard, hazardsOf, type Plan } from "#core/dish";
import { isInOven } from "#core/recipe";
import type { HouseCode } from "#core/safety";
import { durationWords } from "#core/time";
import { counted, type Reading } from "./reading.ts";

/**
 * The cautions of a braise with their limits. They never say that food is safe: they
 * say which limit applies, and who decides.
 */
export function cautionsOf(plan: Plan, code: HouseCode, lift_kg: number, reading: Reading): string[] {
	return [
		...hazardsOf(plan).map((hazard) => HAZARD_WORDS[hazard]({ plan, code, lift_kg, reading })),
		`House code “${code.name}”: hold at ${reading.temperature(code.holdHot_C)} or above until it is served.`,
		`What is left: cool ${coolingWords(code, reading)}; reheat ${reheatWords(code, reading)}. A deep pan cools too slowly: spread it shallow. The local authority and the licensed operator decide.`,
	];
}

interface CautionGiven {
	readonly plan: Plan;
	readonly code: HouseCode;
	readonly lift_kg: number;
	readonly reading: Reading;
}

const HAZARD_WORDS: Readonly<Record<Hazard, (given: CautionGiven) => string>> = {
	knife: () =>
		"A knife slips on cold fat and on bone: a dry board that lies fast, a sharp blade, cut away from the hand, a glove on the other one.",
	game: ({ code, reading }) =>
		`Game is cooked through, at least ${reading.temperature(code.reheat.core_C)} in the middle, never pink; count out shot and splinters as you trim.`,
	hotFat: () =>
		"Dry the pieces before they meet the fat, and lay them in away from you. Smoke means lower the heat.",
	flame: () =>
		"Wine and spirits flame: the pan off the burner first, pour from a jug and never from the bottle, a lid at hand to put it out.",
	steam: () =>
		"The liquid goes in boiling and the pan slops when it moves. Open the lid away from you; the steam scalds.",
	pressure: () =>
		"Never open a pressure pot before its pressure is down by itself, and never fill it over two thirds; half, where it foams. Look at its valve first.",
	lift: ({ plan, lift_kg, reading }) => {
		const heaviest = Math.max(0, ...plan.pans.pans.map((pan) => pan.lifted_kg));
		if (!isInOven(plan.recipe))
			return `A full vessel weighs up to ${reading.mass(heaviest)}: it stays where it is heated. Ladle it out; never carry it hot.`;
		const weight = `The heaviest pan is ${reading.mass(heaviest)} filled`;
		const limit = `the house limit of ${reading.mass(lift_kg)} for one`;
		return heaviest > lift_kg
			? `${weight}, over ${limit}. Two carry, or pour at the oven.`
			: `${weight}, within ${limit}. Dry cloths, clear way, call out.`;
	},
	acidOnAluminium: () =>
		"Wine, vinegar and sour fruit pit bare aluminium: steel or enamel, and parchment under foil.",
	blender: () =>
		"Hot liquid jumps in a blender: half full at the most, the lid open a finger under a cloth, begin slowly.",
	bone: () => "Cut bone leaves splinters. Wipe the pieces, and count out what was counted in.",
	wholeSpices: () => "Whole spices and leaves are counted in, and counted out before a plate leaves.",
	hotSpread: () =>
		"Hot food is spread with long gloves, poured away from you, two to a heavy pan; iced water stays in the sink, never on the floor.",
};

/** "from 57 °C to 21 °C within 2 h and to 5 °C within 6 h" */
export function coolingWords({ cooling }: Pick<HouseCode, "cooling">, reading: Reading): string {
	const from = cooling.from_C === null ? "" : `from ${reading.temperature(cooling.from_C)} `;
	const steps = cooling.to.map(
		({ to_C, within_min }) => `to ${reading.temperature(to_C)} within ${durationWords(within_min)}`,
	);
	const standing =
		cooling.standing_min > 0 ? `, after at most ${durationWords(cooling.standing_min)} of standing` : "";
	return from + steps.join(" and ") + standing;
}

/** A whole code in words, limit by limit. */
export function codeWords(code: HouseCode, reading: Reading): string {
	const { life, holdHot_C, keepCold_C, display_C, comingUp_min } = code;
	const days = (count: number) => counted(count, "day");
	const shown =
		display_C > keepCold_C ? `; carried or shown at ${reading.temperature(display_C)} or below` : "";
	return [
		`Cool ${coolingWords(code, reading)}`,
		`kept at ${reading.temperature(keepCold_C)} or below for ${days(life.chilled_days)}, the day it is made counted${shown}`,
		`held hot at ${reading.temperature(holdHot_C)} or above`,
		`heated again ${reheatWords(code, reading)}`,
		`from cold to hot within ${durationWords(comingUp_min)}`,
		`frozen for ${days(life.frozen_days)}, then ${days(life.thawed_days)} after the night in which it thaws; opened, ${days(life.opened_days)}`,
	].join("; ");
}

/** "to a core of 75 °C without delay" */
export function reheatWords({ reheat }: Pick<HouseCode, "reheat">, reading: Reading): string {
	const within = reheat.within_min === null ? "without delay" : `within ${durationWords(reheat.within_min)}`;
	return `to a core of ${reading.temperature(reheat.core_C)} ${within}`;
}
