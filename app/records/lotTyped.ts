import { refuse } from "#core/check";
import { fromBase, parseWeight, readNumber, toBase, type UnitSystem, written } from "#core/quantity";
import { ALLERGEN_NAMES, type AllergenFound } from "#core/recipe";
import type { DocOf, LotPan } from "#core/records";
import type { Typed } from "../ui/forms/form.ts";

/** A pan as it is typed, line by line: which rows there are, the form says itself. */
export interface PanTyped {
	readonly tag: string;
	readonly vessel: string;
	readonly kg: string;
	readonly depth: string;
}

/** Rows for pans that nobody planned. */
const SPARE_ROWS = 2;
/** More rows are not read. */
const MOST_ROWS = 200;

/** In what pans are typed where nothing else is said. */
export const UNITS_TYPED = {
	metric: { weight: "kg", depth: "mm" },
	us: { weight: "lb", depth: "in" },
} as const;

/** Pans as their rows show them, with some empty rows after them. @param letter of new tags */
export function pansShown(pans: readonly LotPan[], units: UnitSystem, letter = "A"): PanTyped[] {
	const rows = pans.map(({ tag, vessel, kg, depth_mm }) => ({
		tag,
		vessel,
		kg: weightShown(kg, units, 3),
		depth:
			units === "us"
				? String(Math.round(fromBase(depth_mm, "in") * 100) / 100)
				: String(Math.round(depth_mm)),
	}));
	const spare = Array.from({ length: SPARE_ROWS }, (_, index) => {
		const tag = `${letter}${pans.length + index + 1}`;
		return { tag: pans.some((pan) => pan.tag === tag) ? "" : tag, vessel: "", kg: "", depth: "" };
	});
	return [...rows, ...spare];
}

/** A weight as a field shows it, so many digits of it. */
export function weightShown(kg: number, units: UnitSystem, digits: number): string {
	const unit = UNITS_TYPED[units].weight;
	return `${written(Number(fromBase(kg * 1000, unit).toPrecision(digits)))} ${unit}`;
}

/**
 * The pans of a lot as they really are. A row without a weight and a depth is no pan.
 *
 * @throws {Refusal} naming the row's field that does not hold
 */
export function pansTyped(typed: Typed, units: UnitSystem): LotPan[] {
	const pans: LotPan[] = [];
	for (let row = 0; row < MOST_ROWS && typed[`pan.${row}.tag`] !== undefined; row += 1) {
		const of = (field: keyof PanTyped) => (typed[`pan.${row}.${field}`] ?? "").trim();
		if (of("kg") === "" && of("depth") === "") continue;
		const tag = of("tag");
		if (!/^[A-Za-z0-9]{1,8}$/.test(tag))
			throw refuse(`pan.${row}.tag`, "is no tag; letters and digits, up to 8, are allowed");
		if (pans.some((pan) => pan.tag === tag))
			throw refuse(`pan.${row}.tag`, `${tag} is the tag of another pan; each has its own`);
		const vessel = of("vessel") || "pan";
		if (vessel.length > 120)
			throw refuse(`pan.${row}.vessel`, "is too long; up to 120 characters are allowed");
		pans.push({
			...{ tag, vessel },
			kg: parseWeight(of("kg"), `pan.${row}.kg`, units) / 1000,
			depth_mm: depthTyped(of("depth"), `pan.${row}.depth`, units),
		});
	}
	if (pans.length === 0) throw refuse("pan.0.kg", "is missing; a lot has one pan at least, with its weight");
	return pans;
}

function depthTyped(text: string, field: string, units: UnitSystem): number {
	const isInches = units === "us" && !/mm$/i.test(text);
	const value = readNumber(text.replace(/\s*(?:mm|in|″|")$/i, ""), field);
	const depth_mm = value === undefined ? Number.NaN : toBase(value, isInches ? "in" : "mm");
	if (depth_mm >= 5 && depth_mm <= 600) return depth_mm;
	throw refuse(
		field,
		isInches ? "is no depth; 0.2 to 23.6 in is allowed" : "is no depth; 5 to 600 mm is allowed",
	);
}

/** Numbers that were ticked, of those that can be. */
export function numbersTicked(form: FormData, name: string, known: readonly number[]): number[] {
	const ticked = new Set(form.getAll(name).map(String));
	return known.filter((number) => ticked.has(String(number)));
}

/**
 * What somebody says that a lot declares: what is ticked; null where nobody has named it.
 *
 * @param before what it declared, so that what brings it is not lost
 */
export function declaresTyped(
	typed: Typed,
	who: string,
	before: readonly AllergenFound[] | null,
): NonNullable<DocOf<"lot">["declares"]> | null {
	if (typed.named !== "on") return null;
	return ALLERGEN_NAMES.flatMap((allergen) => {
		const presence = typed[`contains.${allergen}`] === "on" ? "contains" : "mayContain";
		if (presence === "mayContain" && typed[`may.${allergen}`] !== "on") return [];
		const own = before?.find((found) => found.allergen === allergen && found.presence === presence);
		return [{ allergen, presence, from: own ? [...own.from] : [`named by ${who}`] }];
	});
}

/** The same as its boxes show it. */
export function declaresShown(declares: readonly AllergenFound[] | null): Record<string, string> {
	if (declares === null) return {};
	const boxes = declares.flatMap(({ allergen, presence }) =>
		presence === "notKnown" ? [] : [[`${presence === "contains" ? "contains" : "may"}.${allergen}`, "on"]],
	);
	const isNamed = !declares.some(({ presence }) => presence === "notKnown");
	return { ...(isNamed ? { named: "on" } : {}), ...Object.fromEntries(boxes) };
}

/** A whole number of portions. @throws {Refusal} naming what is allowed */
export function portionsTyped(text: string | undefined): number {
	const portions = Number((text ?? "").trim());
	if (Number.isInteger(portions) && portions >= 1 && portions <= 100_000) return portions;
	throw refuse("portions", "is no number of portions; a whole number from 1 to 100,000 is allowed");
}

/** Words that may not be missing. @throws {Refusal} naming what is allowed */
export function wordsTyped(typed: Typed, field: string, most: number, least = 1): string {
	const text = (typed[field] ?? "").trim();
	if (text.length >= least && text.length <= most) return text;
	throw refuse(field, `${least} to ${most.toLocaleString("en-GB")} characters are allowed`);
}
