import { describe, expect, it } from "vitest";
import { checkRecipe, ingredient, type Recipe } from "../recipe/index.ts";
import { equipped, KITCHEN, ORDER, RECIPE } from "./dish.testing.ts";
import { plan } from "./index.ts";

const bare = {
	id: "bare",
	name: "Bare 1/1-100",
	shape: { gn: "1/1", depth_mm: 100 },
	stock: 10,
	reacts: true,
} as const;
const [full] = KITCHEN.equipment.pans;

describe("a pan that acid takes up", () => {
	const kitchen = equipped({ pans: [bare, ...(full ? [full] : [])] });
	const dry: Recipe = {
		...RECIPE,
		lines: RECIPE.lines.filter(({ ingredient: id }) => id !== "cider"),
	};

	it("is never taken for a dish with wine in it, however short the others are", () => {
		const short = equipped({ pans: [bare, ...(full ? [{ ...full, stock: 1 }] : [])] });
		for (const house of [kitchen, short]) {
			const { pans } = plan(RECIPE, ORDER, house);
			expect(pans.pans.map(({ type }) => type.id)).not.toContain("bare");
		}
	});

	it("is taken where nothing sour goes in", () => {
		const only = equipped({ pans: [bare] });
		expect(plan(dry, ORDER, only).pans.pans.length).toBeGreaterThan(0);
		expect(plan(RECIPE, ORDER, only).pans.pans).toEqual([]);
	});
});

describe("seared in the pot that it braises in", () => {
	const onHob: Recipe = {
		...RECIPE,
		braise: { ...RECIPE.braise, heat: "hob" },
		...(RECIPE.sear ? { sear: { ...RECIPE.sear, inPot: true } } : {}),
	};

	it("takes that pot, and no searing pan", () => {
		const { colour, tasks } = plan(onHob, { ...ORDER, covers: 20 }, KITCHEN);
		expect(colour?.pan?.vessel.id).toBe("stew-pot");
		const needs = tasks.find(({ part }) => part === "colour")?.needs ?? [];
		expect(needs.map(({ kind }) => kind)).toContain("pot");
		expect(needs.map(({ kind }) => kind)).not.toContain("searPan");
	});

	it("is seared in a searing pan in an oven dish, whatever its card says of pots", () => {
		const inOven: Recipe = { ...onHob, braise: RECIPE.braise };
		expect(plan(inOven, ORDER, KITCHEN).colour?.pan?.vessel.id).toBe("wide");
	});
});

describe("a rack cut along its bones", () => {
	const known = new Map(
		[...KITCHEN.known.byId.values()].map((entry) => [
			entry.id,
			ingredient({ ...entry, each_g: entry.each_g ?? 100 }),
		]),
	);
	const rack: Recipe = {
		...RECIPE,
		portion: { piecesPerPortion: 2, piece_g: 200 },
		losses: { trimLoss: 0.05, boneShare: 0.25, cookingLoss: 0.3 },
		piece: { shape: "block", length_mm: 90, width_mm: 55, height_mm: 40, weight_g: 190 },
		pack_kg: 1.6,
		rack: { bones: 8, perPiece: 1 },
	};

	it("becomes portions with their bones: whole racks are bought for them", () => {
		const { chain, pieces } = plan(checkRecipe(rack, known), ORDER, KITCHEN);
		expect(pieces).toBe(chain.portions * 2);
		expect((chain.packs ?? 0) * 8).toBeGreaterThanOrEqual(pieces);
		expect(((chain.packs ?? 0) - 1) * 8).toBeLessThan(pieces);
	});

	it.each([
		[{ rack: { bones: 8, perPiece: 2 } }, "portion.piece_g"],
		[{ portion: { portion_g: 165 } }, "rack"],
	])("%o does not hold together", (changed, field) => {
		expect(() => checkRecipe({ ...rack, ...changed }, known)).toThrow(field);
	});
});
