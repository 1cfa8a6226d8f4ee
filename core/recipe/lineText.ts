import {
	type CountryMeasures,
	formatQuantity,
	numbersIn,
	type Quantity,
	takeQuantity,
	unclearWords,
	written,
} from "../quantity/index.ts";
import { cutIn, cutSizeWords } from "./cutSize.ts";
import { handfulGrams, takeHandful } from "./handfuls.ts";
import type { Ingredient } from "./Ingredient.ts";
import { plainName } from "./names.ts";
import { type PartTaken, takePart } from "./parts.ts";
import type { RecipeLine, Substitute } from "./Recipe.ts";
import { ingredientOf } from "./weighLine.ts";

/** What a cook's line says by itself; role and group are chosen beside it. */
export interface LineRead {
	readonly quantity?: Quantity;
	/** How the amount could be read, in words, where it could be two things. */
	readonly unclear?: string;
	/** Longer than a line is; nothing of it was read. */
	readonly tooLong?: true;
	/** The ingredient of the book it names. */
	readonly ingredient?: Ingredient;
	/** The name as it was typed, when the book has none like it. */
	readonly unknown?: string;
	/** What was typed to stand in its place and is not in the book, or has no clear amount. */
	readonly unknownInstead?: string;
	/** Whether words were left over after the name, so that it may be meant otherwise. */
	readonly guessed: boolean;
	readonly said: SaidOfLine;
}

/** What follows the name: the optional parts of a line. */
export type SaidOfLine = Pick<
	RecipeLine,
	"preparation" | "cut" | "reducedTo" | "trimLoss" | "late_min" | "apart" | "marinade" | "substitutes"
>;

/** The most characters a line has: an amount, a name and what is done with it. */
export const LONGEST_LINE = 400;

/**
 * Reads one line as a cook writes it: "2 1/2 kg pork collar, trimmed, 300 g pieces",
 * "3 bay leaves", "1 l dry cider, boiled down by half".
 *
 * Amount, name, then clauses between commas. A clause that says how far it is boiled
 * down, its trim, when it joins late, that it is cooked apart or belongs to the marinade is
 * taken as that; the rest is preparation.
 *
 * @param named    ingredients by every name they go by, from `namesOf`
 * @param measures whose pints, fluid ounces, quarts and gallons bare ones are
 */
export function readLine(
	text: string,
	named: ReadonlyMap<string, Ingredient>,
	measures: CountryMeasures = "us",
): LineRead {
	if (text.length > LONGEST_LINE) return { tooLong: true, guessed: false, said: {} };
	const { line: told, heap } = withoutHeap(
		text.trim().replace(BEFORE, "").replace(HALF_A, "0.5 ").replace(ARTICLE, "1 "),
	);
	const { line, range } = withoutRange(told, measures);
	const taken = takeAmount(line, measures);
	const [rest = "", ...others] = (taken?.rest ?? line).split(OR).map(withoutOf);
	const unclear =
		taken && taken.unclear.length > 0
			? { unclear: unclearWords(line.slice(0, line.length - taken.rest.length).trim(), taken.unclear) }
			: {};
	const own = counted(taken, rest, named) ?? plainLine(taken, rest, [...heap, ...range], named);
	return withInstead({ ...own, ...unclear }, substitutesIn(others, named, measures));
}

/** "of thyme" after an amount is thyme. */
function withoutOf(text: string): string {
	return text.replace(/^[\s.,]*(of\s+)?/i, "").trim();
}

/** So many of a part of something, or of what is not weighed; undefined where a line is neither. */
function counted(
	taken: ReturnType<typeof takeAmount>,
	rest: string,
	named: ReadonlyMap<string, Ingredient>,
): LineRead | undefined {
	if (taken?.quantity.unit !== "piece") return undefined;
	const { ingredient, guessed } = nameIn(rest, named);
	if (ingredient && !guessed) return undefined;
	const part = takePart(rest.replace(SIZE, ""), named);
	return part ? partLine(taken.quantity.amount, part) : handfulLine(taken.quantity, rest, named);
}

/** An amount, a name of the book, and what is done with it. */
function plainLine(
	taken: ReturnType<typeof takeAmount>,
	rest: string,
	before: readonly string[],
	named: ReadonlyMap<string, Ingredient>,
): LineRead {
	const { ingredient, name, clauses, guessed } = nameIn(rest, named);
	return {
		...(taken ? { quantity: taken.quantity } : {}),
		...(ingredient ? { ingredient } : name ? { unknown: name } : {}),
		guessed,
		said: saidIn([...before, ...clauses]),
	};
}

