/** A style as it is written where its first element stands: its key, its names, its rules. */
const WRITTEN = /<style data-emotion="([a-z-]+) ?([^"]*)"[^>]*>([^<]*)<\/style>/g;
const HEAD_ENDS = "</head>";

/**
 * A page with all its styles in its head, those of elements in one. Written between the elements,
 * each of more than a hundred has the browser work out anew how everything before it looks, before
 * anything is seen.
 */
export function stylesFirst(html: string): string {
	const end = html.indexOf(HEAD_ENDS);
	if (end === -1) return html;
	const names: string[] = [];
	const rules: string[] = [];
	const whole: string[] = [];
	const rest = html.replace(WRITTEN, (style: string, key: string, named: string, css: string) => {
		if (key === OF_ELEMENTS) {
			names.push(named);
			rules.push(css);
		} else whole.push(style);
		return "";
	});
	const own = `<style data-emotion="${OF_ELEMENTS} ${names.join(" ")}">${rules.join("")}</style>`;
	return rest.replace(HEAD_ENDS, () => `${whole.join("")}${own}${HEAD_ENDS}`);
}

/** Under this key stand the styles of elements; those of the whole page have keys of their own. */
const OF_ELEMENTS = "css";

/** The script that brings the page to life, as the router writes it. */
const LIVELY =
	/<script nonce="([^"]*)" type="module" async="">([^<]*__reactRouterRouteModules[^<]*)<\/script>/;
/** Where nothing is painted, as in the background, it is not waited for longer; nor where it is not told, ms. */
const AT_MOST_MS = 2000;
const UNTOLD_MS = 50;

/** A part of the scripts that is to be fetched ahead. */
const AHEAD = /<link rel="modulepreload" href="([^"]+)"[^>]*>/g;

/**
 * A page that is painted before its scripts are fetched and run. They take a while, and a browser
 * that has both does them first.
 */
export function paintedFirst(html: string): string {
	if (!LIVELY.test(html)) return html;
	const ahead: string[] = [];
	const rest = html.replace(AHEAD, (_, href: string) => {
		ahead.push(href);
		return "";
	});
	return rest.replace(LIVELY, (_, nonce: string, code: string) => {
		return `<script nonce="${nonce}">((nonce, begun) => {
	const add = (name, fields) => {
		const element = Object.assign(document.createElement(name), fields);
		element.setAttribute("nonce", nonce);
		document.head.append(element);
	};
	const begin = () => {
		if (begun) return;
		begun = true;
		for (const href of ${JSON.stringify(ahead)}) add("link", { rel: "modulepreload", href });
		add("script", { type: "module", textContent: ${JSON.stringify(code)} });
	};
	const told = PerformanceObserver.supportedEntryTypes.includes("paint");
	if (told) new PerformanceObserver(begin).observe({ type: "paint", buffered: true });
	setTimeout(begin, told ? ${AT_MOST_MS} : ${UNTOLD_MS});
})(document.currentScript.nonce, false);</script>`;
	});
}
