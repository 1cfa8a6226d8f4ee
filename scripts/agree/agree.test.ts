import { describe, expect, it } from "vitest";
import { SHOWN_UNITS } from "../../app/ui/parts/shown.ts";
import { differencesIn } from "./differences.ts";
import { readScreen } from "./readScreen.ts";
import { notSaidIn, Said } from "./Said.ts";
import type { Truth } from "./Truth.ts";

const AT = Date.UTC(2026, 11, 5, 14, 45);
const TRUTH: Truth = {
	tasks: new Map([
		["goat/braise/full", { start: AT, end: AT + 3 * 3_600_000, ovens: ["North oven"], set_C: [140] }],
		["goat/lift", { start: AT + 3 * 3_600_000, end: AT + 3 * 3_600_000, ovens: [], set_C: [] }],
		["duck/braise/half", { start: AT - 3_600_000, end: AT, ovens: ["South oven"], set_C: [160] }],
	]),
	dishes: new Map([
		[
			"goat",
			{
				ordered: 27,
				trimmed: 23.4,
				poured: 7.6,
				sauce: 5.5,
				portions: 92,
				pieces: 100,
				pans: 5,
				set: "140 160",
				needed: 26.3,
			},
		],
		["goat#2", { lineKg: 4.6, linePortion: 0.05 }],
		["goat pan 2", { panPieces: 22, panPoured: 1.76, panCarried: 11.5 }],
	]),
	ovens: ["North oven", "South oven"],
	timeZone: "UTC",
	wrong: [],
};

/** A figure as a page sends it. */
const shown = (what: string, of: string, value: string | number, text: string) =>
	`<span data-fact="${what}" data-of="${of}" data-value="${value}" data-unit="${UNITS[what] ?? "count"}">${text}</span>`;
const UNITS: Readonly<Record<string, string>> = SHOWN_UNITS;
const page = (...figures: readonly string[]) =>
	`<html><body><main><p>${figures.join(" ")}</p></main></body></html>`;
const differ = (...figures: readonly string[]) => differencesIn(readScreen(page(...figures)).figures, TRUTH);

