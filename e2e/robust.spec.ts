import { request as http } from "node:http";
import { createClient } from "@libsql/client";
import type { Browser, Page } from "@playwright/test";
import Database from "libsql";
import { expect, House, hydrated, test } from "./house.ts";

test.use({ houseOf: "robust" });

async function openSupper(page: Page): Promise<string> {
	await page.goto("/sittings");
	await page.getByRole("link", { name: "Festival supper" }).click();
	await expect(page.getByLabel("Covers")).toBeVisible();
	return page.url();
}

async function atDesk(browser: Browser, house: House, name: string): Promise<Page> {
	const context = await browser.newContext({ baseURL: house.url, locale: "en-GB" });
	const page = await context.newPage();
	await page.goto("/preferences");
	await page.getByLabel(/Your name/).fill(name);
	await page.getByRole("button", { name: /Keep it/ }).click();
	await expect(page).toHaveURL(`${house.url}/`);
	return page;
}

test("two people edit one sitting: the second is shown what changed, and nothing is overwritten unseen", async ({
	browser,
	house,
}) => {
	const ada = await atDesk(browser, house, "Ada");
	const bo = await atDesk(browser, house, "Bo");
	const address = await openSupper(ada);
	await bo.goto(address);
	await ada.getByLabel("Covers").fill("160");
	await ada.getByRole("button", { name: /Save/ }).last().click();
	await expect(ada.getByText("Hall, 160 covers")).toBeVisible();

	await bo.getByLabel("Room").fill("Long barn");
	await bo.getByRole("button", { name: /Save/ }).last().click();
	await expect(bo.getByRole("alert")).toContainText("covers: 140 → 160");
	await expect(bo.getByRole("alert")).toContainText("by Ada");
	await expect(bo.getByLabel("Room")).toHaveValue("Long barn");
	await ada.reload();
	await expect(ada.getByText("Hall, 160 covers")).toBeVisible();

	await bo.getByLabel("Covers").fill("160");
	await bo.getByRole("button", { name: /Save/ }).last().click();
	await expect(bo.getByText("Long barn, 160 covers")).toBeVisible();
});

test("a wrong form is answered with 400, names the field and what is allowed, and keeps what was typed", async ({
	page,
}) => {
	await openSupper(page);
	await page.getByLabel("Covers").fill("lots");
	await page.getByLabel("Note for the kitchen").fill("Keep me");
	await page.getByLabel("Uptake").first().fill("0");
	const [answer] = await Promise.all([
		page.waitForResponse((response) => response.request().method() === "POST"),
		page.getByRole("button", { name: /Save/ }).last().click(),
	]);
	expect(answer.status()).toBe(400);
	await expect(page.getByText("“lots” was given; a whole number from 1 to 100,000 is allowed")).toBeVisible();
	await expect(page.getByText(/“0” was given; a percentage from 0.1 to 100/)).toBeVisible();
	await expect(page.getByLabel("Covers")).toHaveValue("lots");
	await expect(page.getByLabel("Note for the kitchen")).toHaveValue("Keep me");

	await page.goto("/kitchen/pans/new");
	await page.getByLabel("Name on the shelf").fill("Odd one");
	await page.getByLabel("Depth").fill("77");
	await page.getByRole("button", { name: /Add it/ }).click();
	await expect(page.getByText("a gastronorm is 20, 40, 65, 100, 150, 200 mm deep")).toBeVisible();
	await expect(page.getByLabel("Name on the shelf")).toHaveValue("Odd one");
});

test("what is marked before the page is taken over stays marked, and is written over", async ({ page }) => {
	let go = () => {};
	const marked = new Promise<void>((done) => {
		go = done;
	});
	await page.route("**/assets/entry.client-*.js", async (route) => {
		await marked;
		await route.continue();
	});
	await page.goto("/book/goat-shoulder/write", { waitUntil: "commit" });
	await page.getByLabel(/^Line: 250 g carrots/).selectText();
	go();
	await hydrated(page);
	await page.keyboard.insertText("250 g parsnips");
	await expect(page.getByLabel("Line: 250 g parsnips", { exact: true })).toHaveValue("250 g parsnips");
});

