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
	/** Sums that are told, as they stand there. */
	readonly sums: readonly { readonly working: string; readonly result: string }[];
	/** All other texts: neither scales of drawings, nor what would be if something else were chosen. */
	readonly texts: readonly string[];
}

/** What is between the heads and the foot of a page, or all of what is none. It has to be closed. */
export function mainOf(html: string): Window {
	const window = new Window({
		settings: { disableJavaScriptFileLoading: true, disableCSSFileLoading: true },
	});
	const [, body = html] = /<main[\s\S]*?>([\s\S]*)<\/main>/.exec(html) ?? [];
	window.document.body.innerHTML = body;
	return window;
}

/** Reads a page as it is sent: what it shows of the day, its sums, and all its other words. */
export function readScreen(html: string): Screen {
	const window = mainOf(html);
	const { document } = window;
	for (const gone of document.querySelectorAll("script, style, template, [data-axis], [data-otherwise]"))
		gone.remove();
	const facts = [...document.querySelectorAll("[data-fact]")];
	const figures = facts.map((element) => ({
		what: element.getAttribute("data-fact") ?? "",
		of: element.getAttribute("data-of") ?? "",
		value: element.getAttribute("data-value") ?? "",
		unit: element.getAttribute("data-unit") ?? "",
		text: textOf(element.textContent),
	}));
	const results = [...document.querySelectorAll('[data-sum="result"]')];
	const workings = [...document.querySelectorAll('[data-sum="working"]')];
	const sums = workings.map((element, index) => ({
		working: textOf(element.textContent),
		result: textOf(results[index]?.textContent ?? "").replace(/^= /, ""),
	}));
	for (const element of [...facts, ...results, ...workings]) element.remove();
	// Words of different elements are no one number.
	const texts: string[] = [];
	const walker = document.createTreeWalker(document.body, window.NodeFilter.SHOW_TEXT);
	while (walker.nextNode()) texts.push(textOf(walker.currentNode?.textContent ?? ""));
	window.happyDOM.close();
	return { figures, sums, texts: texts.filter((text) => text !== "") };
}

function textOf(text: string | null): string {
	return (text ?? "").replace(/\s+/g, " ").trim();
}
