import { refuse } from "../check/index.ts";
import type { Quantity } from "./parseQuantity.ts";
import { toBase, UNITS } from "./units.ts";

/** Density of water and of what is near enough to it in a kitchen (stock, wine), g/ml. */
export const WATER_G_PER_ML = 1;

/**
 * Grams of a quantity.
 *
 * @param density g/ml; needed when the quantity is a volume
 * @param each_g  g of one; needed when the quantity is a count
 * @throws {Refusal} when what is needed is not known, or it is a length or a temperature
 */
export function gramsOf(quantity: Quantity, density?: number, each_g?: number): number {
	const base = toBase(quantity.amount, quantity.unit);
	const { dimension } = UNITS[quantity.unit];
	if (dimension === "mass") return base;
	if (dimension === "volume") return base * needed(density, "density", "to weigh a volume");
	if (dimension === "count") return base * needed(each_g, "each_g", "to weigh a count");
	throw refuse("unit", `a ${dimension} was given; a weight, a volume or a count is allowed`);
}

/**
 * Millilitres of a quantity.
 *
 * @param density g/ml; needed when the quantity is a weight
 * @throws {Refusal} when the density is not known, or it is no volume or weight
 */
export function millilitresOf(quantity: Quantity, density?: number): number {
	const base = toBase(quantity.amount, quantity.unit);
	const { dimension } = UNITS[quantity.unit];
	if (dimension === "volume") return base;
	if (dimension === "mass") return base / needed(density, "density", "to measure a weight");
	throw refuse("unit", `a ${dimension} was given; a volume or a weight is allowed`);
}

function needed(value: number | undefined, field: string, purpose: string): number {
	if (value !== undefined && value > 0) return value;
	throw refuse(field, `is not known, and it is needed ${purpose}`);
}
