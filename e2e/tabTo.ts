import type { Page } from "@playwright/test";

/** What a person would call what has the focus: its label, its own name, its words. Nothing while it is on no control. */
async function labelAt(page: Page): Promise<string> {
	return page.evaluate(() => {
		const at = document.activeElement as HTMLInputElement | null;
		if (!at || at === document.body) return "";
		const label = at.labels?.[0]?.firstChild?.textContent ?? at.labels?.[0]?.textContent ?? "";
		const around = at.labels?.length ? "" : (at.closest("label")?.textContent ?? "");
		return `${at.getAttribute("aria-label") ?? ""} ${label} ${around} ${at.textContent ?? ""}`.trim();
	});
}

/** About how many stops of the tabulator there are to the next control of that name; 0 where it cannot be told. */
async function stopsTo(page: Page, name: RegExp): Promise<number> {
	return page.evaluate(
		({ source, flags }) => {
			const wanted = new RegExp(source, flags);
			const stops = [
				...document.querySelectorAll<HTMLInputElement>(
					"a[href], button, input, select, textarea, summary, [tabindex]",
				),
			].filter(
				(one) =>
					one.tabIndex >= 0 && !one.disabled && one.type !== "hidden" && one.getClientRects().length > 0,
			);
			const here = stops.indexOf(document.activeElement as HTMLInputElement);
			const labelOf = (at: HTMLInputElement) =>
				`${at.getAttribute("aria-label") ?? ""} ${at.labels?.[0]?.firstChild?.textContent ?? ""} ${at.textContent ?? ""}`.trim();
			const ahead = stops.findIndex((one, index) => index > here && wanted.test(labelOf(one)));
			if (ahead >= 0) return ahead - here;
			const again = stops.findIndex((one) => wanted.test(labelOf(one)));
			return again >= 0 ? stops.length - here + again : 0;
		},
		{ source: name.source, flags: name.flags },
	);
}

/** So many stops before it is near, the rest is walked one by one: a group of radio buttons is one stop. */
const NEAR = 6;
const MOST = 300;

/**
 * Presses Tab until a control is in hand, however it is called.
 *
 * @throws when nothing of that name is reached
 */
export async function tabTo(page: Page, name: RegExp): Promise<void> {
	const far = Math.max(0, (await stopsTo(page, name)) - NEAR);
	await Promise.all(Array.from({ length: far }, () => page.keyboard.press("Tab")));
	for (let step = 0; step < MOST; step += 1) {
		await page.keyboard.press("Tab");
		if (name.test(await labelAt(page))) return;
	}
	throw new Error(`nothing called ${name} is reached by Tab`);
}
