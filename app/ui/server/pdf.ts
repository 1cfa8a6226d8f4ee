import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import PDFDocument from "pdfkit";

/** Millimetres in points. */
const POINT_MM = 25.4 / 72;
export const mm = (millimetres: number) => millimetres / POINT_MM;

const FONTS = join(
	dirname(createRequire(import.meta.url).resolve("@fontsource/atkinson-hyperlegible-next/package.json")),
	"files",
);
const fontFile = (letters: "latin" | "latin-ext", weight: 400 | 700) =>
	join(FONTS, `atkinson-hyperlegible-next-${letters}-${weight}-normal.woff`);

export interface Words {
	readonly x: number;
	readonly y: number;
	readonly width: number;
	readonly size: number;
	readonly bold?: boolean;
	/** No higher than this: what does not fit is cut with three dots. */
	readonly height?: number;
}

/** A document for paper, in millimetres, in our own letters. */
export class Pdf {
	readonly #doc: PDFKit.PDFDocument;
	readonly #chunks: Buffer[] = [];
	readonly #ended: Promise<void>;

	/** @param page width and height, mm */
	constructor(page: readonly [number, number], title: string) {
		this.#doc = new PDFDocument({
			size: [mm(page[0]), mm(page[1])],
			margin: 0,
			autoFirstPage: false,
			font: fontFile("latin", 400),
			info: { Title: title, Producer: "Wide Table", Creator: "Wide Table" },
			lang: "en-GB",
		});
		for (const weight of [400, 700] as const) {
			this.#doc.registerFont(`latin ${weight}`, fontFile("latin", weight));
			this.#doc.registerFont(`ext ${weight}`, fontFile("latin-ext", weight));
		}
		this.#doc.on("data", (chunk: Buffer) => this.#chunks.push(chunk));
		this.#ended = new Promise((done) => this.#doc.once("end", done));
	}

	page(): void {
		this.#doc.addPage();
	}

	/** Words in a box. @returns how high they are, mm */
	words(text: string, { x, y, width, size, bold = false, height }: Words): number {
		const doc = this.#doc;
		const weight = bold ? 700 : 400;
		const options = {
			width: mm(width),
			lineGap: size * 0.06,
			...(height === undefined ? {} : { height: mm(height), ellipsis: true }),
		};
		const runs = runsOf(text);
		doc.font(`latin ${weight}`).fontSize(size);
		doc.x = mm(x);
		doc.y = mm(y);
		runs.forEach(({ letters, text: run }, index) => {
			doc.font(`${letters} ${weight}`).text(run, { ...options, continued: index < runs.length - 1 });
		});
		return doc.y * POINT_MM - y;
	}

	/** How high words would be in a width, mm. */
	heightOf(text: string, { width, size, bold = false }: Omit<Words, "x" | "y">): number {
		this.#doc.font(`latin ${bold ? 700 : 400}`).fontSize(size);
		return this.#doc.heightOfString(text, { width: mm(width), lineGap: size * 0.06 }) * POINT_MM;
	}

	line(x1: number, y1: number, x2: number, y2: number, thick_mm = 0.3): void {
		this.#doc.moveTo(mm(x1), mm(y1)).lineTo(mm(x2), mm(y2)).lineWidth(mm(thick_mm)).stroke("black");
	}

	box(x: number, y: number, width: number, height: number): void {
		this.#doc.rect(mm(x), mm(y), mm(width), mm(height)).lineWidth(mm(0.4)).stroke("black");
	}

	/** Squares that are dark, of a side each. */
	squares(dark: readonly (readonly [number, number])[], x: number, y: number, side: number): void {
		for (const [column, row] of dark) {
			this.#doc.rect(mm(x + column * side), mm(y + row * side), mm(side) + 0.02, mm(side) + 0.02);
		}
		this.#doc.fill("black");
	}

	async finish(): Promise<Uint8Array> {
		this.#doc.end();
		await this.#ended;
		return new Uint8Array(Buffer.concat(this.#chunks));
	}
}

/** Letters with marks of other languages stand in a file of their own. */
const EXT = /[\u0100-\u024f\u1e00-\u1eff]+/g;

function runsOf(text: string): { readonly letters: "latin" | "ext"; readonly text: string }[] {
	const runs: { letters: "latin" | "ext"; text: string }[] = [];
	let from = 0;
	for (const match of text.matchAll(EXT)) {
		if (match.index > from) runs.push({ letters: "latin", text: text.slice(from, match.index) });
		runs.push({ letters: "ext", text: match[0] });
		from = match.index + match[0].length;
	}
	if (from < text.length || runs.length === 0) runs.push({ letters: "latin", text: text.slice(from) });
	return runs;
}
