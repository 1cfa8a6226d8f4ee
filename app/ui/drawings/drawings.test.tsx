// @vitest-environment happy-dom
import { fireEvent, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { GASTRONORM_SIZES, rimOf } from "#core/pans";
import { onScreen } from "../onScreen.testing.tsx";
import { measuresIn } from "../words/measures.ts";
import { OVEN_FLOOR_PX, OVEN_PX_PER_MM, OVEN_WALL_PX } from "./CavityFrame.tsx";
import { clocksApart } from "./CourseSvg.tsx";
import type { CutDrawing, OvenDrawing } from "./drawings.ts";
import { type HeldDrawing, HeldPans } from "./HeldPans.tsx";
import { LevelGrip } from "./LevelGrip.tsx";
import { OvenCavity } from "./OvenCavity.tsx";
import { ovenPans } from "./ovenPans.ts";
import { type LineDrag, PanCut } from "./PanCut.tsx";
import { PanFromAbove } from "./PanFromAbove.tsx";
import { PansOnFloor } from "./PansOnFloor.tsx";
import { panDrawing } from "./panDrawing.ts";
import { PAN_LEFT, PAN_RIGHT, panScale } from "./panScale.ts";

const METRIC = measuresIn("metric");
const PIECE = { shape: "block", length_mm: 85, width_mm: 60, height_mm: 50, weight_g: 260 } as const;
const FULL = { gn: "1/1", depth_mm: 100 } as const;
const LAID = panDrawing(FULL, METRIC, { piece: PIECE, gap_mm: 10 });
const CUT: CutDrawing = {
	line_mm: 45,
	bed_mm: 12,
	lid: "foil over parchment",
	lineWords: "a third up",
	line: "45 mm",
	dip: "55 mm",
	headspace_mm: 25,
	schools: [
		{ name: "a third up", mm: 45 },
		{ name: "half up", mm: 62 },
		{ name: "just covered", mm: 74 },
	],
	words: "GN 1/1 cut through: liquid to 45 mm.",
};

/** Every number that a drawing says in its shapes. */
const numbersOf = (container: HTMLElement) =>
	[...container.querySelectorAll("svg *")].flatMap((element) =>
		[...element.attributes]
			.filter(({ name }) => /^(x|y|d|r|cx|cy|x1|x2|y1|y2|width|height)$/.test(name))
			.flatMap(({ value }) => value.match(/-?[\d.]+|NaN|Infinity/g) ?? []),
	);

describe("a level as a control", () => {
	const grip = (over: Partial<React.ComponentProps<typeof LevelGrip>> = {}) => {
		const onMove = vi.fn();
		const onDrop = vi.fn();
		onScreen(
			<svg aria-label="pot">
				<LevelGrip
					label="Level"
					text="6 l"
					now={6}
					most={10}
					figure="6 l"
					x={308}
					y={40}
					valueAt={() => 7}
					keyTo={(key) => (key === "ArrowUp" ? 7 : undefined)}
					onMove={onMove}
					onDrop={onDrop}
					{...over}
				/>
			</svg>,
		);
		return { onMove, onDrop, slider: screen.getByRole("slider", { name: "Level" }) };
	};

	it("says where it is and how far it goes", () => {
		const { slider } = grip();
		expect(slider.getAttribute("aria-valuenow")).toBe("6");
		expect(slider.getAttribute("aria-valuemax")).toBe("10");
		expect(slider.getAttribute("aria-valuetext")).toBe("6 l");
		expect(slider.getAttribute("tabindex")).toBe("0");
	});

	it("follows its keys, and leaves the others to the page", () => {
		const { slider, onMove, onDrop } = grip();
		expect(fireEvent.keyDown(slider, { key: "Tab" })).toBe(true);
		expect(onMove).not.toHaveBeenCalled();
		expect(fireEvent.keyDown(slider, { key: "ArrowUp" })).toBe(false);
		expect(onMove).toHaveBeenCalledWith(7);
		expect(onDrop).toHaveBeenCalledTimes(1);
	});

	it("follows a pointer only while it is held", () => {
		const { slider, onMove, onDrop } = grip();
		let held = false;
		slider.setPointerCapture = () => {
			held = true;
		};
		slider.hasPointerCapture = () => held;
		slider.releasePointerCapture = () => {
			held = false;
		};
		fireEvent.pointerMove(slider, { pointerId: 1 });
		expect(onMove).not.toHaveBeenCalled();
		fireEvent.pointerDown(slider, { pointerId: 1 });
		fireEvent.pointerMove(slider, { pointerId: 1 });
		expect(onMove).toHaveBeenCalledTimes(1);
		fireEvent.pointerUp(slider, { pointerId: 1 });
		fireEvent.pointerMove(slider, { pointerId: 1 });
		expect(onMove).toHaveBeenCalledTimes(1);
		expect(onDrop).toHaveBeenCalledTimes(1);
	});
});

describe("a pan cut through", () => {
	const withDrag = (cut: CutDrawing) => {
		const drag: LineDrag = { label: "Liquid line", text: "45 mm", onMove: vi.fn(), onDrop: vi.fn() };
		onScreen(<PanCut pan={LAID} cut={cut} drag={drag} />);
		return { drag, slider: screen.getByRole("slider", { name: "Liquid line" }) };
	};

	it.each([
		["ArrowUp", 46],
		["ArrowRight", 46],
		["ArrowDown", 44],
		["ArrowLeft", 44],
		["PageUp", 62],
		["Home", 45],
		["End", 74],
	])("%s takes the line to %i mm", (key, to) => {
		const { drag, slider } = withDrag(CUT);
		fireEvent.keyDown(slider, { key });
		expect(drag.onMove).toHaveBeenCalledWith(to);
	});

	it("goes from school to school with the page keys, and stays at the last", () => {
		const { drag, slider } = withDrag({ ...CUT, line_mm: 74 });
		fireEvent.keyDown(slider, { key: "PageUp" });
		expect(drag.onMove).not.toHaveBeenCalled();
		fireEvent.keyDown(slider, { key: "PageDown" });
		expect(drag.onMove).toHaveBeenCalledWith(62);
	});

	it("marks every school, and holds the line beside the wall with its millimetres", () => {
		const { container } = onScreen(<PanCut pan={LAID} cut={CUT} />);
		const texts = [...container.querySelectorAll("text")].map((text) => text.textContent);
		for (const words of ["dip 55 mm", "45 mm", "foil over parchment"]) expect(texts).toContain(words);
		const up = [...container.querySelectorAll("line")].map((line) => Number(line.getAttribute("y1")));
		const { px } = panScale(LAID, 660);
		for (const { mm } of CUT.schools) expect(up).toContain(px(LAID.depth_mm - mm));
		expect(screen.getByRole("img").getAttribute("aria-label")).toBe(CUT.words);
	});

	it("keeps the grip outside the wall, whole and large enough for a finger", () => {
		const { slider } = withDrag(CUT);
		const grip = slider.querySelector(".grip");
		expect(Number(grip?.getAttribute("x"))).toBeGreaterThan(panScale(LAID, 660).width);
		expect(Number(grip?.getAttribute("height"))).toBeGreaterThanOrEqual(44);
		expect(Number(grip?.getAttribute("width"))).toBeGreaterThanOrEqual(44);
		expect(slider.querySelector("text")?.textContent).toBe("45 mm");
	});

	it.each([1280, 700, 342, 200])("shares the scale of its plan at %i px", (shown) => {
		const { width, px } = panScale(LAID, shown);
		expect(px(rimOf(FULL).length_mm)).toBeCloseTo(width);
		expect(PAN_LEFT + width + PAN_RIGHT).toBeLessThanOrEqual(Math.max(shown, 60 + PAN_LEFT + PAN_RIGHT));
	});

	it("is drawn in real numbers with a line over the rim, no bed and no lid", () => {
		const { container } = onScreen(
			<PanCut pan={LAID} cut={{ ...CUT, line_mm: 400, bed_mm: 0, lid: "", headspace_mm: 0 }} />,
		);
		for (const number of numbersOf(container)) expect(Number.isFinite(Number(number))).toBe(true);
	});
});

describe("a pan from above", () => {
	it("shows each piece where it was laid, to one scale", () => {
		const { container } = onScreen(<PanFromAbove pan={LAID} />);
		const pieces = [...container.querySelectorAll("rect")].filter(
			(rect) => rect.getAttribute("rx") === String(Math.min(12, Number(rect.getAttribute("height")) / 4)),
		);
		expect(pieces).toHaveLength(LAID.placed.length);
		const wide = pieces.map((rect) => Number(rect.getAttribute("width")));
		const { px: scale } = panScale(LAID, 660);
		for (const [index, px] of wide.entries())
			expect(px).toBeCloseTo(scale(LAID.placed[index]?.length_mm ?? 0), 6);
	});

	it.each([
		...GASTRONORM_SIZES.map((gn) => ({ gn, depth_mm: 65 })),
		{ round: { diameter_mm: 400, height_mm: 150 } },
	])("%o is drawn in real numbers and says how many lie in it", (shape) => {
		const drawing = panDrawing(shape, METRIC, { piece: PIECE, gap_mm: 10 });
		const { container } = onScreen(<PanFromAbove pan={drawing} filled />);
		for (const number of numbersOf(container)) expect(Number.isFinite(Number(number))).toBe(true);
		expect(screen.getByRole("img").getAttribute("aria-label")).toContain(
			`with ${drawing.placed.length} piece`,
		);
	});
});

describe("an oven", () => {
	const OVEN: OvenDrawing = {
		name: "North oven",
		rungs: 10,
		pitch_mm: 65,
		width_mm: 530,
		set: "150 °C",
		set_C: 150,
		taken: [0, 1, 2, 3],
		pans: [ovenPans({ gn: "1/1", depth_mm: 65 }, 4, "1/1")],
		words: "North oven at 150 °C with 4 pans.",
	};
	const pansIn = (oven: OvenDrawing) =>
		onScreen(<OvenCavity oven={oven} />).container.querySelectorAll("path").length;

	it("shows every pan on its rung, with its name and temperature", () => {
		expect(pansIn(OVEN)).toBe(4);
		expect(screen.getByText("North oven").parentElement?.textContent).toBe("North oven, 150 °C");
		expect(screen.getByRole("img").getAttribute("aria-label")).toBe(OVEN.words);
	});

	it("puts half pans side by side, each to scale", () => {
		const half = ovenPans({ gn: "1/2", depth_mm: 65 }, 6, "1/1");
		expect(half.across).toBe(2);
		expect(pansIn({ ...OVEN, taken: [0, 1, 2], pans: [half] })).toBe(6);
	});

	it("is as wide and as high as it is, in the scale of all ovens", () => {
		const { container } = onScreen(<OvenCavity oven={{ ...OVEN, rungs: 6 }} />);
		const svg = container.querySelector("svg");
		const walls = 2 * OVEN_WALL_PX;
		expect(Number(svg?.getAttribute("width")) - walls).toBe(530 * OVEN_PX_PER_MM);
		expect(Number(svg?.getAttribute("height")) - walls - OVEN_FLOOR_PX).toBe(6 * 65 * OVEN_PX_PER_MM);
	});

	it("leaves what has no rung on the floor, and says so", () => {
		onScreen(<PansOnFloor pans={[ovenPans({ gn: "1/1", depth_mm: 100 }, 9, "1/1")]} of="Goat shoulder" />);
		expect(screen.getByRole("img").getAttribute("aria-label")).toBe("9 of Goat shoulder: no rung");
		expect(screen.getByText("▲ no rung")).toBeTruthy();
	});
});

describe("pans that are held hot", () => {
	const drawing: HeldDrawing = {
		rows: Array.from({ length: 5 }, (_, index) => ({
			name: `pan ${index + 1}`,
			from_min: 0,
			to_min: 30 + index * 10,
			opened: `18:${30 + index * 5}`,
		})),
		service: { minute: 75, words: "serve" },
		sensible: { low_min: 90, high_min: 400, words: "sensible until 19:30" },
		end_min: 100,
		hours: [
			{ minute: 0, words: "18:00" },
			{ minute: 60, words: "19:00" },
		],
		words: "Held at 68 °C.",
	};
	const drawn = () => {
		const { container } = onScreen(<HeldPans drawing={drawing} />);
		const numberOf = (element: Element | null, name: string) => Number(element?.getAttribute(name));
		const bars = [...container.querySelectorAll('[data-means="pan held"]')];
		return { container, bars, numberOf };
	};

	it("have bars that grow by what a pan takes, on the scale of the clock", () => {
		const { bars, numberOf } = drawn();
		const widths = bars.map((bar) => numberOf(bar, "width"));
		expect(widths).toHaveLength(5);
		for (const [index, width] of widths.entries())
			expect(width / (widths[0] ?? 1)).toBeCloseTo((30 + index * 10) / 30, 6);
	});

	it("say until when they are sensible under their bars, within the drawing", () => {
		const { container, bars, numberOf } = drawn();
		const lowest = Math.max(...bars.map((bar) => numberOf(bar, "y") + numberOf(bar, "height")));
		const said = [...container.querySelectorAll("text")].find((text) =>
			text.textContent?.startsWith("sensible"),
		);
		expect(numberOf(said ?? null, "y")).toBeGreaterThan(lowest + 12);
		const band = container.querySelector('[data-means="sensible"]');
		const [, , wide = 0] = (container.querySelector("svg")?.getAttribute("viewBox") ?? "")
			.split(" ")
			.map(Number);
		expect(numberOf(band, "width")).toBeGreaterThan(0);
		expect(numberOf(band, "x") + numberOf(band, "width")).toBeLessThanOrEqual(wide);
	});
});

describe("clock times along a drawing", () => {
	it("are as many as stand apart, the first always", () => {
		const hours = [0, 15, 30, 45, 60, 75, 90].map((minute) => ({ minute }));
		expect(clocksApart(hours, (minute) => minute * 4)).toEqual(hours);
		expect(clocksApart(hours, (minute) => minute * 2).map(({ minute }) => minute)).toEqual([0, 30, 60, 90]);
		expect(clocksApart(hours, (minute) => minute).map(({ minute }) => minute)).toEqual([0, 60]);
		expect(clocksApart([], (minute) => minute)).toEqual([]);
	});
});
