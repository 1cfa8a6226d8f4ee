import type { HousePolicy } from "../kitchen/index.ts";
import { comesUpTo, KILL_TABLES, minutesOf, type ReachRange, type Verdict } from "../safety/index.ts";
import type { Plan } from "./Plan.ts";
import type { PlanWarning } from "./PlanWarning.ts";
import type { PlanBraise } from "./planBraise.ts";
import { heldVerdict } from "./planHold.ts";

/** Pans whose coldest point comes up too slowly, or has too little of its heat when they are lifted: the worst of them. */
export function coldestWarnings(braise: PlanBraise | null, { code }: HousePolicy): PlanWarning[] {
	const groups = braise?.groups ?? [];
	const worst = (which: "comingUp" | "killed") =>
		groups.find(({ verdicts }) => verdicts?.[which] === "missed") ??
		groups.find(({ verdicts }) => verdicts?.[which] === "close");
	const found: PlanWarning[] = [];
	const slow = worst("comingUp");
	if (slow?.verdicts && slow.braised.coldest) {
		const { comingUp } = slow.verdicts;
		found.push({
			code: comingUp === "close" ? "comingUpClose" : "comingUpSlow",
			place: "braise",
			hot_C: comesUpTo(code),
			within_min: code.comingUp_min,
			minutes: minutesJudged(slow.braised.coldest.hot, comingUp),
			house: code.name,
		});
	}
	const under = worst("killed");
	if (under?.verdicts && under.braised.coldest) {
		const { killed } = under.verdicts;
		found.push({
			code: killed === "close" ? "underKilledClose" : "underKilled",
			place: "braise",
			ref_C: KILL_TABLES[code.kill].ref_C,
			ref_min: KILL_TABLES[code.kill].minutes,
			lift_min: under.allowed_min,
			minutes: minutesJudged(under.braised.coldest.killed, killed),
		});
	}
	return found;
}

/** The minutes that a verdict was given by: close ones are late at the latest. */
function minutesJudged({ likely, latest }: ReachRange, verdict: Verdict): number | null {
	return minutesOf(verdict === "close" ? latest : likely);
}

/** Food that is not held on purpose and is too cold before its last plate. */
export function heldWarnings({
	hold,
	hold_min,
	wait_min,
	work,
}: Pick<Plan, "hold" | "hold_min" | "wait_min" | "work">): PlanWarning[] {
	if (!hold || hold_min > 0) return [];
	const minutes = wait_min + work.places.plate.wall_min;
	const verdict = heldVerdict(hold, false, minutes);
	if (verdict !== "missed" && verdict !== "close") return [];
	const { likely, soonest } = hold.unheated;
	return [
		{
			code: verdict === "missed" ? "holdMissed" : "holdClose",
			place: "rest",
			limit_C: hold.limit_C,
			minutes,
			below_min: minutesOf(verdict === "missed" ? likely : soonest) ?? 0,
		},
	];
}
