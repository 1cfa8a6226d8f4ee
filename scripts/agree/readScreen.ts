import { Window } from "happy-dom";

/** A figure that a screen shows, and what it says of itself. */
export interface ShownFigure {
	readonly what: string;
	readonly of: string;
	readonly value: string;
	readonly unit: string;
	readonly text: string;
}

export interface Screen {
	readonly figures: readonly ShownFigure[];
	/** Numbers with a unit that say nothing of themselves. */
	readonly outside: readonly string[];
}

/** A number with a unit of the trade, or a clock. */
const MEASURED =
	/\d[\d.,]*\s*(?:kg|g|lb|oz|l|ml|°C|°F|mm|min|h|portions?|pieces?|pans?)(?![\p{L}\d])|\b\d{1,2}:\d{2}\b/gu;

/** Reads a page as it is sent: what it shows of the day, and what of it no program can hold against it. */
export function readScreen(html: string): Screen {
	const window = new Window({
		settings: { disableJavaScriptFileLoading: true, disableCSSFileLoading: true },
	});
	const { document } = window;
	const [, body = html] = /<main[\s\S]*?>([\s\S]*)<\/main>/.exec(html) ?? [];
	document.body.innerHTML = body;
	for (const gone of document.querySelectorAll("script, style, template")) gone.remove();
	const facts = [...document.querySelectorAll("[data-fact]")];
	const figures = facts.map((element) => ({
		what: element.getAttribute("data-fact") ?? "",
		of: element.getAttribute("data-of") ?? "",
		value: element.getAttribute("data-value") ?? "",
		unit: element.getAttribute("data-unit") ?? "",
		text: textOf(element.textContent),
	}));
	for (const element of facts) element.remove();
	// Words of different elements are no one number.
	const texts: string[] = [];
	const walker = document.createTreeWalker(document.body, window.NodeFilter.SHOW_TEXT);
	while (walker.nextNode()) texts.push(walker.currentNode?.textContent ?? "");
	const outside = texts.flatMap((text) => text.match(MEASURED) ?? []);
	window.happyDOM.close();
	return { figures, outside };
}

function textOf(text: string | null): string {
	return (text ?? "").replace(/\s+/g, " ").trim();
}
