import type { PlanLine } from "./planLines.ts";

/**
 * Salt of the finished dish, % by weight: all salt of the lines over what it is shared by
 * at the end, cooked meat, vegetables of the pan and finished sauce. What stock, capers
 * or miso bring comes on top.
 *
 * @returns null when no line is salt
 * @see model, section F
 */
export function saltAtEnd(lines: readonly PlanLine[], cooked_kg: number, sauce_l: number): number | null {
	const grams = (of: readonly PlanLine[]) => of.reduce((sum, { amount_g }) => sum + (amount_g ?? 0), 0);
	const salt_g = grams(lines.filter(({ line }) => line.role === "salt"));
	if (salt_g === 0) return null;
	const vegetables_g = grams(lines.filter(({ line }) => line.role === "vegetable" && !line.apart));
	return (salt_g / (cooked_kg * 1000 + sauce_l * 1000 + vegetables_g)) * 100;
}
