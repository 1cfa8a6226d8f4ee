import type { PieceWay, PlanWarning } from "#core/dish";
import { threeDigits } from "#core/quantity";
import { durationsWords, durationWords } from "#core/time";
import type { Reading } from "./reading.ts";
import type { WarningSaid } from "./WarningSaid.ts";

/** It is hot too late for the house code, and what would be quicker. */
export function reheatWords(
	{ minutes, core_C, within_min, hottest_min, hottest_C, spread }: ReheatWarning,
	{ temperature, length }: Reading,
): WarningSaid {
	const [slowest, within, hottest] = durationsWords(minutes, within_min, hottest_min);
	const shallower = spread
		? `Spread to ${length(spread.depth_mm)} over ${spread.parts} times the pans: ${durationWords(Math.round(spread.minutes))}. Or fewer`
		: "Fewer";
	return {
		says: `It may take ${slowest} to ${temperature(core_C)} where it is coldest; the house code wants it within ${within}.`,
		remedy: `${shallower} in a pan, stirred once it flows, or hotter: ${hottest} at ${temperature(hottest_C)}.`,
	};
}

/** What of the house code is missed while it cools, by how much, and what would meet it. */
export function chillWords(
	{ code, to_C, within_min, minutes, depth_mm, deepest_mm, house, remedy, joints }: ChillWarning,
	reading: Reading,
): WarningSaid {
	const [within, took] = durationsWords(within_min, minutes ?? 0);
	const limit = `${reading.temperature(to_C)} within ${within} (“${house}”)`;
	const deep = reading.length(depth_mm);
	const takes =
		minutes === null
			? `${deep} deep it never gets to ${limit}`
			: code === "chillClose"
				? `${deep} deep it may take ${took} to ${limit}`
				: `${deep} deep it takes ${took} to ${limit}: ${durationWords(Math.round(minutes - within_min))} too long`;
	const ways = joints
		? `${jointWords(joints, reading)}: ${durationWords(Math.round(joints.minutes))}.`
		: remedy
			? `${coolerWords(remedy)} ${remedy.meets ? "meets it" : "comes nearest"}.`
			: "Nothing the kitchen has is quicker: less at a time.";
	const deepest = deepest_mm === null ? "" : ` At most ${reading.length(deepest_mm)} deep meets it as it is.`;
	return { says: `${takes}.`, remedy: `${ways}${deepest}` };
}

type ComingUpWarning = Extract<PlanWarning, { readonly code: "comingUpSlow" | "comingUpClose" }>;

/** Food that is warm for long before it is hot. */
export function comingUpWords(
	{ code, hot_C, within_min, minutes, house }: ComingUpWarning,
	reading: Reading,
): WarningSaid {
	const [within, took] = durationsWords(within_min, minutes ?? 0);
	const limit = `${reading.temperature(hot_C)} within ${within} (“${house}”)`;
	const takes =
		minutes === null ? "never gets to" : `${code === "comingUpClose" ? "may take" : "takes"} ${took} to`;
	return {
		says: `The coldest of a pan ${takes} ${limit}.`,
		remedy: "Pour it boiling, use smaller pieces or less in a pan, or begin hotter.",
	};
}

type UnderKilledWarning = Extract<PlanWarning, { readonly code: "underKilled" | "underKilledClose" }>;

/** Gently cooked food that is lifted before its coldest point has had its heat. */
export function underKilledWords(
	{ code, ref_C, ref_min, lift_min, minutes }: UnderKilledWarning,
	reading: Reading,
): WarningSaid {
	const [lifted, needs] = durationsWords(Math.round(lift_min), minutes ?? 0);
	const may = code === "underKilledClose" ? "may have" : "has";
	const takes = minutes === null ? "" : `: that takes ${needs}`;
	return {
		says: `Lifted after ${lifted}, the coldest of a pan ${may} had less than ${durationWords(ref_min)} at ${reading.temperature(ref_C)} or as much${takes}.`,
		remedy: minutes === null ? "Cook it hotter." : "Leave it in until then, or cook it hotter.",
	};
}

type ReheatWarning = Extract<PlanWarning, { readonly code: "reheatSlow" }>;
type ChillWarning = Extract<PlanWarning, { readonly code: "chillMissed" | "chillClose" }>;

/** "Lift the joints, bag them and stand them in iced water" */
export function jointWords({ way, cooler, thick_mm }: PieceWay, reading: Reading): string {
	switch (way) {
		case "bagged":
			return "Lift the joints, bag them and stand them in iced water";
		case "onTrays":
			return `Lift the joints and cool them side by side on trays, in the ${cooler ?? "cold"}`;
		case "portioned":
			return `Carve the joints hot, ${reading.length(thick_mm)} thick, and cool the slices on trays, in the ${cooler ?? "cold"}`;
	}
}

/** "Each pan over two, in the Blast chiller", "Spread over 1.35 times the floor, in the Cold room, standing in iced water" */
export function coolerWords({
	cooler,
	parts,
	ice,
}: {
	readonly cooler: string;
	readonly parts: number;
	readonly ice: boolean;
}): string {
	const spread =
		parts === 1 ? "" : `${SPREAD[parts] ?? `spread over ${threeDigits(parts)} times the floor`}, `;
	const words = `${spread}in the ${cooler}${ice ? ", standing in iced water" : ""}`;
	return words.charAt(0).toUpperCase() + words.slice(1);
}

const SPREAD: Readonly<Record<number, string>> = { 2: "each pan over two", 3: "each pan over three" };

type CarryWarning = Extract<PlanWarning, { readonly code: "carryMissed" | "carryClose" }>;

/** Food that is outside its limit on the way. */
export function carriedWords(
	{ code, minutes, packed_C, limit_C, limit_min, hot }: CarryWarning,
	reading: Reading,
): WarningSaid {
	const may = code === "carryMissed" ? "is" : "may be";
	const side = hot ? "below" : "above";
	const [after, carried] = durationsWords(limit_min, minutes);
	const says =
		limit_min === 0
			? `Packed at ${reading.temperature(packed_C)} it ${may} ${side} ${reading.temperature(limit_C)} already, and it is carried for ${carried}.`
			: `On the way it ${may} ${side} ${reading.temperature(limit_C)} after ${after}, and it is carried for ${carried}.`;
	return {
		says,
		remedy: hot
			? "Fill the boxes fuller and hotter, warm them first, or heat it again where it is served."
			: "Pack it colder, with cold packs, in fuller boxes, or carry it in less time.",
	};
}
