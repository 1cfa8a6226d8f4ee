import { describe, expect, it } from "vitest";
import { paintedFirst, stylesFirst } from "./seenFirst.ts";

const of = (names: string, css: string) => `<style data-emotion="css ${names}">${css}</style>`;
const page = (head: string, body: string) => `<html><head>${head}</head><body>${body}</body></html>`;

describe("a page's styles", () => {
	it("stand in its head, in their order, those of elements in one", () => {
		const global = '<style data-emotion="css-global g1">body{margin:0;}</style>';
		const html = page(
			"<title>T</title>",
			`${global}${of("a1", ".a1{color:red;}")}<p>${of("b2 c3", ".b2{x:y;}")}</p>`,
		);
		expect(stylesFirst(html)).toBe(
			page(`<title>T</title>${global}${of("a1 b2 c3", ".a1{color:red;}.b2{x:y;}")}`, "<p></p>"),
		);
	});

	it("may hold what a replacement would take for a sign of its own", () => {
		expect(stylesFirst(page("", of("a", '.a{content:"$& $1";}')))).toContain('content:"$& $1"');
	});

	it("leave alone what is no page", () => {
		expect(stylesFirst(of("a", ".a{}"))).toBe(of("a", ".a{}"));
	});
});

describe("a page's own script", () => {
	const lively = (code: string) => `<script nonce="n0" type="module" async="">${code}</script>`;

	it("begins after the first painting, under the nonce of its answer", () => {
		const code = 'import * as route0 from "/a.js";\nwindow.__reactRouterRouteModules = {};import("/b.js");';
		const html = paintedFirst(page("", `<p></p>${lively(code)}`));
		expect(html).toContain('<script nonce="n0">');
		expect(html).toContain("PerformanceObserver");
		expect(html).toContain(JSON.stringify(code));
		expect(html).not.toContain('type="module" async');
	});

	it("is fetched then too, with all its parts", () => {
		const head = '<link rel="modulepreload" href="/a.js" nonce="n0"/><link rel="icon" href="/i.svg"/>';
		const html = paintedFirst(page(head, lively("window.__reactRouterRouteModules = {};")));
		expect(html).toContain('<head><link rel="icon" href="/i.svg"/></head>');
		expect(html).toContain('for (const href of ["/a.js"])');
	});

	it("is the only one that is touched", () => {
		const other = page("", lively("import('/other.js')"));
		expect(paintedFirst(other)).toBe(other);
	});
});
