import { describe, expect, it } from "vitest";
import { hasSize, readSize } from "./cardSize.ts";

const read = (query: string, units: "metric" | "us" = "metric") =>
	readSize(new URLSearchParams(query), units);

describe("the size a card is read at", () => {
	it.each([
		["basis=covers&size=140", { basis: "covers", portions: 140 }],
		["portions=40", { basis: "covers", portions: 40 }],
		["basis=onHand&size=17,4", { basis: "onHand", onHand_kg: 17.4 }],
		["basis=onHand&size=850+g", { basis: "onHand", onHand_kg: 0.85 }],
		["basis=pans&size=4", { basis: "pans", pans: 4, panTypeId: null }],
		["basis=pans&size=4&panType=gn", { basis: "pans", pans: 4, panTypeId: "gn" }],
		["basis=factor&size=%C3%972.5", { basis: "factor", factor: 2.5 }],
		["basis=factor&size=0,5", { basis: "factor", factor: 0.5 }],
	])("%s", (query, size) => {
		expect(read(query)).toEqual({ value: size });
	});

	it("a bare weight is pounds for a US reader", () => {
		const result = read("basis=onHand&size=10", "us");
		expect("value" in result && result.value).toMatchObject({ onHand_kg: expect.closeTo(4.536, 3) });
	});

	it.each([
		["basis=covers&size=0", /whole number of portions/],
		["basis=covers&size=1e9", /whole number of portions/],
		["basis=covers&size=4.5", /whole number of portions/],
		["basis=onHand&size=heaps", /number with a unit/],
		["basis=onHand&size=2+l", /mass/],
		["basis=onHand&size=0", /above 0/],
		["basis=pans&size=-1", /whole number of pans/],
		["basis=factor&size=NaN", /number above 0/],
		["basis=factor&size=", /how much/],
		["basis=moon&size=1", /one of covers/],
	])("%s is refused, says what is allowed, and is kept", (query, allowed) => {
		const result = read(query);
		expect("wrong" in result && Object.values(result.wrong).join()).toMatch(allowed);
		expect("typed" in result && result.typed.basis).toBe(new URLSearchParams(query).get("basis"));
	});

	it("is only there when the address has one", () => {
		expect(hasSize(new URLSearchParams("version=2"))).toBe(false);
		expect(hasSize(new URLSearchParams("portions=2"))).toBe(true);
	});
});
