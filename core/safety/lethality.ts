import { type Static, Type } from "@sinclair/typebox";
import { Celsius, refuse } from "../check/index.ts";

const Minute = Type.Number({ minimum: 0, maximum: 100_000, allowed: "minutes from 0 to 100,000" });

/** Temperatures at the coldest point over time, straight lines between them. */
export const Lethality = Type.Object({
	ref_C: Celsius,
	z_C: Type.Number({ minimum: 1, maximum: 50, allowed: "a z from 1 to 50 °C" }),
	series: Type.Array(Type.Tuple([Minute, Celsius]), {
		minItems: 1,
		maxItems: 100_000,
		allowed: "minutes with their temperatures, 1 to 100,000 of them",
	}),
});
export type Lethality = Static<typeof Lethality>;

/**
 * Minutes at the reference temperature that kill as much as a series of temperatures does:
 * Σ Δt · 10^((T − T_ref) / z), along straight lines exactly.
 *
 * @throws {Refusal} when the series goes back in time
 * @see model, section H
 */
export function equivalentMinutes({ ref_C, z_C, series }: Lethality): number {
	let sum = 0;
	for (let index = 1; index < series.length; index += 1) {
		const [from, from_C] = series[index - 1] as readonly [number, number];
		const [to, to_C] = series[index] as readonly [number, number];
		if (to < from)
			throw refuse(`series[${index}]`, "it is before the one before it; a later minute is allowed");
		sum += (to - from) * meanRate((from_C - ref_C) / z_C, (to_C - ref_C) / z_C);
	}
	return sum;
}

/** The mean of 10^x along a straight line. */
export function meanRate(from: number, to: number): number {
	const steep = (to - from) * Math.LN10;
	if (Math.abs(steep) < 1e-6) return 10 ** ((from + to) / 2);
	return (10 ** to - 10 ** from) / steep;
}
