import { readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Refusal } from "../check/index.ts";
import { calculate } from "./index.ts";

/** Questions that are answered, one of each calculation and more: what is asked of the product from outside. */
const QUESTIONS = ["yield", "scale", "pans", "sear", "sauce", "braise", "schedule"].flatMap((name) => {
	const read: { calc: string; given: Record<string, unknown>; expect: object }[] = JSON.parse(
		readFileSync(`cases/${name}.json`, "utf8"),
	);
	return read
		.filter(({ expect: wanted }) => !("error" in wanted))
		.map(({ calc, given }) => ({ calc, given }));
});

const JUNK = fc.oneof(
	fc.constantFrom(
		null,
		"",
		"x",
		"NaN",
		true,
		[],
		{},
		-1,
		0,
		0.5,
		1e9,
		-1e9,
		1e308,
		Number.NaN,
		Infinity,
		"__proto__",
	),
	fc.double(),
	fc.string(),
	fc.jsonValue({ maxDepth: 2 }),
);

type Path = readonly (string | number)[];

/** Every place in a value where something stands. */
function pathsIn(value: unknown, at: Path = []): Path[] {
	if (typeof value !== "object" || value === null) return [at];
	const inner = Object.entries(value).flatMap(([key, found]) =>
		pathsIn(found, [...at, Array.isArray(value) ? Number(key) : key]),
	);
	return at.length === 0 ? inner : [at, ...inner];
}

function withAt(value: unknown, [key, ...rest]: Path, put: unknown): unknown {
	if (key === undefined) return put;
	if (Array.isArray(value))
		return value.map((item, index) => (index === key ? withAt(item, rest, put) : item));
	const record = value as Record<string, unknown>;
	return { ...record, [key]: withAt(record[key], rest, put) };
}

/** Numbers of an answer that are none. */
function unrealIn(value: unknown, at = ""): string[] {
	if (typeof value === "number") return Number.isFinite(value) ? [] : [at];
	if (typeof value !== "object" || value === null) return [];
	return Object.entries(value).flatMap(([key, inner]) => unrealIn(inner, `${at}.${key}`));
}

/** Answered with real numbers, or refused in a sentence that names a field. */
function answers(calc: string, given: unknown): "answered" | "refused" {
	try {
		expect(unrealIn(calculate(calc, given)), JSON.stringify(given)).toEqual([]);
		return "answered";
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		for (const { field, message } of error.problems) {
			expect(field).not.toBe("");
			expect(message).toMatch(/allowed|needed|missing|not known|needs|more|less|cannot|lies no way/);
		}
		return "refused";
	}
}

describe("a question with something wrong in it", () => {
	it("is answered as it stands", () => {
		expect(QUESTIONS.length).toBeGreaterThan(20);
		for (const { calc, given } of QUESTIONS) expect(answers(calc, given)).toBe("answered");
	});

	it("wherever junk is put, it is refused by its field or answered with real numbers", () => {
		const asked = fc.constantFrom(...QUESTIONS).chain(({ calc, given }) =>
			fc.record({
				calc: fc.constant(calc),
				given: fc.constant(given),
				path: fc.constantFrom(...pathsIn(given)),
			}),
		);
		fc.assert(
			fc.property(asked, JUNK, ({ calc, given, path }, junk) => {
				expect(["answered", "refused"]).toContain(answers(calc, withAt(given, path, junk)));
			}),
			{ numRuns: 600 },
		);
	});

	it("with a field left out, it names that field or answers without it", () => {
		for (const { calc, given } of QUESTIONS) {
			for (const field of Object.keys(given)) {
				const { [field]: _, ...rest } = given;
				expect(["answered", "refused"]).toContain(answers(calc, rest));
			}
		}
	});

	it("of anything at all is no crash", () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...new Set(QUESTIONS.map(({ calc }) => calc))),
				fc.anything(),
				(calc, given) => {
					expect(["answered", "refused"]).toContain(answers(calc, given));
				},
			),
			{ numRuns: 300 },
		);
	});
});
