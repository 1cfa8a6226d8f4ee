import ExcelJS from "exceljs";
import { kept, planSitting } from "./bookSteps.ts";
import { expect, hydrated, test } from "./house.ts";
import { linesOf } from "./linesOf.ts";

test.use({ houseOf: "book in use" });

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
	await expect(page.getByText("is not in the book yet").locator("visible=true").first()).toBeVisible();
	await expect(page.getByRole("button", { name: "Approve as the standard" })).toBeDisabled();
});

test("the writer is told at once what the card really serves, and brings it in line", async ({ page }) => {
	await page.goto("/book/veal-breast/write");
	await hydrated(page);
	const told = page.getByRole("status").filter({ hasText: "the card is written for" });
	await expect(told).toHaveCount(0);
	const main = page.getByLabel(/^Line: .*veal breast/).first();
	const [, amount = ""] = /^([\d.]+ k?g) /.exec(await main.inputValue()) ?? [];
	expect(amount).not.toBe("");
	await main.fill((await main.inputValue()).replace(amount, "9 kg"));
	await expect(told).toContainText(
		/^9 kg serve \d+, and the card is written for \d+\. Sized for \d+ it shows/,
	);
	const serves = /serve (\d+)/.exec((await told.textContent()) ?? "")?.[1] ?? "";
	await told.getByRole("button", { name: `Write it for ${serves}` }).click();
	await expect(told).toHaveCount(0);
	await expect(page.getByLabel("Written for")).toHaveValue(serves);
	await kept(page);
});

