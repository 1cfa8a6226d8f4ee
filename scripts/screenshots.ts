import { chromium, type Page } from "@playwright/test";
import { House } from "../e2e/house.ts";
import { SimulatedProbes } from "../server/devices/simulatedProbes.ts";

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
// The very first page places the whole fortnight of the demonstration.
page.setDefaultNavigationTimeout(90_000);

try {
	await shoot(page, "today", "/");
	await page.getByRole("link", { name: "Festival supper" }).first().click();
	await page.getByRole("link", { name: "Open the long table" }).first().waitFor();
	const sitting = new URL(page.url()).pathname;
	const table =
		(await page.getByRole("link", { name: "Open the long table" }).first().getAttribute("href")) ?? "";
	await shoot(page, "sitting", sitting);
	await shootDay(page);
	await shoot(page, "long-table", table);
	await shoot(page, "sear", `${table}?place=sear`);
	await shoot(page, "liquid", `${table}?place=build`);
	await shoot(page, "sauce", `${table}?place=sauce`);
	await shoot(page, "braise", `${table}?place=braise`);
	await page.goto(table);
	await page.getByLabel("Covers", { exact: true }).fill("180");
	await page.getByText("On trial").waitFor();
	await page.screenshot({ path: `${FOLDER}/trial.png` });
	await shootLot(page);
	await shoot(page, "lab", "/lab");
	await shoot(page, "card", "/book/goat-shoulder");
	await shoot(page, "book", "/book");
	await shootWriting(page);
	await shootImport(page);
	await shoot(page, "kitchen", "/kitchen");
	await page.getByRole("button", { name: "Evening" }).click();
	await page.locator("[data-light=evening]").waitFor();
	await shoot(page, "evening", table);
	await page.getByRole("button", { name: "Daylight" }).click();
	await page.locator("[data-light=bench]").waitFor();
	await page.setViewportSize({ width: 860, height: 1216 });
	await shoot(page, "sheet", `${table}/sheet`);
	await shoot(page, "order", `${sitting}/order`);
} finally {
	await browser.close();
	await house.stop();
}

async function shoot(page: Page, name: string, address: string): Promise<void> {
	await page.goto(address, { waitUntil: "networkidle" });
	await page.evaluate(() => document.fonts.ready);
	await page.screenshot({ path: `${FOLDER}/${name}.png` });
}

/** Pans that cool: their line to the house stands open, so it is never idle. */
async function shootLot(page: Page): Promise<void> {
	await new SimulatedProbes({ house: house.url, every_ms: 10_000 }).turn();
	await page.goto("/records/lots/3");
	await page.getByText("Readings come in by themselves.").waitFor();
	await page.evaluate(() => document.fonts.ready);
	await page.screenshot({ path: `${FOLDER}/lot.png` });
}

/** The goat dish being changed. */
async function shootWriting(page: Page): Promise<void> {
	await page.goto("/book/goat-shoulder/write", { waitUntil: "networkidle" });
	await page.getByLabel(/^Line: 500 g onions/).fill("650 g onions, large dice");
	await page.getByLabel(/^Line: 90 g tomato/).fill("70 g tomato paste, cooked out");
	await page.getByLabel("Flour and body").selectOption("starch");
	await page.getByText(/^Draft, kept at/).waitFor();
	await page.evaluate(() => window.scrollTo(0, 0));
	await page.screenshot({ path: `${FOLDER}/writing.png` });
}

/** The wall of ovens on the day of the sitting that is open. */
async function shootDay(page: Page): Promise<void> {
	await page.getByRole("link", { name: "The whole day" }).click();
	await page.getByRole("slider").waitFor();
	await page.waitForLoadState("networkidle");
	// The line along the top goes away in its own time.
	await page.evaluate(() => Promise.allSettled(document.getAnimations().map(({ finished }) => finished)));
	await page.screenshot({ path: `${FOLDER}/day.png` });
}

/** A table of ingredients with some new, some changed, and one that is refused. */
async function shootImport(page: Page): Promise<void> {
	const rows = [
		"id,name,category,trimLoss,allergens,price",
		"kohlrabi,kohlrabi,vegetable,0.25,,",
		"sea-beet,sea beet,vegetable,0.1,,",
		"carrot,carrots,vegetable,0.15,,",
		"rye-flour,rye flour,thickener,0,rye,",
		"celery,celery,vegetable,1.2,celery,",
	];
	await page.goto("/book/exchange", { waitUntil: "networkidle" });
	const file = { name: "market-garden.csv", mimeType: "text/csv", buffer: Buffer.from(rows.join("\n")) };
	await page.getByLabel("File to take in").setInputFiles(file);
	await page.getByRole("button", { name: /Look at it/ }).click();
	await page.getByText("refused").first().waitFor();
	await page.evaluate(() => document.fonts.ready);
	await page.screenshot({ path: `${FOLDER}/import.png` });
}
