import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";
import { addressesOf } from "./addresses.ts";
import { expect, hydrated, test } from "./house.ts";

test.use({ houseOf: "views" });

test.describe.configure({ mode: "parallel" });

/** Every rule on every view, at every width and in both lights: where there is time, in the soak. */
const THOROUGH = process.env.WT_THOROUGH !== undefined;
/** The desk, the tablet and the telephone. */
const WIDTHS = [1280, 768, 390] as const;

/**
 * Every second view, by light. Colours come from one theme: contrast is looked at on one half by day,
 * on the other by evening.
 */
const PASSES = [
	{ light: "bench", half: 0, rules: "all" },
	{ light: "bench", half: 1, rules: THOROUGH ? "all" : "all but contrast" },
	{ light: "evening", half: 1, rules: "contrast" },
	...(THOROUGH ? [{ light: "evening", half: 0, rules: "contrast" } as const] : []),
] as const;
type Rules = (typeof PASSES)[number]["rules"];

for (const { light, half, rules } of PASSES) {
	test(`no view breaks an accessibility rule, scrolls sideways or complains, half ${half + 1}, light: ${light}`, async ({
		page,
		house,
	}) => {
		const said: string[] = [];
		test.setTimeout(THOROUGH ? 900_000 : 360_000);
		page.on("console", (message) => {
			if (["error", "warning"].includes(message.type())) said.push(`${page.url()}: ${message.text()}`);
		});
		page.on("pageerror", (error) => said.push(`${page.url()}: ${error.message}`));
		await page.goto("/");
		if (light === "evening") await page.getByRole("button", { name: "Evening" }).click();
		await expect(page.locator("html")).toHaveAttribute("data-light", light);
		const views = Object.entries(await addressesOf(house.database)).filter((_, index) => index % 2 === half);
		for (const [name, address] of views) {
			await page.setViewportSize({ width: WIDTHS[0], height: 800 });
			await page.goto(address);
			await expect(page.getByRole("main"), name).toBeVisible();
			await hydrated(page);
			for (const width of widthsFor(rules)) {
				await page.setViewportSize({ width, height: width === 390 ? 844 : 800 });
				// A chart takes the new width a moment after the page has it.
				await expect.poll(() => sidewaysScroll(page), `${name}, ${width} wide`).toBe(0);
				if (width === WIDTHS[0] || THOROUGH) {
					expect(await broken(page, rules), `${name}, ${width} wide`).toEqual([]);
				}
			}
		}
		expect(said.filter((text) => !text.includes("404 (Not Found)"))).toEqual([]);
	});
}

/** Widths are the same by evening: there only its colours are looked at. */
function widthsFor(rules: Rules): readonly number[] {
	return rules === "contrast" && !THOROUGH ? WIDTHS.slice(0, 1) : WIDTHS;
}

/** What breaks a rule of accessibility, with where. */
async function broken(page: Page, rules: Rules): Promise<string[]> {
	const axe = new AxeBuilder({ page });
	if (rules === "contrast") axe.withRules(["color-contrast"]);
	if (rules === "all but contrast") axe.disableRules(["color-contrast"]);
	const { violations } = await axe.analyze();
	return violations.map(
		({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(" | ")}`,
	);
}

test("without scripts the table still reads, tries and takes", async ({ browser, house }) => {
	const plain = await browser.newContext({ javaScriptEnabled: false, locale: "en-GB" });
	const page = await plain.newPage();
	const { "long table, pan up": table = "" } = await addressesOf(house.database);
	await page.goto(house.url + table);
	await page.getByLabel("Covers", { exact: true }).fill("150");
	await page.getByRole("button", { name: "Try it" }).click();
	await expect(page.getByText(", was 27", { exact: true })).toBeVisible();
	await page.getByRole("button", { name: /Take it/ }).click();
	await expect(page.getByText(", was 27", { exact: true })).toHaveCount(0);
	await expect(page.getByLabel("Covers", { exact: true })).toHaveValue("150");
	await plain.close();
});

async function sidewaysScroll(page: Page): Promise<number> {
	return page.evaluate(() =>
		Math.max(0, document.documentElement.scrollWidth - document.documentElement.clientWidth),
	);
}