test("a sitting keeps the version it was planned with, and takes the newer one when it is told to", async ({
	page,
}) => {
	const sitting = await planSitting(page, "Keeps its number", 40, "veal-breast");

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
	await planSitting(page, "Printed lunch", 120, "goat-shoulder");
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
	for (const words of ["For 60 portions", "smoked paprika", "contains celery", "salt at the end."]) {
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
	await page.getByLabel(/^It is/).selectOption("vegetable");
	await page.getByRole("button", { name: /Add it/ }).click();
	await expect(page.getByText("Not known yet; dishes with it say so.")).toBeVisible();
	await page.getByLabel("Merge it into").selectOption("shallot");
	await page.getByRole("button", { name: "Merge" }).click();
	await page.getByLabel("Your name, under all of it").fill("Ebba Lund");
	await page.getByRole("button", { name: "It is true: save it" }).click();
	await expect(page.getByRole("heading", { name: "shallots", exact: true })).toBeVisible();
});

test("a house that declares by the American list is told wheat, and not celery", async ({ page }) => {
	await page.goto("/kitchen/house");
	await hydrated(page);
	await page.getByLabel("Allergens are declared by").selectOption("us9");
	await page.getByRole("button", { name: /Save/ }).click();
	await page.getByLabel("Your name, under all of it").fill("Ebba Lund");
	await page.getByRole("button", { name: "It is true: save it" }).click();
	await expect(page).toHaveURL(/\/kitchen$/);
	await page.goto("/book/pork-collar");
	await expect(page.getByText("the nine of the American list", { exact: false })).toBeVisible();
	await expect(page.getByText("contains celery")).toHaveCount(0);
	await page.goto("/book?find=squid");
	await expect(page.getByText("Contains fish.")).toBeVisible();
	await page.goto("/kitchen/house");
	await page.getByLabel("Salt at the end, from").fill("2");
	await page.getByRole("button", { name: /Save/ }).click();
	await expect(page.getByText("2 or more is allowed", { exact: false })).toBeVisible();
	await expect(page.getByLabel("Salt at the end, from")).toHaveValue("2");
});

test("the house saved as it stands stays as it was, its time zone too", async ({ page }) => {
	await page.goto("/kitchen");
	const before = await page.getByText("Atlantic/Faroe", { exact: false }).first().textContent();
	await page.goto("/kitchen/house");
	await expect(page.getByLabel("Time zone")).toHaveValue("Atlantic/Faroe");
	await page.getByRole("button", { name: /Save/ }).click();
	await expect(page).toHaveURL(/\/kitchen$/);
	await expect(page.getByText("Atlantic/Faroe", { exact: false }).first()).toHaveText(before ?? "");
});

test("a dish with an ingredient that nobody has described is free of nothing more, until it is", async ({
	page,
}) => {
	await page.goto("/book/ingredients/new?name=sea+beet");
	await page.getByLabel(/^It is/).selectOption("vegetable");
	await page.getByRole("button", { name: /Add it/ }).click();
	await expect(page).toHaveURL(/\/book\/ingredients\/sea-beet$/);
	await page.goto("/book/goat-shoulder/write");
	await page.getByLabel(/^Line: 250 g carrots/).fill("250 g sea beet");
	await expect(page.getByText("its allergens are not described yet")).toBeVisible();
	await page.getByText(/^Draft, kept at/).waitFor();
	await page.getByLabel("Why it is changed").fill("Sea beet from the shore.");
	await page.getByRole("button", { name: "Approve as the standard" }).click();
	await expect(page.getByText("Not described yet: sea beet.", { exact: false })).toBeVisible();
	await page.goto("/book?find=goat&without=lupin");
	await expect(page.getByRole("link", { name: /^Goat shoulder/ })).toHaveCount(0);
	await page.goto("/book/ingredients/sea-beet");
	await page.getByLabel(/^Its allergens are described/).check();
	const taken = page.waitForResponse((answer) => answer.request().method() === "POST");
	await page.getByRole("button", { name: /Save/ }).click();
	expect((await taken).ok()).toBe(true);
	await page.goto("/book?find=goat&without=lupin");
	await expect(page.getByRole("link", { name: /^Goat shoulder/ })).toHaveCount(1);
});

test("a kitchen that closes after midnight says so", async ({ page }) => {
	await page.goto("/kitchen/house");
	await page.getByLabel("Closes").fill("01:00");
	await page.getByRole("button", { name: /Save/ }).click();
	await expect(page.getByText("to 01:00 the day after", { exact: false })).toBeVisible();
	await page.goto("/kitchen/house");
	await expect(page.getByLabel("Closes")).toHaveValue("01:00");
});

test("a card is copied to a new one, which goes its own way", async ({ page }) => {
	await page.goto("/book/lamb-swede-lovage");
	await page.getByRole("link", { name: "Copy to a new card" }).click();
	await expect(page.getByText(/begins as Lamb shoulder, swede, lovage stands now/)).toBeVisible();
	await page.getByLabel("What it is called").fill("Lamb shoulder, turnip, mint");
	await page.getByRole("button", { name: /Begin/ }).click();
	await expect(page).toHaveURL(/\/book\/lamb-shoulder-turnip-mint\/write/);
	await expect(page.getByLabel("Name", { exact: true })).toHaveValue("Lamb shoulder, turnip, mint");
	await expect(page.getByLabel("Made tender")).toHaveValue("hob");
	await expect(page.getByLabel("They lie")).toHaveValue("poured");
	await page.goto("/book/lamb-swede-lovage");
	await expect(page.getByRole("heading", { name: "Lamb shoulder, swede, lovage" })).toBeVisible();
	expect((await page.goto("/book/new?from=no-such-card"))?.status()).toBe(404);
});

test("a usual side is begun from, given its reason and numbered, with its allergens", async ({ page }) => {
	await page.goto("/book/new");
	await page.getByRole("link", { name: "Mashed potatoes" }).click();
	await expect(page.getByLabel("What it is called")).toHaveValue("Mashed potatoes");
	await page.getByRole("button", { name: /Begin/ }).click();
	await expect(page).toHaveURL(/\/book\/mashed-potatoes\/write/);
	await expect(page.getByLabel("Holds hot for")).toHaveValue("45 min");
	await page.getByLabel("Why it is written").fill("As we mash them.");
	await page.getByRole("button", { name: /Number it, to be tested/ }).click();
	await expect(page).toHaveURL(/\/book\/mashed-potatoes\?numbered=1$/);
	await expect(page.getByRole("heading", { name: "Mashed potatoes" })).toBeVisible();
	await expect(page.getByText("contains milk").first()).toBeVisible();
});
