import type { PlacedTask } from "../../tasks/index.ts";
import type { PlaceKey } from "../../trade/index.ts";
import {
	add,
	between,
	divide,
	figure,
	fiveDown,
	least,
	type Sum,
	subtract,
	type Working,
	wholeUp,
	working,
} from "../../workings/index.ts";
import type { WorkedPlan } from "./WorkedPlan.ts";

const MINUTE_MS = 60_000;

/** One cook's minutes shared by the hands there are, and what waits. */
export function workWorkings({ work, order }: WorkedPlan, place: PlaceKey): Working[] {
	const { handsOn_min, waiting_min } = work.places[place];
	if (handsOn_min + waiting_min === 0) return [];
	const shared = divide(figure(handsOn_min, "min", "oneCook"), figure(order.hands, "count", "cooks"));
	const sum = waiting_min > 0 ? add(shared, figure(waiting_min, "min", "waiting")) : shared;
	return [working("work", wholeUp(sum), "min")];
}

/**
 * When the tasks of a place start: what follows them, less their own minutes, back to the five
 * minutes. A task that is moved into working hours starts so long before those end.
 */
export function startWorkings(plan: WorkedPlan, place: PlaceKey): Working[] {
	return plan.tasks
		.filter((task) => task.place === place && task.part !== "rest" && task.part !== "hold" && !task.fills)
		.flatMap((task) => startWorking(task, plan));
}

function startWorking(task: PlacedTask, plan: WorkedPlan): Working[] {
	const about = { place: task.place, part: task.part, task: task.id };
	const minutes = figure(task.minutes.planned, "min", minutesName(task));
	const limits = limitsOf(task, plan);
	const sum = fiveDown(subtract(least(...limits), minutes));
	const byFollowers = working("start", task.part === "lift" ? liftSum(task, plan) : sum, "instant", about);
	if (byFollowers.result.value === task.start) return [byFollowers];
	// It was moved to an earlier working day: what counts is when it is over.
	const over = figure(task.start + task.minutes.planned * MINUTE_MS, "instant", "over");
	return [working("start", subtract(over, minutes), "instant", about)];
}

/** What it has to be over for: the start of what follows, with its lag, or the end of its window. */
function limitsOf(task: PlacedTask, { tasks, order }: WorkedPlan): Sum[] {
	const starts = startsAfter(task, tasks);
	const { to } = task.window;
	if (to !== null) starts.push(figure(to, "instant", endName(task, to, order.serviceAt)));
	return starts.length > 0 ? starts : [figure(order.serviceAt, "instant", "service")];
}

/** The starts of what follows a task, less their lags; what fills the time between stands for what follows it. */
function startsAfter(task: PlacedTask, tasks: readonly PlacedTask[]): Sum[] {
	return tasks.flatMap((next) =>
		next.after
			.filter((predecessor) => predecessor.task === task.id)
			.flatMap(({ least_min }): Sum[] => {
				if (next.fills) return startsAfter(next, tasks);
				const start = figure(next.start, "instant", `to.${next.place}.${next.part}`);
				return [least_min > 0 ? subtract(start, figure(least_min, "min", lagName(task))) : start];
			}),
	);
}

/** What the end of a window is called. */
function endName({ part }: PlacedTask, to: number, serviceAt: number): string {
	if (part === "order") return "orderBy";
	return to === serviceAt ? "service" : "lastPlate";
}

/** The lift leaves time for the rest and for the sauce, whichever is longer. */
function liftSum(task: PlacedTask, { tasks }: WorkedPlan): Sum {
	return least(...startsAfter(task, tasks));
}

function minutesName({ place, part }: PlacedTask): string {
	return part === "oven" ? "allowed" : `minutes.${place}.${part}`;
}

function lagName({ part }: PlacedTask): string {
	if (part === "late") return "beforeLift";
	return part === "marinade" ? "marinade" : "emptied";
}

/** How long it really lies in its marinade. */
export function marinadeWorkings({ recipe, tasks }: WorkedPlan): Working[] {
	const into = tasks.find(({ part }) => part === "marinade");
	const out = tasks.find(({ after }) => after.some(({ task }) => task === into?.id));
	if (!recipe.marinate || !into || !out) return [];
	const { minutes, longest_min } = recipe.marinate;
	return [
		working(
			"inMarinade",
			between(figure(into.end, "instant", "marinadeIn"), figure(out.start, "instant", "drained")),
			"min",
			{ asked_min: minutes, longest_min },
		),
	];
}
