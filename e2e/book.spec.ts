import { readFileSync } from "node:fs";
import { createClient } from "@libsql/client";
import type { Page } from "@playwright/test";
import { kept, planSitting } from "./bookSteps.ts";
import { expect, type House, hydrated, test } from "./house.ts";
import { tabTo } from "./tabTo.ts";

test.use({ houseOf: "book" });
test.describe.configure({ mode: "serial" });

/** The goat dish as a cook types it, group by group. */
const LINES = {
	Base: [
		"2.58 kg goat shoulder, boned, trimmed, pieces of 258 g",
		"500 g onions, large dice",
		"250 g carrots, large dice",
		"110 g celery, large dice",
		"24 g smoked paprika",
		"26 g salt",
		"20 ml olive oil, for each load",
	],
	Liquid: ["400 ml dry white wine, boiled down by half", "1.15 l light chicken stock, boiling"],
	Finish: ["25 ml sherry vinegar", "25 g parsley, chopped at the last"],
	Side: ["450 g white beans, soaked overnight, cooked apart"],
} as const;

test("the goat dish is written from an empty page by keys alone, approved, changed, compared and planned", async ({
	page,
}) => {
	await page.goto("/book");
	await hydrated(page);
	await page.keyboard.press("n");
	await expect(page.getByRole("heading", { name: "Write a recipe" })).toBeVisible();
	await hydrated(page);
	await page.keyboard.type("Goat by keys");
	await page.keyboard.press("Enter");
	await expect(page.getByRole("heading", { name: "Lines" })).toBeVisible();
	await hydrated(page);

	await tabTo(page, /Line: empty line/);
	for (const [index, line] of LINES.Base.entries()) {
		if (index > 0) await page.keyboard.press("Enter");
		await page.keyboard.type(line);
	}
	for (const group of ["Liquid", "Finish", "Side"] as const) {
		await tabTo(page, new RegExp(`Add a line to ${group}`));
		await page.keyboard.press("Enter");
		for (const [index, line] of LINES[group].entries()) {
			if (index > 0) await page.keyboard.press("Enter");
			await page.keyboard.type(line);
		}
	}
	const base = page.getByRole("region", { name: "Base" });
	await expect(base.getByText("goat shoulder", { exact: true })).toBeVisible();
	await expect(base.getByText("19.4 % of the main", { exact: false })).toBeVisible();

	// A line is moved up and down again; what was done last is undone.
	await page.keyboard.press("Alt+ArrowUp");
	await page.keyboard.press("Control+z");

	await tabTo(page, /What is done in step 1/);
	await page.keyboard.type("Take off hard fat, cut to even pieces.");
	await tabTo(page, /^ *Cut/);
	await page.keyboard.type("goat shoulder");
	await tabTo(page, /Weight/);
	await page.keyboard.press("Control+a");
	await page.keyboard.type("258 g");
	await kept(page);
	await expect(page.getByText("It holds.")).toBeVisible();

	await page.getByLabel("Why it is written").focus();
	await page.keyboard.type("First written down");
	await tabTo(page, /Approve as the standard/);
	await page.keyboard.press("Enter");
	await expect(page.getByText(/Standard no\. 1/)).toBeVisible();

	// Changed: less wine, and the reason; the two stand side by side.
	await hydrated(page);
	await page.keyboard.press("w");
	await expect(page.getByText("Started from no. 1")).toBeVisible();
	await hydrated(page);
	await tabTo(page, /Line: 500 g onions/);
	await page.keyboard.press("Control+a");
	await page.keyboard.type("650 g onions, large dice");
	await kept(page);
	await page.getByLabel("Why it is changed").focus();
	await page.keyboard.type("More body");
	await tabTo(page, /Approve as the standard/);
	await page.keyboard.press("Enter");
	await expect(page.getByText(/Standard no\. 2/)).toBeVisible();
	await hydrated(page);
	await page.keyboard.press("v");
	const row = page.getByRole("row", { name: /^onions/ });
	await expect(row).toContainText("500 g, large dice");
	await expect(row).toContainText("650 g, large dice");
	await expect(page.getByRole("link", { name: "Retired, no. 1" })).toBeVisible();

	// A sitting is planned with it.
	await planSitting(page, "Key supper", 60, "goat-by-keys");
	await expect(page.getByText("63")).toBeVisible();
});

