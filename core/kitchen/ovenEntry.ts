import { type Static, Type } from "@sinclair/typebox";
import { Name, oneOf, refuse } from "../check/index.ts";
import { FAN_SPEEDS, type FanSpeed } from "../ovens/index.ts";
import { GASTRONORM_SIZES } from "../pans/index.ts";
import { wholeTo } from "./wholeTo.ts";

/** An oven as it is typed. */
export const OvenEntry = Type.Object({
	name: Name,
	kind: oneOf(["stillOven", "fanOven"] as const),
	rungs: wholeTo(1, 60, "rungs"),
	pitch_mm: wholeTo(30, 400, "mm"),
	shelf: oneOf(GASTRONORM_SIZES),
	min_C: wholeTo(20, 350, "°C"),
	max_C: wholeTo(20, 350, "°C"),
	power_kW: Type.Optional(
		Type.Number({ minimum: 0.5, maximum: 100, allowed: "a power from 0.5 to 100 kW, or nothing" }),
	),
	/** None where its air is as it says. */
	runsHot_K: Type.Optional(
		Type.Number({
			minimum: -40,
			maximum: 40,
			allowed: "from 40 °C below what it is set to, to 40 °C above it",
		}),
	),
	/** As usual where it is left out. */
	fan: Type.Optional(oneOf(FAN_SPEEDS)),
	opened_h: Type.Optional(
		Type.Number({ minimum: 0, maximum: 20, allowed: "0 to 20 times an hour, or nothing" }),
	),
});

export type OvenEntry = Static<typeof OvenEntry>;

export interface OvenFields extends Omit<OvenEntry, "power_kW" | "runsHot_K" | "fan" | "opened_h"> {
	/** None where it is not known. */
	readonly power_w: number | null;
	readonly runsHot_K: number;
	readonly fan: FanSpeed;
	readonly opened_h: number | null;
}

/** An oven as it is kept. @throws {Refusal} when the oven would be hottest below its coolest */
export function ovenFields({
	power_kW,
	runsHot_K = 0,
	fan = "usual",
	opened_h,
	...typed
}: OvenEntry): OvenFields {
	if (typed.max_C < typed.min_C) {
		throw refuse("max_C", `${typed.max_C} was given; the coolest (${typed.min_C} °C) or more is allowed`);
	}
	const power_w = power_kW === undefined ? null : Math.round(power_kW * 1000);
	return { ...typed, power_w, runsHot_K, fan, opened_h: opened_h ?? null };
}