/** The line with what may stand in its place, and with what was said after that. */
function withInstead(
	line: LineRead,
	{ substitutes, unknown, clauses }: ReturnType<typeof substitutesIn>,
): LineRead {
	const more = saidIn(clauses);
	const preparation = [line.said.preparation, more.preparation].filter(Boolean).join(", ");
	return {
		...line,
		...(unknown === undefined ? {} : { unknownInstead: unknown }),
		said: {
			...line.said,
			...more,
			...(preparation ? { preparation } : {}),
			...(substitutes.length > 0 ? { substitutes } : {}),
		},
	};
}

/** ", or 1.1 l perry": what may stand in place of the line follows. */
const OR = /[,;]\s*or\s+(?=[\d.½⅓⅔¼¾])/i;

/** What may stand in place of a line, the first of it that is not in the book, and what is said after it. */
function substitutesIn(
	texts: readonly string[],
	named: ReadonlyMap<string, Ingredient>,
	measures: CountryMeasures,
): { readonly substitutes: Substitute[]; readonly unknown?: string; readonly clauses: readonly string[] } {
	const substitutes: Substitute[] = [];
	const clauses: string[] = [];
	let unknown: string | undefined;
	for (const text of texts) {
		const taken = takeAmount(text, measures);
		const found = nameIn(withoutOf(taken?.rest ?? ""), named);
		clauses.push(...(found.ingredient ? found.clauses : []));
		if (taken && taken.unclear.length === 0 && found.ingredient) {
			substitutes.push({ ingredient: found.ingredient.id, ...taken.quantity });
		} else unknown ??= found.name || text;
	}
	return { substitutes, clauses, ...(unknown === undefined ? {} : { unknown }) };
}

/** "a bunch of", "half a lemon": a count in words. Only before something, so that a name is not read as one. */
const ARTICLE = /^(?:an?|one)\s+(?!(?:little|few|lot|bit|touch|splash|dash|drizzle|good)\b)(?=\p{L})/iu;
const HALF_A = /^half\s+an?\s+(?=\p{L})/iu;

/** From one amount to another: digits, a hyphen or “to”, digits again. */
const RANGE = /^([\d.,]+)\s*(?:-|–|—|\bto\b)\s*(?=[\d.,]+)/i;
/** More than twice as much is no range but something else. */
const WIDEST_RANGE = 2.5;

/** "2 to 3 tbsp": the middle of it, with the range kept as preparation. */
function withoutRange(
	text: string,
	measures: CountryMeasures,
): { readonly line: string; readonly range: readonly string[] } {
	const found = RANGE.exec(text);
	const low = found ? numbersIn(found[1] ?? "").at(-1) : undefined;
	const high = found ? takeQuantity(text.slice(found[0].length), measures) : undefined;
	if (!found || low === undefined || !high || high.unclear.length > 0) return { line: text, range: [] };
	const { amount, unit } = high.quantity;
	if (!(amount > low && amount <= low * WIDEST_RANGE)) return { line: text, range: [] };
	const after = text.slice(found[0].length);
	const digits = /^[\d.,]+/.exec(after)?.[0] ?? "";
	const middle = written(Number(((low + amount) / 2).toPrecision(12)));
	const said = formatQuantity({ amount, unit });
	return { line: `${middle}${after.slice(digits.length)}`, range: [`${written(low)} to ${said}`] };
}

/** "4 sprigs thyme": so many of what is not weighed, as their weight, with the count kept beside it. */
function handfulLine(
	{ amount, unit }: Quantity,
	text: string,
	named: ReadonlyMap<string, Ingredient>,
): LineRead | undefined {
	const handful = unit === "piece" ? takeHandful(text) : undefined;
	if (!handful) return undefined;
	const { ingredient, clauses, guessed } = nameIn(handful.rest.trim(), named);
	const each_g = ingredient && handfulGrams(handful.words, ingredient);
	if (!ingredient || each_g === undefined) return undefined;
	const said = saidIn(clauses);
	const count = `${written(amount)} ${handful.words}`;
	return {
		quantity: { amount: Number((amount * each_g).toPrecision(12)), unit: "g" },
		ingredient,
		guessed,
		said: { ...said, preparation: [count, ...(said.preparation ? [said.preparation] : [])].join(", ") },
	};
}

/** "2 heaped tbsp": how a spoon is filled is kept as preparation. */
function withoutHeap(text: string): { readonly line: string; readonly heap: readonly string[] } {
	const heap = HEAPED.exec(text);
	return heap ? { line: `${heap[1]}${heap[3]}`, heap: [(heap[2] ?? "").trim()] } : { line: text, heap: [] };
}

