import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
	type Assignment,
	checkedOvenDay,
	type DayOven,
	type OvenBatch,
	type OvenDay,
	type OvenPlan,
	solveOvens,
} from "./index.ts";
import { days } from "./ovenDays.testing.ts";

const SOON = { seed: 3, steps: 60_000 };
/** Enough to prove what a few batches cost at least. */
const ENOUGH = { seed: 1, steps: 250_000 };

interface Stood extends Assignment {
	readonly batch: OvenBatch;
	readonly in: DayOven;
	readonly end: number;
}

function stoodOf(day: OvenDay, { assignments }: OvenPlan): Stood[] {
	return assignments.map((one) => {
		const batch = day.batches.find(({ id }) => id === one.id);
		const oven = day.ovens.find(({ id }) => id === one.oven);
		if (!batch || !oven) throw new Error(`${one.id} or ${one.oven} is not of the day`);
		return { ...one, batch, in: oven, end: one.start_min + one.minutes };
	});
}

/** Everything that a plan breaks, in words. */
function broken(day: OvenDay, plan: OvenPlan): string[] {
	const stood = stoodOf(day, plan);
	const over = stood.map(({ end, batch }) => end - batch.readyBy_min);
	const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);
	const waits = over.map((minutes, index) => Math.max(0, -minutes) * (stood[index]?.shelves ?? 0));
	return [
		...(stood.length === day.batches.length ? [] : ["not every batch is in once"]),
		...stood.flatMap((one) => [...brokenAlone(day, one), ...brokenBeside(one, stood)]),
		...(sum(over.map((minutes) => Math.max(0, minutes))) === plan.late_min
			? []
			: ["the lateness is another"]),
		...(sum(waits) === plan.wait_shelf_min ? [] : ["the waiting is another"]),
	];
}

function brokenAlone(day: OvenDay, { id, batch, in: oven, start_min, minutes, set_C }: Stood): string[] {
	const suits = batch.ways.some(
		(one) => one.minutes === minutes && one.low_C <= set_C && set_C <= one.high_C,
	);
	return [
		...(start_min % day.step_min === 0 ? [] : [`${id} starts off the step`]),
		...(start_min >= batch.notBefore_min ? [] : [`${id} starts too soon`]),
		...(set_C >= oven.min_C && set_C <= oven.max_C ? [] : [`${oven.id} does not reach ${set_C}`]),
		...(suits ? [] : [`${id} is not cooked ${minutes} min at ${set_C}`]),
	];
}

function brokenBeside(one: Stood, stood: readonly Stood[]): string[] {
	const beside = stood.filter(
		(other) => other.oven === one.oven && other.start_min <= one.start_min && other.end > one.start_min,
	);
	const taken = beside.reduce((sum, { shelves }) => sum + shelves, 0);
	return [
		...(beside.every(({ set_C }) => set_C === one.set_C) ? [] : [`${one.oven} at two temperatures`]),
		...(taken <= one.in.shelves ? [] : [`${one.oven} holds ${taken}`]),
	];
}

interface Tried {
	readonly oven: number;
	readonly from: number;
	readonly to: number;
	readonly set_C: number;
	readonly shelves: number;
}

/** Every way to put a batch in: each oven, temperature and start. */
function* everyWay(day: OvenDay, batch: OvenBatch): Generator<Tried> {
	const { step_min, ovens, batches } = day;
	const temperatures = new Set([
		...ovens.map(({ min_C }) => min_C),
		...batches.flatMap(({ ways }) => ways.map(({ low_C }) => low_C)),
	]);
	const all = batches.reduce((sum, { ways }) => sum + Math.max(...ways.map(({ minutes }) => minutes)), 0);
	const horizon = Math.max(...batches.map(({ readyBy_min }) => readyBy_min)) + all;
	const first = Math.ceil(batch.notBefore_min / step_min) * step_min;
	const { shelves } = batch;
	for (const { minutes, low_C, high_C } of batch.ways) {
		for (const [oven, { min_C, max_C }] of ovens.entries()) {
			const suited = [...temperatures].filter(
				(one) => one >= Math.max(low_C, min_C) && one <= Math.min(high_C, max_C),
			);
			for (const set_C of suited) {
				for (let from = first; from <= horizon; from += step_min) {
					yield { oven, from, to: from + minutes, set_C, shelves };
				}
			}
		}
	}
}

function hasRoom({ ovens }: OvenDay, tried: Tried, stands: readonly Tried[]): boolean {
	const { oven, from, to, set_C, shelves } = tried;
	const beside = stands.filter((one) => one.oven === oven && one.from < to && one.to > from);
	const taken = (at: number) =>
		beside.filter((one) => one.from <= at && one.to > at).reduce((sum, one) => sum + one.shelves, shelves);
	const moments = [from, ...beside.map((one) => Math.max(from, one.from))];
	const room = ovens[oven]?.shelves ?? 0;
	return beside.every((one) => one.set_C === set_C) && moments.every((at) => taken(at) <= room);
}

/** The least of a small day, by trying every start of every batch at every temperature. */
function byTrying(day: OvenDay): { late_min: number; wait_shelf_min: number } {
	let best = { late_min: Number.POSITIVE_INFINITY, wait_shelf_min: Number.POSITIVE_INFINITY };
	const stands: Tried[] = [];
	const isWorse = (late_min: number, wait_shelf_min: number) =>
		late_min > best.late_min || (late_min === best.late_min && wait_shelf_min >= best.wait_shelf_min);
	const descend = (index: number, late_min: number, wait_shelf_min: number): void => {
		if (isWorse(late_min, wait_shelf_min)) return;
		const batch = day.batches[index];
		if (!batch) {
			best = { late_min, wait_shelf_min };
			return;
		}
		for (const tried of everyWay(day, batch)) {
			if (!hasRoom(day, tried, stands)) continue;
			stands.push(tried);
			const over = tried.to - batch.readyBy_min;
			descend(index + 1, late_min + Math.max(0, over), wait_shelf_min + Math.max(0, -over) * tried.shelves);
			stands.pop();
		}
	};
	descend(0, 0, 0);
	return best;
}

