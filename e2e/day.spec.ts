import AxeBuilder from "@axe-core/playwright";
import type { Locator, Page } from "@playwright/test";
import ICAL from "ical.js";
import { expect, hydrated, test } from "./house.ts";

test.use({ houseOf: "day" });
test.describe.configure({ mode: "default" });

async function openSupperDay(page: Page): Promise<string> {
	await page.goto("/sittings");
	await page.getByRole("link", { name: "Festival supper" }).click();
	await page.getByRole("link", { name: "The whole day" }).click();
	await expect(page.getByRole("slider", { name: "The moment that is looked at" })).toBeVisible();
	await hydrated(page);
	return new URL(page.url()).pathname;
}

const onTrial = (page: Page) => page.getByRole("heading", { name: "On trial" });

/** Opens what can be told of the day. */
async function tell(page: Page, title: string): Promise<Locator> {
	const form = page.getByRole("form", { name: title });
	if (!(await form.isVisible())) await page.getByText("Something is different").click();
	return form;
}

test("the ovens of the festival supper are looked at through the day, by keys", async ({ page }) => {
	await openSupperDay(page);
	const north = page.getByRole("img", { name: /^North oven/ });
	await expect(north).toHaveAccessibleName(/North oven at \d+ °C, \d+ of 10 rungs: .* out at \d\d:\d\d/);

	const moment = page.getByRole("slider", { name: "The moment that is looked at" });
	const before = await moment.getAttribute("aria-valuetext");
	await moment.focus();
	await page.keyboard.press("ArrowRight");
	await expect(moment).not.toHaveAttribute("aria-valuetext", before ?? "");
	await page.keyboard.press("Home");
	await expect(north).toHaveAccessibleName("North oven: cold and empty");
	await page.keyboard.press("PageUp");
	await expect(page.getByRole("img", { name: /oven at \d+ °C/ }).first()).toBeVisible();

	await expect(page.getByRole("heading", { name: "Ina" })).toBeVisible();
	await expect(page.getByRole("heading", { name: "Whoever is nearest" })).toBeVisible();

	const here = page.url();
	const file = await (await page.request.get(`${here}/day.json`)).json();
	expect(file.tasks.length).toBeGreaterThan(20);
	const table = await (await page.request.get(`${here}/day.csv`)).text();
	expect(table).toContain("start,end,task,place,sitting,id,has,amount,set_C,from,to");
	expect((await page.request.get(`${here}/day.exe`)).status()).toBe(404);
	expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
});

test("a day without a sitting says so, and no day is not found", async ({ page }) => {
	await page.goto("/day/2031-01-01");
	await expect(page.getByText("Nothing is served on this day.")).toBeVisible();
	const answer = await page.goto("/day/2031-13-40");
	expect(answer?.status()).toBe(404);
});

test("a second sitting of the evening shares the kitchen, and nobody is in two places", async ({ page }) => {
	const day = await openSupperDay(page);
	const title = (await page.title()).split(" ·")[0] ?? "";
	await page.goto("/sittings/new");
	await page.getByLabel("Sitting", { exact: true }).fill("Lamp room dinner");
	await page.getByLabel("Covers", { exact: true }).fill("30");
	await page.getByRole("textbox", { name: "Service", exact: true }).fill(`${title} 19:00`);
	await page.keyboard.press("Enter");
	await expect(page.getByRole("heading", { name: "Lamp room dinner" })).toBeVisible();
	await hydrated(page);
	const dishes = page.getByLabel("Another dish");
	await dishes.selectOption(await dishes.locator("option", { hasText: "Duck legs" }).getAttribute("value"));
	await page.getByRole("button", { name: /^Add it/ }).click();
	await expect(page.getByRole("link", { name: "Open the long table" })).toHaveCount(1);

	await page.goto(day);
	await expect(page.getByText(/Lamp room dinner 19:00/)).toBeVisible();
	const { tasks, equipment } = await (await page.request.get(`${day}/day.json`)).json();
	// Both of the evening, and what of the days beside it goes on then.
	expect(new Set(tasks.map(({ sitting }: { sitting: string }) => sitting)).size).toBeGreaterThan(1);
	const ina = equipment.find(({ name }: { name: string }) => name === "Ina");
	const hers = tasks
		.flatMap(({ uses }: { uses: { equipment: string; from: string; to: string }[] }) => uses)
		.filter(({ equipment: id }: { equipment: string }) => id === ina.id)
		.map(({ from, to }: { from: string; to: string }) => [Date.parse(from), Date.parse(to)])
		.sort(([a = 0]: number[], [b = 0]: number[]) => a - b);
	expect(hers.length).toBeGreaterThan(5);
	for (const [index, [from = 0]] of hers.entries()) {
		expect(from).toBeGreaterThanOrEqual(hers[index - 1]?.[1] ?? 0);
	}
});

