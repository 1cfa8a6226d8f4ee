import { Refusal } from "#core/check";
import type { WorkedDish } from "#core/day";
import { type Shortfall, shortfallOf } from "#core/dish";
import { parseWeight } from "#core/quantity";
import { AS_ON_CARD, LEAST_PORTION } from "#core/sitting";
import { durationsWords } from "#core/time";
import { cookTyped } from "../../ui/forms/settled.ts";
import { counted, percent, type Reading } from "../../ui/words/reading.ts";
import type { Making } from "../Place.ts";
import { pieceWeightWords } from "../words.ts";

/** One way to deal with a delivery that is short. */
export interface WayView {
	readonly words: string;
	readonly says: string;
	/** What the control holds when it is taken; null where it is done elsewhere. */
	readonly trial: Readonly<Record<string, string>> | null;
}

export interface CameView {
	/** As it was typed. */
	readonly typed: string;
	readonly wrong: string | null;
	/** What it comes to; null where nothing was said. */
	readonly says: string | null;
	readonly ways: readonly WayView[];
}

/** What came against what was ordered, and what can be done where it is short. */
export function cameView(plan: WorkedDish, making: Making, reading: Reading): CameView {
	const typed = making.came;
	if (typed === "") return { typed, wrong: null, says: null, ways: [] };
	try {
		const came_kg = parseWeight(typed, "came", reading.units) / 1000;
		const short = shortfallOf(plan, came_kg);
		if (!short) return { typed, wrong: null, says: "Enough for every portion that is wanted.", ways: [] };
		const says = `${reading.mass(came_kg)} make ${short.makes} of ${counted(short.wanted, "portion")}.`;
		return { typed, wrong: null, says, ways: waysOf(short, plan, making, reading) };
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		return { typed, wrong: error.problems[0]?.message ?? "", says: null, ways: [] };
	}
}

function waysOf(short: Shortfall, plan: WorkedDish, making: Making, reading: Reading): WayView[] {
	const { order, recipe } = plan;
	const guests = Math.floor(short.makes / (1 + order.spare) / (order.perGuest ?? 1));
	const onHand = { basis: "onHand", onHand: making.came };
	return [
		...(short.spareDoes
			? [
					{
						words: "Use the spare",
						says: `${short.makes} portions; without the spare ${short.withoutSpare} are wanted`,
						trial: { ...onHand, spare: "0" },
					},
				]
			: []),
		...smallerOf(short, plan, making, reading),
		{
			words: "Feed the others with another dish",
			says: `this one feeds ${counted(guests, "guest")} with their spare; ${counted(short.short, "portion")} to be made of something else`,
			trial: { ...onHand, uptake: counted(Math.max(1, guests), "guest") },
		},
		{
			words: "Buy more",
			says: `${reading.mass(short.buy_kg)}${short.packs === null ? "" : `, ${counted(short.packs, "pack")} of ${reading.mass(recipe.pack_kg ?? 0)}`}`,
			trial: null,
		},
	];
}

/** A smaller portion, and pieces to match: they are tender sooner. */
function smallerOf({ portion }: Shortfall, plan: WorkedDish, making: Making, reading: Reading): WayView[] {
	if (portion < LEAST_PORTION || portion >= 1) return [];
	const cook = { ...AS_ON_CARD, ...making.cook, portion };
	const then = making.tried({ cook });
	if (!then) return [];
	const [tender, whole] = durationsWords(then.braise_min.likely, plan.braise_min.likely);
	return [
		{
			words: `Portions of ${percent(portion)}`,
			says: `pieces of ${pieceWeightWords(then.recipe, reading)}; tender in ${tender}, else ${whole}`,
			trial: { cook: cookTyped(cook) },
		},
	];
}
