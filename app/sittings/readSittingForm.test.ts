import { describe, expect, it } from "vitest";
import { readSittingForm } from "./readSittingForm.ts";

const ZONE = "Atlantic/Faroe";
const TYPED = {
	name: "Festival supper",
	room: "Hall",
	date: "2026-11-28",
	time: "19:30",
	covers: "140",
	hands: "3",
	note: "After the lamp is lit.",
	version: "4",
	"uptake.a": "62",
	"spare.a": "5",
	"uptake.b": "20",
	"spare.b": "2,5",
};

function read(changed: Record<string, string> = {}, dishes = ["a", "b"]) {
	const form = new FormData();
	for (const [field, value] of Object.entries({ ...TYPED, ...changed })) form.set(field, value);
	for (const dish of dishes) form.append("dish", dish);
	return readSittingForm(form, ZONE, ["twoStage57"]);
}

const wrongIn = (changed: Record<string, string>) => {
	const result = read(changed);
	return "wrong" in result ? result.wrong : {};
};

describe("a sitting as it is typed", () => {
	it("is read in the time of the house, with the share of every dish", () => {
		const result = read();
		if ("wrong" in result) throw new Error(JSON.stringify(result.wrong));
		expect(result.value).toMatchObject({
			details: { name: "Festival supper", covers: 140, hands: 3, serviceAt: Date.UTC(2026, 10, 28, 19, 30) },
			version: 4,
			intent: "save",
		});
		expect([...result.value.shares]).toEqual([
			["a", { uptake: 0.62, share: null, spare: 0.05 }],
			["b", { uptake: 0.2, share: null, spare: 0.025 }],
		]);
	});

	it("an hour in summer is an hour earlier in the world's time", () => {
		const result = read({ date: "2026-07-04" });
		expect("value" in result && result.value.details.serviceAt).toBe(Date.UTC(2026, 6, 4, 18, 30));
	});

	it("knows what is to be done, and to which dish", () => {
		const intent = (typed: string, recipe = "") => {
			const result = read({ intent: typed, recipe });
			return "value" in result ? [result.value.intent, result.value.subject] : [];
		};
		expect(intent("remove:b")).toEqual(["remove", "b"]);
		expect(intent("add", "pork-collar")).toEqual(["add", "pork-collar"]);
		expect(intent("callOff")).toEqual(["callOff", ""]);
	});

	it("tells every wrong field at once, by its own dish", () => {
		expect(Object.keys(wrongIn({ covers: "none", "uptake.b": "140", "spare.a": "-1" })).sort()).toEqual([
			"covers",
			"spare.a",
			"uptake.b",
		]);
	});

	it.each([
		["date", "next Saturday"],
		["date", "2026-02-30"],
		["time", "25:00"],
		["time", "half past seven"],
	])("a %s of “%s” is told as that field with an example", (field, value) => {
		expect(Object.keys(wrongIn({ [field]: value }))).toEqual([field]);
		expect(wrongIn({ [field]: value })[field]).toMatch(/such as \d/);
	});

	it("works to a house code of the list with a reason, and to no other", () => {
		const works = read({ houseCode: "twoStage57", codeReason: "the ship's own rule" });
		expect("value" in works ? works.value.details.houseCode : "").toBe("twoStage57");
		expect(wrongIn({ houseCode: "moonshine", codeReason: "why not" }).houseCode).toMatch(/choose another/);
		expect(wrongIn({ houseCode: "twoStage57" }).codeReason).toBeDefined();
	});

	it("is carried elsewhere where minutes are typed, hot unless it is said", () => {
		const carryOf = (changed: Record<string, string>) => {
			const result = read(changed);
			return "value" in result ? result.value.details.carry : undefined;
		};
		expect(carryOf({ carry_min: "", carryAir_C: "8" })).toBeNull();
		expect(carryOf({ carry_min: "45", carryAir_C: "8" })).toEqual({ minutes: 45, air_C: 8, hot: true });
		expect(carryOf({ carry_min: "45", carryHot: "cold" })).toEqual({ minutes: 45, air_C: 15, hot: false });
		expect(wrongIn({ carry_min: "2000" }).carry_min).toMatch(/1 to 1440/);
	});

	it("keeps what was typed when something is wrong", () => {
		expect(read({ covers: "none" }).typed).toMatchObject({
			covers: "none",
			note: TYPED.note,
			"uptake.b": "20",
		});
	});

	it("an hour that the clocks skip is moved, not lost", () => {
		const result = read({ date: "2026-03-29", time: "01:30" });
		expect("value" in result ? Number.isFinite(result.value.details.serviceAt) : "wrong" in result).toBe(
			true,
		);
	});
});
