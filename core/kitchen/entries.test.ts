import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { checked, Refusal } from "../check/index.ts";
import { GASTRONORM_DEPTHS_MM, GASTRONORM_SIZES, shapeOfSizes, volumeBelow } from "../pans/index.ts";
import {
	HouseEntry,
	houseFields,
	OvenEntry,
	ovenFields,
	PanEntry,
	panFields,
	timeZonesWith,
} from "./index.ts";

const PAN = { name: "GN 1/1-100", kind: "gn", gn: "1/1", depth_mm: 100, stock: 4, use: "braise" };
const TUB = {
	name: "Tub",
	kind: "box",
	length_mm: 400,
	width_mm: 300,
	depth_mm: 120,
	stock: 1,
	use: "braise",
	lowMark_mm: 40,
	low_l: 4.2,
	highMark_mm: 100,
	high_l: 11.1,
};
const OVEN = { name: "North", kind: "fanOven", rungs: 10, pitch_mm: 65, shelf: "1/1", min_C: 60, max_C: 250 };
const HOUSE = {
	name: "Skerry House",
	timeZone: "Atlantic/Faroe",
	units: "metric",
	opens: "06:30",
	closes: "22:00",
	headspace_mm: 25,
	lift_kg: 12.5,
	houseCode: "blast90",
	searPanId: "wide",
	currency: "EUR",
	allergenList: "eu14",
	scaleStep_g: "5",
	saltLow: 0.8,
	saltHigh: 1.2,
	confidence: 90,
	altitude_m: 12,
	...{ chilled_days: 4, frozen_days: 60, opened_days: 1 },
	burners: 4,
	hobPower_kW: 3.5,
};

const panOf = (typed: object) => panFields(checked(PanEntry, typed));
const ovenOf = (typed: object) => ovenFields(checked(OvenEntry, typed));
const houseOf = (typed: object) => houseFields(checked(HouseEntry, typed), ["wide"], ["blast90"], 100);

/** The fields that are refused, each with its sentence. */
function refusedBy(read: (typed: object) => unknown, typed: object): Record<string, string> {
	try {
		read(typed);
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		return Object.fromEntries(error.problems.map(({ field, message }) => [field, message]));
	}
	return {};
}

