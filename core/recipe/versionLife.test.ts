import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { givingWayTo, nextStates, type RecipeState, stateOf, versionInUse } from "./index.ts";

const STATES: readonly RecipeState[] = ["tested", "standard", "retired"];
const versions = fc
	.array(fc.constantFrom(...STATES), { maxLength: 8 })
	.map((states) => states.map((state, index) => ({ number: index + 1, state })));

describe("the life of a version", () => {
	it("goes from tried to standard to retired, and back into use only as the standard", () => {
		expect(nextStates("tested")).toEqual(["standard", "retired"]);
		expect(nextStates("standard")).toEqual(["retired"]);
		expect(nextStates("retired")).toEqual(["standard"]);
	});

	it("stands where its last entry says, and is tried before it has any", () => {
		expect(stateOf([])).toBe("tested");
		expect(stateOf([{ state: "tested" }, { state: "standard" }])).toBe("standard");
	});
});

describe("the version in use", () => {
	it("is the standard, before one that is tried and is newer", () => {
		const list = [
			{ number: 1, state: "retired" },
			{ number: 2, state: "standard" },
			{ number: 3, state: "tested" },
		] as const;
		expect(versionInUse(list)?.number).toBe(2);
		expect(versionInUse(list.filter(({ state }) => state !== "standard"))?.number).toBe(3);
		expect(versionInUse([])).toBeUndefined();
	});

	it("is the newest of those that stand highest, in whatever order they are given", () => {
		const rank = (state: RecipeState) => ["retired", "tested", "standard"].indexOf(state);
		fc.assert(
			fc.property(
				versions.chain((list) =>
					fc.tuple(fc.constant(list), fc.shuffledSubarray(list, { minLength: list.length })),
				),
				([list, mixed]) => {
					const used = versionInUse(list);
					expect(versionInUse(mixed)).toBe(used);
					for (const { number, state } of list) {
						expect(rank(used?.state ?? "retired")).toBeGreaterThanOrEqual(rank(state));
						if (state === used?.state) expect(used.number).toBeGreaterThanOrEqual(number);
					}
				},
			),
		);
	});

	it("as the standard leaves no other standard beside it", () => {
		fc.assert(
			fc.property(versions, fc.nat(8), (list, number) => {
				const leaving = givingWayTo(number, list);
				const left = list.filter((version) => !leaving.includes(version));
				expect(
					left.filter(({ state }) => state === "standard").every((version) => version.number === number),
				).toBe(true);
				expect(leaving.every(({ state }) => state === "standard")).toBe(true);
			}),
		);
	});
});
