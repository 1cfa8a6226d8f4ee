import { describe, expect, it } from "vitest";
import { DEMO_DISHES } from "./demoBook.testing.ts";
import {
	cardServes,
	type Draft,
	draftOf,
	emptyDraft,
	emptyLine,
	ingredient,
	namesOf,
	readTyped,
} from "./index.ts";

const MEAT = ingredient({ id: "goat", name: "goat shoulder", category: "meat" });
const NAMED = namesOf([MEAT]);

function draft(main: string, fields: Record<string, string>): Draft {
	const empty = emptyDraft("dish");
	return {
		...empty,
		fields: { ...empty.fields, portions: "10", cookingLoss: "36", ...fields },
		lines: [{ ...emptyLine("l1"), text: `${main} goat shoulder`, role: "main" }],
	};
}
const servesOf = (given: Draft) => cardServes(given, readTyped(given, NAMED).lines);

describe("what a card really serves", () => {
	it("is said when the meat is for more than the card is written for, with three ways out", () => {
		const card = servesOf(draft("3.2 kg", { portion: "165 g" }));
		// 3,200 g less 36 % is 2,048 g, of which 165 g go on 12.4 plates.
		expect(card).toEqual({
			main_g: 3200,
			sized_g: 2578,
			written: 10,
			serves: 12,
			agrees: false,
			portion_g: 205,
			cookingLoss: 0.48,
		});
	});

	it.each([
		["portions", "12"],
		["portion", "205 g"],
	])("agrees when %s is taken as %s", (field, value) => {
		const card = servesOf(draft("3.2 kg", { portion: "165 g", [field]: value }));
		expect(card).toMatchObject({ agrees: true, serves: Number(field === "portions" ? value : 10) });
	});

	it("takes the bone off, and offers no cooking loss that nobody believes", () => {
		expect(servesOf(draft("3.2 kg", { portion: "165 g", boneShare: "25" }))?.serves).toBe(9);
		expect(servesOf(draft("9 kg", { portion: "165 g" }))?.cookingLoss).toBeNull();
	});

	it("counts by the piece as bought less its trim", () => {
		const legs = { portionBy: "piece", piecesPerPortion: "1", bought: "280 g", trimLoss: "10" };
		expect(servesOf(draft("2.52 kg", legs))).toMatchObject({ serves: 10, agrees: true, portion_g: null });
		expect(servesOf(draft("2 kg", legs))).toMatchObject({ serves: 7, agrees: false });
	});

	it.each([
		["no weight", draft("some", {})],
		["no portion", draft("3 kg", { portion: "" })],
		["nothing left", draft("3 kg", { cookingLoss: "100" })],
		["a preparation", { ...draft("3 kg", {}), kind: "preparation" as const }],
	])("says nothing with %s", (_, given) => {
		expect(servesOf(given)).toBeNull();
	});

	it.each(DEMO_DISHES.map((card) => [card.name, card] as const))("%s of the demo book agrees", (_, card) => {
		const known = new Map(
			card.lines.map(({ ingredient: id }) => [
				id,
				ingredient({ id, name: id.replaceAll("-", " "), density_g_per_ml: 1, each_g: 10 }),
			]),
		);
		const given = draftOf(card, known);
		expect(cardServes(given, readTyped(given, namesOf(known.values())).lines)).toMatchObject({
			agrees: true,
		});
	});
});
