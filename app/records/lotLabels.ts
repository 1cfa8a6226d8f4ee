import QRCode from "qrcode";
import { data } from "react-router";
import { type LabelSaid, type LotNow, labelsNow, type Passport, type Release } from "#core/records";
import { lotsNow } from "../ui/server/lotsNow.ts";
import { Pdf } from "../ui/server/pdf.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { labelHead, passportWords } from "../ui/words/passportWords.ts";
import type { Reading } from "../ui/words/reading.ts";
import { LABEL_SHEETS, type LabelSheet, type LabelSheetKey, placesOn } from "./labelSheets.ts";

/** What is stuck on one pan of a lot. */
export interface LotLabel {
	readonly tag: string;
	readonly lot: number;
	readonly dish: string;
	/** What stands largest: its last day, or that nobody uses it yet, or ever. */
	readonly head: string;
	readonly release: Release;
	/** Beside the head: the last day of what is not released yet; why it is not. */
	readonly beside: string;
	/** "Made Fri 4 Dec 20:00 by Ebba" */
	readonly made: string;
	readonly holds: string;
	readonly state: string;
	readonly contents: string;
	readonly allergens: string;
	readonly reheat: string;
}

export interface LotLabels {
	readonly labels: readonly LotLabel[];
	/** The same as they are written down when they are printed. */
	readonly says: readonly LabelSaid[];
	/** So many that were printed are void. */
	readonly voids: number;
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
	const [read] = await lotsNow(store.db, [lot], { timeZone: house.timeZone, now: reading.now });
	if (!read) throw data({ missing: "lot" }, { status: 404 });
	const { now, passports, voids } = read;
	const opens = `${origin}/records/lots/${lot}`;
	const isAsked = (tag: string) => !again || voids.some((one) => one.tag === tag);
	return {
		opens,
		qr: squaresOf(opens),
		voids: voids.length,
		says: labelsNow(now, passports).filter(({ tag }) => isAsked(tag)),
		labels: now.pans
			.filter(({ tag }) => isAsked(tag))
			.flatMap((pan) => passports.filter(({ tag }) => tag === pan.tag).map((passport) => ({ pan, passport })))
			.map(({ pan: { tag, kg, depth_mm, useBy, state }, passport }) => ({
				...{ tag, lot, dish: now.doc.dish, allergens: now.doc.allergens, contents: now.doc.contents },
				...headOf(passport, now, useBy, reading),
				made: `Made ${reading.moment(now.at)} by ${now.who}`,
				holds: `${reading.mass(kg)}, ${reading.length(depth_mm)} deep`,
				state: state === "chilled" ? "Keep cold" : state === "frozen" ? "Keep frozen" : `It is ${state}`,
				reheat: `Heat ${now.doc.reheat}`,
			})),
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

/** The labels as a document, on tape or on a sheet of labels. */
export async function lotLabelsPdf(
	visit: HouseVisit,
	given: LabelsAsked & { readonly sheet: LabelSheetKey; readonly skip: number },
): Promise<Uint8Array> {
	const view = await lotLabels(visit, given);
	const sheet: LabelSheet = LABEL_SHEETS[given.sheet];
	const pdf = new Pdf(sheet.page, `Labels of lot ${given.lot}`);
	let page = -1;
	for (const [index, place] of placesOn(sheet, view.labels.length, given.skip).entries()) {
		const label = view.labels[index];
		if (!label) continue;
		while (page < place.page) {
			pdf.page();
			page += 1;
		}
		drawLabel(pdf, label, view.qr, { ...place, width: sheet.label[0], height: sheet.label[1] });
	}
	if (page < 0) {
		pdf.page();
		pdf.words("Nothing of this lot is left.", { x: 4, y: 4, width: sheet.page[0] - 8, size: 12 });
	}
	return pdf.finish();
}

interface Box {
	readonly x: number;
	readonly y: number;
	readonly width: number;
	readonly height: number;
}

/** Free of the edge, where printers do not print and knives cut, mm. */
const EDGE = 3;
const MOST_QR = 24;
const QR_SHARE = 0.52;
/** Letters as large as all that must be read leaves room for, points; smaller ones nobody reads. */
const SIZES = [9, 8.5, 8, 7.5, 7, 6.5, 6, 5.5, 5];

function drawLabel(pdf: Pdf, label: LotLabel, qr: Squares, box: Box): void {
	const [x, y] = [box.x + EDGE, box.y + EDGE];
	const [width, height] = [box.width - 2 * EDGE, box.height - 2 * EDGE];
	const side = Math.min(MOST_QR, height * QR_SHARE);
	pdf.squares(qr.dark, x + width - side, y, side / qr.size);
	const lines = linesOf(label);
	const smallest = SIZES.at(-1) as number;
	const size = SIZES.find((one) => laidOut(pdf, lines, one, { width, side }).height <= height) ?? smallest;
	const { tops, height: used } = laidOut(pdf, lines, size, { width, side });
	for (const [index, line] of lines.entries()) {
		const top = tops[index] as number;
		pdf.words(line.text, {
			x,
			y: y + top,
			width: widthAt(top, width, side),
			size: size * line.times,
			bold: line.bold,
		});
	}
	const left = height - used;
	if (left > size * 0.45)
		pdf.words(label.contents, { x, y: y + used, width, size: size * 0.92, height: left });
}

interface Line {
	readonly text: string;
	/** How many times as large as the rest. */
	readonly times: number;
	readonly bold: boolean;
}

/** What has to be on it, whole: allergens are never cut. */
function linesOf(label: LotLabel): Line[] {
	return [
		{ text: label.dish, times: 1.3, bold: true },
		{ text: `Lot ${label.lot}, pan ${label.tag}`, times: 1.15, bold: true },
		{ text: label.head, times: 1.5, bold: true },
		...(label.beside ? [{ text: `${label.beside}.`, times: 1, bold: true }] : []),
		{ text: `${label.made}. ${label.holds}. ${label.state}.`, times: 1, bold: false },
		{ text: `Allergens: ${label.allergens}.`, times: 1, bold: true },
		{ text: `${label.reheat}.`, times: 1, bold: false },
	];
}

/** Beside the code a line is narrower than under it, mm. */
function widthAt(top: number, width: number, side: number): number {
	return top < side + 1 ? width - side - 3 : width;
}

function laidOut(
	pdf: Pdf,
	lines: readonly Line[],
	size: number,
	{ width, side }: { width: number; side: number },
) {
	const tops: number[] = [];
	let height = 0;
	for (const { text, times, bold } of lines) {
		tops.push(height);
		height += pdf.heightOf(text, { width: widthAt(height, width, side), size: size * times, bold });
	}
	return { tops, height };
}
