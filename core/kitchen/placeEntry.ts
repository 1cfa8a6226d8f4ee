import { type Static, Type } from "@sinclair/typebox";
import { Name, oneOf } from "../check/index.ts";
import { wholeTo } from "./wholeTo.ts";

export const PLACE_KINDS = ["chiller", "fridge", "warmer", "box"] as const;

/** A chiller by the pans it takes, a fridge by its litres, a warmer by its plates, boxes by their number, as it is typed. */
export const PlaceEntry = Type.Object({
	name: Name,
	kind: oneOf(PLACE_KINDS),
	capacity: wholeTo(1, 5000, "pans, litres, plates or boxes"),
	air_C: Type.Optional(
		Type.Integer({ minimum: -40, maximum: 10, allowed: "whole degrees from −40 to 10 °C, or nothing" }),
	),
	power_kW: Type.Optional(
		Type.Number({ minimum: 0.1, maximum: 100, allowed: "a power from 0.1 to 100 kW, or nothing" }),
	),
	rated_kg: Type.Optional(
		Type.Number({ minimum: 1, maximum: 1000, allowed: "a weight from 1 to 1,000 kg, or nothing" }),
	),
	loses_W_per_K: Type.Optional(
		Type.Number({ minimum: 0.05, maximum: 20, allowed: "a loss from 0.05 to 20 W/K, or nothing" }),
	),
});
export type PlaceEntry = Static<typeof PlaceEntry>;

export interface PlaceFields extends Omit<PlaceEntry, "air_C" | "power_kW" | "rated_kg" | "loses_W_per_K"> {
	/** None where it is the usual, and for a warmer. */
	readonly air_C: number | null;
	readonly power_w: number | null;
	readonly rated_kg: number | null;
	readonly loses_W_per_K: number | null;
}

/** A place as it is kept: a warmer has no cold air, and only a box is known by what it loses. */
export function placeFields({ air_C, power_kW, rated_kg, loses_W_per_K, ...typed }: PlaceEntry): PlaceFields {
	const cools = typed.kind === "chiller" || typed.kind === "fridge";
	return {
		...typed,
		air_C: cools ? (air_C ?? null) : null,
		loses_W_per_K: typed.kind === "box" ? (loses_W_per_K ?? null) : null,
		rated_kg: typed.kind === "chiller" ? (rated_kg ?? null) : null,
		power_w: cools && power_kW !== undefined ? Math.round(power_kW * 1000) : null,
	};
}
