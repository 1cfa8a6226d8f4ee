import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";

/** What a printed page says, on how many sheets, of which size. */
export async function linesOf(pdf: Buffer): Promise<{ text: string; pages: number; size_mm: number[] }> {
	const document = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise;
	const parts: string[] = [];
	for (let number = 1; number <= document.numPages; number += 1) {
		const { items } = await (await document.getPage(number)).getTextContent();
		parts.push(...items.map((item) => ("str" in item ? item.str : "")));
	}
	const [, , width = 0, height = 0] = (await document.getPage(1)).view;
	return {
		text: parts.join(" ").replace(/\s+/g, " "),
		pages: document.numPages,
		size_mm: [width, height].map((points) => Math.round((points / 72) * 25.4)),
	};
}
