import { causesOf } from "./causesOf.ts";
import type { Day } from "./Day.ts";
import type { Remedy } from "./remedies.ts";

/** Some remedies together, and the day with them. */
export interface WayOut {
	readonly remedies: readonly Remedy[];
	/** Causes for which something is still not to be had. */
	readonly left: number;
	readonly late_min: number;
	readonly waiting_rung_min: number;
}

export interface WaysOut {
	/** The fewest remedies first; those that free nothing are left out. */
	readonly ways: readonly WayOut[];
	/** Whether every one of the first ways frees all, and no fewer of what was tried do. */
	readonly proven: boolean;
	/** How many days were placed for it. */
	readonly tried: number;
}

/** So many days are placed at the most. */
const MOST_TRIED = 40;
/** Of what helps alone, so many are tried two by two. */
const PAIRED = 7;
const MOST_SHOWN = 6;
/** More than so many at once nobody arranges on the day. */
const MOST_TOGETHER = 4;

/**
 * What would free a day of what it goes without: each remedy alone; where none is enough, two and
 * two of those that help most; where that is not enough either, one after the other. A way has no
 * remedy that it could do without.
 *
 * @param place the day as it is planned with some remedies
 * @param told  how many days are placed, of how many at the most
 */
export async function waysOut(
	day: Day,
	remedies: readonly Remedy[],
	place: (remedies: readonly Remedy[]) => Promise<Day>,
	told: (done: number, all: number) => void = () => {},
): Promise<WaysOut> {
	let tried = 0;
	const known = new Map<string, WayOut>();
	const withAll = async (some: readonly Remedy[]): Promise<WayOut | null> => {
		const key = some
			.map((one) => JSON.stringify(one))
			.sort()
			.join();
		const found = known.get(key);
		if (found) return found;
		if (tried >= MOST_TRIED) return null;
		tried += 1;
		const way = wayOf(some, await place(some));
		told(tried, Math.min(MOST_TRIED, remedies.length + (PAIRED * (PAIRED - 1)) / 2));
		known.set(key, way);
		return way;
	};
	const ways = async (sets: readonly (readonly Remedy[])[]) => {
		const found: WayOut[] = [];
		for (const some of sets) found.push(...[(await withAll(some)) ?? []].flat());
		return found.sort(betterFirst);
	};
	const before = wayOf([], day);
	const alone = (await ways(remedies.map((one) => [one]))).filter((way) => betterFirst(way, before) < 0);
	if (alone.some(({ left }) => left === 0)) return { ways: shown(alone), proven: true, tried };
	const best = alone.slice(0, PAIRED).flatMap(({ remedies: [one] }) => one ?? []);
	const two = await ways(pairsOf(best));
	if (two.some(({ left }) => left === 0)) {
		return { ways: shown(two), proven: best.length === alone.length, tried };
	}
	let most = two[0] ?? alone[0];
	while (most && most.left > 0 && most.remedies.length < MOST_TOGETHER) {
		const { remedies: some } = most;
		const [next] = await ways(best.filter((one) => !some.includes(one)).map((one) => [...some, one]));
		if (!next || betterFirst(next, most) >= 0) break;
		most = next;
	}
	const found = most ? await withoutNeedless(most, withAll) : null;
	return { ways: shown([...(found ? [found] : []), ...alone]), proven: false, tried };
}

function pairsOf(some: readonly Remedy[]): Remedy[][] {
	return some.flatMap((one, index) => some.slice(index + 1).map((other) => [one, other]));
}

/** The way without what makes it no better. */
async function withoutNeedless(
	way: WayOut,
	withAll: (some: readonly Remedy[]) => Promise<WayOut | null>,
): Promise<WayOut> {
	for (const one of way.remedies) {
		if (way.remedies.length === 1) return way;
		const fewer = await withAll(way.remedies.filter((other) => other !== one));
		if (fewer && fewer.left <= way.left && fewer.late_min <= way.late_min) {
			return withoutNeedless(fewer, withAll);
		}
	}
	return way;
}

/** Where one way frees all, only those that do. */
function shown(ways: readonly WayOut[]): WayOut[] {
	const whole = ways.filter(({ left }) => left === 0);
	return (whole.length > 0 ? whole : ways).slice(0, MOST_SHOWN);
}

function wayOf(remedies: readonly Remedy[], day: Day): WayOut {
	const { late_min, waiting_rung_min } = day;
	return { remedies, left: causesOf(day).length, late_min, waiting_rung_min };
}

/** How much it takes to arrange a remedy: what is on the page first, what has to be bought last. */
const EFFORT: Readonly<Record<Remedy["kind"], number>> = {
	heat: 1,
	ahead: 2,
	borrowed: 3,
	helped: 4,
	room: 5,
	away: 9,
	arrives: 9,
	covers: 9,
	pinned: 9,
	order: 9,
	happened: 9,
};

function betterFirst(a: WayOut, b: WayOut): number {
	return (
		a.left - b.left ||
		a.late_min - b.late_min ||
		a.remedies.length - b.remedies.length ||
		effortOf(a) - effortOf(b) ||
		a.waiting_rung_min - b.waiting_rung_min
	);
}

function effortOf({ remedies }: WayOut): number {
	const of = (one: Remedy) => EFFORT[one.kind] * (one.kind === "helped" ? one.count : 1);
	return remedies.reduce((sum, one) => sum + of(one), 0);
}
