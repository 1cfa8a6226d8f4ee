import { test } from "./house.ts";
test.use({ houseOf: "zz" });
test("x", async ({ page, house }) => {
	void house;
	for (const [name, path] of [["today","/"],["records","/records"],["lot1","/records/lots/1"],["lot2","/records/lots/2"],["lot3","/records/lots/3"],["labels","/records/lots/3/labels"]] as const) {
		await page.setViewportSize({ width: 1280, height: 800 });
		await page.goto(path);
		await page.waitForTimeout(800);
		await page.screenshot({ path: `/tmp/shots/${name}.png` });
		console.log(name, (await page.locator("main").innerText()).slice(0, 700).replace(/\n/g, " | "));
	}
});
