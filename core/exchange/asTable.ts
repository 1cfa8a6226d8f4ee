import Papa from "papaparse";

/** By this mark spreadsheets know that a table is UTF-8. */
const MARK = "\uFEFF";

/** A table as CSV, UTF-8 with a heading; what a spreadsheet would reckon out is written as text. */
export function asTable(columns: readonly string[], data: readonly (readonly (string | number)[])[]): string {
	return (
		MARK +
		Papa.unparse(
			{ fields: [...columns], data: data.map((row) => [...row]) },
			{ newline: "\n", escapeFormulae: true },
		)
	);
}
