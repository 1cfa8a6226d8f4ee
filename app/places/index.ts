import { sortBy } from "es-toolkit";
import type { WorkedDish } from "#core/day";
import { taskAt, tastingsOf } from "#core/dish";
import type { PlacedTask } from "#core/tasks";
import { PLACE_WORDS, PLACES, type PlaceKey } from "#core/trade";
import type { Working } from "#core/workings";
import type { Shown } from "../ui/parts/shown.ts";
import { braise } from "./braise/index.ts";
import { build } from "./build/index.ts";
import { buy } from "./buy/index.ts";
import { carry } from "./carry/index.ts";
import { chill } from "./chill/index.ts";
import { hold } from "./hold/index.ts";
import { marinate } from "./marinate/index.ts";
import type { Place, PlaceGiven } from "./Place.ts";
import { panUp } from "./panUp/index.ts";
import { plate } from "./plate/index.ts";
import { reheat } from "./reheat/index.ts";
import { rest } from "./rest/index.ts";
import { sauce } from "./sauce/index.ts";
import { sear } from "./sear/index.ts";
import { shownAt } from "./shownAt.ts";
import { startsAt } from "./sums.ts";
import { tastingTask } from "./tastingWords.ts";
import { trim } from "./trim/index.ts";
import { goWords } from "./words.ts";

/** How the figures of a place came about, and when its tasks start. */
export function sumsOf(key: PlaceKey, given: PlaceGiven): readonly Working[] {
	return [...(PLACE[key].sums?.(given) ?? []), ...startsAt(given.plan, key)];
}

/** Each place of the long table; a new one is a new folder and its line here. */
export const PLACE: Readonly<Record<PlaceKey, Place>> = {
	buy,
	trim,
	marinate,
	sear,
	build,
	panUp,
	braise,
	rest,
	chill,
	reheat,
	sauce,
	hold,
	carry,
	plate,
};

/** One place of the long table: its name, its one figure and its clock. */
export interface PlaceView {
	readonly key: PlaceKey;
	readonly label: string;
	readonly figure: string;
	readonly clock: string;
	/** The same without its day, and the day: "Sat 5 Dec". */
	readonly time: string;
	readonly day: string;
	/** Instant at which work there starts, and the task that starts then. */
	readonly at: number;
	readonly task: string;
	/** What its figure is. */
	readonly shown: Shown | null;
}

/** The places a dish needs, from left to right in the order of work: those that have a task. */
export function placesOf(given: PlaceGiven): PlaceView[] {
	const { plan, reading } = given;
	return inOrder(plan).flatMap((key) => {
		const task = taskAt(plan, key);
		if (!task) return [];
		const clock = reading.clock(task.start);
		return [
			{
				key,
				label: PLACE_WORDS[key],
				figure: PLACE[key].figure(given),
				clock: PLACE[key].clock?.(clock) ?? clock,
				time: PLACE[key].clock?.(reading.time(task.start)) ?? reading.time(task.start),
				day: reading.day(task.start),
				at: task.start,
				task: task.id,
				shown: shownAt(key, plan),
			},
		];
	});
}

/** As in the order of work; portions in boxes of their own are filled before they are carried. */
function inOrder(plan: WorkedDish): readonly PlaceKey[] {
	const carried = taskAt(plan, "carry");
	const plated = taskAt(plan, "plate");
	if (!carried || !plated || carried.start < plated.start) return PLACES;
	return [...PLACES.filter((key) => key !== "carry"), "carry"];
}

/** One task as a line of a day's list. */
export interface TaskView {
	readonly id: string;
	readonly at: number;
	readonly place: string;
	readonly key: PlaceKey;
	readonly words: string;
}

/** Parts that nobody starts: they follow by themselves. */
const BY_ITSELF: ReadonlySet<PlacedTask["part"]> = new Set(["rest", "keep"]);

/** The tasks of a dish that somebody has to begin, the first first. */
export function tasksOf(given: PlaceGiven): TaskView[] {
	const begun = given.plan.tasks.flatMap((task): TaskView[] => {
		const { place } = task;
		if (place === "make" || BY_ITSELF.has(task.part)) return [];
		return [
			{
				id: task.id,
				at: task.start,
				place: PLACE_WORDS[place],
				key: place,
				words: goWords(task) + PLACE[place].task(task, given),
			},
		];
	});
	return sortBy([...begun, ...tastingTasks(given)], ["at"]);
}

/** The dish is tasted three times: nobody is needed for long, and nobody may forget it. */
function tastingTasks({ plan }: PlaceGiven): TaskView[] {
	return tastingsOf(plan).map((tasting) => ({
		id: `${plan.order.id}/taste/${tasting.of}`,
		at: tasting.at,
		place: PLACE_WORDS[tasting.place],
		key: tasting.place,
		words: tastingTask(tasting),
	}));
}

export type { Headline, Making, PaperLine, Place, PlaceGiven, TableGiven } from "./Place.ts";
