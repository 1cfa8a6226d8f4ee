import QRCode from "qrcode";
import { data } from "react-router";
import { type LabelSaid, type LotNow, labelsNow, type Passport } from "#core/records";
import { unprintable } from "../ui/server/letters.ts";
import { lotsNow } from "../ui/server/lotsNow.ts";
import { Pdf } from "../ui/server/pdf.ts";
import { printed } from "../ui/server/printed.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { labelHead, passportWords } from "../ui/words/passportWords.ts";
import type { Reading } from "../ui/words/reading.ts";
import { type Box, type LotLabel, laidOut, qrSide } from "./labelLayout.ts";
import { LABEL_SHEETS, type LabelSheet, type LabelSheetKey, placesOn } from "./labelSheets.ts";

export interface LotLabels {
	readonly labels: readonly LotLabel[];
	/** The same as they are written down when they are printed. */
	readonly says: readonly LabelSaid[];
	/** So many that were printed are void. */
	readonly voids: number;
	/** A character of theirs that no font of the house has: they can not be printed; null where all can. */
	readonly noLetter: string | null;
	readonly qr: Squares;
	readonly opens: string;
}

/** A code of dark and light squares. */
export interface Squares {
	readonly size: number;
	readonly dark: readonly (readonly [column: number, row: number])[];
}

/** Which labels are asked for. */
export interface LabelsAsked {
	readonly lot: number;
	readonly origin: string;
	/** Only those in place of labels that are void. */
	readonly again?: boolean;
}

/** A label for each pan of a lot that is left. @param origin under which the house is reached */
export async function lotLabels(
	{ store, reading, house }: HouseVisit,
	{ lot, origin, again = false }: LabelsAsked,
): Promise<LotLabels> {
	const [read] = await lotsNow(store.db, [lot], { ...house, now: reading.now });
	if (!read) throw data({ missing: "lot" }, { status: 404 });
	const { now, passports, voids, allergens } = read;
	const opens = `${origin}/records/lots/${lot}`;
	const isAsked = (tag: string) => !again || voids.some((one) => one.tag === tag);
	const labels = now.pans
		.filter(({ tag }) => isAsked(tag))
		.flatMap((pan) => passports.filter(({ tag }) => tag === pan.tag).map((passport) => ({ pan, passport })))
		.map(({ pan: { tag, kg, depth_mm, useBy, state }, passport }) => ({
			...{ tag, lot, dish: now.doc.dish, allergens: allergens, contents: now.doc.contents },
			...headOf(passport, now, useBy, reading),
			made: `Made ${reading.moment(now.at)} by ${now.who}`,
			holds: `${reading.mass(kg)}, ${reading.length(depth_mm)} deep`,
			state: state === "chilled" ? "Keep cold" : state === "frozen" ? "Keep frozen" : `It is ${state}`,
			reheat: `Heat ${now.doc.reheat}`,
		}));
	return {
		opens,
		qr: squaresOf(opens),
		voids: voids.length,
		says: labelsNow(now, passports, allergens).filter(({ tag }) => isAsked(tag)),
		labels,
		noLetter: unprintable(labels.flatMap((label) => Object.values(label).map(String))),
	};
}

/** A label prints what its passport says, and a last day only where there is one to go by. */
function headOf(
	passport: Passport,
	now: LotNow,
	useBy: string | null,
	reading: Reading,
): Pick<LotLabel, "head" | "release" | "beside"> {
	const { release, isCooling } = passport;
	const day = useBy === null ? "" : `Use by ${reading.date(useBy)}`;
	const head = labelHead(passport, now);
	if (head === null) return { head: day, release, beside: "" };
	return {
		head,
		release,
		beside: isCooling
			? `Once released: use by ${reading.date(useBy ?? "")}`
			: passportWords(passport, reading),
	};
}

function squaresOf(text: string): Squares {
	const { modules } = QRCode.create(text, { errorCorrectionLevel: "M" });
	const dark: [number, number][] = [];
	for (let row = 0; row < modules.size; row += 1)
		for (let column = 0; column < modules.size; column += 1)
			if (modules.get(row, column)) dark.push([column, row]);
	return { size: modules.size, dark };
}

/** Free of the edge, where printers do not print and knives cut, mm. */
const EDGE = 3;

/** The labels as a document, on tape or on a sheet of labels. */
export function lotLabelsPdf(visit: HouseVisit, given: LabelsOnSheet): Promise<Uint8Array> {
	return printed("these labels", () => labelsDrawn(visit, given));
}

/** Labels, and on which sheet they are printed, so many places of it free. */
type LabelsOnSheet = LabelsAsked & { readonly sheet: LabelSheetKey; readonly skip: number };

async function labelsDrawn(visit: HouseVisit, given: LabelsOnSheet): Promise<Uint8Array> {
	const view = await lotLabels(visit, given);
	const sheet: LabelSheet = LABEL_SHEETS[given.sheet];
	const pdf = new Pdf(sheet.page, `Labels of lot ${given.lot}`);
	const box: Box = { width: sheet.label[0] - 2 * EDGE, height: sheet.label[1] - 2 * EDGE };
	const laid = view.labels.flatMap((label) => laidOut(pdf, label, box));
	let page = -1;
	for (const [index, place] of placesOn(sheet, laid.length, given.skip).entries()) {
		const one = laid[index];
		if (!one) continue;
		while (page < place.page) {
			pdf.page();
			page += 1;
		}
		const [x, y] = [place.x + EDGE, place.y + EDGE];
		const side = qrSide(box);
		pdf.squares(view.qr.dark, x + box.width - side, y, side / view.qr.size);
		for (const { text, top, size, bold } of one) pdf.write(text, x, y + top, { size, bold });
	}
	if (page < 0) {
		pdf.page();
		pdf.words("Nothing of this lot is left.", { x: 4, y: 4, width: sheet.page[0] - 8, size: 12 });
	}
	return pdf.finish();
}
