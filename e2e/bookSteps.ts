import type { Page } from "@playwright/test";
import { expect } from "./house.ts";

/** Waits until everything typed on a draft has reached the server. */
export async function kept(page: Page): Promise<void> {
	await expect(page.getByText(/^Draft, kept at/)).toBeVisible();
	await expect(page.getByText("Keeping…")).toHaveCount(0);
}

/** Plans a sitting with one dish of the book. @returns its address */
export async function planSitting(page: Page, name: string, covers: number, recipe: string): Promise<string> {
	await page.goto("/sittings/new");
	await page.getByLabel("Sitting", { exact: true }).fill(name);
	await page.getByLabel("Covers", { exact: true }).fill(String(covers));
	await page.getByLabel("Cooks on it").fill("2");
	await page.getByLabel("Service", { exact: true }).fill("19:00");
	await page.keyboard.press("Enter");
	await page.getByLabel("Another dish").selectOption(recipe);
	await page.getByRole("button", { name: "Add it" }).click();
	await expect(page.getByRole("link", { name: "Open the long table" })).toBeVisible();
	return page.url();
}
