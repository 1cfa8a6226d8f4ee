// @vitest-environment happy-dom
import { fireEvent, screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { reduce } from "#core/sauce";
import { onScreen } from "../../ui/onScreen.testing.tsx";
import type { PotView } from "./pot.view.ts";
import { SaltScale } from "./SaltScale.tsx";
import { SaucePot } from "./SaucePot.tsx";

const POT: PotView = {
	units: "metric",
	name: "Pot 360",
	across_mm: 360,
	floor_m2: (Math.PI / 4) * 0.36 ** 2,
	height_mm: 300,
	power_kW: 3,
	count: 1,
	goes: 1,
	take_l: 10,
	wanted_l: 6.4,
	fat_mm: 3,
	salt_pct: 0.6,
	band_pct: { low: 0.8, high: 1.2 },
	portions: 92,
	remedies: [{ name: "Reduce", says: "to 6.4 l", glutenFree: true }],
};
const slider = () => screen.getByRole("slider", { name: "Level of the sauce" });
const level = () => Number(slider().getAttribute("aria-valuenow"));
const figures = () => screen.getAllByRole("definition").map((figure) => figure.textContent);

describe("the pot of a sauce", () => {
	it("starts at what is wanted, with what it takes to get there", () => {
		onScreen(<SaucePot pot={POT} />);
		expect(level()).toBe(6.4);
		const way = reduce({ start_l: 10, target_l: 6.4, pot: { diameter_mm: 360 }, power_kW: 3, salt_pct: 0.6 });
		expect(figures()).toContain("6.4 l");
		expect(figures()).toContain(`${Math.round(way.mark_mm)} mm`);
		expect(screen.getByRole("img").getAttribute("aria-label")).toContain(
			`Salt ${way.salt_pct?.toFixed(2)} %`,
		);
	});

	it("by arrow keys the level sinks, and the salt rises with it", () => {
		onScreen(<SaucePot pot={POT} />);
		const saltNow = () =>
			Number(/Salt ([\d.]+)/.exec(screen.getByRole("img").getAttribute("aria-label") ?? "")?.[1]);
		const [before, salt] = [level(), saltNow()];
		for (let press = 0; press < 10; press += 1) fireEvent.keyDown(slider(), { key: "ArrowDown" });
		expect(level()).toBeLessThan(before);
		expect(saltNow()).toBeGreaterThan(salt);
	});

	it("never rises over what is taken, nor sinks to nothing", () => {
		onScreen(<SaucePot pot={POT} />);
		for (let press = 0; press < 200; press += 1) fireEvent.keyDown(slider(), { key: "ArrowUp" });
		expect(level()).toBe(10);
		for (let press = 0; press < 400; press += 1) fireEvent.keyDown(slider(), { key: "ArrowDown" });
		expect(level()).toBe(0.5);
	});

	it("says nothing of salt where no line is salt, and names a pot that stands twice", () => {
		onScreen(<SaucePot pot={{ ...POT, salt_pct: null, count: 2 }} />);
		expect(screen.queryByText(/house 0.8/)).toBeNull();
		expect(screen.getByRole("group").getAttribute("aria-label")).toMatch(/^One of 2: Pot 360/);
	});
});

describe("the scale of salt", () => {
	it.each([
		[0.5, "under"],
		[1, "within"],
		[1.5, "over"],
		[9, "over"],
	])("%s %% is %s the house band", (pct, where) => {
		onScreen(<SaltScale pct={pct} band={{ low: 0.8, high: 1.2 }} />);
		expect(screen.getByRole("img").getAttribute("aria-label")).toBe(
			`Salt ${pct.toFixed(2)} %, ${where} the house band of 0.8 to 1.2 %.`,
		);
	});
});
