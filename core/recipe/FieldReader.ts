import { Refusal } from "../check/index.ts";
import { type Dimension, parseQuantity, type Quantity, toBase, UNITS } from "../quantity/index.ts";

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
		const value = text === "" ? Number.NaN : Number(text.replace(",", "."));
		return Number.isNaN(value) ? this.#refused(field, text, "a number") : value;
	}

	/** A percentage, as a share. */
	share(field: string): number {
		const text = this.text(field).replace(/\s*%$/, "");
		const value = text === "" ? Number.NaN : Number(text.replace(",", "."));
		if (Number.isNaN(value)) return this.#refused(field, this.text(field), "a percentage");
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
		const [hours, minutes] = [match[1], match[2]].map((digits) => Number((digits ?? "0").replace(",", ".")));
		return (hours ?? 0) * 60 + (minutes ?? 0);
	}

	/** A quantity with its unit, of one of these dimensions. */
	quantity(field: string, allowed: readonly Dimension[]): Quantity {
		const text = this.text(field);
		try {
			const quantity = parseQuantity(text, field);
			if (allowed.includes(UNITS[quantity.unit].dimension)) return quantity;
		} catch (error) {
			if (!(error instanceof Refusal)) throw error;
		}
		this.#refused(field, text, `a ${allowed.join(" or a ")} with its unit, such as 5 l`);
		return { amount: Number.NaN, unit: "l" };
	}

	#measured(field: string, dimension: Dimension, unit: string, allowed: string): number {
		const text = this.text(field);
		try {
			const bare = /^-?[\d.,]+$/.test(text);
			const { amount, unit: measured } = parseQuantity(bare ? `${text} ${unit}` : text, field, dimension);
			return toBase(amount, measured);
		} catch (error) {
			if (!(error instanceof Refusal)) throw error;
			return this.#refused(field, text, allowed);
		}
	}

	#refused(field: string, text: string, allowed: string): number {
		this.#wrong[field] =
			text === "" ? `Is missing; ${allowed} is needed.` : `“${text}” was given; ${allowed} is allowed.`;
		return Number.NaN;
	}
}
