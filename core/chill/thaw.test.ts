import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { thawMinutes } from "./index.ts";

const depth = fc.integer({ min: 5, max: 150 });
const air = fc.integer({ min: 0, max: 15 });

describe("what was frozen and thaws in the cold room", () => {
	it("takes longer the deeper it lies, and the colder it stands", () => {
		fc.assert(
			fc.property(depth, air, (mm, C) => {
				const likely = thawMinutes(mm, C)?.likely ?? 0;
				expect(thawMinutes(mm + 5, C)?.likely).toBeGreaterThan(likely);
				expect(thawMinutes(mm, C + 1)?.likely).toBeLessThan(likely);
			}),
		);
	});

	it("is a matter of a night where it is shallow, and of days where it is deep", () => {
		const hours = (mm: number) => (thawMinutes(mm, 4)?.likely ?? 0) / 60;
		expect(hours(25)).toBeGreaterThan(12);
		expect(hours(25)).toBeLessThan(36);
		expect(hours(65)).toBeGreaterThan(48);
	});

	it("has its range round the likely, and never ends where it freezes", () => {
		const { low, likely, high } = thawMinutes(40, 4) ?? { low: 0, likely: 0, high: 0 };
		expect(low).toBeLessThan(likely);
		expect(likely).toBeLessThan(high);
		expect(thawMinutes(40, -1)).toBeNull();
	});
});
