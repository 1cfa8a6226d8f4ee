import AxeBuilder from "@axe-core/playwright";
import { createClient } from "@libsql/client";
import type { Page } from "@playwright/test";
import { expect, type House, hydrated, test } from "./house.ts";

test.use({ houseOf: "views" });

/** Every main view, by the address it has in this house. */
async function addressesOf(house: House): Promise<Record<string, string>> {
	const client = createClient({ url: `file:${house.database}` });
	const { rows } = await client.execute(
		"SELECT s.id AS sitting, d.id AS dish FROM sitting s JOIN sitting_dish d ON d.sitting_id = s.id WHERE s.name = 'Festival supper' ORDER BY d.position",
	);
	client.close();
	const [goat, mutton] = rows;
	const table = `/sittings/${goat?.sitting}/dishes/${goat?.dish}`;
	return {
		today: "/",
		book: "/book",
		card: "/book/goat-shoulder",
		"card, at a size": "/book/pork-collar?basis=onHand&size=12+kg",
		preparation: "/book/light-stock",
		"new recipe": "/book/new",
		writing: "/book/goat-shoulder/write",
		versions: "/book/goat-shoulder/versions",
		cost: "/book/goat-shoulder/cost",
		"card for print": "/book/goat-shoulder/print",
		ingredients: "/book/ingredients?category=spice",
		ingredient: "/book/ingredients/celery",
		"new ingredient": "/book/ingredients/new",
		"in and out": "/book/exchange",
		sittings: "/sittings",
		"new sitting": "/sittings/new",
		sitting: `/sittings/${goat?.sitting}`,
		"long table, buy": `${table}?place=buy`,
		"long table, sear": `${table}?place=sear`,
		"long table, pan up": table,
		"long table, build": `${table}?place=build`,
		"long table, braise": `${table}?place=braise`,
		"long table, sauce": `${table}?place=sauce`,
		"long table, marinate": `/sittings/${mutton?.sitting}/dishes/${mutton?.dish}?place=marinate`,
		"long table, on trial": `${table}?basis=covers&covers=400&uptake=62&spare=5&date=2026-12-05&time=19:00`,
		"long table, refused": `${table}?basis=onHand&covers=140&uptake=62&spare=5&date=2026-12-05&time=19:00&onHand=1+g`,
		"long table, mistyped": `${table}?basis=covers&covers=none&uptake=62&spare=5&date=2026-12-05&time=19:00`,
		sheet: `${table}/sheet`,
		"cutting note": `${table}/cutting`,
		"pan labels": `${table}/labels`,
		"order sheet": `/sittings/${goat?.sitting}/order`,
		lab: "/lab",
		"training round": "/lab/rounds?round=4711&at=1",
		kitchen: "/kitchen",
		house: "/kitchen/house",
		pan: "/kitchen/pans/gn-1-1-100",
		"new pan": "/kitchen/pans/new",
		"measure a pan": "/kitchen/pans/measure",
		oven: "/kitchen/ovens/north-oven",
		"at this desk": "/preferences",
		"not there": "/nowhere",
	};
}

test.describe.configure({ mode: "parallel" });

/** Colours are the same at every width, so contrast is looked at once by each light. */
const PASSES = [
	{ light: "bench", width: 1280, rules: "all" },
	{ light: "bench", width: 768, rules: "all but contrast" },
	{ light: "bench", width: 390, rules: "all but contrast" },
	{ light: "evening", width: 1280, rules: "contrast" },
] as const;

for (const { light, width, rules } of PASSES) {
	test(`no view breaks an accessibility rule, scrolls sideways or complains, ${width} wide, light: ${light}`, async ({
		page,
		house,
	}) => {
		const said: string[] = [];
		test.setTimeout(360_000);
		page.on("console", (message) => {
			if (["error", "warning"].includes(message.type())) said.push(`${page.url()}: ${message.text()}`);
		});
		page.on("pageerror", (error) => said.push(`${page.url()}: ${error.message}`));
		await page.setViewportSize({ width, height: width === 390 ? 844 : 800 });
		await page.goto("/");
		if (light === "evening") await page.getByRole("button", { name: "Evening" }).click();
		await expect(page.locator("html")).toHaveAttribute("data-light", light);
		for (const [name, address] of Object.entries(await addressesOf(house))) {
			await page.goto(address);
			await expect(page.getByRole("main"), name).toBeVisible();
			await hydrated(page);
			expect(await sidewaysScroll(page), name).toBe(0);
			const axe = new AxeBuilder({ page });
			if (rules === "contrast") axe.withRules(["color-contrast"]);
			if (rules === "all but contrast") axe.disableRules(["color-contrast"]);
			const { violations } = await axe.analyze();
			const found = violations.map(
				({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(" | ")}`,
			);
			expect(found, name).toEqual([]);
		}
		expect(said.filter((text) => !text.includes("404 (Not Found)"))).toEqual([]);
	});
}

test("without scripts the table still reads, tries and takes", async ({ browser, house }) => {
	const plain = await browser.newContext({ javaScriptEnabled: false, locale: "en-GB" });
	const page = await plain.newPage();
	const { "long table, pan up": table = "" } = await addressesOf(house);
	await page.goto(house.url + table);
	await page.getByLabel("Covers", { exact: true }).fill("150");
	await page.getByRole("button", { name: "Try it" }).click();
	await expect(page.getByText("was 27 kg")).toBeVisible();
	await page.getByRole("button", { name: /Take it/ }).click();
	await expect(page.getByText("was 27 kg")).toHaveCount(0);
	await expect(page.getByLabel("Covers", { exact: true })).toHaveValue("150");
	await plain.close();
});

async function sidewaysScroll(page: Page): Promise<number> {
	return page.evaluate(() =>
		Math.max(0, document.documentElement.scrollWidth - document.documentElement.clientWidth),
	);
}