test("an oven fails: it is tried, what moves is said, and it is thrown away", async ({ page }) => {
	const day = await openSupperDay(page);
	const form = await tell(page, "An oven is down, somebody is away");
	await form.getByLabel("Who or what").selectOption({ label: "South oven" });
	await form.getByLabel("From").fill("11:00");
	await form.getByRole("button", { name: "Try it" }).click();
	await expect(onTrial(page)).toBeVisible();
	await expect(page.getByText(/South oven is down/).first()).toBeVisible();
	await expect(page.getByRole("row", { name: /^Braise/ }).first()).toContainText(/North oven|South oven/);
	await page.getByRole("link", { name: /^Put back/ }).click();
	await expect(onTrial(page)).toHaveCount(0);
	expect(new URL(page.url()).pathname).toBe(day);
	await expect(page.getByText("Told of this day")).toHaveCount(0);
});

test("what is told wrongly is said at its field, and kept", async ({ page }) => {
	await openSupperDay(page);
	const form = await tell(page, "More covers, or fewer");
	await form.getByLabel("Covers").fill("none");
	await form.getByRole("button", { name: "Try it" }).click();
	await expect(page.getByText(/a whole number from 1/)).toBeVisible();
	await expect(form.getByLabel("Covers")).toHaveValue("none");
	const answer = await page.goto(`${new URL(page.url()).pathname}?change={"kind":"away"}&change=nonsense`);
	expect(answer?.status()).toBe(200);
	await expect(page.getByText(/A change in the address was left out/)).toHaveCount(2);
});

test("a pan is carried along the strip by hand, with its price before it is put down", async ({ page }) => {
	await openSupperDay(page);
	const ribbon = page.getByRole("button", { name: /^\w+ Mutton neck.*Enter lifts it/ }).first();
	// Hovering waits until it stands still under the pointer.
	await ribbon.hover();
	const box = await ribbon.boundingBox();
	if (!box) throw new Error("the ribbon is not drawn");
	const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
	await page.mouse.down();
	for (let step = 1; step <= 16; step += 1) await page.mouse.move(x - step * 8, y);
	await expect(page.getByText(/\d\d:\d\d to \d\d:\d\d, was \d\d:\d\d to/)).toBeVisible();
	await expect(page.getByText(/its pans are filled .* later/)).toBeVisible();
	await page.mouse.up();
	await expect(onTrial(page)).toBeVisible();
	await page.getByRole("button", { name: /^Take it/ }).click();
	await expect(page.getByText("Told of this day")).toBeVisible();
	await expect(
		page.getByRole("button", { name: /Mutton neck.*settled: Enter lifts it/ }).first(),
	).toBeVisible();

	// It is let go again.
	await page.getByRole("button", { name: /^Take back: / }).click();
	await expect(page.getByText("Told of this day")).toHaveCount(0);
	await expect(page.getByRole("button", { name: /settled: Enter lifts it/ })).toHaveCount(0);
});

test("by keys pans are lifted, carried and put back", async ({ page }) => {
	await openSupperDay(page);
	await page
		.getByRole("button", { name: /Enter lifts it/ })
		.first()
		.focus();
	await page.keyboard.press("Enter");
	await page.keyboard.press("ArrowLeft");
	await expect(page.getByText(/Escape puts it back/)).toBeVisible();
	await page.keyboard.press("Escape");
	await expect(page.getByText(/Escape puts it back/)).toBeHidden();
	await expect(onTrial(page)).toHaveCount(0);
});

