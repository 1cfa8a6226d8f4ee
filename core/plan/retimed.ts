import { maxBy } from "es-toolkit";
import type { Beliefs } from "../beliefs/index.ts";
import type { Kitchen } from "../kitchen/index.ts";
import type { Oven } from "../ovens/index.ts";
import { isInOven } from "../recipe/index.ts";
import type { PlacedTask } from "../tasks/index.ts";
import { tenderAt, tenderFrom, waitOf } from "./onTheClock.ts";
import { isOfLastGo, type Plan } from "./Plan.ts";
import { type BraiseGroup, cookedAt } from "./planBraise.ts";
import { planWarnings } from "./planWarnings.ts";
import { workingsOf } from "./workings/index.ts";

/** Where, how hot and how long the pans of a group are cooked. */
export interface CookedIn {
	readonly group: string;
	readonly oven: Oven;
	readonly set_C: number;
	readonly minutes: number;
}

/**
 * A plan on another clock: as its tasks stand in a kitchen that others use too, each group of pans
 * in the oven and at the temperature that it has there.
 *
 * @param cooked groups that have an oven; the others have none
 */
export function retimed(
	plan: Plan,
	tasks: readonly PlacedTask[],
	cooked: readonly CookedIn[],
	kitchen: Kitchen,
	beliefs: Beliefs,
): Plan {
	const { workings: _, warnings: __, ...figures } = plan;
	const braise = braiseIn(plan, cooked, beliefs);
	const braise_min = braise?.slowest.tender_min ?? plan.braise_min;
	const standing = isInOven(plan.recipe) ? (braise?.groups ?? []) : [];
	const without = standing
		.filter(({ id }) => !cooked.some(({ group }) => group === id))
		.reduce((sum, { pans }) => sum + pans.length, 0);
	const placed = {
		...figures,
		tasks: [...tasks].sort((a, b) => a.start - b.start || a.end - b.end),
		braise,
		braise_min,
		allowed_min: braise?.slowest.allowed_min ?? plan.allowed_min,
		ovens: { ...plan.ovens, without },
		wait_min: waitOf(plan.recipe, tasks),
	};
	const timed = {
		...placed,
		tender: lastTender(braise?.groups ?? [], tasks) ?? tenderAt(placed, placed.tasks),
	};
	return { ...timed, workings: workingsOf(timed, kitchen), warnings: planWarnings(timed, kitchen) };
}

function braiseIn({ braise }: Plan, cooked: readonly CookedIn[], beliefs: Beliefs): Plan["braise"] {
	if (!braise) return null;
	const groups = braise.groups
		.map((group) => {
			const found = cooked.find((one) => one.group === group.id);
			return found ? cookedAt(group, found.oven, found.set_C, found.minutes, beliefs) : group;
		})
		.sort((a, b) => b.allowed_min - a.allowed_min || a.id.localeCompare(b.id));
	return { ...braise, groups, slowest: groups[0] as BraiseGroup };
}

/** When the pans of the last filling that are tender last are tender. */
function lastTender(
	groups: readonly BraiseGroup[],
	tasks: readonly PlacedTask[],
): Plan["tender"] | undefined {
	const all = tasks.filter(isOfLastGo).flatMap(({ figures, start }) => {
		const group = groups.find(({ id }) => id === figures.group);
		return group ? [tenderFrom(start, group.tender_min)] : [];
	});
	return maxBy(all, ({ likely }) => likely);
}
