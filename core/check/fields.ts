import { type TSchema, Type } from "@sinclair/typebox";

/** The limits every form, file and case shares, said once. */

/** The largest count the product plans for: a hall of covers, a store of pieces. */
export const LARGEST_COUNT = 100_000;

const largest = LARGEST_COUNT.toLocaleString("en-GB");

export const Covers = Type.Integer({
	title: "Covers",
	minimum: 1,
	maximum: LARGEST_COUNT,
	allowed: `a whole number from 1 to ${largest}`,
});

export const Count = Type.Integer({
	minimum: 1,
	maximum: LARGEST_COUNT,
	allowed: `a whole number from 1 to ${largest}`,
});

/** A share of a weight that is lost; nothing that is cooked loses more than nine tenths. */
export const Loss = Type.Number({
	minimum: 0,
	maximum: 0.9,
	allowed: "a share from 0 to 0.9 (90 %)",
});

export const Uptake = Type.Number({
	title: "Uptake",
	exclusiveMinimum: 0,
	maximum: 1,
	allowed: "a share above 0 and up to 1 (100 %)",
});

export const Spare = Type.Number({
	title: "Spare",
	minimum: 0,
	maximum: 1,
	allowed: "a share from 0 to 1 (100 %)",
});

export const Grams = Type.Number({
	minimum: 0.001,
	maximum: 100_000_000,
	allowed: "a weight from 0.001 g to 100 t",
});

export const Kilograms = Type.Number({
	minimum: 0.001,
	maximum: 100_000,
	allowed: "a weight from 1 g to 100,000 kg",
});

export const Litres = Type.Number({
	minimum: 0.001,
	maximum: 100_000,
	allowed: "a volume from 1 ml to 100,000 l",
});

/** Of a burner, an oven, a chiller: the least still warms a pot. */
export const Kilowatts = Type.Number({
	minimum: 0.05,
	maximum: 200,
	allowed: "a power from 0.05 to 200 kW",
});

/** A side of a piece, a pan or a pot: nothing that is cooked or cooked in is thinner. */
export const Millimetres = Type.Number({
	minimum: 5,
	maximum: 3000,
	allowed: "a length from 5 to 3,000 mm",
});

export const MillimetresOrNone = Type.Number({
	minimum: 0,
	maximum: 3000,
	allowed: "a length from 0 to 3,000 mm",
});

export const Minutes = Type.Number({
	minimum: 0,
	maximum: 20_160,
	allowed: "minutes from 0 to 20,160 (two weeks)",
});

export const Celsius = Type.Number({
	minimum: -40,
	maximum: 350,
	allowed: "a temperature from −40 to 350 °C",
});

export const Name = Type.String({
	title: "Name",
	minLength: 1,
	maxLength: 120,
	pattern: "\\S",
	allowed: "a name of 1 to 120 characters",
});

/** A day of the house, as `2026-11-28`; in a form it may be typed otherwise. */
export const Day = Type.String({
	pattern: "^\\d{4}-\\d{2}-\\d{2}$",
	typedAs: "day",
	allowed: "a day such as 28 Nov, 28.11. or 2026-11-28",
});

/** A time on the house's clock, as `19:30`; in a form it may be typed otherwise. */
export const TimeOfDay = Type.String({
	pattern: "^([01]\\d|2[0-3]):[0-5]\\d$",
	typedAs: "time",
	allowed: "a time such as 19:30",
});

/** An IANA name, such as Atlantic/Faroe. */
export const TimeZone = Type.String({
	format: "time-zone",
	maxLength: 60,
	allowed: "a time zone from the list",
});

/** One of a list of words, as a union of constants. */
export function oneOf<const T extends readonly string[]>(words: T, options: object = {}) {
	return Type.Unsafe<T[number]>({
		type: "string",
		enum: [...words],
		...options,
	} as unknown as TSchema);
}
