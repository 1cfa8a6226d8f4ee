import { expect, test } from "./house.ts";
import { linesOf } from "./linesOf.ts";

test.use({ houseOf: "covers" });

test.describe.configure({ mode: "serial" });

/** Saturday's date is named too when it is more than six days off. */
const saturday = (before: string, time: string) => new RegExp(`${before}Sat( \\d+ [A-Z][a-z]+)? ${time}`);

/** The figure of a place on the long table, e.g. "27 kg". */
const PLACE = (label: string) => `nav[aria-label="The long table"] a:has-text("${label}")`;

test("a chef reads one dish from covers to the oven door, changes it, prints it, and finds it again", async ({
	page,
	house,
}) => {
	await page.goto("/");
	await expect(page.getByRole("heading", { name: "Today" })).toBeVisible();
	await page.getByRole("link", { name: "Festival supper" }).first().click();
	await expect(page.getByText("Hall, 140 covers")).toBeVisible();
	await page.getByRole("link", { name: "Goat shoulder, smoked paprika, white beans" }).first().click();

	// How much, how many pieces, which pans, how many litres, when it goes in, when it is tender, when to start.
	await expect(page.locator(PLACE("Buy"))).toContainText("27 kg");
	await expect(page.locator(PLACE("Pan up"))).toContainText("5 pans");
	await expect(page.getByRole("heading", { name: /^5 pans, (\d × )?2\d.* pieces$/ })).toBeVisible();
	await expect(page.getByRole("group", { name: /cut through: .*a third up.* dip \d+ mm/ })).toBeVisible();
	await expect(page.locator(PLACE("Braise"))).toContainText(saturday("in ", "1[45]:\\d\\d"));
	const [, into = ""] =
		/in (\d\d:\d\d)/.exec((await page.locator(PLACE("Braise")).textContent()) ?? "") ?? [];
	await page.locator(PLACE("Braise")).click();
	await expect(page.getByText(/Tender 1[67]:\d\d–1[89]:\d\d, likely 17:/)).toBeVisible();
	await page.locator(PLACE("Trim")).click();
	await expect(page.getByText(saturday("Start by ", "1[12]:"))).toBeVisible();

	// More covers and an earlier service: everything follows, the old figures beside the new.
	await page.getByLabel("Covers", { exact: true }).fill("180");
	await page.getByLabel("Service", { exact: true }).fill("19:00");
	await expect(page.locator(PLACE("Buy"))).toContainText("36 kg");
	await expect(page.locator(PLACE("Buy"))).toContainText("36 kg, was 27");
	await expect(page.locator(PLACE("Braise"))).toContainText(`was ${into}`);
	await expect(page.locator(PLACE("Braise"))).toContainText(saturday("in ", "1[34]:[0-5]\\d"));
	await page.getByRole("button", { name: /Take it/ }).click();
	await expect(page.getByText("On trial")).toHaveCount(0);
	await expect(page.locator(PLACE("Buy"))).not.toContainText("was");
	await expect(page.locator(PLACE("Buy"))).toContainText("36 kg");

	// It is stored: after a restart it is there.
	await house.restart();
	await page.reload();
	await expect(page.locator(PLACE("Buy"))).toContainText("36 kg");
	await expect(page.getByLabel("Covers", { exact: true })).toHaveValue("180");

	// One production sheet, with its lines, as a PDF on the paper of the desk.
	await page.getByRole("link", { name: /Production sheet/ }).click();
	await expect(page.getByRole("heading", { name: "Weigh out" })).toBeVisible();
	const printed = await linesOf(await page.pdf({ preferCSSPageSize: true }));
	for (const words of [
		"Goat shoulder, smoked paprika, white beans",
		"Festival supper, Hall",
		"19:00",
		"36 kg",
		"5 × GN 1/1-100",
		"Check first: probe the thickest piece",
		"smoked paprika",
		"light chicken stock",
		"Mind: Boiling liquid slops.",
		"contains celery (celery, light chicken stock (celery))",
		"The local authority and the licensed operator decide.",
		"Write down what really happened",
		"Next time",
	]) {
		expect(printed.text).toContain(words);
	}
	expect(printed.text).toMatch(/Into the (North|South) oven at 1[4-6]\d °C/);
	expect(printed.pages).toBeLessThanOrEqual(3);
	expect(printed.size_mm).toEqual([210, 297]);
	expect(printed.text).not.toContain("Print");
});

test("the same dish is scaled from the weight on hand and from pans, by one control", async ({ page }) => {
	await page.goto("/sittings");
	await page.getByRole("link", { name: "Festival supper" }).click();
	await page.getByRole("link", { name: "Goat shoulder, smoked paprika, white beans" }).first().click();
	await page.getByRole("radio", { name: /Weight on hand/ }).check({ force: true });
	await page.getByLabel("Weight on hand", { exact: true }).fill("17,4 kg");
	await expect(page.locator(PLACE("Plate"))).toContainText("60 plates");
	await page.locator(PLACE("Buy")).click();
	await expect(page.getByText(/makes 60 portions; 118 are wanted, 58 short/).first()).toBeVisible();
	await page.getByRole("radio", { name: /Pans/ }).check({ force: true });
	await page.getByLabel("Number of pans").fill("4");
	await page.getByLabel("Kind of pan").selectOption({ label: "GN 1/1-100 (10)" });
	await expect(page.locator(PLACE("Pan up"))).toContainText("4 × GN 1/1-100");
	await expect(page.locator(PLACE("Plate"))).toContainText("88 plates");
	await page.getByRole("link", { name: /Put back/ }).click();
	await expect(page.locator(PLACE("Plate"))).toContainText("118 plates");
	await expect(page.getByLabel("Covers", { exact: true })).toHaveValue("180");
});

