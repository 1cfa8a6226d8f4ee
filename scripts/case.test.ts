import { spawnSync } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";

const folder = mkdtempSync(join(tmpdir(), "wide-table-case-"));

interface Run {
	readonly status: number | null;
	readonly lines: readonly string[];
}

function run(words: readonly string[], options: { cwd?: string; input?: string } = {}): Run {
	const { status, stdout } = spawnSync("node", ["--import", "tsx", "scripts/case.ts", ...words], {
		encoding: "utf8",
		env: { ...process.env, INIT_CWD: options.cwd ?? process.cwd() },
		...(options.input === undefined ? {} : { input: options.input }),
	});
	return { status, lines: stdout.trim().split("\n") };
}

function file(name: string, cases: unknown): string {
	writeFileSync(join(folder, name), JSON.stringify(cases));
	return name;
}

const YIELD = {
	calc: "yield",
	given: { covers: 10, portion_g: 200, trimLoss: 0, cookingLoss: 0 },
};

describe("asking the core from outside", () => {
	it("passes what holds, and says what was got where it does not", () => {
		const name = file("mixed.json", [
			{ ...YIELD, name: "holds", expect: { cooked_kg: 2, portions: [10, 10] } },
			{ ...YIELD, name: "does not", expect: { cooked_kg: 3 } },
		]);
		const { status, lines } = run([name], { cwd: folder });
		expect(lines[0]).toBe("PASS holds");
		expect(lines[1]).toMatch(/^FAIL does not: cooked_kg got 2, wanted 3/);
		expect(lines.at(-1)).toBe("1 passed, 1 failed");
		expect(status).toBe(1);
	});

	it("a refusal is a result that can be expected, and only that one", () => {
		const refused = { ...YIELD, given: { ...YIELD.given, covers: 0 } };
		const name = file("refusals.json", [
			{ ...refused, name: "expected", expect: { error: "covers" } },
			{ ...refused, name: "another", expect: { error: "trimLoss" } },
			{ ...YIELD, name: "none came", expect: { error: "covers" } },
		]);
		const { lines } = run([name], { cwd: folder });
		expect(lines[0]).toBe("PASS expected");
		expect(lines[1]).toMatch(/^FAIL another: refused: covers/);
		expect(lines[2]).toMatch(/^FAIL none came: error got a result/);
	});

	it("reads standard input", () => {
		const input = JSON.stringify([{ ...YIELD, name: "typed", expect: { portions: 10 } }]);
		expect(run(["-"], { input }).lines).toEqual(["PASS typed", "1 passed, 0 failed"]);
	});

	it("a file that is missing, broken or no list of cases is a failure with its name", () => {
		writeFileSync(join(folder, "broken.json"), "{");
		const { status, lines } = run(["missing.json", "broken.json", file("other.json", { a: 1 })], {
			cwd: folder,
		});
		expect(lines.map((line) => line.split(":")[0])).toEqual([
			"FAIL missing.json",
			"FAIL broken.json",
			"FAIL other.json",
			"0 passed, 3 failed",
		]);
		expect(status).toBe(1);
	});

	it("a calculation it does not know is a failure, not a pass", () => {
		const name = file("unknown.json", [{ name: "x", calc: "astrology", given: {}, expect: {} }]);
		expect(run([name], { cwd: folder }).lines[0]).toMatch(/^FAIL x: .*astrology/);
	});
});
