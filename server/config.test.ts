import { existsSync, mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { readConfig } from "./config.ts";

const folder = () => mkdtempSync(join(tmpdir(), "wide-table-config-"));

describe("what the environment sets", () => {
	it("has defaults for everything, and makes the folder", () => {
		const data = join(folder(), "deep/house");
		const config = readConfig({ WT_DATA: data });
		expect(config).toMatchObject({
			PORT: 3140,
			HOST: "127.0.0.1",
			DATABASE_URL: `file:${data}/wide-table.db`,
			LOG_LEVEL: "info",
		});
		expect(existsSync(data)).toBe(true);
	});

	it.each([
		["PORT", "eighty", "PORT: “eighty” was given; a port from 1 to 65535 is allowed"],
		["PORT", "70000", "PORT: 70000"],
		["DATABASE_URL", "mysql://x", "DATABASE_URL: “mysql://x” was given; file:PATH"],
		["LOG_LEVEL", "loud", "LOG_LEVEL: “loud” was given; one of fatal"],
	])("%s=%s stops the start with what is allowed", (name, value, message) => {
		expect(() => readConfig({ WT_DATA: folder(), [name]: value })).toThrow(message);
	});

	it("a folder that cannot be made is said", () => {
		const file = join(folder(), "file");
		writeFileSync(file, "");
		expect(() => readConfig({ WT_DATA: join(file, "house") })).toThrow("WT_DATA: ");
	});
});
