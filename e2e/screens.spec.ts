import { addressesOf, sheetsOf } from "./addresses.ts";
import { expect, hydrated, settled, test } from "./house.ts";

test.use({ houseOf: "screens" });
test.describe.configure({ mode: "parallel" });

test("no production, order or day sheet of the demo is longer than two pages", async ({ page, house }) => {
	test.setTimeout(180_000);
	const { "day sheet": day = "", "order sheet": order = "" } = await addressesOf(house.database);
	const sheets = [...(await sheetsOf(house.database)), day, order];
	expect(sheets.length).toBeGreaterThan(7);
	for (const sheet of sheets) {
		await page.goto(sheet);
		for (const format of ["A4", "Letter"] as const) {
			const paper = (await page.pdf({ format })).toString("latin1");
			const pages = paper.match(/\/Type\s*\/Page\b/g)?.length ?? 0;
			expect(pages, `${sheet} on ${format}`).toBeGreaterThan(0);
			expect.soft(pages, `${sheet} on ${format}`).toBeLessThanOrEqual(2);
		}
	}
});

test("at the desk the open place begins in the upper part of the screen", async ({ page, house }) => {
	await page.setViewportSize({ width: 1280, height: 800 });
	const addresses = await addressesOf(house.database);
	const tables = Object.entries(addresses).filter(([name]) =>
		/^long table, (buy|sear|pan up|braise)$/.test(name),
	);
	expect(tables).toHaveLength(4);
	for (const [name, address] of tables) {
		await page.goto(address);
		await hydrated(page);
		await settled(page);
		const strip = await page.getByRole("navigation", { name: "The long table" }).boundingBox();
		expect((strip?.y ?? Number.POSITIVE_INFINITY) + (strip?.height ?? 0), name).toBeLessThan(300);
	}
});

test("a drawing is laid out for the window, and keeps its scale while that is squeezed to nothing", async ({
	page,
	house,
}) => {
	const { "long table, rest": address = "" } = await addressesOf(house.database);
	await page.setViewportSize({ width: 1280, height: 800 });
	await page.goto(address);
	await hydrated(page);
	await settled(page);
	const tray = page.getByRole("img", { name: /^Tray/ });
	const laid = async () => Number((await tray.getAttribute("viewBox"))?.split(" ")[2]);
	const wide = await laid();
	expect(wide).toBeGreaterThan(400);
	await page.setViewportSize({ width: 1, height: 1 });
	await page.evaluate(
		() => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))),
	);
	expect(await laid()).toBe(wide);
	await page.setViewportSize({ width: 390, height: 800 });
	await expect.poll(laid).toBeLessThan(390);
});
