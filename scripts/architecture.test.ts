import { spawnSync } from "node:child_process";
import { cpSync, mkdirSync, mkdtempSync, symlinkSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { beforeAll, describe, expect, it } from "vitest";

/** Files that import what they may not, and the rule that says so; `@` is another number in each. */
const ARROWS = [
	["core/yields/a@.ts", "../../db/b@.ts", "db/b@.ts", "core-stands-alone"],
	["core/yields/a@.ts", "node:fs", "db/b@.ts", "core-is-pure"],
	["core/yields/a@.ts", "react", "db/b@.ts", "core-has-no-interface"],
	["db/a@.ts", "../app/ui/b@.ts", "app/ui/b@.ts", "db-knows-only-core"],
	["server/a@.ts", "../app/ui/b@.ts", "app/ui/b@.ts", "server-is-below-app"],
	["app/plan/a@.ts", "../book/b@.ts", "app/book/b@.ts", "areas-are-apart"],
	["app/ui/a@.ts", "../book/b@.ts", "app/book/b@.ts", "shared-parts-know-no-area"],
	["app/ui/a@.ts", "../places/b@.ts", "app/places/b@.ts", "ui-is-below-places"],
	["app/plan/a@.ts", "../../core/pans/b@.ts", "core/pans/b@.ts", "through-the-front-door-from-outside"],
	["app/plan/a@.ts", "../../db/book/b@.ts", "db/book/b@.ts", "storage-by-its-front-door"],
	["core/sear/a@.ts", "../pans/b@.ts", "core/pans/b@.ts", "through-the-front-door"],
	["core/pans/packing/a@.ts", "../shape/b@.ts", "core/pans/shape/b@.ts", "through-the-inner-door"],
	// Rooms and areas that nobody has named yet are guarded all the same.
	["app/orchard/a@.ts", "../meadow/b@.ts", "app/meadow/b@.ts", "areas-are-apart"],
	["core/orchard/a@.ts", "../meadow/b@.ts", "core/meadow/b@.ts", "through-the-front-door"],
].map((arrow, index) => arrow.map((text) => text.replace("@", String(index))));

const ALLOWED = ["app/plan/allowed.ts", "../ui/shared.ts", "app/ui/shared.ts"] as const;

/** A house of these files looked at: the lines that say what is broken. */
function cruised(files: readonly (readonly [path: string, text: string])[]): string[] {
	const house = mkdtempSync(join(tmpdir(), "wide-table-arrows-"));
	for (const file of [".dependency-cruiser.cjs", "tsconfig.json", "package.json"])
		cpSync(file, join(house, file));
	symlinkSync(resolve("node_modules"), join(house, "node_modules"));
	for (const [path, text] of files) {
		mkdirSync(join(house, path, ".."), { recursive: true });
		writeFileSync(join(house, path), text);
	}
	const cruise = resolve("node_modules/dependency-cruiser/bin/dependency-cruise.mjs");
	const { stdout } = spawnSync("node", [cruise, "--config", ".dependency-cruiser.cjs", "."], {
		cwd: house,
		encoding: "utf8",
	});
	return stdout.split("\n");
}

function pair(from = "", imports = "", to = ""): [path: string, text: string][] {
	return [
		[from, `import { x } from "${imports}";\nexport const y = x;\n`],
		[to, "export const x = 1;\n"],
	];
}

describe("the arrows are held", () => {
	let said: string[];
	beforeAll(() => {
		said = cruised([
			...ARROWS.flatMap(([from, imports, to]) => pair(from, imports, to)),
			...pair(...ALLOWED),
			["core/scaling/there.ts", 'import type { Y } from "./back.ts";\nexport type X = Y | 1;\n'],
			["core/scaling/back.ts", 'import type { X } from "./there.ts";\nexport type Y = X | 2;\n'],
		]);
	});

	it.each(ARROWS)("%s may not import %s", (from = "", _, __, rule = "") => {
		const lines = said.filter((line) => line.includes(from));
		expect(lines.some((line) => line.includes(`${rule}:`))).toBe(true);
	});

	it("no circle, not even of types", () => {
		expect(said.some((line) => line.includes("no-circles:") && line.includes("core/scaling/"))).toBe(true);
	});

	it("what is allowed is not called broken", () => {
		expect(said.some((line) => line.includes("violations"))).toBe(true);
		expect(said.filter((line) => line.includes(ALLOWED[0]))).toEqual([]);
	});
});
