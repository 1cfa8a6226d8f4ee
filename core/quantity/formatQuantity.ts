import { written } from "./numbers.ts";
import type { Quantity } from "./parseQuantity.ts";
import { type Dimension, fromBase, UNITS, type Unit, type UnitName, type UnitSystem } from "./units.ts";

/**
 * A quantity written so that reading it back gives exactly the same.
 *
 * @example formatQuantity({ amount: 1.5, unit: "lb" }) // "1.5 lb"
 */
export function formatQuantity({ amount, unit }: Quantity): string {
	const digits = written(amount);
	const { symbol: plain, told }: Unit = UNITS[unit];
	const symbol = told ?? plain;
	return symbol === "" ? digits : `${digits} ${symbol}`;
}

/** Which unit is used from which size upward, in base units; the first that fits is taken. */
const READING: Readonly<Record<Dimension, Readonly<Record<UnitSystem, readonly Step[]>>>> = {
	mass: {
		metric: [
			{ from: 1000, unit: "kg" },
			{ from: 0, unit: "g" },
		],
		us: [
			{ from: 453.59237, unit: "lb" },
			{ from: 0, unit: "oz" },
		],
	},
	volume: {
		metric: [
			{ from: 1000, unit: "l" },
			{ from: 0, unit: "ml" },
		],
		us: [
			{ from: 3785.411784, unit: "gal" },
			{ from: 946.352946, unit: "qt" },
			{ from: 59.147, unit: "cup" },
			{ from: 14.786, unit: "tbsp" },
			{ from: 0, unit: "tsp" },
		],
	},
	length: { metric: [{ from: 0, unit: "mm" }], us: [{ from: 0, unit: "in" }] },
	temperature: {
		metric: [{ from: -Infinity, unit: "celsius" }],
		us: [{ from: -Infinity, unit: "fahrenheit" }],
	},
	count: { metric: [{ from: 0, unit: "piece" }], us: [{ from: 0, unit: "piece" }] },
};

interface Step {
	readonly from: number;
	readonly unit: UnitName;
}

/**
 * An amount as it is read in a kitchen: the unit of its size, three significant digits.
 *
 * @param base   g, ml, mm, °C or pieces
 * @example readable(21_412, "mass", "metric") // "21.4 kg"
 */
export function readable(base: number, dimension: Dimension, system: UnitSystem): string {
	if (base === 0 && dimension !== "temperature") {
		const zero = READING[dimension][system].at(-1);
		return `0 ${zero ? UNITS[zero.unit].symbol : ""}`.trim();
	}
	const steps = READING[dimension][system];
	const size = Math.abs(base) * (1 + 1e-9);
	const step = steps.find(({ from }) => size >= from) ?? steps.at(-1);
	if (!step) return String(base);
	const amount = fromBase(base, step.unit);
	const digits = isWhole(dimension, step.unit) ? whole(amount) : threeDigits(amount);
	return `${digits} ${UNITS[step.unit].symbol}`.trim();
}

/** The unit in which an amount is read, what it comes to there, and how many base units one of it is. */
export function readingUnit(
	base: number,
	dimension: "mass" | "volume" | "length",
	system: UnitSystem,
): { symbol: string; amount: number; base: number } {
	const steps = READING[dimension][system];
	const size = Math.abs(base) * (1 + 1e-9);
	const step = steps.find(({ from }) => size >= from) ?? steps.at(-1);
	if (!step) return { symbol: "", amount: base, base: 1 };
	const { symbol, factor } = UNITS[step.unit];
	return { symbol, amount: base / factor, base: factor };
}

function whole(amount: number): string {
	return String(Math.round(amount)).replace("-", "−");
}

/** Degrees and millimetres are read whole: nobody dips to a tenth. */
function isWhole(dimension: Dimension, unit: UnitName): boolean {
	return dimension === "temperature" || unit === "mm";
}

/**
 * At most three significant digits.
 *
 * @example threeDigits(21.412) // "21.4"
 * @example threeDigits(1284.6) // "1,280"
 */
export function threeDigits(value: number): string {
	const size = Math.abs(value);
	if (size >= 99.95) {
		return Number(value.toPrecision(3)).toLocaleString("en-GB").replace("-", "−");
	}
	const places = size >= 9.995 ? 1 : size >= 0.9995 ? 2 : 3;
	const text = value.toFixed(places);
	const trimmed = text.replace(/\.?0+$/, "");
	return (trimmed === "-0" ? "0" : trimmed).replace("-", "−");
}
