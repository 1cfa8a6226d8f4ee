import type { Kitchen } from "../../kitchen/index.ts";
import { PLACES, type PlaceKey } from "../../trade/index.ts";
import type { Working } from "../../workings/index.ts";
import { braiseWorkings, panWorkings } from "./braising.ts";
import { marinadeWorkings, startWorkings, workWorkings } from "./clock.ts";
import { colourWorkings } from "./colour.ts";
import { liquidWorkings, sauceWorkings } from "./liquid.ts";
import type { WorkedPlan } from "./WorkedPlan.ts";
import { portionWorkings, purchaseWorkings, trimWorkings } from "./yields.ts";

export type { WorkedPlan };

/**
 * The sums behind the figures of a plan, place by place: values of the plan itself, so that what
 * is shown cannot differ from what is reckoned.
 */
export function workingsOf(plan: WorkedPlan, kitchen: Kitchen): Record<PlaceKey, readonly Working[]> {
	const own: Readonly<Record<PlaceKey, readonly Working[]>> = {
		buy: [...portionWorkings(plan), ...purchaseWorkings(plan)],
		trim: [...trimWorkings(plan), ...workWorkings(plan, "trim")],
		marinate: [...marinadeWorkings(plan), ...workWorkings(plan, "marinate")],
		sear: colourWorkings(plan),
		build: [...liquidWorkings(plan), ...workWorkings(plan, "build")],
		panUp: [...panWorkings(plan, kitchen), ...workWorkings(plan, "panUp")],
		braise: braiseWorkings(plan),
		rest: [],
		chill: workWorkings(plan, "chill"),
		reheat: workWorkings(plan, "reheat"),
		sauce: [...sauceWorkings(plan, kitchen), ...workWorkings(plan, "sauce")],
		hold: [],
		carry: workWorkings(plan, "carry"),
		plate: [...portionWorkings(plan), ...workWorkings(plan, "plate")],
	};
	return Object.fromEntries(
		PLACES.map((place) => [place, [...own[place], ...startWorkings(plan, place)]]),
	) as unknown as Record<PlaceKey, readonly Working[]>;
}
