import { describe, expect, it } from "vitest";
import { checked } from "#core/check";
import { HouseEntry } from "#core/kitchen";
import { parseQuantity, parseWeight, readNumber } from "#core/quantity";
import { readDay, readTime } from "#core/time";
import { growthOf, MOST_GROWTH } from "../core/check/growth.testing.ts";
import { readPreferences } from "../server/preferences.ts";
import { readSize } from "./book/cardSize.ts";
import { draftIn } from "./book/draftForm.ts";
import { readIngredientForm } from "./book/ingredientForm.ts";
import { readSittingForm } from "./sittings/readSittingForm.ts";
import { readLine, readWishes } from "./ui/forms/settled.ts";
import { readTrial } from "./ui/forms/tableTrial.ts";
import { formOf } from "./ui/server/formOf.ts";

const ZONE = "Atlantic/Faroe";

const sent = (type: string, body: string) =>
	new Request("http://house/", { method: "POST", headers: { "content-type": type }, body });
const urlencoded = (body: string) => () => formOf(sent("application/x-www-form-urlencoded", body));
const multipart = (body: string) => () => formOf(sent("multipart/form-data; boundary=x", body));

/** A form with many fields of every name that a page has. */
function filled(size: number, names: readonly string[]): FormData {
	const form = new FormData();
	for (let index = 0; index < size; index += 1) {
		for (const name of names) form.append(name.replace("KEY", `k${index}`), `k${index}`);
	}
	return form;
}

/** Every form and address, and how one of a size looks. */
const READERS: readonly [string, number, (size: number) => () => unknown][] = [
	["a form of equal keys", 5000, (size) => urlencoded("a=1&".repeat(size))],
	[
		"a form of other keys",
		700,
		(size) => urlencoded(Array.from({ length: size }, (_, key) => `k${key}=1`).join("&")),
	],
	["a form of one long field", 100_000, (size) => urlencoded(`a=${"<".repeat(size)}`)],
	["a form of signs", 30_000, (size) => urlencoded("%".repeat(size))],
	[
		"a form in parts",
		700,
		(size) =>
			multipart(`${'--x\r\nContent-Disposition: form-data; name="a"\r\n\r\n1\r\n'.repeat(size)}--x--`),
	],
	[
		"a form of one long part",
		100_000,
		(size) =>
			multipart(`--x\r\nContent-Disposition: form-data; name="${"a".repeat(size)}"\r\n\r\n1\r\n--x--`),
	],
	["a form that never begins", 100_000, (size) => multipart("-".repeat(size))],
	[
		"the page of a draft",
		20,
		(size) => {
			const form = filled(size, ["line", "line.KEY.text", "step", "step.KEY.text"]);
			form.set("kind", "dish");
			return () => draftIn(form);
		},
	],
	[
		"the page of a sitting",
		100,
		(size) => {
			const form = filled(size, ["dish", "uptake.KEY", "spare.KEY"]);
			return () => readSittingForm(form, ZONE, []);
		},
	],
	[
		"the page of an ingredient",
		300,
		(size) => {
			const form = filled(size, ["contains.KEY", "may.KEY"]);
			return () => readIngredientForm(form);
		},
	],
	[
		"a trial",
		20_000,
		(size) => () =>
			readTrial(
				new URLSearchParams({ wishes: "a:1,".repeat(size), covers: "9".repeat(size) }),
				ZONE,
				"metric",
			),
	],
	[
		"the size of a card",
		50_000,
		(size) => () => readSize(new URLSearchParams({ basis: "covers", size: "1 ".repeat(size) }), "metric"),
	],
	["pans that are settled", 5000, (size) => () => readWishes("gn-1-1-100:3,".repeat(size).slice(0, -1))],
	["a line that is settled", 50_000, (size) => () => readLine(`share:${"0".repeat(size)}`)],
	["what a reader has chosen", 10_000, (size) => () => readPreferences(`preferences=${"eyJ".repeat(size)}`)],
	[
		"the house",
		50_000,
		(size) => () => checked(HouseEntry, { name: "a\u0301".repeat(size), timeZone: "A/".repeat(size) }),
	],
	["a day", 50_000, (size) => () => readDay("1 ".repeat(size), "2026-11-24")],
	["a time", 50_000, (size) => () => readTime("1".repeat(size))],
	["a number", 50_000, (size) => () => readNumber("1,".repeat(size), "size")],
	["a number of digits", 50_000, (size) => () => readNumber("1".repeat(size), "size")],
	["a quantity", 20_000, (size) => () => parseQuantity("1 ".repeat(size))],
	["a weight", 20_000, (size) => () => parseWeight("1 kg".repeat(size), "onHand", "metric")],
	[
		"text without characters one sees",
		50_000,
		(size) => () => checked(HouseEntry, { name: "\u200B".repeat(size) }),
	],
];

describe("what is typed or sent costs no more than its size", () => {
	it.each(READERS)("%s", async (_name, size, make) => {
		expect(await growthOf(size, make)).toBeLessThan(MOST_GROWTH);
	});
});