describe("a pan as it is typed", () => {
	it("that was measured with water keeps both marks in millilitres", () => {
		expect(panOf(TUB)).toMatchObject({
			lowMark_mm: 40,
			lowMark_ml: 4200,
			highMark_mm: 100,
			highMark_ml: 11_100,
		});
		expect(panOf(PAN)).toMatchObject({ lowMark_mm: null, lowMark_ml: null, highMark_mm: null });
	});

	it("keeps the sizes its shape has and clears the others", () => {
		const all = { ...PAN, length_mm: 300, width_mm: 200, diameter_mm: 400 };
		expect(panOf(all)).toMatchObject({ gn: "1/1", length_mm: null, width_mm: null, diameter_mm: null });
		expect(panOf({ ...all, kind: "round" })).toMatchObject({ gn: null, length_mm: null, diameter_mm: 400 });
		expect(panOf({ ...all, kind: "box" })).toMatchObject({
			gn: null,
			length_mm: 300,
			width_mm: 200,
			diameter_mm: null,
		});
	});

	it("holds at its marks what was poured to them", () => {
		const shape = shapeOfSizes(panOf(TUB));
		expect(volumeBelow(shape, 40)).toBeCloseTo(4.2, 1);
		expect(volumeBelow(shape, 100)).toBeCloseTo(11.1, 1);
	});

	it.each([
		[{ ...PAN, kind: "round" }, "diameter_mm", "is missing; a diameter"],
		[{ ...PAN, kind: "box", width_mm: 300 }, "length_mm", "is missing; a length"],
		[{ ...PAN, kind: "box", length_mm: 300 }, "width_mm", "is missing; a width"],
		[{ ...PAN, gn: undefined }, "gn", "is missing; a gastronorm size"],
		[{ ...PAN, depth_mm: 101 }, "depth_mm", "101 was given; a gastronorm is"],
		[{ ...TUB, low_l: undefined }, "low_l", "is missing; both marks"],
		[{ ...TUB, high_l: 90 }, "high_l", "90 was given"],
		[{ ...TUB, highMark_mm: 30 }, "highMark_mm", "30 was given"],
		[{ ...PAN, stock: -1 }, "stock", "-1 was given; a whole number from 0 to 1000"],
		[{ ...PAN, stock: 1.5 }, "stock", "1.5 was given"],
		[{ ...PAN, depth_mm: 5 }, "depth_mm", "5 was given; a depth from 20 to 600 mm"],
		[{ ...PAN, kind: "heart" }, "kind", "“heart” was given; one of gn, round, box"],
		[{ ...PAN, use: "frying" }, "use", "“frying” was given"],
		[{ ...PAN, name: "" }, "name", "nothing was given"],
	])("%o is refused by %s", (typed, field, words) => {
		const refused = refusedBy(panOf, typed);
		expect(Object.keys(refused)).toEqual([field]);
		expect(refused[field]).toContain(words);
	});

	it("takes every gastronorm there is", () => {
		for (const gn of GASTRONORM_SIZES) {
			for (const depth_mm of GASTRONORM_DEPTHS_MM) {
				expect(panOf({ ...PAN, gn, depth_mm })).toMatchObject({ gn, depth_mm });
			}
		}
	});

	it("is a shape that holds water, or is refused in words, whatever numbers come", () => {
		const size = fc.option(fc.oneof(fc.integer({ min: -10, max: 3000 }), fc.double()), { nil: undefined });
		const typed = fc.record({
			name: fc.constantFrom("Tub", "", "x".repeat(500)),
			kind: fc.constantFrom("gn", "round", "box"),
			gn: fc.constantFrom(...GASTRONORM_SIZES, "9/9", undefined),
			length_mm: size,
			width_mm: size,
			diameter_mm: size,
			depth_mm: fc.oneof(size, fc.constantFrom(...GASTRONORM_DEPTHS_MM)),
			stock: fc.constantFrom(0, 4, 1000, 1001),
			use: fc.constantFrom("braise", "sear", "tray"),
			lowMark_mm: size,
			low_l: size,
			highMark_mm: size,
			high_l: size,
		});
		fc.assert(
			fc.property(typed, (given) => {
				const refused = refusedBy(panOf, given);
				if (Object.keys(refused).length > 0) return;
				const fields = panOf(given);
				expect(volumeBelow(shapeOfSizes(fields), fields.depth_mm)).toBeGreaterThan(0);
			}),
			{ numRuns: 400 },
		);
	});
});

describe("an oven as it is typed", () => {
	it("is taken with its rungs and its range, and its power where that was read", () => {
		const usual = { runsHot_K: 0, fan: "usual", opened_h: null };
		expect(ovenOf(OVEN)).toEqual({ ...OVEN, ...usual, power_w: null });
		expect(ovenOf({ ...OVEN, power_kW: 17.5 })).toEqual({ ...OVEN, ...usual, power_w: 17_500 });
		const own = { runsHot_K: -7.5, fan: "fast", opened_h: 4 };
		expect(ovenOf({ ...OVEN, ...own })).toMatchObject(own);
		expect(() => ovenOf({ ...OVEN, runsHot_K: 60 })).toThrow(Refusal);
	});

	it("may be as hot at the least as at the most, and never hottest below its coolest", () => {
		expect(ovenOf({ ...OVEN, min_C: 150, max_C: 150 })).toMatchObject({ min_C: 150, max_C: 150 });
		expect(refusedBy(ovenOf, { ...OVEN, min_C: 200, max_C: 150 })).toEqual({
			max_C: "150 was given; the coolest (200 °C) or more is allowed",
		});
	});

	it.each([
		["rungs", 0],
		["pitch_mm", 12],
		["shelf", "3/1"],
		["max_C", 900],
		["power_kW", 900],
	])("%s of %s is told as that field", (field, value) => {
		expect(Object.keys(refusedBy(ovenOf, { ...OVEN, [field]: value }))).toEqual([field]);
	});
});