test("every figure shows its arithmetic, and pulling an end of the yield bar tries it", async ({ page }) => {
	await page.goto("/sittings");
	await page.getByRole("link", { name: "Festival supper" }).click();
	await page.getByRole("link", { name: "Goat shoulder, smoked paprika, white beans" }).first().click();
	await page.locator(PLACE("Buy")).click();
	await expect(page.getByRole("heading", { name: "36 kg, 8 packs of 4.5 kg" })).toBeVisible();
	await page.getByText("Show the arithmetic").click();
	await expect(
		page.getByText("180 covers × 62 % taking it × (1 + 5 % spare), up to a whole one"),
	).toBeVisible();
	await expect(
		page.getByText("34.2 kg as purchased ÷ 4.5 kg a pack, up to a whole one", { exact: true }),
	).toBeVisible();
	await expect(page.getByText("8 packs × 4.5 kg a pack", { exact: true })).toBeVisible();
	const end = page.getByRole("slider", { name: "Weight bought" });
	await end.scrollIntoViewIfNeeded();
	const box = await end.boundingBox();
	if (!box) throw new Error("the end of the bar is not there");
	await page.mouse.move(box.x + 12, box.y + 20);
	await page.mouse.down();
	await page.mouse.move(box.x - 300, box.y + 20, { steps: 5 });
	await page.mouse.up();
	await expect(page.getByRole("heading", { name: /on hand makes \d+ portions/ })).toBeVisible();
	await page.getByRole("link", { name: /Put back/ }).click();
	await expect(page.getByText("On trial")).toHaveCount(0);
	await end.focus();
	await page.keyboard.press("ArrowRight");
	await expect(page.locator(PLACE("Buy"))).toContainText("34.9 kg");
});

test("by keys alone: areas, places, units, light, and the sheet of keys", async ({ page }) => {
	await page.goto("/");
	// The keys listen once the page's scripts have loaded.
	await expect(async () => {
		await page.keyboard.press("s");
		await expect(page.getByRole("heading", { name: "Sittings" })).toBeVisible({ timeout: 500 });
	}).toPass();
	await page.getByRole("link", { name: "Festival supper" }).focus();
	await page.keyboard.press("Enter");
	await page.getByRole("link", { name: "Open the long table" }).first().focus();
	await page.keyboard.press("Enter");
	await expect(page.locator(PLACE("Sear"))).toBeVisible();
	await page.keyboard.press("3");
	await expect(page.getByRole("heading", { name: /loads of/ })).toBeVisible();
	await page.locator(PLACE("Sear")).focus();
	await page.keyboard.press("ArrowRight");
	await expect(page.locator(PLACE("Build"))).toBeFocused();
	await page.keyboard.press("u");
	await expect(page.locator(PLACE("Buy"))).toContainText("lb");
	await page.keyboard.press("1");
	await expect(page.locator("table")).toContainText("lb");
	await page.keyboard.press("e");
	await expect(page.locator("html")).toHaveAttribute("data-light", "evening");
	await page.keyboard.press("?");
	await expect(page.getByRole("dialog")).toContainText("Production sheet");
	await page.keyboard.press("Escape");
	await page.keyboard.press("u");
	await expect(page.locator(PLACE("Buy"))).toContainText("kg");
});

test("a new sitting is planned, a dish added and taken off again", async ({ page }) => {
	await page.goto("/sittings/new");
	await page.getByLabel("Sitting").fill("Keepers' lunch");
	await page.getByLabel("Covers").fill("24");
	await page.getByRole("button", { name: /Plan it/ }).click();
	await expect(page.getByText("No dish on it yet")).toBeVisible();
	await page.getByLabel("Another dish").selectOption({ label: "Duck legs, damsons, barley" });
	await page.getByLabel("Room").fill("Lamp room");
	await page.getByRole("button", { name: "Add it" }).click();
	await expect(page.getByRole("link", { name: "Duck legs, damsons, barley" })).toBeVisible();
	await expect(page.getByText("Lamp room, 24 covers")).toBeVisible();
	await page.getByRole("button", { name: "Take off" }).click();
	await expect(page.getByText("No dish on it yet")).toBeVisible();
	await page.getByRole("button", { name: "Call off" }).click();
	await expect(page.getByText("Called off.")).toBeVisible();
	await page.getByRole("link", { name: /Today/ }).click();
	await expect(page.getByRole("link", { name: "Keepers' lunch" })).toHaveCount(0);
});
