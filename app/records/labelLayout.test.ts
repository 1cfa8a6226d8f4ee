import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";
import { describe, expect, it } from "vitest";
import { runsOf, unprintable } from "../ui/server/letters.ts";
import { Pdf } from "../ui/server/pdf.ts";
import { type LotLabel, laidOut, SMALLEST } from "./labelLayout.ts";
import { LABEL_SHEETS } from "./labelSheets.ts";

const LABEL: LotLabel = {
	tag: "A1",
	lot: 7,
	dish: "Goat shoulder, smoked paprika, white beans",
	head: "Use by Tue 8 Dec 2026",
	release: "released",
	beside: "",
	made: "Made Fri 4 Dec 2026 20:00 by Ebba",
	holds: "6.2 kg, 28 mm deep",
	state: "Keep cold",
	contents: "goat shoulder, white beans, tomatoes, smoked paprika",
	allergens: "contains celery",
	reheat: "Heat to a core of 75 °C without delay",
};
const BOXES = Object.values(LABEL_SHEETS).map(({ label }) => ({ width: label[0] - 6, height: label[1] - 6 }));

const partsOf = (label: LotLabel, box = BOXES[0] as (typeof BOXES)[number]) =>
	laidOut(new Pdf([100, 48], "labels"), label, box);
const wordsOf = (parts: ReturnType<typeof partsOf>) =>
	parts.map((lines) => lines.map(({ text }) => text).join(" ")).join(" ");

describe("a label", () => {
	it("holds all of it on one, its allergens before what is only of use", () => {
		for (const box of BOXES) {
			const parts = partsOf(LABEL, box);
			expect(parts).toHaveLength(1);
			const words = wordsOf(parts);
			for (const part of [LABEL.dish, LABEL.head, LABEL.allergens, LABEL.made, LABEL.contents])
				expect(words).toContain(part);
			expect(words.indexOf("Allergens")).toBeLessThan(words.indexOf("Made"));
		}
	});

	it("goes on to others where it is long: nothing is cut, no letter is smaller than can be read, and each says what it is", () => {
		const many = Array.from({ length: 120 }, (_, index) => `allergen${index}`);
		const long: LotLabel = {
			...LABEL,
			allergens: `contains ${many.join(", ")}`,
			head: "DO NOT USE, ask Ebba",
		};
		for (const box of BOXES) {
			const parts = partsOf(long, box);
			expect(parts.length).toBeGreaterThan(1);
			const words = wordsOf(parts);
			for (const one of many) expect(words).toMatch(new RegExp(`\\b${one}\\b`));
			for (const [index, lines] of parts.entries()) {
				const own = lines.map(({ text }) => text).join(" ");
				expect(own).toContain(`Lot 7, pan A1, label ${index + 1} of ${parts.length}`);
				expect(own).toContain("DO NOT USE, ask Ebba");
				for (const { size, top } of lines) {
					expect(size).toBeGreaterThanOrEqual(SMALLEST);
					expect(top + size * 0.45).toBeLessThanOrEqual(box.height);
				}
			}
		}
	});
});

/** What a document says when it is read again. */
async function readAgain(text: string): Promise<string> {
	const pdf = new Pdf([100, 48], "letters");
	pdf.page();
	pdf.words(text, { x: 4, y: 4, width: 92, size: 9 });
	const page = await (await getDocument({ data: await pdf.finish() }).promise).getPage(1);
	const { items } = await page.getTextContent();
	return items.map((item) => ("str" in item ? item.str : "")).join("");
}

describe("letters on paper", () => {
	it.each([
		["Latin", "Goat & Żurek, crème brûlée, kåldolmar"],
		["Greek", "Αρνί με λεμόνι"],
		["Cyrillic", "Борщ с говядиной, Ґрунт"],
		["Han", "红烧猪肉"],
		["kana", "豚の角煮とカレー"],
		["several at once", "Tajine طاجين, 红烧, борщ"],
	])("of %s are printed, every one", async (_script, text) => {
		expect(unprintable([text])).toBeNull();
		const read = (await readAgain(text)).replace(/\s/g, "").normalize("NFKC");
		for (const letter of text.replace(/\s/g, "").normalize("NFKC")) expect(read).toContain(letter);
	});

	it("that no font has are named, and nothing is dropped", () => {
		expect(unprintable(["Goat", "ok ᚠ"])).toBe("ᚠ");
		expect(() => runsOf("\u{1F410}")).toThrow(/no font/);
	});
});