test("the day is issued, covers rise, and the difference is on the paper of its number", async ({ page }) => {
	const day = await openSupperDay(page);
	await page.getByRole("button", { name: "Issue it under a number" }).click();
	await expect(page.getByText(/No\. 1/)).toBeVisible();
	await expect(page.getByText("The day stands as it was issued.")).toBeVisible();

	const form = await tell(page, "More covers, or fewer");
	await form.getByLabel("Sitting").selectOption({ label: "Festival supper, 140 now" });
	await form.getByLabel("Covers").fill("170");
	await form.getByRole("button", { name: "Try it" }).click();
	await expect(onTrial(page)).toBeVisible();
	await page.getByRole("button", { name: /^Take it/ }).click();
	await expect(page.getByText(/Since then \d+ of its tasks stand elsewhere/)).toBeVisible();

	await page.goto(`${day}/paper`);
	await expect(page.getByText("No. 1", { exact: true })).toBeVisible();
	await expect(page.getByRole("heading", { name: "Another than in No. 1" })).toBeVisible();
	expect((await page.pdf({ format: "A4" })).length).toBeGreaterThan(10_000);
	await page.getByRole("link", { name: "With all papers of its dishes" }).click();
	const { tasks } = await (await page.request.get(`${day}/day.json`)).json();
	const date = day.split("/").at(-1) ?? "";
	const served = new Set(
		tasks
			.filter(
				({ place, due }: { place: string; due: string | null }) => place === "plate" && due?.startsWith(date),
			)
			.map(({ sitting }: { sitting: string }) => sitting),
	);
	const buying = tasks.filter(
		({ place, sitting }: { place: string; sitting: string }) => place === "buy" && served.has(sitting),
	);
	const dishes = new Set(buying.map((task: { for: string }) => task.for));
	const sittings = new Set(buying.map((task: { sitting: string }) => task.sitting));
	expect(dishes.size).toBeGreaterThan(1);
	await expect(page.getByRole("heading", { name: /^Order sheet, / })).toHaveCount(sittings.size);
	await expect(page.getByRole("heading", { name: "Weigh out" })).toHaveCount(dishes.size);
});

test("the calendar is read by another program", async ({ page }) => {
	const day = await openSupperDay(page);
	const { tasks } = await (await page.request.get(`${day}/day.json`)).json();
	const file = await page.request.get(`${day}/day.ics`);
	expect(file.headers()["content-type"]).toContain("text/calendar");
	const events = new ICAL.Component(ICAL.parse(await file.text())).getAllSubcomponents("vevent");
	expect(events.length).toBe(tasks.length);
	expect(events.map((event) => new ICAL.Event(event).summary).join()).toContain("Braise: Goat shoulder");
});

test("what a day goes without is freed by what was found for it", async ({ page }) => {
	const day = await openSupperDay(page);
	for (const name of ["Ina", "Kit", "Mattis"]) {
		const away = await tell(page, "An oven is down, somebody is away");
		await away.getByLabel("Who or what").selectOption(name);
		await away.getByLabel("From").fill("06:00");
		await away.getByLabel("Until").fill("23:00");
		await away.getByRole("button", { name: "Try it" }).click();
		await expect(onTrial(page)).toBeVisible();
		await page.getByRole("button", { name: /^Take it/ }).click();
		await expect(onTrial(page)).toBeHidden();
	}
	await expect(page.getByText(/cooks? too few/).first()).toBeVisible();
	const missing = async () => {
		const { unmet } = await (await page.request.get(`${day}/day.json`)).json();
		return unmet.length as number;
	};
	const before = await missing();
	await page.getByRole("button", { name: "What would free all of it?" }).click();
	await expect(page.getByText(/days? tried\.$/)).toBeVisible({ timeout: 60_000 });
	const way = page.getByRole("link", { name: /^Try it: / }).first();
	await way.click();
	await expect(onTrial(page)).toBeVisible();
	expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
	await page.getByRole("button", { name: /^Take it/ }).click();
	await expect(onTrial(page)).toBeHidden();
	expect(await missing()).toBeLessThan(before);
});
