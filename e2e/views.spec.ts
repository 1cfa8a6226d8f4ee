import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";
import { addressesOf } from "./addresses.ts";
import { expect, hydrated, settled, test } from "./house.ts";
import { screenFaults } from "./screenFaults.ts";

test.use({ houseOf: "views" });

test.describe.configure({ mode: "parallel" });

/** Every rule at every width and in both lights: where there is time, in the soak. */
const THOROUGH = process.env.WT_THOROUGH !== undefined;
/** The desk, the tablet and the telephone. */
const WIDTHS = [1280, 768, 390] as const;
const DESK = WIDTHS[0];
/** Views with something drawn or selected; the others are words, which axe looks at. */
const DRAWN =
	/^(today|book|card|cost|day|day, on trial|sitting|long table.*|lab|training round|kitchen|lot|lot, spread|pan|oven|writing|order sheet)$/;

/** How often each view is measured at the least: by day at every width, by evening at the desk. */
const PASSES = WIDTHS.length + 1;

type Light = "bench" | "evening";

/** How much was measured in all views. */
interface Measured {
	views: number;
	texts: number;
	contrasts: number;
}

for (const half of [0, 1]) {
	test(`every view can be read, keeps the rules of accessibility and scrolls only down, half ${half + 1}`, async ({
		page,
		house,
	}) => {
		test.setTimeout(THOROUGH ? 1_200_000 : 600_000);
		const said: string[] = [];
		page.on("console", (message) => {
			if (["error", "warning"].includes(message.type())) said.push(`${page.url()}: ${message.text()}`);
		});
		page.on("pageerror", (error) => said.push(`${page.url()}: ${error.message}`));
		const measured: Measured = { views: 0, texts: 0, contrasts: 0 };
		const views = Object.entries(await addressesOf(house.database)).filter((_, index) => index % 2 === half);
		for (const [name, address] of views) {
			await page.setViewportSize({ width: DESK, height: 800 });
			await page.goto(address);
			await expect(page.getByRole("main"), name).toBeVisible();
			await hydrated(page);
			for (const width of WIDTHS) {
				await page.setViewportSize({ width, height: width === 390 ? 844 : 800 });
				// A chart takes the new width a moment after the page has it.
				await expect.poll(() => sidewaysScroll(page), `${name}, ${width} wide`).toBe(0);
				await expectReadable(page, name, width, measured);
			}
		}
		// Nothing measured would be nothing wrong.
		expect(measured.views).toBeGreaterThan(10 * PASSES);
		expect(measured.texts).toBeGreaterThan(85 * PASSES);
		expect(measured.contrasts).toBeGreaterThan(50 * PASSES);
		expect(said.filter((text) => !text.includes("404 (Not Found)"))).toEqual([]);
	});
}

/** Colours are the same at every width: where time is short, axe and the evening look at the desk's. */
async function expectReadable(page: Page, name: string, width: number, measured: Measured): Promise<void> {
	const closely = width === DESK || THOROUGH;
	// Daylight comes last, and is what the next width begins with.
	for (const light of closely ? (["evening", "bench"] as const) : (["bench"] as const)) {
		await shine(page, light);
		const where = `${name}, ${width} wide, ${light}`;
		if (closely) expect.soft(await broken(page, light), where).toEqual([]);
		if (!DRAWN.test(name)) continue;
		const { texts, contrasts, ...faults } = await screenFaults(page);
		expect.soft(faults, where).toEqual({ small: [], struck: [], clipped: [], faint: [] });
		measured.texts += texts;
		measured.contrasts += contrasts;
		measured.views += 1;
	}
}

/** Turns the light as the button in the header does: every colour comes from the theme by this one name. */
async function shine(page: Page, light: Light): Promise<void> {
	await page.evaluate((wanted) => {
		document.documentElement.dataset.light = wanted;
	}, light);
	await settled(page);
}

/** What breaks a rule of accessibility, with where; by evening only colours are other than by day. */
async function broken(page: Page, light: Light): Promise<string[]> {
	// No view has a frame of its own, so that the page looks at itself; what holds is not sent.
	const axe = new AxeBuilder({ page }).setLegacyMode();
	const rules = light === "evening" ? { runOnly: ["color-contrast"] } : {};
	const { violations } = await axe.options({ resultTypes: ["violations"], ...rules }).analyze();
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

test("the button in the header turns the light that is measured here", async ({ page }) => {
	await page.goto("/book");
	await hydrated(page);
	await page.getByRole("button", { name: "Evening" }).click();
	await expect(page.locator("html")).toHaveAttribute("data-light", "evening");
});

async function sidewaysScroll(page: Page): Promise<number> {
	return page.evaluate(() =>
		Math.max(0, document.documentElement.scrollWidth - document.documentElement.clientWidth),
	);
}
