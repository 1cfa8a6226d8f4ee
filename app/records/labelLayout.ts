import type { Release } from "#core/records";
import { lineHeight, type Pdf } from "../ui/server/pdf.ts";

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

/** What of a label is free for letters, mm. */
export interface Box {
	readonly width: number;
	readonly height: number;
}

/** A line of a label where it stands, mm from its upper left corner. */
export interface LaidLine {
	readonly text: string;
	readonly top: number;
	readonly size: number;
	readonly bold: boolean;
}

const MOST_QR = 24;
const QR_SHARE = 0.52;
/** Between the code and what stands beside it, mm. */
const BESIDE_QR = 3;

/** How large the code of a label is, mm. */
export function qrSide({ height }: Box): number {
	return Math.min(MOST_QR, height * QR_SHARE);
}

/**
 * Letters as large as what must be read leaves room for, points. A small letter is 1.2 mm high at the
 * least, which is 7 points of ours; what does not fit then goes on to another label.
 */
const SIZES = [9, 8.5, 8, 7.5] as const;
export const SMALLEST = 7;
/** No label goes on for longer. */
const MOST_PARTS = 60;

/** A label, or the several that it takes, each with its name and what may be done with it: nothing is cut. */
export function laidOut(pdf: Pdf, label: LotLabel, box: Box): LaidLine[][] {
	for (const size of SIZES) {
		const one = partsAt(pdf, label, size, box, "");
		if (one.length === 1) return one;
	}
	const count = partsAt(pdf, label, SMALLEST, box, "").length;
	if (count === 1) return partsAt(pdf, label, SMALLEST, box, "");
	return partsAt(
		pdf,
		label,
		SMALLEST,
		box,
		`, label # of ${partsAt(pdf, label, SMALLEST, box, `, label # of ${count}`).length}`,
	);
}

interface Line {
	readonly text: string;
	/** How many times as large as the rest. */
	readonly times: number;
	readonly bold: boolean;
}

/** What stands on each of several labels; the dish's own name on the first. */
function headOf({ dish, lot, tag, head }: LotLabel, part: number, numbered: string): Line[] {
	return [
		...(part === 1 ? [{ text: dish, times: 1.3, bold: true }] : []),
		{ text: `Lot ${lot}, pan ${tag}${numbered.replace("#", String(part))}`, times: 1.15, bold: true },
		{ text: head, times: 1.5, bold: true },
	];
}

function bodyOf({ beside, made, holds, state, allergens, reheat, contents }: LotLabel): Line[] {
	return [
		...(beside ? [{ text: `${beside}.`, times: 1, bold: true }] : []),
		{ text: `Allergens: ${allergens}.`, times: 1, bold: true },
		{ text: `${made}. ${holds}. ${state}.`, times: 1, bold: false },
		{ text: `${reheat}.`, times: 1, bold: false },
		...(contents ? [{ text: contents, times: 1, bold: false }] : []),
	];
}

/** At one size of letters, part after part, until all of it stands. */
function partsAt(pdf: Pdf, label: LotLabel, size: number, box: Box, numbered: string): LaidLine[][] {
	const parts: LaidLine[][] = [];
	let rest = bodyOf(label);
	do {
		const part: LaidLine[] = [];
		let top = 0;
		for (const line of headOf(label, parts.length + 1, numbered)) {
			top = put(part, brokenAt(pdf, line, size, top, box), line, size, top);
		}
		while (rest.length > 0) {
			const [next, ...after] = rest as [Line, ...Line[]];
			const lines = brokenAt(pdf, next, size, top, box);
			const room = Math.floor((box.height - top) / lineHeight(size * next.times) + 1e-9);
			top = put(part, lines.slice(0, Math.max(0, room)), next, size, top);
			if (lines.length > room) {
				rest = [{ ...next, text: lines.slice(Math.max(0, room)).join(" ") }, ...after];
				break;
			}
			rest = after;
		}
		parts.push(part);
	} while (rest.length > 0 && parts.length < MOST_PARTS);
	return parts;
}

/** A line of text as it breaks below what stands already. */
function brokenAt(pdf: Pdf, { text, times, bold }: Line, size: number, top: number, box: Box): string[] {
	const side = qrSide(box);
	const high = lineHeight(size * times);
	// Beside the code a line is narrower than under it.
	return pdf.lines(text, { size: size * times, bold }, (index) =>
		top + index * high < side + 1 ? box.width - side - BESIDE_QR : box.width,
	);
}

/** @returns where the next line begins, mm */
function put(
	part: LaidLine[],
	lines: readonly string[],
	{ times, bold }: Line,
	size: number,
	top: number,
): number {
	const high = lineHeight(size * times);
	for (const [index, text] of lines.entries())
		part.push({ text, top: top + index * high, size: size * times, bold });
	return top + lines.length * high;
}
