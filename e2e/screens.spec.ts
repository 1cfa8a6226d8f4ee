import type { Page } from "@playwright/test";
import { addressesOf, sheetsOf } from "./addresses.ts";
import { expect, hydrated, test } from "./house.ts";
import { screenFaults } from "./screenFaults.ts";

test.use({ houseOf: "screens" });
test.describe.configure({ mode: "parallel" });

/** The desk, the tablet and the telephone. */
const WIDTHS = [1280, 768, 390] as const;
/** Views with something drawn or selected; the others are words, which axe looks at. */
const DRAWN =
	/^(today|book|card|cost|day|day, on trial|sitting|long table.*|lab|training round|kitchen|lot|lot, spread|pan|oven|writing|order sheet)$/;

async function settle(page: Page): Promise<void> {
	await page.evaluate(() => document.fonts.ready);
	// What is laid out in the width it is shown in is drawn again within a frame or two.
	await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done, 60))));
}

/** What is drawn stands where it stands by any light: by evening the desk tells of its colours. */
const PASSES = [
	{ light: "bench", widths: WIDTHS },
	{ light: "evening", widths: [WIDTHS[0]] },
] as const;

for (const { light, widths } of PASSES) {
	test(`drawings and what is selected can be read, light: ${light}`, async ({ page, house }) => {
		test.setTimeout(300_000);
		await page.goto("/");
		if (light === "evening") await page.getByRole("button", { name: "Evening" }).click();
		await expect(page.locator("html")).toHaveAttribute("data-light", light);
		let texts = 0;
		let contrasts = 0;
		const views = Object.entries(await addressesOf(house.database)).filter(([name]) => DRAWN.test(name));
		expect(views.length).toBeGreaterThan(20);
		for (const [name, address] of views) {
			await page.setViewportSize({ width: WIDTHS[0], height: 800 });
			await page.goto(address);
			await hydrated(page);
			for (const width of widths) {
				await page.setViewportSize({ width, height: 800 });
				await settle(page);
				const { texts: drawn, contrasts: judged, ...faults } = await screenFaults(page);
				expect.soft(faults, `${name} at ${width}`).toEqual({ small: [], struck: [], clipped: [], faint: [] });
				texts += drawn;
				contrasts += judged;
			}
		}
		// Nothing measured would be nothing wrong.
		expect(texts).toBeGreaterThan(170 * widths.length);
		expect(contrasts).toBeGreaterThan(100 * widths.length);
	});
}

test("no production sheet of the demo is longer than two pages", async ({ page, house }) => {
	test.setTimeout(180_000);
	const sheets = await sheetsOf(house.database);
	expect(sheets.length).toBeGreaterThan(5);
	for (const sheet of sheets) {
		await page.goto(sheet);
		for (const format of ["A4", "Letter"] as const) {
			const paper = (await page.pdf({ format })).toString("latin1");
			const pages = paper.match(/\/Type\s*\/Page\b/g)?.length ?? 0;
			expect(pages, `${sheet} on ${format}`).toBeGreaterThan(0);
			expect.soft(pages, `${sheet} on ${format}`).toBeLessThanOrEqual(2);
		}
	}
});

test("at the desk the open place begins in the upper part of the screen", async ({ page, house }) => {
	await page.setViewportSize({ width: 1280, height: 800 });
	const addresses = await addressesOf(house.database);
	const tables = Object.entries(addresses).filter(([name]) =>
		/^long table, (buy|sear|pan up|braise)$/.test(name),
	);
	expect(tables).toHaveLength(4);
	for (const [name, address] of tables) {
		await page.goto(address);
		await hydrated(page);
		await settle(page);
		const strip = await page.getByRole("navigation", { name: "The long table" }).boundingBox();
		expect((strip?.y ?? Number.POSITIVE_INFINITY) + (strip?.height ?? 0), name).toBeLessThan(300);
	}
});
