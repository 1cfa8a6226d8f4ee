import { spawnSync } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";

function day(...words: readonly string[]) {
	const { status, stdout, stderr } = spawnSync("node", ["--import", "tsx", "scripts/day.ts", ...words], {
		encoding: "utf8",
		env: { ...process.env, WT_DATA: mkdtempSync(join(tmpdir(), "wide-table-day-")) },
	});
	return { status, stdout, stderr };
}

describe("the day as JSON", () => {
	it("with no sitting has no task", () => {
		const { status, stdout } = day("2026-12-04", "2026-12-05");
		expect(status).toBe(0);
		expect(JSON.parse(stdout)).toMatchObject({ from: "2026-12-04", to: "2026-12-05", tasks: [], unmet: [] });
	});

	it.each([[["4 Dec"]], [["2026-12-05", "2026-12-04"]]])("%j is refused with what is asked", (words) => {
		const { status, stdout, stderr } = day(...words);
		expect(status).toBe(2);
		expect(stdout).toBe("");
		expect(stderr).toContain("each as 2026-12-04");
	});
});
