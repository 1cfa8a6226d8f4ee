import { describe, expect, it } from "vitest";
import { hasTrial, readTrial } from "./tableTrial.ts";

const TYPED = {
	covers: "140",
	uptake: "62",
	spare: "5",
	date: "2026-11-28",
	time: "19:30",
	basis: "covers",
	onHand: "26.7 kg",
	pans: "5",
	panType: "",
	wishes: "",
	line: "",
	colour: "",
	ahead: "",
};
const read = (changed: Record<string, string>, units: "metric" | "us" = "metric") =>
	readTrial(new URLSearchParams({ ...TYPED, ...changed }), "UTC", units);

describe("the scale control", () => {
	it("reads covers, shares and the hour of service", () => {
		expect(read({})).toEqual({
			value: {
				sitting: { covers: 140, serviceAt: Date.UTC(2026, 10, 28, 19, 30) },
				dish: {
					uptake: 0.62,
					share: null,
					spare: 0.05,
					basis: "covers",
					onHand_g: null,
					panCount: null,
					panTypeId: null,
					panWishes: [],
					line: null,
					colour: null,
					ahead: null,
					chill: null,
					cook: null,
					swaps: [],
					byProducts: {},
				},
			},
		});
	});

	it("a bare weight is in the reader's unit, a written one in its own", () => {
		expect(read({ basis: "onHand", onHand: "17,4" })).toMatchObject({
			value: { dish: { onHand_g: 17_400 } },
		});
		expect(read({ basis: "onHand", onHand: "10" }, "us")).toMatchObject({
			value: { dish: { onHand_g: 4536 } },
		});
		expect(read({ basis: "onHand", onHand: "38 lb 8 oz" })).toMatchObject({
			value: { dish: { onHand_g: 17_463 } },
		});
	});

	it.each([
		[{ covers: "0" }, "covers"],
		[{ uptake: "120" }, "uptake"],
		[{ time: "seven" }, "time"],
		[{ basis: "onHand", onHand: "heaps" }, "onHand"],
		[{ basis: "onHand", onHand: "2 l" }, "onHand"],
		[{ basis: "pans", pans: "" }, "pans"],
		[{ basis: "guess" }, "basis"],
		[{ wishes: "gn:many" }, "wishes"],
		[{ line: "deep" }, "line"],
		[{ colour: "blue" }, "colour"],
		[{ swaps: "cider" }, "swaps"],
		[{ byProducts: "feathers>broth" }, "byProducts"],
		[{ uptake: "200 guests" }, "uptake"],
	])("%o is refused at its field, and kept", (changed, field) => {
		const result = read(changed);
		expect("wrong" in result && Object.keys(result.wrong)).toEqual([field]);
		expect("typed" in result && result.typed).toMatchObject(changed);
	});

	it("reads the pans, the line and the colouring that the chef has settled", () => {
		const settled = read({ wishes: "gn-1-1-100:3", line: "over:2", colour: "oven" });
		expect(settled).toMatchObject({
			value: {
				dish: { panWishes: [{ typeId: "gn-1-1-100", count: 3 }], line: { over_mm: 2 }, colour: "oven" },
			},
		});
	});

	it("reads so many guests, the rest, and what lines are made with", () => {
		expect(read({ uptake: "70 guests", swaps: "dry-cider>perry" })).toMatchObject({
			value: {
				dish: {
					uptake: 0.5,
					share: { by: "guests", guests: 70 },
					swaps: [{ from: "dry-cider", to: "perry" }],
				},
			},
		});
		expect(read({ uptake: "the rest" })).toMatchObject({ value: { dish: { share: { by: "rest" } } } });
	});

	it("is only there when the address carries it", () => {
		expect(hasTrial(new URLSearchParams("place=sear"))).toBe(false);
		expect(hasTrial(new URLSearchParams("basis=covers"))).toBe(true);
	});
});
