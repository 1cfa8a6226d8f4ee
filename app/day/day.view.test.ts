import { beforeAll, describe, expect, it } from "vitest";
import type { DayView } from "./day.view.ts";
import { standOnRungs } from "./standOnRungs.ts";
import { supperView } from "./supperDay.testing.ts";

describe("the wall of the festival supper", () => {
	let view: DayView;
	beforeAll(async () => {
		({ view } = await supperView());
	});

	it("no two dishes stand on one rung of an oven at one moment", () => {
		for (const { stands, rungs } of view.ovens) {
			for (const one of stands) {
				expect(one.rungs.every((rung) => rung >= 0 && rung < rungs)).toBe(true);
				for (const other of stands) {
					if (other === one || other.from >= one.to || other.to <= one.from) continue;
					expect(one.rungs.filter((rung) => other.rungs.includes(rung))).toEqual([]);
					expect(other.set_C).toBe(one.set_C);
				}
			}
		}
	});

	it("has all its pans, each under its dish's letter, from the hour of the first work to after service", () => {
		const tags = view.dishes.map(({ tag }) => tag);
		expect(tags.slice(0, 3)).toEqual(["A", "B", "C"]);
		expect(new Set(tags).size).toBe(tags.length);
		const stands = view.ovens.flatMap((oven) => oven.stands);
		for (const tag of ["A", "B", "C"]) expect(stands.map((stand) => stand.tag)).toContain(tag);
		for (const { pans, from, to, tag } of stands) {
			expect(tags).toContain(tag);
			expect(pans.reduce((sum, { count }) => sum + count, 0)).toBeGreaterThan(0);
			expect(from).toBeGreaterThanOrEqual(view.from);
			expect(to).toBeLessThanOrEqual(view.to);
		}
		const [service] = view.services;
		expect(service?.at).toBeLessThanOrEqual(view.to);
		expect(view.events).toEqual([...view.events].sort((a, b) => a - b));
	});

	it("begins where most is in the ovens", () => {
		const taken = (at: number) =>
			view.ovens
				.flatMap(({ stands }) => stands)
				.filter(({ from, to }) => from <= at && to > at)
				.reduce((sum, { rungs }) => sum + rungs.length, 0);
		for (const at of view.events) expect(taken(view.begins)).toBeGreaterThanOrEqual(taken(at));
	});

	it("gives each cook a list in the order of the clock, and what needs no hands to whoever is nearest", () => {
		expect(view.people.length).toBeGreaterThan(1);
		for (const { rows } of view.people) {
			const clocks = rows.map(({ clock }) => clock);
			expect(clocks).toEqual([...clocks].sort());
		}
		expect(view.nobodys.map(({ what }) => what)).toContain("Lift");
		expect(view.earlier.some(({ what, day }) => what === "Order" && day.startsWith("Wed"))).toBe(true);
	});

	it("says how much waits, and that no plan has less", () => {
		expect(view.bound).toMatch(/waiting when tender; no plan can have fewer|Nothing that is tender waits/);
	});
});

describe("rungs", () => {
	const stand = (amount: number, from: number, to: number) => ({ amount, from, to });

	it("are side by side where there are so many, the lowest first", () => {
		expect(standOnRungs([stand(2, 0, 10), stand(3, 5, 20), stand(2, 10, 20)], 6)).toEqual([
			[0, 1],
			[2, 3, 4],
			[0, 1],
		]);
	});

	it("are taken where they are free, when those that are free lie apart", () => {
		const stands = [stand(1, 0, 5), stand(1, 0, 20), stand(1, 0, 5), stand(2, 5, 20)];
		expect(standOnRungs(stands, 3)[3]).toEqual([0, 2]);
	});
});
