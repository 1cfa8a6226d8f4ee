import fc from "fast-check";
import {
	type DayGiven,
	ovenProgram,
	placeDay,
	type SittingOfDay,
	solveOvens,
	USUAL_SETTINGS,
} from "#core/day";
import { type DishOrder, planSitting } from "#core/dish";
import type { Kitchen } from "#core/kitchen";
import { integerSolver } from "#server/integerSolver";
import { days } from "../core/day/ovenDay/ovenDays.testing.ts";
import { NORTH, POLICY, SOUTH } from "../core/kitchen/kitchen.testing.ts";
import { DEMO_DISHES } from "../core/recipe/demoBook.testing.ts";
import { INGREDIENTS } from "../db/demo/ingredients.ts";
import { median, report, timed } from "./table.ts";

const COVERS = 1200;
const SITTINGS = 4;
const HANDS = 8;
const RUNS = 5;
/** A first plan, and about five seconds of thought. */
const FIRST = { seed: 1, steps: 200_000 };
const LONGER = { seed: 1, steps: 4_000_000 };

const KITCHEN: Kitchen = {
	equipment: {
		pans: [
			{ id: "a", name: "GN 1/1-65", shape: { gn: "1/1", depth_mm: 65 }, stock: 60 },
			{ id: "b", name: "GN 1/1-100", shape: { gn: "1/1", depth_mm: 100 }, stock: 60 },
			{ id: "c", name: "GN 1/1-150", shape: { gn: "1/1", depth_mm: 150 }, stock: 20 },
			{ id: "d", name: "GN 1/2-100", shape: { gn: "1/2", depth_mm: 100 }, stock: 30 },
		],
		ovens: ["one", "two", "three", "four", "five", "six"].map((name, index) => ({
			...(index < 4 ? NORTH : SOUTH),
			id: name,
			name,
			rungs: index < 4 ? 20 : 10,
			max_C: 260,
		})),
		searPans: [
			{
				id: "tilting",
				name: "Tilting pan",
				shape: { box: { length_mm: 720, width_mm: 520, depth_mm: 180 } },
				stock: 2,
				heat_kW: 12,
			},
		],
		pots: [{ id: "pot", name: "Stockpot", shape: { round: { diameter_mm: 500, height_mm: 400 } }, stock: 4 }],
		trays: [{ id: "t", name: "GN 1/1-40", shape: { gn: "1/1", depth_mm: 40 }, stock: 20 }],
		burners: 8,
		hobPower_kW: 5,
	},
	policy: { ...POLICY, timeZone: "Atlantic/Faroe" },
	known: {
		byId: new Map(INGREDIENTS.map((ingredient) => [ingredient.id, ingredient])),
		preparations: new Map(),
	},
};

const ORDER: DishOrder = {
	id: "dish",
	serviceAt: Date.UTC(2026, 10, 28, 12),
	covers: COVERS / SITTINGS,
	uptake: 1,
	spare: 0.05,
	hands: HANDS,
	basis: { from: "covers" },
	panTypeId: null,
	panWishes: [],
	colour: null,
	lineSettled: false,
};

/** So many dishes of the demo book shared out over four services of a festival day. */
function festival(dishes: number): DayGiven {
	const shares = Array.from({ length: SITTINGS }, (_, sitting) =>
		Array.from({ length: dishes }, (__, dish) => dish).filter((dish) => dish % SITTINGS === sitting),
	);
	const sittings = shares.map((own, index): SittingOfDay => {
		const serviceAt = ORDER.serviceAt + index * 2.5 * 3_600_000;
		const planned = planSitting(
			own.map((dish) => ({
				recipe: DEMO_DISHES[dish % DEMO_DISHES.length] as (typeof DEMO_DISHES)[number],
				order: { ...ORDER, id: `dish-${dish}`, serviceAt, uptake: 1 / own.length },
			})),
			KITCHEN,
		);
		return {
			id: `sitting-${index}`,
			name: `Sitting ${index}`,
			serviceAt,
			hands: HANDS,
			dishes: planned.flatMap((dish) => ("needs" in dish ? [dish.needs] : [])),
		};
	});
	return { kitchen: KITCHEN, cooks: [], places: [], sittings };
}

