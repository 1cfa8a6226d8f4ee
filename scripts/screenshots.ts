import { chromium, type Page } from "@playwright/test";
import { House } from "../e2e/house.ts";

/** One current picture of each main view, from fresh demo data: `npm run screenshots` after a build. */

const FOLDER = "docs/screenshots";

const house = new House();
house.seed();
await house.start();
const browser = await chromium.launch({
	executablePath: "/usr/bin/chromium",
	args: ["--no-sandbox", "--disable-gpu", "--lang=en-GB"],
});
const page = await browser.newPage({
	baseURL: house.url,
	locale: "en-GB",
	viewport: { width: 1280, height: 800 },
});
page.setDefaultTimeout(15_000);

try {
	await shoot(page, "today", "/");
	await page.getByRole("link", { name: "Festival supper" }).first().click();
	await page.getByRole("link", { name: "Open the long table" }).first().waitFor();
	const sitting = new URL(page.url()).pathname;
	const table =
		(await page.getByRole("link", { name: "Open the long table" }).first().getAttribute("href")) ?? "";
	await shoot(page, "sitting", sitting);
	await shoot(page, "long-table", table);
	await shoot(page, "sear", `${table}?place=sear`);
	await shoot(page, "braise", `${table}?place=braise`);
	await page.goto(table);
	await page.getByLabel("Covers", { exact: true }).fill("180");
	await page.getByText("On trial").waitFor();
	await page.screenshot({ path: `${FOLDER}/trial.png` });
	await shoot(page, "pan", "/kitchen/pans/gn-1-1-100");
	await shoot(page, "card", "/book/goat-shoulder");
	await shoot(page, "book", "/book");
	await shoot(page, "kitchen", "/kitchen");
	await page.getByRole("button", { name: "Evening" }).click();
	await page.locator("[data-light=evening]").waitFor();
	await shoot(page, "evening", table);
	await page.getByRole("button", { name: "Daylight" }).click();
	await page.locator("[data-light=bench]").waitFor();
	await page.setViewportSize({ width: 860, height: 1216 });
	await shoot(page, "sheet", `${table}/sheet`);
} finally {
	await browser.close();
	await house.stop();
}

async function shoot(of: Page, name: string, address: string): Promise<void> {
	await of.goto(address, { waitUntil: "networkidle" });
	await of.evaluate(() => document.fonts.ready);
	await of.screenshot({ path: `${FOLDER}/${name}.png` });
}
