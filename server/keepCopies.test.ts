import { mkdtempSync, utimesSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { HOUR_MS } from "#core/time";
import { isDue } from "./keepCopies.ts";

const NOW = Date.UTC(2026, 10, 28, 12);

function copyMade(folder: string, name: string, hoursAgo: number): void {
	writeFileSync(join(folder, name), "");
	const at = (NOW - hoursAgo * HOUR_MS) / 1000;
	utimesSync(join(folder, name), at, at);
}

describe("whether a copy is due", () => {
	it("it is where there is none, and where the newest is old", async () => {
		const folder = mkdtempSync(join(tmpdir(), "wide-table-copies-"));
		expect(await isDue(join(folder, "none"), 24, NOW)).toBe(true);
		expect(await isDue(folder, 24, NOW)).toBe(true);
		copyMade(folder, "copy-2026-11-26T12-00-00-000Z.db", 48);
		expect(await isDue(folder, 24, NOW)).toBe(true);
		copyMade(folder, "copy-2026-11-28T00-00-00-000Z.db", 12);
		expect(await isDue(folder, 24, NOW)).toBe(false);
		expect(await isDue(folder, 6, NOW)).toBe(true);
	});

	it("what was saved for another reason is no copy of the day", async () => {
		const folder = mkdtempSync(join(tmpdir(), "wide-table-copies-"));
		copyMade(folder, "before-restore-2026-11-28T11-00-00-000Z.db", 1);
		expect(await isDue(folder, 24, NOW)).toBe(true);
	});
});
