/**
 * Units a cook writes. Everything inside is grams, millilitres, millimetres,
 * degrees Celsius or a count; these are the ways in and out.
 */

export type Dimension = "mass" | "volume" | "length" | "temperature" | "count";
export type UnitSystem = "metric" | "us";

export interface Unit {
	/** How it is printed. */
	readonly symbol: string;
	readonly dimension: Dimension;
	/** Base units (g, ml, mm, °C, piece) in one of these. */
	readonly factor: number;
	/** Added after the factor; only temperature has one. */
	readonly offset: number;
	/** Other ways it is written, lower case. */
	readonly aliases: readonly string[];
	/** How it is written where nobody knows whose it is; the symbol where it is absent. */
	readonly told?: string;
}

/** Whose pints, fluid ounces, quarts and gallons are meant where nothing else is said. */
export const MEASURES = ["us", "uk"] as const;
export type CountryMeasures = (typeof MEASURES)[number];

/** The measures a reader means who writes a bare "pint": those of the United States, or else imperial ones. */
export function measuresOf(system: UnitSystem): CountryMeasures {
	return system === "us" ? "us" : "uk";
}

/** International avoirdupois pound, exact by definition of 1959, g. */
const POUND_G = 453.59237;
/** US liquid gallon: 231 cubic inches, exact, ml. */
const US_GALLON_ML = 3785.411784;
/** Imperial gallon, exact by definition of 1976, ml. */
const UK_GALLON_ML = 4546.09;
/** International inch, exact, mm. */
const INCH_MM = 25.4;

function unit(symbol: string, dimension: Dimension, factor: number, ...aliases: string[]): Unit {
	return { symbol, dimension, factor, offset: 0, aliases };
}

/** A measure that two countries call by one name: by itself that of the United States, and of either by its country. */
function ofCountry(country: CountryMeasures, symbol: string, factor: number, ...names: string[]): Unit {
	const prefixes = country === "us" ? ["us"] : ["uk", "imperial", "imp"];
	const named = prefixes.flatMap((prefix) => [symbol, ...names].map((name) => `${prefix} ${name}`));
	const told = `${country.toUpperCase()} ${symbol}`;
	return country === "us"
		? { ...unit(symbol, "volume", factor, ...names, ...named), told }
		: { ...unit(told, "volume", factor, ...named), told };
}

export const UNITS = {
	mg: unit("mg", "mass", 0.001, "milligram", "milligrams"),
	g: unit("g", "mass", 1, "gr", "gram", "grams", "gramme", "grammes"),
	kg: unit("kg", "mass", 1000, "kilo", "kilos", "kilogram", "kilograms", "kgs"),
	oz: unit("oz", "mass", POUND_G / 16, "ounce", "ounces"),
	lb: unit("lb", "mass", POUND_G, "lbs", "pound", "pounds"),
	ml: unit("ml", "volume", 1, "millilitre", "millilitres", "milliliter", "milliliters", "cc"),
	cl: unit("cl", "volume", 10, "centilitre", "centilitres", "centiliter", "centiliters"),
	dl: unit("dl", "volume", 100, "decilitre", "decilitres", "deciliter", "deciliters"),
	l: unit("l", "volume", 1000, "lt", "ltr", "litre", "litres", "liter", "liters"),
	tsp: unit(
		"tsp",
		"volume",
		US_GALLON_ML / 768,
		"tsps",
		"teaspoon",
		"teaspoons",
		"teaspoonful",
		"teaspoonfuls",
	),
	tbsp: unit(
		"tbsp",
		"volume",
		US_GALLON_ML / 256,
		"tbs",
		"tbsps",
		"tblsp",
		"tblsps",
		"tablespoon",
		"tablespoons",
		"tablespoonful",
		"tablespoonfuls",
	),
	floz: ofCountry("us", "fl oz", US_GALLON_ML / 128, "floz", "fluid ounce", "fluid ounces"),
	cup: unit("cup", "volume", US_GALLON_ML / 16, "cups"),
	pt: ofCountry("us", "pt", US_GALLON_ML / 8, "pint", "pints"),
	qt: ofCountry("us", "qt", US_GALLON_ML / 4, "quart", "quarts"),
	gal: ofCountry("us", "gal", US_GALLON_ML, "gallon", "gallons"),
	ukFloz: ofCountry("uk", "fl oz", UK_GALLON_ML / 160, "floz", "fluid ounce", "fluid ounces"),
	ukPt: ofCountry("uk", "pt", UK_GALLON_ML / 8, "pint", "pints"),
	ukQt: ofCountry("uk", "qt", UK_GALLON_ML / 4, "quart", "quarts"),
	ukGal: ofCountry("uk", "gal", UK_GALLON_ML, "gallon", "gallons"),
	mm: unit("mm", "length", 1, "millimetre", "millimetres", "millimeter", "millimeters"),
	cm: unit("cm", "length", 10, "centimetre", "centimetres", "centimeter", "centimeters"),
	m: unit("m", "length", 1000, "metre", "metres", "meter", "meters"),
	in: unit("in", "length", INCH_MM, "inch", "inches", '"', "″"),
	celsius: unit("°C", "temperature", 1, "c", "°c", "degc", "celsius", "deg c"),
	fahrenheit: {
		...unit("°F", "temperature", 5 / 9, "f", "°f", "degf", "fahrenheit", "deg f"),
		offset: -160 / 9,
	},
	piece: unit("", "count", 1, "pc", "pcs", "piece", "pieces", "each", "ea", "no", "×", "x"),
	dozen: unit("dozen", "count", 12, "doz"),
} as const satisfies Record<string, Unit>;

export type UnitName = keyof typeof UNITS;

const BY_WORD: ReadonlyMap<string, UnitName> = new Map(
	Object.entries(UNITS).flatMap(([name, { symbol, aliases }]) =>
		[name, symbol.toLowerCase(), ...aliases].map((word) => [word, name as UnitName] as const),
	),
);

/**
 * The unit a word stands for, or undefined; a bare pint is that of the reader's measures. Upper and lower case are one,
 * except that a lone `T` is a tablespoon and a lone `t` a teaspoon.
 */
export function unitNamed(word: string, measures: CountryMeasures = "us"): UnitName | undefined {
	if (word === "T") return "tbsp";
	if (word === "t") return "tsp";
	const plain = word
		.trim()
		.replace(/\.(?=\s|$)/g, "")
		.replace(/\s+/g, " ")
		.toLowerCase();
	const named = BY_WORD.get(plain);
	const isBare = named !== undefined && !plain.startsWith("us ");
	return measures === "uk" && isBare ? (IMPERIAL[named] ?? named) : named;
}

/** What a bare name means to a reader of imperial measures. */
const IMPERIAL: Readonly<Partial<Record<UnitName, UnitName>>> = {
	floz: "ukFloz",
	pt: "ukPt",
	qt: "ukQt",
	gal: "ukGal",
};

/** Base units (g, ml, mm, °C, pieces) of an amount in a unit. */
export function toBase(amount: number, unitName: UnitName): number {
	const { factor, offset } = UNITS[unitName];
	return amount * factor + offset;
}

/** An amount in a unit of a number of base units (g, ml, mm, °C, pieces). */
export function fromBase(base: number, unitName: UnitName): number {
	const { factor, offset } = UNITS[unitName];
	return (base - offset) / factor;
}
