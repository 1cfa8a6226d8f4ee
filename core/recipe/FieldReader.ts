import { Refusal } from "../check/index.ts";
import {
	type Dimension,
	parseQuantity,
	type Quantity,
	readNumber,
	toBase,
	UNITS,
	Unclear,
} from "../quantity/index.ts";

/**
 * Typed fields read as what they stand for. What does not hold is written down by field,
 * and a figure that is never right stands in its place, so that reading goes on.
 */
export class FieldReader {
	readonly #typed: Readonly<Record<string, string | undefined>>;
	readonly #wrong: Record<string, string>;

	constructor(typed: Readonly<Record<string, string | undefined>>, wrong: Record<string, string>) {
		this.#typed = typed;
		this.#wrong = wrong;
	}

	text(field: string): string {
		return (this.#typed[field] ?? "").trim();
	}

	/** Undefined when nothing was typed. */
	optional<T>(field: string, read: () => T): T | undefined {
		return this.text(field) === "" ? undefined : read();
	}

	tags(field: string): string[] | undefined {
		const tags = this.text(field)
			.split(/[,;]/)
			.map((tag) => tag.trim())
			.filter((tag) => tag !== "");
		return tags.length > 0 ? [...new Set(tags)] : undefined;
	}

	/** A bare number; a decimal comma is one too. */
	number(field: string): number {
		const text = this.text(field);
		return this.#numberOf(field, text) ?? this.#refused(field, text, "a number");
	}

	/** A percentage, as a share. */
	share(field: string): number {
		const text = this.text(field).replace(/\s*%$/, "");
		const value = this.#numberOf(field, text, (percent) => percent <= 100);
		if (value === undefined) return this.#refused(field, this.text(field), "a percentage");
		return Number((value / 100).toPrecision(12));
	}

	grams(field: string): number {
		return this.#measured(field, "mass", "g", "a weight such as 165 g or 5.5 oz");
	}

	millilitres(field: string): number {
		return this.#measured(field, "volume", "ml", "a volume such as 70 ml");
	}

	millimetres(field: string): number {
		return this.#measured(field, "length", "mm", "a length such as 85 mm");
	}

	celsius(field: string): number {
		return this.#measured(field, "temperature", "°C", "a temperature such as 150 °C or 300 °F");
	}

	/** Minutes of "45", "45 min", "1 h 30", "14 h". */
	minutes(field: string): number {
		const text = this.text(field);
		const match = /^(?:([\d.,]+)\s*h(?:ours?)?)?\s*(?:([\d.,]+)\s*(?:m(?:in(?:utes?)?)?)?)?$/i.exec(text);
		if (text === "" || !match) return this.#refused(field, text, "minutes or hours, such as 45 or 14 h");
		const [hours = Number.NaN, minutes = Number.NaN] = [match[1], match[2]].map(
			(digits) => this.#numberOf(field, digits ?? "0") ?? Number.NaN,
		);
		if (Number.isNaN(hours + minutes))
			return this.#refused(field, text, "minutes or hours, such as 45 or 14 h");
		return hours * 60 + minutes;
	}

	/** A quantity with its unit, of one of these dimensions. */
	quantity(field: string, allowed: readonly Dimension[]): Quantity {
		const text = this.text(field);
		try {
			const quantity = parseQuantity(text, field);
			if (allowed.includes(UNITS[quantity.unit].dimension)) return quantity;
		} catch (error) {
			if (!(error instanceof Refusal)) throw error;
			if (error instanceof Unclear) return { amount: this.#asked(field, error), unit: "l" };
		}
		this.#refused(field, text, `a ${allowed.join(" or a ")} with its unit, such as 5 l`);
		return { amount: Number.NaN, unit: "l" };
	}

	/** Writes down that what was typed is not what is allowed; nothing stands in its place. */
	refused(field: string, allowed: string): undefined {
		this.#refused(field, this.text(field), allowed);
		return undefined;
	}

	#measured(field: string, dimension: Dimension, unit: string, allowed: string): number {
		const text = this.text(field);
		try {
			const bare = /^-?[\d.,]+$/.test(text);
			const { amount, unit: measured } = parseQuantity(bare ? `${text} ${unit}` : text, field, dimension);
			return toBase(amount, measured);
		} catch (error) {
			if (!(error instanceof Refusal)) throw error;
			if (error instanceof Unclear) return this.#asked(field, error);
			return this.#refused(field, text, allowed);
		}
	}

	/** Undefined when it is no number; NaN, and asked for, when it could be two. */
	#numberOf(field: string, text: string, isAllowed?: (value: number) => boolean): number | undefined {
		try {
			return readNumber(text, field, isAllowed);
		} catch (error) {
			if (!(error instanceof Unclear)) throw error;
			return this.#asked(field, error);
		}
	}

	/** What could be two things is asked for in its own words. */
	#asked(field: string, { problems: [problem] }: Unclear): number {
		this.#wrong[field] = `${problem?.message}.`;
		return Number.NaN;
	}

	#refused(field: string, text: string, allowed: string): number {
		this.#wrong[field] =
			text === "" ? `Still open: ${allowed}?` : `“${text}” was given; ${allowed} is allowed.`;
		return Number.NaN;
	}
}
