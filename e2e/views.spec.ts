import AxeBuilder from "@axe-core/playwright";
import { createClient } from "@libsql/client";
import type { Page } from "@playwright/test";
import { expect, type House, hydrated, test } from "./house.ts";

test.use({ houseOf: "views" });

/** Every main view, by the address it has in this house. */
async function addressesOf(house: House): Promise<Record<string, string>> {
	const client = createClient({ url: `file:${house.database}` });
	const { rows } = await client.execute(
		"SELECT s.id AS sitting, s.service_at AS served, d.id AS dish FROM sitting s JOIN sitting_dish d ON d.sitting_id = s.id WHERE s.name IN ('Festival supper', 'Ferry packed lunch') ORDER BY s.name DESC, d.position",
	);
	client.close();
	const [ferried] = rows.slice(-2);
	const [goat, mutton] = rows;
	const day = `/day/${new Intl.DateTimeFormat("en-CA", { timeZone: "Atlantic/Faroe" }).format(Number(goat?.served))}`;
	const table = `/sittings/${goat?.sitting}/dishes/${goat?.dish}`;
	return {
		today: "/",
		book: "/book",
		card: "/book/goat-shoulder",
		"card, at a size": "/book/pork-collar?basis=onHand&size=12+kg",
		variant: "/book/pork-collar-apple",
		"base of a variant": "/book/pork-collar-apple/base",
		lesson: "/book/lamb-potato-rosemary/lesson",
		preparation: "/book/light-stock",
		"new recipe": "/book/new",
		writing: "/book/goat-shoulder/write",
		"writing, two mains": "/book/pork-chicken-saffron/write",
		versions: "/book/goat-shoulder/versions",
		cost: "/book/goat-shoulder/cost",
		"card for print": "/book/goat-shoulder/print",
		ingredients: "/book/ingredients?category=spice",
		ingredient: "/book/ingredients/celery",
		"new ingredient": "/book/ingredients/new",
		"in and out": "/book/exchange",
		sittings: "/sittings",
		day,
		"day, on trial": `${day}?change=${encodeURIComponent(JSON.stringify({ kind: "covers", sitting: goat?.sitting, covers: 170 }))}`,
		"day sheet": `${day}/paper`,
		"new sitting": "/sittings/new",
		sitting: `/sittings/${goat?.sitting}`,
		"long table, buy": `${table}?place=buy`,
		"long table, sear": `${table}?place=sear`,
		"long table, pan up": table,
		"long table, build": `${table}?place=build`,
		"long table, braise": `${table}?place=braise`,
		"long table, sauce": `${table}?place=sauce`,
		"long table, marinate": `/sittings/${mutton?.sitting}/dishes/${mutton?.dish}?place=marinate`,
		"long table, chill": `/sittings/${ferried?.sitting}/dishes/${ferried?.dish}?place=chill`,
		"long table, carry": `/sittings/${ferried?.sitting}/dishes/${ferried?.dish}?place=carry`,
		"long table, on trial": `${table}?basis=covers&covers=400&uptake=62&spare=5&date=2026-12-05&time=19:00`,
		"long table, refused": `${table}?basis=onHand&covers=140&uptake=62&spare=5&date=2026-12-05&time=19:00&onHand=1+g`,
		"long table, mistyped": `${table}?basis=covers&covers=none&uptake=62&spare=5&date=2026-12-05&time=19:00`,
		sheet: `${table}/sheet`,
		"cutting note": `${table}/cutting`,
		"pan labels": `${table}/labels`,
		"order sheet": `/sittings/${goat?.sitting}/order`,
		records: "/records",
		lot: "/records/lots/3",
		"lot, spread": "/records/lots/2",
		"labels of a lot": "/records/lots/1/labels",
		"new lot": "/records/lots/new",
		"new lot of a dish": `/records/lots/new?sitting=${goat?.sitting}&dish=${goat?.dish}`,
		delivery: "/records/deliveries/1",
		"new delivery": "/records/deliveries/new",
		"record sheets": "/records/sheets",
		lab: "/lab",
		"training round": "/lab/rounds?round=4711&at=1",
		kitchen: "/kitchen",
		house: "/kitchen/house",
		pan: "/kitchen/pans/gn-1-1-100",
		"new pan": "/kitchen/pans/new",
		"measure a pan": "/kitchen/pans/measure",
		oven: "/kitchen/ovens/north-oven",
		cook: "/kitchen/people/ina",
		"new place": "/kitchen/places/new",
		"at this desk": "/preferences",
		"not there": "/nowhere",
	};
}

test.describe.configure({ mode: "parallel" });

/** Every rule on every view, at every width and in both lights: where there is time, in the soak. */
const THOROUGH = process.env.WT_THOROUGH !== undefined;
/** The desk, the tablet and the telephone. */
const WIDTHS = [1280, 768, 390] as const;

/**
 * Every second view, by light. Colours come from one theme: contrast is looked at on one half by day,
 * on the other by evening.
 */
const PASSES = [
	{ light: "bench", half: 0, rules: "all" },
	{ light: "bench", half: 1, rules: THOROUGH ? "all" : "all but contrast" },
	{ light: "evening", half: 1, rules: "contrast" },
	...(THOROUGH ? [{ light: "evening", half: 0, rules: "contrast" } as const] : []),
] as const;
type Rules = (typeof PASSES)[number]["rules"];

for (const { light, half, rules } of PASSES) {
	test(`no view breaks an accessibility rule, scrolls sideways or complains, half ${half + 1}, light: ${light}`, async ({
		page,
		house,
	}) => {
		const said: string[] = [];
		test.setTimeout(THOROUGH ? 900_000 : 360_000);
		page.on("console", (message) => {
			if (["error", "warning"].includes(message.type())) said.push(`${page.url()}: ${message.text()}`);
		});
		page.on("pageerror", (error) => said.push(`${page.url()}: ${error.message}`));
		await page.goto("/");
		if (light === "evening") await page.getByRole("button", { name: "Evening" }).click();
		await expect(page.locator("html")).toHaveAttribute("data-light", light);
		const views = Object.entries(await addressesOf(house)).filter((_, index) => index % 2 === half);
		for (const [name, address] of views) {
			await page.setViewportSize({ width: WIDTHS[0], height: 800 });
			await page.goto(address);
			await expect(page.getByRole("main"), name).toBeVisible();
			await hydrated(page);
			for (const width of widthsFor(rules)) {
				await page.setViewportSize({ width, height: width === 390 ? 844 : 800 });
				// A chart takes the new width a moment after the page has it.
				await expect.poll(() => sidewaysScroll(page), `${name}, ${width} wide`).toBe(0);
				if (width === WIDTHS[0] || THOROUGH) {
					expect(await broken(page, rules), `${name}, ${width} wide`).toEqual([]);
				}
			}
		}
		expect(said.filter((text) => !text.includes("404 (Not Found)"))).toEqual([]);
	});
}

/** Widths are the same by evening: there only its colours are looked at. */
function widthsFor(rules: Rules): readonly number[] {
	return rules === "contrast" && !THOROUGH ? WIDTHS.slice(0, 1) : WIDTHS;
}

/** What breaks a rule of accessibility, with where. */
async function broken(page: Page, rules: Rules): Promise<string[]> {
	const axe = new AxeBuilder({ page });
	if (rules === "contrast") axe.withRules(["color-contrast"]);
	if (rules === "all but contrast") axe.disableRules(["color-contrast"]);
	const { violations } = await axe.analyze();
	return violations.map(
		({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(" | ")}`,
	);
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
