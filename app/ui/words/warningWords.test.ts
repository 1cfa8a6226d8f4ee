import { describe, expect, it } from "vitest";
import type { PlanWarning } from "#core/dish";
import { readingIn } from "./reading.ts";
import { warningWords } from "./warningWords.ts";

const METRIC = readingIn("metric", "UTC", 0);
const US = readingIn("us", "UTC", 0);

/** One of every kind, with what must be read in it. */
const WARNINGS: readonly (readonly [PlanWarning, readonly string[]])[] = [
	[{ code: "tooFewFromMeat", place: "buy", makes: 40, wanted: 60 }, ["40", "60", "20 short"]],
	[{ code: "tooFewFromPans", place: "buy", makes: 40, wanted: 60 }, ["40", "60", "20 short"]],
	[{ code: "noPan", place: "panUp" }, ["No free pan"]],
	[
		{
			code: "cutTooLarge",
			place: "braise",
			name: "carrots",
			cut: { form: "dice", mm: 40 },
			minutes: 20,
			wants_min: 52,
			suits_mm: { low: 8, high: 16 },
		},
		["Carrots, dice of 40 mm", "52 min", "20 min"],
	],
	[
		{
			code: "cutTooSmall",
			place: "braise",
			name: "swede",
			cut: { form: "slice", mm: 5 },
			minutes: 150,
			wants_min: 30,
			suits_mm: null,
		},
		["slices of 5 mm", "falls apart in 30 min"],
	],
	[
		{ code: "orderTooLate", place: "buy", since: 0, comes: 172_800_000, needed: 86_400_000 },
		["Ordered now it comes Sat 00:00", "it is needed Fri 00:00"],
	],
	[
		{ code: "orderDue", place: "buy", since: 0, comes: 86_400_000, needed: 172_800_000 },
		["should have gone out 00:00"],
	],
	[{ code: "noVessel", place: "panUp", heat: "pressure" }, ["under pressure"]],
	[{ code: "burnersShort", place: "braise", wanted: 5, burners: 3 }, ["5 vessels", "3"]],
	[
		{
			code: "panStock",
			place: "panUp",
			unplaced: 12,
			kinds: [
				{ name: "GN 1/1-100", stock: 10, here: 6, elsewhere: [{ dish: "Goat shoulder", count: 4 }] },
				{ name: "GN 1/2-100", stock: 3, here: 3, elsewhere: [] },
			],
		},
		["12 pieces", "10 GN 1/1-100, 6 here, 4 for Goat shoulder; 3 GN 1/2-100, 3 here"],
	],
	[
		{
			code: "wishBeyondStock",
			place: "panUp",
			kinds: [{ name: "GN 1/2-100", stock: 6, here: 4, elsewhere: [{ dish: "Duck legs", count: 2 }] }],
		},
		["6 GN 1/2-100, 4 here, 2 for Duck legs"],
	],
	[{ code: "halfEmpty", place: "panUp", name: "GN 2/1-100", pieces: 11, holds: 40 }, ["40 pieces", "11"]],
	[{ code: "aboveLine", place: "panUp", stands_mm: 30, school_mm: 15 }, ["30 mm", "15 mm"]],
	[
		{ code: "crowded", place: "sear", gap_mm: 6, wanted_mm: 15, perLoad: 8, loads: 12 },
		["6 mm apart", "15 mm"],
	],
	[{ code: "boilsDry", place: "braise", at_min: 95 }, ["95 min"]],
	[{ code: "nearlyDry", place: "braise", left_l: 1.1, in_l: 9 }, ["1.1 l", "9 l"]],
	[
		{ code: "noSaucePot", place: "sauce", wanted_l: 0.6, name: "Rondeau 400", depth_mm: 5, least_mm: 25 },
		["5 mm", "Rondeau 400", "25 mm"],
	],
	[{ code: "noSaucePot", place: "sauce", wanted_l: 6, name: null, depth_mm: 0, least_mm: 25 }, ["6 l"]],
	[
		{
			code: "carryMissed",
			place: "plate",
			minutes: 240,
			packed_C: 80,
			limit_C: 63,
			limit_min: 171.4,
			hot: true,
		},
		["63 °C", "2 h 51", "4 h"],
	],
	[
		{ code: "holdMissed", place: "rest", limit_C: 63, minutes: 250, below_min: 190 },
		["3 h 10", "4 h 10", "63 °C"],
	],
	[
		{ code: "comingUpSlow", place: "braise", hot_C: 57, within_min: 180, minutes: 212, house: "Ours" },
		["57 °C", "3 h 32", "3 h", "Ours"],
	],
	[
		{ code: "underKilled", place: "braise", ref_C: 70, ref_min: 2, lift_min: 180, minutes: 212.4 },
		["3 h", "3 h 32", "2 min at 70 °C"],
	],
	[{ code: "heldTooSoft", place: "rest", minutes: 190, sensible_min: 131.2 }, ["3 h 10", "2 h 11"]],
	[{ code: "meatWaits", place: "rest", minutes: 75 }, ["75 min"]],
	[{ code: "holdHot", place: "rest", minutes: 80, pans: 6 }, ["6 pans", "80 min"]],
	[{ code: "platesAMinute", place: "plate", minutes: 90, people: 6, hands: 2 }, ["90 min", "2 people"]],
	[{ code: "searingLong", place: "sear", minutes: 130 }, ["2 h 10"]],
	[
		{ code: "ovenTimes", place: "braise", slow: "South oven", quick: "North oven", minutes: 25 },
		["North oven", "25 min", "South oven"],
	],
	[{ code: "soaking", place: "buy", names: ["white beans"] }, ["white beans"]],
	[{ code: "marinadeShort", place: "marinate", litres: 3, wanted_l: 6 }, ["3 l", "6 l"]],
	[{ code: "notWhole", place: "plate", cooked_g: 110, portion_g: 160 }, ["110 g", "160 g"]],
	[
		{ code: "hiddenSalt", place: "build", names: ["soy sauce"], share: 0.4 },
		["40 % of the salt comes with soy sauce"],
	],
	[
		{
			code: "liquorAllergens",
			place: "sauce",
			litres: 4,
			contains: ["celery", "sulphites"],
			notKnown: false,
		},
		["4 l", "celery, sulphites"],
	],
	[{ code: "aheadOffer", place: "braise", portions: 300 }, ["300 portions", "the day before"]],
	[{ code: "noColourOven", place: "sear" }, ["shallow pan"]],
	[{ code: "overfull", place: "panUp", dip_mm: 12, headspace_mm: 25 }, ["12 mm", "25 mm"]],
	[
		{ code: "heavy", place: "panUp", pans: 3, of: 5, heaviest_kg: 17.2, limit_kg: 15 },
		["3 of 5", "17.2 kg", "15 kg"],
	],
	[{ code: "tallPiece", place: "panUp", over_mm: 8 }, ["8 mm"]],
	[{ code: "ovenSpace", place: "braise", without: 2, of: 9, held: [] }, ["2 of 9"]],
	[
		{
			code: "noOven",
			place: "braise",
			low_C: 140,
			high_C: 165,
			held: [{ oven: "North", dish: "Goat", rungs: 8, set_C: 150 }],
		},
		["140 °C", "165 °C"],
	],
	[{ code: "bedReachesLine", place: "panUp" }, ["reach the line"]],
	[
		{ code: "beforeOpening", place: "sear", at: Date.UTC(2026, 10, 28, 3, 0), tasks: 1 },
		["outside the kitchen's hours"],
	],
	[{ code: "marinatedTooLong", place: "marinate", minutes: 3000, longest_min: 2880 }, ["50 h", "48 h"]],
	[{ code: "sauceShort", place: "sauce", wanted_l: 6, there_l: 4.2 }, ["6 l", "4.2 l"]],
	[{ code: "saltOver", place: "sauce", end_pct: 1.43, high_pct: 1.2 }, ["1.43 %", "1.2 %"]],
	[{ code: "saltUnder", place: "sauce", end_pct: 0.31, low_pct: 0.8 }, ["0.31 %", "0.8 %"]],
	[{ code: "pieceSize", place: "trim", said_g: 300, piece_g: 258 }, ["300 g", "258 g"]],
	[{ code: "neverTender", place: "braise" }, ["two days"]],
	[{ code: "noSearPan", place: "sear" }, ["no searing pan"]],
];

describe("a warning", () => {
	it.each(WARNINGS)("$code says its figures", (warning, figures) => {
		const { says } = warningWords(warning, METRIC);
		for (const figure of figures) expect(says).toContain(figure);
	});

	it.each(WARNINGS)("$code offers a remedy, in whole sentences and the reader's units", (warning) => {
		const { says, remedy } = warningWords(warning, US);
		for (const sentence of [says, remedy]) expect(sentence).toMatch(/^[A-Z0-9].*\.$/);
		expect(says + remedy).not.toMatch(/\d (kg|g|l|ml|mm|°C)\b/);
		expect(says + remedy).not.toMatch(/!|undefined|NaN|\bsafe\b/);
	});
});
