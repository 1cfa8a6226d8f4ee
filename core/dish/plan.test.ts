import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Kitchen } from "../kitchen/index.ts";
import { NORTH } from "../kitchen/kitchen.testing.ts";
import { chooseByBids, type PanType } from "../pans/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { equipped, KITCHEN, knowing, lonePlans, ORDER, RECIPE, wanting } from "./dish.testing.ts";
import {
	acidsUnderFoil,
	type DishOrder,
	onePanMore,
	type Plan,
	pansHeld,
	plan,
	sizeDish,
	startAt,
	wholeSpices,
} from "./index.ts";

const line = (id: string, planned: Plan) => planned.lines.find(({ ingredient }) => ingredient.id === id);

describe("how much is poured", () => {
	const poured = (recipe: Partial<Recipe>, order: Partial<DishOrder> = {}) =>
		plan({ ...RECIPE, ...recipe }, { ...ORDER, ...order }, KITCHEN);

	it("is what the sauce asks, at least a third up the piece, at most to the card's line", () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 10, max: 160 }), (sauce_ml, covers) => {
				const { pour, pans, liquid } = poured({ sauce_ml }, { covers });
				if (!pour || !liquid) throw new Error("there are pans");
				const { forSauce_l, least_l, most_l, fixed_l, poured_l } = pour;
				expect(poured_l).toBeCloseTo(Math.min(most_l, Math.max(forSauce_l, least_l, fixed_l)), 2);
				expect(pans.liquid_l).toBeCloseTo(poured_l, 6);
				expect(Math.abs(liquid.evaporated_l - pour.steam_l)).toBeLessThan(0.05 * pour.steam_l + 0.02);
			}),
			{ numRuns: 25 },
		);
	});

	it("leaves what the sauce asks where the sauce decides", () => {
		const { pour, liquid } = poured({ sauce_ml: 100 });
		expect(pour?.decidedBy).toBe("sauce");
		expect(liquid?.left_l).toBeCloseTo(pour?.asked_l ?? 0, 1);
	});

	it("is the chef's own line where he has settled it", () => {
		const { pour, recipe } = poured({}, { lineSettled: true });
		expect(pour).toMatchObject({ decidedBy: "chef", poured_l: pour?.most_l });
		expect(recipe.braise.line).toEqual(RECIPE.braise.line);
	});
});

describe("the same dish in more pans of a kind", () => {
	it("is seasoned the same a portion", () => {
		const kitchen = equipped({
			pans: [{ ...(KITCHEN.equipment.pans[0] as PanType), stock: 99 }],
			ovens: many,
		});
		const bay = (covers: number) => {
			const planned = plan(SPICED, { ...ORDER, covers }, kitchen);
			return (line("bay", planned)?.amount_g ?? 0) / planned.chain.portions;
		};
		expect(bay(600)).toBeCloseTo(bay(140), 6);
		expect(bay(20)).toBeGreaterThan(bay(600));
	});
	const many = Array.from({ length: 20 }, (_, index) => ({ ...NORTH, id: `north-${index}` }));
	const SPICED = {
		...RECIPE,
		lines: RECIPE.lines.map((spice) =>
			spice.ingredient === "bay" ? { ...spice, unit: "g" as const, amount: 6 } : spice,
		),
	};
});

