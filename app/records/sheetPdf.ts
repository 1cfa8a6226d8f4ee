import { Pdf } from "../ui/server/pdf.ts";
import { printed } from "../ui/server/printed.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import type { SheetOf } from "./sheetKinds.ts";
import { recordSheet } from "./sheetPage.ts";

const A4: readonly [number, number] = [297, 210];
const LETTER: readonly [number, number] = [279.4, 215.9];
const EDGE = 12;
const LINE = 0.3;
const SIZE = 8.5;
const ROW_PAD = 1.4;
/** Columns by how much stands in them; what is signed needs room. */
const WIDTHS: Readonly<Record<string, number>> = {
	...{ Lot: 0.5, Pan: 0.5, Weight: 0.7, Dish: 1.6, Limits: 1.9, Sign: 1.5, "Done about it": 1.7 },
	...{ "Came out": 0.8, What: 1.6, "What was done": 1.4, Note: 1.6 },
};

/** The sheet as a document: its code, a line for each row, where it is signed, and the hashes of the day. */
export function recordSheetPdf(visit: HouseVisit, given: SheetOf): Promise<Uint8Array> {
	return printed("this sheet", () => sheetDrawn(visit, given));
}

async function sheetDrawn(visit: HouseVisit, given: SheetOf): Promise<Uint8Array> {
	const sheet = await recordSheet(visit, given);
	const page = visit.preferences.paper === "A4" ? A4 : LETTER;
	const pdf = new Pdf(page, `${sheet.title}, ${sheet.period}`);
	const width = page[0] - 2 * EDGE;
	const shares = sheet.columns.map((column) => WIDTHS[column] ?? 1);
	const all = shares.reduce((sum, share) => sum + share, 0);
	const widths = shares.map((share) => (share / all) * width);
	const bottom = page[1] - EDGE - 22;
	let number = 0;
	let y = 0;
	const cells = (texts: readonly string[], bold: boolean) => {
		const height = Math.max(
			4,
			...texts.map((text, index) =>
				pdf.heightOf(text, { width: (widths[index] ?? 10) - 2, size: SIZE, bold }),
			),
		);
		let x = EDGE;
		for (const [index, text] of texts.entries()) {
			pdf.words(text, { x, y: y + ROW_PAD / 2, width: (widths[index] ?? 10) - 2, size: SIZE, bold });
			x += widths[index] ?? 10;
		}
		y += height + ROW_PAD;
		pdf.line(EDGE, y, EDGE + width, y, bold ? 2 * LINE : LINE / 2);
	};
	const begin = () => {
		pdf.page();
		number += 1;
		y = EDGE;
		y += pdf.words(`${sheet.title}, ${sheet.house}`, {
			x: EDGE,
			y,
			width: width * 0.7,
			size: 16,
			bold: true,
		});
		pdf.words(`Page ${number}`, { x: EDGE + width - 30, y: EDGE, width: 30, size: 9 });
		y += pdf.words(`${sheet.period}. Printed ${sheet.printed}.`, { x: EDGE, y, width, size: 9 });
		for (const code of sheet.codes)
			y += pdf.words(`House code: ${code}. The local authority and the licensed operator decide.`, {
				x: EDGE,
				y,
				width,
				size: 9,
			});
		y += 2;
		cells(sheet.columns, true);
	};
	begin();
	for (const row of sheet.rows) {
		const height = Math.max(
			...row.map((text, index) => pdf.heightOf(text, { width: (widths[index] ?? 10) - 2, size: SIZE })),
		);
		if (y + height + ROW_PAD > bottom) begin();
		cells(row, false);
	}
	if (sheet.rows.length === 0)
		pdf.words("Nothing was written down in this time.", { x: EDGE, y: y + 2, width, size: 10 });
	const foot = page[1] - EDGE - 16;
	pdf.line(EDGE, foot + 8, EDGE + 80, foot + 8);
	pdf.words("Signed", { x: EDGE, y: foot + 9, width: 80, size: 8.5 });
	pdf.line(EDGE + 90, foot + 8, EDGE + 170, foot + 8);
	pdf.words("Seen by, on", { x: EDGE + 90, y: foot + 9, width: 80, size: 8.5 });
	pdf.words(`As the record stood: ${sheet.heads}`, { x: EDGE + width - 90, y: foot + 9, width: 90, size: 7 });
	return pdf.finish();
}
