import { describe, expect, it } from "vitest";
import type { Recipe } from "../recipe/index.ts";
import { equipped, KITCHEN, ORDER, RECIPE } from "./dish.testing.ts";
import { hazardsOf, plan } from "./index.ts";

const planned = plan(RECIPE, ORDER, KITCHEN);
const told = (changed: Partial<Recipe>, main?: string) =>
	hazardsOf({
		...planned,
		recipe: { ...planned.recipe, ...changed },
		lines: planned.lines.map((line) =>
			main !== undefined && line.line.role === "main"
				? { ...line, ingredient: { ...line.ingredient, name: main, cut: null } }
				: line,
		),
	});
const step = (text: string): Partial<Recipe> => ({
	steps: [{ place: "sauce", text }] as unknown as Recipe["steps"],
});

describe("what a dish can hurt with", () => {
	it("is steam and weight in every one", () => {
		for (const hazards of [hazardsOf(planned), hazardsOf(plan(RECIPE, ORDER, equipped({ ovens: [] })))])
			expect(hazards).toEqual(expect.arrayContaining(["steam", "lift"]));
	});

	it("is flame where spirits are poured, and a blender where it is puréed", () => {
		expect(told(step("Let it rest."))).not.toContain("blender");
		expect(told(step("Pour the brandy and set it alight."))).toContain("flame");
		expect(told(step("Blend the vegetables back in."))).toContain("blender");
		expect(told({ schools: { vegetables: "pureed" } })).toContain("blender");
	});

	it("is game by the name of its meat, and not by a name that only sounds like it", () => {
		expect(told({}, "venison shoulder")).toContain("game");
		expect(told({}, "wild rabbit legs")).toContain("game");
		expect(told({}, "pork collar")).not.toContain("game");
		expect(told({}, "goat of Gamewell")).not.toContain("game");
	});

	it("is hot food to spread where it is made ahead", () => {
		expect(told({ schools: { service: "madeAhead" } })).toContain("hotSpread");
		expect(told({ schools: { service: "sameDay" } })).not.toContain("hotSpread");
	});

	it("is no hot fat where nothing is seared, and no knife where nothing is trimmed", () => {
		const { sear: _, ...unseared } = planned.recipe;
		const without = hazardsOf({
			...planned,
			recipe: { ...unseared, losses: { ...unseared.losses, trimLoss: 0 } },
		});
		expect(without).not.toContain("hotFat");
		expect(without).not.toContain("knife");
		expect(hazardsOf(planned)).toContain("hotFat");
	});
});
