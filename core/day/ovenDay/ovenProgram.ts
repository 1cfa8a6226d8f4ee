import type { IntegerProgram, IntegerRow } from "../../integer/index.ts";
import type { OvenDay, OvenWay } from "./OvenDay.ts";

/** A minute late weighs as many shelf-minutes of waiting: more than a small day can wait. */
const LATE_WEIGHS = 100_000;

/** A day of ovens as whole numbers, and what its least sum means. */
export interface OvenProgram {
	readonly program: IntegerProgram;
	/** Minutes late and shelf-minutes of waiting of an answer. */
	costOf(values: ReadonlyMap<string, number>): { readonly late_min: number; readonly wait_shelf_min: number };
}

interface Start {
	readonly name: string;
	readonly batch: number;
	readonly oven: number;
	readonly set_C: number;
	readonly shelves: number;
	readonly from: number;
	readonly to: number;
	readonly late_min: number;
	readonly wait: number;
}

/**
 * The same day for a solver that knows nothing of ovens: a variable for each batch, way, oven,
 * temperature and start, and one for each oven, temperature and step. It grows with the length of
 * the day: small days are proven with it, and ours is held against it.
 *
 * @param until_min nothing starts after
 */
export function ovenProgram({ step_min, ovens, batches }: OvenDay, until_min: number): OvenProgram {
	const temperatures = [
		...new Set([
			...ovens.map(({ min_C }) => min_C),
			...batches.flatMap(({ ways }) => ways.map(({ low_C }) => low_C)),
		]),
	];
	const suits = (way: OvenWay, oven: (typeof ovens)[number]) =>
		temperatures.filter(
			(set_C) => set_C >= Math.max(way.low_C, oven.min_C) && set_C <= Math.min(way.high_C, oven.max_C),
		);
	const starts = batches.flatMap((given, batch) =>
		given.ways.flatMap((way, index) =>
			ovens.flatMap((oven, at) => {
				const shelves = way.shelves ?? given.shelves;
				if ((way.ovens && !way.ovens.includes(oven.id)) || shelves > oven.shelves) return [];
				return suits(way, oven).flatMap((set_C) =>
					stepsBetween(given.notBefore_min, until_min, step_min).map((from): Start => {
						const to = from + way.minutes;
						return {
							name: `x_${batch}_${index}_${at}_${set_C}_${from / step_min}`,
							batch,
							oven: at,
							set_C,
							shelves,
							from,
							to,
							late_min: Math.max(0, to - given.readyBy_min),
							wait: shelves * Math.max(0, given.readyBy_min - to),
						};
					}),
				);
			}),
		),
	);
	const last = Math.max(0, ...starts.map(({ to }) => to));
	const held: { name: string; row: IntegerRow }[] = [];
	const alone: IntegerRow[] = [];
	for (const [oven, { shelves }] of ovens.entries()) {
		for (let step = 0; step < last; step += step_min) {
			const names: string[] = [];
			for (const set_C of temperatures) {
				const over = starts.filter(
					(one) => one.oven === oven && one.set_C === set_C && one.from < step + step_min && one.to > step,
				);
				if (over.length === 0) continue;
				const name = `z_${oven}_${set_C}_${step / step_min}`;
				names.push(name);
				const taken = over.map((one) => [one.name, one.shelves] as const);
				held.push({ name, row: { terms: [...taken, [name, -shelves]], most: 0 } });
			}
			if (names.length > 1) alone.push({ terms: names.map((name) => [name, 1] as const), most: 1 });
		}
	}
	const once = batches.map((_, batch): IntegerRow => {
		const own = starts.filter((one) => one.batch === batch);
		return { terms: own.map(({ name }) => [name, 1] as const), least: 1, most: 1 };
	});
	return {
		program: {
			variables: [...starts, ...held].map(({ name }) => ({ name, least: 0, most: 1 })),
			rows: [...once, ...held.map(({ row }) => row), ...alone],
			minimise: starts.map(({ name, late_min, wait }) => [name, late_min * LATE_WEIGHS + wait] as const),
		},
		costOf: (values) => {
			const taken = starts.filter(({ name }) => values.get(name) === 1);
			return {
				late_min: taken.reduce((sum, one) => sum + one.late_min, 0),
				wait_shelf_min: taken.reduce((sum, one) => sum + one.wait, 0),
			};
		},
	};
}

function stepsBetween(from_min: number, until_min: number, step_min: number): number[] {
	const first = Math.ceil(from_min / step_min) * step_min;
	const count = Math.max(0, Math.floor((until_min - first) / step_min) + 1);
	return Array.from({ length: count }, (_, step) => first + step * step_min);
}