describe("batches into ovens", () => {
	it("never breaks a rule, whatever the day", () => {
		fc.assert(
			fc.property(days(14, 3), (day) => {
				const plan = solveOvens(day, SOON);
				expect(broken(day, plan)).toEqual([]);
				expect(plan.bound_wait_shelf_min).toBeLessThanOrEqual(plan.wait_shelf_min);
			}),
			{ numRuns: 25 },
		);
	});

	it("finds the least that trying everything finds, and knows that it has", () => {
		fc.assert(
			fc.property(days(3, 2), (day) => {
				const { late_min, wait_shelf_min, proven } = solveOvens(day, ENOUGH);
				expect({ late_min, wait_shelf_min }).toEqual(byTrying(day));
				expect(proven).toBe(true);
			}),
			{ numRuns: 25 },
		);
	});

	it("is the same again, and costs the same for batches in another order", () => {
		fc.assert(
			fc.property(days(4, 2), (day) => {
				const plan = solveOvens(day, ENOUGH);
				expect(solveOvens(day, ENOUGH)).toEqual(plan);
				const turned = solveOvens({ ...day, batches: [...day.batches].reverse() }, ENOUGH);
				expect([turned.late_min, turned.wait_shelf_min]).toEqual([plan.late_min, plan.wait_shelf_min]);
			}),
			{ numRuns: 20 },
		);
	});

	it("one oven more is never worse, one batch fewer neither", () => {
		fc.assert(
			fc.property(days(4, 2), (day) => {
				const cost = (one: OvenDay) => {
					const { late_min, wait_shelf_min } = solveOvens(one, ENOUGH);
					return late_min * 1e6 + wait_shelf_min;
				};
				const usual = cost(day);
				const [first] = day.ovens;
				if (!first) throw new Error("a day has an oven");
				expect(cost({ ...day, ovens: [...day.ovens, { ...first, id: "one more" }] })).toBeLessThanOrEqual(
					usual,
				);
				expect(cost({ ...day, batches: day.batches.slice(1) })).toBeLessThanOrEqual(usual);
			}),
			{ numRuns: 20 },
		);
	});

	it("tells of each better plan, and stops when it is asked to", () => {
		const [day] = fc.sample(days(14, 1), { seed: 4, numRuns: 1 });
		if (!day) throw new Error("no day");
		const told: number[] = [];
		solveOvens(day, {
			...SOON,
			onBetter: ({ late_min, wait_shelf_min }) => {
				told.push(late_min * 1e6 + wait_shelf_min);
				return told.length >= 2;
			},
		});
		expect(told.length).toBeLessThanOrEqual(2);
		expect([...told].sort((a, b) => b - a)).toEqual(told);
	});
});

describe("a day of ovens that is asked from outside", () => {
	const oven = { id: "left", shelves: 4, min_C: 80, max_C: 250 };
	const batch = { id: "pork", shelves: 2, minutes: 180, temp_C: [140, 160], readyBy_min: 480 };
	const day = { step_min: 15, ovens: [oven], batches: [batch] };

	it.each([
		[
			"a batch larger than every oven, by its name",
			{ batches: [{ ...batch, shelves: 6 }] },
			/pork needs 6 shelves; the largest oven has 4/,
		],
		[
			"one that no oven is hot enough for",
			{ batches: [{ ...batch, temp_C: [260, 280] }] },
			/pork needs 2 shelves at a temperature that no such oven reaches/,
		],
		[
			"a range that is turned round",
			{ batches: [{ ...batch, temp_C: [160, 140] }] },
			/the lower one first is allowed/,
		],
		["an oven turned round", { ovens: [{ ...oven, min_C: 260 }] }, /the lower one first is allowed/],
		["a name given twice", { batches: [batch, batch] }, /stands there twice/],
		[
			"neither minutes nor options",
			{ batches: [{ ...batch, minutes: undefined }] },
			/minutes or options are needed/,
		],
		[
			"minutes without a range",
			{ batches: [{ ...batch, temp_C: undefined }] },
			/temp_C or options are needed/,
		],
		["both", { batches: [{ ...batch, options: [{ set_C: 150, minutes: 100 }] }] }, /in place of/],
		["no step", { step_min: 0 }, /step_min: .* from 1 to 240/],
		["half a shelf", { batches: [{ ...batch, shelves: 1.5 }] }, /whole number of shelves/],
	])("refuses %s", (_, change, words) => {
		const given = JSON.parse(JSON.stringify({ ...day, ...change }));
		expect(() => checkedOvenDay(given)).toThrow(words);
	});

	it("takes options in place of minutes, and the usual moment before which nothing starts", () => {
		const options = [{ set_C: 150, minutes: 100 }];
		const given = { ...day, batches: [{ id: "pork", shelves: 2, options, readyBy_min: 480 }] };
		expect(checkedOvenDay(given).batches).toEqual([
			{
				id: "pork",
				shelves: 2,
				readyBy_min: 480,
				notBefore_min: 0,
				ways: [{ minutes: 100, low_C: 150, high_C: 150 }],
			},
		]);
	});
});