describe("one dish from covers to the oven door", () => {
	const whole = plan(RECIPE, ORDER, KITCHEN);

	it("composes the chain: 63 portions, 15.75 kg trimmed, five packs", () => {
		expect(whole.chain.portions).toBe(63);
		expect(whole.chain.trimmed_kg).toBeCloseTo(15.75, 9);
		expect(whole.chain).toMatchObject({ packs: 5, order_kg: 17.5 });
		expect(whole.pieces).toBe(63);
	});

	it("is the same for the same input", () => {
		expect(plan(RECIPE, ORDER, KITCHEN)).toEqual(whole);
	});

	it("pours what the pans need: reduced cider and stock together reach the line", () => {
		const cider = line("cider", whole)?.measure_ml ?? 0;
		const stock = line("stock", whole)?.measure_ml ?? 0;
		expect(cider).toBeCloseTo(700 * whole.factor, 6);
		expect((cider * 0.5 + stock) / 1000).toBeCloseTo(whole.pans.liquid_l, 6);
	});

	it("counts what is counted, fries by the load, salts by the meat", () => {
		const full = Math.max(...whole.pans.pans.map(({ capacity }) => capacity)) / 10;
		expect(line("bay", whole)?.count).toBeGreaterThanOrEqual(Math.round(3 * whole.factor * full ** -0.2));
		expect(line("bay", whole)?.count).toBeLessThan(3 * whole.factor);
		expect(line("lard", whole)?.amount_g).toBeCloseTo(whole.colour?.pan?.fat_g ?? 0, 6);
		expect(line("salt", whole)?.percentOfMain).toBeCloseTo(1, 9);
		expect(line("onion", whole)?.amount_g).toBeCloseTo(600 * whole.factor, 6);
	});

	it("traces every allergen to its lines", () => {
		expect(whole.allergens).toEqual([
			{ allergen: "celery", presence: "contains", from: ["celery", "stock"] },
			{ allergen: "sulphites", presence: "contains", from: ["cider"] },
		]);
	});

	it("in time does not depend on the number of portions, but on the hands", () => {
		const double = plan(RECIPE, { ...ORDER, covers: 200 }, KITCHEN);
		const untilTender = (planned: Plan) => planned.tender.high - startAt(planned, "braise");
		expect(untilTender(double)).toBe(untilTender(whole));
		const alone = plan(RECIPE, { ...ORDER, hands: 1 }, KITCHEN);
		expect(startAt(alone, "trim")).toBeLessThan(startAt(whole, "trim"));
	});
});

describe("the three ways to scale", () => {
	it("from the weight on hand, says what limits and how many are short", () => {
		const short = plan(RECIPE, { ...ORDER, basis: { from: "onHand", onHand_kg: 12 } }, KITCHEN);
		expect(short.setBy).toBe("meat");
		expect(short.chain.portions).toBe(44);
		expect(short.warnings).toContainEqual({ code: "tooFewFromMeat", place: "buy", makes: 44, wanted: 63 });
	});

	it("from pans, fills them and no more", () => {
		const three = plan(RECIPE, { ...ORDER, basis: { from: "pans", pans: 3 }, panTypeId: "full" }, KITCHEN);
		expect(three.pans.pans).toHaveLength(3);
		expect(three.pans.pans.every((pan) => pan.pieces === pan.capacity)).toBe(true);
		expect(three.pieces).toBe(3 * (three.pans.pans[0]?.capacity ?? 0));
	});

	it("more covers never buy less, pour less or need fewer pieces", () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 300 }), fc.integer({ min: 0, max: 100 }), (covers, more) => {
				const few = plan(RECIPE, { ...ORDER, covers }, KITCHEN);
				const many = plan(RECIPE, { ...ORDER, covers: covers + more }, KITCHEN);
				expect(many.chain.asPurchased_kg).toBeGreaterThanOrEqual(few.chain.asPurchased_kg);
				expect(many.pieces).toBeGreaterThanOrEqual(few.pieces);
				expect(many.chain.portions).toBeGreaterThanOrEqual(many.wanted);
			}),
			{ numRuns: 40 },
		);
	});
});

