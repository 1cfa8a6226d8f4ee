/** What labels are printed on: a roll of tape, or sheets of labels. Sizes in mm. */
export interface LabelSheet {
	readonly name: string;
	readonly page: readonly [number, number];
	readonly label: readonly [number, number];
	readonly columns: number;
	readonly rows: number;
	/** From the page's edge to the first label, and from one label's edge to the next one's. */
	readonly margin: readonly [number, number];
	readonly step: readonly [number, number];
}

export const LABEL_SHEETS = {
	tape: {
		name: "Tape, 48 mm wide",
		page: [100, 48],
		label: [100, 48],
		columns: 1,
		rows: 1,
		margin: [0, 0],
		step: [100, 48],
	},
	a4of8: {
		name: "A4, 8 labels of 99 × 68 mm",
		page: [210, 297],
		label: [99.1, 67.7],
		columns: 2,
		rows: 4,
		margin: [4.65, 13.1],
		step: [101.6, 67.7],
	},
	a4of14: {
		name: "A4, 14 labels of 99 × 38 mm",
		page: [210, 297],
		label: [99.1, 38.1],
		columns: 2,
		rows: 7,
		margin: [4.65, 15.15],
		step: [101.6, 38.1],
	},
	letterOf10: {
		name: "Letter, 10 labels of 4 × 2 in",
		page: [215.9, 279.4],
		label: [101.6, 50.8],
		columns: 2,
		rows: 5,
		margin: [4, 12.7],
		step: [106.3, 50.8],
	},
} as const satisfies Record<string, LabelSheet>;

export type LabelSheetKey = keyof typeof LABEL_SHEETS;

export const LABEL_SHEET_KEYS = Object.keys(LABEL_SHEETS) as LabelSheetKey[];

export function sheetKeyIn(text: string | null): LabelSheetKey {
	return LABEL_SHEET_KEYS.find((key) => key === text) ?? "tape";
}

/** Where each label stands: its page, and its upper left corner on it, mm. @param skip labels of the first sheet that are gone */
export function placesOn(
	{ columns, rows, margin, step }: LabelSheet,
	count: number,
	skip = 0,
): readonly { readonly page: number; readonly x: number; readonly y: number }[] {
	const onPage = columns * rows;
	const gone = Math.min(Math.max(0, Math.floor(skip)), onPage - 1);
	return Array.from({ length: count }, (_, index) => {
		const at = index + gone;
		const on = at % onPage;
		return {
			page: Math.floor(at / onPage),
			x: margin[0] + (on % columns) * step[0],
			y: margin[1] + Math.floor(on / columns) * step[1],
		};
	});
}
