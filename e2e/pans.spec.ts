import type { Page } from "@playwright/test";
import { expect, hydrated, test } from "./house.ts";

test.use({ houseOf: "pans" });

test.describe.configure({ mode: "serial" });

const PLACE = (label: string) => `nav[aria-label="The long table"] a:has-text("${label}")`;
/** "12.7 l" */
const litresIn = (text: string) =>
	Number(/([\d.]+) (ml|l)/.exec(text)?.[1] ?? Number.NaN) / (/ ml/.test(text) ? 1000 : 1);

async function openGoat(page: Page): Promise<void> {
	await page.goto("/sittings");
	await page.getByRole("link", { name: "Festival supper" }).click();
	await page.getByRole("link", { name: "Goat shoulder, smoked paprika, white beans" }).first().click();
	await expect(page.locator(PLACE("Pan up"))).toHaveAttribute("aria-current", "step");
	await hydrated(page);
}

const line = (page: Page) => page.locator('[role="slider"][aria-label="Liquid line"]:visible');
const fact = (page: Page, label: RegExp) =>
	page.locator("dl > div").filter({ hasText: label }).locator("dd").first();

test("the liquid line is dragged from half way to covered, and everything follows", async ({ page }) => {
	await openGoat(page);
	await page.getByRole("button", { name: /^half way/ }).click();
	await expect(line(page)).toHaveAttribute("aria-valuetext", /^half way, /);
	await expect(page.getByRole("button", { name: /Take it/ })).toBeVisible();
	const build = page.locator(PLACE("Build"));
	await expect(build).toContainText("was");
	const half_l = litresIn((await build.locator("b").textContent()) ?? "");

	// While it moves, the page's own figures follow; when it is let go, the whole table does.
	const pan = await line(page).boundingBox();
	if (!pan) throw new Error("the line is not drawn");
	const x = pan.x + pan.width / 2;
	const y = pan.y + pan.height / 2;
	const pourHalf = litresIn((await fact(page, /to pour in this pan/).textContent()) ?? "");
	await page.mouse.move(x, y);
	await page.mouse.down();
	await page.mouse.move(x, y - 42, { steps: 12 });
	await expect(line(page)).toHaveAttribute("aria-valuetext", /mm over the top|covered/);
	expect(litresIn((await fact(page, /to pour in this pan/).textContent()) ?? "")).toBeGreaterThan(
		pourHalf * 1.5,
	);
	await page.mouse.up();
	await expect
		.poll(async () => litresIn((await build.locator("b").textContent()) ?? ""))
		.toBeGreaterThan(half_l * 1.5);

	// By keys to a school, well covered: deeper still, and the warning says by how much.
	await line(page).focus();
	await page.keyboard.press("End");
	await expect(line(page)).toHaveAttribute("aria-valuetext", /^well covered, /);
	await expect(page.getByText(/over-full|over the 15 kg limit for one/).first()).toBeVisible();
	await page.getByRole("button", { name: /Take it/ }).click();
	await expect(page.getByText("On trial")).toHaveCount(0);
	await expect(page.getByText(/liquid well covered/).first()).toBeVisible();

	// The sheet and the labels say the same line.
	await page.getByRole("link", { name: /Production sheet/ }).click();
	await expect(
		page.getByText(
			/Cover with foil over parchment, one edge folded: dry white wine pits bare foil; liquid well covered/,
		),
	).toBeVisible();
	await page.getByRole("link", { name: "Back to the long table" }).click();
	await page.getByRole("link", { name: /^Labels/ }).click();
	await expect(page.getByText(/dip; liquid well covered/).first()).toBeVisible();
	await page.getByRole("link", { name: "Back to the long table" }).click();
	await hydrated(page);
	await page.getByRole("button", { name: "Leave the line to the plan" }).click();
	await page.getByRole("button", { name: /Take it/ }).click();
	await expect(page.getByText("On trial")).toHaveCount(0);
	await expect(page.getByText(/liquid a third up/).first()).toBeVisible();
});

test("a pan is settled by the chef, kept, and let go again", async ({ page }) => {
	await openGoat(page);
	await page.getByRole("button", { name: "One GN 1/2-100 more" }).click();
	await expect(page.getByText(/1 of \d+ GN 1\/2-100/)).toBeVisible();
	await expect(page.getByText("settled at 1")).toBeVisible();
	await page.getByRole("button", { name: "One GN 1/2-100 more" }).click();
	await expect(page.getByText(/2 of \d+ GN 1\/2-100/)).toBeVisible();
	await page.getByRole("button", { name: /Take it/ }).click();
	await expect(page.getByText("On trial")).toHaveCount(0);
	await page.reload();
	await expect(page.getByText("settled at 2")).toBeVisible();
	await hydrated(page);
	await page.getByRole("button", { name: "Let go" }).click();
	await page.getByRole("button", { name: /Take it/ }).click();
	await expect(page.getByText("On trial")).toHaveCount(0);
	await expect(page.getByText(/settled at/)).toHaveCount(0);
});

