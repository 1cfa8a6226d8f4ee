import { readFileSync } from "node:fs";
import { createClient } from "@libsql/client";
import type { Page } from "@playwright/test";
import ExcelJS from "exceljs";
import { expect, type House, hydrated, test } from "./house.ts";
import { linesOf } from "./linesOf.ts";

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

/** Presses Tab until something is in hand. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
	for (let step = 0; step < 250; step += 1) {
		await page.keyboard.press("Tab");
		const here = await page.evaluate(() => {
			const element = document.activeElement as HTMLInputElement | null;
			if (!element) return "";
			const label = element.labels?.[0]?.textContent ?? "";
			return `${element.getAttribute("aria-label") ?? ""} ${label} ${element.textContent ?? ""}`;
		});
		if (name.test(here)) return;
	}
	throw new Error(`nothing called ${name} is reached by Tab`);
}

async function kept(page: Page): Promise<void> {
	await expect(page.getByText(/^Draft, kept at/)).toBeVisible();
	await expect(page.getByText("Keeping…")).toHaveCount(0);
}

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
	await expect(page.getByRole("heading", { name: "It holds" })).toBeVisible();

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
	await page.goto("/sittings/new");
	await page.getByLabel("Sitting", { exact: true }).fill("Key supper");
	await page.getByLabel("Covers", { exact: true }).fill("60");
	await page.getByLabel("Cooks on it").fill("2");
	await page.getByLabel("at", { exact: true }).fill("19:00");
	await page.keyboard.press("Enter");
	await page.getByLabel("Another dish").selectOption("goat-by-keys");
	await page.getByRole("button", { name: "Add it" }).click();
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
	await expect(page.getByText("13 recipes")).toBeVisible();
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

test("a recipe from elsewhere comes in as a draft, and says what was not carried", async ({ page }) => {
	const recipe = {
		"@context": "https://schema.org",
		"@type": "Recipe",
		name: "Elsewhere neck",
		recipeYield: "12 portions",
		recipeIngredient: ["3 kg mutton neck, in slices", "600 g onions, sliced", "1 spoon of moonlight"],
		recipeInstructions: [{ "@type": "HowToStep", text: "Brown the slices." }],
		aggregateRating: { ratingValue: 5 },
	};
	await page.goto("/book/exchange");
	const buffer = Buffer.from(JSON.stringify(recipe));
	await page
		.getByLabel("File to take in")
		.setInputFiles({ name: "elsewhere.jsonld", mimeType: "application/ld+json", buffer });
	await page.getByRole("button", { name: /Look at it/ }).click();
	await expect(page.getByText("Not carried: aggregateRating")).toBeVisible();
	await page.getByRole("button", { name: /Take it in/ }).click();
	await page.getByRole("link", { name: "Elsewhere neck" }).click();
	await hydrated(page);
	await expect(page.getByLabel(/^Line: 3 kg mutton neck/)).toBeVisible();
	await expect(page.getByText("is not in the book yet", { exact: false }).first()).toBeVisible();
	await expect(page.getByRole("button", { name: "Approve as the standard" })).toBeDisabled();
});

test("a sitting keeps the version it was planned with, and takes the newer one when it is told to", async ({
	page,
}) => {
	await page.goto("/sittings/new");
	await page.getByLabel("Sitting", { exact: true }).fill("Keeps its number");
	await page.getByLabel("Covers", { exact: true }).fill("40");
	await page.getByLabel("Cooks on it").fill("2");
	await page.getByLabel("at", { exact: true }).fill("18:00");
	await page.keyboard.press("Enter");
	await page.getByLabel("Another dish").selectOption("veal-breast");
	await page.getByRole("button", { name: "Add it" }).click();
	const sitting = page.url();

	await page.goto("/book/veal-breast/write");
	await hydrated(page);
	await page.getByLabel("Flour and body").selectOption("roux");
	await expect(page.getByText(/Allergens in: gluten/)).toBeVisible();
	await kept(page);
	await page.getByLabel("Why it is changed").fill("Body without reducing");
	await page.getByRole("button", { name: "Approve as the standard" }).click();
	await expect(page.getByText(/Standard no\. 2/)).toBeVisible();

	await page.goto(sitting);
	await expect(page.getByText("Planned with no. 1; no. 2 is in use now.")).toBeVisible();
	await page.getByRole("link", { name: "What is other" }).click();
	await expect(page.getByRole("row", { name: /^wheat flour/ })).toContainText("55 g");
	await page.goto(sitting);
	await page.getByText("Guests counted by diet").click();
	await page.getByLabel("no gluten").fill("5");
	await page.getByRole("button", { name: "Take no. 2" }).click();
	await expect(page.getByText("Planned with no. 1", { exact: false })).toHaveCount(0);
	await expect(page.getByText("no dish suits")).toBeVisible();
	await expect(page.getByText("not with wheat flour", { exact: false })).toBeVisible();
});

test("card, order sheet and cutting note print on the paper of the desk, whole", async ({ page }) => {
	await page.goto("/sittings/new");
	await page.getByLabel("Sitting", { exact: true }).fill("Printed lunch");
	await page.getByLabel("Covers", { exact: true }).fill("120");
	await page.getByLabel("Cooks on it").fill("2");
	await page.getByLabel("at", { exact: true }).fill("12:30");
	await page.keyboard.press("Enter");
	await page.getByLabel("Another dish").selectOption("goat-shoulder");
	await page.getByRole("button", { name: "Add it" }).click();
	const table = await page.getByRole("link", { name: "Open the long table" }).getAttribute("href");
	await page.getByRole("link", { name: /Order sheet/ }).click();
	await expect(page.getByRole("heading", { name: /^Order sheet/ })).toBeVisible();
	const order = await linesOf(await page.pdf({ preferCSSPageSize: true }));
	for (const words of ["Butcher", "goat shoulder", "chicken bones", "9 × 4.5 kg", "Greengrocer"]) {
		expect(order.text).toContain(words);
	}
	const [file] = await Promise.all([
		page.waitForEvent("download"),
		page.getByRole("link", { name: "As a spreadsheet" }).click(),
	]);
	const book = new ExcelJS.Workbook();
	await book.xlsx.readFile(await file.path());
	const sheet = book.getWorksheet("Order");
	const goat = sheet?.getRows(2, sheet.rowCount - 1)?.find((row) => row.getCell(2).value === "goat shoulder");
	expect([1, 5, 6, 7].map((cell) => goat?.getCell(cell).value)).toEqual(["Butcher", 4.5, 9, 40.5]);

	await page.goto(`${table}/cutting`);
	const note = await linesOf(await page.pdf({ preferCSSPageSize: true }));
	expect(note.pages).toBe(1);
	expect(note.text).toContain("126 pieces");
	expect(note.text).toContain("258 g");

	await page.goto("/book/goat-shoulder/print?basis=covers&size=60");
	const card = await linesOf(await page.pdf({ preferCSSPageSize: true }));
	expect(card.pages).toBeLessThanOrEqual(2);
	expect(card.size_mm).toEqual([210, 297]);
	for (const words of ["For 60 portions", "smoked paprika", "contains celery", "Count out the bay leaves."]) {
		expect(card.text).toContain(words);
	}
});

test("what is looked for is found while it is typed, by ingredient, allergen and cut", async ({ page }) => {
	await page.goto("/book");
	await hydrated(page);
	await page.keyboard.press("f");
	await page.keyboard.type("damson");
	await expect(page.getByText("1 recipe found")).toBeVisible();
	await expect(page.getByText("Duck legs, damsons, barley")).toBeVisible();
	await page.getByLabel(/^Find by/).fill("celery gluten");
	await expect(page.getByText("1 recipe found")).toBeVisible();
	await page.getByLabel(/^Find by/).fill("");
	await page.locator("select[name=without]").selectOption("celery");
	await expect(page.getByText("Goat shoulder, smoked paprika", { exact: false })).toHaveCount(0);
	await page.getByLabel(/^Find by/).fill("zzzz");
	await expect(page.getByText("Nothing in the book is like that", { exact: false })).toBeVisible();
});

test("an ingredient is priced, renamed and merged, and the dishes follow", async ({ page }) => {
	await page.goto("/book/ingredients/goat-shoulder");
	await page.getByLabel("A pack of").fill("4.5 kg");
	await page.getByLabel("costs").fill("90");
	await page.getByRole("button", { name: "Add the price" }).click();
	await expect(page.getByText("€20.00").first()).toBeVisible();
	await page.goto("/book/goat-shoulder/cost");
	await expect(page.getByRole("row", { name: /^goat shoulder/ })).toContainText("€20.00");
	await page.goto("/book/ingredients/new?name=banana+shallots");
	await page.getByRole("button", { name: /Add it/ }).click();
	await expect(page.getByText("Not known yet; dishes with it say so.")).toBeVisible();
	await page.getByLabel("Merge it into").selectOption("shallot");
	await page.getByRole("button", { name: "Merge" }).click();
	await expect(page.getByRole("heading", { name: "shallots", exact: true })).toBeVisible();
});
