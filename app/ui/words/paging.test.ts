import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { pageIn } from "./paging.ts";

const at = (page: string) => new URLSearchParams({ page });

describe("a long list in pages", () => {
	it("is read at the page that is asked for", () => {
		expect(pageIn(at("2"), 95, 40)).toEqual({ page: 2, pages: 3, from: 40, to: 80 });
		expect(pageIn(at("3"), 95, 40)).toEqual({ page: 3, pages: 3, from: 80, to: 95 });
		expect(pageIn(new URLSearchParams(), 0, 40)).toEqual({ page: 1, pages: 1, from: 0, to: 0 });
	});

	it.each(["0", "-1", "1e9", "NaN", "two", "", "1.5"])("“%s” is no page: the first", (asked) => {
		expect(pageIn(at(asked), 95, 40).page).toBe(1);
	});

	it("has every entry on one page, and none twice", () => {
		fc.assert(
			fc.property(fc.nat(500), fc.integer({ min: 1, max: 60 }), (count, size) => {
				const { pages } = pageIn(at("1"), count, size);
				let next = 0;
				for (let page = 1; page <= pages; page += 1) {
					const { from, to } = pageIn(at(String(page)), count, size);
					expect(from).toBe(next);
					expect(to - from).toBeLessThanOrEqual(size);
					next = to;
				}
				expect(next).toBe(count);
			}),
		);
	});
});
