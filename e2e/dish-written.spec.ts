import type { Page } from "@playwright/test";
import { kept, planSitting } from "./bookSteps.ts";
import { expect, hydrated, test } from "./house.ts";
import { tabTo } from "./tabTo.ts";

test.use({ houseOf: "wholeDish" });
test.describe.configure({ mode: "serial" });

async function typeOver(page: Page, field: RegExp, text: string): Promise<void> {
	await tabTo(page, field);
	await page.keyboard.press("Control+a");
	await page.keyboard.type(text);
}

/** Chooses in a list by the first letters of what is wanted. */
async function choose(page: Page, list: RegExp, letters: string): Promise<void> {
	await tabTo(page, list);
	await page.keyboard.type(letters);
}

const LINES = {
	Base: [
		"2.5 kg pork collar, trimmed, pieces of 250 g",
		"400 g onions, sliced",
		"400 g carrots, chunks of 30 mm, 40 min before the end",
		"300 g peas, 5 min before the end",
		"4 sprigs thyme, for the marinade",
		"22 g salt",
		"18 g lard, for each load",
	],
	Liquid: ["900 ml dark beer, boiled down by half", "900 ml light chicken stock, boiling"],
	Finish: ["15 g maize starch, in twice its water"],
	Garnish: ["600 g mushrooms, quartered, fried, cooked apart"],
	Side: ["1.9 kg mashed potatoes, cooked apart"],
} as const;

const STEPS = [
	["trim", "Trim, cut pieces of 250 g, dry.", "12", "0"],
	["build", "Sweat the onions, beer in and down by half, stock to the boil.", "6", "18"],
	["sauce", "Strain, skim, boil down, bind with the slurry.", "4", "8"],
	["plate", "Mash, one piece, sauce, mushrooms.", "4", "0"],
] as const;

test("a usual side becomes a card of the house by keys alone", async ({ page }) => {
	await page.goto("/book/new?side=mash");
	await hydrated(page);
	await page.keyboard.press("Enter");
	await expect(page.getByText("It holds.")).toBeVisible();
	await hydrated(page);
	await page.getByLabel("Why it is written").focus();
	await page.keyboard.type("As we make it");
	await tabTo(page, /Approve as the standard/);
	await page.keyboard.press("Enter");
	await expect(page.getByText(/Standard no\. 1/)).toBeVisible();
});

test("a whole recipe is written from an empty page by keyboard in one go", async ({ page }) => {
	await page.goto("/book/new");
	await hydrated(page);
	await page.keyboard.type("Collar in dark beer");
	await page.keyboard.press("Enter");
	await expect(page.getByRole("heading", { name: "Lines" })).toBeVisible();
	await hydrated(page);

	await typeLines(page);
	await typeSteps(page);
	await typeOver(page, /^Weight/, "250 g");
	await choose(page, /^Flour/, "dredge");
	await choose(page, /^Marinade/, "overnight");
	await kept(page);
	await expect(page.getByText("It holds.")).toBeVisible();

	await page.getByLabel("Why it is written").focus();
	await page.keyboard.type("For the autumn card");
	await tabTo(page, /Approve as the standard/);
	await page.keyboard.press("Enter");
	await expect(page.getByText(/Standard no\. 1/)).toBeVisible();
});

async function typeLines(page: Page): Promise<void> {
	await tabTo(page, /Line: empty line/);
	for (const [index, line] of LINES.Base.entries()) {
		if (index > 0) await page.keyboard.press("Enter");
		await page.keyboard.type(line);
	}
	for (const group of ["Liquid", "Finish", "Garnish", "Side"] as const) {
		await tabTo(page, new RegExp(`Add a line to ${group}`));
		await page.keyboard.press("Enter");
		for (const [index, line] of LINES[group].entries()) {
			if (index > 0) await page.keyboard.press("Enter");
			await page.keyboard.type(line);
		}
		// What the book does not have by that name is asked for, and taken with a key.
		if (group === "Garnish") {
			await tabTo(page, /^brown mushrooms/);
			await page.keyboard.press("Enter");
			await expect(page.getByLabel(/^Line: 600 g brown mushrooms, quartered/)).toBeFocused();
		}
	}
}

async function typeSteps(page: Page): Promise<void> {
	for (const [index, [place, text, work, waiting]] of STEPS.entries()) {
		if (index > 0) {
			await tabTo(page, /Add a step/);
			await page.keyboard.press("Enter");
		} else {
			await tabTo(page, /What is done in step 1/);
		}
		await page.keyboard.type(text);
		await tabTo(page, new RegExp(`Place of step ${index + 1}`));
		await page.keyboard.type(place);
		await typeOver(page, new RegExp(`Minutes of work of step ${index + 1}`), work);
		await typeOver(page, new RegExp(`Minutes of waiting of step ${index + 1}`), waiting);
	}
}

/** Minutes after midnight of the first clock in a text. */
function clockIn(text: string): number {
	const [, hours = "", minutes = ""] = /(\d{2}):(\d{2})/.exec(text) ?? [];
	return Number(hours) * 60 + Number(minutes);
}

test("every one of these stands right on clock, litres, pans, sheet, allergens and cost", async ({
	page,
}) => {
	const sitting = await planSitting(page, "Beer supper", 60, "collar-in-dark-beer");
	await page.getByRole("link", { name: "Open the long table" }).click();
	await expect(page.getByRole("heading", { name: "Collar in dark beer" })).toBeVisible();
	const table = page.url().split("?")[0] ?? "";

	// Clock: marinated the day before, roots and peas so long before the lift.
	await page.goto(`${table}/sheet`);
	const sheet = (await page.getByRole("main").textContent()) ?? "";
	expect(sheet).toMatch(/marinade|Marinate/i);
	const lines = await page.getByRole("listitem").or(page.getByRole("row")).allTextContents();
	const timeOf = (what: RegExp) => clockIn(lines.find((line) => what.test(line)) ?? "");
	const [carrots, peas, lift] = [timeOf(/Add .*carrots/), timeOf(/Add .*peas/), timeOf(/\bLift\b/)];
	expect(lift - carrots).toBe(40);
	expect(lift - peas).toBe(5);

	// Litres: the beer is boiled down by half, and the account of the liquid says so.
	await page.goto(`${table}?place=build`);
	await expect(page.getByRole("row", { name: /dark beer/ })).toContainText("boiled down by half");

	// Allergens: wheat of the dredge, milk of the mash, barley of the beer as the book describes it.
	const allergens = (await page.getByRole("main").textContent()) ?? "";
	expect(allergens).toMatch(/gluten/i);
	expect(allergens).toMatch(/milk/i);

	// Cost and order: what the mash is made of is bought, mushrooms too, and nothing is without a price.
	await page.goto(`${sitting}/order`);
	for (const what of ["potatoes", "brown mushrooms", "peas", "wheat flour", "maize starch", "dark beer"]) {
		await expect(page.getByRole("row", { name: new RegExp(what) }).first()).toBeVisible();
	}
	await expect(page.getByText(/a cover$/)).toBeVisible();
	await expect(page.getByText("without a price")).toHaveCount(0);

	// The day: the mash is made on a burner and finished before the plates.
	await page.goto(sitting);
	await page.getByRole("link", { name: "The whole day" }).click();
	const finish = page.getByRole("option", { name: /Finish: Mashed potatoes/ }).first();
	await expect(finish).toBeAttached();
	const plates = page.getByRole("option", { name: /Plate: Collar in dark beer/ }).first();
	expect(clockIn((await finish.textContent()) ?? "")).toBeLessThan(
		clockIn((await plates.textContent()) ?? ""),
	);
});
