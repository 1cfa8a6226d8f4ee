import { type Static, Type } from "@sinclair/typebox";
import { Celsius, oneOf } from "../check/index.ts";
import { CONSISTENCIES, COUPLING_SPREAD, HEAT_SPREAD_C, type HeatCase } from "../heat/index.ts";
import { crossedAt, type Range } from "../quantity/index.ts";
import { LID_KEYS } from "../trade/index.ts";
import { type Reheating, reheating } from "./reheating.ts";

/** What is typed of food that is reheated, beside its pan and its heat. */
export const ReheatGiven = Type.Object({
	depth_mm: Type.Number({ minimum: 5, maximum: 600, allowed: "a depth from 5 to 600 mm" }),
	consistency: oneOf(CONSISTENCIES),
	lid: oneOf(LID_KEYS),
	start_C: Type.Optional(Celsius),
	to_C: Type.Optional(Celsius),
	stirEvery_min: Type.Optional(
		Type.Number({ minimum: 1, maximum: 240, allowed: "minutes from 1 to 240 between two stirrings" }),
	),
});
export type ReheatGiven = Static<typeof ReheatGiven>;

/**
 * Minutes until the coldest of it is so hot.
 *
 * @returns null where it never is, or not within a day
 * @throws {Refusal} where it is to be reheated in what heats too slowly for cold food
 */
export function reheatMinutes(given: Reheating, to_C: number, which: HeatCase = "likely"): number | null {
	let before = { minute: 0, coldest_C: given.start_C };
	for (const point of reheating(given, to_C, which)) {
		if (point.coldest_C >= to_C) {
			const { minute, coldest_C: C } = before;
			return crossedAt({ minute, C }, { minute: point.minute, C: point.coldest_C }, to_C);
		}
		before = point;
	}
	return null;
}

/**
 * The same with how far it may be off: heat through the food, into the pan, and where the oven really
 * is, each tried at both ends and added as independent of one another.
 *
 * @returns null where it never gets so hot, or may never
 */
export function reheatRange(given: Reheating, to_C: number): Range | null {
	const likely = reheatMinutes(given, to_C);
	if (likely === null || likely === 0) return likely === null ? null : { low: 0, likely, high: 0 };
	const [low, high] = [off("better"), off("worse")];
	return high === null
		? null
		: { low: likely * Math.exp(-(low ?? 0)), likely, high: likely * Math.exp(high) };

	function off(end: "better" | "worse"): number | null {
		const minutes = endsOf(given, end).map(([other, which]) => reheatMinutes(other, to_C, which));
		if (minutes.some((one) => one === null)) return null;
		return Math.hypot(...minutes.map((one) => Math.log((one as number) / (likely as number))));
	}
}

function endsOf(given: Reheating, end: "better" | "worse"): (readonly [Reheating, HeatCase])[] {
	const { heat, coupling = 1 } = given;
	const spread = 1 + COUPLING_SPREAD;
	const off_C = HEAT_SPREAD_C[heat.kind] * (end === "better" ? 1 : -1);
	const warmer = "set_C" in heat ? { ...heat, set_C: heat.set_C + off_C } : heat;
	return [
		[given, end === "better" ? "high" : "low"],
		[{ ...given, coupling: end === "better" ? coupling * spread : coupling / spread }, "likely"],
		[{ ...given, heat: warmer }, "likely"],
	];
}
