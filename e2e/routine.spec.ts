import type { Page } from "@playwright/test";
import { expect, hydrated, test } from "./house.ts";
import { tabTo } from "./tabTo.ts";

test.use({ houseOf: "routine" });

/** Within so long the wedding's dishes are on, by keyboard, as a script is timed. */
const ADDED_WITHIN_MS = 90_000;
const DISHES = ["Goat shoulder", "Pork collar", "Celeriac"];

async function openSupper(page: Page): Promise<void> {
	await page.goto("/sittings");
	await page.getByRole("link", { name: "Festival supper" }).click();
	await expect(page.getByLabel("Covers")).toBeVisible();
}

/** Chooses a dish by typing its first letters, and adds it. */
async function addByKeyboard(page: Page, dish: string): Promise<void> {
	const before = await page.getByRole("link", { name: "Open the long table" }).count();
	await page.keyboard.press("r");
	await expect(page.getByLabel("Another dish")).toBeFocused();
	await page.keyboard.type(dish, { delay: 20 });
	await tabTo(page, /^Add it/);
	await page.keyboard.press("Enter");
	await expect(page.getByRole("link", { name: "Open the long table" })).toHaveCount(before + 1);
}

test("a wedding of 220 beside the supper: three dishes by keyboard, priced, ordered and printed", async ({
	page,
}) => {
	await openSupper(page);
	const supper = (await page.getByText(/19:30/).first().textContent()) ?? "";
	const [, day = ""] = /(\w{3} \d{1,2} \w{3})/.exec(supper) ?? [];
	expect(day).not.toBe("");

	await page.goto("/");
	await hydrated(page);
	const since = Date.now();
	await page.keyboard.press("n");
	await expect(page.getByLabel("Sitting", { exact: true })).toBeFocused();
	await page.keyboard.type("Wedding");
	await page.keyboard.press("Tab");
	await page.keyboard.type("220");
	await tabTo(page, /^Service/);
	await page.keyboard.press("Control+a");
	await page.keyboard.type(`${day} 1900`);
	await tabTo(page, /^Cooks on it/);
	await page.keyboard.press("Control+a");
	await page.keyboard.type("8");
	await page.keyboard.press("Enter");
	await expect(page.getByRole("heading", { name: "Wedding" })).toBeVisible();
	await hydrated(page);
	for (const dish of DISHES) await addByKeyboard(page, dish);
	const took = Date.now() - since;
	console.log(`the wedding's ${DISHES.length} dishes were on after ${(took / 1000).toFixed(1)} s`);
	expect(took).toBeLessThan(ADDED_WITHIN_MS);

	await expect(page.getByText("220 covers")).toBeVisible();
	for (const dish of DISHES) await expect(page.getByRole("link", { name: dish }).first()).toBeVisible();
	for (const [index, share] of ["50", "35", "15"].entries()) {
		await page.getByLabel("Uptake").nth(index).fill(share);
	}
	await page.getByRole("button", { name: /^Save/ }).last().click();
	await expect(page.getByText("The dishes together are taken by all covers.")).toBeVisible();

	const sitting = page.url();
	await page.keyboard.press("o");
	await expect(page.getByRole("heading", { name: "Order sheet, Wedding" })).toBeVisible();
	await expect(page.getByText(/All together €[\d,.]+, €[\d.]+ a cover|All together .*€/)).toBeVisible();
	await expect(page.getByText("no price")).toHaveCount(0);
	await expect(page.getByRole("row", { name: /dry cider/ }).first()).toContainText(/\d l\b/);
	expect((await page.pdf({ format: "A4" })).length).toBeGreaterThan(10_000);

	await page.goto(sitting);
	const tables = await page.getByRole("link", { name: "Open the long table" }).all();
	const addresses = await Promise.all(tables.map((link) => link.getAttribute("href")));
	for (const address of addresses) {
		await page.goto(`${address}/sheet`);
		await expect(page.getByRole("heading", { name: "Weigh out" })).toBeVisible();
		expect((await page.pdf({ format: "A4" })).length).toBeGreaterThan(10_000);
	}
});

test("a dish taken off is put back as it was, and pressing twice adds once", async ({ page }) => {
	await openSupper(page);
	await hydrated(page);
	const uptakes = page.getByLabel("Uptake");
	const before = await uptakes.evaluateAll((fields) =>
		fields.map((field) => (field as HTMLInputElement).value),
	);
	await page.getByRole("button", { name: "Take off" }).first().click();
	await expect(uptakes).toHaveCount(before.length - 1);
	await expect(page.getByRole("status").filter({ hasText: "was taken off by" })).toBeVisible();
	await page.getByRole("button", { name: "Put it back" }).click();
	await expect(uptakes).toHaveCount(before.length);
	expect(
		await uptakes.evaluateAll((fields) => fields.map((field) => (field as HTMLInputElement).value)),
	).toEqual(before);

	await page.getByLabel("Another dish").selectOption({ index: 0 });
	await page.getByRole("button", { name: "Add it" }).dblclick();
	await expect(uptakes).toHaveCount(before.length + 1);
	await page.reload();
	await expect(uptakes).toHaveCount(before.length + 1);
	await page.getByRole("button", { name: "Take off" }).last().click();
	await expect(uptakes).toHaveCount(before.length);
});

test("a link asks before what was typed is lost, saves it and goes on, or stays", async ({ page }) => {
	await openSupper(page);
	await hydrated(page);
	const sitting = page.url();
	await page.getByLabel("Uptake").first().fill("61");
	await page.getByRole("link", { name: "Open the long table" }).first().click();
	await expect(page.getByRole("alertdialog")).toContainText("not saved yet");
	await page.getByRole("button", { name: "Stay here" }).click();
	await expect(page.getByLabel("Uptake").first()).toHaveValue("61");
	await page.getByRole("link", { name: "Open the long table" }).first().click();
	await page.getByRole("button", { name: "Save it and go on" }).click();
	await expect(page).toHaveURL(/\/dishes\//);
	await page.goto(sitting);
	await expect(page.getByLabel("Uptake").first()).toHaveValue("61");

	await hydrated(page);
	await page.getByLabel("Uptake").first().fill("none");
	await page.getByRole("link", { name: "All sittings" }).click();
	await page.getByRole("button", { name: "Save it and go on" }).click();
	await expect(page.getByText(/a percentage from 0.1 to 100/)).toBeVisible();
	await expect(page).toHaveURL(sitting);
	await page.getByRole("link", { name: "All sittings" }).click();
	await page.getByRole("button", { name: "Go on without it" }).click();
	await expect(page).toHaveURL(/\/sittings$/);
});
