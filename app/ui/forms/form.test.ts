import { Type } from "@sinclair/typebox";
import { describe, expect, it } from "vitest";
import { Covers } from "#core/check";
import { readForm } from "./form.ts";

const Form = Type.Object({
	covers: Covers,
	lift: Type.Optional(Type.Number({ minimum: 3, allowed: "a weight from 3 kg" })),
	name: Type.String({ maxLength: 5 }),
});

const form = (fields: Record<string, string>) => new URLSearchParams(fields);

describe("a form", () => {
	it("takes a decimal comma and leaves out what is empty", () => {
		expect(readForm(Form, form({ covers: " 40 ", lift: "12,5", name: "Hall" }))).toEqual({
			value: { covers: 40, lift: 12.5, name: "Hall" },
		});
		expect(readForm(Form, form({ covers: "40", lift: "", name: "Hall" }))).toEqual({
			value: { covers: 40, name: "Hall" },
		});
	});

	it("keeps what was typed, and says for each field what is allowed", () => {
		const typed = { covers: "many", lift: "2", name: "Long room" };
		expect(readForm(Form, form(typed))).toEqual({
			typed,
			wrong: {
				covers: "“many” was given; a whole number from 1 to 100,000 is allowed",
				lift: "2 was given; a weight from 3 kg is allowed",
				name: "“Long room” was given; text of 1 to 5 characters is allowed",
			},
		});
	});
});
