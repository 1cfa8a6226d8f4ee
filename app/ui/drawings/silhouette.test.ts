import { describe, expect, it } from "vitest";
import { HEAT_WAYS } from "#core/trade";
import { RECIPE } from "../../../core/dish/dish.testing.ts";
import { measuresIn } from "../words/measures.ts";
import { silhouetteOf } from "./silhouette.ts";

const METRIC = measuresIn("metric");

describe("a dish in its pan, small", () => {
	it.each(HEAT_WAYS)("stands within its vessel for %s, its liquid under the rim", (heat) => {
		const drawn = silhouetteOf({ ...RECIPE, braise: { ...RECIPE.braise, heat } }, METRIC);
		if (!drawn) throw new Error("not drawn");
		expect(drawn.layers * drawn.piece.high_mm).toBeLessThan(drawn.deep_mm);
		expect(drawn.count * drawn.piece.wide_mm).toBeLessThanOrEqual(drawn.wide_mm);
		expect(drawn.line_mm).toBeLessThan(drawn.deep_mm);
	});

	it("takes a deeper vessel for what stands higher", () => {
		const high = silhouetteOf({ ...RECIPE, layers: 2 }, METRIC);
		const low = silhouetteOf(RECIPE, METRIC);
		expect(high?.deep_mm).toBeGreaterThan(low?.deep_mm ?? Number.POSITIVE_INFINITY);
	});

	it.each([
		["a piece larger than any pan", { length_mm: 9000, width_mm: 60, height_mm: 50 }],
		["a piece as high as a house", { length_mm: 90, width_mm: 60, height_mm: 9000 }],
	])("is not drawn for %s", (_, sides) => {
		const piece = { shape: "block" as const, ...sides, weight_g: 260 };
		expect(silhouetteOf({ ...RECIPE, piece }, METRIC)).toBeNull();
	});

	it("never draws without end, however thin what is stored", () => {
		const piece = { shape: "block" as const, length_mm: 0.0001, width_mm: 1, height_mm: 0.0001, weight_g: 1 };
		const drawn = silhouetteOf({ ...RECIPE, piece, layers: 1_000_000 as 1 }, METRIC);
		expect((drawn?.count ?? 0) * (drawn?.layers ?? 0)).toBeLessThan(1000);
	});
});
