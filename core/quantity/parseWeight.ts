import { refuse } from "../check/index.ts";
import { parseQuantity } from "./parseQuantity.ts";
import { toBase, type UnitSystem } from "./units.ts";

/** The heaviest delivery that is planned from, g. */
const HEAVIEST_G = 10_000_000;

/**
 * A typed weight in grams; a bare number is kg, or lb to a reader with US units.
 *
 * @param field named in the refusal
 * @throws {Refusal} when it is no weight above 0 and up to 10,000 kg
 */
export function parseWeight(text: string, field: string, units: UnitSystem): number {
	const bare = /^[\d.,\s]+$/.test(text);
	const { amount, unit } = parseQuantity(
		bare ? `${text} ${units === "us" ? "lb" : "kg"}` : text,
		field,
		"mass",
	);
	const grams = toBase(amount, unit);
	if (Math.round(grams) >= 1 && grams <= HEAVIEST_G) return grams;
	throw refuse(field, `${text} was given; a weight above 0 and up to 10,000 kg is allowed`);
}
