import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { portionsAGuest, readUptake, sharedOut } from "./index.ts";

const covers = fc.integer({ min: 1, max: 2000 });

describe("who takes a dish", () => {
	it.each([
		["62", { uptake: 0.62, share: null }],
		["62,5 %", { uptake: 0.625, share: null }],
		["35 guests", { uptake: 0.25, share: { by: "guests", guests: 35 } }],
		["1 cover", { uptake: 1 / 140, share: { by: "guests", guests: 1 } }],
		["The rest", { uptake: 0, share: { by: "rest" } }],
	])("%s", (text, read) => {
		expect(readUptake(text, 140)).toEqual(read);
	});

	it.each(["", "0", "101", "141 guests", "0 guests", "some", "-3"])(
		"“%s” is refused at its field",
		(text) => {
			expect(() => readUptake(text, 140)).toThrow(/uptake/);
		},
	);

	it("comes to all covers where one dish takes the rest, whatever the others take", () => {
		fc.assert(
			fc.property(
				covers,
				fc.array(fc.double({ min: 0, max: 0.3, noNaN: true }), { maxLength: 3 }),
				(all, others) => {
					const dishes = [
						...others.map((uptake) => ({ uptake, share: null })),
						{ uptake: 0, share: { by: "rest" as const } },
					];
					const taken = sharedOut(all, dishes).reduce((sum, { uptake }) => sum + uptake, 0);
					expect(taken).toBeCloseTo(1, 9);
				},
			),
		);
	});

	it("stays so many guests, however many come", () => {
		const dish = { uptake: 0, share: { by: "guests" as const, guests: 30 } };
		expect(sharedOut(60, [dish])[0]?.uptake).toBe(0.5);
		expect(sharedOut(120, [dish])[0]?.uptake).toBe(0.25);
		expect(sharedOut(10, [dish])[0]?.uptake).toBe(1);
	});
});

describe("portions a guest", () => {
	it("lie between a half and one and a half, times second helpings", () => {
		const guests = covers.chain((all) =>
			fc.record({
				all: fc.constant(all),
				half: fc.integer({ min: 0, max: all }),
				seconds: fc.double({ min: 0, max: 1, noNaN: true }),
			}),
		);
		fc.assert(
			fc.property(guests, ({ all, half, seconds }) => {
				const oneAndHalf = all - half;
				const mean = portionsAGuest(all, { half, oneAndHalf, seconds });
				expect(mean).toBeCloseTo(((half * 0.5 + oneAndHalf * 1.5) / all) * (1 + seconds), 9);
			}),
		);
		expect(portionsAGuest(50, { half: 0, oneAndHalf: 0, seconds: 0 })).toBe(1);
	});
});