test("when the connection is gone nothing typed is lost, and it is saved once it is back", async ({
	page,
	context,
}) => {
	await openSupper(page);
	await hydrated(page);
	await page.getByLabel("Note for the kitchen").fill("Lamp at eight");
	await context.setOffline(true);
	await page.getByRole("button", { name: /Save/ }).last().click();
	await expect(page.getByRole("alert")).toContainText("Not saved: the house's server does not answer");
	await expect(page.getByLabel("Note for the kitchen")).toHaveValue("Lamp at eight");
	await context.setOffline(false);
	await page.getByRole("button", { name: /Save/ }).last().click();
	await expect(page.getByRole("alert")).toHaveCount(0);
	await page.reload();
	await expect(page.getByLabel("Note for the kitchen")).toHaveValue("Lamp at eight");
});

test("when the database cannot be written nothing typed is lost, others read on, and it is saved once it can", async ({
	page,
	house,
}) => {
	await openSupper(page);
	await hydrated(page);
	await page.getByLabel("Note for the kitchen").fill("Tide at nine");
	const other = new Database(house.database);
	other.exec("BEGIN IMMEDIATE");
	await page.getByRole("button", { name: /Save/ }).last().click();
	await expect(page.getByRole("alert")).toContainText("Not saved: another program has held the database");
	await expect(page.getByLabel("Note for the kitchen")).toHaveValue("Tide at nine");
	expect(await (await page.request.get("/healthz")).text()).toContain("read only: another program");
	expect((await page.request.get("/book")).status()).toBe(200);
	other.exec("ROLLBACK");
	other.close();
	await page.getByRole("button", { name: /Save/ }).last().click();
	await expect(page.getByRole("alert")).toHaveCount(0);
	await page.reload();
	await expect(page.getByLabel("Note for the kitchen")).toHaveValue("Tide at nine");
	expect(await (await page.request.get("/healthz")).text()).toBe("ok");
});

test("a card that was not numbered for want of a reason is numbered once it has one", async ({ page }) => {
	await page.goto("/book/veal-breast/write");
	await hydrated(page);
	await page.getByLabel("In a sentence").fill("Rolled, slow, with the lamp lit.");
	await expect(page.getByText(/^Draft, kept at/)).toBeVisible();
	await page.getByRole("button", { name: "Approve as the standard" }).click();
	await expect(page.getByRole("alert")).toContainText("a sentence that says why is needed");
	await page.getByLabel("Why it is changed").fill("The sentence was dull");
	await page.getByRole("button", { name: "Approve as the standard" }).click();
	await expect(page).toHaveURL(/\/book\/veal-breast\?numbered=2$/);
	await expect(page.getByText("Rolled, slow, with the lamp lit.")).toBeVisible();
});

test("pans and ovens are added, changed and taken out of use", async ({ page }) => {
	await page.goto("/kitchen");
	await page.getByRole("link", { name: /Add a pan/ }).click();
	await page.getByLabel("Name on the shelf").fill("Copper 320");
	await page.getByLabel("Shape").selectOption("round");
	await page.getByLabel("Inside diameter").fill("320");
	await page.getByLabel("Depth").fill("140");
	await page.getByRole("button", { name: /Add it/ }).click();
	await expect(page.getByRole("row", { name: /Copper 320/ })).toContainText("11.3 l");
	await page.getByRole("link", { name: "Copper 320" }).click();
	await page.getByRole("button", { name: "Take out of use" }).click();
	await expect(page.getByRole("link", { name: "Copper 320" })).toHaveCount(0);
	await page.getByRole("link", { name: "North oven" }).click();
	await page.getByLabel("Hottest").fill("20");
	await page.getByRole("button", { name: /Save/ }).click();
	await expect(page.getByText("20 was given; the coolest (60 °C) or more is allowed")).toBeVisible();
});

