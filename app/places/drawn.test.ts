import { beforeAll, describe, expect, it } from "vitest";
import type { WorkedDish } from "#core/day";
import { marinadeOf, taskAt } from "#core/dish";
import { depthOf, pieceHeight, volumeBelow } from "#core/pans";
import { MINUTE_MS } from "#core/time";
import { workedIn } from "../../core/day/days.testing.ts";
import { type DemoTables, demoTables } from "../ui/server/demoTables.testing.ts";
import { readingIn } from "../ui/words/reading.ts";
import { spareWords } from "./buy/spareWords.ts";
import { heldView } from "./hold/hold.view.ts";
import { vesselView } from "./marinate/vessel.view.ts";
import type { PlaceGiven } from "./Place.ts";
import { servedView } from "./plate/served.view.ts";
import { reheatView } from "./reheat/reheat.view.ts";
import { trayView } from "./rest/tray.view.ts";

const NOW = Date.UTC(2026, 10, 24, 9, 0);
const READING = readingIn("metric", "Atlantic/Faroe", NOW);

let demo: DemoTables;
beforeAll(async () => {
	demo = await demoTables(NOW);
});

const everyGiven = (): PlaceGiven[] =>
	demo.tables.flatMap(({ row }) =>
		row.plan ? [{ plan: row.plan, kitchen: demo.kitchen, reading: READING }] : [],
	);

describe("the vessel of a marinade", () => {
	it("takes the meat with its marinade, with room over it, in pans that the house has", () => {
		const marinated = everyGiven().filter(({ plan }) => taskAt(plan, "marinate"));
		expect(marinated.length).toBeGreaterThan(0);
		for (const given of marinated) {
			const view = vesselView(given);
			const [, count = "1", name = ""] =
				/^It fits in (?:(\d+) × )?(.+?), [\d.]+ l/.exec(view?.says ?? "") ?? [];
			const type = given.kitchen.equipment.pans.find((pan) => pan.name === name);
			expect(type?.stock).toBeGreaterThanOrEqual(Number(count));
			if (!type || !view) throw new Error(`no vessel for ${given.plan.recipe.name}`);
			const brim_l = volumeBelow(type.shape, depthOf(type.shape)) * Number(count);
			expect(brim_l).toBeGreaterThan(given.plan.chain.trimmed_kg / 1.06 + marinadeOf(given.plan).litres);
			expect(view.cut.line_mm).toBeLessThan(depthOf(type.shape));
			// No piece is drawn over what it lies in.
			const piled_mm = (view.cut.layers ?? 1) * pieceHeight(given.plan.recipe.piece);
			expect(piled_mm <= view.cut.line_mm || view.cut.layers === 1).toBe(true);
		}
	});

	it("is not drawn where the house has no pan for it", () => {
		const [given] = everyGiven();
		if (!given) throw new Error("no dish in the demo");
		const { kitchen } = given;
		const bare = { ...kitchen, equipment: { ...kitchen.equipment, pans: [] } };
		expect(vesselView({ ...given, kitchen: bare })).toBeUndefined();
	});
});

describe("the tray a dish rests on", () => {
	it("has room for every piece on the trays it counts, and draws no more than lie on one", () => {
		for (const given of everyGiven()) {
			const view = trayView(given);
			if (!view || view.filled) continue;
			const [, trays = "0"] = /^(\d+) tray/.exec(view.says) ?? [];
			const each = view.pan.placed.length;
			expect(each).toBeGreaterThan(0);
			expect(Number(trays) * each).toBeGreaterThanOrEqual(given.plan.pieces);
			expect((Number(trays) - 1) * each).toBeLessThan(given.plan.pieces);
		}
	});

	it("is the pan with its liquid where it cools in that", () => {
		const ahead = everyGiven().filter(({ plan }) => taskAt(plan, "chill"));
		expect(ahead.length).toBeGreaterThan(0);
		for (const given of ahead) expect(trayView(given)?.filled).toBe(true);
	});
});

/** A dish of the demo for so many covers. */
function madeFor(covers: number, { plan: { recipe, order }, kitchen, reading }: PlaceGiven): PlaceGiven {
	return { plan: workedIn(recipe, { ...order, covers }, kitchen), kitchen, reading };
}

