/** A whole number to be found, from `least` up to `most`. */
export interface IntegerVariable {
	readonly name: string;
	readonly least: number;
	readonly most: number;
}

export type Terms = readonly (readonly [variable: string, times: number])[];

/** A sum that has to lie between two ends; one of them may be missing. */
export interface IntegerRow {
	readonly terms: Terms;
	readonly least?: number;
	readonly most?: number;
}

/** Whole numbers that keep every row and make one sum least. */
export interface IntegerProgram {
	readonly variables: readonly IntegerVariable[];
	readonly rows: readonly IntegerRow[];
	readonly minimise: Terms;
}

/**
 * Solves a program to its proven least.
 *
 * @returns the value of each variable; null when there is none, or none was proven in time
 */
export type IntegerSolver = (program: IntegerProgram) => ReadonlyMap<string, number> | null;

/** The program as text in the LP format that solvers read. Names are letters, digits and `_`. */
export function asLpText({ variables, rows, minimise }: IntegerProgram): string {
	return [
		"Minimize",
		` least: ${termsText(minimise)}`,
		"Subject To",
		...rows.flatMap((row, index) => rowText(row, index)),
		"Bounds",
		...variables.map(({ name, least, most }) => ` ${least} <= ${name} <= ${most}`),
		"General",
		` ${variables.map(({ name }) => name).join(" ")}`,
		"End",
		"",
	].join("\n");
}

function rowText({ terms, least, most }: IntegerRow, index: number): string[] {
	const text = termsText(terms);
	return [
		...(least === undefined ? [] : [` l${index}: ${text} >= ${least}`]),
		...(most === undefined ? [] : [` m${index}: ${text} <= ${most}`]),
	];
}

function termsText(terms: Terms): string {
	return terms
		.map(([name, times]) => `${times < 0 ? "-" : "+"} ${Math.abs(times).toFixed(6)} ${name}`)
		.join(" ");
}