test("what is not there gets a page of its own, and never a 500", async ({ page, house }) => {
	for (const [path, words] of [
		["/sittings/none", "There is no such sitting."],
		["/book/none", "There is no such recipe."],
		["/book/goat-shoulder?version=99", "There is no such recipe."],
		["/kitchen/pans/none", "There is no such kind of pan."],
		["/kitchen/ovens/none", "There is no such oven."],
		["/kitchen/people/none", "There is no such cook."],
		["/kitchen/places/none", "There is no such place."],
		["/no/such/page", "There is no page here."],
	] as const) {
		const answer = await page.goto(path);
		expect(answer?.status(), path).toBe(404);
		await expect(page.getByRole("heading", { name: words })).toBeVisible();
		await expect(page.getByRole("link", { name: "Go to Today" })).toBeVisible();
	}
	const odd = [
		"/sittings/%00",
		"/book/..%2f..%2fetc",
		"/?_routes=x",
		"/book?find=%F0%9F%8D%B2",
		"/book?find=%22%20OR%20*&page=0&state=x",
		"/book/goat-shoulder?basis=moon&size=%00",
		"/book/goat-shoulder/versions?from=9&to=x",
		"/lab?pan=%00&pan={}&pan=[1]&pan=null",
		"/lab/rounds?round=1e99&at=x",
		"/book/export/none.json",
		"/book/export/..%2fbook.json",
		"/sittings/new.data?x=1",
		`/book/${"a".repeat(3000)}`,
	];
	for (const path of odd) expect((await fetch(house.url + path)).status, path).toBeLessThan(500);
});

test("junk sent to every action is refused, never a 500, and changes nothing", async ({ page, house }) => {
	const address = await openSupper(page);
	const dish = await page.getByRole("link", { name: "Open the long table" }).first().getAttribute("href");
	const before = await everything(house);
	const junk = [
		{},
		{ covers: "NaN", version: "x" },
		{ covers: "1e99", date: "0000-00-00", time: "99:99", name: "\u0000" },
		{ intent: "remove:", basis: "pans", pans: "-1" },
	];
	for (const path of [
		new URL(address).pathname,
		dish ?? "",
		"/sittings/new",
		"/book/new",
		"/book/goat-shoulder/write",
		"/book/goat-shoulder/versions",
		"/book/goat-shoulder/cost",
		"/book/ingredients/new",
		"/book/ingredients/salt",
		"/book/exchange",
		"/book/exchange/none",
		"/kitchen/pans/new",
		"/kitchen/pans/gn-1-1-100",
		"/kitchen/ovens/new",
		"/kitchen/people/new",
		"/kitchen/people/ina",
		"/kitchen/places/new",
		"/day/2026-12-05",
		"/day/2026-13-05",
		"/kitchen/house",
		"/lab/rounds",
		"/lab/rounds?round=4711&at=2",
		"/no/such/page",
	]) {
		for (const fields of junk) {
			const answer = await fetch(house.url + path, {
				method: "POST",
				body: new URLSearchParams(fields as Record<string, string>),
				headers: { origin: house.url },
				redirect: "manual",
			});
			expect(answer.status, `${path} ${JSON.stringify(fields)}`).toBeGreaterThanOrEqual(400);
			expect(answer.status, `${path} ${JSON.stringify(fields)}`).toBeLessThan(500);
		}
	}
	expect(await everything(house)).toEqual(before);
});

test("every answer carries its policy, with a fresh nonce and no inline scripts", async ({ page, house }) => {
	const policies = await Promise.all(
		[1, 2].map(async () => (await fetch(house.url)).headers.get("content-security-policy") ?? ""),
	);
	for (const policy of policies) {
		expect(policy).toMatch(/script-src 'self' 'nonce-[^']+'(;|$)/);
		expect(policy.match(/script-src[^;]*/)?.[0]).not.toContain("unsafe-inline");
		expect(policy).toContain("frame-ancestors 'none'");
	}
	expect(policies[0]).not.toBe(policies[1]);
	const answer = await fetch(house.url);
	expect(answer.headers.get("x-content-type-options")).toBe("nosniff");
	expect(answer.headers.get("x-powered-by")).toBeNull();
	await page.goto("/");
	expect(await page.locator("script:not([src]):not([nonce])").count()).toBe(0);
});

