import { takeQuantity, toBase } from "#core/quantity";
import type { SumWords } from "./workingWords.ts";

/** A sum worked out from its words. */
export interface Again {
	/** How far it is off what stands there, and how far rounding as shown may be off. */
	readonly off: number;
	readonly slack: number;
	/** Of the result as it stands there. */
	readonly digits: number;
}

/**
 * Works a plain sum out again from its words alone: figures with their units, × and ÷ before + and
 * −. Sums with brackets, clocks or choices are left to the other tests.
 *
 * @returns null where it is no such sum
 */
export function workedOutAgain(told: Pick<SumWords, "working" | "result">): Again | null {
	const [sum = ""] = told.working.split(";");
	if (/[(]|greater|lesser|earliest|latest|whole|five minutes|from |nothing|\d:\d/.test(sum)) return null;
	if (!/[×÷+−]/.test(sum)) return null;
	const value = addedUp(sum);
	const shown = quantityOf(told.result);
	if (value === null || shown === null) return null;
	const digits = /[\d.,]+/.exec(told.result)?.[0] ?? "";
	const decimals = digits.includes(".") ? (digits.split(".")[1]?.length ?? 0) : 0;
	const whole = digits.replace(/[,.]/g, "").replace(/0+$/, "");
	const step = decimals > 0 ? 10 ** -decimals : 10 ** Math.max(0, digits.replace(/,/g, "").length - 3);
	const perUnit = quantityOf(`1 ${told.result.replace(/^[\d.,]+\s*/, "")}`) ?? 1;
	return {
		off: Math.abs(value - shown),
		digits: whole.length,
		slack: Math.abs(step * perUnit) * 0.5001 + 1e-9,
	};
}

function addedUp(sum: string): number | null {
	let total = 0;
	for (const [, sign, term] of ` + ${sum}`.matchAll(/ ([+−]) ((?:(?! [+−] ).)+)/g)) {
		const value = multiplied(term ?? "");
		if (value === null) return null;
		total += sign === "−" ? -value : value;
	}
	return total;
}

function multiplied(term: string): number | null {
	let value = 1;
	for (const [, sign, factor] of ` × ${term}`.matchAll(/ ([×÷]) ((?:(?! [×÷] ).)+)/g)) {
		const read = quantityOf(factor ?? "");
		if (read === null) return null;
		value = sign === "÷" ? value / read : value * read;
	}
	return value;
}

/** kg, l, mm, minutes, shares and plain numbers, as they are told. */
function quantityOf(text: string): number | null {
	const hours = /^(\d+) h(?: (\d+))?/.exec(text);
	if (hours) return Number(hours[1]) * 60 + Number(hours[2] ?? 0);
	const plain = /^([\d.,]+)\s*(%|min|g\/l)?/.exec(text);
	if (!plain) return null;
	const number = Number((plain[1] ?? "").replace(/,/g, ""));
	if (plain[2] === "%") return number / 100;
	if (plain[2] === "min") return number;
	if (plain[2] === "g/l") return number / 1000;
	const taken = takeQuantity(text.replace(/,(?=\d{3})/g, ""));
	if (!taken || taken.quantity.unit === "piece") return number;
	// What is shown has a point for decimals, with as many digits as it takes.
	const base = toBase(taken.unclear.at(-1) ?? taken.quantity.amount, taken.quantity.unit);
	return ["mm", "in"].includes(taken.quantity.unit) ? base : base / 1000;
}
