import { describe, expect, it } from "vitest";
import { memoise } from "./index.ts";

describe("what is kept", () => {
	it("is made once for a key, and again once too many others came between", () => {
		const once = memoise<string, number>(2);
		let made = 0;
		const count = () => {
			made += 1;
			return made;
		};
		expect([once("a", count), once("a", count), once("b", count)]).toEqual([1, 1, 2]);
		expect([once("c", count), once("a", count)]).toEqual([3, 4]);
	});
});