const HEAPED = /^([\d.,/½⅓⅔¼¾\s-]+)((?:heaped|heaping|rounded|level|scant)\s+)(.*)$/i;

/** Bullets and numbers of a list, and that an amount is about right. */
const BEFORE =
	/^(?:[•▪‣◦*·]\s*|[-–—]\s+|\d+[.)]\s+(?=[\d.½⅓⅔¼¾]))?(?:(?:about|approx(?:imately)?\.?|roughly|around|circa|ca\.?|c\.)\s+|[~≈]\s*)?/i;

/** Sizes and heaps before a name; they are kept as preparation. */
const SIZE = /^(?:(?:very\s+)?(?:large|medium|small|big|heaped|level|rounded|scant)(?:-sized)?\s+)+/i;

/** "2 x 400 g tins": so many times an amount, in what it is bought in. */
const TIMES = /^(\d+)\s*[x×]\s*(?=[\d.½⅓⅔¼¾])/i;
const HELD_IN = /^\s*(?:tins?|cans?|packs?|packets?|jars?|bottles?|cartons?|bags?)\b/i;

/** An amount as cooks write it: several times over, or said again in other units. */
function takeAmount(line: string, measures: CountryMeasures): ReturnType<typeof takeQuantity> {
	const times = TIMES.exec(line);
	const taken = takeQuantity(times ? line.slice(times[0].length) : line, measures);
	if (!taken) return undefined;
	const { quantity } = taken;
	const count = times ? Number(times[1]) : 1;
	const rest = taken.unclear.length > 0 ? taken.rest : withoutAgain(taken.rest);
	return {
		...taken,
		quantity: { ...quantity, amount: quantity.amount * count },
		rest: times ? rest.replace(HELD_IN, "") : rest,
	};
}

/** The text after an amount, without the same amount in other units: "/1 pint", "(1 pint)". */
function withoutAgain(rest: string): string {
	const bracket = /^\s*\(([^)]*)\)/.exec(rest);
	const inside = bracket ? takeQuantity(bracket[1] ?? "") : undefined;
	if (bracket && inside?.rest.trim() === "" && inside.quantity.unit !== "piece") {
		return rest.slice(bracket[0].length);
	}
	const slash = /^\s*\/\s*/.exec(rest);
	const other = slash ? takeQuantity(rest.slice(slash[0].length)) : undefined;
	return other && other.quantity.unit !== "piece" ? other.rest : rest;
}

/** So many of a part as its weight, with the count kept beside it. */
function partLine(count: number, { ingredient, each_g, trimLoss, words, rest }: PartTaken): LineRead {
	const said = saidIn(clausesIn(rest.replace(/^\s*,?/, "")));
	const preparation = [`${written(count)} ${words}`, ...(said.preparation ? [said.preparation] : [])].join(
		", ",
	);
	return {
		quantity: { amount: Number((count * each_g).toPrecision(12)), unit: "g" },
		ingredient,
		guessed: false,
		said: { ...(trimLoss === undefined ? {} : { trimLoss }), ...said, preparation },
	};
}

/**
 * A line as text that reads back as the same line.
 *
 * @example lineText({ ingredient: "dry-cider", amount: 1, unit: "l", … reducedTo: 0.5 }, known) // "1 l dry cider, boiled down by half"
 */
export function lineText(
	line: Pick<RecipeLine, "ingredient" | "amount" | "unit"> & SaidOfLine,
	known: ReadonlyMap<string, Ingredient>,
): string {
	return [
		quantityWords(line, ingredientOf(line, known)),
		...clausesOf(line),
		...insteadWords(line, known),
	].join(", ");
}

/** What may stand in place of a line, in words that read back: "or 1.1 l perry". */
export function insteadWords(
	{ substitutes = [] }: Pick<RecipeLine, "substitutes">,
	known: ReadonlyMap<string, Ingredient>,
): string[] {
	return substitutes.map((instead) => `or ${quantityWords(instead, ingredientOf(instead, known))}`);
}

function quantityWords({ amount, unit }: Quantity, { name }: Pick<Ingredient, "name">): string {
	return `${formatQuantity({ amount, unit })} ${name}`;
}

