import { maxBy } from "es-toolkit";
import type { Range } from "../quantity/index.ts";
import type { PlacedTask } from "../tasks/index.ts";
import { MINUTE_MS } from "../time/index.ts";
import { isOfLastGo, type PlanFigures } from "./Plan.ts";
import type { BraiseGroup } from "./planBraise.ts";

/** Pans that decide when a dish is tender: when they go in, and how long they take. */
export interface LastTender {
	readonly start: number;
	readonly tender_min: Range;
	/** Null where no oven load is theirs. */
	readonly group: BraiseGroup | null;
}

/**
 * When the pans that decide are dry before they are likely tender, an instant: after it no time is
 * promised. Null where they are not.
 */
export function dryBeforeTender(
	plan: Pick<PlanFigures, "braise" | "braise_min">,
	tasks: readonly PlacedTask[],
): number | null {
	const { start, tender_min, group } = lastTender(plan, tasks);
	const dryAt_min = group?.braised.dryAt_min ?? null;
	return dryAt_min !== null && dryAt_min <= tender_min.likely ? start + dryAt_min * MINUTE_MS : null;
}

/** Of the last filling, the pans that are likely tender last. @throws {Error} when it has no oven task */
export function lastTender(
	{ braise, braise_min }: Pick<PlanFigures, "braise" | "braise_min">,
	tasks: readonly PlacedTask[],
): LastTender {
	const last = tasks.filter((task) => task.part === "oven" && isOfLastGo(task));
	const all = last.map(({ figures, start }): LastTender => {
		const group = braise?.groups.find(({ id }) => id === figures.group);
		return { start, tender_min: group?.tender_min ?? braise_min, group: group ?? null };
	});
	const found = maxBy(all, ({ start, tender_min }) => start + tender_min.likely * 60_000);
	if (!found) throw new Error("a braise without an oven task");
	return found;
}
