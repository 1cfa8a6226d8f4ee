import { refuse } from "../check/index.ts";
import type { Reduction } from "./schemas.ts";

/** Heat that turns a kilo of boiling water into steam, kJ/kg (steam tables, at 1 atm). */
export const STEAM_KJ_PER_KG = 2257;

/**
 * The most an open pot gives off at a rolling boil before it spits over, kg per m² and
 * hour: about 30 kW through each square metre of surface. General kitchen practice; the
 * kitchen's own log replaces it.
 */
export const MOST_STEAM_KG_PER_M2_H = 45;

export interface Reduced {
	readonly minutes: number;
	/** Salt at the end, %; only where it was given at the start. */
	readonly salt_pct?: number;
	/** What sets the pace: the heat, or the surface of the pot. */
	readonly limitedBy: "power" | "surface";
	/** How deep the pot stands at the start and at the mark to stop at, mm. */
	readonly from_mm: number;
	readonly mark_mm: number;
}

/**
 * Boiling a liquid down: minutes by the heat that reaches it, never faster than the
 * surface of the pot lets the steam go; salt rises as the liquid falls.
 *
 * @returns minutes at the boil, and the mark on a stick, mm above the floor of the pot
 * @throws {Refusal} naming `target_l` when it is more than there is
 * @see model, section G
 */
export function reduce({ pot, ...rest }: Reduction): Reduced {
	return reduceIn({ ...rest, floor_m2: (Math.PI / 4) * (pot.diameter_mm / 1000) ** 2 });
}

/** The same in a pan of any shape, by the surface of what boils in it. */
export function reduceIn({
	start_l,
	target_l,
	floor_m2: area_m2,
	power_kW,
	salt_pct,
}: Omit<Reduction, "pot"> & { readonly floor_m2: number }): Reduced {
	if (target_l > start_l) {
		throw refuse("target_l", `${target_l} l was given; ${start_l} l, what there is, or less is allowed`);
	}
	const steam_kg = start_l - target_l;
	const byPower = (steam_kg * STEAM_KJ_PER_KG) / power_kW / 60;
	const bySurface = (steam_kg / (area_m2 * MOST_STEAM_KG_PER_M2_H)) * 60;
	const depth_mm = (litres: number) => litres / area_m2;
	return {
		minutes: Math.max(byPower, bySurface),
		...(salt_pct === undefined ? {} : { salt_pct: (salt_pct * start_l) / target_l }),
		limitedBy: bySurface > byPower ? "surface" : "power",
		from_mm: depth_mm(start_l),
		mark_mm: depth_mm(target_l),
	};
}