describe("what a screen shows", () => {
	it("agrees where every figure is the day's and its text says it", () => {
		expect(
			differ(
				shown("start", "goat/braise/full", AT, "in 14:45"),
				shown("end", "goat/braise/full", AT + 3 * 3_600_000, "17:45"),
				shown("words", "goat/braise/full", "", "Into the North oven at 140 °C, 4 × GN 1/1-100"),
				shown("words", "goat/lift", "", "Hold hot, above 63 °C"),
				shown("ordered", "goat", 27, "27 kg"),
				shown("trimmed", "goat", 23.4, "23.4 kg"),
				shown("poured", "goat", 7.6, "7.6 l"),
				shown("sauce", "goat", 5.5, "5,500 ml"),
				shown("portions", "goat", 92, "92 portions"),
				shown("pieces", "goat", 100, "100"),
				shown("pans", "goat", 5, "5 pans"),
				shown("set", "goat", "160 140", "160 °C and 140 °C"),
				shown("needed", "goat", 26.3, "26.3 kg"),
				shown("lineKg", "goat#2", 4.6, "4.6 kg"),
				shown("linePortion", "goat#2", 0.05, "50 g"),
				shown("panPieces", "goat pan 2", 22, "22"),
				shown("panPoured", "goat pan 2", 1.76, "1.76 l"),
				shown("panCarried", "goat pan 2", 11.5, "11.5 kg"),
			),
		).toEqual([]);
	});

	const planted: readonly (readonly [what: string, figure: string])[] = [
		["a line of another dish's amount", shown("lineKg", "goat#2", 5.1, "5.1 kg")],
		["a text with another portion", shown("linePortion", "goat#2", 0.05, "58 g")],
		["a line that is gone", shown("lineKg", "goat#9", 4.6, "4.6 kg")],
		["another pan's liquid", shown("panPoured", "goat pan 2", 1.78, "1.78 l")],
		["what is ordered for what is needed", shown("needed", "goat", 27, "27 kg")],
		["another start", shown("start", "goat/braise/full", AT - 300_000, "in 14:40")],
		["a text with another clock", shown("start", "goat/braise/full", AT, "in 14:50")],
		["a text without a clock", shown("start", "goat/braise/full", AT, "in a while")],
		["another end", shown("end", "goat/lift", AT, "14:45")],
		["a task that is gone", shown("start", "goat/braise/south", AT, "14:45")],
		["another oven", shown("words", "goat/braise/full", "", "Into the South oven at 140 °C")],
		["another temperature", shown("words", "goat/braise/full", "", "Into the North oven at 150 °C")],
		["both", shown("words", "duck/braise/half", "", "Into the North oven at 140 °C")],
		["an oven where none is", shown("words", "goat/lift", "", "Out of the North oven")],
		["the order of another dish", shown("ordered", "goat", 14.3, "14.3 kg")],
		["a text with other kilos", shown("ordered", "goat", 27, "23 kg")],
		["kilos for grams", shown("trimmed", "goat", 23.4, "23.4 g")],
		["litres of before", shown("poured", "goat", 1.58, "1.58 l")],
		["a text with other litres", shown("poured", "goat", 7.6, "8.6 l")],
		["no litres at all", shown("sauce", "goat", 5.5, "some sauce")],
		["a portion more", shown("portions", "goat", 93, "93 portions")],
		["a piece fewer", shown("pieces", "goat", 99, "99")],
		["a pan fewer in words", shown("pans", "goat", 5, "4 pans")],
		["one temperature of two", shown("set", "goat", "160", "160 °C")],
		["a dish that is not of the day", shown("portions", "squid", 10, "10 portions")],
		["a figure of no known kind", shown("steam", "goat", 1, "1 l")],
	];

	it("has every one of twenty differences found", () => {
		expect(planted.length).toBeGreaterThanOrEqual(20);
		for (const [what, figure] of planted) expect(differ(figure), what).toHaveLength(what === "both" ? 2 : 1);
	});

	it("is read as figures, sums and other words; scales of drawings are none", () => {
		const { texts, sums, figures } = readScreen(
			page(
				"Pour 7.6 l",
				shown("portions", "goat", 92, "92 portions"),
				'<b data-sum="working">92 portions × 60 ml</b> <b data-sum="result">= 5.52 l</b>',
				"<svg><text data-axis>14:00</text></svg><script>9 kg</script>",
			),
		);
		expect(texts).toEqual(["Pour 7.6 l"]);
		expect(sums).toEqual([{ working: "92 portions × 60 ml", result: "5.52 l" }]);
		expect(figures).toHaveLength(1);
	});
});

describe("a number that says nothing of itself", () => {
	const said = new Said()
		.add({ chain: { order_kg: 27.02, portions: 92 }, tender: { low: AT }, minutes: { low: 95, high: 150 } })
		.addWords("Foil off at 220 °C, boxes aboard by 11:45");
	const nobodySaid = (text: string) => notSaidIn(text, said, "UTC");

	it("is the day's, as it is rounded for a scale, or somebody's words", () => {
		expect(nobodySaid("27 kg for 92 portions, tender from 14:45; 1 h 35 at 220 °C; aboard by 11:45")).toEqual(
			[],
		);
		expect(nobodySaid("27,000 g, 2 h 30 min")).toEqual([]);
	});

	it("is found where a page made it up, to the digits that it is written with", () => {
		expect(nobodySaid("28 kg")).toEqual(["28 kg"]);
		expect(nobodySaid("91 portions")).toEqual(["91 portions"]);
		expect(nobodySaid("14:46 or 2:45")).toEqual(["14:46", "2:45"]);
		expect(nobodySaid("3 h 05, 95 mm, 220 g")).toEqual(["3 h 05", "95 mm", "220 g"]);
	});

	it("is looked for in its own unit", () => {
		expect(nobodySaid("27 l and 92 pans")).toEqual(["27 l"]);
	});
});
