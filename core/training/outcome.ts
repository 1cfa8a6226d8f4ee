import { type Braised, braise } from "../braise/index.ts";
import { seeded, shuffled } from "../random/index.ts";
import { CHANGES, type Change, type Situation, situationOf } from "./situation.ts";

/** What a cook is asked about the second pan against the first. */
export const QUANTITIES = ["time", "liquid", "salt"] as const;
export type Quantity = (typeof QUANTITIES)[number];

/** How the second stands to the first. */
export const ANSWERS = ["muchLess", "less", "same", "more", "muchMore"] as const;
export type Answer = (typeof ANSWERS)[number];

/** Within so much it counts as the same; beyond the other it is much. Shares. */
export const SAME_WITHIN = 0.06;
export const MUCH_BEYOND = 0.25;
/** So near to a border a situation is not asked: nobody could be sure. */
const UNCLEAR = 0.012;

export interface QuantityOutcome {
	readonly before: number;
	readonly after: number;
	readonly answer: Answer;
}

/** Minutes to fork-tender, litres left then, per cent of salt in them. */
export interface Outcome {
	readonly of: Readonly<Record<Quantity, QuantityOutcome>>;
	readonly first: Braised;
	readonly second: Braised;
}

/** Salt that the liquid is poured with, %. Seasoned lightly, as before any reduction. */
export const SALT_IN_PCT = 0.6;

/**
 * Both pans reckoned through.
 *
 * @returns null when one of them is never tender or boils dry: then there is nothing to compare
 */
export function outcomeOf({ before, after }: Situation): Outcome | null {
	const first = braise(before);
	const second = braise(after);
	const firstTender = first.marks.forkTender;
	const secondTender = second.marks.forkTender;
	if (!firstTender || !secondTender) return null;
	if (first.dryAt_min !== null && first.dryAt_min < firstTender.high) return null;
	if (second.dryAt_min !== null && second.dryAt_min < secondTender.high) return null;
	const salt = (poured_l: number, left_l: number) => (SALT_IN_PCT * poured_l) / left_l;
	const outcomes = {
		time: compared(firstTender.likely, secondTender.likely),
		liquid: compared(first.liquidLeft_l, second.liquidLeft_l),
		salt: compared(salt(before.liquid_l, first.liquidLeft_l), salt(after.liquid_l, second.liquidLeft_l)),
	};
	return { of: outcomes, first, second };
}

function compared(before: number, after: number): QuantityOutcome {
	return { before, after, answer: answerFor(after / before) };
}

/** The answer that a ratio of second to first stands for. */
export function answerFor(ratio: number): Answer {
	if (ratio < 1 - MUCH_BEYOND) return "muchLess";
	if (ratio < 1 - SAME_WITHIN) return "less";
	if (ratio <= 1 + SAME_WITHIN) return "same";
	return ratio <= 1 + MUCH_BEYOND ? "more" : "muchMore";
}

/** Answers from the first to the second of them: 0 is right, 1 is next to it. */
export function answersApart(answer: Answer, other: Answer): number {
	return Math.abs(ANSWERS.indexOf(answer) - ANSWERS.indexOf(other));
}

/** A situation with a clear outcome. */
export interface Question {
	readonly situation: Situation;
	readonly outcome: Outcome;
}

/** Rounds after which every kind has been asked. */
const ROUNDS_FOR_ALL = 3;
/** Draws of one kind among which the clearest is sought. */
const TRIES = 24;
/** Of the answers of a round so many at the most are “the same”: nobody wins by always saying so. */
export const MOST_SAME = 0.4;

/**
 * A round of situations that have clear outcomes, no kind twice while there are others. Rounds of
 * seeds that follow each other ask different kinds, so that three of them ask every kind.
 *
 * @param seed  the same round for the same seed
 * @param count how many
 */
export function roundOf(seed: number, count: number): Question[] {
	const group = Math.floor(seed / ROUNDS_FOR_ALL);
	const kinds = shuffled(CHANGES, seeded(group));
	const first = Math.round(((seed % ROUNDS_FOR_ALL) * kinds.length) / ROUNDS_FOR_ALL);
	const questions: Question[] = [];
	let same = 0;
	for (let index = 0; questions.length < count && index < 2 * kinds.length; index += 1) {
		const kind = kinds[(first + index) % kinds.length] as Change;
		const most = Math.floor(MOST_SAME * QUANTITIES.length * (questions.length + 1)) - same;
		const question = questionOf(seed, kind, Math.max(0, most));
		if (!question) continue;
		questions.push(question);
		same += sameIn(question);
	}
	return questions;
}

/** The first clear one of a kind with so few answers “the same”; or the one that has fewest of them. */
function questionOf(seed: number, kind: Change, mostSame: number): Question | null {
	let best: Question | null = null;
	for (let tried = 0; tried < TRIES; tried += 1) {
		const situation = situationOf(seed * TRIES + tried, kind);
		const outcome = outcomeOf(situation);
		if (!outcome || !isClear(outcome)) continue;
		const question = { situation, outcome };
		if (sameIn(question) <= mostSame) return question;
		if (!best || sameIn(question) < sameIn(best)) best = question;
	}
	return best;
}

function sameIn({ outcome: { of: value } }: Question): number {
	return QUANTITIES.filter((quantity) => value[quantity].answer === "same").length;
}

function isClear({ of: value }: Outcome): boolean {
	const borders = [1 - MUCH_BEYOND, 1 - SAME_WITHIN, 1 + SAME_WITHIN, 1 + MUCH_BEYOND];
	return QUANTITIES.every((quantity) => {
		const ratio = value[quantity].after / value[quantity].before;
		return borders.every((border) => Math.abs(ratio - border) > UNCLEAR);
	});
}
