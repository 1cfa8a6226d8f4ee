import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { type Ingredient, ingredient, namesOf, readDraft, sideDraft, USUAL_SIDES } from "./index.ts";

const SHIPPED: readonly Ingredient[] = JSON.parse(readFileSync("db/demo/ingredients.json", "utf8")).map(
	ingredient,
);
/** Made in the house of the demonstration. */
const MADE = [
	ingredient({ id: "light-stock", name: "light chicken stock", category: "stock", density_g_per_ml: 1 }),
];
const KNOWN = new Map([...SHIPPED, ...MADE].map((one) => [one.id, one]));

describe("the usual sides", () => {
	it.each(Object.keys(USUAL_SIDES))(
		"%s is a whole card of what the demonstration has in its store",
		(key) => {
			const draft = sideDraft(key);
			if (!draft) throw new Error("it is shipped");
			const { doc, wrong, lines } = readDraft(draft, KNOWN, namesOf(KNOWN.values()));
			expect(wrong).toEqual({});
			expect(doc).toMatchObject({ format: "wide-table/preparation", holds_min: expect.any(Number) });
			expect(lines.every(({ ingredient: found }) => found !== undefined)).toBe(true);
			expect(draft.steps.some(({ handsOn }) => Number(handsOn) > 0)).toBe(true);
		},
	);

	it("are nothing for a name that is none of them", () => {
		for (const key of ["", "soup", "toString", "__proto__"]) expect(sideDraft(key)).toBeUndefined();
	});
});
