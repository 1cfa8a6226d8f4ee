import PDFDocument from "pdfkit";
import { type Run, runsOf, type Weight } from "./letters.ts";

/** Millimetres in points. */
const POINT_MM = 25.4 / 72;
export const mm = (millimetres: number) => millimetres / POINT_MM;

/** From one line to the next, times the size of the letters. */
const LINE_HEIGHT = 1.3;
/** From the top of a line down to the foot of its letters. */
const ASCENT = 0.984;

export interface Words {
	readonly x: number;
	readonly y: number;
	readonly width: number;
	readonly size: number;
	readonly bold?: boolean;
}

type Lettering = Pick<Words, "size" | "bold">;

/** A document for paper, in millimetres, in our own letters. */
export class Pdf {
	readonly #doc: PDFKit.PDFDocument;
	readonly #chunks: Buffer[] = [];
	readonly #ended: Promise<void>;
	readonly #registered = new Set<string>();

	/** @param page width and height, mm */
	constructor(page: readonly [number, number], title: string) {
		this.#doc = new PDFDocument({
			size: [mm(page[0]), mm(page[1])],
			margin: 0,
			autoFirstPage: false,
			font: runsOf(" ")[0]?.letters.file(400) ?? "",
			info: { Title: title, Producer: "Wide Table", Creator: "Wide Table" },
			lang: "en-GB",
		});
		this.#doc.on("data", (chunk: Buffer) => this.#chunks.push(chunk));
		this.#ended = new Promise((done) => this.#doc.once("end", done));
	}

	page(): void {
		this.#doc.addPage();
	}

	/** Words in a box, as many lines as they take. @returns how high they are, mm */
	words(text: string, { x, y, width, size, bold = false }: Words): number {
		const lines = this.lines(text, { size, bold }, () => width);
		for (const [index, line] of lines.entries()) {
			this.write(line, x, y + index * lineHeight(size), { size, bold });
		}
		return lines.length * lineHeight(size);
	}

	/** How high words would be in a width, mm. */
	heightOf(text: string, { width, size, bold = false }: Omit<Words, "x" | "y">): number {
		return this.lines(text, { size, bold }, () => width).length * lineHeight(size);
	}

	/**
	 * A text as it breaks into lines: between words, between signs of Han and kana, and inside what is
	 * longer than a line.
	 *
	 * @param widthAt how wide a line may be, by its number from 0, mm
	 */
	lines(text: string, lettering: Lettering, widthAt: (line: number) => number): string[] {
		return text.split("\n").reduce<string[]>((lines, part) => {
			const own = this.#broken(part, lettering, (line) => widthAt(lines.length + line));
			return lines.concat(own);
		}, []);
	}

	/** Words up to the next line that somebody set, broken where they do not fit. */
	#broken(text: string, lettering: Lettering, widthAt: (line: number) => number): string[] {
		const lines: string[] = [];
		let line = "";
		const fits = (words: string) => this.widthOf(words.trimEnd(), lettering) <= widthAt(lines.length);
		for (const piece of piecesOf(text)) {
			if (fits(line + piece)) {
				line += piece;
				continue;
			}
			if (line.trim() !== "") lines.push(line.trimEnd());
			line = piece.trimStart();
			// What is longer than a line is broken where it must be.
			while (!fits(line) && line.length > 1) {
				let count = line.length - 1;
				while (count > 1 && !fits(line.slice(0, count))) count -= 1;
				lines.push(line.slice(0, count));
				line = line.slice(count);
			}
		}
		return [...lines, line.trimEnd()];
	}

	/** How wide some words are in one line, mm. */
	widthOf(text: string, { size, bold = false }: Lettering): number {
		return runsOf(text).reduce((sum, run) => {
			this.#letter(run, bold ? 700 : 400, size);
			return sum + this.#doc.widthOfString(run.text) * POINT_MM;
		}, 0);
	}

	/** One line of words, its upper left corner at a place. */
	write(text: string, x: number, y: number, { size, bold = false }: Lettering): void {
		let at = x;
		for (const run of inOrderSeen(runsOf(text))) {
			this.#letter(run, bold ? 700 : 400, size);
			this.#doc.text(run.text, mm(at), mm(y) + size * ASCENT, { lineBreak: false, baseline: "alphabetic" });
			at += this.#doc.widthOfString(run.text) * POINT_MM;
		}
	}

	#letter({ letters }: Run, weight: Weight, size: number): void {
		const name = `${letters.name} ${weight}`;
		if (!this.#registered.has(name)) {
			this.#doc.registerFont(name, letters.file(weight));
			this.#registered.add(name);
		}
		this.#doc.font(name).fontSize(size);
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

/** From one line to the next, mm. */
export function lineHeight(size: number): number {
	return size * LINE_HEIGHT * POINT_MM;
}

/** Words with the space after them; signs of Han and kana one by one. */
function piecesOf(text: string): string[] {
	return (
		text.match(
			/[\p{sc=Han}\p{sc=Hiragana}\p{sc=Katakana}]|[^\s\p{sc=Han}\p{sc=Hiragana}\p{sc=Katakana}]+\s*|\s+/gu,
		) ?? []
	);
}

const RIGHT_TO_LEFT = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufeff]/u;

/** Letters that are read from the right are shaped so by their font; the words of such a stretch are turned round here. */
function inOrderSeen(runs: readonly Run[]): Run[] {
	return runs.map((run) =>
		RIGHT_TO_LEFT.test(run.text) ? { ...run, text: run.text.split(" ").reverse().join(" ") } : run,
	);
}
