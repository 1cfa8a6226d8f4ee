import { Refusal } from "../check/index.ts";

/** Marks between thousands that no decimals have: spaces of any width, apostrophes. */
const SPACED = /^([-−]?\d{1,3})((?:[\s'’]\d{3})+)([.,]\d+)?$/;
const GROUPED = /^([-−]?\d{1,3})(?:([.,])\d{3})((?:\2\d{3})+)$/;
const BOTH = /^[-−]?\d{1,3}(?:(?:,\d{3})+\.\d+|(?:\.\d{3})+,\d+)$/;
const ONE_MARK = /^([-−]?)(\d*)[.,](\d+)$/;

/**
 * What a written number can be. Cooks write 1.5 and 1,5, and thousands as 1 200, 1,200 or 1.200: one
 * mark with three digits after it may be either, so both are given.
 *
 * @returns one number; two where it could be two things, the thousands first; none where it is no number
 */
export function numbersIn(text: string): readonly number[] {
	const plain = text.trim();
	if (/^[-−]?\d+[.,]?$/.test(plain)) return [numberOf(plain.replace(/[.,]$/, ""))];
	const spaced = SPACED.exec(plain);
	if (spaced) return [numberOf(plain.replace(/[\s'’]/g, "").replace(",", "."))];
	if (GROUPED.test(plain)) return [numberOf(plain.replace(/[.,]/g, ""))];
	if (BOTH.test(plain)) {
		const at = Math.max(plain.lastIndexOf("."), plain.lastIndexOf(","));
		return [numberOf(`${plain.slice(0, at).replace(/[.,]/g, "")}.${plain.slice(at + 1)}`)];
	}
	const match = ONE_MARK.exec(plain);
	if (!match) return [];
	const [, sign = "", before = "", after = ""] = match;
	const decimal = numberOf(`${sign}${before || "0"}.${after}`);
	const isEither = after.length === 3 && /^[1-9]\d{0,2}$/.test(before);
	return isEither ? [numberOf(`${sign}${before}${after}`), decimal] : [decimal];
}

function numberOf(digits: string): number {
	return Number(digits.replace("−", "-"));
}

/** A number that could be two things: it is asked for, not guessed. */
export class Unclear extends Refusal {
	readonly numbers: readonly number[];

	constructor(field: string, text: string, numbers: readonly number[]) {
		super([{ field, message: unclearWords(text, numbers) }]);
		this.name = "Unclear";
		this.numbers = numbers;
	}
}

/** “1,250 kg” could be 1250 or 1.25; write it one of these ways */
export function unclearWords(text: string, numbers: readonly number[]): string {
	return `“${text}” could be ${numbers.map(String).join(" or ")}; write it one of these ways`;
}

/**
 * A written number. Where it could be two things, and what is allowed leaves one of them, it is that.
 *
 * @param isAllowed whether a number can stand there
 * @returns undefined when it is no number
 * @throws {Unclear} when it could be either
 */
export function readNumber(
	text: string,
	field: string,
	isAllowed: (value: number) => boolean = () => true,
): number | undefined {
	const numbers = numbersIn(text);
	const [first, second] = numbers;
	if (first === undefined || second === undefined) return first;
	const allowed = numbers.filter(isAllowed);
	if (allowed.length > 1) throw new Unclear(field, text.trim(), numbers);
	return allowed[0] ?? second;
}

/** A number in digits that read back as nothing else: no exponent, and no mark with three digits after it. */
export function written(value: number): string {
	const text = String(value);
	const digits = text.includes("e") ? value.toFixed(20).replace(/\.?0+$/, "") : text;
	return numbersIn(digits).length > 1 ? `${digits}0` : digits;
}
