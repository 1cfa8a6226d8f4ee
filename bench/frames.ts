import { chromium, type Page } from "@playwright/test";
import { House, hydrated } from "../e2e/house.ts";
import { report } from "./table.ts";

const MOVES = 120;

/** Frames and tasks of the page's own thread while the liquid line, a slider of the lab and pans of the day are dragged. */
export async function benchFrames(): Promise<void> {
	const house = new House();
	house.seed();
	await house.start();
	const browser = await chromium.launch({
		executablePath: "/usr/bin/chromium",
		args: ["--no-sandbox", "--disable-gpu"],
	});
	try {
		const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
		await page.goto(`${house.url}/sittings`);
		await page.getByRole("link", { name: "Festival supper" }).click();
		await page.getByRole("link", { name: "Open the long table" }).first().click();
		await page.getByRole("heading", { name: /pans?, / }).waitFor();
		await hydrated(page);
		await watchTasks(page);
		await dragUpAndDown(page);
		await reportSeen(page, "The liquid line dragged");
		await page.goto(`${house.url}/lab`);
		await hydrated(page);
		await watchTasks(page);
		await slideToAndFro(page);
		await reportSeen(page, "Thickness dragged in the lab");
		await page.goto(`${house.url}/sittings`);
		await page.getByRole("link", { name: "Festival supper" }).click();
		await page.getByRole("link", { name: "The whole day" }).click();
		await page.getByRole("slider", { name: "The moment that is looked at" }).waitFor();
		await hydrated(page);
		await watchTasks(page);
		await carryAlong(page);
		await reportSeen(page, "Pans carried along the strip of the day");
	} finally {
		await browser.close();
		await house.stop();
	}
}

async function reportSeen(page: Page, what: string): Promise<void> {
	const seen = await page.evaluate(() => (window as unknown as Watched).seen);
	const gaps = [...seen.frames].sort((a, b) => a - b);
	console.log(`\n${what}, ${MOVES} moves`);
	report("longest task on the page's thread", longest(seen.tasks), "none over 50 ms");
	report("frame to frame, median", `${(gaps[Math.floor(gaps.length / 2)] ?? 0).toFixed(0)} ms`);
	report(
		"frame to frame, the slowest of twenty",
		`${(gaps[Math.floor(gaps.length * 0.95)] ?? 0).toFixed(0)} ms`,
	);
}

interface Watched {
	seen: { tasks: number[]; frames: number[] };
}

async function watchTasks(page: Page): Promise<void> {
	await page.evaluate(WATCH);
}

/** As text: what is compiled for this process would not be known on the page. */
const WATCH = `(() => {
	const seen = { tasks: [], frames: [] };
	window.seen = seen;
	new PerformanceObserver((list) => {
		for (const { duration } of list.getEntries()) seen.tasks.push(duration);
	}).observe({ type: "longtask" });
	let last = performance.now();
	requestAnimationFrame(function frame(now) {
		seen.frames.push(now - last);
		last = now;
		requestAnimationFrame(frame);
	});
})()`;

async function dragUpAndDown(page: Page): Promise<void> {
	const box = await page.locator('[role="slider"][aria-label="Liquid line"]:visible').boundingBox();
	if (!box) throw new Error("the line is not drawn");
	const x = box.x + box.width / 2;
	const y = box.y + box.height / 2;
	await page.mouse.move(x, y);
	await page.mouse.down();
	for (let move = 0; move < MOVES; move += 1) {
		await page.mouse.move(x, y - 20 * Math.sin((move / MOVES) * 4 * Math.PI));
	}
	await page.mouse.move(x, y);
	// What is let go is sent to the table; only the drag itself is measured.
}

async function slideToAndFro(page: Page): Promise<void> {
	const box = await page.getByRole("slider", { name: "Thickness of a piece" }).boundingBox();
	if (!box) throw new Error("the slider is not there");
	const y = box.y + box.height / 2;
	const at = (move: number) => box.x + box.width * (0.5 + 0.35 * Math.sin((move / MOVES) * 4 * Math.PI));
	await page.mouse.move(at(0), y);
	await page.mouse.down();
	for (let move = 0; move < MOVES; move += 1) await page.mouse.move(at(move), y);
	await page.mouse.up();
}

async function carryAlong(page: Page): Promise<void> {
	const ribbon = page.getByRole("button", { name: /Enter lifts it/ }).first();
	await ribbon.scrollIntoViewIfNeeded();
	const box = await ribbon.boundingBox();
	if (!box) throw new Error("nothing stands in an oven");
	const y = box.y + box.height / 2;
	const at = (move: number) => box.x + box.width / 2 + 160 * Math.sin((move / MOVES) * 4 * Math.PI);
	await page.mouse.move(at(0), y);
	await page.mouse.down();
	for (let move = 0; move < MOVES; move += 1) await page.mouse.move(at(move), y);
	// It is put back: only the carrying is measured, not the day that is planned again.
	await page.keyboard.press("Escape");
	await page.mouse.move(at(0), y);
}

/** A browser names only tasks of more than 50 ms. */
function longest(tasks: readonly number[]): string {
	return tasks.length === 0 ? "under 50 ms" : `${Math.max(...tasks).toFixed(0)} ms`;
}
