import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { GASTRONORM_DEPTHS_MM, GASTRONORM_SIZES } from "#core/pans";
import { readForm } from "../ui/forms/form.ts";
import { OvenForm, ovenFields, PanForm, panFields } from "./kitchenForms.ts";

const PAN = {
	name: "GN 1/1-100",
	kind: "gn",
	gn: "1/1",
	depth_mm: "100",
	stock: "4",
	use: "braise",
	version: "1",
};
const OVEN = {
	name: "North",
	kind: "fanOven",
	rungs: "10",
	pitch_mm: "65",
	shelf: "1/1",
	min_C: "60",
	max_C: "250",
	version: "1",
};

const pan = (typed: Record<string, string>) => readForm(PanForm, new URLSearchParams({ ...PAN, ...typed }));
const oven = (typed: Record<string, string>) =>
	readForm(OvenForm, new URLSearchParams({ ...OVEN, ...typed }));
const panOf = (typed: Record<string, string>) => {
	const read = pan(typed);
	if ("wrong" in read) throw new Error(JSON.stringify(read.wrong));
	return panFields(read.value);
};

const TUB = {
	kind: "box",
	length_mm: "400",
	width_mm: "300",
	depth_mm: "120",
	lowMark_mm: "40",
	low_l: "4.2",
	highMark_mm: "100",
	high_l: "11.1",
};

describe("a pan as it is typed", () => {
	it("that was measured with water keeps both marks", () => {
		expect(panOf(TUB)).toMatchObject({
			lowMark_mm: 40,
			lowMark_ml: 4200,
			highMark_mm: 100,
			highMark_ml: 11_100,
		});
		expect(panOf({})).toMatchObject({ lowMark_mm: null, highMark_ml: null });
	});

	it("keeps the sizes its shape has and clears the others", () => {
		expect(panOf({ length_mm: "300", diameter_mm: "400" })).toMatchObject({
			gn: "1/1",
			length_mm: null,
			diameter_mm: null,
		});
		expect(panOf({ kind: "round", diameter_mm: "400", depth_mm: "150" })).toMatchObject({
			gn: null,
			diameter_mm: 400,
			depth_mm: 150,
		});
		expect(panOf({ kind: "box", length_mm: "700", width_mm: "500" })).toMatchObject({
			length_mm: 700,
			width_mm: 500,
		});
	});

	it.each([
		[{ kind: "round" }, "diameter_mm: is missing"],
		[{ kind: "box", width_mm: "300" }, "length_mm: is missing"],
		[{ kind: "box", length_mm: "300" }, "width_mm: is missing"],
		[{ gn: "" }, "gn"],
		[{ depth_mm: "101" }, "depth_mm: 101 was given; a gastronorm is"],
		[{ ...TUB, low_l: "" }, "low_l: is missing"],
		[{ ...TUB, high_l: "90" }, "high_l: 90 was given"],
		[{ ...TUB, highMark_mm: "30" }, "highMark_mm: 30 was given"],
	])("%o is refused by the name of the field", (typed, message) => {
		const read = pan(typed as Record<string, string>);
		if ("wrong" in read) expect(Object.keys(read.wrong)).toContain(message);
		else expect(() => panFields(read.value)).toThrow(message);
	});

	it("takes every gastronorm there is", () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...GASTRONORM_SIZES),
				fc.constantFrom(...GASTRONORM_DEPTHS_MM),
				(gn, depth) => {
					expect(panOf({ gn, depth_mm: String(depth) })).toMatchObject({ gn, depth_mm: depth });
				},
			),
		);
	});

	it.each([
		["stock", "-1"],
		["stock", "1.5"],
		["depth_mm", "5"],
		["kind", "heart"],
		["use", "frying"],
		["name", ""],
	])("%s of “%s” is told as that field, and what was typed is kept", (field, value) => {
		const read = pan({ [field]: value });
		if (!("wrong" in read)) throw new Error("it was taken");
		expect(Object.keys(read.wrong)).toEqual([field]);
		expect(read.typed).toMatchObject({ ...PAN, [field]: value });
	});
});

describe("an oven as it is typed", () => {
	it("is taken with its rungs and its range", () => {
		const read = oven({});
		if ("wrong" in read) throw new Error("it was refused");
		expect(ovenFields(read.value)).toEqual({
			name: "North",
			kind: "fanOven",
			rungs: 10,
			pitch_mm: 65,
			shelf: "1/1",
			min_C: 60,
			max_C: 250,
			power_w: null,
		});
	});

	it("is taken with its power where that was read, and refused one that no oven has", () => {
		const read = oven({ power_kW: "17,5" });
		if ("wrong" in read) throw new Error("it was refused");
		expect(ovenFields(read.value).power_w).toBe(17_500);
		const wrong = oven({ power_kW: "900" });
		expect("wrong" in wrong && Object.keys(wrong.wrong)).toEqual(["power_kW"]);
	});

	it("is never hottest below its coolest", () => {
		const read = oven({ min_C: "200", max_C: "150" });
		if ("wrong" in read) throw new Error("it was refused too early");
		expect(() => ovenFields(read.value)).toThrow(
			"max_C: 150 was given; the coolest (200 °C) or more is allowed",
		);
	});

	it.each([
		["rungs", "0"],
		["pitch_mm", "12"],
		["shelf", "3/1"],
		["max_C", "900"],
	])("%s of “%s” is told as that field", (field, value) => {
		const read = oven({ [field]: value });
		expect("wrong" in read ? Object.keys(read.wrong) : []).toEqual([field]);
	});
});
