import type { WorkedDish } from "#core/day";
import { threeDigits } from "#core/quantity";
import type { Reading } from "../../ui/words/reading.ts";

/** What is over, as the difference of what is shown of both: 26.7 needed and 27 ordered leave 0.3. */
export function spareWords(
	{ asPurchased_kg, order_kg = asPurchased_kg }: WorkedDish["chain"],
	{ mass }: Pick<Reading, "mass">,
): string {
	const [needed = 0, ordered = 0] = [asPurchased_kg, order_kg].map((kg) => Number.parseFloat(mass(kg)));
	const [unit, other] = [mass(order_kg), mass(asPurchased_kg)].map((words) => words.replace(/^[\d.,]+/, ""));
	if (unit !== other) return mass(order_kg - asPurchased_kg);
	return `${threeDigits(ordered - needed)}${unit}`;
}
