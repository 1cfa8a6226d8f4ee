import { HOUR_MS, wallClock } from "#core/time";
import { PLACE_WORDS, type PlaceKey } from "#core/trade";
import type { WorkedRow } from "../ui/server/worked.server.ts";
import type { Reading } from "../ui/words/reading.ts";

/** The day of a sitting from its first work to its service, a lane a dish. */
export interface DayLineView {
	readonly from: number;
	readonly to: number;
	readonly serviceAt: number;
	readonly service: string;
	readonly ticks: readonly { readonly at: number; readonly words: string }[];
	readonly lanes: readonly DayLane[];
}

export interface DayLane {
	readonly id: string;
	readonly name: string;
	/** What of it is done on days before; empty where nothing is. */
	readonly earlier: string;
	readonly bars: readonly DayBar[];
}

export interface DayBar {
	readonly from: number;
	readonly to: number;
	readonly words: string;
	/** It goes by itself: heat, rest, cold. */
	readonly alone: boolean;
}

const ALONE: ReadonlySet<PlaceKey> = new Set(["marinate", "braise", "rest", "chill", "hold"]);

/** @returns nothing where no dish has a plan */
export function dayLineView(
	rows: readonly WorkedRow[],
	serviceAt: number,
	reading: Reading,
): DayLineView | null {
	const dayOf = (at: number) => wallClock(at, reading.timeZone).date;
	const day = dayOf(serviceAt);
	const lanes = rows.flatMap(({ dish, plan }): DayLane[] => {
		if (!plan) return [];
		const tasks = plan.tasks.filter(({ place }) => place !== "buy" && place !== "make");
		const own = tasks.filter(({ end, start }) => dayOf(end) === day && end > start);
		const before = tasks.filter(({ end }) => dayOf(end) < day);
		return [
			{
				id: dish.id,
				name: dish.recipe.name,
				earlier: earlierWords(before, reading),
				bars: merged(own.map(({ place, start, end }) => ({ place, from: start, to: end }))),
			},
		];
	});
	const starts = lanes.flatMap(({ bars }) => bars.map(({ from }) => from));
	if (starts.length === 0) return null;
	const from = Math.floor(Math.max(Math.min(...starts), serviceAt - 20 * HOUR_MS) / HOUR_MS) * HOUR_MS;
	const to = Math.max(serviceAt, ...lanes.flatMap(({ bars }) => bars.map((bar) => bar.to)));
	const hours = Math.ceil((to - from) / HOUR_MS);
	return {
		from,
		to,
		serviceAt,
		service: reading.time(serviceAt),
		ticks: Array.from({ length: hours + 1 }, (_, hour) => from + hour * HOUR_MS)
			.filter((at) => at <= to)
			.map((at) => ({ at, words: reading.time(at) })),
		lanes,
	};
}

function earlierWords(
	before: readonly { readonly place: PlaceKey | "make"; readonly start: number }[],
	reading: Reading,
): string {
	const [first] = [...before].sort((a, b) => a.start - b.start);
	return first ? `begun ${reading.day(first.start)}` : "";
}

interface Piece {
	readonly place: PlaceKey | "make";
	readonly from: number;
	readonly to: number;
}

/** Work at one place that follows without a break is one bar. */
function merged(pieces: readonly Piece[]): DayBar[] {
	const found: Piece[] = [];
	for (const piece of [...pieces].sort((a, b) => a.from - b.from)) {
		const last = found.findIndex(({ place, to }) => place === piece.place && piece.from <= to);
		const before = found[last];
		if (before) found[last] = { ...before, to: Math.max(before.to, piece.to) };
		else found.push(piece);
	}
	return found.flatMap(({ place, from, to }) =>
		place === "make" ? [] : [{ from, to, words: PLACE_WORDS[place], alone: ALONE.has(place) }],
	);
}
