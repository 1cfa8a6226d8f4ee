import { Type } from "@sinclair/typebox";
import { describe, expect, it } from "vitest";
import { Covers, checked, Loss, oneOf, Refusal } from "./index.ts";

const Form = Type.Object({ covers: Covers, trimLoss: Loss, lid: oneOf(["foil", "lid"] as const) });

function problemsOf(given: unknown) {
	try {
		checked(Form, given);
	} catch (error) {
		if (error instanceof Refusal)
			return Object.fromEntries(error.problems.map(({ field, message }) => [field, message]));
		throw error;
	}
	return {};
}

describe("bad input", () => {
	it("names every field that is wrong, what was given and what is allowed", () => {
		expect(problemsOf({ covers: 0, trimLoss: 1, lid: "none" })).toEqual({
			covers: "0 was given; a whole number from 1 to 100,000 is allowed",
			trimLoss: "1 was given; a share from 0 to 0.9 (90 %) is allowed",
			lid: "“none” was given; one of foil, lid is allowed",
		});
	});

	it("says what is missing and what would do", () => {
		expect(problemsOf({ trimLoss: 0.1, lid: "lid" })).toEqual({
			covers: "is missing; a whole number from 1 to 100,000 is needed",
		});
	});

	it.each([Number.NaN, Number.POSITIVE_INFINITY, 1e9, 2.5, "12", null, {}])(
		"%s covers are refused",
		(covers) => {
			expect(problemsOf({ covers, trimLoss: 0.1, lid: "lid" })).toHaveProperty("covers");
		},
	);

	it("leaves what was given untouched", () => {
		const given = { covers: 3, trimLoss: 0, lid: "lid" };
		expect(checked(Form, given)).not.toBe(given);
		expect(given).toEqual({ covers: 3, trimLoss: 0, lid: "lid" });
	});
});
