import { DAY_MS, dayTyped, HOUR_MS, laterDay, MINUTE_MS, wallClock } from "#core/time";
import { expect, type House, hydrated, post, test } from "./house.ts";

test.use({ houseOf: "passport" });

const ZONE = "Pacific/Auckland";

const typedAt = (at: number) => {
	const { date, time } = wallClock(at, ZONE);
	return { date, time };
};

/** What the PDF-less pages, sheets and files of a lot say of it, as text. */
async function text(house: House, path: string): Promise<string> {
	return (await fetch(house.url + path)).text();
}

test("a lot's day in a house at UTC+12 that reads °F: missed by a minute, decided, frozen, thawed, served, recalled", async ({
	page,
	house,
}) => {
	test.setTimeout(240_000);
	await page.goto("/kitchen/house");
	await hydrated(page);
	await page.getByLabel("Time zone").selectOption(ZONE);
	await page.getByLabel("Units").selectOption("us");
	await page.getByLabel("House code").selectOption("twoStage57");
	await page.getByRole("button", { name: /^Save/ }).click();
	await expect(page.getByText(/say what their times mean in Pacific\/Auckland/)).toBeVisible();
	await page.getByLabel("Sittings to come are served at").selectOption("clock");
	await page.getByRole("button", { name: /^Save/ }).click();
	await expect(page).toHaveURL(/\/kitchen$/);

	// Whole minutes are typed; all of it was yesterday and before, by the house's clock.
	const now = Math.floor(Date.now() / MINUTE_MS) * MINUTE_MS;
	const lifted = now - 40 * HOUR_MS;
	let sent = 0;
	const write = async (path: string, at: number, fields: Record<string, string>) => {
		sent += 1;
		const where = await post(house, path, { ...fields, ...typedAt(at), clientId: `passport-${sent}` });
		expect(where, JSON.stringify(fields)).toMatch(/^\/records/);
		return where;
	};

	// A delivery, in pounds and °F, whose packet names more than the book does.
	const delivery = await write("/records/deliveries/new", lifted - 20 * HOUR_MS, {
		...{ name: "goat shoulder", kg: "44", C: "38.5", supplier: "Holm farm", supplierLot: "G-114", note: "" },
		...{ packet: "on", "may.nuts": "on" },
	});
	await page.goto(delivery);
	await expect(page.getByText(/The packet may contain nuts, and the book does not/)).toBeVisible();
	await expect(page.getByText("38.5 °F")).toBeVisible();

	const offered = await text(house, "/records/lots/new");
	const goat = /\?sitting=([\w-]+)&amp;dish=([\w-]+)"[^>]*>[^<]*Goat/.exec(offered);
	if (!goat?.[1] || !goat[2]) throw new Error("the demo has no goat");
	const there = await write("/records/lots/new", lifted, {
		...{ sitting: goat[1], dish: goat[2], place: "Cold room", cooled: "on", portions: "24" },
		...{ "pan.0.tag": "G1", "pan.0.vessel": "GN 1/1-65", "pan.0.kg": "13.2 lb", "pan.0.depth": "2" },
		from: delivery.split("/").at(-1) ?? "",
	});
	const lot = there.split("/").at(-1);

	// 135 °F at ten past, 70 °F two hours and a minute later: the clock runs from its crossing to the crossing of 70.
	const from = lifted + 10 * MINUTE_MS;
	const watchOf = async () => {
		const html = await text(house, there);
		return Math.max(...[...html.matchAll(/\?watch=(\d+)/g)].map(([, watch]) => Number(watch)));
	};
	const read = async (watch: number, minutes: number, F: number) =>
		write(there, from + minutes * MINUTE_MS, { intent: "read", watch: String(watch), C: String(F) });
	const first = await watchOf();
	for (const [minutes, F] of [
		[-9, 150],
		[0, 135],
		[121, 70],
	] as const)
		await read(first, minutes, F);
	await page.goto(there);
	await expect(page.getByRole("group", { name: "Passport" })).toContainText("DO NOT USE");
	await expect(page.getByText(/missed by less than 1 min/).first()).toBeVisible();

	// Screen, sheet, file and label give one verdict.
	const days = `from=${wallClock(lifted - DAY_MS, ZONE).date}&to=${wallClock(now, ZONE).date}`;
	expect(await text(house, `/records/sheets?kind=cooling&${days}`)).toMatch(/missed/);
	expect(await text(house, `/records/sheets/sheet.csv?kind=cooling&${days}`)).toMatch(/missed/);
	expect(await text(house, `${there}/labels`)).toContain("DO NOT USE");
	await post(house, `${there}/labels`, { intent: "printed", clientId: "passport-label" });

	// Nothing else is allowed than what its code allows: heated through at once, and cooled again in time.
	const heated = from + 125 * MINUTE_MS;
	await write(there, heated, { intent: "act", watch: String(first), action: "reheated", note: "" });
	const again = await watchOf();
	expect(again).toBeGreaterThan(first);
	await read(again, 126, 71);
	await read(again, 185, 165);
	await write(there, from + 186 * MINUTE_MS, { intent: "end", watch: String(again) });
	await write(there, from + 186 * MINUTE_MS, { intent: "watch", tag: "G1", course: "cool", probe: "" });
	const second = await watchOf();
	for (const [minutes, F] of [
		[187, 160],
		[200, 135],
		[310, 70],
		[430, 41],
	] as const)
		await read(second, minutes, F);
	await write(there, from + 431 * MINUTE_MS, { intent: "end", watch: String(second) });
	await page.goto(there);
	await expect(page.getByRole("group", { name: "Passport" })).toContainText("Use by");

	// In the house's own calendar: the first day counted, and no day late.
	const made = wallClock(lifted, ZONE).date;
	const useBy = /Use by (\w{3} \d{1,2} \w{3} \d{4})/.exec((await page.textContent("main")) ?? "")?.[1];
	const keeps = [2, 3, 4, 5, 6, 7].find((count) => dayTyped(laterDay(made, count - 1)) === useBy);
	expect(keeps, `use by ${useBy}, made ${made}`).toBeDefined();

	// Frozen in date, thawed, and what is not frozen can not be thawed again.
	const stage = { intent: "stage", tag: "G1", place: "", note: "" };
	await write(there, now - 20 * HOUR_MS, { ...stage, stage: "frozen" });
	const frozen = await text(house, there);
	expect(frozen).toMatch(/frozen/);
	await write(there, now - 12 * HOUR_MS, { ...stage, stage: "thawing" });
	expect(await post(house, there, { ...stage, stage: "frozen", clientId: "passport-no" })).toBe("400");
	const labels = await text(house, `${there}/labels`);
	expect(labels).toContain("may contain nuts");
	expect(labels).not.toContain("DO NOT USE");

	// Into a box, and served there.
	await write(there, now - HOUR_MS, { ...stage, stage: "moved", place: "Ferry box 1" });
	await write(there, now - 30 * MINUTE_MS, { ...stage, stage: "served", sitting: goat[1] });

	// The supplier calls: every pan, box and sitting, both ways, on one page.
	await page.goto("/records");
	await page.getByRole("link", { name: /^Trace and recall/ }).click();
	await page.getByLabel("Which").fill("g-114");
	await page.getByRole("button", { name: "Find it" }).click();
	await expect(page.getByText(`Lot ${lot}, Goat shoulder`, { exact: false }).first()).toBeVisible();
	await expect(page.getByText(/13\.2 lb, served/)).toBeVisible();
	await expect(page.getByText(/served at /).first()).toBeVisible();
	await expect(page.getByText(/their lot G-114/)).toBeVisible();
	await expect(page.getByText(/◂ asked for/)).toBeVisible();
});

test("an ingredient that loses an allergen is confirmed by name, and taken back", async ({ page }) => {
	await page.goto("/book/ingredients/celery");
	await hydrated(page);
	await page.getByRole("checkbox", { name: "Contains: celery" }).uncheck();
	await page.getByRole("button", { name: "Save", exact: true }).click();
	const falls = page.getByRole("alert").filter({ hasText: "Nothing is saved yet" });
	await expect(falls).toBeVisible();
	await expect(falls.getByText("Venison shoulder, prunes, juniper").first()).toBeVisible();
	await expect(page.getByRole("checkbox", { name: "Contains: celery" })).not.toBeChecked();
	await falls.getByLabel("Your name, under all of it").fill("Ebba Lund");
	await falls.getByRole("button", { name: "It is true: save it" }).click();
	await expect(falls).toHaveCount(0);
	await page.goto("/book/declarations");
	await expect(page.getByText(/confirmed by Ebba Lund/)).toBeVisible();
	await page.getByRole("button", { name: "Take it back" }).click();
	await expect(page.getByText(/taken back by/)).toBeVisible();
	await page.goto("/book/ingredients/celery");
	await expect(page.getByRole("checkbox", { name: "Contains: celery" })).toBeChecked();
});
