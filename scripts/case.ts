import { readFile } from "node:fs/promises";
import { resolve } from "node:path";
import { text } from "node:stream/consumers";
import { Type } from "@sinclair/typebox";
import { calculate, isWanted, valueAt, type Wanted } from "#core/cases";
import { checked, Refusal } from "#core/check";

/** Runs case files against the core alone: `npm run -s case -- FILE… [--show]`, `-` for standard input. */

const Cases = Type.Array(
	Type.Object({
		name: Type.String(),
		calc: Type.String(),
		given: Type.Unknown(),
		expect: Type.Record(Type.String(), Type.Unknown()),
	}),
);

const show = process.argv.includes("--show");
const files = process.argv.slice(2).filter((word) => word !== "--show");
if (files.length === 0) {
	console.error("npm run -s case -- FILE… (or - for standard input), with --show for whole results");
	process.exit(2);
}

let passed = 0;
let failed = 0;

for (const file of files) {
	for (const question of await readCases(file)) {
		const { misses, result } = ask(question.calc, question.given, question.expect);
		if (misses.length === 0) passed += 1;
		else failed += 1;
		console.log(
			misses.length === 0 ? `PASS ${question.name}` : `FAIL ${question.name}: ${misses.join("; ")}`,
		);
		if (show) console.log(JSON.stringify(result, null, 2));
	}
}
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;

/** Paths are the caller's: from the folder where npm was called. */
async function readCases(file: string) {
	try {
		const given =
			file === "-" ? text(process.stdin) : readFile(resolve(process.env.INIT_CWD ?? ".", file), "utf8");
		return checked(Cases, JSON.parse(await given));
	} catch (error) {
		failed += 1;
		console.log(`FAIL ${file}: ${error instanceof Error ? error.message : error}`);
		return [];
	}
}

function ask(calc: string, given: unknown, expect: Record<string, unknown>) {
	try {
		const result = calculate(calc, given);
		if ("error" in expect) return { result, misses: [`error got a result, wanted “${expect.error}”`] };
		const misses = Object.entries(expect)
			.filter(([path, wanted]) => !isWanted(valueAt(result, path), wanted as Wanted))
			.map(
				([path, wanted]) =>
					`${path} got ${JSON.stringify(valueAt(result, path))}, wanted ${JSON.stringify(wanted)}`,
			);
		return { result, misses };
	} catch (error) {
		if (!(error instanceof Refusal)) return { result: null, misses: [`broke: ${error}`] };
		const expected = "error" in expect && error.message.includes(String(expect.error));
		return { result: { error: error.message }, misses: expected ? [] : [`refused: ${error.message}`] };
	}
}