describe("what limits", () => {
	const codes = (
		order: Partial<DishOrder>,
		equipment: Partial<Kitchen["equipment"]> = {},
		recipe: Partial<Recipe> = {},
		policy: Partial<Kitchen["policy"]> = {},
	) =>
		plan({ ...RECIPE, ...recipe }, { ...ORDER, ...order }, wanting(policy, equipped(equipment))).warnings.map(
			({ code }) => code,
		);

	it("runs out of pans, and says how many pieces are without", () => {
		expect(codes({ covers: 2000 })).toContain("panStock");
		expect(codes({}, { pans: [] })).toContain("noPan");
	});

	it("runs out of rungs, or of ovens that reach the heat", () => {
		expect(codes({ covers: 300 }, { ovens: KITCHEN.equipment.ovens.slice(0, 1) })).toContain("ovenSpace");
		expect(codes({}, { ovens: [] })).toContain("noOven");
	});

	it("warns of what cannot be carried, does not close, or has no searing pan", () => {
		expect(codes({}, {}, {}, { liftLimit_kg: 4 })).toContain("heavy");
		expect(codes({}, {}, { braise: { ...RECIPE.braise, line: { over_mm: 30 } }, sauce_ml: 900 })).toContain(
			"overfull",
		);
		expect(codes({}, { searPans: [], trays: [] })).toContain("noSearPan");
	});

	it("says which kinds of pan are used up, here and by other dishes", () => {
		const [first, second] = lonePlans(
			["a", "b"].map((id) => ({ recipe: RECIPE, order: { ...ORDER, id, covers: 1400 } })),
		);
		if (!first || !second || !("plan" in first) || !("plan" in second)) throw new Error("both are planned");
		const warning = first.plan.warnings.find(({ code }) => code === "panStock");
		if (warning?.code !== "panStock") throw new Error("the stock limits");
		for (const { stock, here, elsewhere } of warning.kinds) expect(here + pansHeld(elsewhere)).toBe(stock);
	});

	it("keeps what the chef has settled, and says when the stock does not hold so many", () => {
		const wishes = (count: number) => ({ panWishes: [{ typeId: "half", count }] });
		const two = plan(RECIPE, { ...ORDER, ...wishes(2) }, KITCHEN);
		expect(two.pans.pans.filter(({ type }) => type.id === "half")).toHaveLength(2);
		const none = plan(RECIPE, { ...ORDER, ...wishes(0) }, KITCHEN);
		expect(none.pans.pans.some(({ type }) => type.id === "half")).toBe(false);
		expect(codes({ covers: 400, ...wishes(500) })).toContain("wishBeyondStock");
	});

	it("says half-empty pans, pieces above their line, and loads that are crowded", () => {
		const only = {
			pans: [{ id: "big", name: "Big", shape: { gn: "2/1", depth_mm: 100 }, stock: 9 }],
		} as const;
		expect(codes({ covers: 8 }, only)).toContain("halfEmpty");
		const flat = {
			pans: [{ id: "flat", name: "Flat", shape: { gn: "1/1", depth_mm: 40 }, stock: 9 }],
		} as const;
		expect(codes({}, flat)).toContain("tallPiece");
		const sear = { sides: 2, minutesPerSide: 2, recovery_min: 1, gap_mm: 1 };
		expect(codes({}, {}, { sear })).toContain("crowded");
	});

	it("says a pan that boils dry, and one that comes close", () => {
		const open = { ...RECIPE.braise, lid: "open" as const, line: { share: 0.05 } };
		const lines = RECIPE.lines.filter(({ role }) => role !== "vegetable");
		const losses = { trimLoss: 0.1, cookingLoss: 0.02 };
		expect(codes({}, {}, { braise: open, lines, losses })).toContain("boilsDry");
	});

	const whole = plan(RECIPE, ORDER, KITCHEN);

	it("knows the acids under foil, and ties in sachets what nobody would count", () => {
		expect(acidsUnderFoil({ ...RECIPE, braise: { ...RECIPE.braise, lid: "foil" } }, whole.lines)).toEqual([
			"cider",
		]);
		expect(acidsUnderFoil(RECIPE, whole.lines)).toEqual([]);
		const bay = line("bay", whole)?.count ?? 0;
		expect(bay).toBeGreaterThan(12);
		expect(wholeSpices(whole.lines, 4)).toEqual({
			sachets: 4,
			inSachets: [{ name: "bay leaves", count: bay }],
			loose: [],
		});
		const few = plan(RECIPE, { ...ORDER, covers: 12 }, KITCHEN);
		expect(wholeSpices(few.lines, 1)).toMatchObject({ sachets: 0, loose: [{ name: "bay leaves" }] });
	});

	it("says what has to be decided before it is too late", () => {
		expect(codes({}, { pots: [], pans: KITCHEN.equipment.pans, searPans: [] })).toContain("noSaucePot");
		expect(codes({ covers: 400, hands: 2 })).toEqual(
			expect.arrayContaining(["platesAMinute", "aheadOffer", "holdHot"]),
		);
		expect(
			codes({}, { burners: 1 }, { sear: { sides: 6, minutesPerSide: 4, recovery_min: 4, gap_mm: 15 } }),
		).toContain("searingLong");
		const wet = { minutes: 600, longest_min: 2000, container: "a tub" };
		expect(codes({}, {}, { marinate: wet })).toContain("marinadeShort");
		expect(codes({}, {}, { marinate: { ...wet, container: "in bags" } })).not.toContain("marinadeShort");
		expect(codes({}, {}, { portion: { portion_g: 105 } })).toContain("notWhole");
		expect(codes({}, {}, { portion: { portion_g: 330 } })).not.toContain("notWhole");
	});

	it("warns of a night's work and of a marinade that grows too long", () => {
		expect(codes({ serviceAt: Date.UTC(2026, 10, 28, 8, 0) })).toContain("beforeOpening");
		const marinate = { minutes: 600, longest_min: 610, container: "a tub" };
		expect(codes({ serviceAt: Date.UTC(2026, 10, 28, 19, 30) }, {}, { marinate })).toContain(
			"marinatedTooLong",
		);
	});
});

