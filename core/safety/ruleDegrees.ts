/** Units in which a reading is taken and a limit is written. */
export const DEGREE_UNITS = ["C", "F"] as const;
export type DegreeUnit = (typeof DEGREE_UNITS)[number];

export const fahrenheitOf = (celsius: number) => celsius * 1.8 + 32;
export const celsiusOf = (fahrenheit: number) => (fahrenheit - 32) / 1.8;

/**
 * A temperature of a rule, as the rule writes it: in °C, in °F, or in both, where each is a limit of its
 * own (135 °F is not 57 °C to the tenth).
 */
export interface RuleDegrees {
	/** As written; worked out from `F` where the rule writes that alone. */
	readonly C: number;
	/** As written; absent where the rule writes °C alone. */
	readonly F?: number;
	/** Whether the rule writes °F alone. */
	readonly onlyF?: boolean;
}

/** Thermometers show tenths, and are read to them. The half goes up, as on their displays. */
const inTenths = (degrees: number) => Math.floor(degrees * 10 + 0.5 + 1e-6);

/** A limit in the unit in which a reading is held against it: the reading's own where the rule writes it. */
function unitFor({ F, onlyF = false }: RuleDegrees, read: DegreeUnit): DegreeUnit {
	return F !== undefined && (read === "F" || onlyF) ? "F" : "C";
}

/**
 * Whether a reading is on the wanted side of a limit, or on it: both in the unit of the rule, at a tenth
 * of a degree. A whole degree that is displayed decides nothing.
 *
 * @param read_C what was read, °C
 * @param unit   in which it was read
 * @see model, section H
 */
export function isOnSide(
	limit: RuleDegrees,
	wanted: "atMost" | "atLeast",
	read_C: number,
	unit: DegreeUnit = "C",
): boolean {
	const isF = unitFor(limit, unit) === "F";
	const read = inTenths(isF ? fahrenheitOf(read_C) : read_C);
	const asked = inTenths(isF ? (limit.F ?? Number.NaN) : limit.C);
	return wanted === "atMost" ? read <= asked : read >= asked;
}

/** A limit as it holds for what is read in a unit, °C: where a line between two readings meets it. */
export function limitFor(limit: RuleDegrees, unit: DegreeUnit = "C"): number {
	return unitFor(limit, unit) === "F" && limit.F !== undefined ? celsiusOf(limit.F) : limit.C;
}

/**
 * The last hundredth of a degree Celsius on the wanted side, for what is read in °C: the hottest that is
 * still at most the limit, or the coldest that is at least it.
 */
export function lastHundredth(limit: RuleDegrees, wanted: "atMost" | "atLeast"): number {
	const way = wanted === "atMost" ? 1 : -1;
	// Half a tenth to either side, and a little more: the last one is then looked for.
	let hundredths = Math.round(limitFor(limit) * 100) + way * 8;
	while (!isOnSide(limit, wanted, hundredths / 100)) hundredths -= way;
	return hundredths;
}