/** A festival day over the whole kitchen: the first plan, what thought brings, and how both grow. */
export function benchDay(): void {
	console.log(
		`\nThe day: ${COVERS} covers, ${SITTINGS} sittings, ${HANDS} people, ${KITCHEN.equipment.ovens.length} ovens`,
	);
	for (const dishes of [2, 6, 12, 24]) {
		const given = festival(dishes);
		const first_ms = median(timed(RUNS, () => placeDay(given, FIRST)));
		const first = placeDay(given, FIRST);
		report(`first plan, ${dishes} dishes`, `${first_ms.toFixed(0)} ms`, dishes === 12 ? "under 1,000" : "");
		report(`  waiting over its bound, rung-minutes`, gapOf(first));
	}
	const [longer_ms = Number.NaN] = timed(1, () => placeDay(festival(12), LONGER));
	const longer = placeDay(festival(12), LONGER);
	report("12 dishes, thought about", `${(longer_ms / 1000).toFixed(1)} s`, "about 5");
	report("  waiting over its bound, rung-minutes", gapOf(longer));
}

/** A day of five sittings on which one is tried for other covers: all that is worked out anew, and placed. */
export function benchTried(): void {
	const standing = festival(11);
	const day = placeDay(standing, FIRST);
	const [first, ...others] = standing.sittings;
	if (!first) return;
	let covers = COVERS / SITTINGS;
	const tried = () => {
		covers += 7;
		const dishes = planSitting(
			first.dishes.map(({ dish: { recipe, order } }) => ({ recipe, order: { ...order, covers } })),
			KITCHEN,
		).flatMap((dish) => ("needs" in dish ? [dish.needs] : []));
		return placeDay({ ...standing, sittings: [{ ...first, dishes }, ...others], before: day }, FIRST);
	};
	const again_ms = median(timed(RUNS, () => placeDay({ ...standing, before: day }, FIRST)));
	report(`a day of ${day.tasks.length} tasks, placed again`, `${again_ms.toFixed(0)} ms`);
	report("  with one sitting tried", `${median(timed(RUNS, tried)).toFixed(0)} ms`, "under 150");
}

function gapOf({ waiting_rung_min, bound_waiting_rung_min, unmet }: ReturnType<typeof placeDay>): string {
	return `${waiting_rung_min.toFixed(0)} / ${bound_waiting_rung_min.toFixed(0)}, ${unmet.length} unmet`;
}

/** Small days of the ovens alone: ours, proven, against an integer solver that knows nothing of ovens. */
export function benchProof(): void {
	const small = fc.sample(days(5, 2), { seed: 7, numRuns: 8 }).map((day) => ({ ...day, step_min: 30 }));
	let proven = 0;
	let alike = 0;
	const ratios = small.flatMap((day) => {
		const longest = Math.max(...day.batches.flatMap(({ ways }) => ways.map(({ minutes }) => minutes)));
		const until_min = Math.max(...day.batches.map(({ readyBy_min }) => readyBy_min)) + 4 * longest;
		const { program, costOf } = ovenProgram(day, until_min);
		let values: ReturnType<typeof integerSolver> = null;
		const [theirs_ms = 0] = timed(1, () => {
			values = integerSolver(program);
		});
		const [ours_ms = 0] = timed(1, () => solveOvens(day, USUAL_SETTINGS));
		const plan = solveOvens(day, USUAL_SETTINGS);
		if (plan.proven) proven += 1;
		if (!values) return [];
		const { late_min, wait_shelf_min } = costOf(values);
		if (late_min === plan.late_min && wait_shelf_min === plan.wait_shelf_min) alike += 1;
		return [theirs_ms / Math.max(ours_ms, 0.01)];
	});
	console.log(`\nOvens alone, ${small.length} days of up to 5 batches and 2 ovens`);
	report("proven by ours", `${proven} of ${small.length}`);
	report("the same cost as HiGHS, of those that it proves", `${alike} of ${ratios.length}`);
	report("time of HiGHS alone over ours, median", median(ratios).toFixed(1));
}
