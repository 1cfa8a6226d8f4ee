import { normal, seeded } from "../../random/index.ts";
import type { Placed } from "./layer.ts";

/** Where the middles of rounds may lie: a rectangle or a round, from its middle, mm. */
export type Inside =
	| { readonly kind: "box"; readonly halfLength: number; readonly halfWidth: number }
	| { readonly kind: "round"; readonly radius: number };

/** More rounds than this are left in their rows: a search would take long and gain little. */
const MOST_ROUNDS = 26;
/** Beginnings tried for one more, and steps of each. */
const STARTS = 36;
const STEPS = 500;
/** After so many steps a heap that still overlaps by such a share of a round will not come apart. */
const EARLY = 120;
const HOPELESS = 0.08;
/** Rounds are parted by a hair more than they need, so that what is left of an overlap is none, mm. */
const HAIR_MM = 1e-4;

interface Middle {
	x: number;
	y: number;
}

/**
 * One round more than rows and rings take, and one more again: all are put anywhere and pushed
 * apart until none overlaps another, or until it is plain that they will not. The same answer for
 * the same input.
 *
 * @param laid   the best that rows give, from the middle
 * @param across diameter of one with its gap, mm
 * @param most   what the area could take
 */
export function oneMore(
	laid: readonly Placed[],
	inside: Inside,
	across: number,
	most: number,
): readonly Placed[] {
	let best = laid;
	while (best.length > 0 && best.length < Math.min(most, MOST_ROUNDS)) {
		const more = pushedApart(best, inside, across);
		if (!more) return best;
		best = more.map(({ x, y }) => ({ x_mm: x, y_mm: y, length_mm: across, width_mm: across }));
	}
	return best;
}

function pushedApart(laid: readonly Placed[], inside: Inside, across: number): Middle[] | null {
	const random = seeded(laid.length);
	for (let start = 0; start < STARTS; start += 1) {
		// From where they lie, jolted more and more; every second time from anywhere.
		const jolt = across * (0.05 + (0.5 * start) / STARTS);
		const middles: Middle[] = laid.map(({ x_mm, y_mm }) =>
			start % 2 === 1
				? anywhere(inside, random)
				: { x: x_mm + jolt * normal(random), y: y_mm + jolt * normal(random) },
		);
		middles.push(anywhere(inside, random));
		for (const middle of middles) keepInside(middle, inside);
		if (settles(middles, inside, across + HAIR_MM)) return middles;
	}
	return null;
}

function anywhere(inside: Inside, random: () => number): Middle {
	const [reachX, reachY] =
		inside.kind === "box" ? [inside.halfLength, inside.halfWidth] : [inside.radius, inside.radius];
	return { x: (2 * random() - 1) * reachX, y: (2 * random() - 1) * reachY };
}

/** Pushes every pair that overlaps apart, step by step; whether none does in the end. */
function settles(middles: Middle[], inside: Inside, across: number): boolean {
	for (let step = 0; step < STEPS; step += 1) {
		let deepest = 0;
		for (let i = 1; i < middles.length; i += 1) {
			for (let j = 0; j < i; j += 1)
				deepest = Math.max(deepest, part(middles[i] as Middle, middles[j] as Middle, across));
		}
		for (const middle of middles) keepInside(middle, inside);
		if (step === EARLY && deepest > HOPELESS * across) return false;
		if (deepest < HAIR_MM / 2 && overlap(middles, across) < HAIR_MM) return true;
	}
	return false;
}

/** Pushes two apart by what they overlap. @returns how much that was, mm */
function part(first: Middle, other: Middle, across: number): number {
	const dx = first.x - other.x;
	const dy = first.y - other.y;
	const apart2 = dx * dx + dy * dy;
	if (apart2 >= across * across) return 0;
	const apart = Math.sqrt(apart2) || 1e-9;
	const push = (0.6 * (across - apart)) / apart;
	first.x += dx * push;
	first.y += dy * push;
	other.x -= dx * push;
	other.y -= dy * push;
	return across - apart;
}

function overlap(middles: readonly Middle[], across: number): number {
	let deepest = 0;
	for (const [index, middle] of middles.entries()) {
		for (const other of middles.slice(0, index)) {
			deepest = Math.max(deepest, across - Math.hypot(middle.x - other.x, middle.y - other.y));
		}
	}
	return deepest;
}

function keepInside(middle: Middle, inside: Inside): void {
	if (inside.kind === "box") {
		middle.x = Math.min(inside.halfLength, Math.max(-inside.halfLength, middle.x));
		middle.y = Math.min(inside.halfWidth, Math.max(-inside.halfWidth, middle.y));
		return;
	}
	const away = Math.hypot(middle.x, middle.y);
	if (away <= inside.radius) return;
	middle.x *= inside.radius / away;
	middle.y *= inside.radius / away;
}
