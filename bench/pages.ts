import { once } from "node:events";
import { createServer, type Server } from "node:http";
import { join } from "node:path";
import { pathToFileURL } from "node:url";
import { type Browser, chromium, type Response } from "@playwright/test";
import { createRequestListener } from "@react-router/node";
import compression from "compression";
import express from "express";
import type { ServerBuild } from "react-router";
import { House } from "../e2e/house.ts";
import { median, report } from "./table.ts";

const LOADS = 9;
const WARMING = 40;

interface Measured {
	readonly script_kB: number;
	readonly all_kB: number;
	readonly firstContent_ms: number;
}

/** Bytes and time to first content of the long table, against a bare page of the same parts. */
export async function benchPages(): Promise<void> {
	const house = new House();
	house.seed();
	await house.start();
	const bare = await serveBare();
	const browser = await chromium.launch({
		executablePath: "/usr/bin/chromium",
		args: ["--no-sandbox", "--disable-gpu"],
	});
	try {
		const table = await longTable(browser, house);
		for (const url of [table, bare.url]) await warmed(url);
		const [ours, theirs] = await measured(browser, [table, bare.url]);
		if (!ours || !theirs) throw new Error("one of the two pages was not measured");
		console.log(`\nThe long table against a bare page (median of ${LOADS} cold loads, sizes as sent)`);
		report("scripts, bare page", `${theirs.script_kB.toFixed(0)} kB`);
		report("scripts, long table", `${ours.script_kB.toFixed(0)} kB`);
		report("scripts, ratio", (ours.script_kB / theirs.script_kB).toFixed(2), "at most 1.4");
		report("all bytes, bare page", `${theirs.all_kB.toFixed(0)} kB`);
		report("all bytes, long table (with its two fonts)", `${ours.all_kB.toFixed(0)} kB`);
		report("first content, bare page", `${theirs.firstContent_ms.toFixed(0)} ms`);
		report("first content, long table", `${ours.firstContent_ms.toFixed(0)} ms`);
		report("first content, ratio", (ours.firstContent_ms / theirs.firstContent_ms).toFixed(2));
		await benchStarts(house);
	} finally {
		await browser.close();
		bare.server.close();
		await house.stop();
	}
}

/** After a start, so long is waited before anybody asks, ms. */
const SETTLED_MS = 5_000;

/** Today as the first page that is asked for after a start, at once and a little later. */
async function benchStarts(house: House): Promise<void> {
	console.log("\nToday after a start: the first time against the second");
	for (const [words, wait_ms] of [
		["at once", 0],
		[`${SETTLED_MS / 1000} s later`, SETTLED_MS],
	] as const) {
		await house.restart();
		await new Promise((done) => setTimeout(done, wait_ms));
		const first = await answeredIn(house.url);
		const second = median([
			await answeredIn(house.url),
			await answeredIn(house.url),
			await answeredIn(house.url),
		]);
		report(`asked ${words}`, `${first.toFixed(0)} ms`);
		report(
			`  ratio to the second, ${second.toFixed(0)} ms`,
			(first / second).toFixed(1),
			wait_ms > 0 ? "at most 4" : "",
		);
	}
}

async function answeredIn(url: string): Promise<number> {
	const begun = performance.now();
	await (await fetch(url)).text();
	return performance.now() - begun;
}

async function longTable(browser: Browser, house: House): Promise<string> {
	const page = await browser.newPage();
	await page.goto(`${house.url}/sittings`);
	await page.getByRole("link", { name: "Festival supper" }).click();
	const link = page.getByRole("link", { name: "Open the long table" }).first();
	const address = house.url + (await link.getAttribute("href"));
	await page.close();
	return address;
}

/** A server is measured as it is in service: started, its code run in. */
async function warmed(url: string): Promise<void> {
	for (let asked = 0; asked < WARMING; asked += 1) await (await fetch(url)).text();
}

/** Each page by turns, so that what else the machine does falls on both alike. */
async function measured(browser: Browser, urls: readonly string[]): Promise<Measured[]> {
	const loads: Measured[][] = urls.map(() => []);
	for (let load = 0; load < LOADS; load += 1) {
		for (const [which, url] of urls.entries()) loads[which]?.push(await oneLoad(browser, url));
	}
	return loads.map((some) => {
		const valuesOf = (field: keyof Measured) => median(some.map((values) => values[field]));
		return {
			script_kB: valuesOf("script_kB"),
			all_kB: valuesOf("all_kB"),
			firstContent_ms: valuesOf("firstContent_ms"),
		};
	});
}

/** One load with an empty cache. */
async function oneLoad(browser: Browser, url: string): Promise<Measured> {
	const context = await browser.newContext();
	const page = await context.newPage();
	const sizes: Promise<{ script: boolean; bytes: number }>[] = [];
	page.on("response", (response) => sizes.push(sizeOf(response)));
	await page.goto(url, { waitUntil: "networkidle" });
	const firstContent_ms = await page.evaluate(
		() => performance.getEntriesByName("first-contentful-paint")[0]?.startTime ?? Number.NaN,
	);
	const sent = await Promise.all(sizes);
	await context.close();
	const sum = (some: typeof sent) => some.reduce((total, { bytes }) => total + bytes, 0) / 1000;
	return { script_kB: sum(sent.filter(({ script }) => script)), all_kB: sum(sent), firstContent_ms };
}

async function sizeOf(response: Response): Promise<{ script: boolean; bytes: number }> {
	const { responseBodySize } = await response.request().sizes();
	return { script: response.request().resourceType() === "script", bytes: responseBodySize };
}

/** The bare page served as ours is: compressed, its files immutable. */
async function serveBare(): Promise<{ url: string; server: Server }> {
	const folder = "bench/bare/build";
	const build = (await import(
		pathToFileURL(join(process.cwd(), folder, "server/index.js")).href
	)) as ServerBuild;
	const app = express();
	app.use(compression());
	app.use(express.static(join(folder, "client"), { immutable: true, maxAge: "1y" }));
	// A browser asks for it of its own accord; the bare page has none.
	app.get("/favicon.ico", (_request, response) => void response.status(204).end());
	app.use(createRequestListener({ build, mode: "production" }));
	const server = createServer(app).listen(0, "127.0.0.1");
	await once(server, "listening");
	const address = server.address();
	if (address === null || typeof address === "string") throw new Error("no address");
	return { url: `http://127.0.0.1:${address.port}/`, server };
}
