import { addressesOf } from "./addresses.ts";
import { expect, test } from "./house.ts";

test.use({ houseOf: "kitchen" });
test.describe.configure({ mode: "serial" });

/** The hottest that a sheet has its ovens set to, °C. */
const hottest = (words: string) => Math.max(...[...words.matchAll(/(\d+) °C/g)].map(([, C]) => Number(C)));

const saved = (what: RegExp) => ({ name: what });

test("an oven that runs hot, with a slow fan, is told so, and is set lower", async ({ page, house }) => {
	const { sheet = "" } = await addressesOf(house.database);
	const ovens = async () => {
		await page.goto(sheet);
		return (await page.locator("dl > div", { hasText: /^Oven/ }).textContent()) ?? "";
	};
	const before = await ovens();
	for (const oven of ["north-oven", "south-oven"]) {
		await page.goto(`/kitchen/ovens/${oven}`);
		await page.getByLabel("Hotter than it says by").fill("60");
		await page.getByRole("button", saved(/^Save/)).click();
		// Refused in words, and what was typed is still there.
		const field = page.getByLabel("Hotter than it says by");
		await expect(field).toHaveAttribute("aria-invalid", "true");
		await expect(field).toHaveValue("60");
		await field.fill("20");
		await page.getByLabel("Its fan blows").selectOption("slow");
		await page.getByLabel("Opened to look").fill("3");
		await page.getByRole("button", saved(/^Save/)).click();
		await expect(page).toHaveURL(/\/kitchen$/);
		await page.goto(`/kitchen/ovens/${oven}`);
		await expect(page.getByLabel("Hotter than it says by")).toHaveValue("20");
		await expect(page.getByLabel("Its fan blows")).toHaveValue("slow");
		await expect(page.getByLabel("Opened to look")).toHaveValue("3");
	}
	expect(hottest(await ovens())).toBeLessThan(hottest(before));
});

test("a house code of its own says how quickly food comes up, and the sheet holds the dish against it", async ({
	page,
	house,
}) => {
	const { sheet = "" } = await addressesOf(house.database);
	await page.goto(sheet);
	await expect(page.getByText(/Coming up, .* at its coldest within 3 h: .*: met/)).toBeVisible();
	await page.goto("/kitchen/codes/new");
	for (const [field, typed] of [
		["name", "Skerry rule"],
		["source", "the house's own book"],
		["dated", "2026"],
		["standing_min", "30"],
		["from_C", "57"],
		["comingUp_min", "15"],
		["holdHot_C", "63"],
		["first_C", "21"],
		["first_min", "120"],
		["second_C", "5"],
		["second_min", "360"],
		["reheat_C", "75"],
	] as const)
		await page.locator(`[name=${field}]`).fill(typed);
	await page.getByRole("button", saved(/^(Save|Add)/)).click();
	await expect(page).toHaveURL(/\/kitchen$/);
	await page.goto("/kitchen/house");
	const own = page.getByLabel("House code").getByRole("option", { name: /Skerry rule/ });
	await page.getByLabel("House code").selectOption(await own.getAttribute("value"));
	await page.getByRole("button", saved(/^Save/)).click();
	await expect(page).toHaveURL(/\/kitchen$/);
	await page.goto(sheet);
	await expect(page.getByText(/Coming up, .* at its coldest within 15 min: .*: missed/)).toBeVisible();
});