describe("colouring in the pan and in the oven", () => {
	it("the way that is taken enters the clock and the fat", () => {
		const pan = plan(RECIPE, { ...ORDER, colour: "pan" }, KITCHEN);
		const oven = plan(RECIPE, { ...ORDER, colour: "oven" }, KITCHEN);
		expect(line("lard", oven)?.amount_g).toBe(0);
		expect(line("lard", pan)?.amount_g).toBeGreaterThan(0);
		expect(oven.liquid?.weeping_l).toBeLessThan(pan.liquid?.weeping_l ?? 0);
		expect(oven.braise_min.likely).toBeLessThan(pan.braise_min.likely);
		const minutes = (planned: typeof pan) => (startAt(planned, "build") - startAt(planned, "sear")) / 60_000;
		expect(minutes(oven) - minutes(pan)).toBeCloseTo(
			Math.ceil(oven.colour?.minutes ?? 0) - Math.ceil(pan.colour?.minutes ?? 0),
			-1,
		);
		expect(pan.colour?.oven).toEqual(oven.colour?.oven);
	});

	it("without a searing pan it is the oven's", () => {
		expect(plan(RECIPE, ORDER, equipped({ searPans: [] })).colour?.way).toBe("oven");
		expect(plan(RECIPE, { ...ORDER, colour: "oven" }, equipped({ trays: [] })).warnings).toContainEqual({
			code: "noColourOven",
			place: "sear",
		});
	});
});

describe("one pan more", () => {
	it("finds room where the stock was used up, and says nothing where it spares nothing", () => {
		const dish = sizeDish(RECIPE, { ...ORDER, covers: 1000 }, KITCHEN);
		const [best] = onePanMore([dish], KITCHEN, chooseByBids);
		expect(best?.pieces).toBeGreaterThan(0);
		const roomy = equipped({
			pans: KITCHEN.equipment.pans.map((type) => ({ ...type, stock: 200 })),
		});
		expect(onePanMore([sizeDish(RECIPE, ORDER, roomy)], roomy, chooseByBids)).toEqual([]);
	});
});

