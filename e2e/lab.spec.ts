import type { Page } from "@playwright/test";
import { expect, hydrated, test } from "./house.ts";

test.use({ houseOf: "lab" });

test.describe.configure({ mode: "serial" });

const PLACE = (label: string) => `nav[aria-label="The long table"] a:has-text("${label}")`;
/** "2 h 45" or "95 min" as minutes. */
function minutesIn(text: string): number {
	const hours = /(\d+) h(?: (\d+))?/.exec(text);
	return hours ? Number(hours[1]) * 60 + Number(hours[2] ?? 0) : Number(/(\d+) min/.exec(text)?.[1]);
}

const windowOf = async (page: Page, pan: string) =>
	minutesIn(
		(await page
			.getByRole("region", { name: `Pan ${pan}` })
			.locator("[data-figure=window]")
			.textContent()) ?? "",
	);

/** Drags the thumb of a slider from a share of its way to another. */
async function drag(page: Page, label: string, from: number, to: number): Promise<void> {
	const box = await page.getByRole("slider", { name: label, exact: true }).boundingBox();
	if (!box) throw new Error(`the slider “${label}” is not there`);
	const y = box.y + box.height / 2;
	await page.mouse.move(box.x + box.width * from, y);
	await page.mouse.down();
	for (let step = 1; step <= 40; step += 1) {
		await page.mouse.move(box.x + box.width * (from + ((to - from) * step) / 40), y);
	}
	await page.mouse.up();
}

test("a piece is made thicker by hand, and its window moves", async ({ page }) => {
	await page.goto("/lab");
	await hydrated(page);
	const before = await windowOf(page, "A");
	const other = await windowOf(page, "B");
	await drag(page, "Thickness of a piece", 0.3, 0.9);
	await drag(page, "Thickness of a piece", 0.9, 0.75);
	await expect.poll(() => windowOf(page, "A")).toBeGreaterThan(before * 1.1);
	expect(await windowOf(page, "B")).toBe(other);
	await expect(page.getByText(/Against pan A: .*45 mm thick/)).toBeVisible();

	// What was tried is in the address, and stands there after a reload.
	await expect(page).toHaveURL(/pan=/);
	await expect.poll(() => decodeURIComponent(page.url())).toMatch(/:45\b/);
	// What is reckoned beside the page may still be on its way.
	await expect
		.poll(async () => {
			const shown = await windowOf(page, "A");
			await page.waitForTimeout(800);
			return (await windowOf(page, "A")) === shown;
		})
		.toBe(true);
	const tried = await windowOf(page, "A");
	await page.reload();
	await expect.poll(() => windowOf(page, "A")).toBe(tried);
});

test("by keys: a third pan beside them, its oven turned down, its cover changed, and taken away", async ({
	page,
}) => {
	await page.goto("/lab");
	await hydrated(page);
	await page.keyboard.press("n");
	await expect(page.getByRole("group", { name: "Pan C" })).toBeVisible();
	const before = await windowOf(page, "C");
	await page.keyboard.press("2");
	await expect(page.getByRole("slider", { name: "Set to" })).toBeFocused();
	await page.keyboard.press("PageDown");
	await page.keyboard.press("PageDown");
	await expect.poll(() => windowOf(page, "C")).toBeGreaterThan(before);
	await page.getByRole("combobox", { name: "Cover" }).selectOption("no lid");
	await expect(page.getByText(/Against pan A: .*no lid/)).toBeVisible();
	await page.getByRole("slider", { name: "Liquid line" }).fill("95");
	await expect(page.getByText(/Too full/)).toBeVisible();
	await page.getByRole("button", { name: "Take pan C away" }).click();
	await expect(page.getByRole("region", { name: "Pan C" })).toHaveCount(0);

	// The pan cut through says the same in words, at the time under the cursor.
	await page.getByRole("slider", { name: "Time under the cursor, pan A" }).fill("20");
	await expect(page.getByRole("img", { name: /^Pan A cut through at 20 min: centre \d+ °C/ })).toBeVisible();
});

test("an address that tells of no pan is answered with a word, not with an error", async ({ page }) => {
	const answer = await page.goto('/lab?pan={"cut":"unicorn"}&pan=nonsense');
	expect(answer?.status()).toBe(200);
	await expect(page.getByText(/Pan A of the address was left out: .*cut/)).toBeVisible();
	await expect(page.getByText(/Pan B of the address was left out/)).toBeVisible();
	await expect(page.getByRole("region", { name: "Pan A" })).toBeVisible();
	expect((await page.goto("/lab/rounds?round=-3&at=99"))?.status()).toBe(200);
	await expect(page).toHaveURL(/round=\d+&at=1/);
});

