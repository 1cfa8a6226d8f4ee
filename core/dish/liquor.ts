import { type AllergenFound, type AllergenListKey, allergensIn } from "../recipe/index.ts";
import { onDay } from "../time/index.ts";
import { goesIntoPan } from "./panLines.ts";
import type { PlanLine } from "./planLines.ts";
import type { PlanSauce } from "./planSauce.ts";

/** Liquor that is over when the sauce has been taken: salted, with all that was in it. */
export interface Liquor {
	/** Ladled over the meat until it is plated, litres. */
	readonly moistens_l: number;
	/** Kept under a label of its own, litres; none where it is not worth a tub. */
	readonly litres: number;
	readonly salt_pct: number;
	readonly allergens: readonly AllergenFound[];
	/** The last day on which it is used, ms since 1970 UTC. */
	readonly useBy: number;
}

/** Less than this moistens the meat too, litres. */
const NOT_WORTH_A_TUB_L = 0.5;
/** Days that cooled liquor keeps, the day it was cooked being none. General practice; the house's own rule goes before it. */
export const LIQUOR_KEEPS_DAYS = 3;

/**
 * What is over, and what its label has to say.
 *
 * @param at when the pans are lifted, ms since 1970 UTC
 */
export function liquorOf(
	sauce: PlanSauce | null,
	salt_pct: number,
	lines: readonly PlanLine[],
	at: number,
	list: AllergenListKey,
	timeZone: string,
): Liquor | null {
	if (!sauce || sauce.over_l === 0) return null;
	const rest_l = sauce.over_l - sauce.moistens_l;
	const litres = rest_l < NOT_WORTH_A_TUB_L ? 0 : rest_l;
	const inIt = lines.filter(
		(line) => goesIntoPan(line) || line.line.role === "main" || line.line.role === "searFat",
	);
	return {
		moistens_l: sauce.over_l - litres,
		litres,
		salt_pct,
		allergens: allergensIn(
			inIt.map(({ ingredient }) => ingredient),
			list,
		),
		useBy: onDay(at, timeZone, 0, LIQUOR_KEEPS_DAYS),
	};
}