describe("the house as it is typed", () => {
	it("is kept in minutes, grams and watts", () => {
		expect(houseOf(HOUSE)).toMatchObject({
			opens_min: 390,
			closes_min: 1320,
			liftLimit_g: 12_500,
			hobPower_w: 3500,
			scaleStep_g: 5,
			searPanId: "wide",
			saltLow_pct: 0.8,
			saltHigh_pct: 1.2,
			confidence_pct: 90,
			altitude_m: 12,
			...{ chilled_days: 4, frozen_days: 60, opened_days: 1 },
		});
	});

	it("keeps a zone by its older and by its newer name, and offers the house's own", () => {
		for (const timeZone of ["Atlantic/Faroe", "Atlantic/Faeroe", "UTC", "America/Argentina/Ushuaia"]) {
			expect(houseOf({ ...HOUSE, timeZone }).timeZone).toBe(timeZone);
			expect(timeZonesWith(timeZone).filter((zone) => zone === timeZone)).toHaveLength(1);
		}
	});

	it("needs no searing pan, but one that is there", () => {
		expect(houseOf({ ...HOUSE, searPanId: "" }).searPanId).toBeNull();
	});

	it("puts a worth on what is left, or none", () => {
		expect(houseOf(HOUSE).byProductWorth).toEqual({});
		expect(houseOf({ ...HOUSE, worth_trim: 0.8, worth_fat: 2.5 }).byProductWorth).toEqual({
			trim: 80,
			fat: 250,
		});
		expect(refusedBy(houseOf, { ...HOUSE, searPanId: "gone" })).toEqual({
			searPanId: "is no pan of this kitchen any more; choose another",
		});
	});

	it("closes later the same day, or after midnight, and never as it opens", () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 1439 }), fc.integer({ min: 0, max: 1439 }), (opens, closes) => {
				const clock = (minute: number) => new Date(minute * 60_000).toISOString().slice(11, 16);
				const typed = { ...HOUSE, opens: clock(opens), closes: clock(closes) };
				if (opens === closes) {
					expect(refusedBy(houseOf, typed).closes).toContain("another time than");
					return;
				}
				const { opens_min, closes_min } = houseOf(typed);
				expect(opens_min).toBe(opens);
				expect(closes_min % 1440).toBe(closes);
				expect(closes_min).toBeGreaterThan(opens_min);
				expect(closes_min - opens_min).toBeLessThan(1440);
			}),
		);
	});

	it("wants no less salt at the top of its band than at the bottom", () => {
		expect(houseOf({ ...HOUSE, saltLow: 1, saltHigh: 1 })).toMatchObject({ saltLow_pct: 1, saltHigh_pct: 1 });
		expect(refusedBy(houseOf, { ...HOUSE, saltLow: 1, saltHigh: 0.9 })).toEqual({
			saltHigh: "0.9 was given; 1 or more is allowed",
		});
	});

	it.each([
		["timeZone", "Nowhere/Here"],
		["timeZone", "+01:00"],
		["timeZone", "constructor"],
		["opens", "25:00"],
		["closes", "9:00"],
		["headspace_mm", 2],
		["lift_kg", 80],
		["currency", "XXY"],
		["scaleStep_g", "3"],
		["confidence", 100],
		["altitude_m", 9000],
		["chilled_days", 0],
		["frozen_days", 1000],
		["opened_days", 1.5],
		["burners", 0],
		["hobPower_kW", Number.NaN],
	])("%s of %s is told as that field", (field, value) => {
		expect(Object.keys(refusedBy(houseOf, { ...HOUSE, [field]: value }))).toEqual([field]);
	});
});
