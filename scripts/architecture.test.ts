import { spawnSync } from "node:child_process";
import { cpSync, mkdirSync, mkdtempSync, symlinkSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { describe, expect, it } from "vitest";

/** A house of two files of which one imports the other; says which rules were broken. */
function broken(from: string, imports: string, to: string): string {
	return cruised([
		[from, `import { x } from "${imports}";\nexport const y = x;\n`],
		[to, "export const x = 1;\n"],
	]);
}

/** A house of these files looked at; what is said of its arrows. */
function cruised(files: readonly (readonly [path: string, text: string])[]): string {
	const house = mkdtempSync(join(tmpdir(), "wide-table-arrows-"));
	for (const file of [".dependency-cruiser.cjs", "tsconfig.json", "package.json"])
		cpSync(file, join(house, file));
	symlinkSync(resolve("node_modules"), join(house, "node_modules"));
	for (const [path, text] of files) {
		mkdirSync(join(house, path, ".."), { recursive: true });
		writeFileSync(join(house, path), text);
	}
	const cruise = resolve("node_modules/dependency-cruiser/bin/dependency-cruise.mjs");
	return spawnSync("node", [cruise, "--config", ".dependency-cruiser.cjs", "."], {
		cwd: house,
		encoding: "utf8",
	}).stdout;
}

describe("the arrows are held", () => {
	it.each([
		["core/yields/a.ts", "../../db/b.ts", "db/b.ts", "core-stands-alone"],
		["core/yields/a.ts", "node:fs", "db/b.ts", "core-is-pure"],
		["core/yields/a.ts", "react", "db/b.ts", "core-has-no-interface"],
		["db/a.ts", "../app/ui/b.ts", "app/ui/b.ts", "db-knows-only-core"],
		["server/a.ts", "../app/ui/b.ts", "app/ui/b.ts", "server-is-below-app"],
		["app/plan/a.ts", "../book/b.ts", "app/book/b.ts", "areas-are-apart"],
		["app/ui/a.ts", "../book/b.ts", "app/book/b.ts", "shared-parts-know-no-area"],
		["app/ui/a.ts", "../places/b.ts", "app/places/b.ts", "ui-is-below-places"],
		["app/plan/a.ts", "../../core/pans/b.ts", "core/pans/b.ts", "through-the-front-door-from-outside"],
		["app/plan/a.ts", "../../db/book/b.ts", "db/book/b.ts", "storage-by-its-front-door"],
		["core/sear/a.ts", "../pans/b.ts", "core/pans/b.ts", "through-the-front-door"],
		["core/pans/packing/a.ts", "../shape/b.ts", "core/pans/shape/b.ts", "through-the-inner-door"],
		// Rooms and areas that nobody has named yet are guarded all the same.
		["app/orchard/a.ts", "../meadow/b.ts", "app/meadow/b.ts", "areas-are-apart"],
		["core/orchard/a.ts", "../meadow/b.ts", "core/meadow/b.ts", "through-the-front-door"],
	])("%s may not import %s", (from, imports, to, rule) => {
		expect(broken(from, imports, to)).toContain(rule);
	});

	it("no circle, not even of types", () => {
		const there = 'import type { Y } from "./b.ts";\nexport type X = Y | 1;\n';
		const back = 'import type { X } from "./a.ts";\nexport type Y = X | 2;\n';
		expect(
			cruised([
				["core/yields/a.ts", there],
				["core/yields/b.ts", back],
			]),
		).toContain("no-circles");
	});

	it("what is allowed is not called broken", () => {
		expect(broken("app/plan/a.ts", "../ui/b.ts", "app/ui/b.ts")).toContain("no dependency violations found");
	});
});
