import { type BraiseGiven, likelyMinutes } from "../braise/index.ts";
import { simmerAt } from "../heat/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { HEAT_RANGES, type HeatWay } from "../trade/index.ts";
import type { BraiseGroup } from "./planBraise.ts";

/**
 * About how long the fullest pan would take on another heat, minutes: the same meat and liquid, at what
 * that heat is usually set to. The plan reckons it with its own vessels when it is taken.
 */
export function minutesOnHeat(
	{ given }: Pick<BraiseGroup, "given">,
	heat: HeatWay,
	{ braise: { lid } }: Recipe,
	altitude_m: number,
): number {
	const { oven: _, resets: __, lids: ___, ...pan } = given;
	return likelyMinutes({ ...pan, ...onHeat(heat, given, lid, altitude_m) });
}

function onHeat(
	heat: HeatWay,
	{ start }: BraiseGiven,
	lid: BraiseGiven["lid"],
	altitude_m: number,
): Pick<BraiseGiven, "heat" | "lid" | "start"> {
	switch (heat) {
		case "hob":
			return {
				heat: { kind: "hob", simmer: true },
				lid,
				start: { ...start, liquid_C: simmerAt(altitude_m) },
			};
		case "oven":
			return { heat: { kind: "fanOven", set_C: HEAT_RANGES.oven.set }, lid, start };
		case "slowCooker":
			return { heat: { kind: "slowCooker", set_C: HEAT_RANGES.slowCooker.set }, lid: "lid", start };
		case "pressure":
			return { heat: { kind: "pressure", set_C: HEAT_RANGES.pressure.set }, lid: "sealed", start };
		case "bath": {
			const set_C = HEAT_RANGES.bath.set;
			return { heat: { kind: "waterBath", set_C }, lid: "sealed", start: { ...start, liquid_C: set_C } };
		}
	}
}