describe("a whole sitting", () => {
	it("each dish takes its pans and rungs out of what the ones before it left", () => {
		const dishes = ["a", "b"].map((id) => ({ recipe: RECIPE, order: { ...ORDER, id, covers: 160 } }));
		const planned = lonePlans(dishes);
		const used = new Map<string, number>();
		for (const dish of planned) {
			if (!("plan" in dish)) throw new Error("both can be planned");
			for (const pan of dish.plan.pans.pans) used.set(pan.type.id, (used.get(pan.type.id) ?? 0) + 1);
		}
		for (const type of KITCHEN.equipment.pans) expect(used.get(type.id) ?? 0).toBeLessThanOrEqual(type.stock);
	});

	it("a dish that cannot be planned does not stop the others, and says why", () => {
		const order = { ...ORDER, id: "a", basis: { from: "onHand", onHand_kg: 0.05 } } as const;
		const [refused, fine] = lonePlans([
			{ recipe: RECIPE, order },
			{ recipe: RECIPE, order: { ...ORDER, id: "b" } },
		]);
		expect(refused).toEqual({ id: "a", refused: "0.05 kg does not make one portion; more is needed" });
		expect(fine).toHaveProperty("plan");
	});
});

describe("what the plan says of salt, sauce and pieces", () => {
	const codes = (recipe: Recipe, kitchen = KITCHEN) =>
		plan(recipe, ORDER, kitchen).warnings.map(({ code }) => code);
	const salted = (grams: number): Recipe => ({
		...RECIPE,
		lines: RECIPE.lines.map((line) => (line.role === "salt" ? { ...line, amount: grams } : line)),
	});

	it("salt counts what the main itself brings: brined meat and ham salt their sauce, fresh meat does not", () => {
		const named = (name: string) => {
			const collar = KITCHEN.known.byId.get("collar");
			if (!collar) throw new Error("the tests know collar");
			return plan(RECIPE, ORDER, knowing([{ ...collar, name }]));
		};
		const [fresh, brined, ham] = [named("pork collar"), named("brined pork collar"), named("ham collar")];
		const own = ({ liquid }: Pick<Plan, "liquid">, name: string) =>
			liquid?.salt.from.find((one) => one.name === name)?.g ?? 0;
		expect(own(fresh, "pork collar")).toBe(0);
		// 1.5 g and 4 g in 100 g, less the 0.15 g of any meat.
		expect(own(brined, "brined pork collar")).toBeCloseTo(brined.chain.trimmed_kg * 13.5, 6);
		expect(own(ham, "ham collar")).toBeCloseTo(ham.chain.trimmed_kg * 38.5, 6);
		expect(brined.liquid?.salt_pct).toBeGreaterThan(fresh.liquid?.salt_pct ?? 0);
	});

	it("salt is all salt over all it is shared by, wherever it comes from", () => {
		const few = plan(salted(25), ORDER, KITCHEN);
		const twice = plan(salted(50), ORDER, KITCHEN);
		const own = (planned: Plan) => planned.liquid?.salt.from.find(({ name }) => name === "salt")?.g ?? 0;
		expect(own(twice)).toBeCloseTo(2 * own(few), 9);
		for (const { liquid } of [few, twice]) {
			if (!liquid) throw new Error("there is a pan");
			const shared_g = (liquid.left_l + liquid.vegetables_kg + liquid.cooked_kg) * 1000;
			expect(liquid.salt_pct).toBeCloseTo((100 * liquid.salt.g) / shared_g, 9);
			expect(liquid.salt.from.reduce((sum, { g }) => sum + g, 0)).toBeCloseTo(liquid.salt.g, 9);
		}
		// The stock of the house brings a little.
		const unsalted = { ...RECIPE, lines: RECIPE.lines.filter(({ role }) => role !== "salt") };
		expect(plan(unsalted, ORDER, KITCHEN).liquid?.salt.from.map(({ name }) => name)).toContain("stock");
	});

	it("over the house's band is said, far under it too, inside it nothing", () => {
		expect(codes(salted(120))).toContain("saltOver");
		expect(codes(salted(3))).toContain("saltUnder");
		const band = wanting({ saltBand_pct: { low: 0, high: 30 } });
		expect(codes(salted(120), band)).not.toContain("saltOver");
	});

	it("more sauce than there is to make it from is said with both figures", () => {
		const warning = plan({ ...RECIPE, sauce_ml: 900 }, ORDER, KITCHEN).warnings.find(
			({ code }) => code === "sauceShort",
		);
		expect(warning).toMatchObject({
			place: "sauce",
			wanted_l: expect.any(Number),
			there_l: expect.any(Number),
		});
		expect(codes({ ...RECIPE, sauce_ml: 20 })).not.toContain("sauceShort");
	});

	it("a line that says another size of piece than the card is told", () => {
		const says = (preparation: string): Recipe => ({
			...RECIPE,
			lines: RECIPE.lines.map((line) => (line.role === "main" ? { ...line, preparation } : line)),
		});
		const { weight_g } = RECIPE.piece;
		expect(codes(says(`${weight_g * 1.5} g pieces`))).toContain("pieceSize");
		expect(codes(says(`pieces of ${weight_g} g`))).not.toContain("pieceSize");
		expect(codes(says("trimmed"))).not.toContain("pieceSize");
	});

	it("what joins late cools the pan: the same dish takes a little longer", () => {
		const vegetable = RECIPE.lines.findIndex(({ role, apart }) => role === "vegetable" && !apart);
		const late = (late_min: number): Recipe => ({
			...RECIPE,
			lines: RECIPE.lines.map((line, index) => (index === vegetable ? { ...line, late_min } : line)),
		});
		const [once, cooled] = [plan(late(30), ORDER, KITCHEN), plan(RECIPE, ORDER, KITCHEN)];
		expect(vegetable).toBeGreaterThanOrEqual(0);
		expect(once.braise?.slowest.given.additions?.[0]?.kg).toBeGreaterThan(0);
		expect(once.braise?.slowest.given.vegetables_kg).toBeLessThan(
			cooled.braise?.slowest.given.vegetables_kg ?? 0,
		);
		// The late part is cold at the end, the early part at the beginning: all of it is brought up once.
		expect(Math.abs(once.braise_min.likely - cooled.braise_min.likely)).toBeLessThan(20);
	});

	it("surer to be tender in time, the pans go in earlier", () => {
		const sure = plan(RECIPE, ORDER, wanting({ confidence: 0.99 }));
		const even = plan(RECIPE, ORDER, wanting({ confidence: 0.5 }));
		expect(startAt(sure, "braise")).toBeLessThan(startAt(plan(RECIPE, ORDER, KITCHEN), "braise"));
		expect(startAt(even, "braise")).toBeGreaterThan(startAt(plan(RECIPE, ORDER, KITCHEN), "braise"));
		expect(sure.braise_min).toEqual(even.braise_min);
	});

	it("thicker pieces go in earlier, and what is never tender is said", () => {
		const thick = (side_mm: number): Recipe => ({
			...RECIPE,
			piece: { shape: "block", length_mm: 75, width_mm: 75, height_mm: side_mm, weight_g: 250 },
		});
		const thin = plan(thick(35), ORDER, KITCHEN);
		expect(startAt(plan(thick(70), ORDER, KITCHEN), "braise")).toBeLessThan(startAt(thin, "braise"));
		const warm = { low: 60, set: 62, high: 64 };
		expect(codes({ ...RECIPE, braise: { ...RECIPE.braise, oven_C: warm } })).toContain("neverTender");
	});

	it("damped lines know what they would be straight; rounding knows by how much it is off", () => {
		const lines: Recipe["lines"] = RECIPE.lines.map((line) =>
			line.role === "potent" ? { ...line, exponent: 0.8 } : line,
		);
		const planned = plan({ ...RECIPE, lines }, ORDER, KITCHEN);
		for (const { line, straight, count, amount_g, weigh_g, roundedBy } of planned.lines) {
			expect(straight !== null).toBe(line.role === "potent");
			if (straight !== null) expect(straight).toBeGreaterThan(count ?? amount_g ?? 0);
			if (amount_g !== null && weigh_g !== null) expect(amount_g * (1 + roundedBy)).toBeCloseTo(weigh_g, 6);
		}
	});
});
