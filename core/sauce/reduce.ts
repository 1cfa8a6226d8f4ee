import { refuse } from "../check/index.ts";
import { divide, figure, multiply, reckoned, subtract, type Working, working } from "../workings/index.ts";
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
	/** How minutes and mark came to what they are. */
	readonly sums: { readonly minutes: Working; readonly mark: Working };
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

/** How high so much sauce stands over a floor, mm: the mark on a stick. */
export function markAt(litres: number, floor_m2: number): Working {
	const sum = divide(figure(litres, "l", "sauce"), figure(floor_m2, "number", "floorOfPot"));
	return working("mark", sum, "mm");
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
	const steam = subtract(figure(start_l, "l", "taken"), figure(target_l, "l", "sauce"));
	const floor = figure(area_m2, "number", "floorOfPot");
	const byPower = divide(
		multiply(steam, figure(STEAM_KJ_PER_KG, "number", "kJ")),
		figure(power_kW, "number", "kW"),
		figure(60, "number", "secondsAMinute"),
	);
	const bySurface = multiply(
		divide(steam, floor, figure(MOST_STEAM_KG_PER_M2_H, "number", "mmAnHour")),
		figure(60, "number", "minutesAnHour"),
	);
	const isBySurface = reckoned(bySurface) > reckoned(byPower);
	const minutes = working("toReduce", isBySurface ? bySurface : byPower, "min");
	const mark = markAt(target_l, area_m2);
	return {
		minutes: minutes.result.value,
		...(salt_pct === undefined ? {} : { salt_pct: (salt_pct * start_l) / target_l }),
		limitedBy: isBySurface ? "surface" : "power",
		from_mm: start_l / area_m2,
		mark_mm: mark.result.value,
		sums: { minutes, mark },
	};
}
