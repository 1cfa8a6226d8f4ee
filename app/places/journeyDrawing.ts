import type { JourneyPoint, StageKind, StageSpan } from "#core/journey";
import { MINUTE_MS } from "#core/time";
import type { JourneyDrawing } from "../ui/drawings/JourneyCurve.tsx";
import type { Reading } from "../ui/words/reading.ts";

/** The way of food as it is drawn: by instants, not yet by where they stand in the picture. */
export interface JourneyDrawn {
	readonly stages: readonly StageSpan[];
	/** Between its coldest and its warmest point. */
	readonly band: readonly (Pick<JourneyPoint, "coldest_C" | "warmest_C"> & { readonly at: number })[];
	/** What was read on the way, a line each. */
	readonly read?: readonly (readonly (readonly [at: number, C: number])[])[];
	readonly limits: readonly {
		readonly at: number;
		readonly C: number;
		readonly mark: string;
		readonly isMet: boolean;
	}[];
}

/** Days in the cold are drawn no longer than this, minutes. */
const STORE_DRAWN_MIN = 90;
const TOP_C = 100;
/** So many points of a line are drawn at the most. */
const MOST_POINTS = 160;

const STAGE_WORDS: Readonly<Record<StageKind, string>> = {
	stand: "stands",
	heat: "braised",
	chill: "cooled",
	store: "cold",
	carry: "carried",
	reheat: "made hot",
	hold: "held",
};

/** The way of food from the bench to the plate in one picture. */
export function journeyDrawing(
	{ stages, band, read = [], limits }: JourneyDrawn,
	reading: Reading,
): JourneyDrawing {
	const drawn = drawnBy(stages);
	const end_min = drawn(stages.at(-1)?.to ?? 0);
	return {
		band: thinned(band).map(({ at, coldest_C, warmest_C }) => ({
			...{ minute: drawn(at), low_C: coldest_C, high_C: warmest_C },
		})),
		read: read.map((points) => thinned(points).map(([at, C]) => [drawn(at), C] as const)),
		stages: stages.map(({ kind, from, to }) => ({
			words: STAGE_WORDS[kind],
			clock: reading.time(from),
			from_min: drawn(from),
			to_min: drawn(to),
		})),
		limits: limits.map(({ at, C, mark, isMet }) => ({
			...{ minute: Math.min(end_min, drawn(at)), C, mark, isMet },
		})),
		end_min,
		top_C: TOP_C,
		least_C: 0,
		ticks: [0, 20, 40, 60, 80, 100].map((C) => ({ C, words: reading.temperature(C).replace(/ .*/, "") })),
		words: `From the bench to the plate: ${stages.map(({ kind, from }) => `${STAGE_WORDS[kind]} ${reading.clock(from)}`).join(", ")}.`,
	};
}

/** Where an instant is drawn, minutes: days in the cold take no more room than an hour and a half. */
function drawnBy(stages: readonly StageSpan[]): (at: number) => number {
	return (at) => {
		let drawn = 0;
		for (const { kind, from, to } of stages) {
			const minutes = (to - from) / MINUTE_MS;
			const room = kind === "store" ? Math.min(STORE_DRAWN_MIN, minutes) : minutes;
			if (at < to) return drawn + Math.max(0, ((at - from) / (to - from)) * room);
			drawn += room;
		}
		return drawn;
	};
}

function thinned<Point>(points: readonly Point[]): Point[] {
	const every = Math.max(1, Math.ceil(points.length / MOST_POINTS));
	return points.filter((_, index) => index % every === 0 || index === points.length - 1);
}