describe("what is held hot", () => {
	const atService = () => {
		const given = everyGiven().find(({ plan: { recipe } }) => recipe.name.startsWith("Goat shoulder"));
		if (!given) throw new Error("no goat in the demo");
		return given;
	};

	it("is opened pan after pan, the first with the first plate and the last before the last", () => {
		for (const covers of [300, 500, 1_200]) {
			const given = madeFor(covers, atService());
			const view = heldView(given);
			if (!view) throw new Error("it is held");
			const { tasks, pans, hold } = given.plan;
			const opened = view.rows.map(({ to_min }) => to_min);
			expect(opened).toEqual([...opened].sort((a, b) => a - b));
			expect(view.rows.length).toBeLessThanOrEqual(16 + pans.goes);
			const plating = tasks.filter(({ place }) => place === "plate");
			const first = Math.min(...plating.map(({ start }) => start));
			const last = Math.max(...plating.map(({ end }) => end));
			const minute = (at: number) => view.service.minute + (at - given.plan.order.serviceAt) / MINUTE_MS;
			// After the last row is opened there is as much to plate as its pans hold.
			const [from = 0, to = from] = (view.rows.at(-1)?.name.match(/\d+/g) ?? []).map(Number);
			const rest_min = (to - from + 1) * (hold?.everyPan_min ?? 0);
			expect((opened.at(-1) ?? 0) + rest_min).toBeCloseTo(minute(last), 6);
			expect(opened[0]).toBeGreaterThanOrEqual(minute(first));
			expect(view.end_min).toBeGreaterThan(opened.at(-1) ?? 0);
		}
	});

	it("opens none where everything is plated at once", () => {
		expect(heldView(madeFor(20, atService()))).toBeUndefined();
	});
});

describe("what is made hot again", () => {
	it("is as hot in the middle as the code wants between its soonest and its latest minute", () => {
		const ahead = everyGiven().filter(({ plan: { reheat } }) => reheat);
		expect(ahead.length).toBeGreaterThan(0);
		for (const given of ahead) {
			const view = reheatView(given);
			const wanted_C = given.plan.reheat?.core_C ?? 0;
			const minutes = given.plan.reheat?.minutes;
			const first = (warm: readonly (readonly [number, number])[]) => {
				const at = warm.findIndex(([, C]) => C >= wanted_C);
				const [[from, cold], [to, hot]] = [warm[at - 1] ?? [0, 0], warm[at] ?? [0, 1]];
				return from + ((wanted_C - cold) / (hot - cold)) * (to - from);
			};
			const range = view?.curve.range ?? [];
			expect(first(view?.curve.likely ?? [])).toBeCloseTo(minutes?.likely ?? 0, -1);
			expect(first(range.map(({ minute, high_C }) => [minute, high_C]))).toBeCloseTo(minutes?.low ?? 0, -1);
			expect(first(range.map(({ minute, low_C }) => [minute, low_C]))).toBeCloseTo(minutes?.high ?? 0, -1);
			for (const { low_C, high_C } of range) expect(low_C).toBeLessThanOrEqual(high_C);
			expect(view?.ovens.length).toBeGreaterThan(0);
		}
	});
});

describe("a plate", () => {
	it("lies within its rim, with the pieces and the sauce of one portion", () => {
		const served = everyGiven().flatMap((given) => {
			const view = servedView(given);
			return view ? [{ view, plan: given.plan }] : [];
		});
		expect(served.length).toBeGreaterThan(3);
		for (const { view, plan } of served) {
			const portions = plan.serving.platters?.guests ?? 1;
			expect(view.pieces.length).toBe(Math.max(1, Math.round(piecesOf(plan) * portions)));
			for (const { wide_mm } of view.pieces) expect(wide_mm).toBeLessThan(view.across_mm);
			// As much sauce as its card gives, 3 mm deep.
			const pool_ml = (Math.PI * (view.sauce_mm / 2) ** 2 * 3) / 1000;
			expect(pool_ml).toBeCloseTo(plan.recipe.sauce_ml * portions, 3);
		}
	});

	it("is not drawn for what is pulled into another dish or filled into a buffet", () => {
		const pulled = everyGiven().filter(({ plan }) => ["pulled", "buffet"].includes(plan.serving.in));
		expect(pulled.length).toBeGreaterThan(0);
		for (const given of pulled) expect(servedView(given)).toBeUndefined();
	});
});

function piecesOf({ recipe: { portion }, pieces, chain }: WorkedDish): number {
	return "piecesPerPortion" in portion ? portion.piecesPerPortion : pieces / chain.portions;
}

describe("what is over of an order", () => {
	it.each([
		[26.68, 27, "0.3 kg"],
		[9.2, 9.2, "0 kg"],
		[0.62, 1, "380 g"],
	])("%d kg needed and %d kg ordered leave %s, as the two are shown", (asPurchased_kg, order_kg, words) => {
		const chain = { portions: 10, asPurchased_kg, trimmed_kg: 1, cooked_kg: 1, order_kg };
		expect(spareWords(chain, READING)).toBe(words);
	});
});