test("a pan is dragged onto another kind and swapped", async ({ page }) => {
	await openGoat(page);
	// The strip and the whole shelf in sight at once.
	await page.setViewportSize({ width: 1280, height: 1800 });
	// Hovering waits until it stands still under the pointer.
	await page.getByRole("button", { name: /^Pan 1, GN 1\/1-100/ }).hover();
	const row = page.getByRole("row", { name: /^GN 1\/2-100/ });
	const box = await row.boundingBox();
	if (!box) throw new Error("the shelf is not drawn");
	await page.mouse.down();
	await page.mouse.move(box.x + 60, box.y + box.height / 2, { steps: 10 });
	await expect(row).toHaveAttribute("data-over");
	await page.mouse.up();
	await expect(page.getByText(/\d of \d+ GN 1\/2-100/)).toBeVisible();
	await expect(page.locator(PLACE("Pan up"))).toContainText("was");
	await page.getByRole("link", { name: /Put back/ }).click();
	await expect(page.getByText("On trial")).toHaveCount(0);
});

test("when the stock runs out, the chef is told what limits, and what one more pan would save", async ({
	page,
}) => {
	await openGoat(page);
	await page.getByLabel("Covers", { exact: true }).fill("1200");
	await expect(
		page.getByText(/One filling of the pans takes \d+ of \d+ pieces.*GN 1\/1-100, \d+ here/).first(),
	).toBeVisible();
	await page.getByRole("button", { name: "What would one more pan save?" }).click();
	await expect(page.getByText(/One more .* finds room for \d+ pieces/).first()).toBeVisible();
	await page.getByRole("link", { name: /Put back/ }).click();
});

/** Presses a button in the moment in which it is there: what can be stopped may be over before a test has found it. */
function asSoonAsShown(page: Page, name: string): Promise<void> {
	return page.evaluate(
		(words) =>
			new Promise<void>((pressed) => {
				const watch = new MutationObserver(() => {
					const button = [...document.querySelectorAll("button")].find(
						({ textContent }) => textContent?.trim() === words,
					);
					if (!button) return;
					watch.disconnect();
					button.click();
					pressed();
				});
				watch.observe(document.body, { subtree: true, childList: true });
			}),
		name,
	);
}

test("a delivery that varies is laid in a worker, with progress, and can be stopped", async ({ page }) => {
	await openGoat(page);
	await page.getByText("If the pieces vary").click();
	await page.getByRole("slider", { name: /Weights vary by/ }).fill("30");
	const stopped = asSoonAsShown(page, "Stop");
	await page.getByRole("button", { name: /^Lay 92 of them/ }).click();
	await stopped;
	await expect(page.getByRole("button", { name: /^Lay 92 of them/ })).toBeVisible();
	await expect(page.getByText(/like with like/)).toHaveCount(0);
	await page.getByRole("button", { name: /^Lay 92 of them/ }).click();
	await expect(page.getByText(/like with like; the area alone would ask for \d/)).toBeVisible({
		timeout: 30_000,
	});
	await expect(page.getByRole("img", { name: /pieces of its own size each/ })).toBeVisible();
});

test("both ways of colouring stand side by side, and the one taken enters the clock", async ({ page }) => {
	await openGoat(page);
	await page.locator(PLACE("Sear")).click();
	await expect(page.getByRole("heading", { name: "Wide pan 360, in loads" })).toBeVisible();
	await expect(page.getByRole("heading", { name: "Tilting pan, in loads" })).toBeVisible();
	await page.getByRole("button", { name: "Take this way" }).last().click();
	await expect(page.locator(PLACE("Sear"))).toContainText(/\d+ trays/);
	await expect(page.locator(PLACE("Sear"))).toContainText("was");
	await page.getByRole("link", { name: /Put back/ }).click();
	await expect(page.locator(PLACE("Sear"))).toContainText("loads");
});

