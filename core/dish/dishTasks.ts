import { type Task, taskMinutes } from "../tasks/index.ts";
import { finishTasks } from "./finishTasks.ts";
import { type GoTasks, goTasks } from "./goTasks.ts";
import { marinadeTask } from "./marinadeTask.ts";
import { isMadeAhead } from "./planLiquid.ts";
import { after, cooks, type Namer, named } from "./taskNamer.ts";
import type { WorkedOut } from "./WorkedOut.ts";

/**
 * All that a dish asks of the kitchen, from the order to the plate. Where its pans are filled more
 * than once, each filling has tasks of its own; those of the last one stand first.
 *
 * @see model, section K
 */
export function dishTasks(out: WorkedOut): Task[] {
	const { order, work, pans, recipe } = out;
	const made = named(order.id);
	const emptied = isMadeAhead(recipe) ? "chill" : "lift";
	const goes: GoTasks[] = [];
	for (let go = 1; go <= pans.goes; go += 1) {
		goes.push(goTasks(out, { go, goes: pans.goes }, goes.at(-1)?.made.id(emptied) ?? null));
	}
	return [
		orderTask(out, made),
		made("trim", "work", {
			minutes: taskMinutes(work.places.trim, order.hands),
			after: [after(made.id("buy"))],
			needs: cooks(order.hands),
			window: { withinHours: true },
		}),
		...marinadeTask(out, made),
		...goes.toReversed().flatMap(({ tasks }) => tasks),
		...finishTasks(out, goes),
	];
}

/** Orders go out when the kitchen opens, the card's lead before the first task that touches what was ordered. */
function orderTask({ recipe }: WorkedOut, made: Namer): Task {
	return made("buy", "order", { window: { leadDays: recipe.orderLead_days } });
}
