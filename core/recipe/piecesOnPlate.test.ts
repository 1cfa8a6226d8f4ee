import { describe, expect, it } from "vitest";
import { DEMO_DISHES } from "./demoBook.testing.ts";
import { pieceOff, piecesOnPlate } from "./index.ts";

const card = (weight_g: number, portion_g: number) => ({
	piece: { weight_g },
	portion: { portion_g },
	losses: { trimLoss: 0.1, cookingLoss: 0.36 },
});
const bought = (weight_g: number, piece_g: number) => ({
	...card(weight_g, 1),
	portion: { piecesPerPortion: 1, piece_g },
});

describe("the pieces of a plate", () => {
	it.each([
		[250, 160, 1],
		[125, 160, 2],
		[83, 160, 3],
		[2000, 160, 0],
		[40, 160, 0],
	])("of %d g for a portion of %d g are %d", (weight_g, portion_g, count) => {
		expect(piecesOnPlate(card(weight_g, portion_g))).toBe(count);
	});
});

it("what is pulled apart has no pieces on a plate, and goes into any portion", () => {
	const pulled = { ...card(300, 160), servedIn: "pulled" as const };
	expect(piecesOnPlate(pulled)).toBe(0);
	expect(pieceOff(pulled)).toBeNull();
});

describe("a piece and a portion", () => {
	it("agree within a tenth, which is still within it", () => {
		expect(pieceOff(card(275, 160))).toBeNull();
		expect(pieceOff(card(276, 160))).toMatchObject({ by: "portion", pieces: 1, portion_g: 160 });
	});

	it("are said with the piece that would agree", () => {
		const off = pieceOff(card(300, 160));
		expect(off).toMatchObject({ given_g: 192, piece_g: 250 });
		expect(pieceOff(card(250, 160))).toBeNull();
	});

	it("slices of a joint and many small pieces go into any portion", () => {
		expect(pieceOff(card(2000, 160))).toBeNull();
		expect(pieceOff(card(30, 160))).toBeNull();
	});

	it("bought by the piece, what trimming leaves of one is held against the card's piece", () => {
		expect(pieceOff(bought(234, 260))).toBeNull();
		expect(pieceOff(bought(200, 260))).toEqual({ by: "trim", given_g: 200, trimmed_g: 234 });
	});

	it("agree on every card of the book", () => {
		for (const { name, ...recipe } of DEMO_DISHES) expect(pieceOff(recipe), name).toBeNull();
	});
});