/** What the card of a recipe says at a size. */
async function cardAt(page: Page, id: string): Promise<string> {
	await page.goto(`/book/${id}?basis=covers&size=63`);
	const main = (await page.getByRole("main").textContent()) ?? "";
	return main.replace(/Change it|Go on writing/g, "");
}

test("the book goes out, the database is deleted, the book comes in, and the figures are the same", async ({
	page,
	house,
}) => {
	const before = await cardAt(page, "goat-by-keys");
	const [download] = await Promise.all([
		page.waitForEvent("download"),
		page.goto("/book/exchange").then(() => page.getByRole("link", { name: "The whole book" }).click()),
	]);
	const path = await download.path();
	const file = JSON.parse(readFileSync(path, "utf8"));
	expect(file.recipes.map(({ id }: { id: string }) => id)).toContain("goat-by-keys");

	await emptyBook(house);
	await page.goto("/book");
	await expect(page.getByText("The book is empty.")).toBeVisible();

	await page.goto("/book/exchange");
	await page.getByLabel("File to take in").setInputFiles(path);
	await page.getByRole("button", { name: /Look at it/ }).click();
	await expect(page.getByText("All of it comes in at once, or nothing.", { exact: false })).toBeVisible();
	await expect(page.getByText("0", { exact: true }).first()).toBeVisible();
	await page.getByRole("button", { name: /Take it in/ }).click();
	await expect(page.getByText("24 recipes")).toBeVisible();
	expect(await cardAt(page, "goat-by-keys")).toBe(before);

	// The same file again changes nothing.
	await page.goto("/book/exchange");
	await page.getByLabel("File to take in").setInputFiles(path);
	await page.getByRole("button", { name: /Look at it/ }).click();
	await expect(page.getByText("Taking it in would change nothing.")).toBeVisible();
});

/** Deletes the database; the kitchen's pans and ovens are set up again as they were, the book is not. */
async function emptyBook(house: House): Promise<void> {
	const equipment = createClient({ url: `file:${house.database}` });
	const tables = ["pan_type", "oven"] as const;
	const rows = await Promise.all(tables.map((table) => equipment.execute(`SELECT * FROM ${table}`)));
	const [own] = (await equipment.execute("SELECT sear_pan_id, burners, time_zone FROM house")).rows;
	equipment.close();
	await house.stop();
	house.deleteDatabase();
	await house.start();
	const fresh = createClient({ url: `file:${house.database}` });
	for (const [index, table] of tables.entries()) {
		const { columns, rows: all } = rows[index] ?? { columns: [], rows: [] };
		for (const row of all) {
			await fresh.execute({
				sql: `INSERT INTO ${table} (${columns.join(", ")}) VALUES (${columns.map(() => "?").join(", ")})`,
				args: columns.map((column) => row[column] ?? null),
			});
		}
	}
	await fresh.execute({
		sql: "UPDATE house SET sear_pan_id = ?, burners = ?, time_zone = ?, name = 'Skerry House', closes_min = 1320",
		args: [own?.sear_pan_id ?? null, own?.burners ?? 2, own?.time_zone ?? "UTC"],
	});
	fresh.close();
}

test("a draft survives a closed tab and a lost connection, and two who write are told", async ({
	page,
	context,
}) => {
	await page.goto("/book/pork-collar/write");
	await hydrated(page);
	const first = page.getByLabel(/^Line: .*pork collar/);
	const typed = `${await first.inputValue()}, skin on`;
	await context.setOffline(true);
	await first.fill(typed);
	await expect(page.getByText("Not sent; kept at this desk", { exact: false })).toBeVisible();
	await page.close();
	await context.setOffline(false);

	const again = await context.newPage();
	await again.goto("/book/pork-collar/write");
	await expect(again.getByLabel(/^Line: .*pork collar/)).toHaveValue(typed);
	await expect(again.getByText("never sent is back", { exact: false })).toBeVisible();
	await kept(again);

	const other = await context.newPage();
	await other.goto("/book/pork-collar/write");
	await hydrated(other);
	await other.getByLabel("Name", { exact: true }).fill("Pork collar, other hand");
	await kept(other);
	await again.getByLabel("In a sentence").fill("Mine.");
	await expect(again.getByText("Somebody else has written on this draft", { exact: false })).toBeVisible();
	await expect(again.getByLabel("In a sentence")).toHaveValue("Mine.");
	await again.getByRole("button", { name: "Put mine over theirs" }).click();
	await kept(again);
});
