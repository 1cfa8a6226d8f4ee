import { refuse } from "../check/index.ts";
import { numbersIn, Unclear } from "./numbers.ts";
import { type CountryMeasures, type Dimension, toBase, UNITS, type UnitName, unitNamed } from "./units.ts";

export interface Quantity {
	readonly amount: number;
	readonly unit: UnitName;
}

const VULGAR: Readonly<Record<string, string>> = {
	"½": "1/2",
	"⅓": "1/3",
	"⅔": "2/3",
	"¼": "1/4",
	"¾": "3/4",
	"⅕": "1/5",
	"⅖": "2/5",
	"⅗": "3/5",
	"⅘": "4/5",
	"⅙": "1/6",
	"⅚": "5/6",
	"⅛": "1/8",
	"⅜": "3/8",
	"⅝": "5/8",
	"⅞": "7/8",
};

const NUMBER = String.raw`(?:\d{1,3}(?:[\u00a0\u202f'’]\d{3})+(?:[.,]\d+)?|\d[\d.,]*|[.,]\d+)`;
const AMOUNT = new RegExp(
	`^([-−]?)\\s*(?:(${NUMBER})(?:\\s+|\\s*-\\s*))?(\\d+)\\s*/\\s*(\\d+)|^([-−]?)\\s*(${NUMBER})`,
);

/**
 * Reads one quantity at the start of a text: "1 1/2 lb", "750ml", "2 tbsp",
 * "0,5 kg", "½ l", "1 lb 4 oz", "350 °F", "3". A number without a unit counts pieces.
 *
 * A comma and a point are both decimal marks ("0,5") and marks between thousands ("1,200,000").
 * "1,200 g" could be either, and says so.
 *
 * @param measures whose pints, fluid ounces, quarts and gallons bare ones are
 * @returns the quantity, the text that follows it and, where its number could be two things, both;
 *          undefined when the text does not start with a number
 */
export function takeQuantity(text: string, measures: CountryMeasures = "us"): Taken | undefined {
	const plain = spellOut(text);
	const first = takeOne(plain, measures);
	if (!first) return undefined;
	const second = takeOne(first.rest.trimStart(), measures);
	if (!second || !continues(first.quantity, second.quantity)) return first;
	const whole = toBase(first.quantity.amount, first.quantity.unit);
	const part = toBase(second.quantity.amount, second.quantity.unit);
	const { factor } = UNITS[first.quantity.unit];
	return {
		quantity: { amount: (whole + part) / factor, unit: first.quantity.unit },
		rest: second.rest,
		unclear: [...first.unclear, ...second.unclear],
	};
}

interface Taken {
	readonly quantity: Quantity;
	readonly rest: string;
	/** What the number could be, where it could be two things; the quantity has the first. */
	readonly unclear: readonly number[];
}

/**
 * Reads a text that is one quantity and nothing else.
 *
 * @param field     name of the field, for the refusal
 * @param dimension what it has to measure, when only that will do
 * @throws {Refusal} naming the field when it is no quantity, or of another kind
 * @example parseQuantity("1 1/2 lb") // { amount: 1.5, unit: "lb" }
 */
export function parseQuantity(text: string, field = "quantity", dimension?: Dimension): Quantity {
	const taken = takeQuantity(text);
	if (taken?.rest.trim() !== "") {
		throw refuse(field, `“${text}” was given; a number with a unit, such as 750 ml, is allowed`);
	}
	if (taken.unclear.length > 0) throw new Unclear(field, text.trim(), taken.unclear);
	const measured = UNITS[taken.quantity.unit].dimension;
	if (dimension && measured !== dimension) {
		throw refuse(field, `“${text}” is a ${measured}; a ${dimension} is allowed`);
	}
	return taken.quantity;
}

function spellOut(text: string): string {
	return text
		.trim()
		.replace(/[⁄∕]/g, "/")
		.replace(/[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign]}`)
		.trim();
}

function takeOne(text: string, measures: CountryMeasures): Taken | undefined {
	const match = AMOUNT.exec(text);
	if (!match) return undefined;
	const amounts = amountsOf(match);
	const [amount] = amounts;
	if (amount === undefined || !Number.isFinite(amount)) return undefined;
	return {
		...takeUnit(text.slice(match[0].length), amount, measures),
		unclear: amounts.length > 1 ? amounts : [],
	};
}

function amountsOf(match: RegExpExecArray): number[] {
	const [, fractionSign, whole, over, under, sign, plain] = match;
	if (plain !== undefined) return numbersIn(plain).map((value) => (sign ? -value : value));
	const fraction = Number(over) / Number(under);
	const wholes = whole === undefined ? [0] : numbersIn(whole);
	return wholes.map((value) => (fractionSign ? -1 : 1) * (value + fraction));
}

/** The longest run of up to three words that names a unit; none leaves a count. */
function takeUnit(
	text: string,
	amount: number,
	measures: CountryMeasures,
): { quantity: Quantity; rest: string } {
	const three = /^\s*((?:us|uk|imp|imperial)\s+[^\s\d,;()]+\.?\s+[^\s\d,;()]+)(?=$|[\s,;()])/i.exec(text);
	const two = /^\s*([^\s\d,;()]+\.?\s+[^\s\d,;()]+)(?=$|[\s,;()])/.exec(text);
	const written = /^\s*([°"″×]?[^\s\d,;()"″/]*)(?=$|[\s,;()\d/])/.exec(text);
	for (const match of [three, two, written]) {
		const named = match?.[1] ? unitNamed(match[1], measures) : undefined;
		if (match && named) {
			return { quantity: { amount, unit: named }, rest: text.slice(match[0].length) };
		}
	}
	return { quantity: { amount, unit: "piece" }, rest: text };
}

/** "1 lb 4 oz" is one weight; "2 kg 300 g pieces" is not "2.3 kg". */
function continues(first: Quantity, second: Quantity): boolean {
	const pairs: readonly (readonly [UnitName, UnitName])[] = [
		["lb", "oz"],
		["gal", "qt"],
		["qt", "pt"],
		["ukGal", "ukQt"],
		["ukQt", "ukPt"],
		["cup", "tbsp"],
	];
	return pairs.some(([large, small]) => first.unit === large && second.unit === small);
}