/** What follows the name of a line, in words: "large dice, 10 % trim". */
export function clausesOf({
	preparation,
	cut,
	reducedTo,
	trimLoss,
	late_min,
	apart,
	marinade,
}: Omit<SaidOfLine, "substitutes">): string[] {
	return [
		...(preparation ? [preparation] : []),
		...(cut ? [cutSizeWords(cut)] : []),
		...(reducedTo === undefined
			? []
			: [reducedTo === 0.5 ? "boiled down by half" : `boiled down to ${percent(reducedTo)} %`]),
		...(trimLoss === undefined ? [] : [`${percent(trimLoss)} % trim`]),
		...(late_min === undefined ? [] : [`${written(late_min)} min before the end`]),
		...(apart ? ["cooked apart"] : []),
		...(marinade ? ["for the marinade"] : []),
	];
}

function percent(share: number): string {
	return written(Number((share * 100).toPrecision(12)));
}

interface NameFound {
	readonly ingredient?: Ingredient;
	readonly name: string;
	readonly clauses: readonly string[];
	readonly guessed: boolean;
}

/** The longest name of the book at the start of the text; what stands between it and the comma is preparation. */
function nameIn(rest: string, named: ReadonlyMap<string, Ingredient>): NameFound {
	const ends = [...rest.matchAll(/[\s,;(]|$/g)].map(({ index }) => index).reverse();
	for (const end of ends) {
		const name = rest.slice(0, end);
		const found = /[,;]$/.test(name) ? undefined : named.get(plainName(name));
		if (!found) continue;
		const left = rest.slice(end);
		const clauses = clausesIn(left.replace(/^\s*,/, ""));
		return { ingredient: found, name: found.name, clauses, guessed: /^\s*[^\s,;(]/.test(left) };
	}
	const size = SIZE.exec(rest)?.[0];
	if (size) {
		const { clauses, ...found } = nameIn(rest.slice(size.length), named);
		return { ...found, clauses: [size.trim(), ...clauses] };
	}
	const [name = "", ...clauses] = clausesIn(rest);
	return { name, clauses, guessed: false };
}

/** Parts between commas; a comma inside brackets or between digits does not part. */
function clausesIn(text: string): string[] {
	return text
		.split(/[,;](?![^(]*\))(?!\d)/)
		.map((clause) => clause.trim())
		.filter((clause) => clause !== "");
}

const REDUCED = /^(?:boiled down|reduced)\s+(by|to)\s+(?:(?:a\s+)?(half|third|quarter)|([\d.,]+)\s*%)$/i;
const SHARE: Readonly<Record<string, number>> = { half: 1 / 2, third: 1 / 3, quarter: 1 / 4 };
const TRIM = /^(?:trim(?:\s+loss)?\s+([\d.,]+)\s*%|([\d.,]+)\s*%\s+trim(?:\s+loss)?)$/i;
const LATE = /^(?:added\s+)?([\d.,]+)\s*min(?:ute)?s?\s+before\s+the\s+end$/i;

/** A wine to lie in, a rub to lie under. */
const MARINADE = /^(?:for|in) the (?:marinade|rub)$/i;

/** What a clause can say besides preparation; each gives what it is, or nothing. */
const SAYINGS: readonly ((clause: string) => SaidOfLine | undefined)[] = [
	(clause) => {
		const reduced = REDUCED.exec(clause);
		return reduced ? { reducedTo: shareLeft(reduced) } : undefined;
	},
	(clause) => {
		const trim = TRIM.exec(clause);
		return trim ? { trimLoss: number(trim[1] ?? trim[2]) / 100 } : undefined;
	},
	(clause) => {
		const late = LATE.exec(clause);
		return late ? { late_min: number(late[1]) } : undefined;
	},
	(clause) => {
		const cut = cutIn(clause);
		return cut ? { cut } : undefined;
	},
	(clause) => (/^cooked apart$/i.test(clause) ? { apart: true } : undefined),
	(clause) => (MARINADE.test(clause) ? { marinade: true } : undefined),
];

function saidIn(clauses: readonly string[]): SaidOfLine {
	const preparation: string[] = [];
	let said: SaidOfLine = {};
	for (const clause of clauses) {
		const says = SAYINGS.map((saying) => saying(clause)).find((one) => one !== undefined);
		if (says) said = { ...said, ...says };
		else preparation.push(clause);
	}
	return preparation.length > 0 ? { preparation: preparation.join(", "), ...said } : said;
}

function shareLeft([, way, word, digits]: RegExpExecArray): number {
	const share = word ? (SHARE[word.toLowerCase()] ?? 1) : number(digits) / 100;
	return way?.toLowerCase() === "by" ? 1 - share : share;
}

function number(digits = "0"): number {
	return numbersIn(digits).at(-1) ?? Number.NaN;
}
