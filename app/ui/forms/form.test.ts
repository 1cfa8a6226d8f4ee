import { Type } from "@sinclair/typebox";
import { describe, expect, it } from "vitest";
import { Covers, Day, TimeOfDay } from "#core/check";
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

describe("a number that could be two things", () => {
	const Form = Type.Object({
		covers: Covers,
		price: Type.Number({ minimum: 0 }),
		density: Type.Number({ maximum: 5 }),
	});
	const read = (typed: Record<string, string>) =>
		readForm(Form, new URLSearchParams({ covers: "140", price: "2", density: "1", ...typed }));

	it.each([
		["covers", "1,000", "1000 or 1"],
		["covers", "5.000", "5000 or 5"],
		["price", "1,234", "1234 or 1.234"],
	])("%s of %s is asked for, and what was typed is kept", (field, text, either) => {
		const told = read({ [field]: text });
		if (!("wrong" in told)) throw new Error("it was taken one way");
		expect(told.wrong).toEqual({ [field]: `“${text}” could be ${either}; write it one of these ways` });
		expect(told.typed[field]).toBe(text);
	});

	it("is taken where only one of the two can stand there", () => {
		expect(read({ density: "1.035" })).toMatchObject({ value: { density: 1.035 } });
	});

	it("in thousands with spaces, or as decimals, is what it is", () => {
		expect(read({ covers: "1 000", price: "1,5" })).toMatchObject({ value: { covers: 1000, price: 1.5 } });
	});
});

describe("a day and a time", () => {
	const Form = Type.Object({ date: Day, time: TimeOfDay });

	it("are read as they are typed, and as they are shown", () => {
		expect(readForm(Form, form({ date: "28.11.2026", time: "1930" }))).toEqual({
			value: { date: "2026-11-28", time: "19:30" },
		});
		expect(readForm(Form, form({ date: "Sat 28 Nov 2026", time: "7:30 pm" }))).toEqual({
			value: { date: "2026-11-28", time: "19:30" },
		});
	});

	it("are asked for where they are past and their year was not written", () => {
		const gone = new Date(Date.now() - 5 * 86_400_000);
		const month = gone.toLocaleString("en-GB", { month: "short", timeZone: "UTC" });
		const typed = { date: `${gone.getUTCDate()} ${month}`, time: "19:30" };
		const told = readForm(Form, form(typed));
		expect("wrong" in told && told.wrong.date).toMatch(/was .* \d{4}; write its year/);
		const dated = { ...typed, date: `${typed.date} ${gone.getUTCFullYear()}` };
		expect(readForm(Form, form(dated))).toMatchObject({ value: { date: gone.toISOString().slice(0, 10) } });
	});

	it("are asked for where they could be two, or none", () => {
		const typed = { date: "5/12/2026", time: "late" };
		expect(readForm(Form, form(typed))).toEqual({
			typed,
			wrong: {
				date: "“5/12/2026” could be Sat 5 Dec 2026 or Tue 12 May 2026; write the month as a word",
				time: "“late” was given; a time such as 19:30 is allowed",
			},
		});
	});
});

describe("a moment in one field", () => {
	const read = (typed: Record<string, string>) =>
		readForm(Type.Object({ date: Day, time: TimeOfDay }), new URLSearchParams(typed));

	it("counts before the day that the form was made with", () => {
		expect(read({ date: "2026-12-05", time: "6 Dec 2027 1930" })).toEqual({
			value: { date: "2027-12-06", time: "19:30" },
		});
	});

	it("of a time alone keeps that day", () => {
		expect(read({ date: "2026-12-05", time: "7:30 pm" })).toEqual({
			value: { date: "2026-12-05", time: "19:30" },
		});
	});

	it("that could be two days is asked for, and what was typed is kept", () => {
		const asked = read({ date: "2026-12-05", time: "5/12/2026 19:30" });
		expect("wrong" in asked && asked.wrong.date).toMatch(/could be Sat 5 Dec 2026 or Tue 12 May 2026/);
		expect("typed" in asked && asked.typed.time).toBe("5/12/2026 19:30");
	});

	it("that is none is said so", () => {
		const none = read({ date: "2026-12-05", time: "half past seven" });
		expect("wrong" in none && none.wrong.time).toMatch(/19:30/);
	});
});