test("the service set later takes the oven door along; surer, the pans go in earlier", async ({ page }) => {
	await page.goto("/sittings");
	await page.getByRole("link", { name: "Festival supper" }).click();
	await page.getByRole("link", { name: "Goat shoulder, smoked paprika, white beans" }).first().click();
	await page.locator(PLACE("Braise")).click();
	const place = page.locator(PLACE("Braise"));
	await expect(place).toContainText(/in Sat.* 1[45]:\d\d/);
	const [, into = ""] = /in (\d\d:\d\d)/.exec((await place.textContent()) ?? "") ?? [];
	await hydrated(page);
	await expect(page.getByRole("heading", { name: /^Into the oven/ })).toBeVisible();
	await page.getByLabel("Service", { exact: true }).fill("20:30");
	await expect(place).toContainText(/in Sat.* 1[56]:\d\d/);
	await expect(place).toContainText(`was ${into}`);
	await page.getByRole("link", { name: /Put back/ }).click();
	await expect(page.getByText("On trial")).toHaveCount(0);

	// Another way, for a later start.
	await page.getByText(/Other ways to have it tender/).click();
	await page.getByLabel("If it can go in only at").fill("15:20");
	await page.getByRole("button", { name: "What would do it?" }).click();
	await expect(page.getByRole("heading", { name: /Does it in 3 h [0-2]\d/ })).toBeVisible();
	await page.getByLabel("If it can go in only at").fill("17:30");
	await page.getByRole("button", { name: "What would do it?" }).click();
	await expect(page.getByText(/Nothing has it tender in \d+ min/)).toBeVisible();

	// Each way that is listed can be taken, and left to the card again; so can another heat.
	await page.getByLabel("If it can go in only at").fill("15:20");
	await page.getByRole("button", { name: "What would do it?" }).click();
	await expect(page.getByRole("heading", { name: /Does it in 3 h [0-2]\d/ })).toBeVisible();
	const way = page.getByRole("button", { name: /^Take this way: / }).first();
	const words = ((await way.getAttribute("aria-label")) ?? "").replace("Take this way: ", "");
	await way.click();
	await expect(page.getByText(/^Settled for this sitting: /)).toContainText(words.split(", ")[0] ?? "");
	await expect(place).toContainText(words.split(", ")[0] ?? "");
	await page.getByRole("button", { name: "Leave it to the card" }).click();
	await expect(page.getByText(/^Settled for this sitting: /)).toHaveCount(0);
	await page.getByRole("button", { name: "on the hob, at a bare simmer" }).click();
	await expect(page.getByRole("heading", { name: /^To a bare simmer on the hob/ })).toBeVisible();
	await page.locator(PLACE("Pan up")).click();
	await expect(page.getByText(/\d of \d+ (Stock pot|Rondeau|Tilting pan)/).first()).toBeVisible();
	await place.click();
	await expect(page.getByRole("heading", { name: /^To a bare simmer on the hob/ })).toBeVisible();
	await page.getByRole("button", { name: /Take it/ }).click();
	await expect(page.getByText("On trial")).toHaveCount(0);
	await page.reload();
	await expect(page.getByText(/^Settled for this sitting: /)).toContainText("on the hob, at a bare simmer");
	await hydrated(page);
	await page.getByRole("button", { name: "Leave it to the card" }).click();
	await page.getByRole("button", { name: /Take it/ }).click();
	await expect(page.getByText("On trial")).toHaveCount(0);
	await expect(page.getByRole("heading", { name: /^Into the oven/ })).toBeVisible();

	await page.goto("/kitchen/house");
	await page.getByLabel(/Tender by the time it is lifted/).fill("30");
	await page.getByRole("button", { name: /Keep|Save/ }).click();
	await expect(page.getByText(/a whole number of days from 50 to 99 is allowed/)).toBeVisible();
	await page.getByLabel(/Tender by the time it is lifted/).fill("99");
	await page.getByRole("button", { name: /Keep|Save/ }).click();
	await expect(page).toHaveURL(/\/kitchen$/);
	await page.goto("/sittings");
	await page.getByRole("link", { name: "Festival supper" }).click();
	await page.getByRole("link", { name: "Goat shoulder, smoked paprika, white beans" }).first().click();
	await expect(place).toContainText(/in Sat.* 1[34]:[0-5]\d/);
	// As surely as the house wants costs half an hour and more of the range.
	const [, surer = ""] = /in (\d\d:\d\d)/.exec((await place.textContent()) ?? "") ?? [];
	const minutes = (clock: string) => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3));
	expect(minutes(surer)).toBeLessThanOrEqual(minutes(into) - 30);

	// From the plan into the lab with the dish's own pan.
	await place.click();
	await page.getByRole("link", { name: "Try this pan in the lab" }).click();
	await expect(page.getByRole("button", { name: /Pan A: goat shoulder/ })).toBeVisible();
});

test("a training round is played through, and the record says what was judged", async ({ page }) => {
	await page.goto("/lab");
	await page.getByRole("link", { name: /Training rounds/ }).click();
	await hydrated(page);
	for (let situation = 1; situation <= 5; situation += 1) {
		await expect(page.getByText(`Situation ${situation} of 5`)).toBeVisible();
		if (situation === 1) {
			await page.getByRole("button", { name: /See what it does/ }).click();
			await expect(page.getByText("Choose one of the five.").first()).toBeVisible();
		}
		for (const quantity of ["Time to fork-tender", "Liquid left by then", "Salt in what is left"]) {
			await page.getByRole("group", { name: quantity }).getByRole("radio", { name: "the same" }).check();
		}
		await page.getByRole("button", { name: /See what it does/ }).click();
		await expect(page.getByText(/You said the same/)).toHaveCount(3);
		await expect(page.getByText(new RegExp(`^\\d+ of ${3 * situation} right`)).first()).toBeVisible();
		await page.getByRole("link", { name: situation < 5 ? /Next situation/ : /Another round/ }).click();
	}
	await expect(page.getByText("Situation 1 of 5")).toBeVisible();

	// What was answered stays answered; the record is of the name at the desk.
	await page.goto("/preferences");
	await page
		.getByLabel(/Name|name/)
		.first()
		.fill("Runa");
	await page
		.getByRole("button", { name: /Keep|Save/ })
		.first()
		.click();
	await expect(page.getByRole("banner").getByRole("link", { name: "Runa" })).toBeVisible();
	await page.goto("/lab/rounds");
	await expect(page.getByRole("heading", { name: "Record of Runa" })).toBeVisible();
	await expect(page.getByText("Nothing judged yet.")).toBeVisible();
});