test("a change from another site, or too large, or of no known length, is not carried out", async ({
	page,
	house,
}) => {
	await openSupper(page);
	const body = new URLSearchParams({ name: "x" });
	const send = (headers: Record<string, string>, sent: string | URLSearchParams = body) =>
		fetch(`${house.url}/sittings/new`, {
			method: "POST",
			body: sent,
			headers: { "content-type": "application/x-www-form-urlencoded", ...headers },
			redirect: "manual",
		});
	expect((await send({ origin: "https://elsewhere.example" })).status).toBe(403);
	expect((await send({ origin: "null" })).status).toBe(403);
	expect((await send({})).status).toBe(403);
	expect((await send({ origin: house.url }, `note=${"x".repeat(300_000)}`)).status).toBe(413);
	expect(await chunked(house)).toBe(411);
});

test("it says that it is well, and ends cleanly on SIGTERM in the middle of saves", async () => {
	const house = new House();
	house.seed();
	await house.start();
	expect(await (await fetch(`${house.url}/healthz`)).text()).toBe("ok");
	const saves = Array.from({ length: 12 }, (_, index) => save(house, `Last orders ${index}`));
	await Promise.race(saves);
	expect(await house.stop("SIGTERM")).toBe(0);
	const answered = (await Promise.all(saves)).filter((name): name is string => name !== undefined);
	expect(answered.length).toBeGreaterThan(0);
	expect(await sittingNames(house)).toEqual(expect.arrayContaining(answered));
});

/** Kills of the server: a few in every test, many in the soak. */
const KILLS = Number(process.env.WT_KILLS ?? 3);

test(`kill -9 in the middle of saves loses nothing that was answered, ${KILLS} times`, async () => {
	// Each starts the server anew, on a machine that others want too.
	test.setTimeout(KILLS * 20_000);
	const house = new House();
	house.seed();
	const answered: string[] = [];
	for (let round = 0; round < KILLS; round += 1) {
		await house.start();
		const saves = Array.from({ length: 8 }, (_, index) => save(house, `Round ${round}, save ${index}`));
		for (let wait = 0; wait <= round % 4; wait += 1) await Promise.race(saves.slice(wait));
		await house.stop("SIGKILL");
		answered.push(...(await Promise.all(saves)).filter((name): name is string => name !== undefined));
	}
	expect(answered.length).toBeGreaterThanOrEqual(KILLS);
	await house.start();
	const stored = await sittingNames(house);
	expect(stored.filter((name) => name.startsWith("Round"))).toEqual(expect.arrayContaining(answered));
	expect(await integrity(house)).toBe("ok");
	await house.stop();
});

/** Saves a sitting; gives its name only when the server has answered that it is stored. */
async function save(house: House, name: string): Promise<string | undefined> {
	const fields = { name, room: "", date: "2027-05-01", time: "12:00", covers: "20", hands: "1", note: "" };
	const answer = await fetch(`${house.url}/sittings/new`, {
		method: "POST",
		body: new URLSearchParams(fields),
		headers: { origin: house.url },
		redirect: "manual",
	}).catch(() => undefined);
	return answer?.status === 302 ? name : undefined;
}

async function sittingNames(house: House): Promise<string[]> {
	const client = createClient({ url: `file:${house.database}` });
	const { rows } = await client.execute(
		"SELECT s.name FROM sitting s JOIN event e ON e.subject_id = s.id AND e.what = 'added'",
	);
	client.close();
	return rows.map((row) => String(row.name));
}

async function integrity(house: House): Promise<string> {
	const client = createClient({ url: `file:${house.database}` });
	const { rows } = await client.execute("PRAGMA integrity_check");
	client.close();
	return String(rows[0]?.integrity_check);
}

async function everything(house: House): Promise<string> {
	const client = createClient({ url: `file:${house.database}` });
	const tables = ["house", "pan_type", "oven", "sitting", "sitting_dish", "event"];
	const rows = await Promise.all(tables.map((table) => client.execute(`SELECT * FROM ${table}`)));
	client.close();
	return JSON.stringify(rows.map((row) => row.rows));
}

function chunked(house: House): Promise<number | undefined> {
	return new Promise((resolve, reject) => {
		const sent = http(
			`${house.url}/sittings/new`,
			{ method: "POST", headers: { origin: house.url, "transfer-encoding": "chunked" } },
			(answer) => {
				answer.resume();
				resolve(answer.statusCode);
			},
		);
		sent.on("error", reject);
		sent.end("name=x");
	});
}