test("the level of the sauce is tried in its pot, and the salt follows", async ({ page }) => {
	await openGoat(page);
	await page.locator(PLACE("Sauce")).click();
	const level = page.getByRole("slider", { name: "Level of the sauce" });
	const salt = async () =>
		Number(/salt ([\d.]+) %/.exec((await level.getAttribute("aria-valuetext")) ?? "")?.[1]);
	await expect(level).toHaveAttribute("aria-valuetext", /on the stick, after \d+ min, salt [\d.]+ %/);
	const before = await salt();
	expect(before).toBeGreaterThan(0.5);
	await level.focus();
	for (let step = 0; step < 10; step += 1) await page.keyboard.press("ArrowDown");
	await expect.poll(salt).toBeGreaterThan(before + 0.2);
	await expect(page.getByRole("img", { name: /over the house band/ })).toBeVisible();
});

test("a pan without a name is measured with a rule and a jug", async ({ page }) => {
	await page.goto("/kitchen");
	await page.getByRole("link", { name: "measure it with a rule and a jug" }).click();
	await hydrated(page);
	await page.getByLabel("Depth").fill("120");
	await page.getByLabel("Length inside").fill("400");
	await page.getByLabel("Width inside").fill("300");
	await page.getByLabel("First mark").fill("40");
	await page.locator("[name=low_l]").fill("4.2");
	await page.getByLabel("Second mark").fill("100");
	await page.getByLabel("Water up to it, in all").fill("90");
	await expect(page.getByText(/This cannot be one pan yet: 90 was given/)).toBeVisible();
	await page.getByLabel("Name on the shelf").fill("Boathouse tub");
	await page.getByRole("button", { name: /Add it/ }).click();
	await expect(page.getByText(/90 was given; with this rim about 12/).first()).toBeVisible();
	await expect(page.getByLabel("Name on the shelf")).toHaveValue("Boathouse tub");
	await page.getByLabel("Water up to it, in all").fill("11.1");
	await page.getByRole("button", { name: /Add it/ }).click();
	await expect(page.getByRole("link", { name: "Boathouse tub" })).toBeVisible();
	await expect(page.getByRole("row", { name: /Boathouse tub/ })).toContainText("13.6 l");
});

test("made the day before it cools too slowly in deep pans, is warned of, and is spread over more", async ({
	page,
}) => {
	await openGoat(page);
	await page.locator('select[name="ahead"]').selectOption({ label: "day before" });
	await page.locator(PLACE("Chill")).click();
	await expect(page.getByRole("heading", { name: /^Chill from/ })).toBeVisible();
	await expect(page.getByText(/mm deep it takes .* too long\./).first()).toBeVisible();
	const minutes = page.getByRole("list", { name: "Limits of the house code" });
	await expect(minutes).toContainText("Missed");
	// Dragged shallower on the cut, the figures follow the hand, and the plan when it is let go.
	const depth = page.getByRole("slider", { name: "Depth of the food" });
	const whole_mm = Number(await depth.getAttribute("aria-valuenow"));
	await depth.scrollIntoViewIfNeeded();
	const grip = await depth.boundingBox();
	if (!grip) throw new Error("the depth is not drawn");
	const [x, y] = [grip.x + grip.width / 2, grip.y + grip.height / 2];
	await page.mouse.move(x, y);
	await page.mouse.down();
	await page.mouse.move(x, y + 8, { steps: 8 });
	await expect.poll(async () => Number(await depth.getAttribute("aria-valuenow"))).toBeLessThan(whole_mm - 5);
	await page.mouse.up();
	await expect(page.getByRole("list", { name: "Ways of cooling" })).toContainText(
		/Spread over [\d.]+ times the floor/,
	);
	await depth.focus();
	await page.keyboard.press("End");
	await expect(depth).toHaveAttribute("aria-valuenow", String(whole_mm));
	await page.getByRole("button", { name: "Leave it to the plan" }).click();
	const way = page.getByRole("button", { name: /^Take this way: Each pan over/ }).first();
	const words = ((await way.getAttribute("aria-label")) ?? "").replace("Take this way: ", "");
	await way.click();
	const inPlan = page.getByRole("list", { name: "Ways of cooling" }).getByRole("listitem").first();
	await expect(inPlan).toContainText(words);
	await page.getByRole("button", { name: /Take it/ }).click();
	await expect(page.getByText("On trial")).toHaveCount(0);
	await page.reload();
	await page.locator(PLACE("Chill")).click();
	await expect(inPlan).toContainText(words);
	await expect(page.getByRole("button", { name: "Leave it to the plan" })).toBeVisible();
	await page.locator(PLACE("Reheat")).click();
	await expect(page.getByText(/to be sure; the probe decides/)).toBeVisible();
});
